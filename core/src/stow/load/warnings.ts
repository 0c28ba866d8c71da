import type { Bike } from '../../bike/index.js';
import { measure, say, type Saying } from '../../ground/units/index.js';
import { frontShare, type Load } from './load.js';
import { tyreBears } from './loadIndex.js';

/** What is looked at: the bike with its people, the same with all that is packed, and what of it sits where. */
export interface LoadCase {
  bare: Load;
  ridden: Load;
  packed: Load;
  /** Grams on the rear rack, and on the rider's body. */
  rack: number;
  back: number;
}
export const LOAD_RULES = ['payload', 'rack', 'front tyre', 'rear tyre', 'front share', 'side', 'back'] as const;
export type LoadRule = (typeof LOAD_RULES)[number];
export interface LoadWarning {
  rule: LoadRule;
  message: Saying;
  why: string;
  /** How far over, in the rule's own measure: grams, points or kg·m. */
  over: number;
}

/** Limits of docs/model.md, section 7: points of front share, kg·m to one side, grams on the back. */
export const MOST_SHARE_LOST = 3;
export const MOST_SIDE = 1.5;
export const MOST_BACK = 6000;

const kg = (grams: number) => measure('weight', grams, 1);
const WHY: Record<LoadRule, string> = {
  payload: 'frame, brakes and suspension are made for the maker’s payload: the manual’s figure comes first',
  rack: 'a rack cracks at its mounts, most of all on rough ground',
  'front tyre': 'a tyre over its load runs hot and fails',
  'rear tyre': 'a tyre over its load runs hot and fails',
  'front share': 'a light front wheel steers wide and climbs badly',
  side: 'the bike pulls to one side and falls to it when stood up',
  back: 'weight on the back tires the rider and hurts in a fall',
};

/** Which limits a load goes over, by how much, and why it matters (docs/model.md, section 7). What nobody has measured is not judged. */
export function loadWarnings(bike: Bike, { bare, ridden, packed, rack, back }: LoadCase): LoadWarning[] {
  const out: LoadWarning[] = [];
  const add = (rule: LoadRule, over: number, message: Saying) => {
    if (over > 1e-9) out.push({ rule, over, message, why: WHY[rule] });
  };
  const carried = packed.mass - bare.mass;
  add('payload', carried - bike.payload, say`${kg(carried)} on board where the maker allows ${kg(bike.payload)}`);
  if (bike.rackLimit !== null)
    add('rack', rack - bike.rackLimit, say`${kg(rack)} on the rack, which bears ${kg(bike.rackLimit)}`);
  for (const [rule, index, on] of [
    ['front tyre', bike.loadIndexFront, packed.front],
    ['rear tyre', bike.loadIndexRear, packed.rear],
  ] as const)
    if (index !== null) {
      const bears = tyreBears(index) * 1000;
      add(rule, on - bears, say`${kg(on)} on the ${rule}, load index ${index} bears ${kg(bears)}`);
    }
  const lost = (frontShare(ridden) - frontShare(packed)) * 100;
  add(
    'front share',
    lost - MOST_SHARE_LOST,
    say`the front wheel has ${lost.toFixed(1)} points less of the weight than with the rider alone; over ${MOST_SHARE_LOST} it is felt`,
  );
  const side = Math.abs(packed.side);
  add(
    'side',
    side - MOST_SIDE,
    say`${measure('moment', side)} to the ${packed.side > 0 ? 'left' : 'right'}, ${measure('moment', MOST_SIDE)} is the most`,
  );
  add('back', back - MOST_BACK, say`${kg(back)} on the rider, over ${kg(MOST_BACK)}`);
  return out;
}
