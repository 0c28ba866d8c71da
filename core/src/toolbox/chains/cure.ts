import { at, last } from '../../ground/numbers.js';
import type { Fastener } from '../../bike/index.js';
import type { Piece } from '../tools/index.js';
import type { Head } from '../../ground/sizes/index.js';
import type { Chain, Link } from './chain.js';
import { modeFit, type End } from './fails.js';
import type { NearSizeFact } from './facts.js';
import { ChainFinder } from './find.js';
import { endsOf } from './operation.js';
import { FORCE, type Practice } from '../practice.js';

/** The best purchase that brings a fastener within reach, and the chains it then has. */
export interface Cure {
  buy: Piece[];
  mass: number;
  chains: Chain[];
  /** What to know of a tool of another size or system on the head; null where it is the head's own. */
  warning: NearSizeFact | null;
}

/** Share of made heads that a tool of another size has to fit before it is offered for one. */
const FITS_NEARLY_ALL = 0.99;

/**
 * How well a purchase suits the head, the less the better: the head's own size and closed round it; its own size, open; another size or system
 * that fits nearly every head made. What suits less than that is not offered.
 */
function suits(link: Link, head: Head): number | null {
  const { turns, grip } = link.mode;
  if (grip === 'adjustable') return 1;
  if (turns.size === head.size) return grip === 'open' ? 1 : 0;
  return modeFit(link.mode, head).odds.fits >= FITS_NEARLY_ALL ? 2 : null;
}
/** The worst of a purchase's heads; null where one is not to be offered. What the rider owns already is the rider's choice. */
function suitsAll(chains: readonly Chain[], heads: readonly Head[], owned: (id: string) => boolean): number | null {
  let worst = 0;
  for (const [i, chain] of chains.entries()) {
    const link = last(chain.links);
    const own = owned(link.piece.id) ? 0 : suits(link, at(heads, i));
    if (own === null) return null;
    worst = Math.max(worst, own);
  }
  return worst;
}

/** Says of a tool of another size how many heads it fits. */
function warningOf(
  chains: readonly Chain[],
  heads: readonly Head[],
  owned: (id: string) => boolean,
): NearSizeFact | null {
  for (const [i, chain] of chains.entries()) {
    const link = last(chain.links);
    const [tool, head] = [link.mode.turns, at(heads, i)];
    if (owned(link.piece.id) || link.mode.grip === 'adjustable' || tool.size === head.size) continue;
    const of100 = Math.floor(modeFit(link.mode, head).odds.fits * 100);
    return { code: 'cure.near-size', piece: link.piece.name, tool, head, of100 };
  }
  return null;
}

/** Kinds that stand between hand and head, and for which ends any of them may be part of a cure: elsewhere they would only add grams. */
const DRIVERS: Partial<Record<Piece['kind'], (end: End) => boolean>> = {
  ratchet: () => true,
  'plain bar': () => true,
  adapter: () => true,
  extension: ({ access: a }) => a.recess > 0 || a.clearance !== null || a.approach === 'out of line',
  joint: ({ access: a }) => a.approach === 'out of line',
  pipe: ({ need }) => need > FORCE.twoHands * 0.1,
};

/** The search behind cures: chains of each end over the toolbox and what of the offer could help, and what a set of chains has to buy. */
function withOffer(fastener: Fastener, drawer: readonly Piece[], offered: readonly Piece[], practice: Practice) {
  const ends = endsOf(fastener);
  const useful = offered.filter(
    (p) =>
      ends.some((e) => DRIVERS[p.kind]?.(e)) ||
      p.modes.some((m) => ends.some((e) => modeFit(m, e.head).verdict === 'fits')),
  );
  const offeredIds = new Set(useful.map((p) => p.id));
  const owned = new Map(drawer.map((p) => [p.id, p]));
  const bought = (chains: readonly Chain[]) => {
    const uses = new Map<string, { piece: Piece; n: number }>();
    for (const chain of chains)
      for (const { piece } of chain.links) {
        const use = uses.get(piece.id);
        if (use) use.n++;
        else uses.set(piece.id, { piece: owned.get(piece.id) ?? piece, n: 1 });
      }
    const list: Piece[] = [];
    for (const { piece, n } of uses.values()) {
      const buy = offeredIds.has(piece.id) ? n : n - piece.count;
      for (let k = 0; k < buy; k++) list.push(piece);
    }
    return list;
  };
  // A second copy of what is owned may be the cure, so two of everything count while searching.
  const wide = [...drawer.map((p) => ({ ...p, count: Math.max(2, p.count) })), ...useful];
  const finder = new ChainFinder(wide, practice);
  const lists = ends.map((end) => finder.reach(end).chains);
  /** A chain as it was found, each of its pieces as it is owned. */
  const asOwned = (chain: Chain): Chain => ({
    ...chain,
    links: chain.links.map((l) => ({ ...l, piece: owned.get(l.piece.id) ?? l.piece })),
  });
  return { lists, bought, asOwned, heads: ends.map((e) => e.head), owns: (id: string) => owned.has(id) };
}

/** Most ways to buy that are told of one fastener, the least first. */
const MOST_WAYS = 60;

/**
 * Ways to bring a fastener within reach by buying: the pieces of each, the least first, at most sixty; empty when nothing helps.
 * @param of what is to be least, of one piece
 */
export function reachWithOffer(
  fastener: Fastener,
  drawer: readonly Piece[],
  offered: readonly Piece[],
  practice: Practice,
  of: (piece: Piece) => number,
): Piece[][] {
  const { lists, bought, heads, owns } = withOffer(fastener, drawer, offered, practice);
  if (lists.some((l) => l.length === 0)) return [];
  const cost = (pieces: readonly Piece[]) => pieces.reduce((s, p) => s + of(p), 0);
  const least = <T>(list: readonly T[], pieces: (one: T) => Piece[]): T[] =>
    list
      .map((one) => ({ one, cost: cost(pieces(one)) }))
      .sort((a, b) => a.cost - b.cost)
      .slice(0, MOST_WAYS)
      .map(({ one }) => one);
  const fit = (i: number) =>
    least(
      at(lists, i).filter((c) => suitsAll([c], [at(heads, i)], owns) !== null),
      (c) => bought([c]),
    );
  const near = fit(0);
  const far = lists[1] ? fit(1) : null;
  const ways = far
    ? near.flatMap((a) => far.flatMap((b) => (a.holdOnly && b.holdOnly ? [] : [bought([a, b])])))
    : near.map((c) => bought([c]));
  return least(ways, (way) => way);
}
const mass = (pieces: readonly Piece[]) => pieces.reduce((s, p) => s + p.mass, 0);

/**
 * Finds the best purchase that reaches a fastener which the toolbox does not: of those that suit the head best the lightest. Exact over chains of
 * the toolbox plus those catalogue pieces that turn its heads or stand between hand and head.
 * @returns null when nothing in the catalogue helps either
 */
export function cureOf(
  fastener: Fastener,
  drawer: readonly Piece[],
  offered: readonly Piece[],
  practice: Practice,
): Cure | null {
  const { lists, bought, asOwned, heads, owns } = withOffer(fastener, drawer, offered, practice);
  const cost = (chains: readonly Chain[]) => mass(bought(chains));
  const ranked = (i: number) =>
    (lists[i] ?? [])
      .flatMap((chain) => {
        const rank = suitsAll([chain], [at(heads, i)], owns);
        return rank === null ? [] : [{ chain, rank, cost: cost([chain]) }];
      })
      .sort((a, b) => a.rank - b.rank || a.cost - b.cost);
  const near = ranked(0);
  let best: { chains: Chain[]; rank: number; cost: number } | null = null;
  const take = (chains: Chain[], rank: number) => {
    const now = { chains, rank, cost: cost(chains) };
    if (!best || now.rank < best.rank || (now.rank === best.rank && now.cost < best.cost)) best = now;
  };
  if (lists.length === 1) for (const n of near.slice(0, 1)) take([n.chain], n.rank);
  else {
    const far = ranked(1);
    for (const n of near) {
      const b = best as { rank: number; cost: number } | null;
      if (b && (n.rank > b.rank || (n.rank === b.rank && n.cost >= b.cost))) break;
      for (const f of far) {
        const now = best as { rank: number; cost: number } | null;
        const rank = Math.max(n.rank, f.rank);
        if (now && rank > now.rank) break;
        if (n.chain.holdOnly && f.chain.holdOnly) continue;
        if (now && rank === now.rank && Math.max(n.cost, f.cost) >= now.cost) continue;
        take([n.chain, f.chain], rank);
      }
    }
  }
  const b = best as { chains: Chain[]; cost: number } | null;
  if (!b) return null;
  const warning = warningOf(b.chains, heads, owns);
  return { buy: bought(b.chains), mass: b.cost, chains: b.chains.map(asOwned), warning };
}

/** Pieces of a chain, for showing. */
export const chainNames = (chain: Chain): string[] => chain.links.map((l) => l.piece.name);
