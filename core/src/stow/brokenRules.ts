import { loadWarnings, type LoadCase, type LoadRule } from './load/index.js';
import { say, together, type Saying } from '../ground/units/index.js';
import { loadCase } from './carried.js';
import type { StowInput } from './assign.js';
import type { LaidMemory } from './laid.js';
import { costOf, SCALE, type StowProblem } from './stowProblem.js';
import { goesIn, heldWith, nothingHeld, sharedRules, standingRules, WHY_RULE, type Rule } from './rules.js';
import { itemsOf, type Unit } from './item.js';

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
  title: string;
  message: Saying;
  why: string;
  mending: Mending | null;
  /** For what is loose: names of pieces each of which, left out, makes room for it. */
  leaveOut: { key: string; name: string }[];
}

/** What can hurt someone comes before what only does not go in. */
const GRAVE: readonly Rule[] = ['body', 'heat', 'wiring', 'sharp', 'upright', 'fragile', 'wet', 'size', 'slot', 'tie'];

interface Seen {
  faults: Omit<StowFault, 'mending' | 'leaveOut'>[];
  load: LoadCase;
}

/** The load of an assignment. */
export function loadAt(p: StowProblem, input: StowInput, where: readonly number[]): LoadCase {
  const kit = new Map<string, number>();
  where.forEach((bin, u) => {
    if (bin === p.loose) return;
    const { id } = p.places[p.bins[bin]!.place]!;
    kit.set(id, (kit.get(id) ?? 0) + p.mass[u]!);
  });
  return loadCase(input.bike, input.people, input.places, kit);
}

/** Every rule that an assignment breaks. A place over its weight or its room is one fault, named by the place. */
export function faultsAt(
  p: StowProblem,
  units: readonly Unit[],
  input: StowInput,
  where: readonly number[],
  memory: LaidMemory,
): Seen {
  const faults: Seen['faults'] = [];
  const add = (rule: Rule, key: string | null, placeId: string, title: string, message: Saying) =>
    faults.push({ id: `${rule} ${key ?? ''} ${placeId}`, rule, key, placeId, title, message, why: WHY_RULE[rule] });
  p.places.forEach((place, k) => {
    const here = units.flatMap((unit, u) =>
      where[u] !== p.loose && p.bins[where[u]!]!.place === k ? [{ unit, u }] : [],
    );
    // Only what the rider put here can break anything; where nothing of it is, there is nothing to look for.
    if (!here.some(({ u }) => p.fixed[u]! >= 0)) return;
    for (const { unit } of here) {
      const rules = standingRules(place, unit).sort((a, b) => GRAVE.indexOf(a.rule) - GRAVE.indexOf(b.rule));
      if (!rules[0]) continue;
      faults.push({
        id: `standing ${unit.host.key} ${place.id}`,
        rule: rules[0].rule,
        key: unit.host.key,
        placeId: place.id,
        title: unit.host.name,
        message: together(rules.map((r) => r.message)),
        why: [...new Set(rules.map((r) => WHY_RULE[r.rule]))].join('; '),
      });
    }
    const all = here.reduce(
      (held, { unit, u }) => heldWith(place, held, unit, p.bins[where[u]!]!.slot ?? undefined),
      nothingHeld(place),
    );
    const said = new Set<Rule>();
    for (const { unit } of here) {
      const rest = here
        .filter((x) => x.unit !== unit)
        .reduce((held, x) => heldWith(place, held, x.unit, p.bins[where[x.u]!]!.slot ?? undefined), nothingHeld(place));
      for (const r of sharedRules(place, unit, rest, input.rough)) {
        const one = r.rule === 'weight' || r.rule === 'room';
        if (r.rule === 'slot' || said.has(r.rule)) continue;
        if (one) said.add(r.rule);
        add(r.rule, one ? null : unit.host.key, place.id, one ? place.name : unit.host.name, r.message);
      }
    }
    if ((place.slots ?? []).some((s, i) => all.slots[i]! > s.count))
      add('slot', null, place.id, place.name, say`more pieces than slots of their size`);
    const within = here.map((x) => x.unit).filter((unit) => goesIn(place, unit));
    if (memory.lay(place, within) === null) {
      const names = memory.stubborn(place, within, true).map((u) => u.host.name);
      add(
        'packing',
        null,
        place.id,
        place.name,
        say`no way was found to lay these beside each other: ${names.join(', ')}`,
      );
    }
  });
  const load = loadAt(p, input, where);
  for (const w of loadWarnings(input.bike, load))
    faults.push({
      id: w.rule,
      rule: w.rule,
      key: null,
      placeId: null,
      title: TITLE[w.rule],
      message: w.message,
      why: w.why,
    });
  return { faults, load };
}
const TITLE: Record<LoadRule, string> = {
  payload: 'Over the payload',
  rack: 'Over the rack’s limit',
  'front tyre': 'Over the front tyre’s load',
  'rear tyre': 'Over the rear tyre’s load',
  'front share': 'Light front wheel',
  side: 'One side is heavier',
  back: 'Much on the rider’s body',
};

/** Changes that are looked at for one fault, the cheapest first. */
const MOST_TRIED = 150;

/** How far a limit is broken, so that a move counts that brings a load nearer to its limit although not under it. */
const overOf = (input: StowInput, load: LoadCase) =>
  new Map(loadWarnings(input.bike, load).map((w) => [w.rule, w.over]));

/**
 * Rules broken, each with the cheapest change that mends it and breaks no other: one piece to another place, else two that change places.
 * What is loose comes with the pieces that would make room for it.
 */
export function stowFaults(
  p: StowProblem,
  units: readonly Unit[],
  input: StowInput,
  where: readonly number[],
  memory: LaidMemory,
): { faults: StowFault[]; load: LoadCase } {
  const { faults, load } = faultsAt(p, units, input, where, memory);
  const before = costOf(p, where);
  const over = overOf(input, load);
  /** A problem in which the units that were moved by hand are the rider's own. */
  const after = (moves: readonly (readonly [number, number])[]) => {
    const to = [...where];
    const fixed = [...p.fixed];
    for (const [u, bin] of moves) {
      to[u] = bin;
      fixed[u] = bin;
    }
    return { to, at: { ...p, fixed } };
  };
  const known = new Set(faults.map((f) => f.id));
  type Move = readonly [unit: number, bin: number];
  const mends = (id: string, moves: readonly Move[]): boolean => {
    const { to, at } = after(moves);
    const seen = faultsAt(at, units, input, to, memory);
    if (seen.faults.some((f) => f.id === id || !known.has(f.id))) return false;
    const now = overOf(input, seen.load);
    return [...now].every(([rule, by]) => by <= (over.get(rule) ?? 0) + 1e-9);
  };
  const bins = p.bins.map((_, i) => i);
  /** Units whose going elsewhere may mend a fault. What is on board in all is not less for lying elsewhere. */
  const candidates = (fault: (typeof faults)[number]) =>
    fault.rule === 'payload'
      ? []
      : units.flatMap((unit, u) => {
          if (where[u] === p.loose) return [];
          if (fault.key !== null) return unit.host.key === fault.key ? [u] : [];
          return fault.placeId === null || p.places[p.bins[where[u]!]!.place]!.id === fault.placeId ? [u] : [];
        });
  /** The first that mends, the cheapest tried first. */
  const firstOf = (fault: (typeof faults)[number], all: Move[][]) => {
    const ranked = all
      .map((moves) => ({ moves, cost: costOf(p, after(moves).to) - before }))
      .sort((a, b) => a.cost - b.cost)
      .slice(0, MOST_TRIED);
    return ranked.find(({ moves }) => mends(fault.id, moves)) ?? null;
  };
  const cheapest = (fault: (typeof faults)[number]): Mending | null => {
    const mine = candidates(fault);
    const single = mine.flatMap((u) =>
      bins.filter((bin) => bin !== where[u] && Number.isFinite(p.cost[u]![bin]!)).map((bin): Move[] => [[u, bin]]),
    );
    let found = firstOf(fault, single);
    if (!found && fault.placeId !== null)
      found = firstOf(
        fault,
        mine.flatMap((u) =>
          units.flatMap((_, v): Move[][] => {
            const [a, b] = [where[u]!, where[v]!];
            if (v === u || b === p.loose || p.bins[a]!.place === p.bins[b]!.place) return [];
            return Number.isFinite(p.cost[u]![b]!) && Number.isFinite(p.cost[v]![a]!)
              ? [
                  [
                    [u, b],
                    [v, a],
                  ],
                ]
              : [];
          }),
        ),
      );
    return (
      found && {
        moves: found.moves.map(([u, bin]) => {
          const place = p.places[p.bins[bin]!.place]!;
          return { key: units[u]!.host.key, name: units[u]!.host.name, placeId: place.id, placeName: place.name };
        }),
        points: found.cost / SCALE,
      }
    );
  };
  const loose = units.flatMap((unit, u): StowFault[] =>
    where[u] === p.loose
      ? [
          {
            id: `loose ${unit.host.key}`,
            rule: 'loose',
            key: unit.host.key,
            placeId: null,
            title: unit.host.name,
            message: [],
            why: 'what has no place does not come along',
            mending: null,
            leaveOut: madeRoomBy(p, units, where, u, memory),
          },
        ]
      : [],
  );
  return {
    faults: [
      ...faults.map((f) => ({ ...f, mending: cheapest(f), leaveOut: [] })),
      ...shutIn(p, units, where, (moves) => after(moves).to),
      ...loose,
    ],
    load,
  };
}

/** A bag that is tied shut with every blade inside it or one like it: one blade has to lie outside. */
function shutIn(
  p: StowProblem,
  units: readonly Unit[],
  where: readonly number[],
  moved: (moves: [number, number][]) => number[],
): StowFault[] {
  const placeOf = (u: number) => (where[u] === p.loose ? null : p.places[p.bins[where[u]!]!.place]!);
  const tied = units.findIndex((_, u) => placeOf(u)?.kind === 'tie-on');
  const blades = units.flatMap((unit, u) => (itemsOf(unit).some((i) => i.cuts) && placeOf(u) ? [u] : []));
  if (tied < 0 || blades.length === 0 || blades.some((u) => placeOf(u)!.kind !== 'tie-on')) return [];
  const bag = placeOf(blades[0]!)!;
  const before = costOf(p, where);
  const [best] = blades
    .flatMap((u) =>
      p.bins.flatMap((bin, b) =>
        p.places[bin.place]!.kind !== 'tie-on' && Number.isFinite(p.cost[u]![b]!)
          ? [{ u, place: p.places[bin.place]!, cost: costOf(p, moved([[u, b]])) - before }]
          : [],
      ),
    )
    .filter(({ cost }) => Number.isFinite(cost))
    .sort((a, b) => a.cost - b.cost);
  const { key, name } = units[blades[0]!]!.host;
  return [
    {
      id: `blade ${bag.id}`,
      rule: 'blade',
      key,
      placeId: bag.id,
      title: name,
      message: say`${bag.name} is tied shut, and every blade lies inside: keep one outside`,
      why: WHY_RULE.blade,
      mending: best
        ? {
            moves: [
              {
                key: units[best.u]!.host.key,
                name: units[best.u]!.host.name,
                placeId: best.place.id,
                placeName: best.place.name,
              },
            ],
            points: best.cost / SCALE,
          }
        : null,
      leaveOut: [],
    },
  ];
}

/** Pieces each of which, left out, makes room for a loose one; the least used first, at most five. */
function madeRoomBy(
  p: StowProblem,
  units: readonly Unit[],
  where: readonly number[],
  loose: number,
  memory: LaidMemory,
): { key: string; name: string }[] {
  const fits = (without: number) =>
    p.bins.some((bin, b) => {
      if (!Number.isFinite(p.cost[loose]![b]!) || p.bins[where[without]!]!.place !== bin.place) return false;
      const here = units.flatMap((_, u) =>
        u !== without && where[u] !== p.loose && p.bins[where[u]!]!.place === bin.place ? [u] : [],
      );
      const mass = here.reduce((s, u) => s + p.mass[u]!, p.mass[loose]!);
      const room = here.reduce((s, u) => s + p.room[u]![bin.place]!, p.room[loose]![bin.place]!);
      if (mass > p.bears[bin.place]! || room > p.roomIn[bin.place]!) return false;
      if (here.filter((u) => where[u] === b).length >= bin.count) return false;
      const apart = p.parted[bin.place]!;
      if (!apart && here.some((u) => (p.sharp[u] && p.pierced[loose]) || (p.pierced[u] && p.sharp[loose])))
        return false;
      return (
        memory.lay(
          p.places[bin.place]!,
          [...here, loose].map((u) => units[u]!),
        ) !== null
      );
    });
  return units
    .flatMap((unit, u) => (u !== loose && where[u] !== p.loose && fits(u) ? [unit] : []))
    .sort((a, b) => a.uses - b.uses || a.mass - b.mass)
    .slice(0, 5)
    .map((u) => ({ key: u.host.key, name: u.host.name }));
}
