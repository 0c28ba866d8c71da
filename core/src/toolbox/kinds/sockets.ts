import { entry } from '../../ground/numbers.js';
import { millimetres, printSize, SIX_LOBE, SIX_LOBE_OUT, type Shape } from '../../ground/sizes/index.js';
import { askFor } from '../line/bench.js';
import type { PieceModel } from '../tools/piece.js';
import { DRIVE_LIMIT, ringBears, shapeBears, socketLength, socketMass, socketWidth } from '../tools/proportions.js';
import { DRIVEN_OR_HEX, unmeasured } from './fromLine.js';
import type { ToolKind } from './kind.js';
import { box, held, label, mode, money, piece } from './parts.js';
import { both, metric, shapes, words } from './runs.js';

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

/** What a price follows: the width of a shape, mm; a six-lobe’s number is none. */
const across = ({ form, size }: Shape): number =>
  form === 'lobe' || form === 'lobe-pin' ? (SIX_LOBE[size] ?? 0) : millimetres(size);

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
    price: money(4, 0.4, across(shape) || 5),
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

type Maker = ToolKind['make'];

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
export const bitSockets: Maker = (b) => {
  const drive = b.drive();
  const shapes = b.shapesOf('key', DRIVEN_OR_HEX, 'a bit socket');
  if (shapes.length === 0)
    throw askFor(
      'Which size of bit socket?',
      ['i5', 'i6', 'i8', 't30', 't40'].map((s) => [s, s] as const),
    );
  return shapes.map((s) => (s.form === 'hex' ? bitSocket(drive, { form: 'key', size: s.size }) : bitSocket(drive, s)));
};
const plugSockets: Maker = (b) => {
  const long = b.said('long', 'long, magnetic') || b.said('deep', 'long, magnetic') || b.said('magnetic', 'magnetic');
  const inch = b.rest('drive').length === 1 && b.rest('figure').length === 0 && b.rest('shape').length === 0;
  const drive = inch ? '3/8in' : b.drive('3/8in');
  return [plugSocket(drive, b.shape('plug', ['16', '18', '13/16in'], ['plug'], 'a plug spanner').size, long)];
};

export const SOCKETS: readonly ToolKind[] = [
  {
    key: 'socket',
    title: 'socket',
    said: 'socket|nut socket',
    make: sockets(false),
    shelf: () => [
      ...both(5.5, 14).map((s) => socket('1/4in', s)),
      ...both(5.5, 14).map((s) => socket('1/4in', s, true)),
      ...both(7, 24).map((s) => socket('3/8in', s)),
      ...both(7, 22.3).map((s) => socket('3/8in', s, true)),
      ...both(10, 36).map((s) => socket('1/2in', s)),
      ...metric(10, 24).map((s) => socket('1/2in', s, true)),
      ...metric(6, 14).map((s) => twelvePointSocket('1/4in', s)),
      ...both(8, 22).map((s) => twelvePointSocket('3/8in', s)),
      ...metric(13, 32).map((s) => twelvePointSocket('1/2in', s)),
    ],
  },
  {
    key: 'deep socket',
    title: 'deep socket',
    said: 'deep socket|long socket',
    make: sockets(true),
    shelf: () => [],
  },
  {
    key: 'plug socket',
    title: 'plug socket',
    said: 'plug socket|spark plug socket',
    make: plugSockets,
    shelf: () => [
      ...words('14 16 18 19 13/16in 5/8in').flatMap((s) => [plugSocket('3/8in', s), plugSocket('3/8in', s, true)]),
    ],
  },
  {
    key: 'bit socket',
    title: 'bit socket',
    said: 'bit socket|socket bit|driver socket|hex bit socket',
    make: bitSockets,
    shelf: () => [
      ...shapes('key', words('2.5 3 4 5 6 8')).map((s) => bitSocket('1/4in', s)),
      ...shapes('key', words('3 4 5 6 7 8 10 12 14 17')).map((s) => bitSocket('3/8in', s)),
      ...shapes('key', words('5 6 8 10 12 14 17 19 22')).map((s) => bitSocket('1/2in', s)),
      ...shapes('key', '5/32in 3/16in 7/32in 1/4in 5/16in 3/8in'.split(' ')).map((s) => bitSocket('3/8in', s)),
      ...shapes('lobe', words('10 15 20 25 27 30 40')).map((s) => bitSocket('1/4in', s)),
      ...shapes('lobe', words('15 20 25 27 30 40 45 50 55')).map((s) => bitSocket('3/8in', s)),
      ...shapes('lobe', words('30 40 45 50 55 60')).map((s) => bitSocket('1/2in', s)),
      ...shapes('lobe-out', SIX_LOBE_OUT.slice(0, 6)).map((s) => bitSocket('1/4in', s)),
      ...shapes('lobe-out', SIX_LOBE_OUT.slice(3, 11)).map((s) => bitSocket('3/8in', s)),
      ...shapes('lobe-out', SIX_LOBE_OUT.slice(5)).map((s) => bitSocket('1/2in', s)),
      ...shapes('ph', words('1 2 3')).map((s) => bitSocket('3/8in', s)),
      ...shapes('slot', words('5.5 8')).map((s) => bitSocket('3/8in', s)),
    ],
  },
];
