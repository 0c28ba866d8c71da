import { at, present } from '../ground/numbers.js';
import type { Solve } from '../ground/milp.js';
import type { Evidence, Fastener } from '../bike/index.js';
import {
  ChainFinder,
  chainNames,
  disjoint,
  reachOf,
  type Chain,
  type Cure,
  type Fail,
  type Reach,
} from '../toolbox/chains/index.js';
import { atHand } from '../toolbox/loan.js';
import { chainsBy } from '../toolbox/cover/index.js';
import type { GarageDocument } from '../garage/index.js';
import { chosenKit, type Kit } from '../kit/index.js';
import {
  allEnough,
  pooled,
  exposuresIn,
  stockDemands,
  stocksFor,
  type Exposure,
  type Stock,
} from '../trip/odds/index.js';
import type { Ridden } from '../kit/simulation/index.js';
import { bookOf, stockOf } from '../repairs/supplies/index.js';
import type { Packing, StowInput } from '../stow/index.js';
import type { Trip } from '../trip/index.js';
import { AnswerMemory } from './answerMemory.js';
import { proveCaseOf, readyShare } from './proof.js';
import type { Question } from './question.js';
import { stowInput } from './stowInputOf.js';
import { usablePieces } from '../toolbox/tools/index.js';

/** A fastener's answer in the form that screens, print and the command line use. */
export interface FastenerAnswer {
  id: string;
  reached: boolean;
  best: Chain[];
  /** Other ways, the preferred first, at most five: a chain at the near end, and one at the far end that shares no piece with it. */
  others: Chain[][];
  fails: { end: 'near' | 'far'; fail: Fail }[];
  /** A tool that only spins it: its name. */
  loose: string | null;
  cure: Cure | null;
  /** Pieces marked *never* with which it would be reached; empty when none would. */
  barred: string[];
}

/** What is missing before a figure can be known. */
export type Missing = 'no fasteners' | 'no trip' | 'no legs';
/** For each figure what it still wants; null where it is known. A figure that is not known is no nought and no hundred per cent. */
export interface Unknown {
  reached: Missing | null;
  mass: Missing | null;
  /** Chance of getting home, hours saved and at stake. */
  home: Missing | null;
}

function unknownOf(chosen: number, trip: Trip | undefined, list: readonly Exposure[]): Unknown {
  // What is done so often on any trip, such as changing pressures, makes no way of it yet.
  const ridden = trip !== undefined && trip.legs.length > 0 && list.some((e) => e.lambda > 0);
  const home = !trip ? 'no trip' : ridden ? null : 'no legs';
  const reached = chosen === 0 ? 'no fasteners' : null;
  // A trip with legs asks for spares, fasteners or none: what they weigh is known.
  return { reached, home, mass: home === null ? null : reached };
}

/** Everything that follows from a garage, a bike and a trip. Same input, same output. */
export interface Answer {
  fasteners: FastenerAnswer[];
  chosen: number;
  reached: number;
  evidence: Record<Evidence, number>;
  exposures: Exposure[];
  stocks: Stock[];
  sparesEnough: number;
  /** For the whole company: spares that each carries alone, against one stock pooled. Empty without companions. */
  pooled: { kind: string; alone: number; together: number }[];
  kit: Kit;
  /** What the kit is for, trouble by trouble, as whoever rides the trip many times needs it. */
  ridden: Ridden[];
  /** How the kit turns each fastener: names of pieces for each end. */
  kitChains: Record<string, string[][]>;
  /** The same as chains, for whoever needs their measures. */
  kitUse: Record<string, Chain[]>;
  packing: Packing;
  /** What was to be packed, for whoever searches on or looks at a change. */
  stow: StowInput;
  unknown: Unknown;
  /** Share of the hours at stake that repairs save which were really done with this kit; null where nothing is at stake. */
  ready: number | null;
}

export type Phase = 'chains' | 'odds' | 'kit' | 'stow' | 'cures';

/** Where no day is said nothing is long ago. */
const NO_DAY = '1970-01-01';
const MOST_OTHERS = 5;

function otherWays(reach: Reach): Chain[][] {
  if (reach.best.length === 0) return [];
  const [near, far] = reach.ends.map((e) => e.reach.chains);
  const ways: Chain[][] = [];
  for (const chain of present(near)) {
    if (chain === reach.best[0]) continue;
    const other = far ? [chain, ...far.filter((f) => disjoint(chain, f)).slice(0, 1)] : [chain];
    if (other.length === reach.best.length) ways.push(other);
    if (ways.length === MOST_OTHERS) break;
  }
  return ways;
}

function asAnswer(reach: Reach): FastenerAnswer {
  const near = at(reach.ends, 0).reach;
  return {
    id: reach.fastener.id,
    reached: reach.best.length > 0,
    best: reach.best,
    others: otherWays(reach),
    fails: reach.fails,
    loose: near.loose?.piece.name ?? null,
    cure: null,
    barred: [],
  };
}

/**
 * Works out the whole path: reach, odds and stocks, lightest kit, packing, and cures for what is out of reach.
 * @param garage all of it, what is lent in it
 * @param question bike and trip
 * @param solve exact solver
 * @param onPhase told before each part starts, for progress
 * @param memory what an earlier answer left; only makes it faster
 * @throws RangeError when the bike is not in the garage
 */
export function answerFor(
  garage: GarageDocument,
  question: Question,
  solve: Solve,
  onPhase: (phase: Phase) => void = () => {},
  memory: AnswerMemory = new AnswerMemory(),
): Answer {
  // What is lent and not back is missing from this kit.
  const doc = atHand(garage);
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const fasteners = doc.fasteners.filter((f) => f.bikeId === bike.id);
  const chosen = fasteners.filter((f) => f.leftOut === null);
  const practice = doc.garage.practice;
  const book = bookOf(doc.kinds);

  onPhase('chains');
  const pieces = usablePieces(doc.pieces, bike.id);
  const finder = memory.chains(pieces, practice);
  const reaches = chosen.map((f) => reachOf(f, finder));

  onPhase('odds');
  const trip = doc.trips.find((t) => t.id === question.tripId);
  const list = exposuresIn(doc, question);
  const stocks = trip ? stocksFor(stockDemands(list, chosen, practice.tubes), trip.serviceLevel, book) : [];

  onPhase('kit');
  const { owned } = stockOf(doc.supplies, bike, question.today ?? null, doc.kinds);
  const { tools, problem: whole } = memory.tools(doc, question, finder, list);
  const { kit, problem } = chosenKit(doc, question, whole, solve, owned, question.hint ?? null);
  const carried = new Map(kit.pieces.map((k) => [k.piece.id, k.count]));
  const kitUse = Object.fromEntries(
    tools.reaches.flatMap((r) => {
      const chains = chainsBy(r, carried);
      return chains ? [[r.fastener.id, chains] as const] : [];
    }),
  );
  const kitChains = Object.fromEntries(Object.entries(kitUse).map(([id, chains]) => [id, chains.map(chainNames)]));

  onPhase('stow');
  const stow = stowInput(doc, question, kit, list);
  const packing = memory.packing(stow, question.packed ?? null);

  onPhase('cures');
  const answers = reaches.map(asAnswer);
  const marked = new ChainFinder(pieces, practice);
  const never = new Set(pieces.filter((p) => p.mark === 'never').map((p) => p.id));
  answers.forEach((a, i) => {
    if (a.reached) return;
    a.cure = memory.cure(at(chosen, i), practice);
    if (never.size === 0) return;
    const links = reachOf(at(chosen, i), marked).best.flatMap((c) => c.links);
    a.barred = [...new Set(links.filter((l) => never.has(l.piece.id)).map((l) => l.piece.name))];
  });
  // Nothing practised is nothing proven, without a look.
  const stakes = list.some((e) => e.atStake > 0);
  const told = { kit, kitUse, exposures: list, packing };
  const ready =
    doc.drills.length === 0
      ? stakes
        ? 0
        : null
      : readyShare({ ...doc, loans: garage.loans }, proveCaseOf(doc, question, told, question.today ?? NO_DAY));
  return {
    fasteners: answers,
    chosen: chosen.length,
    reached: answers.filter((a) => a.reached).length,
    evidence: evidenceOf(chosen),
    exposures: list,
    stocks,
    sparesEnough: allEnough(stocks),
    pooled:
      trip && trip.companions > 0
        ? pooled(stockDemands(list, chosen, practice.tubes), trip.companions + 1, trip.serviceLevel, book)
        : [],
    kit,
    ridden: problem.asks.map(({ key, exposure, law }) => ({ key, exposure, law })),
    kitChains,
    kitUse,
    packing,
    stow,
    unknown: unknownOf(chosen.length, trip, list),
    ready,
  };
}

/** Chosen fasteners on each rung of the evidence ladder. */
export function evidenceOf(list: readonly Pick<Fastener, 'evidence'>[]): Record<Evidence, number> {
  const out = { assumed: 0, measured: 0, tried: 0, proven: 0 };
  for (const f of list) out[f.evidence]++;
  return out;
}
