import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BRAKES, BY_HAND, TOWING } from './words.js';

const TOW = way('Be towed by a companion', 'limp', 60, 2, ['Strap from the other’s rear to this bike’s bars, wound, never tied [tow]'], ['Hold it by hand so that it can be let go; no faster than a run'], { when: ['company'], caution: TOWING });

/** Chain, sprockets, clutch, levers and cables. */
export const DRIVE: Trouble[] = [
  trouble({
    id: 'chain',
    name: 'Chain broken',
    subject: 'drive',
    rate: per(0.002, 0.004, 0.01),
    only: { drive: 'chain' },
    ways: [
      way('New joining link', 'proper', 48, 2, ['Axle and adjusters slack {rear axle} {chain adjuster?}', 'Press the broken link out [open chain]'], ['Link in, rings, clip against the way it runs <chain link> [grip]', 'Play set, both sides equal, axle tight {rear axle} {chain adjuster?}'], { caution: BY_HAND }),
      TOW,
      way('Coast and push to the road', 'limp', 120, 1, ['Chain off, so that it locks nothing']),
    ],
  }),
  trouble({
    id: 'chain-off',
    name: 'Chain thrown off',
    subject: 'drive',
    rate: per(0.002, 0.004, 0.012),
    only: { drive: 'chain' },
    ways: [
      way('Slacken, lay it on, set it', 'proper', 30, 2, ['Axle and adjusters slack, wheel forward {rear axle} {chain adjuster?}', 'Pull it out of where it jams [pry]'], ['Lay it on, play set, both sides equal, tight {rear axle} {chain adjuster?}'], { caution: BY_HAND }),
      way('Roll it on', 'ride-out', 15, 1, ['Gear out, chain on the sprocket’s lower edge, roll the wheel, fingers away'], [], { holds: 0.5, caution: 'Fingers between chain and sprocket are lost: turn the wheel by the tyre.' }),
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
      way('New bolt, all the others tight', 'proper', 36, 2, ['Look at every bolt {sprocket}'], ['Bolt in with threadlocker, tighten crosswise <bolt M8> <threadlocker> {sprocket}'], { caution: BY_HAND }),
      way('Tighten what is left', 'ride-out', 15, 1, ['Every other bolt tight, crosswise {sprocket}'], [], { caution: `Gently on the throttle. ${BY_HAND}` }),
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
    ways: [way('Set its play', 'proper', 20, 1, ['Axle loose {rear axle}', 'Adjusters evenly, measure both sides [measure] {chain adjuster?}'], ['Axle tight, look again {rear axle}', 'Lube it <chain lube>'], { caution: BY_HAND }), way('By the marks, by eye', 'ride-out', 20, 1, ['Axle loose, adjusters by the same turns {rear axle} {chain adjuster?}'], ['Axle tight, look along the chain {rear axle}'], { caution: BY_HAND })],
  }),
  trouble({
    id: 'clutch-burnt',
    name: 'Clutch burnt or slipping',
    subject: 'drive',
    rate: per(0.0005, 0.001, 0.006),
    ways: [
      way('Cool, set the play, ride gently', 'ride-out', 45, 2, ['Half an hour’s rest', 'Play at the lever to the manual’s figure {clutch lever}'], ['High gear, little throttle'], { holds: 0.4 }),
      TOW,
    ],
  }),
  trouble({
    id: 'control-cable',
    name: 'Clutch cable broken',
    subject: 'controls',
    rate: per(0.002, 0.004, 0.01),
    ways: [
      way('New inner', 'proper', 60, 2, ['Both ends out, the old inner pulled [grip]'], ['New inner threaded, cut to length, nipple on, play set <cable inner> [cut]'], { holds: 0.9 }),
      way('The cable beside it', 'proper', 15, 1, ['Unhook the broken one'], ['Hook the one that lies beside it in <cable inner>']),
      way('Shift without the clutch', 'limp', 5, 3, ['Start rolling in first; match the engine’s speed at each shift'], [], { caution: 'Stopping means stalling: quiet roads only.' }),
    ],
  }),
  trouble({
    id: 'throttle-cable',
    name: 'Throttle cable broken or stuck',
    subject: 'controls',
    rate: per(0.002, 0.004, 0.01),
    ways: [
      way('New inner', 'proper', 60, 2, ['Tank loose, cable out {tank} [grip]'], ['New inner, cut, nipple, play set, try full lock both ways <cable inner> [cut] {tank}'], { holds: 0.9, caution: 'It must snap shut by itself at full lock both ways.' }),
      way('The return cable as the pull', 'ride-out', 40, 3, ['Tank loose; swap return for pull {tank} [grip]'], ['Try full lock both ways {tank}'], { caution: 'Without its return cable it may stick: a hand on the stop switch.' }),
      way('Idle screw up, walk it out', 'limp', 30, 2, ['Idle as high as it goes; first gear']),
    ],
  }),
  trouble({
    id: 'shaft-leak',
    name: 'Final drive leaks',
    subject: 'drive',
    rate: per(0.0005, 0.001, 0.002),
    only: { drive: 'shaft' },
    ways: [
      way('Seal tight, oil topped up', 'ride-out', 30, 2, ['Find where it comes from, tighten {final drive}'], ['Oil to the mark <engine oil> {final drive}'], { holds: 0.6, caution: `Oil on tyre or brake: wipe both. ${BRAKES}` }),
      way('Rag round it, look every 20 km', 'limp', 15, 1, ['Rag tied so that no oil reaches tyre or disc <cable tie ×2>'], [], { caution: BRAKES }),
    ],
  }),
];
