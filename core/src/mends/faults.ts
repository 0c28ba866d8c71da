import { readStep, type WayStep } from './way.js';

/** One question of a search for a fault: what to try, and where each answer leads. */
export interface Test {
  id: string;
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
  step: readStep(line),
  answers: answers.map(([seen, then]) => ({
    seen,
    then: then.startsWith('?') ? { test: then.slice(1) } : { trouble: then },
  })),
});

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
        'Wiggle both poles of the battery',
        ['it flickers: loose', 'battery-terminal'],
        ['nothing changes', '?volts'],
      ),
      test('volts', 'Volts at the poles [measure current]', ['under 12', 'battery'], ['12 or more', '?mainfuse']),
      test('mainfuse', 'Look at the main fuse {fuse box}', ['blown', 'fuse'], ['whole', 'starter']),
      test(
        'stand',
        'Stand up, clutch in, neutral: does it turn now?',
        ['yes', 'switch'],
        ['no, a click', '?click'],
        ['no, silence', '?relay'],
      ),
      test('click', 'Lamps on while pressing: do they go dim?', ['yes', 'battery'], ['no', 'starter']),
      test(
        'relay',
        'Volts at the relay’s thin wire while pressing [measure current]',
        ['none', 'switch'],
        ['there are', 'starter'],
      ),
    ],
  },
  {
    id: 'no-spark',
    symptom: 'It turns but does not fire',
    tests: [
      test(
        'fuel',
        'Is there fuel, is the tap open, does the pump hum?',
        ['no fuel', 'out-of-fuel'],
        ['no hum', 'fuel-pump'],
        ['all well', '?wet'],
      ),
      test('wet', 'Was it in water, or does the air box hold some? {seat}', ['yes', 'drowned'], ['no', '?spark']),
      test(
        'spark',
        'Plug out, on the engine, lead held with dry pliers: a spark? {plug} [grip]',
        ['none', '?cap'],
        ['blue and loud', '?smell'],
        ['weak, yellow', 'plug-fouled'],
      ),
      test('cap', 'Without the cap, lead near the engine: a spark?', ['yes', 'plug-fouled'], ['none', '?cutout']),
      test(
        'cutout',
        'Stop switch, side stand, fall sensor: unplug and look [measure current]',
        ['one is dead', 'switch'],
        ['all well', 'coil'],
      ),
      test('smell', 'Plug wet with fuel?', ['wet', 'plug-fouled'], ['dry', '?flow']),
      test(
        'flow',
        'Hose off the carburettor or rail, into a can: does it flow?',
        ['hardly', 'fuel-pump'],
        ['with bubbles of water', 'bad-fuel'],
        ['well', 'air-filter'],
      ),
    ],
  },
  {
    id: 'misfire',
    symptom: 'It runs badly or dies under load',
    tests: [
      test('air', 'Air filter out for a moment: better?', ['yes', 'air-filter'], ['no', '?cap-off']),
      test(
        'cap-off',
        'Plug cap pressed on, lead looked at in the dark: sparks beside it?',
        ['yes', 'coil'],
        ['no', '?vent'],
      ),
      test('vent', 'Tank cap open: better?', ['yes', 'bad-fuel'], ['no', '?plugseen']),
      test(
        'plugseen',
        'Plug out: black, white or wet? {plug}',
        ['black or wet', 'plug-fouled'],
        ['white', 'fuel-pump'],
        ['brown', '?volts2'],
      ),
      test(
        'volts2',
        'Volts at the battery at speed [measure current]',
        ['under 13.5', 'charging'],
        ['13.5 to 14.8', 'coil'],
        ['over 14.8', 'charging'],
      ),
    ],
  },
  {
    id: 'no-light',
    symptom: 'No light, or a dead circuit',
    tests: [
      test('one', 'One lamp, or several?', ['one', '?bulbseen'], ['several', '?fuseseen']),
      test('bulbseen', 'Bulb out: is its wire whole?', ['broken', 'bulb'], ['whole', '?earth']),
      test('fuseseen', 'Fuse of that circuit {fuse box}', ['blown', 'fuse'], ['whole', '?earth']),
      test(
        'earth',
        'Bridge the lamp’s earth to the frame [measure current]',
        ['it lights', 'battery-terminal'],
        ['it does not', 'fuse'],
      ),
    ],
  },
  {
    id: 'hot',
    symptom: 'It overheats',
    tests: [
      test(
        'puddle',
        'Engine off. Is there a puddle, or steam?',
        ['from a hose', 'coolant-hose'],
        ['from the fins', 'radiator'],
        ['none', '?mud'],
      ),
      test('mud', 'Mud between the fins?', ['yes', 'overheating'], ['no', '?fan']),
      test('fan', 'Does the fan turn when hot?', ['no', '?fanfuse'], ['yes', 'overheating']),
      test('fanfuse', 'Fuse of the fan {fuse box}', ['blown', 'fuse'], ['whole', 'overheating']),
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
      test(
        'axle',
        'Axles, pinch bolts, swing arm by hand: play?',
        ['an axle', 'spacer-lost'],
        ['the wheel on its bearing', 'wheel-bearing'],
        ['none', '?spoke'],
      ),
      test('spoke', 'Tap the spokes: one dull?', ['yes', 'spokes'], ['no', '?bars']),
      test('bars', 'Bars straight when the wheel is?', ['no', 'forks-twisted'], ['yes', '?load']),
      test('load', 'Luggage even and tight?', ['no', 'luggage'], ['yes', 'fastener-loose']),
    ],
  },
];
