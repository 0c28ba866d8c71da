import { at } from '../ground/numbers.js';
import type { Trait } from '../toolbox/tools/index.js';
import type { StowFact } from './facts.js';
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
  message: StowFact;
}

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
/** A place with nothing in it. */
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
/**
 * Room that a unit takes in a place.
 * @returns mL
 */
export const roomOf = (place: Place, unit: Unit): number => roomTaken(place, unit.host.volume, unit.traits.has('soft'));

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
      message: { code: 'stow.no-slot', long, middle, longest: longestPiece(place), widest },
    };
  }
  const room = longestPiece(place);
  if (long > room) return { rule: 'size', message: { code: 'stow.too-long', long, longest: room } };
  if (place.kind === 'tie-on')
    return long >= LEAST_TIED || unit.host.kind.endsWith('tube')
      ? null
      : { rule: 'tie', message: { code: 'stow.too-small-to-tie' } };
  if (soft) return null;
  const { length, width, height } = place.inside;
  if (place.kind === 'tube') {
    const bore = Math.min(width, height);
    return Math.hypot(middle, thin) <= bore
      ? null
      : { rule: 'size', message: { code: 'stow.bore', middle, thin, bore } };
  }
  if (fitsTurned(unit.host.size, place.inside)) return null;
  return {
    rule: 'size',
    message: { code: 'stow.no-angle', sides: [long, middle, thin], inside: [length, width, height] },
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
      out.push({ rule: 'upright', message: { code: 'stow.must-stand' } });
    else if (tall > place.inside.height)
      out.push({ rule: 'upright', message: { code: 'stow.too-tall', tall, room: place.inside.height } });
  }
  if (place.kind === 'body' && (has('hard') || has('sharp')) && !place.wrapped)
    out.push({ rule: 'body', message: { code: 'stow.injures' } });
  if (place.wiring && has('conductive') && place.kind !== 'roll' && !place.wrapped)
    out.push({ rule: 'wiring', message: { code: 'stow.shorts' } });
  if (place.hot && (has('melts') || has('pressurised') || has('leaks')))
    out.push({ rule: 'heat', message: { code: 'stow.heat' } });
  if (!place.dry && has('kept dry')) out.push({ rule: 'wet', message: { code: 'stow.dry' } });
  if (place.kind === 'tie-on' && has('fragile')) out.push({ rule: 'fragile', message: { code: 'stow.fragile' } });
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
      out.push({ rule: 'slot', message: { code: 'stow.slots-taken', count: slotCount(place) } });
  } else {
    if (held.room + roomOf(place, unit) > usableVolume(place) + 1e-9)
      out.push({
        rule: 'room',
        message: {
          code: 'stow.no-room',
          more: roomOf(place, unit),
          usable: usableVolume(place),
          taken: held.room,
        },
      });
    if (unit.traits.has('sharp') && held.pierced > 0)
      out.push({ rule: 'sharp', message: { code: 'stow.sharp-beside' } });
    if (unit.traits.has('pierced easily') && held.sharp > 0)
      out.push({ rule: 'sharp', message: { code: 'stow.pierced-beside' } });
  }
  const limit = bears(place, rough);
  if (held.mass + unit.mass > limit + 1e-9)
    out.push({ rule: 'weight', message: { code: 'stow.over-weight', mass: held.mass + unit.mass, bears: limit } });
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
