import { readStep, type WayStep } from './way.js';
import { COOLANT, FUEL, LIFT, PLUG_HOT, RAIL, SPARKS, WIRING } from './words.js';

/** One question of a search for a fault: what to try, and where each answer leads. */
export interface Test {
  id: string;
  /** Shown before the step; empty where nothing can happen. */
  caution: string;
  step: WayStep;
  /** What both answers look like; each leads to another test, or to a trouble that is then the cause. */
  answers: { seen: string; then: { test: string } | { trouble: string } }[];
}
/** A way from a symptom to its cause. */
export interface FaultTree {
  id: string;
  symptom: string;
  tests: readonly Test[];
}

type Answer = [seen: string, then: string];
/** A test; an answer that begins with `?` leads to another test, else to a trouble. */
const test = (id: string, line: string, ...answers: Answer[]): Test => ({
  id,
  caution: '',
  step: readStep(line),
  answers: answers.map(([seen, then]) => ({
    seen,
    then: then.startsWith('?') ? { test: then.slice(1) } : { trouble: then },
  })),
});

/** A test that can hurt, with its caution. */
const careful = (caution: string, t: Test): Test => ({ ...t, caution });

const PROBE =
  'A probe that slips from plus to metal makes sparks and burns: hold it by its insulation, nothing else near.';
const LIVE = 'Ignition volts knock you down: hands off plug, cap and lead while the engine turns.';

/** Searches from what a rider sees to what it is, the quick and the likely first. */
export const FAULT_TREES: readonly FaultTree[] = [
  {
    id: 'no-crank',
    symptom: 'Nothing happens at the button',
    tests: [
      test(
        'lamps',
        'Ignition on, stop switch to run: do the lamps light?',
        ['yes, bright', '?stand'],
        ['dim or not at all', '?poles'],
      ),
      test(
        'poles',
        'Ignition on: wiggle both leads at the battery’s poles by hand',
        ['it flickers: loose', 'battery-terminal'],
        ['nothing changes', '?volts'],
      ),
      careful(
        PROBE,
        test('volts', 'Volts at the poles [measure current]', ['under 12', 'battery'], ['12 or more', '?mainfuse']),
      ),
      careful(
        WIRING,
        test('mainfuse', 'Ignition off: look at the main fuse {fuse box}', ['blown', 'fuse'], ['whole', 'starter']),
      ),
      test(
        'stand',
        'Side-stand up, neutral, clutch in: does it turn now?',
        ['yes', 'switch'],
        ['no, a click', '?click'],
        ['no, silence', '?relay'],
      ),
      test('click', 'Lamps on while pressing: do they go dim?', ['yes', 'battery'], ['no', 'starter']),
      careful(
        PROBE,
        test(
          'relay',
          'Neutral: volts at the relay’s thin wire while the button is pressed [measure current]',
          ['none', 'switch'],
          ['there are', 'starter'],
        ),
      ),
    ],
  },
  {
    id: 'no-spark',
    symptom: 'It turns but does not fire',
    tests: [
      careful(
        'Fuel vapour catches fire: look into a tank with a torch, never with a flame.',
        test(
          'fuel',
          'Look: is there fuel, is the tap open? Listen at ignition on: does the pump hum?',
          ['no fuel', 'out-of-fuel'],
          ['no hum', 'fuel-pump'],
          ['all well', '?wet'],
        ),
      ),
      careful(
        'Water in a cylinder bends the engine: do not press the starter again before this is answered.',
        test('wet', 'Was it in water, or does the air box hold some? {seat}', ['yes', 'drowned'], ['no', '?smell']),
      ),
      careful(
        PLUG_HOT,
        test(
          'smell',
          'Ignition off, engine cool: plug out. Is it wet with fuel? {plug}',
          ['wet: fuel comes, dry it', 'plug-fouled'],
          ['dry', '?spark'],
        ),
      ),
      careful(
        `${SPARKS} ${LIVE}`,
        test(
          'spark',
          'Plug hole closed with a rag, spilt fuel wiped and aired. A good plug in the cap, on bare engine metal well away from the hole, held with dry, insulated pliers; turn the engine: a spark? [grip]',
          ['none', '?cap'],
          ['blue and loud', '?flow'],
          ['weak, yellow', 'plug-fouled'],
        ),
      ),
      careful(
        `${SPARKS} ${LIVE}`,
        test(
          'cap',
          'Ignition off: look at cap and lead: cracked, wet, loose, burnt?',
          ['yes', 'coil'],
          ['all well', '?cutout'],
        ),
      ),
      careful(
        WIRING,
        test(
          'cutout',
          'Stop switch, side-stand, fall sensor: each unplugged, cleaned, looked at [measure current]',
          ['one is dead', 'switch'],
          ['all well', 'coil'],
        ),
      ),
      careful(
        `${FUEL} ${RAIL}`,
        test(
          'flow',
          'Ignition off, engine cold, the plug back in. Carburettor: drain its bowl into a can. Injection: leave the line shut, and listen to the pump again',
          ['hardly, or no hum', 'fuel-pump'],
          ['with bubbles of water', 'bad-fuel'],
          ['well', 'air-filter'],
        ),
      ),
    ],
  },
  {
    id: 'misfire',
    symptom: 'It runs badly or dies under load',
    tests: [
      careful(
        'Dust that an engine breathes wears it out: on clean ground only, and the filter goes back at once.',
        test(
          'air',
          'Engine off: air filter out; run it for a moment: better? {air filter}',
          ['yes', 'air-filter'],
          ['no', '?cap-off'],
        ),
      ),
      careful(
        LIVE,
        test(
          'cap-off',
          'Ignition off: plug cap pressed on until it clicks. Running, in the dark, from a step away: sparks beside the lead?',
          ['yes', 'coil'],
          ['no', '?vent'],
        ),
      ),
      careful(
        FUEL,
        test(
          'vent',
          'Engine off: open the tank’s cap: does it suck air in, and does it run well afterwards?',
          ['yes: its vent is blocked', 'bad-fuel'],
          ['no', '?plugseen'],
        ),
      ),
      careful(
        PLUG_HOT,
        test(
          'plugseen',
          'Ignition off, engine cool: plug out: black, white or wet? {plug}',
          ['black or wet', 'plug-fouled'],
          ['white', 'fuel-pump'],
          ['brown', '?volts2'],
        ),
      ),
      careful(
        PROBE,
        test(
          'volts2',
          'Plug back in, in neutral: volts at the battery at speed [measure current]',
          ['under 13.5', 'charging'],
          ['13.5 to 14.8', 'coil'],
          ['over 14.8', 'charging'],
        ),
      ),
    ],
  },
  {
    id: 'no-light',
    symptom: 'No light, or a dead circuit',
    tests: [
      test('one', 'One lamp, or several?', ['one', '?bulbseen'], ['several', '?fuseseen']),
      careful(
        'A bulb that just burned is hot enough to blister: let it cool.',
        test('bulbseen', 'Ignition off: bulb out: is its wire whole?', ['broken', 'bulb'], ['whole', '?earth']),
      ),
      careful(
        WIRING,
        test('fuseseen', 'Ignition off: fuse of that circuit {fuse box}', ['blown', 'fuse'], ['whole', '?earth']),
      ),
      careful(
        PROBE,
        test(
          'earth',
          'Test lamp from the lamp’s plus to bare metal of the frame [measure current]',
          ['it lights: the earth is bad', 'battery-terminal'],
          ['it does not', 'fuse'],
        ),
      ),
    ],
  },
  {
    id: 'hot',
    symptom: 'It overheats',
    tests: [
      careful(
        COOLANT,
        test(
          'puddle',
          'Engine off, a step back. Is there a puddle, or steam?',
          ['from a hose', 'coolant-hose'],
          ['from the fins', 'radiator'],
          ['none', '?mud'],
        ),
      ),
      test('mud', 'Mud between the fins?', ['yes', 'overheating'], ['no', '?fan']),
      careful(
        'A fan starts by itself and cuts: hands and sleeves away from it.',
        test('fan', 'Running, hot: does the fan turn?', ['no', '?fanfuse'], ['yes', 'overheating']),
      ),
      careful(
        WIRING,
        test('fanfuse', 'Ignition off: fuse of the fan {fuse box}', ['blown', 'fuse'], ['whole', 'overheating']),
      ),
    ],
  },
  {
    id: 'wobble',
    symptom: 'It wobbles or pulls',
    tests: [
      test(
        'tyre',
        'Thumb on both tyres: soft?',
        ['soft, tubed', 'puncture-tube'],
        ['soft, tubeless', 'puncture-tubeless'],
        ['hard', '?axle'],
      ),
      careful(
        LIFT,
        test(
          'axle',
          'Wheel off the ground: axle, pinch bolts and swing arm by hand: play?',
          ['an axle', 'spacer-lost'],
          ['the wheel on its bearing', 'wheel-bearing'],
          ['none', '?spoke'],
        ),
      ),
      test('spoke', 'Tap the spokes: one dull?', ['yes', 'spokes'], ['no', '?bars']),
      test('bars', 'Bars straight when the wheel is?', ['no', 'forks-twisted'], ['yes', '?load']),
      test('load', 'Luggage even and tight?', ['no', 'luggage'], ['yes', 'fastener-loose']),
    ],
  },
];
