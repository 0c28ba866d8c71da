import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fieldWords, differences, valueWords, type Saying } from './fields';

const id = '00000000-0000-4000-8000-000000000007';
const say: Saying = { units: 'metric', nameOf: (x) => (x === id ? 'Front axle' : null) };
const inch: Saying = { ...say, units: 'inch' };

describe('fields and values as a reader says them', () => {
  test('names: those of the screens, else the words that they are made of', () => {
    expect(['bikeId', 'getsLost', 'serviceLevel', 'helpKm', 'farAccess'].map(fieldWords)).toEqual([
      'bike',
      'gets lost',
      'service level',
      'help km',
      'access at the far end',
    ]);
  });
  test('values: in the units on show, rows by their names, never as they are stored', () => {
    expect(valueWords(120, say, 'mass')).toBe('120 g');
    expect(valueWords(120, inch, 'mass')).toBe('4.2 oz');
    expect(valueWords(60, inch, 'recess')).toBe('2.36 in');
    expect(valueWords(7, say, 'count')).toBe('7');
    expect([true, false].map((v) => valueWords(v, say))).toEqual(['yes', 'no']);
    expect([null, undefined, '', []].map((v) => valueWords(v, say))).toEqual(Array(4).fill('nothing'));
    expect(valueWords(id, say)).toBe('Front axle');
    expect(valueWords(id.replace('7', '8'), say)).toBe('a row that is gone');
    expect(valueWords({ form: 'hex', size: '13' }, say)).toBe('hex 13');
    expect(valueWords({ value: 98, source: 'manual' }, say, 'torque')).toBe('98 N·m, manual');
    expect(valueWords({ value: 98, source: 'manual' }, inch, 'torque')).toContain('lb·ft, manual');
    expect(valueWords(['a', 'b'], say)).toBe('a, b');
    expect(valueWords(['a', 'b'], say, 'legs')).toBe('a; b');
    expect(valueWords([1, 2, 3, 4, 5], say)).toBe('5 entries');
    expect(valueWords({ getsLost: true, thread: 'M8', note: '' }, say)).toBe('gets lost yes, thread M8');
  });
});

describe('in what two versions differ', () => {
  test('field by field, and part by part within one', () => {
    const mine = { name: 'Axle', access: { recess: 20, swing: 60 }, torque: { value: 98, source: 'manual' } };
    const theirs = { name: 'Axle', access: { recess: 25, swing: 60 }, torque: { value: 90, source: 'manual' } };
    expect(differences(mine, theirs, say)).toEqual([
      { name: 'access, recess', mine: '20 mm', theirs: '25 mm' },
      { name: 'torque', mine: '98 N·m, manual', theirs: '90 N·m, manual' },
    ]);
  });
  test('entry by entry in lists of parts, as one where their number differs', () => {
    const legs = (...km: number[]) => ({ legs: km.map((k) => ({ name: 'Leg', helpKm: k })) });
    expect(differences(legs(1, 2), legs(1, 3), say)).toEqual([{ name: 'legs 2, help km', mine: '2', theirs: '3' }]);
    expect(differences(legs(1), legs(1, 3), say)).toEqual([
      { name: 'legs', mine: 'name Leg, help km 1', theirs: 'name Leg, help km 1; name Leg, help km 3' },
    ]);
  });
  test('a field that only one has, and a row that only one has', () => {
    expect(differences({ note: 'x' }, {}, say)).toEqual([{ name: 'note', mine: 'x', theirs: 'nothing' }]);
    expect(differences({ note: 'x' }, null, say)).toEqual([{ name: 'all of it', mine: 'stays', theirs: 'deleted' }]);
    expect(differences(null, { note: 'x' }, say)).toEqual([{ name: 'all of it', mine: 'deleted', theirs: 'stays' }]);
  });
  test('of a row and itself there is no difference, and both ways round it is the same one', () => {
    const row = fc.dictionary(
      fc.constantFrom('name', 'mass', 'access', 'legs', 'note'),
      fc.oneof(
        fc.integer(),
        fc.string(),
        fc.constant(null),
        fc.array(fc.record({ a: fc.integer() }), { maxLength: 3 }),
      ),
    );
    fc.assert(
      fc.property(row, row, (a, b) => {
        expect(differences(a, a, say)).toEqual([]);
        const turned = differences(b, a, say).map((d) => ({ name: d.name, mine: d.theirs, theirs: d.mine }));
        const sorted = (list: { name: string }[]) => [...list].sort((x, y) => (x.name < y.name ? -1 : 1));
        expect(sorted(turned)).toEqual(sorted(differences(a, b, say)));
      }),
      { seed: 3 },
    );
  });
});
