import { millimetres, printSize, sizeExists } from '../../ground/sizes/index.js';
import { askFor, WHOLE, type Bench } from '../line/bench.js';
import type { Mode, PieceModel } from '../tools/piece.js';
import { adjustableBears, openBears, ringBears, spannerArm, spannerMass } from '../tools/proportions.js';
import { hexOnly, unmeasured } from './fromLine.js';
import type { ToolKind } from './kind.js';
import { box, hand, mode, money, piece } from './parts.js';
import { both, words } from './runs.js';
import { hookSpanners, plugSpanners, spokeKeys } from './special.js';

function ringMode(size: string, arm: number): Mode {
  const s = millimetres(size);
  return mode({
    offer: hand('spanner', arm, s >= 17),
    turns: { form: 'hex', size },
    grip: 'twelve',
    bears: ringBears(s),
    length: Math.round(5 + 0.5 * s),
    width: Math.round(1.5 * s + 3),
    thickness: Math.round(0.45 * s + 3),
    hollow: 100,
    step: 30,
  });
}

function openMode(size: string, arm: number): Mode {
  const s = millimetres(size);
  return mode({
    offer: hand('spanner', arm, s >= 17),
    turns: { form: 'hex', size },
    grip: 'open',
    bears: openBears(s),
    length: 0,
    width: Math.round(2.1 * s + 4),
    thickness: Math.round(0.22 * s + 2.2),
    hollow: 100,
    step: 30,
  });
}

/** Ring at one end, open at the other. */
export function combinationSpanner(size: string): PieceModel {
  const s = millimetres(size);
  const arm = spannerArm(s);
  return piece({
    name: `Combination spanner ${printSize(size)}`,
    kind: 'combination spanner',
    modes: [ringMode(size, arm), openMode(size, arm)],
    mass: spannerMass(s),
    size: box(arm + s, 2.1 * s + 4, 0.45 * s + 3),
    price: money(3, 0.55, s),
  });
}

/** Name of a spanner by its ends. */
const namesOf = (a: string, b: string | undefined): string =>
  b === undefined ? printSize(a) : `${printSize(a)} and ${printSize(b)}`;

/** Rings of two sizes, or of one at either end of a single one. */
export function ringSpanner(a: string, b?: string): PieceModel {
  const [sa, sb] = [millimetres(a), millimetres(b ?? a)];
  const big = Math.max(sa, sb);
  const arm = spannerArm(big) - 10;
  return piece({
    name: `Ring spanner ${namesOf(a, b)}`,
    kind: 'ring spanner',
    modes: b === undefined ? [ringMode(a, arm)] : [ringMode(a, arm), ringMode(b, arm)],
    mass: Math.round(spannerMass((sa + sb) / 2) * 1.05),
    size: box(arm + big, 1.5 * big + 3, 0.45 * big + 6),
    price: money(4, 0.6, big),
  });
}

/** Open ends of two sizes, or of one. */
export function openSpanner(a: string, b?: string): PieceModel {
  const [sa, sb] = [millimetres(a), millimetres(b ?? a)];
  const big = Math.max(sa, sb);
  const arm = Math.round(spannerArm(big) * 0.9);
  return piece({
    name: `Open spanner ${namesOf(a, b)}`,
    kind: 'open spanner',
    modes: b === undefined ? [openMode(a, arm)] : [openMode(a, arm), openMode(b, arm)],
    mass: Math.round(spannerMass((sa + sb) / 2) * 0.95),
    size: box(arm + big, 2.1 * big + 4, 0.22 * big + 3),
    price: money(2.5, 0.45, big),
  });
}

/**
 * Adjustable spanner by its length; it opens from about 5 mm.
 * @param length mm
 * @param opensTo mm
 * @param mass g
 * @param alloy whether it is of light alloy
 */
export function adjustable(length: number, opensTo: number, mass: number, alloy = false): PieceModel {
  const arm = Math.round(length * 0.9);
  return piece({
    name: `Adjustable spanner ${length} mm${alloy ? ', light alloy' : opensTo > length * 0.15 ? ', wide jaw' : ''}`,
    kind: 'adjustable',
    modes: [
      mode({
        offer: hand('spanner', arm),
        turns: { form: 'hex', size: '6' },
        grip: 'adjustable',
        opensTo,
        bears: adjustableBears(opensTo),
        length: 0,
        width: Math.round(opensTo * 2),
        thickness: Math.round(length / 18),
        hollow: 100,
        step: 30,
      }),
    ],
    mass,
    size: box(length, opensTo * 2, length / 18),
    price: alloy ? 48 : money(8, 0.05, length),
  });
}

type Maker = ToolKind['make'];

/** Two ends to one spanner, or several spanners of one size: which of them, two sizes beside each other do not say. */
const combinations: Maker = (b) => {
  if (b.unknown()) return [unmeasured(combinationSpanner('13'), 'Combination spanner')];
  const hook = b.rest('shape').find((s) => s.head.form === 'hook');
  if (hook) return hookSpanners(b);
  if (b.rest('shape').some((s) => s.head.form === 'plug')) return plugSpanners(b);
  if (b.rest('shape').some((s) => s.head.form === 'spoke')) return spokeKeys(b);
  const kind = b.elements.find((e) => e.at === 'kind');
  const [pair] = b.rest('pair');
  const figures = b.rest('figure');
  const loose = b.rest('drive').length + figures.length === 2 && kind?.at === 'kind' && !kind.plural;
  if (pair || loose) {
    const sizes = pair ? pair.sizes : [...b.rest('drive').map((d) => d.size), ...figures.map((f) => f.token.text)];
    const [x, y] = sizes;
    throw askFor(
      `One spanner with two ends, or two spanners?`,
      [
        [`one open spanner ${x} and ${y}`, `open ${x} ${y}`],
        [`one ring spanner ${x} and ${y}`, `ring ${x} ${y}`],
        [`two combination spanners ${x} and ${y}`, `combinations ${x} ${y}`],
      ],
      WHOLE,
    );
  }
  const shapes = b.shapes('hex');
  if (shapes.length === 0) {
    throw askFor('Which size, or which kind of spanner?', [
      ...['8', '10', '12', '13', '14', '17'].map((s) => [`combination spanner ${s}`, s] as const),
      ['not known yet', '?'],
    ]);
  }
  return shapes.map((s) => combinationSpanner(hexOnly(s)));
};
/** Ring and open spanners: one size, two of one spanner, or pairs. */
const doubleEnded =
  (make: (a: string, b?: string) => PieceModel, what: string): Maker =>
  (b) => {
    if (b.unknown()) return [unmeasured(make('12', '13'), what === 'ring' ? 'Ring spanner' : 'Open spanner')];
    const pairs = b.rest('pair');
    const [whole, other] = b.rest('figure');
    // `ring 7/8`, `open 13/16`: two ends, though there is an inch size of that name.
    if (whole?.token.fraction && whole.unit === null && !other && b.rest('drive').length === 0) {
      const { n, of } = whole.token.fraction;
      if ([n, of].every((s) => sizeExists('hex', String(s)))) {
        b.take(whole, 'sizes', `${n} and ${of}`, [[`one size, ${n}/${of} in`, `${n}/${of}in`]]);
        return [make(String(n), String(of))];
      }
    }
    const [range] = b.rest('range');
    if (range && range.high.value - range.low.value > 3)
      throw askFor(
        `Which sizes are on one ${what} spanner?`,
        [
          [`one spanner, ${range.low.text} and ${range.high.text}`, `${range.low.text}/${range.high.text}`],
          [
            `one of each size from ${range.low.text} to ${range.high.text}`,
            Array.from({ length: range.high.value - range.low.value + 1 }, (_, i) => `${range.low.value + i};`).join(
              ' ',
            ),
          ],
        ],
        range,
      );
    if (pairs.length > 1 || (pairs.length === 1 && b.rest('figure').length === 0))
      return pairs.map((p) => {
        b.take(p, 'sizes', p.sizes.join(' and '));
        return make(p.sizes[0], p.sizes[1]);
      });
    const sizes = range ? ends(b, range) : b.shapes('hex').map(hexOnly);
    const [first, second, ...more] = sizes;
    if (first === undefined)
      throw askFor(
        'Which sizes has it?',
        ['8/10', '10/12', '12/13', '14/17'].map((s) => [s, s] as const),
      );
    if (more.length === 0) return [make(first, second)];
    return sizes.map((s) => make(s));
  };

function ends(b: Bench, range: Extract<Bench['elements'][number], { at: 'range' }>): string[] {
  const sizes = [range.low, range.high].map(
    (t) => b.shapeOf({ at: 'figure', from: range.from, to: range.to, token: t, unit: null }, 'hex').size,
  );
  b.take(range, 'sizes', sizes.join(' and '));
  return sizes;
}

const adjustables: Maker = (b) => {
  const alloy = b.said('alloy', 'light alloy');
  const wide = b.said('wide', 'wide jaw');
  const figure = b.rest('figure')[0];
  // A bare figure below any length in mm is in inches: an eight-inch adjustable.
  const inches = figure && figure.token.value <= 24 && figure.unit !== 'mm' && !figure.token.fraction;
  if (inches) {
    const mm = Math.round(figure.token.value * 25.4);
    b.take(figure, 'length', `${figure.token.text} in, ${mm} mm`);
    return [adjustableOf(mm, alloy, wide)];
  }
  const length = b.length(100);
  if (length === null || length < 100 || length > 450)
    throw askFor(
      'How long is it? 100 to 450 mm',
      ['150', '200', '250', '300'].map((l) => [`${l} mm`, l] as const),
    );
  return [adjustableOf(length, alloy, wide)];
};
/** Opening and mass by length; those of a wide jaw open further. Planning values. */
const adjustableOf = (length: number, alloy: boolean, wide: boolean): PieceModel =>
  adjustable(
    length,
    Math.round(length * (wide ? 0.188 : alloy ? 0.136 : 0.12)),
    Math.round((alloy ? 0.0037 : 0.006) * length * length),
    alloy,
  );

/** Sizes that share a double-ended spanner. */
const PAIRS = words(
  '6/7 8/9 8/10 10/11 10/12 10/13 12/13 12/14 13/15 13/17 14/15 14/17 16/17 16/18 17/19 18/19 18/21 19/22 20/22 21/23 22/24 24/27 30/32',
).map((pair) => pair.split('/') as [string, string]);
const INCH_PAIRS: [string, string][] = [
  ['1/4in', '5/16in'],
  ['11/32in', '3/8in'],
  ['3/8in', '7/16in'],
  ['7/16in', '1/2in'],
  ['1/2in', '9/16in'],
  ['9/16in', '5/8in'],
  ['5/8in', '11/16in'],
  ['3/4in', '13/16in'],
];

export const SPANNERS: readonly ToolKind[] = [
  {
    key: 'combination',
    title: 'combination spanner',
    said: 'combination spanner|combination wrench|combination|combi|combi spanner|combo wrench|combo|spanner|wrench|ratcheting spanner|ratchet spanner|ratcheting wrench|ratchet wrench|combination ring open spanner|ring open spanner',
    make: combinations,
    shelf: () => both(5.5, 36).map(combinationSpanner),
  },
  {
    key: 'ring',
    title: 'ring spanner',
    said: 'ring spanner|ring|ring wrench|box wrench|box end|box end wrench|box spanner|box end spanner|double ring spanner|box|ring end spanner',
    make: doubleEnded(ringSpanner, 'ring'),
    shelf: () => [...PAIRS, ...INCH_PAIRS].map(([a, b]) => ringSpanner(a, b)),
  },
  {
    key: 'open',
    title: 'open spanner',
    said: 'open spanner|open|open end|open ended|open end spanner|open ended spanner|open wrench|open end wrench|open ended wrench|double open spanner|double open ended spanner',
    make: doubleEnded(openSpanner, 'open'),
    shelf: () => [...PAIRS, ...INCH_PAIRS].map(([a, b]) => openSpanner(a, b)),
  },
  {
    key: 'adjustable',
    title: 'adjustable spanner',
    said: 'adjustable spanner|adjustable|adjustable wrench|monkey wrench|shifting spanner|shifting wrench|adjusting spanner',
    make: adjustables,
    shelf: () => [
      adjustable(150, 19, 120),
      adjustable(200, 24, 200),
      adjustable(250, 30, 370),
      adjustable(300, 36, 590),
      adjustable(150, 28, 150),
      adjustable(200, 38, 240),
      adjustable(200, 26, 140, true),
      adjustable(250, 34, 230, true),
    ],
  },
];
