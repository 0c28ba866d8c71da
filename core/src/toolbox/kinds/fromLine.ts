import type { Shape } from '../../ground/sizes/index.js';
import { refuse, type Bench } from '../line/bench.js';
import { SIZE_UNKNOWN } from '../line/unmeasured.js';
import type { PieceModel } from '../tools/piece.js';

/** Forms that a bit, a blade or a key's end can have. */
export const DRIVEN = ['key', 'lobe', 'lobe-pin', 'lobe-out', 'ph', 'jis', 'square', 'slot'] as const;
export const DRIVEN_OR_HEX = [...DRIVEN, 'hex'] as const;

/** A size across flats; anything else is refused. */
export const hexOnly = (shape: Shape): string => {
  if (shape.form === 'hex' || shape.form === 'hex12') return shape.size;
  throw refuse('this kind turns hexagons: write a size such as 13 or 1/2in');
};
/** A tool whose size nobody knows yet: it turns nothing until it is measured. */
export const unmeasured = (model: PieceModel, name: string): PieceModel => ({
  ...model,
  name: `${name}${SIZE_UNKNOWN}`,
  modes: [],
});
/** A tool that a drive alone decides. */
export const driven =
  (make: (drive: string) => PieceModel): ((b: Bench) => PieceModel[]) =>
  (b) => [make(b.drive())];
