import { PLUG_NAMES, type LineOption, type LinePart } from '../../ground/line/index.js';
import {
  FORM_SIZES,
  isInch,
  METRIC_HEX,
  millimetres,
  nearestSizes,
  printShape,
  printSize,
  sizeExists,
  SIX_LOBE,
  typeShape,
  type HeadForm,
  type Shape,
} from '../../ground/sizes/index.js';
import { inchText } from '../../ground/sizes/tables.js';
import { DRIVES, type Element } from './elements.js';
import type { Modifier } from './words.js';

/** Sizes of inside-hex keys that sets are made up of. */
export const KEY_SIZES: readonly string[] = ['1.5', '2', '2.5', '3', '4', '5', '6', '7', '8', '10', '12'];

/** Something that the line leaves open: a question, with words that would settle it, or a refusal. */
export interface Open {
  /** Elements that it is about; the whole segment when there is none. */
  about: Element | null;
  text: string;
  /** What may be answered: what it says, and the words that stand in place of what it is about, or behind the segment. */
  answers: readonly (readonly [says: string, text: string])[];
  refusal: boolean;
}
/** Thrown inside the making of one tool to end it with a question; caught where the segment is read. */
export class Stop extends Error {
  constructor(readonly open: Open) {
    super(open.text);
  }
}
/** Stops the reading of a line with a question. */
export const askFor = (text: string, answers: Open['answers'], about: Element | null = null): Stop =>
  new Stop({ about, text, answers, refusal: false });
/** Stops the reading of a line with a refusal, and what would be nearest. */
export const refuse = (text: string, answers: Open['answers'] = [], about: Element | null = null): Stop =>
  new Stop({ about, text, answers, refusal: true });

/** Stands for the whole segment: an answer is written in its place. */
export const WHOLE = { at: 'filler', from: -1, to: -1 } as const;

/** A part without its place, which the segment knows. */
export interface Understood {
  element: Element;
  what: string;
  says: string;
  /** Other readings, as texts in the element's place. */
  others: readonly (readonly [says: string, text: string])[];
}

type At<K extends Element['at']> = Extract<Element, { at: K }>;
const FORM_TEXT: Partial<Record<HeadForm, string>> = { key: 'i', lobe: 't', 'lobe-out': 'e', ph: 'ph', jis: 'jis' };
/** A size as it is typed in a tool's line, where a bare figure is a hexagon. */
const typed = (form: HeadForm, size: string): string =>
  form === 'hex' ? size : isInch(size) && form === 'key' ? `key ${size}` : `${FORM_TEXT[form] ?? `${form} `}${size}`;

/** The elements of one segment on the bench: each is taken once by what the kind asks for, and what is left over is asked about. */
export class Bench {
  private readonly left: Set<Element>;
  readonly understood: Understood[] = [];

  constructor(readonly elements: readonly Element[]) {
    this.left = new Set(elements);
  }

  /** Those of a sort that nothing has taken yet, in order. */
  rest<K extends Element['at']>(at: K): At<K>[] {
    return this.elements.filter((e): e is At<K> => e.at === at && this.left.has(e));
  }
  get untaken(): Element[] {
    return this.elements.filter((e) => this.left.has(e));
  }
  take(element: Element, what: string, says: string, others: Understood['others'] = []): void {
    this.left.delete(element);
    this.understood.push({ element, what, says, others });
  }
  /** Whether a modifier was said; it is taken. */
  said(modifier: Modifier, words: string): boolean {
    const hit = this.rest('modifier').find((m) => m.modifier === modifier);
    if (hit) this.take(hit, 'kind', words);
    return hit !== undefined;
  }
  /** A form that was said apart from its figure: `flat screwdriver 6`. */
  form(): HeadForm | null {
    const [hit] = this.rest('form');
    if (!hit) return null;
    this.left.delete(hit);
    this.understood.push({ element: hit, what: 'size', says: '', others: [] });
    return hit.form;
  }

  /** The square drive; what it is to be asked with when it is not said. */
  drive(fallback: string | null = null): string {
    const sure = this.rest('drive').find((d) => d.sure);
    const drives = this.rest('drive');
    const hit = sure ?? drives[0];
    if (!hit) {
      if (fallback !== null) return fallback;
      const answers = DRIVES.map((d) => [`${printSize(d)} drive`, d.replace('in', '')] as const);
      throw askFor('Which square drive?', answers);
    }
    // Two figures that may both be the drive: the first is, the other way is one key away.
    const second = sure ? undefined : drives[1];
    this.take(hit, 'drive', `${printSize(hit.size)} drive`, second ? this.swap(hit, second) : []);
    return hit.size;
  }
  private swap(hit: At<'drive'>, second: At<'drive'>): Understood['others'] {
    return [[`size ${printSize(hit.size)} on a ${printSize(second.size)} drive`, `${hit.size} drive ${second.size}`]];
  }

  /** Shapes that the tool turns: forms that were said, or bare figures of the kind's own form. */
  shapes(usual: HeadForm, rivals: readonly HeadForm[] = []): Shape[] {
    const said = this.form();
    const form = said ?? usual;
    const out: Shape[] = [];
    for (const e of this.untaken) {
      if (e.at === 'shape') {
        this.take(e, 'size', printShape(e.head));
        out.push(e.head);
      } else if (e.at === 'no shape')
        throw refuse(
          e.reason,
          e.nearest.map((n) => [n, n] as const),
          e,
        );
      else if (e.at === 'figure' || e.at === 'drive') {
        const shape = this.shapeOf(e, form);
        const others = (said ? [] : rivals)
          .map((rival): Shape => ({ form: rival, size: shape.size }))
          .filter((s) => sizeExists(s.form, s.size))
          .map((s) => [printShape(s), typeShape(s)] as const);
        this.take(e, 'size', printShape(shape), others);
        out.push(shape);
      } else if (e.at === 'pair') {
        const pair = e.sizes.map((size): Shape => ({ form, size }));
        const bad = pair.find((s) => !sizeExists(s.form, s.size));
        if (bad) throw refuse(`there is no ${printShape(bad)}`, [], e);
        this.take(e, 'sizes', pair.map(printShape).join(' and '));
        out.push(...pair);
      } else if (e.at === 'range') out.push(...this.run(e, form));
    }
    return out;
  }
  /** Shapes of the forms that a kind can have; `rivals` are forms that a bare figure may be of as well. */
  shapesOf(usual: HeadForm, forms: readonly HeadForm[], what: string, rivals: readonly HeadForm[] = []): Shape[] {
    const out = this.shapes(usual, rivals);
    const bad = out.find((s) => !forms.some((f) => f === s.form));
    if (bad) throw refuse(`${what} does not turn ${printShape(bad)}`);
    return out;
  }
  /** One size, or a question with usual ones. */
  shape(
    usual: HeadForm,
    examples: readonly string[],
    forms: readonly HeadForm[],
    what: string,
    rivals: readonly HeadForm[] = [],
  ): Shape {
    const [first, ...more] = this.shapesOf(usual, forms, what, rivals);
    if (!first)
      throw askFor(
        'Which size?',
        examples.map((s) => [s, s] as const),
      );
    if (more.length > 0) throw refuse('one size at a time here');
    return first;
  }

  /** A figure as a size of a form. */
  shapeOf(e: At<'figure'> | At<'drive'>, form: HeadForm): Shape {
    const size = e.at === 'drive' ? e.size : this.sizeOf(e);
    const plug = form === 'plug' ? (PLUG_NAMES[size] ?? size) : size;
    if (sizeExists(form, plug)) return { form, size: plug };
    const mm = millimetres(size);
    const near = nearestSizes(form, mm, isInch(size));
    const reading = form === 'hex' && !isInch(size) && !Number.isInteger(mm);
    throw refuse(
      reading
        ? `${size} is a reading, not a size: nearest are ${near.join(' or ')}`
        : `there is no ${printShape({ form, size })}${near.length > 0 ? `: nearest are ${near.map((n) => typed(form, n)).join(' or ')}` : ''}`,
      near.map((n) => [printShape({ form, size: n }), typed(form, n)] as const),
      e,
    );
  }
  private sizeOf({ token, unit }: At<'figure'>): string {
    if (token.fraction) return inchText(token.fraction.n, token.fraction.of);
    if (unit === 'in' || (token.value < 1 && token.decimals >= 2)) {
      const hit = [...(FORM_SIZES.hex ?? []), ...(FORM_SIZES.key ?? [])].find(
        (s) =>
          isInch(s) && Math.abs(millimetres(s) / 25.4 - token.value) <= Math.max(0.0008, 0.5 * 10 ** -token.decimals),
      );
      return hit ?? `${token.text}in`;
    }
    return String(token.value);
  }

  /** All sizes of a run: those that such tools are sold in, between the two that were said. */
  private run(e: At<'range'>, usual: HeadForm): Shape[] {
    const form = e.form ?? usual;
    const inches = e.low.fraction !== null;
    const [low, high] = [e.low.value, e.high.value];
    const value = (size: string) => (isInch(size) ? millimetres(size) / 25.4 : Number(size));
    const odd = !Number.isInteger(low) || !Number.isInteger(high);
    const list =
      form === 'key' && !inches
        ? KEY_SIZES
        : form === 'hex' && !inches
          ? METRIC_HEX
          : form === 'lobe'
            ? Object.keys(SIX_LOBE)
            : (FORM_SIZES[form] ?? []);
    const sizes = list.filter(
      (s) =>
        isInch(s) === inches &&
        value(s) >= low - 1e-9 &&
        value(s) <= high + 1e-9 &&
        (odd || inches || form === 'key' || Number.isInteger(value(s))),
    );
    if (sizes.length < 2) throw refuse('that range holds no sizes', [], e);
    const usualOnes = sizes.filter((s) => USUAL_RUN.includes(s));
    const fewer =
      form === 'hex' && !inches && usualOnes.length >= 2 && usualOnes.length < sizes.length
        ? [[`only the usual ${usualOnes.length}: ${usualOnes.join(' ')}`, usualOnes.join(' ')] as const]
        : [];
    this.take(e, 'sizes', `${sizes.length} sizes: ${sizes.map((s) => printSize(s)).join(' ')}`, fewer);
    return sizes.map((size): Shape => ({ form, size }));
  }

  /** A length in mm: one that was said as such, or the last bare figure from `least` on. */
  length(least: number): number | null {
    const [said] = this.rest('length');
    if (said) {
      this.take(said, 'length', said.typed.endsWith('mm') ? `${said.mm} mm` : `${said.typed}, ${said.mm} mm`);
      return said.mm;
    }
    const figures = this.rest('figure').filter((f) => f.token.fraction === null);
    const last = figures.at(-1);
    if (!last || (last.unit !== 'in' && last.token.value < least)) return null;
    const mm = Math.round(last.token.value * (last.unit === 'in' ? 25.4 : 1));
    this.take(last, 'length', last.unit === 'in' ? `${last.token.text} in, ${mm} mm` : `${mm} mm`);
    return mm;
  }
  /** Whether the line says that nobody knows its size yet. */
  unknown(): boolean {
    const [hit] = this.rest('no size');
    if (hit) this.take(hit, 'size', 'not known yet');
    return hit !== undefined;
  }
}
/** Sizes of hexagons that bikes have most, for a run that leaves the others out. */
const USUAL_RUN: readonly string[] = ['8', '10', '11', '12', '13', '14', '17', '19', '22', '24', '27', '30', '32'];

/**
 * Parts as a reading shows them, from what was understood.
 * @param place where an element stands in the line, UTF-16 units; the end is behind it
 */
export const partOf = (
  understood: Understood,
  place: (e: Element) => { start: number; end: number },
  option: (e: Element, says: string, text: string) => LineOption,
): LinePart => ({
  ...place(understood.element),
  what: understood.what,
  says: understood.says,
  others: understood.others.map(([says, text]) => option(understood.element, says, text)),
});
