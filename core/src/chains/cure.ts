import type { Fastener } from '../bike/index.js';
import type { Piece } from '../tools/index.js';
import type { Chain } from './chain.js';
import { modeFit, type End } from './check.js';
import { ChainFinder } from './find.js';
import { endsOf } from './operation.js';
import { FORCE, type Practice } from './practice.js';

/** The lightest purchase that brings a fastener within reach, and the chains it then has. */
export interface Cure {
  buy: Piece[];
  mass: number;
  chains: Chain[];
}

/** Kinds that stand between hand and head, and for which ends any of them may be part of a cure: elsewhere they would only add grams. */
const DRIVERS: Partial<Record<Piece['kind'], (end: End) => boolean>> = {
  ratchet: () => true,
  'plain bar': () => true,
  adapter: () => true,
  extension: ({ access: a }) => a.recess > 0 || a.clearance !== null || a.approach === 'out of line',
  joint: ({ access: a }) => a.approach === 'out of line',
  pipe: ({ need }) => need !== null && need > FORCE.twoHands * 0.1,
};

/** The search behind cures: chains of each end over the drawer and what of the offer could help, and what a set of chains has to buy. */
function withOffer(fastener: Fastener, drawer: readonly Piece[], offered: readonly Piece[], practice: Practice) {
  const ends = endsOf(fastener);
  const useful = offered.filter(
    (p) =>
      ends.some((e) => DRIVERS[p.kind]?.(e)) ||
      p.modes.some((m) => ends.some((e) => modeFit(m, e.head).verdict === 'fits')),
  );
  const offeredIds = new Set(useful.map((p) => p.id));
  const bought = (chains: readonly Chain[]) => {
    const uses = new Map<string, { piece: Piece; n: number }>();
    for (const chain of chains)
      for (const { piece } of chain.links) uses.set(piece.id, { piece, n: (uses.get(piece.id)?.n ?? 0) + 1 });
    return [...uses.values()].flatMap(({ piece, n }) =>
      offeredIds.has(piece.id)
        ? Array.from({ length: n }, () => piece)
        : Array.from({ length: Math.max(0, n - piece.count) }, () => piece),
    );
  };
  // A second copy of what is owned may be the cure, so two of everything count while searching.
  const wide = [...drawer.map((p) => ({ ...p, count: Math.max(2, p.count) })), ...useful];
  const owned = new Map(drawer.map((p) => [p.id, p.count]));
  const finder = new ChainFinder(wide, practice);
  const lists = ends.map((end) =>
    finder.reach(end).chains.map((chain) => ({
      ...chain,
      links: chain.links.map((l) => ({
        ...l,
        piece: { ...l.piece, count: owned.get(l.piece.id) ?? l.piece.count },
      })),
    })),
  );
  return { lists, bought };
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
  const { lists, bought } = withOffer(fastener, drawer, offered, practice);
  if (lists.some((l) => l.length === 0)) return [];
  const cost = (pieces: readonly Piece[]) => pieces.reduce((s, p) => s + of(p), 0);
  const short = (list: Chain[]) => [...list].sort((a, b) => cost(bought([a])) - cost(bought([b]))).slice(0, MOST_WAYS);
  const near = short(lists[0]!);
  const ways = lists[1]
    ? near.flatMap((a) => short(lists[1]!).map((b) => bought([a, b])))
    : near.map((c) => bought([c]));
  return ways.sort((a, b) => cost(a) - cost(b)).slice(0, MOST_WAYS);
}
const mass = (pieces: readonly Piece[]) => pieces.reduce((s, p) => s + p.mass, 0);

/**
 * Finds the lightest purchase that reaches a fastener which the drawer does not.
 * Exact over chains of the drawer plus those catalogue pieces that turn its heads or stand between hand and head.
 * @returns null when nothing in the catalogue helps either
 */
export function cureOf(
  fastener: Fastener,
  drawer: readonly Piece[],
  offered: readonly Piece[],
  practice: Practice,
): Cure | null {
  const { lists, bought } = withOffer(fastener, drawer, offered, practice);
  const cost = (chains: readonly Chain[]) => mass(bought(chains));
  if (lists.some((l) => l.length === 0)) return null;
  const near = lists[0]!.map((c) => ({ chains: [c], cost: cost([c]) }));
  let best = near.reduce((a, b) => (b.cost < a.cost ? b : a));
  if (lists.length === 2) {
    const far = lists[1]!.map((c) => ({ chain: c, cost: cost([c]) })).sort((a, b) => a.cost - b.cost);
    best = { chains: [], cost: Infinity };
    for (const n of [...near].sort((a, b) => a.cost - b.cost)) {
      if (n.cost >= best.cost) break;
      for (const f of far) {
        if (Math.max(n.cost, f.cost) >= best.cost) break;
        const chains = [n.chains[0]!, f.chain];
        const both = cost(chains);
        if (both < best.cost) best = { chains, cost: both };
      }
    }
  }
  return { buy: bought(best.chains), mass: best.cost, chains: best.chains };
}

/** Pieces of a chain, for showing. */
export const chainNames = (chain: Chain): string[] => chain.links.map((l) => l.piece.name);
