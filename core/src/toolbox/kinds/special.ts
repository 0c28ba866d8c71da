import { millimetres, printSize, type Shape } from '../../ground/sizes/index.js';
import { usual, type SaidByName } from '../line/words.js';
import type { PieceModel } from '../tools/piece.js';
import { ringBears, shapeBears } from '../tools/proportions.js';
import { hexOnly } from './fromLine.js';
import type { ToolKind } from './kind.js';
import { box, hand, held, mode, piece } from './parts.js';
import { words } from './runs.js';

/** Deep thin plug socket as the maker supplies it, turned by a bar or by a hexagon of its own. */
export function plugSpanner(size: string): PieceModel {
  const s = millimetres(size);
  return piece({
    name: `Plug spanner ${printSize(size)}`,
    kind: 'plug spanner',
    modes: [
      mode({
        offer: held('hex', '17'),
        turns: { form: 'plug', size },
        bears: 40,
        length: 75,
        width: Math.round(s * 1.2 + 2),
        hollow: 60,
      }),
    ],
    mass: Math.round(50 + s),
    size: box(80, s * 1.3 + 2, s * 1.3 + 2),
    price: 9,
  });
}

/** Stepped key for hollow axles: inside hexes of several sizes one behind the other, turned by a hexagon on its back. */
export function axleKey(steps: readonly string[], back: string): PieceModel {
  const largest = Math.max(...steps.map(millimetres));
  return piece({
    name: `Stepped axle key ${steps.join(' ')}, hexagon ${printSize(back)}`,
    kind: 'other',
    modes: steps.map((size) =>
      mode({
        offer: held('hex', back),
        turns: { form: 'key', size },
        bears: Math.min(250, shapeBears('key', size)),
        length: 12 * steps.length + 12,
        width: Math.round(largest * 1.16),
      }),
    ),
    mass: Math.round(steps.reduce((m, size) => m + 0.0078 * 0.866 * millimetres(size) ** 2 * 12, 0) + 40),
    size: box(12 * steps.length + 14, largest * 1.16, largest * 1.16),
    price: 14,
  });
}

/**
 * A tyre lever, of light alloy or steel, with a ring for an axle nut or without.
 * @param ring size of the ring, null for none
 */
export function tyreLever(ring: string | null, alloy: boolean): PieceModel {
  const s = ring ? millimetres(ring) : 0;
  const arm = 240;
  return piece({
    name: `Tyre lever${alloy ? ', alloy' : ''}${ring ? `, ring ${printSize(ring)}` : ''}`,
    kind: 'tyre lever',
    modes: ring
      ? [
          mode({
            offer: hand('bar', arm, true),
            turns: { form: 'hex', size: ring },
            bears: Math.min(ringBears(s), alloy ? 160 : 300),
            length: 6,
            width: Math.round(1.5 * s + 4),
            thickness: 12,
            hollow: 100,
            step: 60,
          }),
        ]
      : [],
    functions: ['lever tyre', 'pry'],
    mass: alloy ? (ring ? 190 : 95) : ring ? 340 : 280,
    size: box(arm + 40, ring ? 1.5 * s + 4 : 30, 14),
    price: ring ? 28 : 12,
  });
}

/**
 * Turns one shape by hand and is nothing more: spoke key, valve tool, hook spanner.
 * @param arm mm
 * @param mass g
 * @param price EUR
 */
export function handTool(
  kind: PieceModel['kind'],
  pieceName: string,
  shape: Shape,
  arm: number,
  mass: number,
  price: number,
): PieceModel {
  return piece({
    name: pieceName,
    kind,
    modes: [
      mode({
        offer: hand(arm > 0 ? 'spanner' : 'driver', arm),
        turns: shape,
        bears: arm > 0 ? Math.round(arm * 0.4) : 3,
        length: 10,
        width: 20,
        thickness: arm > 0 ? 5 : 0,
        step: 30,
      }),
    ],
    mass,
    size: box(Math.max(arm * 1.2, 40), 25, 12),
    price,
  });
}

/** A key for spoke nipples of a size. */
export const spokeKey = (size: string): PieceModel =>
  handTool('spoke key', `Spoke key ${size}`, { form: 'spoke', size }, 25, 30, 8);
/**
 * A hook spanner for a slotted ring.
 * @param size diameter of the ring, mm
 */
export function hookSpanner(size: string): PieceModel {
  const d = Number(size);
  return handTool(
    'hook spanner',
    `Hook spanner ${size}`,
    { form: 'hook', size },
    Math.round(130 + d * 0.7),
    Math.round(40 + d * 1.9),
    12,
  );
}

type Maker = ToolKind['make'];

export const plugSpanners: Maker = (b) => [
  plugSpanner(b.shape('plug', ['16', '18', '13/16in'], ['plug'], 'a plug spanner').size),
];
const levers: Maker = (b) => {
  const alloy = b.said('alloy', 'alloy');
  b.said('steel', 'steel');
  b.said('ring', 'with a ring');
  b.rest('kind')
    .filter((k) => k.kind === 'ring')
    .forEach((k) => b.take(k, 'kind', 'with a ring'));
  const shapes = b.shapes('hex').map(hexOnly);
  return shapes.length === 0 ? [tyreLever(null, alloy)] : shapes.map((s) => tyreLever(s, alloy));
};
export const spokeKeys: Maker = (b) => {
  const shape = b.shape('spoke', ['5', '6', '6.3'], ['spoke'], 'a spoke key');
  return [spokeKey(shape.size)];
};
export const hookSpanners: Maker = (b) => {
  const shape = b.shape('hook', ['45', '52', '58', '68'], ['hook'], 'a hook spanner');
  return [hookSpanner(shape.size)];
};

export const SPECIAL: readonly ToolKind[] = [
  {
    key: 'plug spanner',
    title: 'plug spanner',
    said: 'plug|plug spanner|plug wrench|spark plug spanner|spark plug wrench|plug key|spark plug key|spark plug tool',
    make: plugSpanners,
    shelf: () => words('14 16 18 19 13/16in').map(plugSpanner),
  },
  {
    key: 'lever',
    title: 'tyre lever',
    said: 'tyre lever|lever|tyre iron|tyre spoon|spoon|bead lever|rim lever',
    make: levers,
    shelf: () => [
      tyreLever(null, false),
      tyreLever(null, true),
      ...words('19 22 24 27 30 32 36').map((s) => tyreLever(s, true)),
    ],
  },
  {
    key: 'spoke key',
    title: 'spoke key',
    said: 'spoke key|spoke wrench|spoke spanner|nipple key|spoke nipple key|spoke|spoke nipple',
    make: spokeKeys,
    shelf: () => words('5 5.6 6 6.3').map(spokeKey),
  },
  {
    key: 'hook spanner',
    title: 'hook spanner',
    said: 'hook spanner|hook|c spanner|hook wrench|shock spanner|preload spanner|preload wrench',
    make: hookSpanners,
    shelf: () => words('38 45 52 58 68 80').map(hookSpanner),
  },
];

/** Tools of a shape that are called by their name, as they stand on the shelf. */
export const SHAPED = (): PieceModel[] => [
  axleKey(words('17 19 22 24'), '19'),
  axleKey(words('10 12 14 17'), '17'),
  handTool('other', 'Wide blade for a cap, 12 mm', { form: 'slot', size: '12' }, 0, 12, 2),
  handTool('valve tool', 'Valve core tool', { form: 'valve', size: '' }, 0, 6, 2),
];
export const SHAPED_SAID: readonly SaidByName[] = [
  [
    usual('Stepped axle key 17 19 22 24, hexagon 19', 'Stepped axle key 10 12 14 17, hexagon 17'),
    'stepped axle key|axle key|stepped key|hex axle key|axle hex key|axle tool',
  ],
  [usual('Wide blade for a cap, 12 mm'), 'wide blade|wide blade for a cap|cap key'],
  [usual('Valve core tool'), 'valve core tool|valve tool|valve core key|valve key|valve core remover'],
];
