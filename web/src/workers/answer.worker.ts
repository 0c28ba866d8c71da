import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import {
  alternativesOf,
  answerFor,
  AnswerMemory,
  buyList,
  coverageOf,
  manyBikes,
  markCost,
  pieceReach,
  switchCosts,
  usablePieces,
  whatWeighs,
  type Alternative,
  type Answer,
  type BuyFor,
  type BuyList,
  type Coverage,
  type Difference,
  type GarageDocument,
  type ManyBikes,
  type Phase,
  type Piece,
  type PieceReach,
  type Question,
  type SwitchCost,
  type Weighs,
} from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';

const solver = loadSolver(() => wasmUrl);
const memory = new AnswerMemory();

/** The same functions that the command line calls, away from the page's thread. */
const worker = {
  async answer(doc: GarageDocument, question: Question, onPhase: (phase: Phase) => void): Promise<Answer> {
    return answerFor(doc, question, await solver, onPhase, memory);
  },
  /** Heads against pieces: the coverage picture of one bike. */
  coverage(doc: GarageDocument, bikeId: string): Coverage {
    const finder = memory.chains(usablePieces(doc.pieces, bikeId), doc.garage.practice);
    return coverageOf(
      doc.fasteners.filter((f) => f.bikeId === bikeId),
      finder,
    );
  },
  /** What a piece, as it is being altered, would turn on a bike, and what the drawer would gain and lose by it. */
  pieceReach(doc: GarageDocument, bikeId: string, piece: Piece): PieceReach {
    return pieceReach(doc, bikeId, piece);
  },
  /** Tools for all bikes of the garage: core, differences, moves. */
  async manyBikes(doc: GarageDocument, tripId: string | null): Promise<ManyBikes> {
    return manyBikes(doc, tripId, await solver);
  },
  /** What to buy for what is missing on a bike and a trip. */
  buyList(doc: GarageDocument, question: Question, least: BuyFor): BuyList {
    return buyList(doc, question, least);
  },
  /** What each way to turn a head costs in the whole set. */
  async alternatives(doc: GarageDocument, question: Question, fastenerId: string): Promise<Alternative[]> {
    return alternativesOf(doc, question, fastenerId, await solver);
  },
  /** What the mark on a piece costs. */
  async markCost(doc: GarageDocument, question: Question, pieceId: string): Promise<Difference | null> {
    return markCost(doc, question, pieceId, await solver);
  },
  /** What each other position of each switch of practice costs: both kits solved whole, in a worker of its own. */
  async switches(doc: GarageDocument, question: Question, onProgress: (share: number) => void): Promise<SwitchCost[]> {
    return switchCosts(doc, question, await solver, onProgress);
  },
  /** Where the weight is: many exact solves, so a worker of its own is given to it. */
  async weighs(doc: GarageDocument, question: Question, onProgress: (share: number) => void): Promise<Weighs> {
    return whatWeighs(doc, question, await solver, onProgress);
  },
};
export type AnswerWorker = typeof worker;
expose(worker);
