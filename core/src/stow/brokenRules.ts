import { loadWarnings, type LoadCase, type LoadFact, type LoadRule } from './load/index.js';
import { eachOnce } from '../ground/facts.js';
import { at } from '../ground/numbers.js';
import { loadCase } from './carried.js';
import type { StowInput } from './stowInput.js';
import type { LaidMemory } from './laid.js';
import { placeIn, type StowProblem } from './stowProblem.js';
import type { StowFact } from './facts.js';
import { goesIn, heldWith, nothingHeld, sharedRules, standingRules, type Held, type Rule } from './rules.js';
import type { Place } from './place.js';
import type { Unit } from './item.js';

/** One change that mends a broken rule: pieces and the places they go to. */
export interface Mending {
  moves: { key: string; name: string; placeId: string; placeName: string }[];
  /** Points that the packing has more by it; less than nothing is a gain. */
  points: number;
}
/** A rule that the packing breaks: by a piece where the rider put it, or by the load as a whole. */
export interface StowFault {
  id: string;
  rule: Rule | LoadRule | 'loose';
  /** The piece, and the place; null for the whole bike. */
  key: string | null;
  placeId: string | null;
  /** The piece’s name, or else the place’s; null for the whole bike. */
  name: string | null;
  /** What is so; empty for what is loose. */
  message: readonly (StowFact | LoadFact)[];
  /** All rules that it breaks, the gravest first: why each matters is told by them. */
  breaks: readonly (Rule | LoadRule | 'loose')[];
  mending: Mending | null;
  /** For what is loose: names of pieces each of which, left out, makes room for it. */
  leaveOut: { key: string; name: string }[];
}

/** What can hurt someone comes before what only does not go in. */
const GRAVE: readonly Rule[] = ['body', 'heat', 'wiring', 'sharp', 'upright', 'fragile', 'wet', 'size', 'slot', 'tie'];

/** A rule that is broken, before anybody looks for what mends it. */
export type BareFault = Omit<StowFault, 'mending' | 'leaveOut'>;

/** What is packed, as numbers and as it was asked, with what was laid out before. */
export interface StowCase {
  p: StowProblem;
  input: StowInput;
  memory: LaidMemory;
}

/**
 * Units in each place of an assignment.
 * @param where place by unit, −1 where it is loose
 * @returns numbers of units by place
 */
export function contentsOf(p: StowProblem, where: readonly number[]): number[][] {
  const out = p.places.map((): number[] => []);
  p.units.forEach((_, u) => {
    const k = placeIn(p, where, u);
    if (k >= 0) at(out, k).push(u);
  });
  return out;
}
/**
 * Group of slots that a unit lies in; null where its place has none.
 * @param u number of the unit
 * @returns number of the group, from 0
 */
export const slotIn = (p: StowProblem, where: readonly number[], u: number): number | null =>
  at(p.bins, at(where, u)).slot;
/**
 * What some units of a place add up to there.
 * @param units numbers of units in the place
 */
export const heldIn = (p: StowProblem, where: readonly number[], place: Place, units: readonly number[]): Held =>
  units.reduce(
    (held, u) => heldWith(place, held, at(p.units, u), slotIn(p, where, u) ?? undefined),
    nothingHeld(place),
  );

/**
 * The load of an assignment.
 * @param where place by unit, −1 where it is loose
 */
export function loadAt({ p, input }: StowCase, where: readonly number[]): LoadCase {
  const kit = new Map<string, number>();
  p.units.forEach((unit, u) => {
    const k = placeIn(p, where, u);
    if (k < 0) return;
    const { id } = at(p.places, k);
    kit.set(id, (kit.get(id) ?? 0) + unit.mass);
  });
  return loadCase(input.bike, input.people, input.places, kit);
}

/**
 * Every rule that an assignment breaks. A place over its weight or its room is one fault, named by the place.
 * @param where place by unit, −1 where it is loose
 */
export function faultsAt(c: StowCase, where: readonly number[]): { faults: BareFault[]; load: LoadCase } {
  const { p, input } = c;
  const contents = contentsOf(p, where);
  const inPlaces = p.places.flatMap((place, k) => {
    const here = at(contents, k);
    // Only what the rider put here can break anything; where nothing of it is, there is nothing to look for.
    if (!here.some((u) => p.fixed.at(u) >= 0)) return [];
    return [
      ...here.flatMap((u) => standingFault(place, at(p.units, u))),
      ...sharedFaults(c, where, place, here),
      ...slotFaults(c, where, place, here),
      ...layingFaults(c, place, here),
    ];
  });
  const load = loadAt(c, where);
  const loadFaults = loadWarnings(input.bike, load).map((w): BareFault => ({
    id: w.rule,
    rule: w.rule,
    key: null,
    placeId: null,
    name: null,
    message: [w.message],
    breaks: [w.rule],
  }));
  return { faults: [...inPlaces, ...loadFaults], load };
}

/** A fault of a piece in a place, or of the place itself. */
const fault = (rule: Rule, place: Place, unit: Unit | null, message: readonly StowFact[]): BareFault => ({
  id: `${rule} ${unit?.host.key ?? ''} ${place.id}`,
  rule,
  key: unit?.host.key ?? null,
  placeId: place.id,
  name: unit?.host.name ?? place.name,
  message,
  breaks: [rule],
});

/** What a piece breaks in its place by itself, as one fault, the gravest rule first. */
function standingFault(place: Place, unit: Unit): BareFault[] {
  const rules = standingRules(place, unit).sort((a, b) => GRAVE.indexOf(a.rule) - GRAVE.indexOf(b.rule));
  const [gravest] = rules;
  if (!gravest) return [];
  return [
    {
      ...fault(gravest.rule, place, unit, eachOnce(rules.map((r) => r.message))),
      id: `standing ${unit.host.key} ${place.id}`,
      breaks: [...new Set(rules.map((r) => r.rule))],
    },
  ];
}

/** What pieces break beside each other: weight and room once for the place. */
function sharedFaults({ p, input }: StowCase, where: readonly number[], place: Place, here: readonly number[]) {
  const said = new Set<Rule>();
  return here.flatMap((u) => {
    const unit = at(p.units, u);
    const rest = heldIn(
      p,
      where,
      place,
      here.filter((x) => x !== u),
    );
    return sharedRules(place, unit, rest, input.rough).flatMap((r): BareFault[] => {
      const ofPlace = r.rule === 'weight' || r.rule === 'room';
      if (r.rule === 'slot' || said.has(r.rule)) return [];
      if (ofPlace) said.add(r.rule);
      return [fault(r.rule, place, ofPlace ? null : unit, [r.message])];
    });
  });
}

function slotFaults({ p }: StowCase, where: readonly number[], place: Place, here: readonly number[]): BareFault[] {
  const { slots } = heldIn(p, where, place, here);
  return (place.slots ?? []).some((s, i) => at(slots, i) > s.count)
    ? [fault('slot', place, null, [{ code: 'stow.more-than-slots' }])]
    : [];
}

function layingFaults({ p, memory }: StowCase, place: Place, here: readonly number[]): BareFault[] {
  const within = here.map((u) => at(p.units, u)).filter((unit) => goesIn(place, unit));
  if (memory.lay(place, within) !== null) return [];
  const names = memory.stubborn(place, within, true).map((u) => u.host.name);
  return [fault('packing', place, null, [{ code: 'stow.not-laid', names }])];
}
