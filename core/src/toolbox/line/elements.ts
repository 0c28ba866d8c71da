import {
  formBook,
  quantityAt,
  sizeAt,
  type FormBook,
  type OwnWord,
  type Phrasebook,
  type Token,
} from '../../ground/line/index.js';
import { sizeExists, type Head, type HeadForm } from '../../ground/sizes/index.js';
import { inchText } from '../../ground/sizes/tables.js';
import {
  ATTRIBUTES,
  CHEAP,
  CONDITIONS,
  COUNT_BEFORE,
  COUNT_BEHIND,
  DOZENS,
  DRIVE_WORDS,
  FILLERS,
  KEPT,
  MARKS,
  MODIFIERS,
  RANGE_WORDS,
  UNKNOWN_SIZE,
  type KindTerm,
  type Modifier,
} from './words.js';

/** A stretch of a tool's line and what it is by itself, before the kind decides what its figures mean. */
interface Span {
  from: number;
  to: number;
}
export type Element = Span &
  (
    | { at: 'kind'; kind: KindTerm; plural: boolean }
    /** A square drive; `sure` where the word stands by it. */
    | { at: 'drive'; size: string; sure: boolean }
    /** A bare figure: a size or a length, as the kind has it. `unit` is its millimetres or inches where they were said. */
    | { at: 'figure'; token: Token; unit: 'mm' | 'in' | null }
    /** Two figures that stand for two ends: `12/13`, `12x13`. */
    | { at: 'pair'; sizes: readonly [string, string] }
    | { at: 'range'; form: HeadForm | null; low: Token; high: Token }
    | { at: 'shape'; head: Head; plain: boolean }
    | { at: 'no shape'; reason: string; nearest: readonly string[] }
    | { at: 'form'; form: HeadForm }
    | { at: 'length'; mm: number; typed: string }
    | { at: 'modifier'; modifier: Modifier }
    | { at: 'attribute' }
    | { at: 'filler' }
    | { at: 'no size' }
    | { at: 'count'; n: number }
    | { at: 'mass'; grams: number; typed: string }
    | { at: 'price'; euros: number }
    | { at: 'mark'; mark: 'always' | 'twice' | 'never' }
    | { at: 'condition'; condition: 'worn' | 'broken' }
    | { at: 'cheap' }
    | { at: 'kept'; place: string }
    | { at: 'name'; text: string }
    | { at: 'word'; word: string }
  );

export interface Books {
  kinds: Phrasebook<KindTerm>;
  forms: FormBook;
  own: readonly OwnWord[];
  inch: boolean;
}
interface Scan {
  line: string;
  tokens: readonly Token[];
  books: Books;
  /** Last token of the segment, excluded. */
  end: number;
}
type Scanner = (s: Scan, i: number) => Element | null;

export const DRIVES: readonly string[] = ['1/4in', '3/8in', '1/2in'];
const driveOf = (token: Token | undefined): string | null => {
  if (!token?.fraction) return null;
  const size = `${token.fraction.n}/${token.fraction.of}in`;
  return DRIVES.includes(size) ? size : null;
};
const isX = (token: Token | undefined): boolean => token?.kind === 'word' && token.text === 'x';
const isDash = (token: Token | undefined): boolean =>
  token?.kind === 'mark' && (token.text === '-' || token.text === '–' || token.text === '—');

/** Whether a token begins something that the vocabulary knows, so that `in` before it is inches: `1/2 in ratchet`. */
const known = (s: Scan, i: number): boolean => {
  const token = s.tokens[i];
  if (!token || i >= s.end) return true;
  if (token.kind !== 'word') return true;
  return [
    s.books.kinds,
    s.books.forms,
    MODIFIERS,
    DRIVE_WORDS,
    MARKS,
    CONDITIONS,
    CHEAP,
    UNKNOWN_SIZE,
    ATTRIBUTES,
  ].some((book) => book.at(s.tokens, i) !== null);
};
/** A unit behind a figure. `in` before an unknown word says where a thing lies: `ratchet 3/8 in garage`. */
function lengthUnit(s: Scan, i: number): { sign: string; per: number; to: number } | null {
  const q = quantityAt(s.tokens, i);
  if (q?.unit.kind !== 'length' || q.to > s.end) return null;
  const word = s.tokens[i + 1];
  const free = word?.kind === 'word' && !word.glued && word.text === 'in';
  if (free && !known(s, i + 2)) return null;
  return { sign: q.unit.sign, per: q.unit.per, to: q.to };
}

const scanQuoted: Scanner = (s, i) => {
  const token = s.tokens[i];
  return token?.kind === 'quoted' ? { at: 'name', from: i, to: i + 1, text: token.text.trim() } : null;
};
const scanNoSize: Scanner = (s, i) => {
  const token = s.tokens[i];
  if (token?.kind === 'mark' && token.text === '?') return { at: 'no size', from: i, to: i + 1 };
  const said = UNKNOWN_SIZE.at(s.tokens, i);
  return said && { at: 'no size', from: i, to: said.to };
};
const scanCount: Scanner = (s, i) => {
  const [a, b] = [s.tokens[i], s.tokens[i + 1]];
  const dozen = DOZENS.at(s.tokens, i);
  if (dozen && dozen.to <= s.end) return { at: 'count', from: i, to: dozen.to, n: dozen.means };
  const whole = (t: Token | undefined): t is Token =>
    t?.kind === 'number' && Number.isInteger(t.value) && t.fraction === null;
  if (isX(a) && whole(b) && i + 1 < s.end) return { at: 'count', from: i, to: i + 2, n: b.value };
  const before = COUNT_BEFORE.at(s.tokens, i);
  const figure = before ? s.tokens[before.to] : undefined;
  if (before && whole(figure)) return { at: 'count', from: i, to: before.to + 1, n: figure.value };
  if (!whole(a) || i + 1 >= s.end) return null;
  const behind = COUNT_BEHIND.at(s.tokens, i + 1);
  if (behind && behind.to <= s.end) return { at: 'count', from: i, to: behind.to, n: a.value };
  if (isX(b) && s.tokens[i + 2]?.kind !== 'number') return { at: 'count', from: i, to: i + 2, n: a.value };
  if (isX(b) && b?.glued && s.tokens[i + 2]?.glued === false && i === 0)
    return { at: 'count', from: i, to: i + 2, n: a.value };
  return null;
};
const scanQuantity: Scanner = (s, i) => {
  const q = quantityAt(s.tokens, i);
  if (!q || q.to > s.end) return null;
  const typed = `${q.typed} ${q.unit.sign}`;
  if (q.unit.kind === 'mass') return { at: 'mass', from: i, to: q.to, grams: q.value, typed };
  if (q.unit.kind === 'price') return { at: 'price', from: i, to: q.to, euros: q.value };
  return null;
};
const scanSaid: Scanner = (s, i) => {
  const mark = MARKS.at(s.tokens, i);
  if (mark) return { at: 'mark', from: i, to: mark.to, mark: mark.means };
  const condition = CONDITIONS.at(s.tokens, i);
  if (condition) return { at: 'condition', from: i, to: condition.to, condition: condition.means };
  const cheap = CHEAP.at(s.tokens, i);
  return cheap && { at: 'cheap', from: i, to: cheap.to };
};
/** `in the garage wall`: a place, when a word of no other meaning follows and runs to the end of the line. */
const scanKept: Scanner = (s, i) => {
  const said = KEPT.at(s.tokens, i);
  const first = said ? s.tokens[said.to] : undefined;
  if (!said || first?.kind !== 'word' || said.to >= s.end) return null;
  let to = said.to;
  while (to < s.end && (s.tokens[to]?.kind === 'word' || s.tokens[to]?.kind === 'number')) {
    if (to > said.to && (scanCount(s, to) ?? scanQuantity(s, to) ?? scanSaid(s, to))) break;
    to++;
  }
  const place = s.line.slice(first.start, s.tokens[to - 1]?.end).replace(/\s+/gu, ' ');
  return place.length > 60 ? null : { at: 'kept', from: i, to, place };
};
const scanDrive: Scanner = (s, i) => {
  const before = DRIVE_WORDS.at(s.tokens, i);
  const behind = before ? driveOf(s.tokens[before.to]) : null;
  if (before && behind !== null)
    return { at: 'drive', from: i, to: lengthUnit(s, before.to)?.to ?? before.to + 1, size: behind, sure: true };
  const size = driveOf(s.tokens[i]);
  if (size === null) return null;
  const to = lengthUnit(s, i)?.to ?? i + 1;
  const hyphen = isDash(s.tokens[to]) && s.tokens[to]?.glued ? 1 : 0;
  const said = s.tokens[to - 1]?.stops ? null : DRIVE_WORDS.at(s.tokens, to + hyphen);
  return { at: 'drive', from: i, to: said?.to ?? to, size, sure: said !== null };
};
/** One end of a run: a figure, with its form where it was said. */
function endOfRun(s: Scan, i: number, last: boolean): { form: HeadForm | null; token: Token; to: number } | null {
  const read = sizeAt(s.tokens, i, s.books);
  const figure = read?.ok && read.said && s.tokens[i]?.kind === 'word' ? s.tokens[read.figure[0]] : undefined;
  if (read?.ok && figure && read.to <= s.end) return { form: read.head.form, token: figure, to: read.to };
  const token = s.tokens[i];
  if (token?.kind !== 'number' || i >= s.end || (token.stops && !last)) return null;
  return { form: null, token, to: lengthUnit(s, i)?.to ?? i + 1 };
}
/** `8-19`, `8 to 17`, `t10-t40`, `1/4 to 3/4`. */
const scanRange: Scanner = (s, i) => {
  const first = endOfRun(s, i, false);
  const to = first && (isDash(s.tokens[first.to]) ? first.to + 1 : (RANGE_WORDS.at(s.tokens, first.to)?.to ?? null));
  const second = to ? endOfRun(s, to, true) : null;
  if (!first || !second) return null;
  if (first.token.value >= second.token.value) {
    if (first.token.fraction || second.token.fraction) return null;
    const turned = `${second.token.text}-${first.token.text}`;
    return {
      at: 'no shape',
      from: i,
      to: second.to,
      reason: 'a range begins with the smaller size',
      nearest: [turned],
    };
  }
  return { at: 'range', from: i, to: second.to, form: first.form ?? second.form, low: first.token, high: second.token };
};
const hexSize = (text: string): boolean => sizeExists('hex', text);
/** `12/13`, `12x13`: two ends, where the first is no inch size. */
const scanPair: Scanner = (s, i) => {
  const [a, b, c] = [s.tokens[i], s.tokens[i + 1], s.tokens[i + 2]];
  if (a?.kind !== 'number') return null;
  if (a.fraction) {
    const { n, of } = a.fraction;
    const sizes = [String(n), String(of)] as const;
    const inch = sizeExists('hex', inchText(n, of)) || sizeExists('key', inchText(n, of));
    return !inch && sizes.every(hexSize) ? { at: 'pair', from: i, to: lengthUnit(s, i)?.to ?? i + 1, sizes } : null;
  }
  if (!isX(b) || c?.kind !== 'number' || i + 2 >= s.end) return null;
  const sizes = [a.text, c.text] as const;
  return sizes.every(hexSize) ? { at: 'pair', from: i, to: i + 3, sizes } : null;
};
const scanKind: Scanner = (s, i) => {
  const said = s.books.kinds.at(s.tokens, i);
  if (!said || said.to > s.end) return null;
  const last = s.tokens[said.to - 1]?.text ?? '';
  return { at: 'kind', from: i, to: said.to, kind: said.means, plural: /[^s]s$/u.test(last) && last !== 'pliers' };
};
/** A form with its figure, or a form alone that tells what a figure elsewhere is: `flat screwdriver 6`. */
const scanShape: Scanner = (s, i) => {
  const read = sizeAt(s.tokens, i, s.books);
  const said = s.books.forms.at(s.tokens, i);
  if (read && read.to <= s.end) {
    if (!read.ok) {
      // A figure without a form may be a length, or a size of the kind's own form.
      const bare = s.tokens[i]?.kind === 'number' && !s.books.forms.at(s.tokens, read.to - 1);
      return bare ? null : { at: 'no shape', from: i, to: read.to, reason: read.reason, nearest: read.nearest };
    }
    if (read.said) return { at: 'shape', from: i, to: read.to, head: read.head, plain: read.plain };
  }
  if (!said || said.means.letter || said.to > s.end) return null;
  return { at: 'form', from: i, to: said.to, form: said.means.form };
};
const scanLength: Scanner = (s, i) => {
  const token = s.tokens[i];
  if (token?.kind !== 'number') return null;
  const unit = lengthUnit(s, i);
  const end = unit?.to ?? i + 1;
  const long = s.tokens[end]?.kind === 'word' && s.tokens[end]?.text === 'long' && end < s.end;
  const per = unit?.per ?? 1;
  const mm = Math.round(token.value * per);
  const typed = `${token.text} ${unit?.sign ?? 'mm'}`;
  if (long) return { at: 'length', from: i, to: end + 1, mm, typed };
  // Inches beyond any head are a length: a bar of 24 in.
  if (unit && unit.sign === 'cm') return { at: 'length', from: i, to: end, mm, typed };
  if (unit && unit.sign === 'in' && token.value > 2) return { at: 'length', from: i, to: end, mm, typed };
  if (unit) return { at: 'figure', from: i, to: end, token, unit: unit.sign === 'in' ? 'in' : 'mm' };
  return { at: 'figure', from: i, to: i + 1, token, unit: null };
};
const scanModifier: Scanner = (s, i) => {
  const said = MODIFIERS.at(s.tokens, i);
  return said && said.to <= s.end ? { at: 'modifier', from: i, to: said.to, modifier: said.means } : null;
};
const scanPlain: Scanner = (s, i) => {
  const attribute = ATTRIBUTES.at(s.tokens, i);
  if (attribute && attribute.to <= s.end) return { at: 'attribute', from: i, to: attribute.to };
  const filler = FILLERS.at(s.tokens, i);
  if (filler && filler.to <= s.end) return { at: 'filler', from: i, to: filler.to };
  const token = s.tokens[i];
  // A word that the rider said is part of names.
  if (token && s.books.own.some((w) => w.means === 'name' && w.said.toLowerCase() === token.text))
    return { at: 'attribute', from: i, to: i + 1 };
  if (!token) return null;
  // Figures that hang on a word are part of it: `zz9` is no size.
  let to = i + 1;
  while (token.kind === 'word' && to < s.end && s.tokens[to]?.glued && s.tokens[to]?.kind !== 'mark') to++;
  return { at: 'word', from: i, to, word: s.line.slice(token.start, s.tokens[to - 1]?.end) };
};

/** Whether the phrase of a kind is as long as what a form's word makes of the place: `hex key 5` is a key, `inside hex 5` a shape. */
const SCANNERS: readonly Scanner[] = [
  scanQuoted,
  scanNoSize,
  scanCount,
  scanQuantity,
  scanSaid,
  scanRange,
  scanPair,
  scanDrive,
  scanKept,
];

/** Which of a kind's phrase, a modifier's and a form's is the longest at a place; kinds win between equals. */
function longest(s: Scan, i: number): Element | null {
  const kind = scanKind(s, i);
  const modifier = scanModifier(s, i);
  const shape = scanShape(s, i);
  const words = (e: Element | null) =>
    e === null ? 0 : e.at === 'shape' ? (s.books.forms.at(s.tokens, i)?.to ?? i) - i : e.to - i;
  if (kind && words(kind) >= words(modifier) && (shape === null || words(kind) >= words(shape))) return kind;
  if (modifier && (shape === null || (modifier.to - i >= words(shape) && shape.at === 'form'))) return modifier;
  return shape ?? modifier;
}

/** The elements of a segment of a line, in order; every token belongs to one. */
export function elementsOf(line: string, tokens: readonly Token[], from: number, end: number, books: Books): Element[] {
  const s: Scan = { line, tokens, books, end };
  const out: Element[] = [];
  for (let i = from; i < end;) {
    let found: Element | null = null;
    for (const scan of SCANNERS) {
      found = scan(s, i);
      if (found) break;
    }
    found ??= longest(s, i) ?? scanLength(s, i) ?? scanPlain(s, i);
    if (!found) break;
    out.push(found);
    i = found.to;
  }
  return out;
}

/**
 * All books by which a line of a tool is read.
 * @param inch whether inches are on show, so that a bare figure may be one
 */
export const booksOf = (kinds: Phrasebook<KindTerm>, own: readonly OwnWord[], inch: boolean): Books => ({
  kinds,
  forms: formBook(own),
  own,
  inch,
});
