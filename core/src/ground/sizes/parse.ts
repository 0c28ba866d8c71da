import { inchText, SIX_LOBE } from './tables.js';
import { FORM_WORDS, isInch, millimetres, nearestSizes, sizeExists, type Head, type HeadForm } from './shape.js';

/** What reading a size gave: the head, or why it cannot be one, and how many characters were used either way. */
export type SizeReading = { ok: true; head: Head; used: number } | { ok: false; reason: string; used: number };

const SIGNS: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const N = String.raw`(\d+(?:[.,]\d+)?)`;
const FRACTION = String.raw`(?:(\d+)[ -])?(\d+)[/⁄](\d+)`;
const INCH = String.raw`(?: ?(?:inch|in|"|″))?`;
const END = String.raw`(?![\w/]|[.,]\d)`;
const at = (source: string) => new RegExp(`^(?:${source})${END}`, 'iu');

const SIZE = String.raw`(?:${FRACTION}${INCH}|${N}(?: ?(mm|inch|in|"|″))?)`;
/** Forms written with a word or letters first. Order matters: the longer word before the shorter. */
const FORMS: { form: HeadForm; re: RegExp }[] = [
  { form: 'hex12', re: at(String.raw`12 ?(?:pt|point) ?${SIZE}`) },
  { form: 'key', re: at(String.raw`(?:inside hex|inside|key|i) ?${SIZE}`) },
  { form: 'lobe-pin', re: at(String.raw`(?:tp|tr) ?${N}`) },
  { form: 'lobe-pin', re: at(String.raw`t ?${N} ?(?:pin(?:ned)?)`) },
  { form: 'lobe', re: at(String.raw`t ?${N}`) },
  { form: 'lobe-out', re: at(String.raw`e ?${N}`) },
  { form: 'ph', re: at(String.raw`ph ?${N}`) },
  { form: 'jis', re: at(String.raw`jis ?${N}`) },
  { form: 'square', re: at(String.raw`sq(?:uare)? ?${N}`) },
  { form: 'slot', re: at(String.raw`slot ?${N}(?: ?mm)?`) },
  { form: 'hook', re: at(String.raw`hook ?${N}(?: ?mm)?`) },
  { form: 'spoke', re: at(String.raw`spoke ?${N}(?: ?mm)?`) },
  { form: 'plug', re: at(String.raw`plug ?${SIZE}`) },
  { form: 'hex', re: at(String.raw`hex ?${SIZE}`) },
  { form: 'hex', re: at(String.raw`${SIZE} ?hex`) },
  { form: 'hex', re: at(SIZE) },
];
const WORDS: { form: HeadForm; re: RegExp }[] = [
  { form: 'valve', re: at('valve core') },
  { form: 'clip', re: at('clip|pin') },
];

/** Canonical size from the groups of SIZE, or from a single number. */
function sizeFrom(m: RegExpExecArray): { size: string; reason?: string } {
  if (m[2] !== undefined && m[3] !== undefined && m.length > 4) {
    const of = Number(m[3]);
    const n = Number(m[1] ?? 0) * of + Number(m[2]);
    if (![2, 4, 8, 16, 32, 64].includes(of))
      return {
        size: `${m[2]}/${m[3]}in`,
        reason: `inch sizes go by halves to 64ths, not by ${m[3]}ths`,
      };
    return { size: inchText(n, of) };
  }
  const raw = (m.length > 4 ? m[4] : m[1]) ?? '';
  const unit = m.length > 4 ? m[5] : undefined;
  const value = Number(raw.replace(',', '.'));
  if (unit && unit !== 'mm') {
    const sixtyFourths = value * 64;
    if (Math.abs(sixtyFourths - Math.round(sixtyFourths)) > 0.05)
      return { size: raw, reason: `${raw} in is not a standard inch size` };
    return { size: inchText(Math.round(sixtyFourths), 64) };
  }
  return { size: String(value) };
}

function refuse(form: HeadForm, size: string): string {
  const mm = millimetres(size);
  const near = nearestSizes(form, mm, isInch(size)).join(' or ');
  if (form === 'hex' && !Number.isInteger(mm) && !isInch(size))
    return `${size} is a reading, not a size: nearest are ${near}`;
  if (form === 'lobe' || form === 'lobe-pin')
    return `no six-lobe T${size}: sizes are T${Object.keys(SIX_LOBE).join(', T')}`;
  return `no ${FORM_WORDS[form]} of size ${size}${near ? `: nearest are ${near}` : ''}`;
}

/**
 * Reads one size from the start of a text, as riders say it: `10`, `10 mm hex`, `1/2in`, `½`, `i5`, `key 5`, `t30`,
 * `t30 pin`, `e10`, `ph2`, `jis2`, `sq2`, `12pt 1/4`, `plug 16`, `slot 6`, `hook 45`, `spoke 6`, `valve core`, `clip`.
 * @param words whether the plain words (`clip`, `pin`, `valve core`) count; inside a name they do not
 * @returns null when the text does not begin with anything like a size
 */
export function readSize(text: string, words = true): SizeReading | null {
  // One-character fraction signs become text; the mapping back of lengths is kept by counting what was replaced.
  let plain = '';
  const lengths: number[] = [];
  for (const ch of text) {
    const sign = SIGNS[ch];
    const out = sign ? (/\d$/.test(plain) ? ` ${sign}` : sign) : ch;
    plain += out;
    for (let i = 0; i < out.length; i++) lengths.push(i === out.length - 1 ? ch.length : 0);
  }
  const used = (n: number) => lengths.slice(0, n).reduce((a, b) => a + b, 0);
  for (const { form, re } of words ? WORDS : []) {
    const m = re.exec(plain);
    if (m) return { ok: true, head: { form, size: '' }, used: used(m[0].length) };
  }
  for (const { form, re } of FORMS) {
    const m = re.exec(plain);
    if (!m) continue;
    const { size, reason } = sizeFrom(m);
    if (reason) return { ok: false, reason, used: used(m[0].length) };
    if (!sizeExists(form, size)) return { ok: false, reason: refuse(form, size), used: used(m[0].length) };
    return { ok: true, head: { form, size }, used: used(m[0].length) };
  }
  return null;
}

/** Reads a text that is one size and nothing else. */
export function parseShape(text: string): { head: Head } | { reason: string } {
  const trimmed = text.trim();
  const reading = readSize(trimmed);
  if (!reading) return { reason: `"${trimmed}" is no size: write 10, 1/2in, i5, t30, ph2, plug 16` };
  if (!reading.ok) return { reason: reading.reason };
  if (reading.used < trimmed.length)
    return { reason: `"${trimmed.slice(reading.used).trim()}" is left over behind the size` };
  return { head: reading.head };
}
