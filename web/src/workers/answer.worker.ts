import '../noEval';
import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import {
  alternativesOf,
  answerFor,
  AnswerMemory,
  buyList,
  contentsOfKept,
  coverageOf,
  frontier,
  fromHere,
  howSure,
  kitCase,
  kitFrom,
  levels,
  manyBikes,
  markCost,
  meansOf,
  picture,
  pieceReach,
  pointOf,
  preventionCosts,
  switchCosts,
  usablePieces,
  whatWeighs,
  type Alternative,
  type Answer,
  type BuyFor,
  type BuyList,
  type Coverage,
  type CurvePicture,
  type CurvePoint,
  type Kit,
  type KeptKit,
  type Difference,
  type FromHere,
  type GarageDocument,
  type HowSure,
  type ManyBikes,
  type Means,
  type Phase,
  type Piece,
  type PieceReach,
  type PreventionCost,
  type Question,
  type SwitchCost,
  type Weighs,
} from '@necessaire/core';
import { solverAt } from './solver';

const solver = solverAt(wasmUrl);
// Fetched while the first question is still on its way; a failure is told with the answer.
void solver().catch(() => undefined);
const memory = new AnswerMemory();
/** Exact problems for each nested kit: within a hundredth of proven at the demo’s size. */
const LEVEL_SOLVES = 30;

/** The same functions that the command line calls, away from the page's thread. */
const worker = {
  async answer(doc: GarageDocument, question: Question, onPhase: (phase: Phase) => void): Promise<Answer> {
    return answerFor(doc, question, await solver(), onPhase, memory);
  },
  /** What is left of a trip with what is left in the bag. */
  async fromHere(
    doc: GarageDocument,
    question: { bikeId: string; tripId: string; today: string },
    kit: Kit,
    leg: number,
  ): Promise<FromHere> {
    return fromHere(doc, question, kit, leg, await solver());
  },
  /** Heads against pieces: the coverage picture of one bike. */
  coverage(doc: GarageDocument, bikeId: string): Coverage {
    const finder = memory.chains(usablePieces(doc.pieces, bikeId), doc.garage.practice);
    return coverageOf(
      doc.fasteners.filter((f) => f.bikeId === bikeId),
      finder,
    );
  },
  /** What a piece, as it is being altered, would turn on a bike, and what the toolbox would gain and lose by it. */
  pieceReach(doc: GarageDocument, bikeId: string, piece: Piece): PieceReach {
    return pieceReach(doc, bikeId, piece);
  },
  /** Tools for all bikes of the garage: core, differences, moves. */
  async manyBikes(doc: GarageDocument, tripId: string | null): Promise<ManyBikes> {
    return manyBikes(doc, tripId, await solver());
  },
  /** What to buy for what is missing on a bike and a trip. */
  buyList(doc: GarageDocument, question: Question, least: BuyFor): BuyList {
    return buyList(doc, question, least);
  },
  /** What each way to turn a head costs in the whole set. */
  async alternatives(doc: GarageDocument, question: Question, fastenerId: string): Promise<Alternative[]> {
    return alternativesOf(doc, question, fastenerId, await solver());
  },
  /** What the mark on a piece costs. */
  async markCost(doc: GarageDocument, question: Question, pieceId: string): Promise<Difference | null> {
    return markCost(doc, question, pieceId, await solver());
  },
  /** What each other position of each switch of practice costs: both kits solved whole, in a worker of its own. */
  async switches(doc: GarageDocument, question: Question, onProgress: (share: number) => void): Promise<SwitchCost[]> {
    return switchCosts(doc, question, await solver(), onProgress);
  },
  /** What of the kit hangs on how good the rates are. */
  async howSure(doc: GarageDocument, question: Question, onProgress: (share: number) => void): Promise<HowSure> {
    return howSure(doc, question, await solver(), onProgress);
  },
  /** The whole curve of weight against what is saved, told as far as it is known, then the nested kits. */
  async frontier(
    doc: GarageDocument,
    question: Question,
    limits: { most: number; solves: number; levels: readonly number[] },
    tell: (now: FrontierNow) => void,
  ): Promise<FrontierNow> {
    const { problem } = kitCase(doc, question);
    const asks = problem.asks.map((a) => a.key);
    const known = { levels: [] as LevelPoint[], asks };
    let last = 0;
    const curve = frontier(problem, {
      most: limits.most,
      solves: limits.solves,
      onProgress: (c) => {
        const now = performance.now();
        if (last > 0 && now - last < 1200) return;
        last = now;
        tell({ ...known, picture: picture(problem, c), share: c.solves / limits.solves, done: false });
      },
    });
    const shown = picture(problem, curve);
    tell({ ...known, picture: shown, share: 0.8, done: false });
    const nested = levels(problem, limits.levels, LEVEL_SOLVES).map((l): LevelPoint => {
      const point = pointOf(problem, l, l.limit);
      return {
        limit: l.limit,
        mass: l.mass,
        hours: point.hours,
        value: l.value,
        free: l.free,
        proven: l.proven,
        point,
      };
    });
    return { asks, picture: shown, levels: nested, share: 1, done: true };
  },
  /** A list that the rider carries by habit, as a point of the same picture. */
  ownList(doc: GarageDocument, question: Question, kept: Pick<KeptKit, 'pieces' | 'supplies'>): CurvePoint {
    const { problem } = kitCase(doc, question);
    const contents = contentsOfKept(problem, kept);
    const point = pointOf(problem, contents, 0);
    // Its weight is what it holds, whatever of it is of use.
    const mass = kept.pieces.reduce((s, p) => s + p.mass * p.count, 0) + kept.supplies.reduce((s, x) => s + x.mass, 0);
    return { ...point, mass, limit: mass };
  },
  /** What each measure before leaving would do: both kits solved whole. */
  async prevention(
    doc: GarageDocument,
    question: Question,
    onProgress: (share: number) => void,
  ): Promise<PreventionCost[]> {
    return preventionCosts(doc, question, await solver(), onProgress);
  },
  /** What a kept kit mends and with how much, for whoever rides the trip with it many times. */
  keptMeans(doc: GarageDocument, question: Question, kept: KeptKit): Means {
    const { problem } = kitCase(doc, question);
    const contents = contentsOfKept(problem, kept);
    const facts = { as: 'kept' as const, proven: true, gap: 0, served: true, owned: new Map() };
    return meansOf(`with ${kept.name}`, kitFrom(problem, contents, { ...facts, supplies: contents.supplies }));
  },
  /** Where the weight is: many exact solves, so a worker of its own is given to it. */
  async weighs(doc: GarageDocument, question: Question, onProgress: (share: number) => void): Promise<Weighs> {
    return whatWeighs(doc, question, await solver(), onProgress);
  },
};
/** A nested kit as a point. */
export interface LevelPoint {
  limit: number;
  mass: number;
  hours: number;
  value: number;
  /** The most that any kit of its limit saves. */
  free: number;
  proven: boolean;
  point: CurvePoint;
}
export interface FrontierNow {
  asks: string[];
  picture: CurvePicture;
  levels: LevelPoint[];
  /** Share of the work done. */
  share: number;
  done: boolean;
}
export type AnswerWorker = typeof worker;
expose(worker);
