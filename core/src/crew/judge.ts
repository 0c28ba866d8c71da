import { at } from '../ground/numbers.js';
import { does } from '../kit/optimum/tools.js';
import { taskDone } from '../toolbox/cover/index.js';
import { carriedCounts, loads, stockOfGroup, type Assignment } from './assignment.js';
import type { CrewCase } from './crewCase.js';
import type { GroupDemand, Group, GroupOption } from './groups.js';
import { lawOn, leastUnits, levelsOf, type Draw } from './stockRule.js';

/** What a group cannot do with what it carries. */
export interface Gap {
  group: string;
  kind: 'mend' | 'turn' | 'loose' | 'stock';
  bikeId: string;
  /** Number of the ask, where it is a trouble; −1 for heads. */
  ask: number;
  /** Fasteners that stay out of reach, by id. */
  fasteners: string[];
  /** Stock that is short, and how many units are wanting; null where it is none. */
  short: { kind: string; units: number } | null;
}

/** Tells gaps apart, so that two lists of them can be compared. */
export const gapKey = (g: Gap): string =>
  [g.group, g.kind, g.bikeId, g.ask, g.fasteners.join(), g.short?.kind ?? ''].join('|');

/** What a group can do, worked out once. */
export interface Able {
  counts: number[];
  stock: Map<string, number>;
  met: (requirement: number) => boolean;
}
/** What a group is able to do with what it carries: copies, stocks, and each requirement looked at once. */
export function ableOf(c: CrewCase, a: Assignment, group: Pick<Group, 'carriers'>): Able {
  const counts = carriedCounts(a, group.carriers);
  const known = new Map<number, boolean>();
  return {
    counts,
    stock: stockOfGroup(a, group.carriers),
    met: (n) => {
      let is = known.get(n);
      if (is === undefined) {
        is = does(c.problem, at(c.problem.requirements, n), counts);
        known.set(n, is);
      }
      return is;
    },
  };
}

/** Whether a group can go a way: its requirements are met, and of each supply there is enough. */
export const optionDone = (o: GroupOption, able: Pick<Able, 'met' | 'stock'>): boolean =>
  o.requires.every(able.met) && o.supplies.every((s) => (able.stock.get(s.kind) ?? 0) >= s.units);

/** The first of a trouble's options that a group can go; null when it can go none. */
export const optionOf = (d: GroupDemand, able: Pick<Able, 'met' | 'stock'>): GroupOption | null =>
  d.options.find((o) => optionDone(o, able)) ?? null;

/** What draws on each stock when every trouble of a group takes an option that spares its stock if it can. */
export function drawsOf(c: CrewCase, group: Group, chosen: readonly (GroupOption | null)[]): Map<string, Draw[]> {
  const draws = new Map<string, Draw[]>();
  group.demands.forEach((d, i) => {
    const law = lawOn(at(c.problem.asks, d.ask), group.legs);
    for (const { kind, units } of chosen[i]?.supplies ?? []) {
      const list = draws.get(kind) ?? [];
      list.push({ law, units });
      draws.set(kind, list);
    }
  });
  return draws;
}

/**
 * The options that a group would go: the one settled on, else one that takes from no stock where the tools allow it, else whatever is there.
 * @param settled number of the option of each demand; −1 where none is settled on
 */
export const chosenOptions = (
  group: Group,
  able: Pick<Able, 'met' | 'stock'>,
  settled: readonly number[] = [],
): (GroupOption | null)[] =>
  group.demands.map((d, i) => {
    const mine = d.options[settled[i] ?? -1];
    if (mine && optionDone(mine, able)) return mine;
    const open = d.options.filter((o) => optionDone(o, able));
    return open.find((o) => o.supplies.length === 0) ?? open[0] ?? null;
  });

/**
 * What a group cannot do with what its people and vehicles carry. Looks at nothing that the search used but the ways themselves, and so checks it.
 * @param withStock whether stocks must suffice for all that draws on them, not for one repair alone
 */
export function gapsOf(c: CrewCase, a: Assignment, group: Group, withStock = group.kind === 'all'): Gap[] {
  const able = ableOf(c, a, group);
  const gaps: Gap[] = [];
  const chosen = chosenOptions(group, able, a.ways.get(group.key));
  const gap = (g: Omit<Gap, 'group'>) => gaps.push({ group: group.key, ...g });
  group.demands.forEach((d, i) => {
    if (chosen[i]) return;
    gap({ kind: 'mend', bikeId: at(c.problem.asks, d.ask).bikeId, ask: d.ask, fasteners: [], short: null });
  });
  for (const l of group.loose) {
    const open = l.shares.filter((s) => !able.met(s.requires));
    if (open.length > 0)
      gap({
        kind: 'loose',
        bikeId: l.bikeId,
        ask: open[0]?.ask ?? -1,
        fasteners: open.flatMap((s) => headsOf(c, s.requires, l.bikeId)),
        short: null,
      });
  }
  const bikeOf = new Map(c.members.flatMap((m) => m.fasteners.map((f) => [f.id, m.bike.id] as const)));
  for (const t of group.tasks)
    if (!taskDone(t, able.counts))
      gap({ kind: 'turn', bikeId: bikeOf.get(at(t.fasteners, 0)) ?? '', ask: -1, fasteners: t.fasteners, short: null });
  if (!withStock) return gaps;
  const level = levelsOf(c.problem, group);
  for (const [kind, draws] of drawsOf(c, group, chosen)) {
    const least = leastUnits(draws, level(kind));
    const has = able.stock.get(kind) ?? 0;
    if (has < least)
      gap({
        kind: 'stock',
        bikeId: c.classes.get(kind)?.bikes[0] ?? '',
        ask: -1,
        fasteners: [],
        short: { kind, units: least - has },
      });
  }
  return gaps;
}
/** Fasteners of one bike that a requirement stands for: heads that take the same tools are one, over all bikes. */
function headsOf(c: CrewCase, requirement: number, bikeId: string): string[] {
  const by = c.problem.requirements[requirement]?.by;
  const mine = new Set(c.members.find((m) => m.bike.id === bikeId)?.fasteners.map((f) => f.id));
  return by && 'head' in by ? by.fasteners.filter((id) => mine.has(id)) : [];
}

/**
 * How much is left undone, over all groups: repairs and heads one by one, what comes loose by its share. Two sharings are only compared by what they
 * weigh when this is the same.
 */
export function leftUndone(c: CrewCase, a: Assignment): number {
  return c.groups.reduce((sum, group) => {
    const able = ableOf(c, a, group);
    const mends = group.demands.filter((d) => !optionOf(d, able)).length;
    const turns = group.tasks.filter((t) => !taskDone(t, able.counts)).length;
    const loose = group.loose.reduce(
      (s, l) => s + l.shares.reduce((n, x) => n + (able.met(x.requires) ? 0 : x.share), 0),
      0,
    );
    return sum + mends + turns + loose;
  }, 0);
}

/** What no group may want and no carrier exceed. */
export interface Judged {
  gaps: Gap[];
  /** Carriers over their limits: grams, and mL. */
  over: { carrier: number; mass: number; bulk: number }[];
}
/**
 * What an assignment lacks, whoever found it: what each group must be able to do and is not, and who carries more than they may.
 */
export function judgeCrew(c: CrewCase, a: Assignment): Judged {
  const over = loads(c, a).flatMap(({ mass, bulk }, carrier) => {
    const { limit, room } = at(c.carriers, carrier);
    const by = { carrier, mass: Math.max(0, mass - limit), bulk: room === null ? 0 : Math.max(0, bulk - room) };
    return by.mass > 1e-6 || by.bulk > 1e-6 ? [by] : [];
  });
  return { gaps: c.groups.flatMap((g) => gapsOf(c, a, g)), over };
}
