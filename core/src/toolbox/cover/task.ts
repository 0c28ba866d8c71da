import { at, present, under } from '../../ground/numbers.js';
import { disjoint, usesOf, usesOfPiece, type Chain, type Reach } from '../chains/index.js';
import type { Piece, PieceFunction } from '../tools/index.js';

/** Pieces of a chain with how many of each, in a stable order. */
export type Uses = readonly (readonly [piece: number, n: number])[];

/** A job that the kit must be able to do: for each end, the sets of pieces that would do it. */
export interface Task {
  /** Fasteners that ask for just this; equal ones are merged. */
  fasteners: string[];
  /** One or two ends, each with its alternatives: the last piece, and the rest of the chain; `holds` where it cannot turn its end. */
  ends: { last: number; rest: Uses; holds: boolean }[][];
  /** A piece of which one copy is lost meanwhile; null where nothing is. */
  lost: number | null;
}

/** A function that some trouble asks for, with how many pieces of it. */
export interface FunctionNeed {
  does: PieceFunction;
  count: number;
}

/** Something that can be met in one of several ways: each asks for functions and costs something of its own, such as spares. */
export interface Choice {
  options: { functions: FunctionNeed[]; cost: number }[];
}

/** The choice of tools as sets: what must be done, and with what it could be. */
export interface CoverProblem {
  pieces: readonly Piece[];
  tasks: Task[];
  /** The same tasks with one copy of some piece lost. They are many, and most follow from the rest. */
  spared: Task[];
  functions: FunctionNeed[];
  /** Costs are in what the set is made least in. */
  choices?: readonly Choice[];
}

function usesByIndex(chain: Chain, index: ReadonlyMap<string, number>): Task['ends'][number][number] {
  const last = under(index, at(chain.links, chain.links.length - 1).piece.id);
  const rest = [...usesOf({ links: chain.links.slice(0, -1) })]
    .map(([piece, n]) => [under(index, piece), n] as const)
    .sort((a, b) => a[0] - b[0]);
  return { last, rest, holds: chain.holdOnly };
}

/**
 * Turns reached fasteners into tasks over piece numbers. Fasteners with the same alternatives become one task.
 * @param reaches fasteners to be covered; those out of reach are passed over, since no kit of the toolbox could hold them
 * @param losable pieces of which the kit must be able to lose one and still do every task that the toolbox can do without it
 */
export function coverProblem(
  reaches: readonly Reach[],
  pieces: readonly Piece[],
  functions: readonly FunctionNeed[] = [],
  losable: (piece: Piece) => boolean = () => false,
): CoverProblem {
  const index = new Map(pieces.map((p, i) => [p.id, i]));
  const tasks = new Map<string, Task>();
  for (const reach of reaches) {
    if (reach.best.length === 0) continue;
    const ends = reach.ends.map(({ reach: r }) => r.chains.map((c) => usesByIndex(c, index)));
    const key = ends
      .map((end) =>
        end
          .map((a) => `${a.last}:${a.rest}${a.holds ? ' holds' : ''}`)
          .sort()
          .join(';'),
      )
      .join('|');
    const known = tasks.get(key);
    if (known) known.fasteners.push(reach.fastener.id);
    else tasks.set(key, { fasteners: [reach.fastener.id], ends, lost: null });
  }
  const able = (does: PieceFunction) => pieces.reduce((n, p) => n + (p.functions.includes(does) ? p.count : 0), 0);
  return {
    pieces,
    tasks: [...tasks.values()],
    spared: withOneLost([...tasks.values()], pieces, losable),
    functions: functions.map((f) => ({ ...f, count: Math.min(f.count, able(f.does)) })).filter((f) => f.count > 0),
  };
}

/**
 * Copies of each piece that two alternatives, or one, use together; one copy more of a lost piece that they use.
 * @param lost number of a piece of which one copy is gone; null where none is
 */
export function usesTogether(lost: number | null, ...alternatives: Task['ends'][number]): Map<number, number> {
  const uses = new Map<number, number>();
  for (const { last, rest } of alternatives) {
    uses.set(last, (uses.get(last) ?? 0) + 1);
    for (const [p, n] of rest) uses.set(p, (uses.get(p) ?? 0) + n);
  }
  // Whoever needs a piece of which one is lost carries one more than is in use, at however many ends.
  if (lost !== null && uses.has(lost)) uses.set(lost, under(uses, lost) + 1);
  return uses;
}

/**
 * What must be done even with one copy of a piece lost. A task that the toolbox cannot do then is left out: no double of it is owned.
 */
function withOneLost(tasks: readonly Task[], pieces: readonly Piece[], losable: (piece: Piece) => boolean): Task[] {
  const owned = pieces.map((p) => p.count);
  return tasks.flatMap((task) => {
    const used = new Set(task.ends.flatMap((end) => end.flatMap((a) => [a.last, ...a.rest.map(([p]) => p)])));
    return [...used]
      .filter((p) => losable(at(pieces, p)))
      .map((lost): Task => ({ ...task, lost }))
      .filter((t) => taskDone(t, owned));
  });
}

/**
 * Whether so many copies of each piece do a task.
 * @param counts copies by piece
 */
export function taskDone(task: Task, counts: readonly number[]): boolean {
  const enough = (...alternatives: Task['ends'][number]) => {
    for (const [p, n] of usesTogether(task.lost, ...alternatives)) if (at(counts, p) < n) return false;
    return true;
  };
  const [near, far] = task.ends.map((end) => end.filter((a) => enough(a)));
  return far
    ? present(near).some((a) => far.some((b) => !(a.holds && b.holds) && enough(a, b)))
    : present(near).length > 0;
}

/**
 * Whether a fastener is reached with the carried copies alone: the independent check of every answer.
 * @param carried copies by piece id
 */
export function reachedBy(reach: Reach, carried: ReadonlyMap<string, number>): boolean {
  if (reach.best.length === 0) return false;
  const has = (links: Chain['links'], spent: Chain['links'] = []) =>
    links.every(({ piece }) => {
      let n = 0;
      for (const l of links) if (l.piece.id === piece.id) n++;
      for (const l of spent) if (l.piece.id === piece.id) n++;
      return n <= (carried.get(piece.id) ?? 0);
    });
  const [near, far] = reach.ends.map(({ reach: r }) => r.chains);
  if (!far) return present(near).some((c) => has(c.links));
  return present(near).some(
    (a) => has(a.links) && far.some((b) => !(a.holdOnly && b.holdOnly) && has(b.links) && has(b.links, a.links)),
  );
}

/**
 * A fastener's reach with only those chains that the carried copies allow.
 * @param carried copies by piece id
 */
export const carriedChains = (reach: Reach, carried: ReadonlyMap<string, number>): Reach => ({
  ...reach,
  ends: reach.ends.map(({ end, reach: r }) => ({
    end,
    reach: {
      ...r,
      chains: r.chains.filter((c) =>
        c.links.every(({ piece }) => usesOfPiece(c, piece.id) <= (carried.get(piece.id) ?? 0)),
      ),
    },
  })),
});

/**
 * The preferred chains of a fastener among the carried copies, or null.
 * @param carried copies by piece id
 */
export function chainsBy(reach: Reach, carried: ReadonlyMap<string, number>): Chain[] | null {
  if (reach.best.length === 0) return null;
  const lists = carriedChains(reach, carried).ends.map(({ reach: r }) => r.chains.map((c) => withCounts(c, carried)));
  const near = at(lists, 0);
  if (lists.length === 1) return near[0] ? [near[0]] : null;
  for (const a of near) for (const b of at(lists, 1)) if (disjoint(a, b)) return [a, b];
  return null;
}

const withCounts = (chain: Chain, carried: ReadonlyMap<string, number>): Chain => ({
  ...chain,
  links: chain.links.map((l) => ({
    ...l,
    piece: { ...l.piece, count: carried.get(l.piece.id) ?? 0 },
  })),
});
