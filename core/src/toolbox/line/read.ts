import {
  quoted,
  Phrasebook,
  rewritten,
  tokensOf,
  type LineOption,
  type LineReading,
  type OwnWord,
  type Token,
} from '../../ground/line/index.js';
import { present } from '../../ground/numbers.js';
import { cut, MOST_LINE } from '../../ground/text.js';
import { printShape, sizeExists } from '../../ground/sizes/index.js';
import { pliers } from '../kinds/index.js';
import type { PieceModel } from '../tools/piece.js';
import { bareTool } from './bareTool.js';
import { Bench, partOf, Stop, WHOLE, type Open } from './bench.js';
import { booksOf, elementsOf, type Books, type Element } from './elements.js';
import { kindBook, kindOf } from './kindBook.js';
import { saidOf, type SaidOfTool } from './said.js';
import { exactSet, exactTool, setModels, setsLike, shelfTool } from './shelf.js';
import { thing } from './thing.js';
import { NOTE, type KindTerm, type Named } from './words.js';

/** One tool of a line, ready to be put into a toolbox. */
export interface ReadTool {
  model: PieceModel;
  said: SaidOfTool;
  /** The set that it comes in; null for a tool of its own. */
  set: string | null;
}
/** What a line makes, and how each of its stretches was understood. Nothing may be added while something is asked or at fault. */
export interface ToolReading extends LineReading {
  tools: ReadTool[];
  /** Stretches that speak of no tool but of something known elsewhere: first token and the one behind. */
  spares: { from: number; to: number }[];
}
export interface ToolContext {
  /** Whether inches are shown. */
  inch?: boolean;
  own?: readonly OwnWord[];
  /** Words for what is no tool: spares and supplies. */
  elsewhere?: Phrasebook<unknown>;
}

const isNamed = (kind: KindTerm): kind is Named => typeof kind === 'object';

/** The stretch of a line that speaks of one tool, or of several of one kind. */
interface Segment {
  from: number;
  to: number;
  /** Whether it speaks of a spare. */
  spare: boolean;
}

interface KindAt {
  from: number;
  to: number;
  plural: boolean;
  /** Whether it is no tool's. */
  spare: boolean;
}
/** Where kinds stand in a line. Of a tool's words and a spare's the longer counts: `spark plug socket` is a tool, `brake lever` none. */
function kindsIn(tokens: readonly Token[], books: Books, elsewhere: Phrasebook<unknown> | undefined): KindAt[] {
  const out: KindAt[] = [];
  for (let i = 0; i < tokens.length;) {
    const tool = books.kinds.at(tokens, i);
    const other = elsewhere?.at(tokens, i) ?? null;
    const spare = other !== null && (tool === null || other.to > tool.to);
    const to = spare ? other.to : tool?.to;
    if (to !== undefined) out.push({ from: i, to, plural: (tokens[to - 1]?.text ?? '').endsWith('s'), spare });
    i = to ?? i + 1;
  }
  return out;
}
const JOINS = new Set(['and', 'plus', '+', '&']);

/**
 * Cuts a line at commas and `and` where what follows has a kind of its own: `ratchet 3/8, extension 100` are two tools, `ring 12 and 13` is one,
 * and `8, 10 and 12 sockets` is one stretch of several.
 */
function segmentsOf(
  tokens: readonly Token[],
  until: number,
  books: Books,
  elsewhere: Phrasebook<unknown> | undefined,
): Segment[] {
  const kinds = kindsIn(tokens.slice(0, until), books, elsewhere);
  // What is called by its name alone runs to the end: `thing towel to pad`.
  const own = tokens[0] && books.kinds.at(tokens, 0)?.means;
  if (own === 'thing' || own === 'made') return [{ from: 0, to: until, spare: false }];
  const inside = (i: number) => kinds.some((k) => k.from < i && i < k.to);
  const cuts = [0];
  for (let i = 1; i < until; i++) {
    const before = tokens[i - 1];
    const joined = before !== undefined && JOINS.has(before.text) && i > 1;
    if ((before?.stops || joined) && !inside(i)) cuts.push(i);
  }
  // A spare beside anything else is a thing of its own, with the figure that counts it: `tyre lever 6 patches`.
  for (const [n, kind] of kinds.entries()) {
    const last = kinds[n - 1];
    if (!last || (!kind.spare && !last.spare)) continue;
    const counted = kind.from > last.to && tokens[kind.from - 1]?.kind === 'number';
    cuts.push(counted ? kind.from - 1 : kind.from);
  }
  cuts.sort((a, b) => a - b);
  const has = (s: Segment) => kinds.find((k) => s.from <= k.from && k.to <= s.to);
  const spare = (s: Segment): Segment => ({ ...s, spare: has(s)?.spare ?? false });
  const out: Segment[] = [];
  for (const [n, from] of cuts.entries()) {
    if (cuts[n + 1] === from) continue;
    const segment: Segment = { from, to: cuts[n + 1] ?? until, spare: false };
    const last = out.at(-1);
    const [kind, before] = [has(segment), last && has(last)];
    if (last && (!kind || (!before && kind.plural && !kind.spare))) last.to = segment.to;
    else out.push(segment);
  }
  // A joining word at the end of a stretch says nothing of it.
  return out.map((s) =>
    spare(JOINS.has(tokens[s.to - 1]?.text ?? '') && s.to - s.from > 1 ? { ...s, to: s.to - 1 } : s),
  );
}

class SegmentReader {
  readonly reading: ToolReading = { tools: [], spares: [], parts: [], asks: [], faults: [] };

  constructor(
    private readonly line: string,
    private readonly tokens: readonly Token[],
    private readonly segment: Segment,
    private readonly books: Books,
  ) {}

  private place = (e: Element): { start: number; end: number } => ({
    start: this.tokens[e.from]?.start ?? this.line.length,
    end: this.tokens[e.to - 1]?.end ?? this.line.length,
  });
  private get whole(): { start: number; end: number } {
    return {
      start: this.tokens[this.segment.from]?.start ?? 0,
      end: this.tokens[this.segment.to - 1]?.end ?? this.line.length,
    };
  }
  private raw(e: { from: number; to: number }): string {
    const [a, b] = [this.tokens[e.from], this.tokens[e.to - 1]];
    return a && b ? this.line.slice(a.start, b.end).replace(/\s+/gu, ' ') : '';
  }
  private option = (e: Element, says: string, text: string): LineOption => {
    const { start, end } = this.place(e);
    return { says, line: rewritten(this.line, start, end, text) };
  };

  read(): ToolReading {
    const elements = elementsOf(this.line, this.tokens, this.segment.from, this.segment.to, this.books);
    const counted = this.counted(elements);
    const bench = counted ?? new Bench(elements);
    try {
      this.make(bench);
    } catch (error) {
      if (!(error instanceof Stop)) throw error;
      this.open(error.open);
    }
    for (const u of bench.understood) if (u.says !== '') this.reading.parts.push(partOf(u, this.place, this.option));
    return this.reading;
  }

  /** `2 tyre levers`, `three t30 bits`: a figure before a kind in the plural counts them, when they can be made without it. */
  private counted(elements: readonly Element[]): Bench | null {
    const [first, second] = elements;
    const kind = elements.find((e) => e.at === 'kind');
    if (first?.at !== 'figure' || first.unit !== null || first.token.fraction || !Number.isInteger(first.token.value))
      return null;
    if (!kind?.plural || first.token.value > 50 || second?.at === 'figure' || second?.at === 'drive') return null;
    const rest = elements.slice(1);
    const count: Element = { at: 'count', from: first.from, to: first.to, n: first.token.value };
    try {
      const trial = new SegmentReader(this.line, this.tokens, this.segment, this.books);
      trial.make(new Bench(rest));
      return trial.reading.tools.length > 0 && trial.reading.asks.length === 0 ? new Bench([count, ...rest]) : null;
    } catch (error) {
      if (!(error instanceof Stop)) throw error;
      // `2 spanners`: no size is so small, and which spanners they are is asked.
      const inside = !isNamed(kind.kind) && FLEXIBLE.has(kind.kind);
      const size = sizeExists(inside ? 'key' : 'hex', first.token.text);
      return error.open.refusal || size ? null : new Bench([count, ...rest]);
    }
  }

  private open({ about, text, answers, refusal }: Open): void {
    const element = about === WHOLE || about === null ? null : about;
    const { start, end } = element ? this.place(element) : this.whole;
    const options = answers.map(([says, answer]) => ({
      says,
      line:
        about === null
          ? rewritten(this.line, this.whole.end, this.whole.end, ` ${answer}`)
          : rewritten(this.line, start, end, answer),
    }));
    const at = about === null ? { start: this.whole.end, end: this.whole.end } : { start, end };
    if (refusal) this.reading.faults.push({ ...at, message: text, options });
    else this.reading.asks.push({ ...at, question: text, options, word: null });
  }

  private make(b: Bench): void {
    const said = saidOf(b);
    const kinds = b.rest('kind');
    const lever = kinds.find((k) => k.kind === 'lever');
    const main = lever ?? kinds[0];
    if (main && (main.kind === 'thing' || main.kind === 'made')) return this.thing(b, main, said);
    if (b.rest('modifier').some((m) => m.modifier === 'set') && this.sets(b, main)) return;
    const second = kinds.find((k) => k !== main && !(lever && k.kind === 'ring'));
    if (main && second) {
      const { start } = this.place(second);
      this.reading.asks.push({
        ...this.place(second),
        question: `Two kinds of tool: “${this.raw(main)}” and “${this.raw(second)}”?`,
        options: [
          { says: 'two tools', line: rewritten(this.line, start, start, ', ').replace(/ ,/gu, ',') },
          {
            says: `“${this.raw(second)}” is part of the name`,
            line: this.option(second, '', quoted(this.raw(second))).line,
          },
        ],
        word: null,
      });
    }
    const models = main ? this.made(b, main) : this.bare(b);
    const name = this.left(b, main?.kind ?? null);
    for (const model of models)
      this.reading.tools.push({
        model: name === '' ? model : { ...model, name: cut(`${model.name}, ${name}`, 110) },
        said,
        set: null,
      });
  }

  private made(b: Bench, main: Extract<Element, { at: 'kind' }>): PieceModel[] {
    const { kind } = main;
    if (isNamed(kind)) return [this.named(b, main, kind)];
    const { title, make } = present(kindOf(kind));
    b.take(main, 'tool', title);
    return make(b);
  }

  /** A tool that is called by its name: a figure in the line picks among its sizes. */
  private named(b: Bench, main: Extract<Element, { at: 'kind' }>, { names, sure }: Named): PieceModel {
    const figure = b.rest('figure').find((f) => f.token.fraction === null);
    const has = (name: string, word: string) => tokensOf(name).some((t) => t.text === word);
    const bySize = figure && names.find((n) => has(n, figure.token.text));
    const words = b.elements.filter((e) => e.at === 'attribute').map((e) => this.raw(e).toLowerCase());
    const byWord = names.find((n) => words.some((w) => has(n, w)));
    const hit = bySize ?? byWord ?? (sure ? names[0] : undefined);
    if (names.length === 0)
      throw new Stop({
        about: WHOLE,
        text: `the catalogue has no ${this.raw(main)}: it can be kept by its name, or made under “Make a tool”`,
        answers: [[`something else, called “${this.raw(this.segment)}”`, `thing ${this.raw(this.segment)}`]],
        refusal: true,
      });
    if (hit === undefined) {
      const text = (n: string) => n.replaceAll(',', '');
      throw new Stop({
        about: main,
        text: `Which “${this.raw(main)}”?`,
        answers: names.map((n) => [n, text(n)] as const),
        refusal: false,
      });
    }
    const others = bySize ? [] : names.filter((n) => n !== hit).map((n) => [n, n.replaceAll(',', '')] as const);
    b.take(main, 'tool', hit, others);
    const model = shelfTool(hit);
    if (bySize && figure) b.take(figure, 'length', `${figure.token.text} mm`);
    else if (model.kind === 'pliers') {
      const length = b.length(80);
      if (length !== null) return longer(model, length);
    }
    return model;
  }

  /** No kind was said: a size alone is a spanner, a key or a bit; an outside hex by name may be several things. */
  private bare(b: Bench): PieceModel[] {
    const words = b.rest('word');
    const sized = b.untaken.filter((e) =>
      ['figure', 'drive', 'shape', 'range', 'pair', 'form', 'no shape'].includes(e.at),
    );
    const [word] = words;
    if (sized.length === 0) {
      const text = b.untaken.map((e) => this.raw(e)).join(' ');
      throw new Stop({
        about: WHOLE,
        text: `no tool like "${cut(text, 40)}": write its kind and size, such as socket 3/8 14, ring 12/13, bit t30, pliers`,
        answers: text === '' ? [] : [[`something else, called “${cut(text, 40)}”`, `thing ${this.raw(this.segment)}`]],
        refusal: true,
      });
    }
    if (word) {
      this.ask(word, word.word);
      throw new Stop({ about: word, text: '', answers: [], refusal: false });
    }
    const [shape] = b.rest('shape');
    if (shape?.head.form === 'hex' && sized.length === 1) {
      const size = shape.head.size;
      throw new Stop({
        about: WHOLE,
        text: `Which tool for hex ${size}?`,
        answers: [
          [`L-key ${size}, for an inside hex`, `key ${size}`],
          [`bit, inside hex ${size}`, `bit i${size}`],
          [`combination spanner ${size}`, `combination ${size}`],
        ],
        refusal: false,
      });
    }
    const [pair] = b.rest('pair');
    if (pair)
      throw new Stop({
        about: pair,
        text: 'One spanner with two ends?',
        answers: [
          [`open spanner ${pair.sizes.join(' and ')}`, `open ${pair.sizes.join('/')}`],
          [`ring spanner ${pair.sizes.join(' and ')}`, `ring ${pair.sizes.join('/')}`],
          [`two combination spanners`, `combinations ${pair.sizes.join(' ')}`],
        ],
        refusal: false,
      });
    const drive = b.rest('drive').find((d) => d.sure);
    if (drive)
      throw new Stop({
        about: WHOLE,
        text: `What has the ${this.raw(drive)}?`,
        answers: [
          ['a ratchet', `ratchet ${this.raw(drive)}`],
          ['an extension', `extension ${this.raw(drive)}`],
          ['a breaker bar', `bar ${this.raw(drive)}`],
        ],
        refusal: false,
      });
    return b.shapes('hex').map((s) => {
      const made = bareTool(s);
      if (made) return made;
      throw new Stop({ about: null, text: `Which tool for ${printShape(s)}?`, answers: [], refusal: true });
    });
  }

  private thing(b: Bench, main: Extract<Element, { at: 'kind' }>, said: SaidOfTool): void {
    b.take(main, 'tool', main.kind === 'made' ? 'home-made' : 'something else');
    const rest = b.untaken;
    const text = rest.map((e) => (e.at === 'name' ? e.text : this.raw(e))).join(' ');
    const model = thing(text, main.kind === 'made' ? 'home-made' : 'other');
    rest.forEach((e) => b.take(e, 'name', this.raw(e)));
    this.reading.tools.push({ model, said, set: null });
  }

  /** A set by how riders call it: which of those that are like it. False where the kind makes sets itself. */
  private sets(b: Bench, main: Extract<Element, { at: 'kind' }> | undefined): boolean {
    const sizes = b.rest('range').length + b.rest('figure').length + b.rest('shape').length > 0;
    if (main && (main.kind === 'key' || main.kind === 'folding keys') && sizes) return false;
    if (main && isNamed(main.kind)) return false;
    const like = setsLike(this.raw(this.segment));
    for (const e of b.untaken) b.take(e, e.at === 'kind' ? 'tool' : 'set', this.raw(e));
    throw new Stop({
      about: WHOLE,
      text: like.length > 0 ? 'Which set?' : 'no such set',
      answers: like.slice(0, 12).map((s) => [`${s.name}: ${s.holds.length} tools`, s.name] as const),
      refusal: like.length === 0,
    });
  }

  /** What the kind had no use for: words stay in the name, figures and unknown words beside a bare size are asked about. */
  private left(b: Bench, kind: KindTerm | null): string {
    const names: string[] = [];
    const flexible = kind === null || (!isNamed(kind) && FLEXIBLE.has(kind));
    for (const e of b.untaken) {
      const raw = this.raw(e);
      if (e.at === 'filler') b.take(e, 'word', '');
      else if (e.at === 'name') {
        b.take(e, 'name', e.text);
        names.push(e.text);
      } else if (e.at === 'attribute' || e.at === 'modifier') {
        b.take(e, 'name', raw);
        names.push(raw);
      } else if (e.at === 'word') {
        if (!/[\p{L}\p{N}]/u.test(e.word)) b.take(e, 'word', '');
        else if (flexible && this.besideFigure(b, e)) this.ask(e, e.word);
        else {
          b.take(e, 'name', raw);
          names.push(raw);
        }
      } else if (e.at !== 'kind') {
        const grams = e.at === 'figure' && e.unit === null ? [[`weight, ${raw} g`, `${raw}g`] as const] : [];
        this.reading.asks.push({
          ...this.place(e),
          question: `What is “${raw}”?`,
          options: [...grams, ['part of the name', quoted(raw)] as const].map(([says, text]) =>
            this.option(e, says, text),
          ),
          word: null,
        });
      }
    }
    return names.join(' ');
  }
  private besideFigure(b: Bench, word: Element): boolean {
    return b.elements.some(
      (e) => (e.at === 'figure' || e.at === 'drive') && (e.to === word.from || word.to === e.from),
    );
  }
  private ask(e: Element, word: string): void {
    if (this.reading.asks.some((a) => a.word !== null)) return;
    this.reading.asks.push({
      ...this.place(e),
      question: `What is “${word}”?`,
      options: [this.option(e, 'part of the name', quoted(word))],
      word,
    });
  }
}
/** Kinds whose figures may be of several forms, so that an unknown word beside one may say which. */
const FLEXIBLE: ReadonlySet<KindTerm> = new Set<KindTerm>([
  'socket',
  'bit socket',
  'bit',
  'screwdriver',
  'key',
  't key',
  'folding keys',
]);

/** Pliers of another length: mass by its square, opening unchanged. Planning values. */
function longer(model: PieceModel, length: number): PieceModel {
  const by = length / model.size.length;
  const made = pliers(
    model.name.replace(/\d+/u, String(length)),
    model.functions,
    Math.round(model.mass * by * by),
    length,
    model.price,
  );
  return { ...made, kind: model.kind, traits: model.traits };
}

/** The line in front of a note, and the note. */
function noteOf(line: string, tokens: readonly Token[]): { until: number; note: string | null } {
  for (let i = 0; i < tokens.length; i++) {
    const said = NOTE.at(tokens, i);
    const colon = said ? tokens[said.to] : undefined;
    if (said && colon?.text === ':') return { until: i, note: cut(line.slice(colon.end).trim(), 2000) };
  }
  return { until: tokens.length, note: null };
}

/**
 * Reads one line of tools, as riders say them: `socket 3/8 deep 14`, `ring 12/13`, `bit t30`, `adjustable 250`, `ratchet 1/4 105g`, `13` (a
 * combination spanner), `sockets 3/8 8-19`, `needle nose`, `2 tyre levers`; for anything a mass, price, count, `worn`, `cheap`, `always`,
 * `twice`, `never`, where it is kept, a note. Each word is understood, part of the name, asked about or refused: none is dropped.
 */
export function readTools(line: string, context: ToolContext = {}): ToolReading {
  const reading: ToolReading = { tools: [], spares: [], parts: [], asks: [], faults: [] };
  const end = { start: 0, end: line.length };
  if (line.length > MOST_LINE)
    return {
      ...reading,
      faults: [{ ...end, message: `too long: a line holds ${MOST_LINE} characters. Shorten it`, options: [] }],
    };
  const tokens = tokensOf(line);
  const { until, note } = noteOf(line, tokens);
  if (until === 0)
    return {
      ...reading,
      faults: [{ ...end, message: 'say what it is: socket 3/8 14, ring 12/13, bit t30', options: [] }],
    };
  const own = context.own ?? [];
  const body = line.slice(0, tokens[until - 1]?.end ?? line.length);
  const noted = note === null ? {} : { note };
  const exact = exactTool(body);
  const set = exact ? null : exactSet(body);
  const whole = { ...end, end: body.length, others: [] };
  if (exact) {
    reading.tools.push({ model: exact, said: noted, set: null });
    reading.parts.push({ ...whole, what: 'tool', says: exact.name });
  } else if (set) {
    reading.tools.push(...setModels(set).map((model) => ({ model, said: noted, set: set.name })));
    reading.parts.push({ ...whole, what: 'set', says: `${set.name}, ${set.holds.length} tools` });
  } else {
    const books = booksOf(kindBook(own), own, context.inch ?? false);
    for (const segment of segmentsOf(tokens, until, books, context.elsewhere)) {
      if (segment.spare) {
        reading.spares.push(segment);
        continue;
      }
      const part = new SegmentReader(line, tokens, segment, books).read();
      reading.tools.push(...part.tools);
      reading.parts.push(...part.parts);
      reading.asks.push(...part.asks.filter((a) => a.question !== ''));
      reading.faults.push(...part.faults);
    }
  }
  if (note !== null) {
    const last = reading.tools.at(-1);
    if (last) last.said = { ...last.said, note };
    reading.parts.push({ start: tokens[until]?.start ?? 0, end: line.length, what: 'note', says: note, others: [] });
  }
  if (reading.asks.length + reading.faults.length > 0) reading.tools = [];
  reading.parts.sort((a, b) => a.start - b.start);
  return reading;
}

/** Whether what a line says can be put into the toolbox as it stands. */
export const toolsComplete = (reading: ToolReading): boolean =>
  reading.tools.length > 0 && reading.asks.length === 0 && reading.faults.length === 0;

/** A line of one tool, for a table: what it makes, or why not. */
export function readPiece(
  line: string,
  context: ToolContext = {},
): { ok: true; model: PieceModel; said: SaidOfTool } | { ok: false; reason: string } {
  const { tools, asks, faults } = readTools(line, context);
  const [tool, more] = tools;
  const [fault] = faults;
  const [ask] = asks;
  if (fault) return { ok: false, reason: fault.message };
  if (ask)
    return {
      ok: false,
      reason: `${ask.question} ${ask.options
        .map((o) => o.says)
        .slice(0, 4)
        .join(', or ')}`.trim(),
    };
  if (!tool) return { ok: false, reason: 'say what it is: socket 3/8 14, ring 12/13, bit t30' };
  return more ? { ok: false, reason: 'one tool a line here' } : { ok: true, model: tool.model, said: tool.said };
}
