import { at } from '../ground/numbers.js';
import type { Trait } from '../toolbox/tools/index.js';
import { massOf, measure, say, type Saying } from '../ground/units/index.js';
import type { Unit } from './item.js';
import { fitsTurned } from './pack/index.js';
import { bears, longestPiece, roomTaken, slotCount, usableVolume, type Place } from './place.js';

export const RULES = [
  'size',
  'slot',
  'tie',
  'upright',
  'body',
  'wiring',
  'heat',
  'wet',
  'fragile',
  'sharp',
  'room',
  'weight',
  'packing',
  'blade',
] as const;
export type Rule = (typeof RULES)[number];
export interface BrokenRule {
  rule: Rule;
  message: Saying;
}

/** Why each rule matters, in a rider's words. */
export const WHY_RULE: Record<Rule, string> = {
  size: 'what is forced in bends, or keeps the lid from closing',
  slot: 'a slot that is too small tears, or the roll does not close',
  tie: 'ties hold long things; small ones slip out and are lost',
  upright: 'lying down it leaks',
  body: 'it injures the rider in a fall',
  wiring: 'it can short the battery or rub through wires: fire',
  heat: 'it melts, leaks or bursts near the exhaust',
  wet: 'water ruins it',
  fragile: 'stones and falls break it outside',
  sharp: 'a blade beside a tube or a glue pierces it on the first rough road',
  room: 'it would stay at home',
  weight: 'mounts crack and bags tear off, most of all on rough ground',
  packing: 'the volumes add up, but the pieces do not lie beside each other',
  blade: 'what is tied shut is cut open, and the blade must not lie inside',
};

/** What a place holds, as far as rules of several items ask for it. */
export interface Held {
  mass: number;
  /** mL of usable room. */
  room: number;
  units: number;
  sharp: number;
  pierced: number;
  /** Slots taken, by group of slots. */
  slots: number[];
}
export const nothingHeld = (place: Place): Held => ({
  mass: 0,
  room: 0,
  units: 0,
  sharp: 0,
  pierced: 0,
  slots: (place.slots ?? []).map(() => 0),
});

const sortedSides = (u: Unit) =>
  [u.host.size.length, u.host.size.width, u.host.size.height].sort((a, b) => b - a) as [number, number, number];
export const roomOf = (place: Place, unit: Unit): number => roomTaken(place, unit.host.volume, unit.traits.has('soft'));
const mm = (value: number) => measure('length', value);
const litres = (value: number, digits: number) => measure('volume', value, digits);

/** Groups of slots that a unit goes into, the narrowest first (docs/model.md, section 7: width ≤ slot width, length ≤ slot length). */
export function slotsFor(place: Place, unit: Unit): number[] {
  const [long, middle] = sortedSides(unit);
  return (place.slots ?? [])
    .map((s, i) => ({ s, i }))
    .filter(({ s }) => long <= s.length && middle <= s.width)
    .sort((a, b) => a.s.width - b.s.width || a.s.length - b.s.length)
    .map(({ i }) => i);
}

/** Least length of what is tied on, mm. Planning value; a rolled tube is tied whatever its length. */
const LEAST_TIED = 120;

/** Whether a rigid unit alone goes in. Soft goods give way, but not in their longest side. */
function sizeRule(place: Place, unit: Unit): BrokenRule | null {
  const [long, middle, thin] = sortedSides(unit);
  const soft = unit.traits.has('soft');
  if (place.kind === 'roll') {
    if (slotsFor(place, unit).length > 0) return null;
    const widest = Math.max(0, ...(place.slots ?? []).map((s) => s.width));
    return {
      rule: 'slot',
      message: say`${mm(long)} × ${mm(middle)}, the longest slot is ${mm(longestPiece(place))} and the widest ${mm(widest)}`,
    };
  }
  const room = longestPiece(place);
  if (long > room) return { rule: 'size', message: say`${mm(long)} long, the longest that goes in is ${mm(room)}` };
  if (place.kind === 'tie-on')
    return long >= LEAST_TIED || unit.host.kind.endsWith('tube')
      ? null
      : { rule: 'tie', message: say`too small to be tied on` };
  if (soft) return null;
  const { length, width, height } = place.inside;
  if (place.kind === 'tube') {
    const bore = Math.min(width, height);
    return Math.hypot(middle, thin) <= bore
      ? null
      : { rule: 'size', message: say`${mm(middle)} × ${mm(thin)} across, the tube is ${mm(bore)} wide` };
  }
  if (fitsTurned(unit.host.size, place.inside)) return null;
  return {
    rule: 'size',
    message: say`${mm(long)} × ${mm(middle)} × ${mm(thin)} does not fit at any angle, there is ${mm(length)} × ${mm(width)} × ${mm(height)}`,
  };
}

/** Rules that a unit breaks in a place whatever else lies there. Empty means that it may go there. */
export function standingRules(place: Place, unit: Unit): BrokenRule[] {
  const has = (trait: Trait) => unit.traits.has(trait);
  const out: BrokenRule[] = [];
  const size = sizeRule(place, unit);
  if (size) out.push(size);
  if (has('upright')) {
    const tall = unit.host.size.length;
    if (place.kind === 'roll' || place.kind === 'tube' || place.kind === 'tie-on')
      out.push({ rule: 'upright', message: say`must stand, here it would lie` });
    else if (tall > place.inside.height)
      out.push({ rule: 'upright', message: say`stands ${mm(tall)} tall, there is ${mm(place.inside.height)}` });
  }
  if (place.kind === 'body' && (has('hard') || has('sharp')) && !place.wrapped)
    out.push({ rule: 'body', message: say`hard or sharp, and not wrapped: it injures in a fall` });
  if (place.wiring && has('conductive') && place.kind !== 'roll' && !place.wrapped)
    out.push({ rule: 'wiring', message: say`conductive, and not wrapped, next to wiring` });
  if (place.hot && (has('melts') || has('pressurised') || has('leaks')))
    out.push({ rule: 'heat', message: say`must stay away from heat` });
  if (!place.dry && has('kept dry')) out.push({ rule: 'wet', message: say`must be kept dry` });
  if (place.kind === 'tie-on' && has('fragile'))
    out.push({ rule: 'fragile', message: say`fragile, and tied on outside` });
  return out;
}

/** Whether a unit goes in by itself: what does not has no place among the others. */
export const goesIn = (place: Place, unit: Unit): boolean => sizeRule(place, unit) === null;

/** Whether a group of slots has one left. */
const slotFree = (place: Place, taken: readonly number[], i: number): boolean =>
  at(taken, i) < (place.slots?.[i]?.count ?? 0);

/** Rules that a unit breaks because of what the place already holds. */
export function sharedRules(place: Place, unit: Unit, held: Held, rough: boolean): BrokenRule[] {
  const out: BrokenRule[] = [];
  if (place.kind === 'roll') {
    const fitting = slotsFor(place, unit);
    if (fitting.length > 0 && fitting.every((i) => !slotFree(place, held.slots, i)))
      out.push({ rule: 'slot', message: say`all slots of its size are taken, ${slotCount(place)} in all` });
  } else {
    if (held.room + roomOf(place, unit) > usableVolume(place) + 1e-9)
      out.push({
        rule: 'room',
        message: say`${litres(roomOf(place, unit), 2)} more in ${litres(usableVolume(place), 1)} with ${litres(held.room, 1)} taken`,
      });
    if (unit.traits.has('sharp') && held.pierced > 0)
      out.push({ rule: 'sharp', message: say`sharp, beside what is pierced easily` });
    if (unit.traits.has('pierced easily') && held.sharp > 0)
      out.push({ rule: 'sharp', message: say`pierced easily, beside something sharp` });
  }
  const limit = bears(place, rough);
  if (held.mass + unit.mass > limit + 1e-9)
    out.push({ rule: 'weight', message: say`${massOf(held.mass + unit.mass)} where the mount bears ${massOf(limit)}` });
  return out;
}

/**
 * Held with one more unit; a unit in a roll takes a slot of the group given, or else the first of its size that is free.
 * @param slot number of a group of slots
 */
export function heldWith(place: Place, held: Held, unit: Unit, slot?: number): Held {
  const slots = [...held.slots];
  if (place.kind === 'roll') {
    const fitting = slotsFor(place, unit);
    const to = slot ?? fitting.find((i) => slotFree(place, slots, i)) ?? fitting[0];
    if (to !== undefined) slots[to] = at(slots, to) + 1;
  }
  return {
    mass: held.mass + unit.mass,
    room: held.room + (place.kind === 'roll' ? 0 : roomOf(place, unit)),
    units: held.units + 1,
    sharp: held.sharp + Number(unit.traits.has('sharp')),
    pierced: held.pierced + Number(unit.traits.has('pierced easily')),
    slots,
  };
}
