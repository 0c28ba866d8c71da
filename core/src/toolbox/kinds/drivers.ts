import { printShape, sizeExists, typeShape, type Shape } from '../../ground/sizes/index.js';
import { askFor } from '../line/bench.js';
import type { PieceModel } from '../tools/piece.js';
import { shapeBears } from '../tools/proportions.js';
import { DRIVEN_OR_HEX } from './fromLine.js';
import type { ToolKind } from './kind.js';
import { box, hand, label, mode, piece, STEEL } from './parts.js';
import { CROSSES, shapes, SLOTS, words } from './runs.js';

/**
 * A screwdriver that turns a shape.
 * @param length mm of its shaft
 */
export function driver(shape: Shape, length = 100): PieceModel {
  return piece({
    name: `Screwdriver ${label(shape)}, ${length} mm`,
    kind: 'driver',
    modes: [
      mode({
        offer: hand('driver', 0),
        turns: shape,
        bears: Math.min(8, shapeBears(shape.form, shape.size) || 5),
        length,
        width: 7,
      }),
    ],
    mass: Math.round(35 + length * 0.4),
    size: box(length + 95, 30, 30),
    price: 5,
    traits: shape.form === 'slot' ? ['hard', 'conductive', 'sharp'] : STEEL,
  });
}

type Maker = ToolKind['make'];

const screwdrivers: Maker = (b) => {
  const more = b.rest('figure').length + b.rest('shape').length > 1 || b.rest('length').length > 0;
  const length = more ? b.length(20) : null;
  const [bare] = b.rest('figure');
  // A blade, a cross and a nut driver are all called by a bare figure.
  if (bare && b.rest('form').length === 0) {
    const n = bare.token.text;
    throw askFor(
      `Which tip is “${n}”?`,
      (['slot', 'key', 'hex', 'ph', 'lobe'] as const)
        .map((form): Shape => ({ form, size: n }))
        .filter((s) => sizeExists(s.form, s.size))
        .map((s) => [
          s.form === 'hex' ? `nut driver, hex ${n}` : printShape(s),
          s.form === 'hex' ? `hex ${n}` : typeShape(s),
        ]),
      bare,
    );
  }
  const shapes = b.shapesOf('hex', DRIVEN_OR_HEX, 'a screwdriver');
  if (shapes.length === 0)
    throw askFor('Which tip?', [
      ['cross-recess PH2', 'ph2'],
      ['cross-recess PH1', 'ph1'],
      ['slot 6', 'slot 6'],
      ['Japanese cross 2', 'jis2'],
      ['six-lobe T25', 't25'],
    ]);
  return shapes.map((s) => driver(s, length ?? 100));
};

export const DRIVERS: readonly ToolKind[] = [
  {
    key: 'screwdriver',
    title: 'screwdriver',
    said: 'screwdriver|driver|turnscrew|nut driver|nut spinner',
    make: screwdrivers,
    shelf: () => [
      ...CROSSES.flatMap((s) => [driver(s, 75), driver(s)]),
      ...shapes('ph', words('1 2')).map((s) => driver(s, 150)),
      ...SLOTS.flatMap((s) => [driver(s, 75), driver(s)]),
      driver({ form: 'slot', size: '6' }, 150),
      ...shapes('lobe', words('8 10 15 20 25 27 30')).map((s) => driver(s)),
      ...shapes('key', words('2 2.5 3 4 5')).map((s) => driver(s)),
      ...shapes('hex', words('5.5 6 7 8 10')).map((s) => driver(s, 125)),
      ...CROSSES.slice(1, 3).map((s) => driver(s, 25)),
      driver({ form: 'slot', size: '6' }, 25),
    ],
  },
];
