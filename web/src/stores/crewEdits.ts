import {
  at as itemAt,
  ME,
  newCrew,
  type Bike,
  type CarrierId,
  type Companion,
  type Crew,
  type Fixed,
  type Split,
  type Trip,
} from '@necessaire/core';
import type { RowChange } from './changes';

/** The trip with so many companions as the crew has: their number is said once. */
function tripWith(trip: Trip, members: number): RowChange[] {
  if (trip.companions === members - 1) return [];
  return [{ table: 'trips', id: trip.id, before: trip, after: { ...trip, companions: members - 1 } }];
}

/**
 * Somebody rides along: the first makes the crew.
 * @param isNew whether they are new to the garage too
 */
export function joining(
  at: { crew: Crew | null; trip: Trip; bike: Bike },
  companion: Companion,
  isNew: boolean,
  nextId: () => string,
): RowChange[] {
  const of = at.crew ?? newCrew({ id: nextId(), tripId: at.trip.id, members: [{ who: ME, bikeId: at.bike.id }] });
  if (of.members.some((m) => m.who === companion.id)) return [];
  const members = [...of.members, { who: companion.id, bikeId: itemAt(companion.bikes, 0).id }];
  return [
    ...(isNew ? [{ table: 'companions' as const, id: companion.id, before: null, after: companion }] : []),
    { table: 'crews', id: of.id, before: at.crew, after: { ...of, members } },
    ...tripWith(at.trip, members.length),
  ];
}

/** Somebody does not ride along after all: they leave every part of a split, and nothing is theirs to carry. */
export function leaving(crew: Crew, trip: Trip | null, who: string): RowChange[] {
  const members = crew.members.filter((m) => m.who !== who);
  const splits = crew.splits
    .map((s) => ({ ...s, groups: s.groups.map((g) => g.filter((k) => k !== who)).filter((g) => g.length > 0) }))
    .filter((s) => s.groups.length > 0);
  const after: Crew = { ...crew, members, splits, fixed: crew.fixed.filter((f) => f.by !== who) };
  return [{ table: 'crews', id: crew.id, before: crew, after }, ...(trip ? tripWith(trip, members.length) : [])];
}

/** Copies that stand for all there are: what stays at home stays there whole. */
const ALL = 200;
/** Who carries a thing from now on, or that it stays at home; null lets the program choose again. */
export function fixing(fixed: readonly Fixed[], item: string, by: string | null, count: number): Fixed[] {
  const rest = fixed.filter((f) => f.item !== item);
  return by === null ? rest : [...rest, { item, by, count: by === 'home' ? ALL : count }];
}

/** Two halves of those who ride, in the order in which they are listed. */
export function halves(riders: readonly CarrierId[]): CarrierId[][] {
  const half = Math.ceil(riders.length / 2);
  return [riders.slice(0, half), riders.slice(half)].filter((g) => g.length > 0);
}

/** Somebody goes to a part of a split: −1 rides alone. Null where nobody would be left in any part. */
export function placed(split: Pick<Split, 'groups'>, who: CarrierId, to: number): CarrierId[][] | null {
  const groups = split.groups.map((g) => g.filter((k) => k !== who));
  while (groups.length <= to) groups.push([]);
  groups[to]?.push(who);
  const left = groups.filter((g) => g.length > 0);
  return left.length > 0 ? left : null;
}
