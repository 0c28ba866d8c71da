import type { Measures } from '../bike/index.js';
import type { Trait } from '../tools/index.js';
import { longestPiece, usableVolume, type Place } from './place.js';

/** One thing to be stowed: a copy of a piece, or a stock of one kind. */
export interface StowItem {
  key: string;
  name: string;
  kind: string;
  mass: number;
  size: Measures;
  /** mL it takes. */
  volume: number;
  traits: readonly Trait[];
  /** Expected uses on the trip: what is used most sits outermost. */
  uses: number;
}

/** What a place already holds. */
export interface Load {
  mass: number;
  volume: number;
  items: number;
}
export const EMPTY: Load = { mass: 0, volume: 0, items: 0 };
export const loaded = (load: Load, item: StowItem): Load => ({
  mass: load.mass + item.mass,
  volume: load.volume + item.volume,
  items: load.items + 1,
});

export interface BrokenRule {
  rule: 'size' | 'room' | 'weight' | 'body' | 'wiring' | 'heat' | 'slot' | 'tie';
  message: string;
}

const sorted = (m: Measures) => [m.length, m.width, m.height].sort((a, b) => b - a);
const g = (grams: number) => (grams >= 1000 ? `${(grams / 1000).toFixed(2)} kg` : `${Math.round(grams)} g`);

/** Longest piece ≤ longest inside, middle ≤ middle side, thinnest ≤ thinnest (reference section 7). Soft goods give way. */
function sizeRule(place: Place, item: StowItem): BrokenRule | null {
  const [long, middle, thin] = sorted(item.size) as [number, number, number];
  const room = longestPiece(place);
  if (place.kind === 'roll' && place.slots) {
    const { width, length } = place.slots;
    if (middle > width || long > length)
      return {
        rule: 'slot',
        message: `${Math.round(long)} × ${Math.round(middle)} mm, a slot is ${length} × ${width} mm`,
      };
    return null;
  }
  if (long > room)
    return {
      rule: 'size',
      message: `${Math.round(long)} mm long, the longest that goes in is ${Math.round(room)} mm`,
    };
  if (place.kind === 'tie-on')
    return long >= 120 || item.kind.endsWith('tube') ? null : { rule: 'tie', message: 'too small to be tied on' };
  if (item.traits.includes('soft')) return null;
  const [, middleRoom, thinRoom] = sorted(place.inside) as [number, number, number];
  if (middle > middleRoom || thin > thinRoom)
    return {
      rule: 'size',
      message: `${Math.round(middle)} × ${Math.round(thin)} mm across, there is ${Math.round(middleRoom)} × ${Math.round(thinRoom)} mm`,
    };
  return null;
}

/**
 * Every hard rule that putting an item into a place would break, given what the place already holds.
 * Size, slots, room, weight on the mount, hard or sharp on the body, conductive next to wiring, heat.
 */
export function brokenRules(place: Place, item: StowItem, load: Load): BrokenRule[] {
  const broken: BrokenRule[] = [];
  const size = sizeRule(place, item);
  if (size) broken.push(size);
  if (place.kind === 'roll') {
    const slots = place.slots?.count ?? 0;
    if (load.items >= slots) broken.push({ rule: 'slot', message: `all ${slots} slots are taken` });
  } else if (load.volume + item.volume > usableVolume(place))
    broken.push({
      rule: 'room',
      message: `${(item.volume / 1000).toFixed(2)} L more in ${(usableVolume(place) / 1000).toFixed(1)} L with ${(load.volume / 1000).toFixed(1)} L taken`,
    });
  if (load.mass + item.mass > place.limit)
    broken.push({
      rule: 'weight',
      message: `${g(load.mass + item.mass)} where the mount bears ${g(place.limit)}`,
    });
  const has = (trait: Trait) => item.traits.includes(trait);
  if (place.kind === 'body' && (has('hard') || has('sharp')))
    broken.push({ rule: 'body', message: 'hard or sharp: it injures in a fall' });
  if (place.wiring && has('conductive') && place.kind !== 'roll')
    broken.push({ rule: 'wiring', message: 'conductive and loose next to wiring' });
  if (place.hot && (has('melts') || has('pressurised') || has('leaks')))
    broken.push({ rule: 'heat', message: 'must stay away from heat' });
  return broken;
}

/** Soft cost of an item in a place: high, far behind the rear axle, to one side, deep although often used, leaving with the luggage. */
export function placeCost(place: Place, item: StowItem, wheelbase: number, side: number): number {
  const kg = item.mass / 1000;
  const depth = TIER_DEPTH[place.tier];
  const behind = Math.max(0, place.at.x - wheelbase) / 1000;
  const moment = Math.abs(side + kg * (place.at.y / 1000)) - Math.abs(side);
  return (
    kg * (place.at.z / 1000) * 2 +
    kg * behind * 4 +
    moment * 6 +
    item.uses * depth * 4 +
    (place.stays ? 0 : 0.15) +
    (place.kind === 'tie-on' && Math.max(item.size.length, item.size.width) < 200 ? 0.4 : 0) +
    (place.kind === 'body' ? kg * 3 + 0.2 : 0) +
    (item.traits.includes('dear') && !place.lockable ? 0.6 : 0) +
    (!place.dry && !item.traits.includes('hard') ? 0.3 : 0)
  );
}
const TIER_DEPTH: Record<Place['tier'], number> = {
  'in the saddle': 0,
  'one zip': 0.15,
  'under straps or seat': 0.5,
  'unload everything': 1,
};
