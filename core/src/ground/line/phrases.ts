import { tokensOf, type Token } from './token.js';

/** A word of a rider's own and the term of a vocabulary that it stands for. */
export interface OwnWord {
  said: string;
  means: string;
}

/** Singular of a word, so that `spanners` finds `spanner`. Words of three letters and those in `ss` stay. */
const stem = (word: string): string => {
  if (/(?:ch|sh|x|ss)es$/u.test(word)) return word.slice(0, -2);
  return word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
};

/** Signs that may stand inside a phrase: `u-joint`, `n·m`, `lb.ft`, `end/open`. */
const JOINTS = new Set(['-', '·', '.', '–', '‑']);

const keyOf = (token: Token): string => (token.kind === 'word' ? stem(token.text) : token.text);
const counts = (token: Token): boolean => token.kind === 'word' || token.kind === 'number';

interface Entry<T> {
  means: T;
  keys: readonly string[];
}
/** What stands at a place of a line: its meaning and the first token behind it. */
export interface PhraseAt<T> {
  means: T;
  to: number;
}

/** Phrases of one or more words and what they mean; the longest that stands at a place counts. */
export class Phrasebook<T> {
  private readonly byFirst = new Map<string, Entry<T>[]>();

  /** @param table each meaning with the phrases that say it, parted by `|`; figures are written as figures */
  constructor(table: readonly (readonly [means: T, phrases: string])[]) {
    for (const [means, phrases] of table) for (const phrase of phrases.split('|')) this.add(means, phrase);
  }

  private add(means: T, phrase: string): void {
    const keys = tokensOf(phrase).filter(counts).map(keyOf);
    const [first] = keys;
    if (first === undefined) return;
    const list = this.byFirst.get(first) ?? [];
    list.push({ means, keys });
    this.byFirst.set(
      first,
      list.sort((a, b) => b.keys.length - a.keys.length),
    );
  }

  /** The same book with a rider's own words; `termOf` says what a word stands for in this book, null where it is none of it. */
  with(own: readonly OwnWord[], termOf: (means: string) => T | null): Phrasebook<T> {
    const book = new Phrasebook<T>([]);
    for (const [first, list] of this.byFirst) book.byFirst.set(first, [...list]);
    for (const word of own) {
      const means = termOf(word.means);
      if (means !== null) book.add(means, word.said);
    }
    return book;
  }

  /** The longest phrase that begins at a token, or null. */
  at(tokens: readonly Token[], i: number): PhraseAt<T> | null {
    const first = tokens[i];
    if (!first || !counts(first)) return null;
    for (const { means, keys } of this.byFirst.get(keyOf(first)) ?? []) {
      const to = ends(tokens, i, keys);
      if (to !== null) return { means, to };
    }
    return null;
  }
}

/** The token behind a phrase's words, when they stand there one by one. */
function ends(tokens: readonly Token[], from: number, keys: readonly string[]): number | null {
  let i = from;
  for (const [n, key] of keys.entries()) {
    let token = tokens[i];
    if (n > 0 && token?.kind === 'mark' && token.glued && JOINTS.has(token.text)) token = tokens[++i];
    if (!token || !counts(token) || keyOf(token) !== key) return null;
    if (token.stops && n < keys.length - 1) return null;
    i++;
  }
  return i;
}
