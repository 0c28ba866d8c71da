import { FORM_WORDS, isInch, type Shape } from './shape.js';

const VULGAR: Record<string, string> = {
  '1/4': '¼',
  '1/2': '½',
  '3/4': '¾',
  '1/8': '⅛',
  '3/8': '⅜',
  '5/8': '⅝',
  '7/8': '⅞',
};

/** Size for reading: `½ in`, `1 1⁄16 in`, `10`. Keeps figures apart with a fraction slash where no single sign exists. */
export function printSize(size: string): string {
  if (!isInch(size)) return size;
  const text = size.slice(0, -2);
  const fraction = text.split(' ').pop() ?? '';
  const sign = VULGAR[fraction] ?? fraction.replace('/', '⁄');
  return `${text.replace(fraction, sign)} in`;
}

/** Size for tabular figures, whose fraction slash falls apart: `7/16 in`, `½ in`, `13`. */
export const plainSize = (size: string): string => printSize(size).replace('⁄', '/');

/** Size as set inside a head's glyph, as short as it can be; small fractions are written plainly, since they must be read at arm's length. */
export function glyphSize(shape: Shape): string {
  switch (shape.form) {
    case 'lobe':
    case 'lobe-pin':
      return `T${shape.size}`;
    case 'lobe-out':
      return `E${shape.size}`;
    case 'valve':
    case 'clip':
    case 'bar':
      return '';
    default:
      return isInch(shape.size) ? printSize(shape.size).replace(' in', 'in').replace('⁄', '/') : shape.size;
  }
}

/** Words for a shape: `hex 10`, `inside hex 5`, `six-lobe T30`, `square drive ¼ in`. */
export function printShape(shape: Shape): string {
  switch (shape.form) {
    case 'hex':
      return `hex ${printSize(shape.size)}`;
    case 'lobe':
    case 'lobe-pin':
      return `${FORM_WORDS[shape.form]} T${shape.size}`;
    case 'lobe-out':
      return `${FORM_WORDS[shape.form]} E${shape.size}`;
    case 'ph':
      return `cross-recess PH${shape.size}`;
    case 'jis':
      return `Japanese cross ${shape.size}`;
    case 'valve':
    case 'clip':
    case 'bar':
      return FORM_WORDS[shape.form];
    default:
      return `${FORM_WORDS[shape.form]} ${printSize(shape.size)}`;
  }
}

/** The shape as it is typed in the entry line; `parseShape(typeShape(s))` gives `s` back. */
export function typeShape(shape: Shape): string {
  switch (shape.form) {
    case 'hex':
      return shape.size;
    case 'hex12':
      return `12pt ${shape.size}`;
    case 'key':
      return isInch(shape.size) ? `key ${shape.size}` : `i${shape.size}`;
    case 'lobe':
      return `t${shape.size}`;
    case 'lobe-pin':
      return `t${shape.size} pin`;
    case 'lobe-out':
      return `e${shape.size}`;
    case 'ph':
      return `ph${shape.size}`;
    case 'jis':
      return `jis${shape.size}`;
    case 'square':
      return `sq${shape.size}`;
    case 'valve':
      return 'valve core';
    case 'clip':
      return 'clip';
    default:
      return `${shape.form} ${shape.size}`;
  }
}
