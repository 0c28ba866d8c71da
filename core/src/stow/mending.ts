import { at } from '../ground/numbers.js';
import { contentsOf, faultsAt, type BareFault, type Mending, type StowCase, type StowFault } from './brokenRules.js';
import { itemsOf } from './item.js';
import { loadWarnings, type LoadCase } from './load/index.js';
import { costOf, mayGo, placeIn, SCALE, type StowProblem } from './stowProblem.js';

/** Changes that are looked at for one fault, the cheapest first. */
const MOST_TRIED = 150;
/** Pieces that are named as making room, at most. */
const MOST_NAMED = 5;

type Move = readonly [unit: number, bin: number];

/** An assignment with some units moved. */
function moved(where: readonly number[], moves: readonly Move[]): number[] {
  const to = [...where];
  for (const [u, bin] of moves) to[u] = bin;
  return to;
}
/** The problem in which the units that were moved by hand are the rider's own. */
function withFixed(p: StowProblem, moves: readonly Move[]): StowProblem {
  const fixed = p.fixed.copy();
  for (const [u, bin] of moves) fixed.set(u, bin);
  return { ...p, fixed };
}
/** Moves in the rider's words, and what the packing costs more by them. */
const mendingOf = (p: StowProblem, moves: readonly Move[], more: number): Mending => ({
  moves: moves.map(([u, bin]) => {
    const { key, name } = at(p.units, u).host;
    const place = at(p.places, p.placeOf.at(bin));
    return { key, name, placeId: place.id, placeName: place.name };
  }),
  points: more / SCALE,
});

/** How far a limit is broken, so that a move counts that brings a load nearer to its limit although not under it. */
const overOf = ({ input }: StowCase, load: LoadCase) =>
  new Map(loadWarnings(input.bike, load).map((w) => [w.rule, w.over]));

/** Looks for the cheapest change that mends a fault and breaks nothing else. */
class Mender {
  private readonly before: number;
  private readonly over: Map<string, number>;
  private readonly known: Set<string>;
  constructor(
    private readonly c: StowCase,
    private readonly where: readonly number[],
    seen: { faults: readonly BareFault[]; load: LoadCase },
  ) {
    this.before = costOf(c.p, where);
    this.over = overOf(c, seen.load);
    this.known = new Set(seen.faults.map((f) => f.id));
  }

  /** One piece to another place, else two that change places. */
  cheapest(fault: BareFault): Mending | null {
    const mine = this.candidates(fault);
    return (
      this.firstOf(
        fault,
        mine.flatMap((u) => this.elsewhere(u)),
      ) ??
      (fault.placeId === null
        ? null
        : this.firstOf(
            fault,
            mine.flatMap((u) => this.exchanges(u)),
          ))
    );
  }
  /** Units whose going elsewhere may mend a fault. What is on board in all is not less for lying elsewhere. */
  private candidates(fault: BareFault): number[] {
    const { p } = this.c;
    if (fault.rule === 'payload') return [];
    return p.units.flatMap((unit, u) => {
      const k = placeIn(p, this.where, u);
      if (k < 0) return [];
      if (fault.key !== null) return unit.host.key === fault.key ? [u] : [];
      return fault.placeId === null || at(p.places, k).id === fault.placeId ? [u] : [];
    });
  }
  private elsewhere(u: number): Move[][] {
    const { p } = this.c;
    return [...p.bins.keys()]
      .filter((bin) => bin !== this.where[u] && mayGo(p, u, bin))
      .map((bin): Move[] => [[u, bin]]);
  }
  private exchanges(u: number): Move[][] {
    const { p } = this.c;
    const a = at(this.where, u);
    return this.where.flatMap((b, v): Move[][] =>
      v !== u && b !== p.loose && p.placeOf.at(a) !== p.placeOf.at(b) && mayGo(p, u, b) && mayGo(p, v, a)
        ? [
            [
              [u, b],
              [v, a],
            ],
          ]
        : [],
    );
  }
  /** The first that mends, the cheapest tried first. */
  private firstOf(fault: BareFault, all: readonly Move[][]): Mending | null {
    const { p } = this.c;
    const found = all
      .map((moves) => ({ moves, more: costOf(p, moved(this.where, moves)) - this.before }))
      .sort((a, b) => a.more - b.more)
      .slice(0, MOST_TRIED)
      .find(({ moves }) => this.mends(fault.id, moves));
    return found ? mendingOf(p, found.moves, found.more) : null;
  }
  private mends(id: string, moves: readonly Move[]): boolean {
    const at = { ...this.c, p: withFixed(this.c.p, moves) };
    const seen = faultsAt(at, moved(this.where, moves));
    if (seen.faults.some((f) => f.id === id || !this.known.has(f.id))) return false;
    return [...overOf(this.c, seen.load)].every(([rule, by]) => by <= (this.over.get(rule) ?? 0) + 1e-9);
  }
}

/**
 * Rules broken, each with the cheapest change that mends it and breaks no other: one piece to another place, else two that change places.
 * What is loose comes with the pieces that would make room for it.
 * @param where bin by unit, −1 where it is loose
 */
export function stowFaults(c: StowCase, where: readonly number[]): { faults: StowFault[]; load: LoadCase } {
  const seen = faultsAt(c, where);
  const mender = new Mender(c, where, seen);
  const broken = seen.faults.map((f): StowFault => ({ ...f, mending: mender.cheapest(f), leaveOut: [] }));
  return { faults: [...broken, ...shutIn(c.p, where), ...looseFaults(c, where)], load: seen.load };
}

function looseFaults(c: StowCase, where: readonly number[]): StowFault[] {
  return c.p.units.flatMap(({ host }, u): StowFault[] =>
    placeIn(c.p, where, u) < 0
      ? [
          {
            id: `loose ${host.key}`,
            rule: 'loose',
            key: host.key,
            placeId: null,
            name: host.name,
            message: [],
            breaks: ['loose'],
            mending: null,
            leaveOut: madeRoomBy(c, where, u),
          },
        ]
      : [],
  );
}

/** A bag that is tied shut with every blade inside it or one like it: one blade has to lie outside. */
function shutIn(p: StowProblem, where: readonly number[]): StowFault[] {
  const placed = p.units.flatMap((unit, u) => {
    const k = placeIn(p, where, u);
    return k < 0 ? [] : [{ unit, u, place: at(p.places, k) }];
  });
  const blades = placed.filter(({ unit }) => itemsOf(unit).some((i) => i.cuts));
  const [first] = blades;
  if (!first || blades.some(({ place }) => place.kind !== 'tie-on')) return [];
  const before = costOf(p, where);
  const [best] = blades
    .flatMap(({ u }) =>
      p.bins.flatMap((bin, b) =>
        at(p.places, bin.place).kind !== 'tie-on' && mayGo(p, u, b)
          ? [{ moves: [[u, b]] as Move[], more: costOf(p, moved(where, [[u, b]])) - before }]
          : [],
      ),
    )
    .sort((a, b) => a.more - b.more);
  const { key, name } = first.unit.host;
  return [
    {
      id: `blade ${first.place.id}`,
      rule: 'blade',
      key,
      placeId: first.place.id,
      name,
      message: [{ code: 'stow.blade-shut-in', place: first.place.name }],
      breaks: ['blade'],
      mending: best ? mendingOf(p, best.moves, best.more) : null,
      leaveOut: [],
    },
  ];
}

/** Whether a loose unit goes into a bin once another is left out of its place. */
function fitsWithout({ p, memory }: StowCase, where: readonly number[], loose: number, without: number, bin: number) {
  const k = p.placeOf.at(bin);
  if (!mayGo(p, loose, bin) || placeIn(p, where, without) !== k) return false;
  const here = at(contentsOf(p, where), k).filter((u) => u !== without);
  const mass = here.reduce((s, u) => s + p.mass.at(u), p.mass.at(loose));
  const room = here.reduce((s, u) => s + p.room.at(u, k), p.room.at(loose, k));
  if (mass > p.bears.at(k) || room > p.roomIn.at(k)) return false;
  if (here.filter((u) => where[u] === bin).length >= at(p.bins, bin).count) return false;
  const meets = here.some((u) => (p.sharp[u] && p.pierced[loose]) || (p.pierced[u] && p.sharp[loose]));
  if (!p.parted[k] && meets) return false;
  const units = [...here, loose].map((u) => at(p.units, u));
  return memory.lay(at(p.places, k), units) !== null;
}

/** Pieces each of which, left out, makes room for a loose one; the least used first, at most five. */
function madeRoomBy(c: StowCase, where: readonly number[], loose: number): { key: string; name: string }[] {
  const { p } = c;
  return p.units
    .filter((_, u) => u !== loose && [...p.bins.keys()].some((bin) => fitsWithout(c, where, loose, u, bin)))
    .sort((a, b) => a.uses - b.uses || a.mass - b.mass)
    .slice(0, MOST_NAMED)
    .map((u) => ({ key: u.host.key, name: u.host.name }));
}
