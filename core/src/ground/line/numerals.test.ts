import { expect, test } from '@jest/globals';
import { tokensOf } from './token.js';

/** The figures of a line, numbers said in words among them; words that are none stand as they are. */
const read = (line: string) =>
  tokensOf(line).map((t) => (t.kind === 'number' ? Math.round(t.value * 1e6) / 1e6 : t.text));

test.each<[string, (number | string)[]]>([
  ['twenty seven', [27]],
  ['twenty-seven', [27]],
  ['twenty - seven', [20, '-', 7]],
  ['twenty/seven', [20, '/', 7]],
  ['twenty', [20]],
  ['twenty nought', [20, 0]],
  ['twenty ten', [20, 10]],
  ['twenty twelve', [20, 12]],
  ['ninety nine', [99]],
  ['seventeen', [17]],
  ['two hundred', [200]],
  ['two hundred five', [205]],
  ['two hundred and five', [205]],
  ['two hundred and forty five', [245]],
  ['two hundred then five', [200, 'then', 5]],
  ['two hundred two hundred', [200, 200]],
  ['nine hundred', [900]],
  ['nought hundred', [0, 'hundred']],
  ['ten hundred', [10, 'hundred']],
  ['hundred', ['hundred']],
  ['half', [0.5]],
  ['a half', [0.5]],
  ['three eighths', [0.375]],
  ['three-eighths', [0.375]],
  ['one and an eighth', [1.125]],
  ['eight eighths', [8, 0.125]],
  ['ten point five', [10.5]],
  ['ten point twelve', [10, 'point', 12]],
])('%s', (line, figures) => expect(read(line)).toEqual(figures));
