import type { Reach } from '../../toolbox/chains/index.js';
import { carriedChains, reachedBy } from '../../toolbox/cover/index.js';
import { byAsk, doneWith, fittedMends, savedBy, type Contents, type Done } from '../done.js';
import type { KitFacts } from '../kit.js';
import type { Ask, AskWay, KitProblem } from '../optimum/kitProblem.js';
import type { StockedMend } from '../optimum/slots.js';
import { availableWays, metBy } from '../optimum/tools.js';

/** One trouble that the kit is asked about, with what the kit does against it. */
export interface AskDone {
  ask: Ask;
  index: number;
  done: Done;
  /** Whether each of its ways can be done with the tools. */
  available: readonly boolean[];
  /** Mends that the kit is stocked for. */
  stocked: readonly StockedMend[];
  /** Hours that it saves. */
  saved: number;
  /** The way of the first mend, or of all beyond; null when there is none. */
  now: AskWay | null;
}

/** What follows from a kit's contents, worked out once for all that is told of it. */
export interface Worked {
  problem: KitProblem;
  counts: readonly number[];
  facts: KitFacts;
  /** Copies carried, by piece. */
  carried: ReadonlyMap<string, number>;
  /** Reaches by chains of carried pieces alone. */
  within: readonly Reach[];
  /** Fasteners reached. */
  reached: ReadonlySet<string>;
  met: ReturnType<typeof metBy>;
  /** What is packed and what sits beside live parts. */
  stocked: readonly StockedMend[];
  asks: readonly AskDone[];
}

/**
 * Fasteners that are reached with so many copies of each carried piece.
 * @param copies by piece
 * @returns ids of fasteners
 */
export const reachedWith = (within: readonly Reach[], copies: ReadonlyMap<string, number>): Set<string> =>
  new Set(within.filter((r) => reachedBy(r, copies)).map((r) => r.fastener.id));

/**
 * The way that a number of `Done` stands for.
 * @param way number among the ask’s ways; −1 or nothing for none
 */
export const wayOf = (ask: Ask, way: number | undefined): AskWay | null =>
  way === undefined ? null : (ask.ways[way] ?? null);

/**
 * Works out once what all that is told of a kit hangs on: chains of what is carried, requirements met, ways that can
 * be gone, repairs in a row.
 * @param contents copies of each piece, and the repairs that it is stocked for
 */
export function workedOut(problem: KitProblem, contents: Contents, facts: KitFacts): Worked {
  const { counts } = contents;
  const carried = new Map(problem.pieces.map((p, i) => [p.id, counts[i] ?? 0]));
  // Only chains of carried pieces matter from here on, and they are few.
  const within = problem.tools.reaches.map((r) => carriedChains(r, carried));
  const met = metBy(problem, counts);
  const { available, done } = doneWith(problem, contents, availableWays(problem, counts, met));
  // What sits beside the live part is used like what is packed: it is part of the stock.
  const stocked = facts.supplies
    ? contents.stocked
    : [...contents.stocked, ...fittedMends(problem, done, contents.stocked)];
  const stockedFor = byAsk(problem, stocked);
  const asks = problem.asks.map((ask, index): AskDone => {
    const made = done[index] ?? { by: [], beyond: -1 };
    return {
      ask,
      index,
      done: made,
      available: available[index] ?? [],
      stocked: stockedFor[index] ?? [],
      saved: savedBy(ask, made, (w) => w.hours),
      now: wayOf(ask, made.by[0] ?? made.beyond),
    };
  });
  return { problem, counts, facts, carried, within, reached: reachedWith(within, carried), met, stocked, asks };
}
