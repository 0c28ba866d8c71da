import { spelledNumbers } from './numerals.js';
import type { Token } from './stretch.js';

export type { Token } from './stretch.js';

const SIGNS: Readonly<Record<string, readonly [number, number]>> = {
  '¼': [1, 4],
  '½': [1, 2],
  '¾': [3, 4],
  '⅛': [1, 8],
  '⅜': [3, 8],
  '⅝': [5, 8],
  '⅞': [7, 8],
};
const SIGN = `[${Object.keys(SIGNS).join('')}]`;
/** Whole inches before a fraction: `1 1/8`, `1-1/8`, `1½`. More than three are two sizes side by side. */
const MIXED = new RegExp(String.raw`([1-3])(?:[ -](\d{1,2})[/⁄](2|4|8|16|32|64)(?![\d/.,])|(?:[ -]?)(${SIGN}))`, 'uy');
const FRACTION = new RegExp(String.raw`(\d{1,3})[/⁄](\d{1,3})(?!\d)|(${SIGN})`, 'uy');
/** `8,10,12` is a list; `12,94` is a figure with a decimal comma. */
const NUMBER = /\d+(?:\.\d+|,\d+(?![\d]*,\d))?|[.,]\d+/uy;
const LISTED = /\d+,\d+,\d/uy;
const WORD = /[\p{L}\p{M}]+(?:['’][\p{L}\p{M}]+)*/uy;
const QUOTED = /"((?:[^"]|"")*)"|“([^”]*)”|„([^“”]*)[“”]|«([^»]*)»/uy;

/** One spelling for words that are written in several. */
const SPELLINGS: Readonly<Record<string, string>> = {
  tire: 'tyre',
  tires: 'tyres',
  meter: 'metre',
  meters: 'metres',
  millimeter: 'millimetre',
  millimeters: 'millimetres',
  centimeter: 'centimetre',
  centimeters: 'centimetres',
  caliper: 'calliper',
  aluminum: 'alloy',
  aluminium: 'alloy',
  pounds: 'pound',
  gray: 'grey',
  carburetor: 'carburettor',
};
const spelling = (word: string): string => {
  const small = word.toLowerCase().replaceAll('’', "'");
  return SPELLINGS[small] ?? small;
};

/** A pattern at one place of the line; `sticky` patterns keep no state between calls. */
function at(re: RegExp, line: string, i: number): RegExpExecArray | null {
  re.lastIndex = i;
  return re.exec(line);
}

type Plain = Omit<Token, 'start' | 'end' | 'glued' | 'stops'>;
const NO_NUMBER = { value: Number.NaN, fraction: null, decimals: 0, spelled: false };
const fractionOf = (n: number, of: number): Plain => ({
  kind: 'number',
  text: `${n}/${of}`,
  value: n / of,
  fraction: { n, of },
  decimals: 0,
  spelled: false,
});

/** The token that begins at a place, and how many characters it takes. */
function tokenAt(line: string, i: number, before: Token | null, listed: boolean): [Plain, number] {
  const quoted = before?.kind === 'number' ? null : at(QUOTED, line, i);
  if (quoted) {
    const inside = quoted[1] ?? quoted[2] ?? quoted[3] ?? quoted[4] ?? '';
    return [{ kind: 'quoted', text: inside.replaceAll('""', '"'), ...NO_NUMBER }, quoted[0].length];
  }
  const mixed = at(MIXED, line, i);
  if (mixed) {
    const [whole, n, of, sign] = [mixed[1], mixed[2], mixed[3], mixed[4]];
    const [a, b] = sign === undefined ? [Number(n), Number(of)] : (SIGNS[sign] ?? [0, 1]);
    if (a < b) return [fractionOf(Number(whole) * b + a, b), mixed[0].length];
  }
  const fraction = at(FRACTION, line, i);
  if (fraction) {
    const [n, of] =
      fraction[3] === undefined ? [Number(fraction[1]), Number(fraction[2])] : (SIGNS[fraction[3]] ?? [0, 1]);
    return [fractionOf(n, of), fraction[0].length];
  }
  const number = at(NUMBER, line, i);
  if (number) {
    // `x3,8nm` is a count and what follows: no count has decimals.
    const whole = ((before?.text === 'x' || listed) && number[0].includes(',')) || at(LISTED, line, i);
    const raw = whole ? (/^\d+/u.exec(number[0])?.[0] ?? number[0]) : number[0];
    const text = raw.replace(',', '.');
    const decimals = text.includes('.') ? text.length - text.indexOf('.') - 1 : 0;
    return [{ kind: 'number', text, ...NO_NUMBER, value: Number(text), decimals }, raw.length];
  }
  const word = at(WORD, line, i);
  if (word) return [{ kind: 'word', text: spelling(word[0]), ...NO_NUMBER }, word[0].length];
  const sign = String.fromCodePoint(line.codePointAt(i) ?? 0);
  const times = sign === '×' || sign === '✕';
  return [{ kind: times ? 'word' : 'mark', text: times ? 'x' : sign, ...NO_NUMBER }, sign.length];
}

const BLANK = /[\s,;]+/uy;

/**
 * Cuts a line into tokens: `13 M8 x 25`, `t30`, `1 1/8in`, `"Loose link"`, `twenty seven`.
 * @param line any text
 * @returns its tokens in order; blanks, commas and semicolons only part them
 */
export function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  let i = 0;
  while (i < line.length) {
    const blank = at(BLANK, line, i);
    if (blank) {
      const last = tokens.at(-1);
      if (last && /[,;]/u.test(blank[0])) last.stops = true;
      i += blank[0].length;
      continue;
    }
    const before = tokens.at(-1);
    const glued = before !== undefined && before.end === i;
    // The second figure of `8,10,12` is one of a list too.
    const listed = before?.kind === 'number' && before.stops && line[i - 1] === ',';
    const [plain, used] = tokenAt(line, i, glued ? before : null, listed);
    tokens.push({ ...plain, start: i, end: i + used, glued, stops: false });
    i += used;
  }
  return spelledNumbers(tokens);
}

/**
 * The line between two tokens, both included, with single blanks.
 * @param from numbers of tokens
 * @param to numbers of tokens
 */
export const rawOf = (line: string, tokens: readonly Token[], from: number, to: number): string => {
  const [first, last] = [tokens[from], tokens[to - 1]];
  return first && last ? line.slice(first.start, last.end).replace(/\s+/gu, ' ') : '';
};
