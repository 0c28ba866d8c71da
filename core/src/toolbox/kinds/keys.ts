import { entry } from '../../ground/numbers.js';
import { millimetres, printSize, SIX_LOBE, type Shape } from '../../ground/sizes/index.js';
import { askFor, refuse } from '../line/bench.js';
import type { PieceModel } from '../tools/piece.js';
import { shapeBears } from '../tools/proportions.js';
import { DRIVEN, DRIVEN_OR_HEX, unmeasured } from './fromLine.js';
import type { ToolKind } from './kind.js';
import { box, hand, label, mode, money, piece } from './parts.js';
import { INCH_KEYS, KEYS, LOBES, shapes, words } from './runs.js';
import { plugSpanners, spokeKeys } from './special.js';

/** L-shaped inside-hex key: turned by either leg. */
export function lKey(size: string): PieceModel {
  const s = millimetres(size);
  const arm = Math.round(60 + 5 * s);
  const leg = Math.round(14 + 3 * s);
  const turns: Shape = { form: 'key', size };
  const bears = shapeBears('key', size);
  return piece({
    name: `L-key ${printSize(size)}`,
    kind: 'key',
    modes: [
      mode({ offer: hand('key', arm, s >= 8), turns, bears, length: leg, width: s * 1.2, step: 60 }),
      mode({ offer: hand('key', leg), turns, bears, length: arm, width: s * 1.2, step: 60 }),
    ],
    mass: Math.max(3, Math.round(0.62 * s * s + 0.7 * s - 4)),
    size: box(arm + s, leg + s, s * 1.2),
    price: money(1, 0.35, s),
  });
}

/** L-shaped six-lobe key. */
export function lobeKey(size: string): PieceModel {
  const across = entry(SIX_LOBE, size);
  const arm = Math.round(55 + 6 * across);
  const leg = Math.round(14 + 2 * across);
  const turns: Shape = { form: 'lobe', size };
  const bears = shapeBears('lobe', size);
  return piece({
    name: `L-key T${size}`,
    kind: 'key',
    modes: [
      mode({ offer: hand('key', arm), turns, bears, length: leg, width: across * 1.1, step: 60 }),
      mode({ offer: hand('key', leg), turns, bears, length: arm, width: across * 1.1, step: 60 }),
    ],
    mass: Math.max(3, Math.round(0.5 * across * across + across - 2)),
    size: box(arm + across, leg + across, across * 1.1),
    price: money(1.5, 0.4, across),
  });
}

/** Key on a cross handle: quick to spin, with the arm of half the handle. */
export function tKey(shape: Shape, length = 200): PieceModel {
  return piece({
    name: `T-key ${label(shape)}, ${length} mm`,
    kind: 'key',
    modes: [
      mode({
        offer: hand('bar', 50),
        turns: shape,
        bears: Math.min(shapeBears(shape.form, shape.size) || 5, 30),
        length,
        width: 9,
        step: 60,
      }),
    ],
    mass: Math.round(60 + length * 0.35),
    size: box(length + 20, 100, 14),
    price: 8,
  });
}

/** Keys of several sizes in one holder, each as long as alone. */
export function keySet(form: 'key' | 'lobe', sizes: readonly string[]): PieceModel {
  const keys = sizes.map((s) => (form === 'key' ? lKey(s) : lobeKey(s)));
  const longest = keys.reduce((m, k) => Math.max(m, k.size.length), 0);
  return piece({
    name: `L-key set ${form === 'key' ? `${sizes[0]} to ${sizes.at(-1)} mm` : `T${sizes[0]} to T${sizes.at(-1)}`}`,
    kind: 'key set',
    modes: keys.flatMap((k) => k.modes),
    mass: keys.reduce((m, k) => m + k.mass, 15),
    size: box(longest, 60, 25),
    price: money(6, 1.2, sizes.length),
  });
}

/** Folding set of keys: one mode a blade. */
export function foldingSet(shapes: readonly Shape[]): PieceModel {
  return piece({
    name: `Folding key set ${shapes.map(label).join(' ')}`.slice(0, 110),
    kind: 'key set',
    modes: shapes.map((turns) =>
      mode({
        offer: hand('key', 60),
        turns,
        bears: Math.min(24, shapeBears(turns.form, turns.size)),
        length: 45,
        width: 9,
        step: 60,
      }),
    ),
    mass: 110,
    size: box(95, 35, 25),
    price: 14,
  });
}

type Maker = ToolKind['make'];

export const tKeys: Maker = (b) => {
  const length =
    b.rest('length').length > 0 || b.rest('figure').length + b.rest('shape').length > 1 ? b.length(80) : null;
  return [tKey(b.shape('hex', ['8', '10', 'i5', 't30'], DRIVEN_OR_HEX, 'a T-key', ['key']), length ?? 200)];
};
const keys: Maker = (b) => {
  const set = b.rest('modifier').some((m) => m.modifier === 'set');
  if (b.rest('shape').some((s) => s.head.form === 'spoke')) return spokeKeys(b);
  if (b.rest('shape').some((s) => s.head.form === 'plug')) return plugSpanners(b);
  b.said('set', 'set');
  if (b.unknown()) return [unmeasured(lKey('5'), 'L-key')];
  const shapes = b.shapes('key');
  if (shapes.length === 0)
    throw askFor(
      set ? 'Which sizes has the set?' : 'Which size of key?',
      (set ? ['2-8', '2-6', '1.5-10', 't10-t40'] : ['4', '5', '6', '8', 't30']).map((s) => [s, s] as const),
    );
  const [first] = shapes;
  if (!first || (first.form !== 'key' && first.form !== 'lobe' && first.form !== 'hex'))
    throw refuse('an L-key is for an inside hex or a six-lobe: key 5, key t30');
  if (set && shapes.length > 1 && shapes.length <= 12)
    return [
      keySet(
        first.form === 'lobe' ? 'lobe' : 'key',
        shapes.map((s) => s.size),
      ),
    ];
  if (set) throw refuse('a set has two to twelve keys: key set 2-8, key set t10-t40');
  return shapes.map((s) => (s.form === 'lobe' ? lobeKey(s.size) : lKey(s.size)));
};
const folding: Maker = (b) => {
  const shapes = b.shapesOf('key', DRIVEN, 'a folding set');
  if (shapes.length < 2)
    throw askFor(
      'Which sizes has it?',
      ['2-6', '3-8', 't10-t40'].map((s) => [s, s] as const),
    );
  return [foldingSet(shapes)];
};

export const KEY_KINDS: readonly ToolKind[] = [
  {
    key: 'key',
    title: 'L-key',
    said: 'l key|key|hex key|inside hex key|hex wrench|inside hex l key|6 lobe key|star key',
    make: keys,
    shelf: () => [
      ...[...KEYS, ...INCH_KEYS].map(lKey),
      ...LOBES.slice(0, 10).map(lobeKey),
      keySet('key', words('1.5 2 2.5 3 4 5 6 8 10')),
      keySet('lobe', words('10 15 20 25 27 30 40')),
    ],
  },
  {
    key: 't key',
    title: 'T-key',
    said: 't key|tee key|t handle key|t handle hex key|t handle inside hex',
    make: tKeys,
    shelf: () => [
      ...shapes('key', words('3 4 5 6 8')).map((s) => tKey(s)),
      ...shapes('hex', words('8 10 12 13')).map((s) => tKey(s)),
      ...shapes('lobe', words('25 30 40')).map((s) => tKey(s)),
    ],
  },
  {
    key: 'folding keys',
    title: 'folding key set',
    said: 'folding set|folding key set|folding hex key set|folding keys|folding hex keys|hex key folder',
    make: folding,
    shelf: () => [
      foldingSet(shapes('key', words('2 2.5 3 4 5 6'))),
      foldingSet(shapes('key', words('3 4 5 6 8'))),
      foldingSet(shapes('key', '5/64in 3/32in 1/8in 5/32in 3/16in 1/4in'.split(' '))),
      foldingSet(shapes('lobe', words('10 15 20 25 30 40'))),
      foldingSet([
        ...shapes('key', words('4 5 6')),
        { form: 'lobe', size: '25' },
        { form: 'ph', size: '2' },
        { form: 'slot', size: '5.5' },
      ]),
    ],
  },
];
