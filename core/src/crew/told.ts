import { at } from '../ground/numbers.js';
import { BAG_FILL, boxVolume } from '../toolbox/tools/index.js';
import type { LackFact } from '../kit/index.js';
import { greatestShare, loads, type Assignment } from './assignment.js';
import type { CarrierId, Vehicle } from './crew.js';
import type { CrewCase } from './crewCase.js';
import type { Member } from './member.js';
import { skillIn } from './person.js';
import type { Shared } from './assignment.js';
import { moved, type Item } from './effect.js';
import { fetchHours } from './fetch.js';
import { hoursWith } from './hours.js';
import { rideNeeds, type BikeNeeds } from './rideNeeds.js';
import { gapKey, gapsOf, judgeCrew, type Gap, type Judged } from './judge.js';

/** One thing that somebody carries. */
export interface CrewToken {
  item: Item;
  name: string;
  count: number;
  /** Grams of all copies. */
  mass: number;
  bulk: number;
  /** Whose it is: numbers of members with copies; empty for what is to be bought. */
  of: { member: number; count: number }[];
  buy: number;
  /** Whether the rider decided who carries it. */
  fixed: boolean;
  /** What hangs on it: what can no longer be done when this carrier leaves one at home. */
  why: Gap[];
}
/** One carrier with all that it has. */
export interface CarrierTold {
  number: number;
  mass: number;
  bulk: number;
  limit: number;
  room: number | null;
  /** Mass over limit. */
  share: number;
  tokens: CrewToken[];
}
/** One group with what it cannot do. */
export interface GroupTold {
  key: string;
  kind: 'all' | 'part' | 'alone';
  name: string;
  splitId: string | null;
  members: number[];
  gaps: Gap[];
  never: { ask: number; why: LackFact[] }[];
  fetched: number[];
  /** Hours of its bikes that it saves and that stay at stake, over the whole trip, and chance of getting home by own means. */
  saved: number;
  left: number;
  home: number;
}
/** A trouble as a gap names it. */
export interface AskTold {
  name: string;
  subject: string;
  bikeId: string;
  /** Hours without a mend, and chance of at least one on the trip. */
  without: number;
  odds: number;
  /** Members who can do what the easiest of its ways asks, by number. */
  who: number[];
  /** Hours in which a companion fetches what is missing. */
  fetch: number;
}
/** A carrier as the screens name it. */
export interface CarrierName {
  key: CarrierId;
  name: string;
  bike: { id: string; name: string } | null;
  vehicle: Vehicle['kind'] | null;
  hand: number | null;
  firstAid: boolean;
  limitBy: Member['limitBy'] | null;
  /** Fuel, water and air of a rider's bike; null for what is no rider. */
  needs: BikeNeeds | null;
}

/** Everything that a screen says about who carries what. Numbers of carriers are as in the case: members first. */
export interface CrewAnswer {
  names: CarrierName[];
  carriers: CarrierTold[];
  groups: GroupTold[];
  mass: number;
  share: number;
  cost: number;
  bound: number;
  proven: boolean;
  gap: number;
  judged: Judged;
  asks: AskTold[];
  fasteners: Record<string, { name: string; bikeId: string }>;
  bikes: { bikeId: string; saved: number; left: number; home: number }[];
  home: number;
  saved: number;
  left: number;
}

/** Whose copies somebody carries: their own first, then what the others own, then what is to be bought. */
function owners(
  having: readonly { member: number; count: number }[],
  by: readonly number[],
): { of: { member: number; count: number }[]; buy: number }[] {
  const left = new Map<number, number>();
  for (const h of having) left.set(h.member, (left.get(h.member) ?? 0) + h.count);
  const out = by.map(() => ({ of: [] as { member: number; count: number }[], buy: 0 }));
  const open = by.map((n, r) => {
    const own = Math.min(n, left.get(r) ?? 0);
    if (own > 0) {
      at(out, r).of.push({ member: r, count: own });
      left.set(r, (left.get(r) ?? 0) - own);
    }
    return n - own;
  });
  open.forEach((n, r) => {
    let need = n;
    for (const [member, has] of left) {
      const taken = Math.min(need, has);
      if (taken <= 0) continue;
      at(out, r).of.push({ member, count: taken });
      left.set(member, has - taken);
      need -= taken;
    }
    at(out, r).buy = need;
  });
  return out;
}

/** What each carrier has, without the reasons. */
function tokensOf(c: CrewCase, a: Assignment): CrewToken[][] {
  const out: CrewToken[][] = c.carriers.map(() => []);
  const fixed = (item: Item, r: number) => c.crew.fixed.some((f) => f.item === item && f.by === at(c.carriers, r).key);
  const put = (
    item: Item,
    name: string,
    mass: number,
    bulk: number,
    by: readonly number[],
    having: { member: number; count: number }[],
  ) => {
    const whose = owners(having, by);
    by.forEach((count, r) => {
      if (count > 0)
        at(out, r).push({
          item,
          name,
          count,
          mass: mass * count,
          bulk: bulk * count,
          ...at(whose, r),
          fixed: fixed(item, r),
          why: [],
        });
    });
  };
  c.problem.pieces.forEach((p, i) =>
    put(`piece ${p.id}`, p.name, p.mass, boxVolume(p) / BAG_FILL, a.pieces[i] ?? [], c.of[i] ?? []),
  );
  for (const [key, by] of a.stock) {
    const of = c.problem.book.of(key);
    const having = (c.owned.get(key) ?? []).flatMap((count, member) => (count > 0 ? [{ member, count }] : []));
    put(`spare ${key}`, of.name, of.mass, boxVolume(of) / BAG_FILL, by, having);
  }
  return out.map((list) => list.sort((x, y) => y.mass - x.mass || (x.name < y.name ? -1 : 1)));
}

/** The groups in which a carrier is. */
const groupsWith = (c: CrewCase, r: number) => c.groups.filter((g) => g.carriers.includes(r));

/**
 * What can no longer be done when a carrier leaves one of a thing at home.
 * @param by number of the carrier who leaves it
 */
export function reasonFor(c: CrewCase, a: Assignment, item: Item, by: number, judged: Judged): Gap[] {
  const less = moved(c, a, item, by, -1);
  const had = new Set(judged.gaps.map(gapKey));
  return groupsWith(c, by)
    .flatMap((g) => gapsOf(c, less, g))
    .filter((g) => !had.has(gapKey(g)));
}

/**
 * Everything that is said of a sharing.
 * @param reasons whether what hangs on each thing is worked out too, which takes a while
 */
export function crewAnswer(c: CrewCase, shared: Shared, reasons = true): CrewAnswer {
  const judged = judgeCrew(c, shared);
  const by = loads(c, shared);
  const masses = by.map((l) => l.mass);
  const tokens = tokensOf(c, shared);
  const every = c.carriers.map((_, i) => i);
  const { members } = c;
  const needs = rideNeeds(members, c.trip);
  const all = hoursWith(c, shared, every);
  return {
    names: c.carriers.map(({ key, name, member, vehicle }) => ({
      ...{ key, name, vehicle: vehicle?.kind ?? null },
      bike: member && { id: member.bike.id, name: member.bike.name },
      hand: member?.person.hand ?? null,
      firstAid: member?.person.firstAid ?? false,
      limitBy: member?.limitBy ?? null,
      needs: (member && needs[members.indexOf(member)]) ?? null,
    })),
    carriers: c.carriers.map((k, r) => ({
      number: r,
      ...at(by, r),
      limit: k.limit,
      room: k.room,
      share: at(by, r).mass / Math.max(1, k.limit),
      tokens: at(tokens, r).map((t) => ({ ...t, why: reasons ? reasonFor(c, shared, t.item, r, judged) : [] })),
    })),
    groups: c.groups.map((g) => {
      const h = g.kind === 'all' ? all : hoursWith(c, shared, g.carriers);
      return {
        ...{
          key: g.key,
          kind: g.kind,
          name: g.name,
          splitId: g.splitId,
          members: g.members,
          never: g.never,
          fetched: g.fetched,
        },
        gaps: judged.gaps.filter((x) => x.group === g.key),
        ...{ saved: h.saved, left: h.left, home: h.home },
      };
    }),
    mass: masses.reduce((s, m) => s + m, 0),
    share: greatestShare(c, masses),
    ...{ cost: shared.cost, bound: shared.bound, proven: shared.proven, gap: shared.gap },
    judged,
    asks: c.problem.asks.map((ask) => ({
      name: ask.name,
      subject: ask.exposure.trouble.subject,
      bikeId: ask.bikeId,
      without: ask.exposure.without,
      odds: ask.exposure.odds,
      who: c.members.flatMap((m, i) =>
        !c.absent.has(i) && ask.ways.some((w) => w.way.skill <= skillIn(m.person, ask.exposure.trouble.subject))
          ? [i]
          : [],
      ),
      fetch: fetchHours(c.trip, ask.exposure.away.workshopKm),
    })),
    fasteners: Object.fromEntries(
      c.members.flatMap((m) => m.fasteners.map((f) => [f.id, { name: f.name, bikeId: m.bike.id }] as const)),
    ),
    bikes: [...all.bikes].map(([bikeId, h]) => ({ bikeId, ...h })),
    home: all.home,
    saved: all.saved,
    left: all.left,
  };
}
