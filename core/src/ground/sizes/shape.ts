import { z } from 'zod';
import { line } from '../text.js';
import { INCH_HEX, INCH_KEY, METRIC_HEX, METRIC_KEY, PLUG_HEX, SIX_LOBE, SIX_LOBE_OUT } from './tables.js';

/**
 * The vocabulary of shapes. One word serves three uses: the head of a fastener, what a piece turns,
 * and what a piece offers to be turned by. That is why a bit, a socket and a bolt can be matched by one rule.
 */
export const HEAD_FORMS = [
  'hex',
  'hex12',
  'key',
  'lobe',
  'lobe-pin',
  'lobe-out',
  'ph',
  'jis',
  'square',
  'slot',
  'hook',
  'plug',
  'spoke',
  'valve',
  'clip',
] as const;
/** Forms that only pieces have: a square drive, and a plain bar that a pipe can slide over. */
export const PIECE_FORMS = ['drive', 'bar'] as const;

export type HeadForm = (typeof HEAD_FORMS)[number];
export type ShapeForm = HeadForm | (typeof PIECE_FORMS)[number];
export interface Shape {
  form: ShapeForm;
  /** Canonical size text: `10`, `5.5`, `1/2in`, `1 1/16in`, `30` (six-lobe), empty where a form has one size. */
  size: string;
}
export interface Head extends Shape {
  form: HeadForm;
}

/** Plain words for each form, as riders say them and as the standards name them. */
export const FORM_WORDS: Record<ShapeForm, string> = {
  hex: 'outside hex',
  hex12: 'outside 12-point',
  key: 'inside hex',
  lobe: 'six-lobe',
  'lobe-pin': 'pinned six-lobe',
  'lobe-out': 'outside six-lobe',
  ph: 'cross-recess PH',
  jis: 'Japanese cross',
  square: 'square recess',
  slot: 'slot',
  hook: 'castellated ring',
  plug: 'spark plug hex',
  spoke: 'spoke nipple',
  valve: 'valve core',
  clip: 'clip or pin',
  drive: 'square drive',
  bar: 'bar end',
};

const FRACTION = /^(?:(\d+) )?(\d+)\/(\d+)in$/;

/**
 * Nominal millimetres of a size text (across flats for hexagons, side for square drives).
 * @param size canonical size text; whole inches are written `1in`
 * @returns mm, or NaN when the text is neither a number nor an inch fraction
 */
export function millimetres(size: string): number {
  const fraction = FRACTION.exec(size);
  if (fraction) return (Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])) * 25.4;
  if (/^\d+in$/.test(size)) return Number(size.slice(0, -2)) * 25.4;
  return /^\d+(\.\d+)?$/.test(size) ? Number(size) : Number.NaN;
}

/** Whether the size text is an inch size. */
export const isInch = (size: string): boolean => size.endsWith('in');

const oneOf = (list: readonly string[]) => (size: string) => list.includes(size);
const between = (lo: number, hi: number) => (size: string) => {
  const mm = millimetres(size);
  return !isInch(size) && mm >= lo && mm <= hi;
};

const ALLOWED: Record<ShapeForm, (size: string) => boolean> = {
  hex: oneOf([...METRIC_HEX, ...INCH_HEX]),
  hex12: oneOf([...METRIC_HEX, ...INCH_HEX]),
  key: oneOf([...METRIC_KEY, ...INCH_KEY]),
  lobe: oneOf(Object.keys(SIX_LOBE)),
  'lobe-pin': oneOf(Object.keys(SIX_LOBE)),
  'lobe-out': oneOf(SIX_LOBE_OUT),
  ph: oneOf(['0', '1', '2', '3', '4']),
  jis: oneOf(['0', '1', '2', '3']),
  square: oneOf(['0', '1', '2', '3']),
  slot: between(2, 14),
  hook: between(20, 120),
  plug: oneOf(PLUG_HEX),
  spoke: between(3, 8),
  valve: oneOf(['']),
  clip: oneOf(['']),
  drive: oneOf(['1/4in', '3/8in', '1/2in']),
  bar: oneOf(['']),
};

/** Whether a size exists in a form, e.g. `sizeExists('key', '5')` is true and `sizeExists('lobe', '33')` is false. */
export const sizeExists = (form: ShapeForm, size: string): boolean => ALLOWED[form](size);

/** Every size of the forms that come in a list of sizes; forms made to any measure are not here. */
export const FORM_SIZES: Partial<Record<ShapeForm, readonly string[]>> = {
  hex: [...METRIC_HEX, ...INCH_HEX],
  hex12: [...METRIC_HEX, ...INCH_HEX],
  key: [...METRIC_KEY, ...INCH_KEY],
  lobe: Object.keys(SIX_LOBE),
  'lobe-pin': Object.keys(SIX_LOBE),
  'lobe-out': SIX_LOBE_OUT,
  ph: ['0', '1', '2', '3', '4'],
  jis: ['0', '1', '2', '3'],
  square: ['0', '1', '2', '3'],
  plug: PLUG_HEX,
};

/**
 * Sizes of a form nearest to a wanted millimetre value, for "no such size; nearest …".
 * @param mm the wanted width
 * @param inch whether inch sizes are named first
 */
export function nearestSizes(form: ShapeForm, mm: number, inch = false): string[] {
  return (FORM_SIZES[form] ?? [])
    .filter((size) => isInch(size) === inch)
    .sort((a, b) => Math.abs(millimetres(a) - mm) - Math.abs(millimetres(b) - mm))
    .slice(0, 2)
    .sort((a, b) => millimetres(a) - millimetres(b));
}

const check = (ctx: z.core.ParsePayload<{ form: ShapeForm; size: string }>) => {
  if (!sizeExists(ctx.value.form, ctx.value.size))
    ctx.issues.push({
      code: 'custom',
      input: ctx.value,
      path: ['size'],
      message: `there is no ${FORM_WORDS[ctx.value.form]} of size "${ctx.value.size}": correct the size`,
    });
};

const sizeText = line(12);
export const headSchema = z
  .strictObject({ form: z.enum(HEAD_FORMS), size: sizeText })
  .check((ctx) => check(ctx as z.core.ParsePayload<{ form: ShapeForm; size: string }>));
export const shapeSchema = z
  .strictObject({ form: z.enum([...HEAD_FORMS, ...PIECE_FORMS]), size: sizeText })
  .check((ctx) => check(ctx as z.core.ParsePayload<{ form: ShapeForm; size: string }>));
