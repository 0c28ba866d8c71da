import type { Token } from './stretch.js';

/** Numbers said in words, as dictation writes them down: `twenty seven`, `three eighths`, `one and an eighth`, `ten point five`. */
const UNITS: Readonly<Record<string, number>> = {
  nought: 0,
  zero: 0,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
};
const TENS: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const PARTS: Readonly<Record<string, number>> = {
  half: 2,
  halves: 2,
  quarter: 4,
  quarters: 4,
  fourth: 4,
  fourths: 4,
  eighth: 8,
  eighths: 8,
  sixteenth: 16,
  sixteenths: 16,
  thirtysecond: 32,
  thirtyseconds: 32,
};

interface Said {
  value: number;
  fraction: Token['fraction'];
  decimals: number;
  /** Tokens used. */
  used: number;
}

/** Text of a token that is a word, else nothing. A hyphen between two number words (`twenty-seven`) is skipped. */
const wordAt = (tokens: readonly Token[], i: number): string => {
  const token = tokens[i];
  return token?.kind === 'word' ? token.text : '';
};
const behindHyphen = (tokens: readonly Token[], i: number): number =>
  tokens[i]?.kind === 'mark' && tokens[i]?.text === '-' && tokens[i]?.glued ? i + 1 : i;

/** A whole number below a thousand, said in words. */
function wholeAt(tokens: readonly Token[], i: number): Said | null {
  const first = wordAt(tokens, i);
  const made = (value: number, used: number): Said => ({ value, fraction: null, decimals: 0, used });
  if (first in TENS) {
    const next = behindHyphen(tokens, i + 1);
    const unit = UNITS[wordAt(tokens, next)];
    const tens = TENS[first] ?? 0;
    return unit !== undefined && unit > 0 && unit < 10 ? made(tens + unit, next + 1 - i) : made(tens, 1);
  }
  const unit = UNITS[first];
  if (unit === undefined) return null;
  if (unit > 0 && unit < 10 && wordAt(tokens, i + 1) === 'hundred') {
    const and = wordAt(tokens, i + 2) === 'and' ? 3 : 2;
    const rest = wholeAt(tokens, i + and);
    return rest && rest.value < 100 ? made(unit * 100 + rest.value, and + rest.used) : made(unit * 100, 2);
  }
  return made(unit, 1);
}

/** A fraction said in words from its first word: `half`, `a half`, `three eighths`, `a quarter`. */
function fractionAt(tokens: readonly Token[], i: number): Said | null {
  const first = wordAt(tokens, i);
  const article = first === 'a' || first === 'an';
  const n = article ? 1 : first in PARTS ? 1 : UNITS[first];
  const place = article || !(first in PARTS) ? behindHyphen(tokens, i + 1) : i;
  const of = PARTS[wordAt(tokens, place)];
  if (n === undefined || of === undefined || n >= of) return null;
  return { value: n / of, fraction: { n, of }, decimals: 0, used: place + 1 - i };
}

function saidAt(tokens: readonly Token[], i: number): Said | null {
  const alone = fractionAt(tokens, i);
  if (alone) return alone;
  const whole = wholeAt(tokens, i);
  if (!whole) return null;
  const next = i + whole.used;
  if (wordAt(tokens, next) === 'and') {
    const part = fractionAt(tokens, next + 1);
    if (part?.fraction && whole.value < 4) {
      const { n, of } = part.fraction;
      return {
        value: whole.value + n / of,
        fraction: { n: whole.value * of + n, of },
        decimals: 0,
        used: whole.used + 1 + part.used,
      };
    }
  }
  if (wordAt(tokens, next) === 'point') {
    const digit = UNITS[wordAt(tokens, next + 1)];
    if (digit !== undefined && digit < 10)
      return { value: whole.value + digit / 10, fraction: null, decimals: 1, used: whole.used + 2 };
  }
  return whole;
}

/** Joins number words into number tokens. A word that is no number stays one. */
export function spelledNumbers(tokens: readonly Token[]): Token[] {
  const out: Token[] = [];
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i];
    if (!token) continue;
    const said = token.kind === 'word' ? saidAt(tokens, i) : null;
    const last = said ? tokens[i + said.used - 1] : undefined;
    if (!said || !last) {
      out.push(token);
      continue;
    }
    out.push({
      ...token,
      end: last.end,
      kind: 'number',
      text: said.fraction ? `${said.fraction.n}/${said.fraction.of}` : String(said.value),
      value: said.value,
      fraction: said.fraction,
      decimals: said.decimals,
      spelled: true,
      stops: last.stops,
    });
    i += said.used - 1;
  }
  return out;
}
