import { but, careful, LIVE, PROBE, test, tree, type FaultTree } from './faultTree.js';
import { SEEN_TREES } from './faultsSeen.js';
import { COOLANT, FUEL, LIFT, PLUG_HOT, RAIL, SPARKS, WIRING } from './words.js';

/** Searches from what a rider sees to what it is, the quick and the likely first. */
export const FAULT_TREES: readonly FaultTree[] = [
  tree({
    id: 'no-crank',
    words: 'no start dead starter button silent click battery',
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
  }),
  tree({
    id: 'no-spark',
    words: 'no start turns does not fire cranks spark',
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
  }),
  tree({
    id: 'misfire',
    words: 'runs badly stutters hesitates dies misfires weak',
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
  }),
  tree({
    id: 'no-light',
    words: 'lights electrics dark lamp dead bulb fuse',
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
  }),
  tree({
    id: 'hot',
    words: 'overheats temperature steam boils fan',
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
  }),
  tree({
    id: 'wobble',
    words: 'wobble pulls shakes weaves handling steering',
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
  }),
  ...SEEN_TREES,
];
