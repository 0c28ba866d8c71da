import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BRAKES, BY_HAND, FUEL, PUSHED, TOWING, WALKING_PACE } from './words.js';

const TOW = way(
  'Be towed by a companion',
  'limp',
  15,
  2,
  [
    '(chain) Broken or thrown chain: take it off first, so that it locks nothing',
    'Strap from the other’s rear frame to this bike’s foot peg: one turn round the peg, the end under the boot [tow]',
    'Agree on signs: stop, slower, I let go',
  ],
  [
    'Foot off the strap and it runs free: try that once, standing',
    'Ignition on for the lights; no faster than a run; both brakes ready',
  ],
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
          'Axle and adjusters slack {rear axle} {chain adjuster?}',
          'Find all of the chain: none may be jammed at the front sprocket',
          'Press the broken link out [open chain]',
        ],
        [
          'Link in from behind with its rings, side plate on <chain link>',
          'Clip link: press the clip into both grooves, its closed end leading in the direction the chain runs, its open end trailing [grip]',
          'Rivet link: press and flare it with its tool; look that both flares are even and the link moves [open chain]',
          'Play set, both sides equal, axle tight {rear axle} {chain adjuster?}',
        ],
        {
          caution: `A chain takes fingers off at the sprocket: engine off, and turn the wheel by the tyre. ${BY_HAND}`,
          second: 8,
          better: [['[lay out]', 4]],
        },
      ),
      TOW,
      way('Coast and push to the road', 'limp', 10, 1, ['Take the chain off, so that it locks nothing'], [], {
        travel: PUSHED,
      }),
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
        ['Take what is left of the belt off, so that it locks nothing'],
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
          'Axle and adjusters slack, wheel forward {rear axle} {chain adjuster?}',
          'Pull it out of where it jams; look at case and sprocket for cracks [pry]',
        ],
        ['Lay it on, play set, both sides equal, axle tight {rear axle} {chain adjuster?}'],
        {
          caution: `A chain takes fingers off at the sprocket: engine off, and turn the wheel by the tyre. ${BY_HAND}`,
        },
      ),
      way(
        'Roll it on',
        'ride-out',
        15,
        1,
        ['Engine off, neutral', 'Chain on the sprocket’s lower edge, roll the wheel by the tyre, fingers away'],
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
        ['Look at every bolt {sprocket}'],
        ['Bolt in with threadlocker, tighten crosswise <bolt M8> <threadlocker> {sprocket}'],
        { caution: BY_HAND },
      ),
      way('Tighten what is left', 'ride-out', 15, 1, ['Every other bolt tight, crosswise {sprocket}'], [], {
        caution: `The bolts that are left carry more: go gently on the throttle. ${BY_HAND}`,
        lasts: { km: 100, kmh: 50 },
        ruin: 'hard throttle; a second bolt gone',
      }),
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
        ['Axle loose {rear axle}', 'Adjusters evenly, measure both sides [measure] {chain adjuster?}'],
        ['Axle tight, look again {rear axle}', 'Lube it <chain lube>'],
        { caution: BY_HAND },
      ),
      way(
        'By the marks, by eye',
        'ride-out',
        20,
        1,
        ['Axle loose, adjusters by the same turns {rear axle} {chain adjuster?}'],
        ['Axle tight, look along the chain {rear axle}'],
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
          'Axle loose {rear axle}',
          'Adjusters evenly, to the tight end of the manual’s play [measure] {chain adjuster?}',
        ],
        ['Axle tight, look again {rear axle}', 'Low revs, no hard throttle; look at it at every stop'],
        {
          caution: `A chain that jumps can lock the wheel: ride slowly, and have chain and sprockets replaced together. ${BY_HAND}`,
          lasts: { km: 150, kmh: 60 },
          ruin: 'hard throttle, deep ground',
        },
      ),
      way('Walking pace to the road', 'limp', 5, 1, ['First gear, hardly any throttle'], [], { travel: WALKING_PACE }),
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
          'Half an hour’s rest, engine off',
          'Cold: free play at the lever to the manual’s figure, by hand at its adjuster',
        ],
        ['High gear, little throttle; no slipping'],
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
        ['Adjuster all the way in; unhook both ends, pull the old inner out [grip]'],
        [
          'Thread the new inner in; nipple on, tight; cut the rest off <cable inner> [cut]',
          'Free play at the lever as the manual says; try full lock both ways',
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
        ['Unhook the broken one'],
        ['Hook the one that lies beside it in, set its play <cable inner>'],
      ),
      way(
        'Shift without the clutch',
        'limp',
        5,
        3,
        ['Start rolling in first; match the engine’s speed at each shift'],
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
        ['Ignition off, cold; tank loose {tank}', 'Unhook both ends, pull the old inner out [grip]'],
        [
          'Thread the new inner in; nipple on, tight; cut the rest off <cable inner> [cut]',
          'Set its play; tank back {tank}',
          'Let go at full lock left, right and straight: it snaps shut each time; then start',
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
          'Ignition off: bars full lock both ways: where does it stick? Look for a cable pinched, kinked or rubbed',
          'Grit out of the grip and the slide’s end; penetrating fluid into the sleeve’s end <penetrating fluid> [brush]',
        ],
        [
          'Cable laid as it was, clear of bars and tank',
          'Let go at full lock left, right and straight: it snaps shut each time; then start',
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
        ['Ignition off, cold; tank loose {tank}', 'Swap the return cable for the pull [grip]'],
        ['Tank back {tank}', 'Let go at full lock left, right and straight: it snaps shut each time; then start'],
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
          'Engine off: idle screw in by a few turns',
          'Clutch in before you start; first gear; a hand at the clutch, a thumb on the stop switch',
        ],
        ['Short stretches on level ground; stop switch at the first doubt'],
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
        ['Let it cool; wipe it; find where it comes from; tighten {final drive}'],
        [
          'Oil of the manual’s grade to the mark, engine oil only if nothing else is there <engine oil> {final drive}',
          'Wipe tyre, rim and disc <cleaner>',
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
        ['Rag tied so that no oil reaches tyre or disc <cable tie ×2>'],
        [],
        { caution: BRAKES },
      ),
    ],
  }),
];
