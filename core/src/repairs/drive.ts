import { per, trouble, type Trouble } from './trouble.js';
import { STRAP_ON, STRAP_TRIED } from './steps.js';
import { way } from './way.js';
import { BRAKES, BY_HAND, FUEL, PUSHED, TOWING, WALKING_PACE } from './words.js';

const TOW = way(
  'Be towed by a companion',
  'limp',
  15,
  2,
  [
    '(chain) Take a broken or thrown chain off first, so that it locks nothing',
    ...STRAP_ON,
    'Agree on signs: stop, slower, I let go',
  ],
  [STRAP_TRIED, 'Switch the ignition on for the lights', 'Go no faster than a bicycle, both brakes ready'],
  { when: ['company'], travel: { over: 'workshop', speed: 'towing' }, caution: TOWING },
);

/** Chain, sprockets, clutch, levers and cables. */
export const DRIVE: Trouble[] = [
  trouble({
    id: 'chain',
    name: 'Chain broken',
    subject: 'drive',
    rate: per(0.0015, 0.003, 0.006),
    only: { drive: 'chain' },
    ways: [
      way(
        'New joining link',
        'proper',
        48,
        2,
        [
          'Switch the engine off, neutral',
          'Slacken axle and adjusters {rear axle} {chain adjuster?}',
          'Find all of the chain: none may be jammed at the front sprocket',
          'Look for cracks in the case behind it',
          'Press the broken link out [open chain]',
        ],
        [
          'Lay the chain over both sprockets, its ends together on the rear one',
          'Push the new link in from behind with its rings, and press its side plate on <chain link> [grip]',
          'Clip link: press the clip into both grooves, its closed end leading in the direction the chain runs, its open end trailing [grip]',
          'Rivet link: press it and flare it with its tool; both flares must be even, and the link must move [open chain]',
          'Set the play with both adjusters at the same mark {chain adjuster?}',
          'Tighten the axle {rear axle}',
        ],
        {
          caution: `A chain takes fingers off at the sprocket: engine off, and turn the wheel by the tyre. ${BY_HAND}`,
          second: 8,
          better: [['[lay out]', 4]],
        },
      ),
      TOW,
      way(
        'Coast and push to the road',
        'limp',
        10,
        1,
        [
          'Take the chain off, so that it locks nothing',
          'Push, and let it roll downhill only as fast as you can brake',
        ],
        [],
        {
          travel: PUSHED,
          caution: 'A chain takes fingers off at the sprocket: engine off, and turn the wheel by the tyre.',
        },
      ),
    ],
  }),
  trouble({
    id: 'belt',
    name: 'Drive belt torn',
    subject: 'drive',
    rate: per(0.0005, 0.001, 0.003),
    only: { drive: 'belt' },
    ways: [
      TOW,
      way(
        'Coast and push to the road',
        'limp',
        10,
        1,
        [
          'Take what is left of the belt off, so that it locks nothing',
          'Push, and let it roll downhill only as fast as you can brake',
        ],
        [],
        {
          travel: PUSHED,
          caution: 'A belt takes fingers off at the pulley: engine off, and turn the wheel by the tyre.',
        },
      ),
    ],
  }),
  trouble({
    id: 'chain-off',
    name: 'Chain thrown off',
    subject: 'drive',
    rate: per(0.0015, 0.003, 0.009),
    only: { drive: 'chain' },
    ways: [
      way(
        'Slacken, lay it on, set it',
        'proper',
        30,
        2,
        [
          'Switch the engine off, neutral',
          'Slacken axle and adjusters and push the wheel forward {rear axle} {chain adjuster?}',
          'Lever the chain out of where it jams [pry]',
          'Look at case and sprocket for cracks',
        ],
        [
          'Lay it on both sprockets',
          'Set the play with both adjusters at the same mark {chain adjuster?}',
          'Tighten the axle {rear axle}',
        ],
        {
          caution: `A chain takes fingers off at the sprocket: engine off, and turn the wheel by the tyre. ${BY_HAND}`,
        },
      ),
      way(
        'Roll it on',
        'ride-out',
        15,
        1,
        [
          'Switch the engine off, neutral',
          'Lay the chain on the lower edge of the rear sprocket',
          'Turn the wheel by the tyre, fingers away, until it jumps on',
        ],
        ['Look for bent teeth and stiff links'],
        {
          holds: 0.5,
          lasts: { km: 60, kmh: 50 },
          caution: 'A chain takes fingers off at the sprocket: turn the wheel by the tyre.',
        },
      ),
      TOW,
    ],
  }),
  trouble({
    id: 'sprocket',
    name: 'Sprocket bolt lost',
    subject: 'drive',
    rate: per(0.003, 0.008, 0.015),
    only: { drive: 'chain' },
    ways: [
      way(
        'New bolt, all the others tight',
        'proper',
        36,
        2,
        ['Engine off: try every bolt of the sprocket {sprocket}'],
        [
          'Put threadlocker on the new bolt and fit it <bolt M8> <threadlocker>',
          'Tighten all of them crosswise {sprocket}',
        ],
        { caution: BY_HAND },
      ),
      way(
        'Tighten what is left',
        'ride-out',
        15,
        1,
        ['Engine off: tighten all the bolts that are left, crosswise {sprocket}'],
        [],
        {
          caution: `The bolts that are left carry more: go gently on the throttle. ${BY_HAND}`,
          lasts: { km: 100, kmh: 50 },
          ruin: 'hard throttle; a second bolt gone',
        },
      ),
    ],
  }),
  trouble({
    id: 'chain-slack',
    name: 'Chain slack or kinked',
    subject: 'drive',
    rate: per(0.02, 0.05, 0.12),
    only: { drive: 'chain' },
    stops: false,
    nuisance: 0.6,
    ways: [
      way(
        'Set its play',
        'proper',
        20,
        1,
        [
          'Engine off: slacken the axle {rear axle}',
          'Turn both adjusters evenly and measure the play midway between the sprockets [measure] {chain adjuster?}',
          'Measure that both sides stand at the same mark [measure]',
        ],
        ['Tighten the axle and check the play again {rear axle}', 'Lubricate the chain <chain lube>'],
        { caution: BY_HAND },
      ),
      way(
        'By the marks, by eye',
        'ride-out',
        20,
        1,
        [
          'Engine off: slacken the axle {rear axle}',
          'Turn both adjusters by the same number of turns {chain adjuster?}',
        ],
        ['Look along the chain from behind: it must run straight', 'Tighten the axle {rear axle}'],
        { caution: BY_HAND },
      ),
    ],
  }),
  trouble({
    id: 'sprocket-worn',
    name: 'Chain jumps on worn teeth',
    subject: 'drive',
    rate: per(0.001, 0.003, 0.006),
    only: { drive: 'chain' },
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'Play to its tight end, gentle throttle',
        'ride-out',
        25,
        2,
        [
          'Engine off: slacken the axle {rear axle}',
          'Turn both adjusters evenly, to the tight end of the manual’s play [measure] {chain adjuster?}',
        ],
        [
          'Tighten the axle and check the play again {rear axle}',
          'Ride at low revs without hard throttle, and check it at every stop',
        ],
        {
          caution: `A chain that jumps can lock the wheel: ride slowly, and have chain and sprockets replaced together. ${BY_HAND}`,
          lasts: { km: 150, kmh: 60 },
          ruin: 'hard throttle, deep ground',
        },
      ),
      way('Walking pace to the road', 'limp', 5, 1, ['Ride in first gear with hardly any throttle'], [], {
        travel: WALKING_PACE,
      }),
    ],
  }),
  trouble({
    id: 'clutch-burnt',
    name: 'Clutch burnt or slipping',
    subject: 'drive',
    rate: per(0.0005, 0.001, 0.006),
    ways: [
      way(
        'Cool, set the play, ride gently',
        'ride-out',
        45,
        2,
        [
          'Switch the engine off and let the clutch cool for half an hour',
          'Cold: set the lever’s free play to the manual’s figure, by hand at its adjuster',
        ],
        ['Ride in a high gear with little throttle; do not slip the clutch'],
        {
          holds: 0.4,
          lasts: { km: 100, kmh: 60 },
          ruin: 'steep or deep ground, heat',
          caution: 'A hot clutch has no free play to set: let it cool before you adjust it.',
        },
      ),
      TOW,
    ],
  }),
  trouble({
    id: 'control-cable',
    name: 'Clutch cable broken',
    subject: 'controls',
    rate: per(0.002, 0.004, 0.01),
    ways: [
      way(
        'New inner',
        'proper',
        60,
        2,
        ['Screw the adjuster all the way in by hand', 'Unhook both ends and pull the old inner cable out [grip]'],
        [
          'Thread the new inner cable in <cable inner>',
          'Fit its nipple and tighten the nipple’s screw; pull on it hard: it must not slip [grip]',
          'Cut the rest off [cut]',
          'Set the lever’s free play as the manual says',
          'Turn to full lock both ways: the play must stay',
        ],
        {
          holds: 0.9,
          caution: 'A clutch that drags moves the bike off: try it with the engine off, then with the brake held.',
        },
      ),
      way(
        'The cable beside it',
        'proper',
        15,
        1,
        ['Unhook the broken cable'],
        ['Hook in the cable that lies beside it, and set its play <cable inner>'],
      ),
      way(
        'Shift without the clutch',
        'limp',
        5,
        3,
        ['Start in first gear while the bike rolls; match the engine’s speed at each shift'],
        [],
        { caution: 'Without a clutch every stop stalls the engine: keep to quiet roads.' },
      ),
    ],
  }),
  trouble({
    id: 'throttle-cable',
    name: 'Throttle cable broken or stuck',
    subject: 'controls',
    rate: per(0.002, 0.004, 0.01),
    ways: [
      way(
        'New inner',
        'proper',
        60,
        2,
        [
          'Ignition off, engine cold',
          'Loosen the tank {tank}',
          'Unhook both ends and pull the old inner cable out [grip]',
        ],
        [
          'Thread the new inner cable in <cable inner>',
          'Fit its nipple and tighten the nipple’s screw; pull on it hard: it must not slip [grip]',
          'Cut the rest off [cut]',
          'Set its play, lay it as it was, fix the tank {tank}',
          'Open the throttle and let go at full lock left, right and straight: it must snap shut each time',
          'Only then start the engine',
        ],
        {
          holds: 0.9,
          caution: `A throttle that sticks open throws you off: it must snap shut by itself at full lock both ways. ${FUEL}`,
        },
      ),
      way(
        'Free what sticks',
        'proper',
        25,
        1,
        [
          'Ignition off: turn to full lock both ways and feel where it sticks',
          'Look for a cable that is pinched, kinked or rubbed',
          'Brush the grit out of the twist grip and the cable’s lower end [brush]',
          'Let penetrating fluid run into the cable’s upper end <penetrating fluid>',
        ],
        [
          'Lay the cable as it was, clear of bars and tank',
          'Open the throttle and let go at full lock left, right and straight: it must snap shut each time',
          'Only then start the engine',
        ],
        {
          holds: 0.4,
          caution: 'A throttle that sticks open throws you off: it must snap shut by itself at full lock both ways.',
        },
      ),
      way(
        'The return cable as the pull',
        'ride-out',
        40,
        3,
        [
          'Ignition off, engine cold',
          'Loosen the tank {tank}',
          'Swap the return cable for the broken pull cable [grip]',
        ],
        [
          'Fix the tank {tank}',
          'Open the throttle and let go at full lock left, right and straight: it must snap shut each time',
          'Only then start the engine',
        ],
        {
          caution: `A throttle without its return cable may stick open: keep a thumb on the stop switch. ${FUEL}`,
          lasts: { km: 100, kmh: 60 },
        },
      ),
      way(
        'Idle screw up, walk it out',
        'limp',
        10,
        2,
        [
          'Engine off: turn the idle screw in by a few turns, by hand',
          'Pull the clutch before you start; choose first gear',
          'Keep a hand at the clutch and a thumb on the stop switch',
        ],
        ['Ride short stretches on level ground; press the stop switch at the first doubt'],
        {
          travel: WALKING_PACE,
          caution:
            'The bike pushes on by itself: keep a hand at the clutch and a thumb on the stop switch, off traffic and slopes.',
        },
      ),
    ],
  }),
  trouble({
    id: 'shaft-leak',
    name: 'Final drive leaks',
    subject: 'drive',
    rate: per(0.0005, 0.001, 0.002),
    only: { drive: 'shaft' },
    ways: [
      way(
        'Seal tight, oil topped up',
        'ride-out',
        30,
        2,
        ['Let it cool, wipe it, and look where the oil comes from', 'Tighten what is loose {final drive}'],
        [
          'Fill oil of the manual’s grade to the mark; engine oil only if there is nothing else <engine oil> {final drive}',
          'Wipe tyre, rim and disc with cleaner <cleaner>',
        ],
        {
          holds: 0.6,
          lasts: { km: 200, kmh: 80 },
          caution: `Oil on a tyre or a brake makes you fall: wipe both. ${BRAKES}`,
        },
      ),
      way(
        'Rag round it, look at every stop',
        'limp',
        15,
        1,
        ['Tie a rag round it, so that no oil reaches tyre or disc <cable tie ×2>', 'Check it at every stop'],
        [],
        { caution: BRAKES },
      ),
    ],
  }),
];
