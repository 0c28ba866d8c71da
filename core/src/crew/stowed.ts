import { at } from '../ground/numbers.js';
import {
  assign,
  fitsNowhere,
  itemOfPiece,
  itemOfSpare,
  loadCase,
  NEW_GOALS,
  type Goals,
  type StowItem,
} from '../stow/index.js';
import type { StowFault } from '../stow/index.js';
import { frontShare, loadWarnings, people, type LoadWarning } from '../stow/load/index.js';
import type { Assignment } from './assignment.js';
import type { CrewCase } from './crewCase.js';

/** Where one rider’s part of the kit goes on their bike, and what it does to it. */
export interface RiderStow {
  /** Whether any place of the bike is known; without one nothing is stowed and only the maker’s payload is looked at. */
  known: boolean;
  /** Names of things that fit nowhere. */
  loose: string[];
  /** Rules that are broken, each with the thing or place that breaks it; null for the load as a whole. */
  broken: Pick<StowFault, 'rule' | 'name'>[];
  /** Share of the weight on the front axle, with the rider alone and packed, 0 to 1. */
  frontRidden: number;
  frontPacked: number;
  /** Grams on each axle, packed. */
  front: number;
  rear: number;
  warnings: LoadWarning[];
}

/** What one rider has, as things to be stowed. */
function itemsOfRider(c: CrewCase, a: Assignment, r: number): StowItem[] {
  const use = { uses: 1, group: null };
  const tools = c.problem.pieces.flatMap((p, i) =>
    Array.from({ length: a.pieces[i]?.[r] ?? 0 }, (_, n) => itemOfPiece(p, n + 1, at(at(a.pieces, i), r), use)),
  );
  const spares = [...a.stock].flatMap(([key, by]) =>
    (by[r] ?? 0) > 0 ? [itemOfSpare(c.problem.book.of(key), at(by, r), `supply ${key}`, use)] : [],
  );
  return [...tools, ...spares];
}

/**
 * One rider’s part of the kit, stowed by the rules of Stow on their own bike, with their own load and axle figures.
 * @param r number of the carrier
 * @returns null for what is no rider
 */
export function stowOfRider(c: CrewCase, a: Assignment, r: number, goals: Goals = NEW_GOALS): RiderStow | null {
  const member = c.carriers[r]?.member;
  if (!member) return null;
  const { bike, person, places } = member;
  const items = itemsOfRider(c, a, r);
  const who = people(bike, person, r === 0 ? c.trip : null);
  const rough = c.trip.legs.some((l) => l.km.track > 0);
  const packing = places.length > 0 ? assign({ items, places, pins: [], bike, goals, rough, people: who }) : null;
  const by = new Map<string, number>();
  for (const s of packing?.stowed ?? [])
    if (s.placeId !== null) by.set(s.placeId, (by.get(s.placeId) ?? 0) + s.item.mass);
  const load = loadCase(bike, who, places, by);
  return {
    known: packing !== null,
    loose: packing ? fitsNowhere(packing).map((s) => s.item.name) : [],
    broken: packing ? packing.faults.filter((f) => f.rule !== 'loose').map(({ rule, name }) => ({ rule, name })) : [],
    frontRidden: frontShare(load.ridden),
    frontPacked: frontShare(load.packed),
    front: load.packed.front,
    rear: load.packed.rear,
    warnings: loadWarnings(bike, load),
  };
}
