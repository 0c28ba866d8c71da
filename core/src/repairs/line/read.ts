import {
  Phrasebook,
  quantityAt,
  quoted,
  rawOf,
  rewritten,
  tokensOf,
  type LineReading,
  type PhraseAt,
  type Token,
} from '../../ground/line/index.js';
import { cut, MOST_LINE } from '../../ground/text.js';
import { readTools, type ReadTool, type ToolContext } from '../../toolbox/line/index.js';
import { COUNT_BEFORE, COUNT_BEHIND, DOZENS, FILLERS } from '../../toolbox/line/words.js';
import { KNOWN, type SupplyBook } from '../supplies/book.js';
import { spareBook } from './words.js';

/** A spare or supply of a line. */
export interface ReadSpare {
  kind: string;
  quantity: number;
  note: string;
}
export type ReadItem = { at: 'tool'; tool: ReadTool } | { at: 'spare'; spare: ReadSpare };
/** What a line makes for the toolbox and for the spares, and how each of its stretches was understood. */
export interface ItemReading extends LineReading {
  items: ReadItem[];
}
export interface ItemContext extends ToolContext {
  book?: SupplyBook;
}

const whole = (t: Token | undefined): t is Token =>
  t?.kind === 'number' && t.fraction === null && Number.isInteger(t.value) && t.value >= 0;
const isX = (t: Token | undefined): boolean => t?.kind === 'word' && t.text === 'x';

/** A count of spares from a token on: `x20`, `20 x`, `a dozen`, `2 m`, `0.5 litre`. */
function countAt(tokens: readonly Token[], i: number): { n: number; to: number } | null {
  const dozen = DOZENS.at(tokens, i);
  if (dozen) return { n: dozen.means, to: dozen.to };
  const [a, b] = [tokens[i], tokens[i + 1]];
  if (isX(a) && whole(b)) return { n: b.value, to: i + 2 };
  const before = COUNT_BEFORE.at(tokens, i);
  const figure = before ? tokens[before.to] : undefined;
  if (before && whole(figure)) return { n: figure.value, to: before.to + 1 };
  if (!whole(a)) return null;
  const behind = COUNT_BEHIND.at(tokens, i + 1);
  if (behind) return { n: a.value, to: behind.to };
  return isX(b) ? { n: a.value, to: i + 2 } : null;
}

/** Metres, for what is counted by the metre. */
const METRES = new Phrasebook<true>([[true, 'm|metre|m of|metre of']]);
const PLUG_SIZES = ['14', '16', '18', '19', '20.8', '21'];

/** One stretch of a line as a spare: its kind, how many, and what else is said of it, which stays as a note. */
class SpareReader {
  readonly reading: ItemReading = { items: [], parts: [], asks: [], faults: [] };
  private quantity: number | null = null;
  private readonly notes: string[] = [];

  constructor(
    private readonly line: string,
    private readonly tokens: readonly Token[],
    private readonly book: SupplyBook,
  ) {}

  private place(from: number, to: number): { start: number; end: number } {
    return { start: this.tokens[from]?.start ?? this.line.length, end: this.tokens[to - 1]?.end ?? this.line.length };
  }
  private raw(from: number, to: number): string {
    return rawOf(this.line, this.tokens, from, to);
  }
  private part(from: number, to: number, what: string, says: string): void {
    this.reading.parts.push({ ...this.place(from, to), what, says, others: [] });
  }
  private ask(from: number, to: number, question: string, answers: readonly (readonly [string, string])[]): void {
    const { start, end } = this.place(from, to);
    const options = answers.map(([says, text]) => ({ says, line: rewritten(this.line, start, end, text) }));
    this.reading.asks.push({ start, end, question, options, word: null });
  }
  private count(from: number, to: number, n: number): void {
    this.quantity = n;
    this.part(from, to, 'count', `×${n}`);
  }

  read(from: number, to: number): ItemReading {
    const phrases = spareBook(this.book);
    let hit: PhraseAt<readonly string[]> | null = null;
    let at = from;
    for (; at < to && !hit; at++) hit = phrases.at(this.tokens, at);
    if (!hit) return this.reading;
    const [kind] = hit.means;
    at--;
    if (kind === undefined) return this.reading;
    this.before(from, at, kind);
    this.behind(at, hit.to, to, kind);
    if (hit.means.length > 1) {
      const names = hit.means.map((k) => this.book.of(k).name);
      this.ask(
        at,
        hit.to,
        `Which “${this.raw(at, hit.to)}”?`,
        names.map((n) => [n, n.replaceAll(',', '')] as const),
      );
      return this.reading;
    }
    this.part(at, hit.to, 'spare', this.book.of(kind).name);
    const quantity = this.quantity ?? 1;
    if (quantity > 1000)
      this.reading.faults.push({
        ...this.place(at, hit.to),
        message: 'a garage holds up to 1000 of a spare',
        options: [],
      });
    else this.reading.items.push({ at: 'spare', spare: { kind, quantity, note: cut(this.notes.join(' '), 2000) } });
    return this.reading;
  }

  /** `20 cable ties`, `2 m of wire`, `a dozen fuses`: a figure right before the kind counts it. */
  private before(from: number, until: number, kind: string): void {
    let i = from;
    while (i < until) {
      const count = countAt(this.tokens, i);
      if (count && count.to <= until) {
        this.count(i, count.to, count.n);
        i = count.to;
        continue;
      }
      const token = this.tokens[i];
      const metres = METRES.at(this.tokens, i + 1);
      if (whole(token) && metres && this.book.of(kind).unit === 'metre') {
        this.count(i, metres.to, token.value);
        i = metres.to;
        continue;
      }
      const filler = FILLERS.at(this.tokens, i);
      if (filler) {
        i = filler.to;
        continue;
      }
      if (whole(token) && this.onlyFillers(i + 1, until)) {
        this.count(i, i + 1, token.value);
        i++;
        continue;
      }
      i = this.note(i, until);
    }
  }
  private onlyFillers(from: number, until: number): boolean {
    let i = from;
    while (i < until) {
      const filler = FILLERS.at(this.tokens, i);
      if (!filler) return false;
      i = filler.to;
    }
    return true;
  }

  /** `cable ties x20`, `patches 6`: behind a kind in the plural a bare figure counts; behind one thing it may be its size. */
  private behind(at: number, from: number, until: number, kind: string): void {
    const plural = (this.tokens[from - 1]?.text ?? '').endsWith('s');
    let i = from;
    while (i < until) {
      const count = countAt(this.tokens, i);
      const token = this.tokens[i];
      const metres = METRES.at(this.tokens, i + 1);
      if (count && count.to <= until && this.quantity === null) {
        this.count(i, count.to, count.n);
        i = count.to;
      } else if (whole(token) && metres && this.book.of(kind).unit === 'metre' && this.quantity === null) {
        this.count(i, metres.to, token.value);
        i = metres.to;
      } else if (whole(token) && this.quantity === null && !this.tokens[i + 1]?.glued && !quantityAt(this.tokens, i)) {
        if (plural) this.count(i, i + 1, token.value);
        else this.figure(at, i, kind);
        i++;
      } else i = this.note(i, until);
    }
  }
  private figure(at: number, i: number, kind: string): void {
    const n = this.tokens[i]?.text ?? '';
    if (kind === 'spark plug' && PLUG_SIZES.includes(n)) {
      this.ask(at, i + 1, `What is “${this.raw(at, i + 1)}”?`, [
        [`plug spanner ${n}`, `plug spanner ${n}`],
        [`plug socket ${n}`, `plug socket ${n}`],
        ['a spare spark plug', `spark plug x1 ${quoted(`hex ${n}`)}`],
      ]);
      return;
    }
    this.ask(i, i + 1, `What is “${n}”?`, [
      [`${n} of them`, `x${n}`],
      ['a note', quoted(n)],
    ]);
  }

  /** Words beside the kind stay with it as a note, in one stretch. */
  private note(from: number, until: number): number {
    let to = from + 1;
    while (to < until && !countAt(this.tokens, to) && this.tokens[to]?.kind !== 'number') to++;
    if (this.onlyFillers(from, to)) return to;
    const only = to === from + 1 ? this.tokens[from] : undefined;
    const words = only?.kind === 'quoted' ? only.text : this.raw(from, to);
    if (/[\p{L}\p{N}]/u.test(words)) {
      this.notes.push(words);
      this.part(from, to, 'note', words);
    }
    return to;
  }
}

/**
 * Reads one line of whatever a rider owns: tools into the toolbox, spares and supplies to the spares. `socket 3/8 14, 20 cable ties and a tow strap`
 * makes two tools and one spare.
 * @param line the text as typed
 * @param context the units shown, the rider's own words, the garage's kinds of spare
 */
export function readItems(line: string, context: ItemContext = {}): ItemReading {
  const book = context.book ?? KNOWN;
  const phrases = spareBook(book);
  const tools = readTools(line, { ...context, elsewhere: phrases });
  const { parts, asks, faults } = tools;
  const items: ReadItem[] = tools.tools.map((tool) => ({ at: 'tool', tool }));
  if (line.length > MOST_LINE) return { items: [], parts, asks, faults };
  const tokens = tokensOf(line);
  for (const { from, to } of tools.spares) {
    const read = new SpareReader(line, tokens, book).read(from, to);
    items.push(...read.items);
    parts.push(...read.parts);
    asks.push(...read.asks);
    faults.push(...read.faults);
  }
  parts.sort((a, b) => a.start - b.start || a.end - b.end);
  return asks.length + faults.length > 0 ? { items: [], parts, asks, faults } : { items, parts, asks, faults };
}

/** Whether what a line says can be added as it stands. */
export const itemsComplete = (reading: ItemReading): boolean =>
  reading.items.length > 0 && reading.asks.length === 0 && reading.faults.length === 0;
