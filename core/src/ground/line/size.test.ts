import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { HEAD_FORMS, millimetres, sizeExists, type Head } from '../sizes/shape.js';
import { INCH_HEX, INCH_KEY, METRIC_HEX, METRIC_KEY, SIX_LOBE, SIX_LOBE_OUT } from '../sizes/tables.js';
import { parseShape, readSize } from './size.js';
import { glyphSize, printShape, printSize, typeShape } from '../sizes/print.js';

const read = (text: string) => {
  const result = parseShape(text);
  if (!('head' in result)) throw new Error(result.reason);
  return `${result.head.form} ${result.head.size}`.trim();
};
const reason = (text: string) => {
  const result = parseShape(text);
  return 'reason' in result ? result.reason : `read as ${result.head.form}`;
};

describe('sizes as riders say them', () => {
  test.each([
    ['10', 'hex 10'],
    ['10 mm hex', 'hex 10'],
    ['10mm', 'hex 10'],
    ['hex 13', 'hex 13'],
    ['5.5', 'hex 5.5'],
    ['5,5', 'hex 5.5'],
    ['1/2in', 'hex 1/2in'],
    ['1/2 in', 'hex 1/2in'],
    ['½', 'hex 1/2in'],
    ['½ in', 'hex 1/2in'],
    ['1/2"', 'hex 1/2in'],
    ['8/16in', 'hex 1/2in'],
    ['0.5in', 'hex 1/2in'],
    ['1 1/16in', 'hex 1 1/16in'],
    ['1-1/16 in', 'hex 1 1/16in'],
    ['1½in', 'hex 1 1/2in'],
    ['1in', 'hex 1in'],
    ['i5', 'key 5'],
    ['key 5', 'key 5'],
    ['inside hex 2.5', 'key 2.5'],
    ['key 5/32in', 'key 5/32in'],
    ['t30', 'lobe 30'],
    ['T 25', 'lobe 25'],
    ['t30 pin', 'lobe-pin 30'],
    ['e10', 'lobe-out 10'],
    ['ph2', 'ph 2'],
    ['jis2', 'jis 2'],
    ['12pt 1/4', 'hex12 1/4in'],
    ['12pt 10', 'hex12 10'],
    ['plug 16', 'plug 16'],
    ['plug 13/16', 'plug 13/16in'],
    ['slot 6', 'slot 6'],
    ['hook 45', 'hook 45'],
    ['spoke 6', 'spoke 6'],
    ['sq2', 'square 2'],
    ['valve core', 'valve'],
    ['clip', 'clip'],
  ])('%s is %s', (text, expected) => {
    expect(read(text)).toBe(expected);
  });

  test.each([
    ['10.3', /reading, not a size: nearest are 10 or 11/],
    ['t33', /no six-lobe T33/],
    ['i9', /no inside hex of size 9: nearest are 8 or 10/],
    ['1/3in', /not by 3ths/],
    ['ph9', /no cross-recess PH of size 9/],
    ['plug 12', /no spark plug hex of size 12/],
    ['0.51in', /not a standard inch size/],
    ['fork', /is no size/],
    ['10 bolt', /left over/],
    ['1/0in', /not by 0ths/],
  ])('%s is refused with its reason', (text, expected) => {
    expect(reason(text)).toMatch(expected);
  });

  test('a size inside a longer text says how many characters it took', () => {
    expect(readSize('½ rack bolt')).toEqual({ ok: true, head: { form: 'hex', size: '1/2in' }, used: 1 });
    expect(readSize('13x2')).toBeNull();
    expect(readSize('45nm')).toBeNull();
  });
});

const sizes: Partial<Record<Head['form'], readonly string[]>> = {
  hex: [...METRIC_HEX, ...INCH_HEX],
  hex12: [...METRIC_HEX, ...INCH_HEX],
  key: [...METRIC_KEY, ...INCH_KEY],
  lobe: Object.keys(SIX_LOBE),
  'lobe-pin': Object.keys(SIX_LOBE),
  'lobe-out': SIX_LOBE_OUT,
  ph: ['0', '1', '2', '3', '4'],
  jis: ['0', '1', '2', '3'],
  square: ['0', '1', '2', '3'],
  slot: ['2', '6.5', '14'],
  hook: ['45', '68'],
  spoke: ['5', '6.3'],
  plug: ['16', '13/16in'],
  valve: [''],
  clip: [''],
};
const anyHead = fc
  .constantFrom(...HEAD_FORMS)
  .chain((form) => fc.constantFrom(...sizes[form]!).map((size): Head => ({ form, size })));

describe('printing', () => {
  test('every head types back to itself', () => {
    fc.assert(
      fc.property(anyHead, (head) => {
        expect(sizeExists(head.form, head.size)).toBe(true);
        expect(parseShape(typeShape(head))).toEqual({ head });
        expect(printShape(head).length).toBeGreaterThan(2);
      }),
      { numRuns: 400 },
    );
  });
  test('inch sizes are millimetres of the inch', () => {
    expect(millimetres('1/2in')).toBeCloseTo(12.7, 10);
    expect(millimetres('1 1/16in')).toBeCloseTo(26.9875, 10);
    expect(millimetres('1in')).toBe(25.4);
    expect(millimetres('M8')).toBeNaN();
  });
  test('sizes to be read', () => {
    expect(printSize('1/2in')).toBe('½ in');
    expect(printSize('7/16in')).toBe('7⁄16 in');
    expect(glyphSize({ form: 'hex', size: '1/2in' })).toBe('½in');
    expect(glyphSize({ form: 'lobe', size: '30' })).toBe('T30');
  });
  test('any text is read or refused, never thrown at', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const result = readSize(text);
        if (result) expect(result.used).toBeGreaterThan(0);
      }),
      { numRuns: 500 },
    );
  });
});
