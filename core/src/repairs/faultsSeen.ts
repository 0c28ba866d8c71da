import { careful, test, tree, type FaultTree } from './faultTree.js';
import { AID, BRAKES, COOLANT, FUEL, LIFT } from './words.js';

const SAFE_FIRST = 'First get away from traffic and secure the place: engine off, lights on.';
const HURT_FIRST = `${SAFE_FIRST} Call the local emergency number where anybody may be badly hurt. ${AID}`;

/** Searches from what is seen, heard or smelt on the way, or after a fall. */
export const SEEN_TREES: readonly FaultTree[] = [
  tree({
    id: 'cuts-out',
    symptom: 'It cuts out while riding',
    words: 'dies stalls stops suddenly cuts out engine off',
    tests: [
      test(
        'stand-sw',
        'Do lamps and display go out with it?',
        ['yes, all dark', '?terminals'],
        ['no, they stay on', '?tank'],
      ),
      test(
        'terminals',
        'Ignition off: wiggle both leads at the battery by hand. Is one loose?',
        ['yes', 'battery-terminal'],
        ['no: look at the main fuse', 'fuse'],
      ),
      careful(
        FUEL,
        test(
          'tank',
          'Ignition off, engine cool: is there fuel in the tank?',
          ['none', 'out-of-fuel'],
          ['enough', '?cap'],
        ),
      ),
      careful(
        FUEL,
        test(
          'cap',
          'Engine off: open the tank’s cap. Does it suck air in, and does it run afterwards?',
          ['yes', 'tank-vent'],
          ['no', '?fell'],
        ),
      ),
      test(
        'fell',
        'Was it in water or on its side just before?',
        ['in water', 'drowned'],
        ['on its side', 'plug-fouled'],
        ['no', '?warm'],
      ),
      test(
        'warm',
        'Does it start again when it is cool, and die when it is hot?',
        ['yes', 'coil'],
        ['no, it is always the same', '?side'],
      ),
      test(
        'side',
        'Does it die when the side-stand moves, or when you turn the bars?',
        ['yes', 'switch'],
        ['no', 'fuel-pump'],
      ),
    ],
  }),
  tree({
    id: 'leaks',
    symptom: 'Something drips',
    words: 'leak puddle oil fuel petrol coolant fluid wet drip',
    first: `${FUEL} ${BRAKES}`,
    tests: [
      careful(
        BRAKES,
        test(
          'at-brake',
          'Is it wet at a brake’s hose, calliper or lever?',
          ['yes', 'brake-line'],
          ['no', '?smell-fuel'],
        ),
      ),
      careful(
        FUEL,
        test(
          'smell-fuel',
          'Does it smell of fuel?',
          ['yes, from a hose', 'fuel-hose'],
          ['yes, from the carburettor', 'carburettor'],
          ['no', '?watery'],
        ),
      ),
      careful(
        COOLANT,
        test(
          'watery',
          'Is it coloured and watery? From where does it come?',
          ['from a hose', 'coolant-hose'],
          ['from the fins', 'radiator'],
          ['from the cap', 'radiator-cap'],
          ['it is oil', '?oil-ring'],
        ),
      ),
      test('oil-ring', 'Is there a ring of oil on a fork leg?', ['yes', 'fork-seal'], ['no', '?oil-where']),
      test(
        'oil-where',
        'Wipe it dry and look where it comes from',
        ['a crack in a case', 'case'],
        ['a seal, plug or filter', 'oil-leak'],
        ['the final drive', 'shaft-leak'],
      ),
    ],
  }),
  tree({
    id: 'smells',
    symptom: 'It smells',
    words: 'smell burning rubber fuel sweet hot plastic clutch',
    first: FUEL,
    tests: [
      careful(FUEL, test('of-fuel', 'Does it smell of fuel?', ['yes', 'fuel-hose'], ['no', '?of-burning'])),
      test(
        'of-burning',
        'Something burnt: does it lie against the exhaust?',
        ['luggage or a strap does', 'luggage'],
        ['a wire does', 'fuse'],
        ['nothing does', '?of-clutch'],
      ),
      test('of-clutch', 'Do the revs rise while it hardly pulls?', ['yes', 'clutch-burnt'], ['no', '?of-sweet']),
      careful(
        COOLANT,
        test(
          'of-sweet',
          'Sweet, or of hot oil?',
          ['sweet', 'coolant-hose'],
          ['hot oil', 'oil-leak'],
          ['neither', 'exhaust-leak'],
        ),
      ),
    ],
  }),
  tree({
    id: 'noise',
    symptom: 'A new noise',
    words: 'noise rattle clunk grind squeal bang knock click sound',
    tests: [
      test('when', 'Does it come when you brake?', ['yes: a grinding', 'pads'], ['no', '?bark']),
      test(
        'bark',
        'Is it a bark from the exhaust, louder under load?',
        ['a fixing is gone', 'exhaust'],
        ['a joint blows', 'exhaust-leak'],
        ['no', '?wheel-noise'],
      ),
      careful(
        LIFT,
        test(
          'wheel-noise',
          'Raise each wheel and turn it by hand: what do you hear?',
          ['a grinding at the hub', 'wheel-bearing'],
          ['the chain slaps or jumps', 'chain-slack'],
          ['teeth that are hooked', 'sprocket-worn'],
          ['nothing', '?tap'],
        ),
      ),
      test(
        'tap',
        'Tap and pull at guards, racks, pegs and mirrors: what rattles?',
        ['a fastener is loose', 'fastener-loose'],
        ['the luggage', 'luggage'],
        ['nothing', 'fastener-lost'],
      ),
    ],
  }),
  tree({
    id: 'brakes',
    symptom: 'A brake is weak, or drags',
    words: 'brake lever soft spongy weak drags squeals no brake pedal',
    first: BRAKES,
    tests: [
      careful(
        BRAKES,
        test(
          'bent',
          'Is the lever or pedal broken or bent?',
          ['the lever', 'brake-lever'],
          ['the pedal', 'brake-pedal'],
          ['no', '?to-bar'],
        ),
      ),
      careful(
        BRAKES,
        test(
          'to-bar',
          'Does the lever come to the bars, or feel soft?',
          ['yes', '?fluid'],
          ['no, it is firm', '?thick'],
        ),
      ),
      careful(
        BRAKES,
        test('fluid', 'Is it wet at hose, calliper or lever?', ['yes', 'brake-line'], ['no', 'brake-soft']),
      ),
      careful(
        BRAKES,
        test(
          'thick',
          'Look at the pads: are they thinner than a coin?',
          ['yes', 'pads'],
          ['no: it drags or is hot', 'brake-soft'],
        ),
      ),
    ],
  }),
  tree({
    id: 'clutch-gears',
    symptom: 'Clutch or gears',
    words: 'clutch lever cable gear shift pedal slips will not shift drive chain off',
    tests: [
      test('lever-seen', 'Is the clutch lever whole?', ['broken', 'clutch-lever'], ['whole', '?cable-seen']),
      test(
        'cable-seen',
        'Does the lever pull hard, or not at all?',
        ['not at all: the cable', 'control-cable'],
        ['as always', '?pedal-seen'],
      ),
      test('pedal-seen', 'Is the gear pedal bent or gone?', ['yes', 'gear-pedal'], ['no', '?chain-seen']),
      test(
        'chain-seen',
        'Look at chain and sprockets, engine off',
        ['the chain is off', 'chain-off'],
        ['the chain is broken', 'chain'],
        ['a sprocket is loose', 'sprocket'],
        ['all well', 'clutch-burnt'],
      ),
    ],
  }),
  tree({
    id: 'flat',
    symptom: 'A tyre is flat',
    words: 'flat puncture tyre tire air nail thorn plug soft',
    tests: [
      test(
        'cut-seen',
        'Is the tyre cut, torn, or off its rim?',
        ['cut or torn', 'tyre-torn'],
        ['off its rim', 'bead'],
        ['no', '?core-seen'],
      ),
      test('core-seen', 'Wet the valve: do bubbles come from it?', ['yes', 'valve-core'], ['no', '?over-night']),
      test(
        'over-night',
        'Did it go down within minutes?',
        ['yes, with a tube in it', 'puncture-tube'],
        ['yes, tubeless', 'puncture-tubeless'],
        ['no, over night', 'slow-leak'],
      ),
    ],
  }),
  tree({
    id: 'fallen',
    symptom: 'After a fall',
    words: 'fall crash fell down dropped slid bent broken',
    inOrder: true,
    first: HURT_FIRST,
    tests: [
      careful(
        AID,
        test(
          'you',
          'Is anybody hurt? Feel for pain before you move.',
          ['badly', 'injury-serious'],
          ['a little', 'injury'],
          ['no', '?drips'],
        ),
      ),
      careful(
        FUEL,
        test(
          'drips',
          'Ignition off, bike upright: does fuel or oil run out?',
          ['fuel', 'fuel-hose'],
          ['oil', 'case'],
          ['no', '?levers'],
        ),
      ),
      careful(
        BRAKES,
        test(
          'levers',
          'Levers and pedals: is one broken or bent?',
          ['clutch lever', 'clutch-lever'],
          ['brake lever', 'brake-lever'],
          ['gear pedal', 'gear-pedal'],
          ['brake pedal', 'brake-pedal'],
          ['none', '?straight'],
        ),
      ),
      careful(
        BRAKES,
        test(
          'straight',
          'Wheel straight ahead: are bars and forks straight?',
          ['the bars are bent', 'bars'],
          ['they are twisted', 'forks-twisted'],
          ['straight', '?behind'],
        ),
      ),
      test(
        'behind',
        'Radiator, pegs, rack and tail: what is damaged?',
        ['the radiator', 'radiator'],
        ['a foot peg', 'foot-peg'],
        ['the tail or rack', 'subframe'],
        ['nothing', 'fastener-loose'],
      ),
    ],
  }),
  tree({
    id: 'stuck-in',
    symptom: 'Stuck, or drowned',
    words: 'stuck mud sand ditch bog water drowned river crossing',
    tests: [
      careful(
        'Water in a cylinder bends the engine: do not press the starter before this is answered.',
        test(
          'intake',
          'Was the air intake under water, or did the engine stop in it?',
          ['yes', 'drowned'],
          ['no', '?sunk'],
        ),
      ),
      test(
        'sunk',
        'Is it sunk in, or does it only not start?',
        ['sunk in', 'stuck'],
        ['it lay on its side and floods', 'plug-fouled'],
        ['it is wet and misfires', 'wet-electrics'],
      ),
    ],
  }),
  tree({
    id: 'hurt',
    symptom: 'Somebody is hurt',
    words: 'hurt injured blood bleeding pain unconscious burn sting heat cold ill',
    inOrder: true,
    first: HURT_FIRST,
    tests: [
      careful(
        AID,
        test('awake', 'Do they answer, and breathe as always?', ['no', 'injury-serious'], ['yes', '?blood']),
      ),
      careful(
        AID,
        test(
          'blood',
          'Is there much blood, or a limb out of shape?',
          ['much blood', 'bleeding'],
          ['a limb', 'injury-serious'],
          ['no', '?kind'],
        ),
      ),
      careful(
        AID,
        test(
          'kind',
          'What is it?',
          ['a burn', 'burn'],
          ['an eye', 'eye'],
          ['a bite or sting', 'bite'],
          ['heat or thirst', 'heat-thirst'],
          ['a graze or blister', 'injury'],
        ),
      ),
    ],
  }),
];
