import { type Shape } from '../../ground/sizes/index.js';
import { askFor } from '../line/bench.js';
import type { PieceModel } from '../tools/piece.js';
import { BIT_LIMIT, shapeBears, SHANK_LIMIT } from '../tools/proportions.js';
import { DRIVEN_OR_HEX } from './fromLine.js';
import type { ToolKind } from './kind.js';
import { box, held, label, mode, piece, STEEL } from './parts.js';
import { CROSSES, INCH_KEYS, LOBES, shapes, SLOTS, words } from './runs.js';
import { bitSockets } from './sockets.js';

/** Bit with the ¼ in hexagonal shank. */
export function bit(shape: Shape, length = 25): PieceModel {
  return piece({
    name: `Bit ${label(shape)}${length > 30 ? `, ${length} long` : ''}`,
    kind: 'bit',
    modes: [
      mode({
        offer: held('hex', '1/4in'),
        turns: shape,
        bears: Math.min(SHANK_LIMIT, BIT_LIMIT[`${shape.form} ${shape.size}`] ?? shapeBears(shape.form, shape.size)),
        length: length - 8,
        width: 7.3,
      }),
    ],
    mass: Math.round((5 * length) / 25),
    size: box(length, 8, 8),
    traits: [...STEEL, 'nests'],
    price: length > 30 ? 2.5 : 1.2,
  });
}

type Maker = ToolKind['make'];

const bits: Maker = (b) => {
  // A bit on a square drive is a bit socket.
  if (b.rest('drive').length > 0) return bitSockets(b);
  const long = b.said('long', 'long');
  const figures = b.rest('figure').length + b.rest('shape').length + b.rest('range').length;
  const length = b.rest('length').length > 0 || figures > 1 ? b.length(25) : null;
  const shapes = b.shapesOf('key', DRIVEN_OR_HEX, 'a bit', ['slot']);
  if (shapes.length === 0)
    throw askFor(
      'Which bit?',
      ['t25', 't30', 'i5', 'i6', 'ph2', 'slot 6'].map((s) => [s, s] as const),
    );
  return shapes.map((s) => bit(s.form === 'hex' ? { form: 'key', size: s.size } : s, length ?? (long ? 75 : 25)));
};

export const BITS: readonly ToolKind[] = [
  {
    key: 'bit',
    title: 'bit',
    said: 'bit|screwdriver bit|driver bit|hex bit',
    make: bits,
    shelf: () => [
      ...shapes('lobe', LOBES.slice(0, 9)).flatMap((s) => [bit(s), bit(s, 50), bit(s, 75)]),
      ...shapes('key', words('1.5 2 2.5 3 4 5 6 8')).flatMap((s) => [bit(s), bit(s, 50), bit(s, 75)]),
      ...shapes('key', INCH_KEYS.slice(0, 9)).map((s) => bit(s)),
      ...CROSSES.flatMap((s) => [bit(s), bit(s, 50)]),
      ...shapes('ph', words('1 2')).map((s) => bit(s, 90)),
      ...SLOTS.slice(0, 5).flatMap((s) => [bit(s), bit(s, 50)]),
      ...shapes('square', words('1 2 3')).map((s) => bit(s)),
      ...shapes('lobe-pin', words('10 15 20 25 27 30 40')).map((s) => bit(s)),
    ],
  },
];
