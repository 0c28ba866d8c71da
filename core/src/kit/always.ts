import type { Bike } from '../bike/index.js';
import type { KitRows } from './rows.js';
import { bookOf, whyNot } from '../repairs/supplies/index.js';
import { newPiece, type Piece } from '../toolbox/tools/index.js';

/**
 * Spares that the rider always packs, each as a piece that is marked so: then its grams count in every kit, curve and limit as those of any
 * marked tool do. What is spent, past its date or made for another bike is not packed.
 */
export const alwaysPacked = (doc: Pick<KitRows, 'supplies' | 'kinds'>, bike: Bike, today: string | null): Piece[] => {
  const book = bookOf(doc.kinds);
  return doc.supplies
    .filter(
      (s) => s.mark === 'always' && s.fittedOn === null && s.quantity > 0 && whyNot(s, bike, today, doc.kinds) === null,
    )
    .map((s) => {
      const { name, mass, size, price, traits } = book.of(s.kind);
      return newPiece(
        {
          name,
          kind: 'other',
          modes: [],
          functions: [],
          traits,
          mass: mass * s.quantity,
          size: { ...size, height: size.height * s.quantity },
          price: price * s.quantity,
        },
        { id: s.id, mark: 'always' },
      );
    });
};
