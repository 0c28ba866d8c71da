import { newPiece, type Piece, type PieceModel } from './piece.js';
import { catalogue } from '../kinds/index.js';
import { trusted } from './usable.js';

/** Price of a cheap piece as a share of a good one's. Planning value. */
export const CHEAP_PRICE = 0.4;
/** Copies of a piece that can be bought: two ends at once, or one to lose. */
const COPIES = 2;

/** What is bought of: good pieces, cheap ones that bear less, or either, so that torque decides. */
export type Quality = 'by-torque' | 'good' | 'cheap';

/**
 * A piece of the catalogue beside the rider's own, under an id of its own.
 * @param index its place in the catalogue, from 0
 */
export const asOffered = (model: PieceModel, index: number): Piece =>
  newPiece(model, { id: `offered-${index}`, count: COPIES });

/**
 * The cheap make of a piece as it is sold: the same shape and mass for less money. What it is trusted with is `trusted`'s to say, once.
 * @param index its place in the catalogue, from 0
 */
export const asCheap = (model: PieceModel, index: number): Piece =>
  newPiece(
    { ...model, name: `${model.name}, cheap`, price: Math.round(model.price * CHEAP_PRICE * 10) / 10 },
    { id: `offered-cheap-${index}`, count: COPIES, quality: 'cheap' },
  );

const sold = new Map<string, Piece>();
const made = new Map<Quality, Piece[]>();
/** Everything that can be bought in a quality, at the torque that it may be trusted with. Planning values. */
export function offeredPieces(quality: Quality): Piece[] {
  let known = made.get(quality);
  if (!known) {
    const models = catalogue();
    known = [
      ...(quality === 'cheap' ? [] : models.map(asOffered)),
      ...(quality === 'good' ? [] : models.map(asCheap)),
    ].map((piece) => {
      sold.set(piece.id, piece);
      return trusted(piece);
    });
    made.set(quality, known);
  }
  return known;
}

/** An offered piece as it comes from the shop: what goes into the toolbox, where it is judged like any other. */
export const asBought = (offered: Piece): Piece => sold.get(offered.id) ?? offered;
