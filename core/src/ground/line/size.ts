import {
  FORM_SIZES,
  HEAD_FORMS,
  isInch,
  millimetres,
  nearestSizes,
  sizeExists,
  type Head,
  type HeadForm,
} from '../sizes/shape.js';
import { inchText, SIX_LOBE } from '../sizes/tables.js';
import { typeShape } from '../sizes/print.js';
import { FORM_WORDS } from '../sizes/shape.js';
import { Phrasebook, type OwnWord } from './phrases.js';
import { unitAt } from './quantity.js';
import { tokensOf, type Token } from './token.js';

export interface FormTerm {
  form: HeadForm;
  /** Whether the word is one of plain speech too, so that it may belong to a name: `drain plug`, `hook`, `flat washer`. */
  plain: boolean;
  /** A letter before a figure: `t30`, `i5`. It stands for nothing elsewhere. */
  letter: boolean;
}
const strong = (form: HeadForm): FormTerm => ({ form, plain: false, letter: false });
const plain = (form: HeadForm): FormTerm => ({ form, plain: true, letter: false });
const letter = (form: HeadForm): FormTerm => ({ form, plain: false, letter: true });

/** How riders say the forms of heads. */
const FORMS: readonly (readonly [FormTerm, string])[] = [
  [strong('hex12'), '12 pt|12 point|12 pointed|12 sided|outside 12 point|12 point outside|bihex|bi hex|double hex'],
  [
    strong('key'),
    'inside hex|inside hexagon|internal hex|internal hexagon|inner hex|hex socket head|socket head|socket cap|hex key|inside hex key',
  ],
  [plain('key'), 'inside|key'],
  [letter('key'), 'i|h'],
  [
    strong('lobe-pin'),
    'pinned 6 lobe|6 lobe pinned|6 lobe pin|6 lobe with pin|tamper proof 6 lobe|tamperproof 6 lobe|security 6 lobe|pinned star',
  ],
  [letter('lobe-pin'), 'tp|tr'],
  [strong('lobe-out'), 'outside 6 lobe|external 6 lobe|6 lobe outside|outside star|external star'],
  [letter('lobe-out'), 'e'],
  [strong('lobe'), '6 lobe|inside 6 lobe|internal 6 lobe|6 lobed|hexalobular|6 point star'],
  [plain('lobe'), 'star|lobe'],
  [letter('lobe'), 't'],
  [strong('ph'), 'ph|p h|cross recess|cross recessed|cross head|crosshead|cross point|cross slot|cross recess ph'],
  [plain('ph'), 'cross'],
  [strong('jis'), 'jis|j i s|japanese cross|japanese cross recess|japanese crosshead'],
  [strong('square'), 'sq|square recess|square hole|square socket|inside square'],
  [plain('square'), 'square'],
  [strong('slot'), 'slotted|flat blade|flathead|flat head|straight slot|single slot'],
  [plain('slot'), 'slot|flat|blade'],
  [strong('hook'), 'castellated ring|castellated|slotted ring|notched ring'],
  [plain('hook'), 'hook'],
  [strong('spoke'), 'spoke nipple'],
  [plain('spoke'), 'spoke|nipple'],
  [strong('plug'), 'spark plug hex|spark plug|plug hex'],
  [plain('plug'), 'plug'],
  [strong('hex'), 'hex|hexagon|outside hex|outside hexagon|external hex|hex head|hexagon head'],
  [strong('valve'), 'valve core'],
  [plain('clip'), 'clip|pin|clip or pin'],
];
const BOOK = new Phrasebook(FORMS);
/** Words behind `t30` that say it has a pin in its middle. */
const PINNED = new Phrasebook<true>([[true, 'pin|pinned|with pin|tamper|tamperproof|tamper proof|security']]);
const NO_SIZE: ReadonlySet<HeadForm> = new Set(['valve', 'clip']);

/** The forms of heads with a rider's own words for them; a term is `form:` and the form. */
export type FormBook = Phrasebook<FormTerm>;
const made = new WeakMap<readonly OwnWord[], FormBook>();
/** The words of all forms of heads, the rider’s own among them. */
export function formBook(own: readonly OwnWord[]): FormBook {
  if (own.length === 0) return BOOK;
  const known = made.get(own);
  if (known) return known;
  const book = BOOK.with(own, (means) => {
    const form = HEAD_FORMS.find((f) => means === `form:${f}`);
    return form ? strong(form) : null;
  });
  made.set(own, book);
  return book;
}

/** A size that was read, or a text that speaks of one that there is not. */
export type SizeAt =
  | {
      ok: true;
      head: Head;
      to: number;
      /** Whether the form was said; a bare figure is an outside hex. */
      said: boolean;
      /** Whether the word that said the form may as well belong to a name. */
      plain: boolean;
      /** Where the figure itself stands: first token and the one behind. */
      figure: readonly [number, number];
    }
  | { ok: false; reason: string; nearest: readonly string[]; to: number };

export interface ShapeWanted {
  forms: FormBook;
  /** Whether bare figures with three decimals are inches, as on an inch rule. */
  inch: boolean;
}
const PLAIN: ShapeWanted = { forms: BOOK, inch: false };

/** Sizes that spark plugs are known by, for those whose hexagon is made in inches. */
export const PLUG_NAMES: Readonly<Record<string, string>> = { '20.6': '13/16in', '20.8': '13/16in', '21': '13/16in' };

/** Canonical size of a figure; what it cannot be is said by `fault`. */
function canonical(token: Token, inches: boolean, form: HeadForm, inchShown: boolean): string | { fault: string } {
  const { value, fraction, decimals } = token;
  if (fraction) {
    if (![2, 4, 8, 16, 32, 64].includes(fraction.of))
      return { fault: `inch sizes go by halves to 64ths, not by ${fraction.of}ths` };
    return inchText(fraction.n, fraction.of);
  }
  const decimalInch = !inches && form !== 'plug' && (value < 1 || (inchShown && decimals >= 3)) && decimals >= 2;
  if (inches || decimalInch) {
    const within = Math.max(0.0008, 0.5 * 10 ** -decimals + 1e-9);
    const all = (FORM_SIZES[form] ?? []).filter(isInch);
    const near = all.filter((s) => Math.abs(millimetres(s) / 25.4 - value) <= within);
    if (near.length === 1 && near[0] !== undefined) return near[0];
    const sixtyFourths = value * 64;
    if (Math.abs(sixtyFourths - Math.round(sixtyFourths)) > 0.05)
      return { fault: `${token.text} in is not a standard inch size` };
    return inchText(Math.round(sixtyFourths), 64);
  }
  if (form === 'plug') return PLUG_NAMES[String(value)] ?? String(value);
  return String(value);
}

/** Why there is no such size, and which are nearest, as they are typed. */
function refusal(form: HeadForm, size: string): { reason: string; nearest: string[] } {
  const mm = millimetres(size);
  const near = nearestSizes(form, mm, isInch(size));
  const or = near.join(' or ');
  if (form === 'hex' && !Number.isInteger(mm) && !isInch(size))
    return { reason: `${size} is a reading, not a size: nearest are ${or}`, nearest: near };
  if (form === 'lobe' || form === 'lobe-pin')
    return {
      reason: `no six-lobe T${size}: sizes are T${Object.keys(SIX_LOBE).join(', T')}`,
      nearest: Object.keys(SIX_LOBE)
        .sort((a, b) => Math.abs(Number(a) - Number(size)) - Math.abs(Number(b) - Number(size)))
        .slice(0, 2)
        .map((s) => typeShape({ form, size: s })),
    };
  if (form === 'square' && isInch(size))
    return {
      reason: `a square recess has the numbers 0 to 3; a square hole of ${size.replace('in', ' in')} takes the drive of a ratchet itself, which is not kept as a head`,
      nearest: [],
    };
  // With their form: `8` alone would be another head than the inside hex that was meant.
  const nearest = near.map((s) => typeShape({ form, size: s }));
  return { reason: `no ${FORM_WORDS[form]} of size ${size}${or ? `: nearest are ${or}` : ''}`, nearest };
}

interface Figure {
  token: Token;
  inches: boolean;
  from: number;
  to: number;
}
/** A figure and its own unit of length, when it has one. Other units make it a quantity, which is no size. */
function figureAt(tokens: readonly Token[], i: number): Figure | null {
  const token = tokens[i];
  if (token?.kind !== 'number') return null;
  const said = token.stops ? null : unitAt(tokens, i + 1);
  if (!said) return { token, inches: false, from: i, to: i + 1 };
  if (said.unit.kind !== 'length' || said.unit.sign === 'cm') return null;
  if (said.unit.sign === 'mm') return token.fraction ? null : { token, inches: false, from: i, to: said.to };
  // `in` behind a whole number and a blank is a word of its own unless an inch size is likely: `13 in the rack`.
  const spoken = tokens[i + 1];
  const free = spoken?.kind === 'word' && !spoken.glued && spoken.text === 'in';
  const likely = token.fraction !== null || token.decimals > 0 || token.value <= 2;
  if (free && (!likely || tokens[said.to]?.text === 'line')) return { token, inches: false, from: i, to: i + 1 };
  return { token, inches: true, from: i, to: said.to };
}

/** Whether a word hangs on the figure that makes it something else: `45nn`, `13x2`. */
const torn = (tokens: readonly Token[], to: number): boolean =>
  tokens[to]?.kind === 'word' && tokens[to]?.glued === true && tokens[to - 1]?.spelled !== true;

function sized(form: HeadForm, figure: Figure, wanted: ShapeWanted, to: number, said: boolean, maybe: boolean): SizeAt {
  const size = canonical(figure.token, figure.inches, form, wanted.inch);
  if (typeof size !== 'string') return { ok: false, reason: size.fault, nearest: [], to };
  if (!sizeExists(form, size)) return { ok: false, ...refusal(form, size), to };
  return { ok: true, head: { form, size }, to, said, plain: maybe, figure: [figure.from, figure.to] };
}

/** A form's word and then its figure: `inside hex 8`, `t30`, `12-point 10`, `six-lobe T30`. */
function formFirst(tokens: readonly Token[], i: number, wanted: ShapeWanted): SizeAt | null {
  const said = wanted.forms.at(tokens, i);
  if (!said) return null;
  const { form, plain: maybe, letter: single } = said.means;
  if (NO_SIZE.has(form))
    return { ok: true, head: { form, size: '' }, to: said.to, said: true, plain: maybe, figure: [i, said.to] };
  let place = said.to;
  // `T-30`, `slot-6`, `key of 5`, `key size 5`.
  const joint = tokens[place];
  if (joint?.kind === 'mark' && joint.text === '-') place++;
  else if (joint?.kind === 'word' && (joint.text === 'of' || joint.text === 'size')) place++;
  // `six-lobe T30`, `cross-recess PH2`: the letter says the form again.
  const again = single ? null : wanted.forms.at(tokens, place);
  const same = again !== null && (again.means.form === form || (form === 'lobe-pin' && again.means.form === 'lobe'));
  if (same) place = again.to;
  const figure = figureAt(tokens, place);
  if (!figure) return null;
  if (torn(tokens, figure.to) && tokens[figure.to]?.text !== 'x') return null;
  const pinned = form === 'lobe' && !figure.token.stops ? PINNED.at(tokens, figure.to) : null;
  return pinned
    ? sized('lobe-pin', figure, wanted, pinned.to, true, false)
    : sized(form, figure, wanted, figure.to, true, maybe);
}

/** A figure and then its form's word: `8mm inside hex`, `10 12pt`, `16 plug`. */
function figureFirst(tokens: readonly Token[], i: number, wanted: ShapeWanted): SizeAt | null {
  const figure = figureAt(tokens, i);
  if (!figure) return null;
  const last = tokens[figure.to - 1];
  const hyphen = tokens[figure.to]?.kind === 'mark' && tokens[figure.to]?.text === '-' ? 1 : 0;
  const said = last?.stops ? null : wanted.forms.at(tokens, figure.to + hyphen);
  if (said && !said.means.letter && !NO_SIZE.has(said.means.form)) {
    // `10 12pt 8`: the form belongs to the figure behind it.
    const behind = said.means.plain ? figureAt(tokens, said.to) : null;
    const read = sized(said.means.form, figure, wanted, said.to, true, said.means.plain);
    const hole = said.means.form === 'square' && figure.token.fraction !== null;
    if (!behind && (read.ok || !said.means.plain || hole)) return read;
  }
  if (torn(tokens, figure.to)) return null;
  return sized('hex', figure, wanted, figure.to, false, false);
}

/**
 * Reads one size from a token on, as riders say it: `10`, `10 mm hex`, `1/2in`, `½`, `i5`, `key 5`, `8 mm inside hex`, `t30`, `t30 pin`, `e10`,
 * `ph2`, `jis2`, `12pt 1/4`, `10 12-point`, `plug 16`, `16 plug`, `slot 6`, `flat 6`, `hook 45`, `spoke nipple 6`, `valve core`, `clip`.
 * @param i the token to begin at, from 0
 * @returns null where nothing like a size begins
 */
export function sizeAt(tokens: readonly Token[], i: number, wanted: ShapeWanted = PLAIN): SizeAt | null {
  // `six lobe`, `12 point`: the figure is a word of the form, not a size.
  const form = tokens[i]?.kind === 'number' ? wanted.forms.at(tokens, i) : null;
  return formFirst(tokens, i, wanted) ?? (form ? null : figureFirst(tokens, i, wanted));
}

/**
 * A bare figure as a size of a form that was said elsewhere; null where no figure stands.
 * @param i the token to look at, from 0
 */
export function figureAs(
  tokens: readonly Token[],
  i: number,
  form: HeadForm,
  wanted: ShapeWanted = PLAIN,
): SizeAt | null {
  const figure = figureAt(tokens, i);
  return figure && !torn(tokens, figure.to) ? sized(form, figure, wanted, figure.to, true, false) : null;
}

/** Reads a text that is one size and nothing else. */
export function parseShape(text: string, wanted: ShapeWanted = PLAIN): { head: Head } | { reason: string } {
  const trimmed = text.trim();
  const tokens = tokensOf(trimmed);
  const read = sizeAt(tokens, 0, wanted);
  if (!read)
    return {
      reason:
        trimmed === ''
          ? 'write a size: 10, 1/2in, i5, t30, ph2, plug 16'
          : `"${trimmed}" is no size: write 10, 1/2in, i5, t30, ph2, plug 16`,
    };
  if (!read.ok) return { reason: read.reason };
  const left = tokens[read.to];
  return left ? { reason: `"${trimmed.slice(left.start)}" is left over behind the size` } : { head: read.head };
}

/** What reading a size from the start of a text gave, and how many characters were used. */
export type SizeReading = { ok: true; head: Head; used: number } | { ok: false; reason: string; used: number };

/**
 * Reads one size from the start of a text.
 * @returns null when the text does not begin with anything like a size
 */
export function readSize(text: string): SizeReading | null {
  const tokens = tokensOf(text);
  const read = sizeAt(tokens, 0);
  const used = read ? (tokens[read.to - 1]?.end ?? text.length) : 0;
  if (!read) return null;
  return read.ok ? { ok: true, head: read.head, used } : { ok: false, reason: read.reason, used };
}
