import { newFastener, type Fastener } from '../bike/index.js';
import { newKitQuestion, type KitQuestion } from '../trip/index.js';
import { newPiece, type Piece, type PieceModel } from '../toolbox/tools/index.js';

/** Makers for tests: ids by number, pieces owned once. */
export const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

let next = 1000;
export const owned = (model: PieceModel, extra: Partial<Piece> = {}): Piece =>
  newPiece(model, { id: uuid(next++), ...extra });
export const fastener = (given: Partial<Fastener> & Pick<Fastener, 'head'>): Fastener =>
  newFastener({ id: uuid(next++), bikeId: uuid(1), condition: 'clean', ...given });

/** The question for the lightest kit that gives each trouble from two trips in a hundred the grade. */
export const askLightest = (): KitQuestion => ({ ...newKitQuestion(), ask: 'lightest', likely: 0.02 });
