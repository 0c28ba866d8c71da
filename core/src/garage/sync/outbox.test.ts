import { describe, expect, test } from '@jest/globals';
import { uuid } from '../../testing/make.js';
import type { Change } from './change.js';
import { bases, type Entry, type Known } from './outbox.js';

const [a, b, c] = [uuid(1), uuid(2), uuid(3)];
const set = (id: string, base: number): Change => ({
  ...{ kind: 'set', table: 'pieces', id, base },
  fields: [{ field: 'name', was: 'x', now: 'y' }],
});
const entry = (n: number, changes: Change[], more: object = { state: 'unsent' }): Entry =>
  ({ edit: { id: uuid(100 + n), label: 'edit', changes }, ...more }) as Entry;
const refused = { state: 'refused', fault: { code: 'x', path: '', message: '' } };
const known: Known = {
  edition: 9,
  rows: new Map([
    [`pieces ${a}`, { revision: 4, row: { id: a } }],
    [`pieces ${b}`, { revision: 7, row: null }],
  ]),
};
const of = (entries: Entry[]) =>
  Object.fromEntries(
    bases(
      known,
      entries,
      [a, b, c].map((id) => ({ table: 'pieces' as const, id })),
    ),
  );

describe('what a new change of a row is made on', () => {
  test('the revision that is known, nought where nothing is', () => {
    expect(of([])).toEqual({ [`pieces ${a}`]: 4, [`pieces ${b}`]: 7, [`pieces ${c}`]: 0 });
  });
  test('else that of the oldest of one’s own changes that still wait', () => {
    expect(of([entry(1, [set(a, 2)]), entry(2, [set(a, 3)])])).toMatchObject({
      [`pieces ${a}`]: 2,
      [`pieces ${b}`]: 7,
    });
    const asked = { state: 'asked', at: [] };
    expect(of([entry(1, [set(a, 3)], asked), entry(2, [set(a, 4)])])).toMatchObject({ [`pieces ${a}`]: 3 });
  });
  test('what was refused waits for nothing', () => {
    expect(of([entry(1, [set(a, 2)], refused)])).toMatchObject({ [`pieces ${a}`]: 4 });
    expect(of([entry(1, [set(a, 2)], refused), entry(2, [set(a, 3)])])).toMatchObject({ [`pieces ${a}`]: 3 });
  });
  test('a row that was made here has none yet', () => {
    const make: Change = { kind: 'make', table: 'pieces', id: b, row: { id: b } } as Change;
    expect(of([entry(1, [make]), entry(2, [set(b, 5)])])).toMatchObject({ [`pieces ${b}`]: 0 });
  });
});
