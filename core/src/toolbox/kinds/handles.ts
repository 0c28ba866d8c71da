import { entry } from '../../ground/numbers.js';
import { printSize } from '../../ground/sizes/index.js';
import { askFor, refuse } from '../line/bench.js';
import type { PieceModel } from '../tools/piece.js';
import { DRIVE_LIMIT, RATCHET, SHANK_LIMIT } from '../tools/proportions.js';
import { driven } from './fromLine.js';
import { tKeys } from './keys.js';
import type { ToolKind } from './kind.js';
import { box, hand, held, mode, money, piece } from './parts.js';
import { words } from './runs.js';

/** A ratchet of a drive: `1/4in`, `3/8in`, `1/2in`. */
export function ratchet(drive: string): PieceModel {
  const { arm, mass, price } = entry(RATCHET, drive);
  return piece({
    name: `Ratchet ${printSize(drive)}`,
    kind: 'ratchet',
    modes: [
      mode({
        offer: hand('ratchet', arm, drive === '1/2in'),
        turns: { form: 'drive', size: drive },
        bears: entry(DRIVE_LIMIT, drive),
        length: 12,
        width: drive === '1/4in' ? 24 : drive === '3/8in' ? 33 : 42,
        step: 8,
      }),
    ],
    mass,
    size: box(arm + 25, drive === '1/4in' ? 25 : 35, drive === '1/4in' ? 24 : 34),
    price,
  });
}

/** Flat ratchet with a square on either face: low over the head, and one handle for two drives. */
export function flatRatchet(small: string, large: string): PieceModel {
  return piece({
    name: `Flat ratchet ${printSize(small)} and ${printSize(large)}`,
    kind: 'ratchet',
    modes: [small, large].map((drive) =>
      mode({
        offer: hand('ratchet', 100),
        turns: { form: 'drive', size: drive },
        bears: Math.min(60, entry(DRIVE_LIMIT, drive)),
        length: 8,
        width: 30,
        step: 6,
      }),
    ),
    mass: 135,
    size: box(125, 32, 16),
    price: 22,
  });
}

/**
 * Plain bar with a square at right angles: may be stood on, does not ratchet.
 * @param arm mm
 */
export function plainBar(drive: string, arm: number): PieceModel {
  const mass = Math.round(({ '1/4in': 0.55, '3/8in': 0.95, '1/2in': 1.55 }[drive] ?? 1) * arm);
  return piece({
    name: `Plain bar ${printSize(drive)}, ${arm} mm`,
    kind: 'plain bar',
    modes: [
      mode({
        offer: hand('bar', arm, true),
        turns: { form: 'drive', size: drive },
        bears: entry(DRIVE_LIMIT, drive),
        length: 12,
        width: 22,
        step: 60,
      }),
    ],
    mass,
    size: box(arm + 20, 24, 22),
    price: money(8, 0.03, arm),
  });
}

/** T-handle with a sliding bar: half of the bar is its arm. */
export function tHandle(drive: string): PieceModel {
  const arm = drive === '1/4in' ? 60 : 90;
  return piece({
    name: `T-handle ${printSize(drive)}`,
    kind: 'plain bar',
    modes: [
      mode({
        offer: hand('key', arm),
        turns: { form: 'drive', size: drive },
        bears: entry(DRIVE_LIMIT, drive),
        length: 18,
        width: 16,
        step: 60,
      }),
    ],
    mass: drive === '1/4in' ? 62 : 130,
    size: box(arm * 2, 20, 18),
    price: 9,
  });
}

/** Screwdriver handle with a square: spins small fasteners, turns by hand only. */
export function driverHandle(drive: string): PieceModel {
  return piece({
    name: `Driver handle ${printSize(drive)}`,
    kind: 'driver',
    modes: [
      mode({
        offer: hand('driver', 0),
        turns: { form: 'drive', size: drive },
        bears: 6,
        length: 60,
        width: 12,
      }),
    ],
    mass: 72,
    size: box(150, 32, 32),
    price: 7,
  });
}

/** Finger wheel for the ¼ in square. */
export function thumbWheel(): PieceModel {
  return piece({
    name: 'Thumb wheel ¼ in',
    kind: 'driver',
    modes: [
      mode({
        offer: hand('thumb', 0),
        turns: { form: 'drive', size: '1/4in' },
        bears: 3,
        length: 12,
        width: 26,
      }),
    ],
    mass: 24,
    size: box(26, 26, 18),
    price: 6,
  });
}

const EXTENSION_MASS: Readonly<Record<string, number>> = { '1/4in': 0.42, '3/8in': 0.85, '1/2in': 1.7 };
/**
 * An extension of a drive.
 * @param length mm
 */
export function extension(drive: string, length: number): PieceModel {
  const width = { '1/4in': 12, '3/8in': 17, '1/2in': 23 }[drive] ?? 12;
  return piece({
    name: `Extension ${printSize(drive)}, ${length} mm`,
    kind: 'extension',
    modes: [
      mode({
        offer: held('drive', drive),
        turns: { form: 'drive', size: drive },
        bears: entry(DRIVE_LIMIT, drive),
        length,
        width,
      }),
    ],
    mass: Math.round(entry(EXTENSION_MASS, drive) * length + 4),
    size: box(length + 8, width, width),
    price: money(4, 0.03, length),
  });
}

/** Joins two drives: turned by `from`, it turns `to`. */
export function adapter(from: string, to: string): PieceModel {
  const limit = Math.min(entry(DRIVE_LIMIT, from), entry(DRIVE_LIMIT, to));
  const width = { '1/4in': 13, '3/8in': 18, '1/2in': 24 }[from] ?? 18;
  return piece({
    name: `Adapter ${printSize(from)} to ${printSize(to)}`,
    kind: 'adapter',
    modes: [
      mode({
        offer: held('drive', from),
        turns: { form: 'drive', size: to },
        bears: limit,
        length: 18,
        width,
      }),
    ],
    mass: from === '1/2in' ? 35 : 20,
    size: box(28, width, width),
    price: 4.5,
  });
}

/** A swivel joint of a drive. */
export function joint(drive: string): PieceModel {
  const width = { '1/4in': 14, '3/8in': 20, '1/2in': 27 }[drive] ?? 14;
  return piece({
    name: `Swivel joint ${printSize(drive)}`,
    kind: 'joint',
    modes: [
      mode({
        offer: held('drive', drive),
        turns: { form: 'drive', size: drive },
        bears: entry(DRIVE_LIMIT, drive) * 0.6,
        length: 35,
        width,
        swivels: true,
      }),
    ],
    mass: drive === '1/4in' ? 26 : 62,
    size: box(42, width, width),
    price: 8,
  });
}

/** Holder that turns ¼ in shanked bits from a square drive. */
export function bitHolder(drive: string): PieceModel {
  return piece({
    name: `Bit holder ${printSize(drive)}`,
    kind: 'adapter',
    modes: [
      mode({
        offer: held('drive', drive),
        turns: { form: 'hex', size: '1/4in' },
        bears: SHANK_LIMIT,
        length: 25,
        width: drive === '1/4in' ? 12 : 17,
        hollow: 10,
      }),
    ],
    mass: drive === '1/4in' ? 12 : 26,
    size: box(25, 13, 13),
    price: 3.5,
  });
}

/**
 * A pipe over a handle: its length less 50 mm is added to the arm.
 * @param length mm
 */
export function pipe(length: number): PieceModel {
  return piece({
    name: `Pipe ${length} mm`,
    kind: 'pipe',
    modes: [
      mode({
        offer: hand('bar', length),
        turns: { form: 'bar', size: '' },
        bears: 300,
        length: 0,
        width: 27,
      }),
    ],
    mass: Math.round(length * 0.55),
    size: box(length, 27, 27),
    price: 5,
  });
}

type Maker = ToolKind['make'];

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

const pipes: Maker = (b) => {
  const length = b.length(100);
  if (length === null)
    throw askFor(
      'How long is it?',
      ['250', '300', '400', '500'].map((l) => [`${l} mm`, l] as const),
    );
  return [pipe(length)];
};

/** A T-handle with a size of its own is a T-key; one with a drive holds sockets. */
const tHandles: Maker = (b) =>
  b.rest('drive').length === 0 && b.rest('figure').length + b.rest('shape').length > 0
    ? tKeys(b)
    : [tHandle(b.drive())];

export const HANDLES: readonly ToolKind[] = [
  {
    key: 'ratchet',
    title: 'ratchet',
    said: 'ratchet|ratchet handle|reversible ratchet|socket wrench|ratchet wrench handle',
    make: driven(ratchet),
    shelf: () => words('1/4in 3/8in 1/2in').map(ratchet),
  },
  {
    key: 'flat ratchet',
    title: 'flat ratchet',
    said: 'flat ratchet|low profile ratchet',
    make: () => [flatRatchet('1/4in', '3/8in')],
    shelf: () => [flatRatchet('1/4in', '3/8in')],
  },
  {
    key: 't handle',
    title: 'T-handle',
    said: 't handle|tee handle|sliding t bar|t bar|sliding bar',
    make: tHandles,
    shelf: () => words('1/4in 3/8in').map(tHandle),
  },
  {
    key: 'bar',
    title: 'plain bar',
    said: 'plain bar|breaker bar|bar|power bar|knuckle bar|flex handle|breaker',
    make: bars,
    shelf: () => [
      plainBar('1/4in', 150),
      plainBar('3/8in', 200),
      plainBar('3/8in', 250),
      plainBar('1/2in', 300),
      plainBar('1/2in', 380),
      plainBar('1/2in', 450),
    ],
  },
  {
    key: 'spinner',
    title: 'driver handle',
    said: 'driver handle|spinner|spinner handle|socket driver|handle',
    make: driven(driverHandle),
    shelf: () => words('1/4in 3/8in').map(driverHandle),
  },
  {
    key: 'thumb wheel',
    title: 'thumb wheel',
    said: 'thumb wheel|thumbwheel|thumb ratchet',
    make: () => [thumbWheel()],
    shelf: () => [thumbWheel()],
  },
  {
    key: 'extension',
    title: 'extension',
    said: 'extension|ext|extension bar|extender',
    make: extensions,
    shelf: () => [
      ...[50, 75, 100, 150, 250].map((l) => extension('1/4in', l)),
      ...[50, 75, 125, 150, 250].map((l) => extension('3/8in', l)),
      ...[75, 125, 250].map((l) => extension('1/2in', l)),
    ],
  },
  {
    key: 'adapter',
    title: 'adapter',
    said: 'adapter|adaptor|reducer|converter|drive adapter|step up|step down',
    make: adapters,
    shelf: () => [
      adapter('3/8in', '1/4in'),
      adapter('1/4in', '3/8in'),
      adapter('1/2in', '3/8in'),
      adapter('3/8in', '1/2in'),
    ],
  },
  {
    key: 'joint',
    title: 'swivel joint',
    said: 'swivel joint|joint|swivel|u joint|universal joint|universal|uj|wobble joint|cardan joint|knuckle joint',
    make: driven(joint),
    shelf: () => words('1/4in 3/8in 1/2in').map(joint),
  },
  {
    key: 'bit holder',
    title: 'bit holder',
    said: 'bit holder|holder|bit adapter|bit driver',
    make: driven(bitHolder),
    shelf: () => words('1/4in 3/8in').map(bitHolder),
  },
  {
    key: 'pipe',
    title: 'pipe',
    said: 'pipe|cheater|cheater pipe|cheater bar|extension pipe|tube for leverage',
    make: pipes,
    shelf: () => [250, 300, 400, 500].map(pipe),
  },
];
