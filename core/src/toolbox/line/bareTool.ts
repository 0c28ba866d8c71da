import type { Shape } from '../../ground/sizes/index.js';
import { bit, combinationSpanner, lKey, plugSpanner, spokeKey } from '../kinds/index.js';
import type { PieceModel } from '../tools/piece.js';

/** What a size alone means in a toolbox: a spanner, a key, a bit. */
export function bareTool(shape: Shape): PieceModel | null {
  if (shape.form === 'hex') return combinationSpanner(shape.size);
  if (shape.form === 'key') return lKey(shape.size);
  if (shape.form === 'plug') return plugSpanner(shape.size);
  if (shape.form === 'spoke') return spokeKey(shape.size);
  if (['lobe', 'lobe-pin', 'ph', 'jis', 'square', 'slot'].includes(shape.form)) return bit(shape);
  return null;
}
