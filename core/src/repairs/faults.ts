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
  /** Number of the answer that is seen where the fault is none that this test looks for. */
  sound: number;
  /** The answer that another cause shows where it is not the sound one, by `<test> <number of the answer>` at which that cause's search ends. */
  instead: Readonly<Record<string, number>>;
  /** Not done while it may still be one of these troubles: it would make them worse. */
  never: readonly string[];
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
  // Where all is well the search goes on, or it ends in what is left.
  sound:
    answers.findIndex(([, then]) => then.startsWith('?')) < 0
      ? answers.length - 1
      : answers.findIndex(([, then]) => then.startsWith('?')),
  instead: {},
  never: [],
});

/** A test that can hurt, with its caution. */
const careful = (caution: string, t: Test): Test => ({ ...t, caution });

/** A test whose sound answer is another than the one that leads on, or that is not done while it may be something. */
const but = (more: Partial<Pick<Test, 'sound' | 'instead' | 'never'>>, t: Test): Test => ({ ...t, ...more });

const PROBE =
  'A probe that slips from positive to metal makes sparks and burns: hold it by its insulation, and keep other metal away.';
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
        'Ignition on: wiggle both leads at the battery’s terminals by hand. Do the lamps flicker?',
        ['they flicker: a lead is loose', 'battery-terminal'],
        ['nothing changes', '?volts'],
      ),
      careful(
        PROBE,
        test(
          'volts',
          'Measure the volts at the battery’s terminals [measure current]',
          ['under 12', 'battery'],
          ['12 or more', '?mainfuse'],
        ),
      ),
      careful(
        WIRING,
        test(
          'mainfuse',
          'Ignition off: look at the main fuse {fuse box}',
          ['blown', 'fuse'],
          ['whole: follow the wire to the lock', 'fuse'],
        ),
      ),
      but(
        { sound: 2 },
        test(
          'stand',
          'Side-stand up, neutral, clutch in: does it turn now?',
          ['yes', 'switch'],
          ['no, a click', '?click'],
          ['no, silence', '?relay'],
        ),
      ),
      test('click', 'Lamps on, press the button: do they go dim?', ['yes', 'battery'], ['no', 'starter']),
      careful(
        PROBE,
        test(
          'relay',
          'Neutral: measure the volts at the relay’s thin wire while you press the button [measure current]',
          ['none', 'switch'],
          ['12 or so', 'starter'],
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
          'Is there fuel, and is the tap open? Switch the ignition on: does the pump hum, where there is one?',
          ['no fuel', 'out-of-fuel'],
          ['no hum', 'fuel-pump'],
          ['all well', '?wet'],
        ),
      ),
      careful(
        'Water in a cylinder bends the engine: do not press the starter again before this is answered.',
        test('wet', 'Was it in water, or is there water in the air box? {seat}', ['yes', 'drowned'], ['no', '?smell']),
      ),
      careful(
        PLUG_HOT,
        test(
          'smell',
          'Ignition off, engine cool: screw the plug out. Is it wet with fuel? {plug}',
          ['wet: fuel comes, dry it', 'plug-fouled'],
          ['dry', '?spark'],
        ),
      ),
      careful(
        `${SPARKS} ${LIVE}`,
        but(
          { sound: 1, never: ['drowned'] },
          test(
            'spark',
            'Close the plug hole with a rag; wipe up spilt fuel and air the place. Put a good plug in the cap, on bare engine metal well away from the hole, held with dry, insulated pliers; turn the engine: a spark? [grip]',
            ['none', '?cap'],
            ['blue and loud', '?flow'],
            ['weak, yellow', 'plug-fouled'],
          ),
        ),
      ),
      careful(
        `${SPARKS} ${LIVE}`,
        test(
          'cap',
          'Ignition off: are cap or lead cracked, wet, loose or burnt?',
          ['yes', 'coil'],
          ['all well', '?cutout'],
        ),
      ),
      careful(
        WIRING,
        test(
          'cutout',
          'Ignition off: unplug, clean and measure the stop switch, the side-stand’s switch and the fall sensor, one by one [measure current]',
          ['one is dead', 'switch'],
          ['all well', 'coil'],
        ),
      ),
      careful(
        `${FUEL} ${RAIL}`,
        test(
          'flow',
          'Ignition off, engine cold, the plug back in. Carburettor: drain its bowl into a can. Injection: leave the line closed, and listen to the pump again',
          ['hardly any fuel comes', 'carburettor'],
          ['no hum', 'fuel-pump'],
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
        'Dust that an engine breathes in wears it out: do this away from dust, and put the filter back at once.',
        test(
          'air',
          'Engine off: take the air filter out, then run the engine for a moment. Is it better? {air filter}',
          ['yes', 'air-filter'],
          ['no', '?cap-off'],
        ),
      ),
      careful(
        LIVE,
        test(
          'cap-off',
          'Ignition off: press the plug’s cap on until it clicks. Then look at the running engine in the dark, from a step away: sparks beside the lead?',
          ['yes', 'coil'],
          ['no', '?vent'],
        ),
      ),
      careful(
        FUEL,
        test(
          'vent',
          'Engine off: open the tank’s cap. Does it suck air in, and does the engine run well afterwards?',
          ['yes: its vent is blocked', 'tank-vent'],
          ['no', '?plugseen'],
        ),
      ),
      careful(
        PLUG_HOT,
        test(
          'plugseen',
          'Ignition off, engine cool: screw the plug out. Is it black, white or wet? {plug}',
          ['black or wet', 'plug-fouled'],
          ['white, injection', 'fuel-pump'],
          ['white, carburettor', 'carburettor'],
          ['brown', '?volts2'],
        ),
      ),
      careful(
        PROBE,
        but(
          { sound: 1 },
          test(
            'volts2',
            'Plug back in, neutral, engine at speed: measure the volts at the battery [measure current]',
            ['under 13.5', 'charging'],
            ['13.5 to 14.8', 'coil'],
            ['over 14.8', 'charging'],
          ),
        ),
      ),
    ],
  },
  {
    id: 'no-light',
    symptom: 'No light, or a dead circuit',
    tests: [
      test('one', 'Is one lamp dead, or several?', ['one', '?bulbseen'], ['several', '?fuseseen']),
      careful(
        'A bulb that just burned is hot enough to blister: let it cool.',
        test(
          'bulbseen',
          'Ignition off: take the bulb out. Is its wire whole?',
          ['broken', 'bulb'],
          ['whole', '?earth'],
        ),
      ),
      careful(
        WIRING,
        test(
          'fuseseen',
          'Ignition off: look at the fuse of that circuit {fuse box}',
          ['blown', 'fuse'],
          ['whole', '?earth'],
        ),
      ),
      careful(
        PROBE,
        but(
          { sound: 0, instead: { 'fuseseen 0': 1 } },
          test(
            'earth',
            'Connect a test lamp from the lamp’s positive wire to bare metal of the frame [measure current]',
            ['it lights: the earth wire is bad, clean it like a terminal', 'battery-terminal'],
            ['it does not: a wire is broken', 'fuse'],
          ),
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
          'Engine off, step back. Is there a puddle, or steam?',
          ['from a hose', 'coolant-hose'],
          ['from the fins', 'radiator'],
          ['none', '?mud'],
        ),
      ),
      test('mud', 'Is there mud between the fins?', ['yes', 'overheating'], ['no', '?fan']),
      careful(
        'A fan starts by itself and cuts: hands and sleeves away from it.',
        but(
          { sound: 1, never: ['coolant-hose', 'radiator'] },
          test('fan', 'Engine running and hot: does the fan turn?', ['no', '?fanfuse'], ['yes', 'overheating']),
        ),
      ),
      careful(
        WIRING,
        test(
          'fanfuse',
          'Ignition off: look at the fuse of the fan {fuse box}',
          ['blown', 'fuse'],
          ['whole', 'overheating'],
        ),
      ),
    ],
  },
  {
    id: 'wobble',
    symptom: 'It wobbles or pulls',
    tests: [
      test(
        'tyre',
        'Press both tyres with your thumb: is one soft?',
        ['soft, tubed', 'puncture-tube'],
        ['soft, tubeless', 'puncture-tubeless'],
        ['hard', '?axle'],
      ),
      careful(
        LIFT,
        test(
          'axle',
          'Raise each wheel and pull at it by hand, to the sides and at the top: what has play?',
          ['an axle: its nut or a spacer is gone', 'spacer-lost'],
          ['an axle, swing arm or steering: its nut is loose', 'fastener-loose'],
          ['the wheel on its bearing', 'wheel-bearing'],
          ['none', '?spoke'],
        ),
      ),
      test('spoke', 'Tap the spokes: does one sound dull?', ['yes', 'spokes'], ['no', '?bars']),
      test('bars', 'Are the bars straight when the wheel is?', ['no', 'forks-twisted'], ['yes', '?load']),
      test('load', 'Is the luggage tight, and even on both sides?', ['no', 'luggage'], ['yes', 'fastener-loose']),
    ],
  },
];
