import { cut, MOST_LINE } from '../../ground/text.js';
import { millimetres, readSize, SIX_LOBE, type Shape } from '../../ground/sizes/index.js';
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
} from './catalogue.js';
import { FUNCTIONS, type Piece, type PieceFunction, type PieceModel } from './piece.js';
import { catalogue } from './shelf.js';

/** What a line said beside the piece itself. */
type Said = Partial<
  Pick<Piece, 'count' | 'mass' | 'price' | 'mark' | 'condition' | 'quality' | 'kept' | 'note' | 'source' | 'weighed'>
>;
export type PieceReading = { ok: true; model: PieceModel; said: Said } | { ok: false; reason: string };

/** Grams of the units that a line may weigh in. */
const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: 28.349523, lb: 453.59237, lbs: 453.59237 };

/** Words of a line that say something of the piece whatever it is; each is cut out of the line. */
const EXTRAS: { re: RegExp; take: (m: RegExpExecArray, said: Said) => void }[] = [
  { re: / note: *(.+)$/iu, take: (m, s) => (s.note = cut(m[1]!.trim(), 2000)) },
  { re: / (?:in|at) (?:the )?([\p{L}][\p{L}\d ]{1,60})$/iu, take: (m, s) => (s.kept = m[1]!.trim()) },
  { re: / (?:x|×) ?(\d{1,3})(?= |$)/iu, take: (m, s) => (s.count = Math.min(200, Math.max(1, Number(m[1])))) },
  {
    re: / (\d+(?:[.,]\d+)?) ?(g|kg|oz|lbs?)(?= |$)/iu,
    take: (m, s) => {
      s.mass = Number(m[1]!.replace(',', '.')) * GRAMS[m[2]!.toLowerCase()]!;
      s.source = 'user';
    },
  },
  {
    re: / (?:€ ?(\d+(?:[.,]\d+)?)|(\d+(?:[.,]\d+)?) ?(?:€|eur))(?= |$)/iu,
    take: (m, s) => (s.price = Number((m[1] ?? m[2])!.replace(',', '.'))),
  },
  {
    re: / (always|twice|never)(?= |$)/iu,
    take: (m, s) => (s.mark = m[1]!.toLowerCase() as 'always' | 'twice' | 'never'),
  },
  { re: / (cheap)(?= |$)/iu, take: (_m, s) => (s.quality = 'cheap') },
  { re: / (worn|broken)(?= |$)/iu, take: (m, s) => (s.condition = m[1]!.toLowerCase() as 'worn' | 'broken') },
];

const DRIVE = /(?:^| )(1\/4|3\/8|1\/2|¼|⅜|½)(?: ?(?:in|"))?(?= |$)/u;
const DRIVE_SIZE: Record<string, string> = {
  '1/4': '1/4in',
  '¼': '1/4in',
  '3/8': '3/8in',
  '⅜': '3/8in',
  '1/2': '1/2in',
  '½': '1/2in',
};

/** Takes a drive size out of a text: the first fraction of the three. */
function takeDrive(text: string): { drive: string | null; rest: string } {
  const m = DRIVE.exec(text);
  return m
    ? { drive: DRIVE_SIZE[m[1]!]!, rest: `${text.slice(0, m.index)} ${text.slice(m.index + m[0].length)}`.trim() }
    : { drive: null, rest: text };
}
/** Takes a bare number that is a length, the last one of the text. */
function takeLength(text: string, least: number): { length: number | null; rest: string } {
  const m = /(?:^| )(\d{2,3})(?: ?mm)?$/u.exec(text);
  return m && Number(m[1]) >= least
    ? { length: Number(m[1]), rest: text.slice(0, m.index).trim() }
    : { length: null, rest: text };
}
type Sized = { shape: Shape; rest: string } | { reason: string };
function takeShape(text: string, prefix = ''): Sized {
  const read = readSize(prefix + text);
  if (!read) return { reason: `"${text}" is no size` };
  if (!read.ok) return { reason: read.reason };
  return { shape: read.head, rest: (prefix + text).slice(read.used).trim() };
}
/** Two sizes of a double-ended piece: `12/13`, `12 and 13`, `1/2in 9/16in`. */
function takePair(text: string): [string, string] | null {
  const plain = /^(\d+(?:\.\d)?) ?(?:\/|and|x|,| ) ?(\d+(?:\.\d)?)$/iu.exec(text);
  const isHex = (size: string) => {
    const read = readSize(size);
    return read?.ok === true && read.head.form === 'hex';
  };
  if (plain && isHex(plain[1]!) && isHex(plain[2]!)) return [plain[1]!, plain[2]!];
  const first = readSize(text);
  if (!first?.ok || first.head.form !== 'hex') return null;
  const second = readSize(text.slice(first.used).replace(/^ *(?:\/|and|,)? */iu, ''));
  return second?.ok && second.head.form === 'hex' ? [first.head.size, second.head.size] : null;
}

const hexOnly = (s: Sized): { size: string; rest: string } | { reason: string } =>
  'reason' in s
    ? s
    : s.shape.form === 'hex'
      ? { size: s.shape.size, rest: s.rest }
      : { reason: 'this kind turns hexagons: write a size such as 13 or 1/2in' };

type Make = (rest: string) => PieceModel | { reason: string };
const withDrive =
  (make: (drive: string, rest: string) => PieceModel | { reason: string }): Make =>
  (text) => {
    const { drive, rest } = takeDrive(text);
    return drive ? make(drive, rest) : { reason: 'say the drive too: 1/4, 3/8 or 1/2' };
  };
const sized =
  (make: (size: string) => PieceModel): Make =>
  (text) => {
    const s = hexOnly(takeShape(text));
    return 'reason' in s ? s : make(s.size);
  };

/** Sizes of inside-hex keys that sets are made up of. */
const KEY_SIZES = ['1.5', '2', '2.5', '3', '4', '5', '6', '7', '8', '10', '12'];
/** Grams and mm of a thing of which only the name is said. Planning values. */
const THING = { mass: 100, size: { length: 120, width: 60, height: 30 } };

/** Something that turns nothing, or is made at home: its name, and after `to` what it is there for: `made hooked arm to pry`, `thing towel to pad`. */
function thing(text: string, kind: 'other' | 'home-made'): PieceModel | { reason: string } {
  const [name, to] = text.split(/ to /iu, 2) as [string, string | undefined];
  const wanted = (to ?? '')
    .split(/,| and /iu)
    .map((w) => w.trim().toLowerCase())
    .filter(Boolean);
  const unknown = wanted.find((w) => !FUNCTIONS.includes(w as PieceFunction));
  if (name.trim() === '') return { reason: 'say what it is called: thing towel 110g to pad' };
  if (unknown !== undefined)
    return {
      reason: `"${cut(unknown, 40)}" is nothing that a repair asks for: after “to” say one of ${FUNCTIONS.join(', ')}`,
    };
  const plainName = name.trim();
  return {
    name: cut(plainName[0]!.toUpperCase() + plainName.slice(1), 110),
    kind,
    modes: [],
    functions: wanted as PieceFunction[],
    traits: [],
    mass: THING.mass,
    size: THING.size,
    price: 0,
  };
}

/** Kinds by the word that a rider says, the longer before the shorter. */
const KINDS: { re: RegExp; make: Make }[] = [
  {
    re: /^(?:plug socket)\b/iu,
    make: (t) => {
      const { drive, rest } = takeDrive(t);
      const s = takeShape(rest, 'plug ');
      return 'reason' in s ? s : plugSocket(drive ?? '3/8in', s.shape.size);
    },
  },
  {
    re: /^plug(?: spanner)?\b/iu,
    make: (t) => {
      const s = takeShape(t, 'plug ');
      return 'reason' in s ? s : plugSpanner(s.shape.size);
    },
  },
  { re: /^(?:bit holder|holder)\b/iu, make: withDrive((drive) => bitHolder(drive)) },
  {
    re: /^(?:bit socket)\b/iu,
    make: withDrive((drive, rest) => {
      const s = takeShape(rest);
      return 'reason' in s ? s : bitSocket(drive, s.shape);
    }),
  },
  {
    re: /^(?:deep socket|socket)\b/iu,
    make: withDrive((drive, rest) => {
      const deep = /\bdeep\b/iu.test(rest);
      const twelve = /\b12 ?(?:pt|point)\b/iu.test(rest);
      const plain = rest
        .replace(/\bdeep\b/iu, '')
        .replace(/\b12 ?(?:pt|point)\b/iu, '')
        .trim();
      const s = takeShape(plain);
      if ('reason' in s) return s;
      if (s.shape.form === 'plug') return plugSocket(drive, s.shape.size);
      if (s.shape.form !== 'hex') return bitSocket(drive, s.shape);
      return twelve ? twelvePointSocket(drive, s.shape.size) : socket(drive, s.shape.size, deep);
    }),
  },
  {
    re: /^bit\b/iu,
    make: (t) => {
      const s = takeShape(t.replace(/^(?=\d)/u, 'i'));
      if ('reason' in s) return s;
      const { length } = takeLength(s.rest.replace(/\blong\b/iu, '').trim(), 25);
      return bit(s.shape, length ?? 25);
    },
  },
  { re: /^(?:combination(?: spanner)?|combi|spanner)\b/iu, make: sized(combinationSpanner) },
  {
    re: /^ring(?: spanner)?\b/iu,
    make: (t) => {
      const pair = takePair(t);
      return pair ? ringSpanner(...pair) : { reason: 'a ring spanner has two sizes: ring 12/13' };
    },
  },
  {
    re: /^open(?: spanner| end)?\b/iu,
    make: (t) => {
      const pair = takePair(t);
      return pair ? openSpanner(...pair) : { reason: 'an open spanner has two sizes: open 10/12' };
    },
  },
  {
    re: /^(?:adjustable(?: spanner)?)\b/iu,
    make: (t) => {
      const alloy = /\balloy\b/iu.test(t);
      const { length } = takeLength(t.replace(/\b(?:light )?alloy\b/iu, '').trim(), 100);
      if (!length || length > 450) return { reason: 'say its length, 100 to 450 mm: adjustable 250' };
      return adjustable(
        length,
        Math.round(length * (alloy ? 0.136 : 0.12)),
        Math.round((alloy ? 0.0037 : 0.006) * length * length),
        alloy,
      );
    },
  },
  { re: /^ratchet\b/iu, make: withDrive((drive) => ratchet(drive)) },
  { re: /^(?:thumb wheel)\b/iu, make: () => thumbWheel() },
  {
    re: /^(?:plain bar|breaker bar|bar)\b/iu,
    make: withDrive((drive, rest) => plainBar(drive, takeLength(rest, 100).length ?? 250)),
  },
  { re: /^(?:t[- ]handle)\b/iu, make: withDrive((drive) => tHandle(drive)) },
  { re: /^(?:driver handle|spinner)\b/iu, make: withDrive((drive) => driverHandle(drive)) },
  {
    re: /^(?:extension|ext)\b/iu,
    make: withDrive((drive, rest) => {
      const { length } = takeLength(rest, 20);
      return length ? extension(drive, length) : { reason: 'say its length: extension 1/4 100' };
    }),
  },
  {
    re: /^(?:adapter|adaptor)\b/iu,
    make: withDrive((from, rest) => {
      const { drive: to } = takeDrive(rest.replace(/^(?:to|→)\s*/iu, ''));
      return to ? adapter(from, to) : { reason: 'say both drives: adapter 3/8 1/4' };
    }),
  },
  { re: /^(?:swivel joint|joint|swivel)\b/iu, make: withDrive((drive) => joint(drive)) },
  {
    re: /^(?:t[- ]key)\b/iu,
    make: (t) => {
      const s = takeShape(t);
      return 'reason' in s ? s : tKey(s.shape, takeLength(s.rest, 80).length ?? 200);
    },
  },
  {
    re: /^(?:l[- ]?key set|key set|hex key set)\b/iu,
    make: (t) => {
      const form = /t\d/iu.test(t) ? 'lobe' : 'key';
      const range = /^t?(\d+(?:\.\d)?) ?(?:-|to|–) ?t?(\d+(?:\.\d)?)(?: ?mm)?$/iu.exec(t);
      if (!range) return { reason: 'say its range: key set 2-8, key set t10-t40' };
      const sizes = (form === 'key' ? KEY_SIZES : Object.keys(SIX_LOBE)).filter(
        (s) => Number(s) >= Number(range[1]) && Number(s) <= Number(range[2]),
      );
      return sizes.length > 1 && sizes.length <= 12
        ? keySet(form, sizes)
        : { reason: 'that range holds no set: key set 2-8, key set t10-t40' };
    },
  },
  {
    re: /^(?:flat ratchet)\b/iu,
    make: () => flatRatchet('1/4in', '3/8in'),
  },
  { re: /^thing\b/iu, make: (t) => thing(t, 'other') },
  { re: /^(?:made|home-made)\b/iu, make: (t) => thing(t, 'home-made') },
  {
    re: /^(?:l[- ]key|key|hex key)\b/iu,
    make: (t) => {
      const s = takeShape(t.replace(/^(?=\d)/u, 'i'));
      if ('reason' in s) return s;
      if (s.shape.form === 'lobe') return lobeKey(s.shape.size);
      return s.shape.form === 'key'
        ? lKey(s.shape.size)
        : { reason: 'an L-key is for an inside hex or a six-lobe: key 5, key t30' };
    },
  },
  {
    re: /^(?:screwdriver|driver)\b/iu,
    make: (t) => {
      const s = takeShape(t);
      return 'reason' in s ? s : driver(s.shape, takeLength(s.rest, 20).length ?? 100);
    },
  },
  {
    re: /^(?:tyre lever|lever)\b/iu,
    make: (t) => {
      const alloy = /\balloy\b/iu.test(t);
      const rest = t.replace(/\b(?:light )?alloy\b|\bsteel\b|\bring\b/giu, '').trim();
      if (rest === '') return tyreLever(null, alloy);
      const s = hexOnly(takeShape(rest));
      return 'reason' in s ? s : tyreLever(s.size, alloy);
    },
  },
  {
    re: /^pipe\b/iu,
    make: (t) => {
      const { length } = takeLength(t, 100);
      return length ? pipe(length) : { reason: 'say its length: pipe 300' };
    },
  },
  {
    re: /^spoke(?: key)?\b/iu,
    make: (t) => {
      const s = takeShape(t, 'spoke ');
      return 'reason' in s ? s : handTool('spoke key', `Spoke key ${s.shape.size}`, s.shape, 25, 30, 8);
    },
  },
  {
    re: /^hook(?: spanner)?\b/iu,
    make: (t) => {
      const s = takeShape(t, 'hook ');
      if ('reason' in s) return s;
      const d = millimetres(s.shape.size);
      return handTool(
        'hook spanner',
        `Hook spanner ${s.shape.size}`,
        s.shape,
        Math.round(130 + d * 0.7),
        Math.round(40 + d * 1.9),
        12,
      );
    },
  },
];

const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll('¼', '1/4')
    .replaceAll('½', '1/2')
    .replaceAll('⅜', '3/8')
    .replaceAll('⁄', '/')
    .replaceAll(',', ' ');

let shelf: { model: PieceModel; text: string }[] | null = null;
const onShelf = () => (shelf ??= catalogue().map((model) => ({ model, text: plain(model.name) })));

/** Pieces of the catalogue whose names hold all words, the shortest name first. */
export function findModels(text: string, most = 8): PieceModel[] {
  const words = plain(text).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return onShelf()
    .filter(({ text: t }) => words.every((w) => t.includes(w)))
    .sort((a, b) => a.text.length - b.text.length || (a.text < b.text ? -1 : 1))
    .slice(0, most)
    .map(({ model }) => model);
}

/**
 * Reads one line a piece, as riders say it: `socket 3/8 deep 14`, `ring 12/13`, `bit t30`, `adjustable 250`, `ratchet 1/4 105g`, `13` (a
 * combination spanner), and for anything a mass, price, count, `worn`, `cheap`, `always`, `twice`, `never`, where it is kept, a note.
 * Any size can be said, not only those of the catalogue; what is no kind is looked up there by its words.
 */
export function readPiece(line: string): PieceReading {
  if (line.length > MOST_LINE)
    return { ok: false, reason: `too long: a line holds ${MOST_LINE} characters. Shorten it` };
  let text = ` ${line.trim().replace(/\s+/g, ' ')}`;
  if (text.trim() === '') return { ok: false, reason: 'say what it is: socket 3/8 14, ring 12/13, bit t30' };
  const said: Said = {};
  for (const { re, take } of EXTRAS) {
    const m = re.exec(text);
    if (!m) continue;
    take(m, said);
    text = text.slice(0, m.index) + text.slice(m.index + m[0].length);
  }
  const body = text.trim();
  const kind = KINDS.find((k) => k.re.test(body));
  if (kind) {
    const made = kind.make(body.replace(kind.re, '').trim());
    return 'reason' in made ? { ok: false, reason: made.reason } : { ok: true, model: made, said };
  }
  const bare = readSize(body, false);
  if (bare?.ok && bare.used === body.length) {
    const made = bareSize(bare.head);
    if (made) return { ok: true, model: made, said };
  }
  const found = findModels(body, 2);
  if (found.length > 0) return { ok: true, model: found[0]!, said };
  return { ok: false, reason: `no piece like "${cut(body, 40)}": say socket 3/8 14, ring 12/13, bit t30, pliers` };
}

/** What a size alone means in a toolbox: a spanner, a key, a bit. */
function bareSize(shape: Shape): PieceModel | null {
  if (shape.form === 'hex') return combinationSpanner(shape.size);
  if (shape.form === 'key') return lKey(shape.size);
  if (['lobe', 'lobe-pin', 'ph', 'jis', 'square'].includes(shape.form)) return bit(shape);
  return null;
}
