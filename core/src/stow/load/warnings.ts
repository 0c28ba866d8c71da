import type { Bike } from '../../bike/index.js';
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
/** How a limit of the load is exceeded: grams, points of the front wheel’s share, kg·m. */
export type LoadFact =
  | { code: 'load.payload'; carried: number; allows: number }
  | { code: 'load.rack'; carried: number; bears: number }
  | { code: 'load.tyre'; tyre: 'front tyre' | 'rear tyre'; carries: number; index: number; bears: number }
  | { code: 'load.front-share'; lost: number; most: number }
  | { code: 'load.side'; moment: number; to: 'left' | 'right'; most: number }
  | { code: 'load.back'; carried: number; most: number };
export interface LoadWarning {
  rule: LoadRule;
  message: LoadFact;
  /** How far over, in the rule's own measure: grams, points or kg·m. */
  over: number;
}

/** Limits of docs/model.md, section 7: points of front share, kg·m to one side, grams on the back. */
export const MOST_SHARE_LOST = 3;
export const MOST_SIDE = 1.5;
export const MOST_BACK = 6000;

/** Which limits a load goes over, and by how much (docs/model.md, section 7). What nobody has measured is not judged. */
export function loadWarnings(bike: Bike, { bare, ridden, packed, rack, back }: LoadCase): LoadWarning[] {
  const out: LoadWarning[] = [];
  const add = (rule: LoadRule, over: number, message: LoadFact) => {
    if (over > 1e-9) out.push({ rule, over, message });
  };
  const carried = packed.mass - bare.mass;
  add('payload', carried - bike.payload, { code: 'load.payload', carried, allows: bike.payload });
  if (bike.rackLimit !== null)
    add('rack', rack - bike.rackLimit, { code: 'load.rack', carried: rack, bears: bike.rackLimit });
  for (const [rule, index, on] of [
    ['front tyre', bike.loadIndexFront, packed.front],
    ['rear tyre', bike.loadIndexRear, packed.rear],
  ] as const)
    if (index !== null) {
      const bears = tyreBears(index) * 1000;
      add(rule, on - bears, { code: 'load.tyre', tyre: rule, carries: on, index, bears });
    }
  const lost = (frontShare(ridden) - frontShare(packed)) * 100;
  add('front share', lost - MOST_SHARE_LOST, { code: 'load.front-share', lost, most: MOST_SHARE_LOST });
  const side = Math.abs(packed.side);
  const to = packed.side > 0 ? 'left' : 'right';
  add('side', side - MOST_SIDE, { code: 'load.side', moment: side, to, most: MOST_SIDE });
  add('back', back - MOST_BACK, { code: 'load.back', carried: back, most: MOST_BACK });
  return out;
}
