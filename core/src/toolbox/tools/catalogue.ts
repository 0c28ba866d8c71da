import { entry } from '../../ground/numbers.js';
import { millimetres, printSize, SIX_LOBE, type Shape } from '../../ground/sizes/index.js';
import type { Mode, Offer, PieceFunction, PieceModel, Trait } from './piece.js';
import {
  adjustableBears,
  BIT_LIMIT,
  DRIVE_LIMIT,
  openBears,
  RATCHET,
  ringBears,
  shapeBears,
  SHANK_LIMIT,
  socketLength,
  socketMass,
  socketWidth,
  spannerArm,
  spannerMass,
} from './proportions.js';

/**
 * Generic pieces in usual proportions, made by size. All figures are planning values.
 * Each maker returns a piece without an owner; the garage adds id, count and marks.
 */
const box = (length: number, width: number, height: number) => ({
  length: Math.round(length),
  width: Math.round(width),
  height: Math.round(height),
});
const STEEL: Trait[] = ['hard', 'conductive'];
const hand = (hold: Extract<Offer, { by: 'hand' }>['hold'], arm: number, takesPipe = false): Offer => ({
  by: 'hand',
  hold,
  arm: Math.round(arm),
  takesPipe,
});
const held = (form: Shape['form'], size: string): Offer => ({ by: 'shape', shape: { form, size } });

/** A mode from what differs; the rest is a plain fixed piece that comes in line. */
export const mode = (given: Pick<Mode, 'offer' | 'turns' | 'bears' | 'length' | 'width'> & Partial<Mode>): Mode => ({
  grip: 'six',
  opensTo: null,
  thickness: 0,
  hollow: 0,
  step: 0,
  swivels: false,
  ...given,
});
const piece = (given: Omit<PieceModel, 'functions' | 'traits'> & Partial<PieceModel>): PieceModel => ({
  functions: [],
  traits: STEEL,
  ...given,
});

const money = (base: number, perMm: number, s: number) => Math.round((base + perMm * s) * 10) / 10;

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
const ends = (a: string, b: string | undefined): string =>
  b === undefined ? printSize(a) : `${printSize(a)} and ${printSize(b)}`;

/** Rings of two sizes, or of one at either end of a single one. */
export function ringSpanner(a: string, b?: string): PieceModel {
  const [sa, sb] = [millimetres(a), millimetres(b ?? a)];
  const big = Math.max(sa, sb);
  const arm = spannerArm(big) - 10;
  return piece({
    name: `Ring spanner ${ends(a, b)}`,
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
    name: `Open spanner ${ends(a, b)}`,
    kind: 'open spanner',
    modes: b === undefined ? [openMode(a, arm)] : [openMode(a, arm), openMode(b, arm)],
    mass: Math.round(spannerMass((sa + sb) / 2) * 0.95),
    size: box(arm + big, 2.1 * big + 4, 0.22 * big + 3),
    price: money(2.5, 0.45, big),
  });
}

/** Six-point socket of a drive. */
export function socket(drive: string, size: string, deep = false): PieceModel {
  const s = millimetres(size);
  const length = socketLength(drive, deep);
  const width = socketWidth(drive, s);
  return piece({
    name: `Socket ${printSize(drive)}, ${printSize(size)}${deep ? ' deep' : ''}`,
    kind: 'socket',
    modes: [
      mode({
        offer: held('drive', drive),
        turns: { form: 'hex', size },
        bears: Math.min(entry(DRIVE_LIMIT, drive), ringBears(s)),
        length,
        width,
        hollow: Math.round(length * (deep ? 0.75 : 0.45)),
      }),
    ],
    mass: socketMass(drive, s, deep),
    size: box(length, width, width),
    price: money(deep ? 3 : 2, 0.28, s),
  });
}

/** Twelve-point socket, the only kind that turns twelve-point heads. */
export function twelvePointSocket(drive: string, size: string): PieceModel {
  const base = socket(drive, size);
  return {
    ...base,
    name: `Socket ${printSize(drive)}, 12-point ${printSize(size)}`,
    modes: base.modes.map((m) => ({ ...m, grip: 'twelve' as const })),
  };
}

/** Driver bit as a socket of a drive: inside hex, six-lobe and so on. */
export function bitSocket(drive: string, shape: Shape): PieceModel {
  const length = drive === '1/4in' ? 37 : drive === '3/8in' ? 48 : 60;
  const width = { '1/4in': 12, '3/8in': 17, '1/2in': 22 }[drive] ?? 12;
  return piece({
    name: `Bit socket ${printSize(drive)}, ${label(shape)}`,
    kind: 'socket',
    modes: [
      mode({
        offer: held('drive', drive),
        turns: shape,
        bears: Math.min(entry(DRIVE_LIMIT, drive), shapeBears(shape.form, shape.size)),
        length,
        width,
      }),
    ],
    mass: Math.round(socketMass(drive, width * 0.7, false) * 1.3),
    size: box(length, width, width),
    price: money(4, 0.4, millimetres(shape.size) || 5),
  });
}
const label = (shape: Shape): string => {
  const letters: Partial<Record<Shape['form'], string>> = {
    lobe: 'T',
    'lobe-pin': 'pinned T',
    'lobe-out': 'E',
    ph: 'PH',
    jis: 'Japanese cross ',
    key: 'inside hex ',
    slot: 'slot ',
    square: 'square recess ',
  };
  return `${letters[shape.form] ?? ''}${printSize(shape.size)}`;
};

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

/** Deep thin plug socket of a drive, for wells that an extension follows into; a long one holds the plug by a magnet. */
export function plugSocket(drive: string, size: string, long = false): PieceModel {
  const length = long ? 90 : 65;
  const s = millimetres(size);
  return piece({
    name: `Plug socket ${printSize(drive)}, ${printSize(size)}${long ? ', long, magnetic' : ''}`,
    kind: 'plug spanner',
    modes: [
      mode({
        offer: held('drive', drive),
        turns: { form: 'plug', size },
        bears: 60,
        length,
        width: Math.round(s * 1.2 + 2),
        hollow: length - 13,
      }),
    ],
    mass: Math.round(socketMass(drive, s, true) * (long ? 1.5 : 1.1)),
    size: box(length, s * 1.2 + 2, s * 1.2 + 2),
    price: long ? 13 : 9,
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

/**
 * A piece wanted for what it does rather than for a size.
 * @param mass g
 * @param size length, width, height, mm
 * @param price EUR
 */
export function functional(
  pieceName: string,
  functions: PieceFunction[],
  mass: number,
  size: [number, number, number],
  price: number,
  extra: Partial<PieceModel> = {},
): PieceModel {
  return piece({
    name: pieceName,
    kind: 'other',
    modes: [],
    functions,
    mass,
    size: box(...size),
    price,
    ...extra,
  });
}

/**
 * Pliers that pull clips and pins as well as grip.
 * @param mass g
 * @param length mm
 * @param price EUR
 */
export function pliers(
  pieceName: string,
  functions: PieceFunction[],
  mass: number,
  length: number,
  price: number,
): PieceModel {
  return piece({
    name: pieceName,
    kind: 'pliers',
    modes: [
      mode({
        offer: hand('spanner', length * 0.6),
        turns: { form: 'clip', size: '' },
        grip: 'open',
        bears: 5,
        length: 30,
        width: 18,
        thickness: 8,
        step: 30,
      }),
    ],
    functions,
    mass,
    size: box(length, 50, 18),
    price,
  });
}
