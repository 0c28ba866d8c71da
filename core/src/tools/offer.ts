import { newPiece, type Piece, type PieceModel } from './piece.js';
import { catalogue } from './shelf.js';
import { trusted } from './usable.js';

/** Price of a cheap piece as a share of a good one's. Planning value. */
export const CHEAP_PRICE = 0.4;
/** Copies of a piece that can be bought: two ends at once, or one to lose. */
const COPIES = 2;

/** What is bought of: good pieces, cheap ones that bear less, or either, so that torque decides. */
export type Quality = 'good where torque is high' | 'good everywhere' | 'cheap everywhere';

/** A piece of the catalogue beside the rider's own, under an id of its own. */
export const asOffered = (model: PieceModel, index: number): Piece =>
  newPiece(model, { id: `offered-${index}`, count: COPIES });

/** The cheap make of a piece: the same shape and mass, less price, trusted with less torque. */
export const asCheap = (model: PieceModel, index: number): Piece =>
  trusted(
    newPiece(
      { ...model, name: `${model.name}, cheap`, price: Math.round(model.price * CHEAP_PRICE * 10) / 10 },
      { id: `offered-cheap-${index}`, count: COPIES, quality: 'cheap' },
    ),
  );

const made = new Map<Quality, Piece[]>();
/** Everything that can be bought in a quality. Planning values. */
export function offeredPieces(quality: Quality): Piece[] {
  let known = made.get(quality);
  if (!known) {
    const models = catalogue();
    known = [
      ...(quality === 'cheap everywhere' ? [] : models.map(asOffered)),
      ...(quality === 'good everywhere' ? [] : models.map(asCheap)),
    ];
    made.set(quality, known);
  }
  return known;
}
