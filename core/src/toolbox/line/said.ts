import { cut } from '../../ground/text.js';
import type { Piece } from '../tools/piece.js';
import type { Bench } from './bench.js';

/** What a line says of a tool whatever its kind. */
export type SaidOfTool = Partial<
  Pick<Piece, 'count' | 'mass' | 'price' | 'mark' | 'condition' | 'quality' | 'kept' | 'note' | 'source' | 'weighed'>
>;

/** Takes what a line says of weight, price, count, state and place. */
export function saidOf(b: Bench): SaidOfTool {
  const said: SaidOfTool = {};
  for (const e of b.untaken) {
    switch (e.at) {
      case 'count':
        said.count = Math.min(200, Math.max(1, e.n));
        b.take(e, 'count', `×${said.count}`);
        break;
      case 'mass':
        said.mass = e.grams;
        said.source = 'user';
        b.take(e, 'weight', e.typed);
        break;
      case 'price':
        said.price = e.euros;
        b.take(e, 'price', `${e.euros} €`);
        break;
      case 'mark':
        said.mark = e.mark;
        b.take(e, 'in the kit', e.mark);
        break;
      case 'condition':
        said.condition = e.condition;
        b.take(e, 'condition', e.condition);
        break;
      case 'cheap':
        said.quality = 'cheap';
        b.take(e, 'quality', 'cheap');
        break;
      case 'kept':
        said.kept = cut(e.place, 80);
        b.take(e, 'kept in', said.kept);
        break;
      default:
    }
  }
  return said;
}
