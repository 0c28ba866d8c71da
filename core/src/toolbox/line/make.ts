import { millimetres, printShape, printSize, sizeExists, typeShape, type Shape } from '../../ground/sizes/index.js';
import {
  adapter,
  adjustable,
  bit,
  bitHolder,
  bitSocket,
  combinationSpanner,
  driver,
  driverHandle,
  extension,
  flatRatchet,
  foldingSet,
  handTool,
  joint,
  keySet,
  lKey,
  lobeKey,
  openSpanner,
  pipe,
  plainBar,
  plugSocket,
  plugSpanner,
  ratchet,
  ringSpanner,
  socket,
  tHandle,
  thumbWheel,
  tKey,
  twelvePointSocket,
  tyreLever,
} from '../tools/catalogue.js';
import type { PieceModel } from '../tools/piece.js';
import { SIZE_UNKNOWN } from './unmeasured.js';
import { askFor, refuse, type Bench } from './bench.js';
import type { MadeKind } from './madeKinds.js';

type Maker = (b: Bench) => PieceModel[];

/** Forms that a bit, a blade or a key's end can have. */
const DRIVEN = ['key', 'lobe', 'lobe-pin', 'lobe-out', 'ph', 'jis', 'square', 'slot'] as const;
const DRIVEN_OR_HEX = [...DRIVEN, 'hex'] as const;

const hexOnly = (shape: Shape): string => {
  if (shape.form === 'hex' || shape.form === 'hex12') return shape.size;
  throw refuse('this kind turns hexagons: write a size such as 13 or 1/2in');
};
/** A tool whose size nobody knows yet: it turns nothing until it is measured. */
const unmeasured = (model: PieceModel, name: string): PieceModel => ({
  ...model,
  name: `${name}${SIZE_UNKNOWN}`,
  modes: [],
});

const SOCKET_SIZES = ['8', '10', '12', '13', '14', '17'];

const sockets =
  (deep: boolean): Maker =>
  (b) => {
    const isDeep = b.said('deep', 'deep') || b.said('long', 'deep') || deep;
    const twelve = b.said('twelve', 'twelve-point');
    const magnetic = b.rest('modifier').some((m) => m.modifier === 'magnetic');
    const plug = b.rest('shape').find((s) => s.head.form === 'plug');
    const drive = b.drive(plug ? '3/8in' : null);
    if (b.unknown()) return [unmeasured(socket(drive, '13', isDeep), `Socket ${printSize(drive)}`)];
    const shapes = b.shapes('hex');
    if (shapes.length === 0)
      throw askFor('Which size of socket?', [...SOCKET_SIZES.map((s) => [s, s] as const), ['not known yet', '?']]);
    return shapes.map((s) => {
      if (s.form === 'plug') return plugSocket(drive, s.size, isDeep || magnetic);
      if (s.form === 'hex12' || (twelve && s.form === 'hex')) return twelvePointSocket(drive, s.size);
      return s.form === 'hex' ? socket(drive, s.size, isDeep) : bitSocket(drive, s);
    });
  };
const bitSockets: Maker = (b) => {
  const drive = b.drive();
  const shapes = b.shapesOf('key', DRIVEN_OR_HEX, 'a bit socket');
  if (shapes.length === 0)
    throw askFor(
      'Which size of bit socket?',
      ['i5', 'i6', 'i8', 't30', 't40'].map((s) => [s, s] as const),
    );
  return shapes.map((s) => (s.form === 'hex' ? bitSocket(drive, { form: 'key', size: s.size }) : bitSocket(drive, s)));
};
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
const plugSpanners: Maker = (b) => [
  plugSpanner(b.shape('plug', ['16', '18', '13/16in'], ['plug'], 'a plug spanner').size),
];
const plugSockets: Maker = (b) => {
  const long = b.said('long', 'long, magnetic') || b.said('deep', 'long, magnetic') || b.said('magnetic', 'magnetic');
  const inch = b.rest('drive').length === 1 && b.rest('figure').length === 0 && b.rest('shape').length === 0;
  const drive = inch ? '3/8in' : b.drive('3/8in');
  return [plugSocket(drive, b.shape('plug', ['16', '18', '13/16in'], ['plug'], 'a plug spanner').size, long)];
};

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
/** Stands for the whole segment: an answer is written in its place. */
export const WHOLE = { at: 'filler', from: -1, to: -1 } as const;

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

const driven =
  (make: (drive: string) => PieceModel): Maker =>
  (b) => [make(b.drive())];
const bars: Maker = (b) => {
  const drive = b.drive();
  const length = b.length(100);
  if (length === null)
    throw askFor(
      'How long is it?',
      ['250', '300', '380', '450', '600'].map((l) => [`${l} mm`, l] as const),
    );
  return [plainBar(drive, length)];
};
const extensions: Maker = (b) => {
  const drive = b.drive();
  const [short] = b.rest('figure');
  // `extension 6` may be six inches, or the last figure of sixty: which is asked.
  if (
    short &&
    b.rest('length').length === 0 &&
    !short.token.fraction &&
    short.unit === null &&
    short.token.value < 20
  ) {
    const n = short.token.text;
    throw askFor(
      `What is “${n}”?`,
      [
        [`${n} in, ${Math.round(short.token.value * 25.4)} mm`, `${n}in`],
        [`${n} cm`, `${n}cm`],
      ],
      short,
    );
  }
  const length = b.length(20);
  if (length === null)
    throw askFor(
      'How long is it?',
      ['50', '75', '100', '150', '250'].map((l) => [`${l} mm`, l] as const),
    );
  return [extension(drive, length)];
};
const adapters: Maker = (b) => {
  const [range] = b.rest('range');
  const inchOf = (text: string) => `${text}in`;
  if (range) {
    b.take(range, 'drives', `${range.low.text} to ${range.high.text}`);
    return [adapter(inchOf(range.low.text), inchOf(range.high.text))];
  }
  const [from, to] = b.rest('drive');
  if (!from || !to)
    throw askFor(
      'From which drive to which?',
      [
        ['⅜ to ¼ in', '3/8 to 1/4'],
        ['½ to ⅜ in', '1/2 to 3/8'],
        ['¼ to ⅜ in', '1/4 to 3/8'],
        ['⅜ to ½ in', '3/8 to 1/2'],
      ],
      from ?? null,
    );
  b.take(from, 'drive', `from ${printSize(from.size)}`);
  b.take(to, 'drive', `to ${printSize(to.size)}`);
  if (from.size === to.size) throw refuse('an adapter joins two drives', [], to);
  return [adapter(from.size, to.size)];
};

const tKeys: Maker = (b) => {
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
const pipes: Maker = (b) => {
  const length = b.length(100);
  if (length === null)
    throw askFor(
      'How long is it?',
      ['250', '300', '400', '500'].map((l) => [`${l} mm`, l] as const),
    );
  return [pipe(length)];
};
const spokeKeys: Maker = (b) => {
  const shape = b.shape('spoke', ['5', '6', '6.3'], ['spoke'], 'a spoke key');
  return [handTool('spoke key', `Spoke key ${shape.size}`, shape, 25, 30, 8)];
};
const hookSpanners: Maker = (b) => {
  const shape = b.shape('hook', ['45', '52', '58', '68'], ['hook'], 'a hook spanner');
  const d = millimetres(shape.size);
  return [
    handTool(
      'hook spanner',
      `Hook spanner ${shape.size}`,
      shape,
      Math.round(130 + d * 0.7),
      Math.round(40 + d * 1.9),
      12,
    ),
  ];
};

/** A T-handle with a size of its own is a T-key; one with a drive holds sockets. */
const tHandles: Maker = (b) =>
  b.rest('drive').length === 0 && b.rest('figure').length + b.rest('shape').length > 0
    ? tKeys(b)
    : [tHandle(b.drive())];

/** How each kind is made from what the line says. Things and what is made at home are read by `thing.ts`. */
export const MAKERS: Readonly<Record<Exclude<MadeKind, 'thing' | 'made'>, Maker>> = {
  socket: sockets(false),
  'deep socket': sockets(true),
  'bit socket': bitSockets,
  'plug socket': plugSockets,
  'plug spanner': plugSpanners,
  bit: bits,
  'bit holder': driven(bitHolder),
  combination: combinations,
  ring: doubleEnded(ringSpanner, 'ring'),
  open: doubleEnded(openSpanner, 'open'),
  adjustable: adjustables,
  ratchet: driven(ratchet),
  'flat ratchet': () => [flatRatchet('1/4in', '3/8in')],
  'thumb wheel': () => [thumbWheel()],
  bar: bars,
  't handle': tHandles,
  spinner: driven(driverHandle),
  extension: extensions,
  adapter: adapters,
  joint: driven(joint),
  't key': tKeys,
  key: keys,
  'folding keys': folding,
  screwdriver: screwdrivers,
  lever: levers,
  pipe: pipes,
  'spoke key': spokeKeys,
  'hook spanner': hookSpanners,
};

/** What a size alone means in a toolbox: a spanner, a key, a bit. */
export function bareTool(shape: Shape): PieceModel | null {
  if (shape.form === 'hex') return combinationSpanner(shape.size);
  if (shape.form === 'key') return lKey(shape.size);
  if (shape.form === 'plug') return plugSpanner(shape.size);
  if (shape.form === 'spoke') return handTool('spoke key', `Spoke key ${shape.size}`, shape, 25, 30, 8);
  if (['lobe', 'lobe-pin', 'ph', 'jis', 'square', 'slot'].includes(shape.form)) return bit(shape);
  return null;
}
