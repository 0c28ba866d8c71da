import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { findEntries, type Entry } from './find';

const entry = (kind: string, name: string, says = '', words = ''): Entry => ({
  key: `${kind} ${name}`,
  kind,
  name,
  says,
  words,
});
const ALL = [
  entry('page', 'Walk', 'measure the bike'),
  entry('page', 'Print the list', 'one page by place'),
  entry('page', 'Who rides along', 'companions, their bikes', 'crew share'),
  entry('problem', 'Puncture, tubed', '22 % of such trips; patch the tube'),
  entry('problem', 'Plug fouled or cap off', 'new plug'),
  entry('item', 'Plug strings', 'tail bag, 20 g', 'plug kit'),
  entry('item', 'Combination spanner 12', 'tool roll under the seat, slot 3'),
  entry('item', 'Combination spanner 13', 'tool roll under the seat, slot 4'),
  entry('fastener', 'Axle nut', 'hex 27, by plain bar'),
  entry('place', 'Tail bag', 'one zip, 1.2 of 4 kg'),
];
const names = (question: string) => findEntries(ALL, question).map((e) => e.name);

describe('finding what is meant', () => {
  test.each([
    ['flat', 'Puncture, tubed'],
    ['tyre', 'Puncture, tubed'],
    ['plug kit', 'Plug strings'],
    ['wrench 12', 'Combination spanner 12'],
    ['share', 'Who rides along'],
    ['group', 'Who rides along'],
    ['companion', 'Who rides along'],
    ['print', 'Print the list'],
    ['AXLE', 'Axle nut'],
    ['hex 27', 'Axle nut'],
    ['tail', 'Tail bag'],
  ])('%s', (question, first) => {
    expect(names(question)[0]).toBe(first);
  });
  test('every word must fit; a name that begins so comes before one that only mentions it', () => {
    expect(names('wrench 14')).toEqual([]);
    expect(names('spanner 13')).toEqual(['Combination spanner 13']);
    expect(names('plug').slice(0, 2)).toEqual(['Plug fouled or cap off', 'Plug strings']);
    expect(names('')).toEqual([]);
    expect(names('  ')).toEqual([]);
  });
  test('the name of any entry, in any letters, finds it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ALL), fc.boolean(), (e, loud) => {
        expect(names(loud ? e.name.toUpperCase() : e.name)[0]).toBe(e.name);
      }),
    );
  });
  test('no more than asked for, and no text breaks it', () => {
    expect(findEntries(ALL, 'a', 2).length).toBeLessThanOrEqual(2);
    fc.assert(fc.property(fc.string(), (text) => findEntries(ALL, text).length <= ALL.length));
  });
});
