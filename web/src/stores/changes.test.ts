import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import {
  changeOf,
  DEFAULT_PRACTICE,
  emptyDocument,
  keyOf,
  type Body,
  type Change,
  type GarageDocument,
  type Row,
} from '@necessaire/core';
import { openedOf, replayed, withRows } from './changes';

const row = (id: string, quantity: number, note = '') => ({ id, kind: 'patch', quantity, note }) as Row<'supplies'>;
const doc: GarageDocument = {
  ...emptyDocument({ name: 'G', practice: { ...DEFAULT_PRACTICE, adjustable: 'freely', standing: 'never' } }),
  supplies: [row('a', 1), row('b', 2), row('c', 3)],
};
const at = (d: GarageDocument, id: string) => d.supplies.find((s) => s.id === id) ?? null;
const shown = (d: GarageDocument, changes: readonly Change[]) =>
  new Map<string, Body | null>(changes.map((c) => [keyOf(c), at(d, c.id)]));
const write = (d: GarageDocument, id: string, after: Row<'supplies'> | null) =>
  withRows(d, [{ table: 'supplies', id, row: after }]);
/** Lays what an undo or redo came to over the document. */
const laid = (d: GarageDocument, changes: readonly Change[], back: boolean): GarageDocument => {
  const done = replayed(changes, back, shown(d, changes));
  if (!done.ok) throw new Error(`${done.change.id}: ${done.fields.join()}`);
  return [...done.rows.values()].reduce((now, r) => write(now, r.change.id, r.after as Row<'supplies'> | null), d);
};

describe('undo', () => {
  test('of any edits in turn gives the same rows back, and redo what they were before', () => {
    const change = fc.record({
      id: fc.constantFrom('a', 'b', 'c', 'd'),
      quantity: fc.integer({ min: 0, max: 9 }),
      gone: fc.boolean(),
    });
    const byId = (d: GarageDocument) => [...d.supplies].sort((x, y) => (x.id < y.id ? -1 : 1));
    fc.assert(
      fc.property(
        fc.array(fc.array(change, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 5 }),
        (list) => {
          let now = doc;
          const edits = list.map((parts) =>
            parts.flatMap(({ id, quantity, gone }): Change[] => {
              const after = gone ? null : row(id, quantity);
              const made = changeOf('supplies', id, at(now, id), after, 1);
              now = write(now, id, after);
              return made ? [made] : [];
            }),
          );
          const end = now;
          for (const e of [...edits].reverse()) now = laid(now, e, true);
          expect(byId(now)).toEqual(byId(doc));
          for (const e of edits) now = laid(now, e, false);
          expect(byId(now)).toEqual(byId(end));
        },
      ),
    );
  });
  test('takes back one’s own fields only, whatever others did to the row since', () => {
    const mine = [changeOf('supplies', 'a', row('a', 1), row('a', 5), 1)!];
    const now = write(doc, 'a', row('a', 5, 'theirs'));
    expect(at(laid(now, mine, true), 'a')).toEqual(row('a', 1, 'theirs'));
  });
  test('says which row others changed in the same place, or deleted, and does nothing by half', () => {
    const mine = [
      changeOf('supplies', 'a', row('a', 1), row('a', 5), 1)!,
      changeOf('supplies', 'b', row('b', 2), row('b', 6), 1)!,
    ];
    const now = write(write(doc, 'a', row('a', 7)), 'b', row('b', 6));
    expect(replayed(mine, true, shown(now, mine))).toMatchObject({
      ok: false,
      change: { id: 'a' },
      fields: ['quantity'],
    });
    expect(replayed(mine, true, shown(write(now, 'b', null), mine))).toMatchObject({ ok: false, change: { id: 'b' } });
    // A row that one made is not taken away from whoever wrote into it since.
    const made = [changeOf('supplies', 'd', null, row('d', 1), 0)!];
    expect(replayed(made, true, shown(write(doc, 'd', row('d', 1, 'theirs')), made))).toMatchObject({ ok: false });
  });
});

test('a row that comes back takes up its old place; new ones go to the end', () => {
  const order = new Map(doc.supplies.map((s, i) => [s.id, i]));
  const without = withRows(doc, [{ table: 'supplies', id: 'b', row: null }], order);
  const more = withRows(without, [{ table: 'supplies', id: 'd', row: row('d', 4) }], order);
  expect(withRows(more, [{ table: 'supplies', id: 'b', row: row('b', 2) }], order).supplies.map((s) => s.id)).toEqual([
    'a',
    'b',
    'c',
    'd',
  ]);
});

describe('a garage as it is kept in the browser', () => {
  const known = (rows: readonly { table: 'supplies'; row: Row<'supplies'>; revision: number; gone?: boolean }[]) => ({
    edition: 7,
    rows: new Map<string, { revision: number; row: Body | null }>([
      [keyOf({ table: 'garage', id: 'g' }), { revision: 4, row: doc.garage as unknown as Body }],
      ...rows.map(
        (r) =>
          [
            keyOf({ table: r.table, id: r.row.id }),
            { revision: r.revision, row: r.gone ? null : (r.row as unknown as Body) },
          ] as const,
      ),
    ]),
  });
  const order = new Map([
    ['a', 0],
    ['b', 1],
    ['c', 2],
  ]);
  test('is what the server has, in its order, without what is deleted', () => {
    const kept = openedOf(
      known([
        { table: 'supplies', row: row('c', 3), revision: 1 },
        { table: 'supplies', row: row('d', 9), revision: 1 },
        { table: 'supplies', row: row('a', 1), revision: 5 },
        { table: 'supplies', row: row('b', 2), revision: 2, gone: true },
      ]),
      'g',
      order,
    )!;
    // What the order does not know yet goes to the end.
    expect(kept.document.supplies.map((s) => s.id)).toEqual(['a', 'c', 'd']);
    expect(kept.revisions.supplies).toEqual({ a: 5, c: 1, d: 1 });
    expect([kept.revision, kept.document.garage.name, kept.document.bikes]).toEqual([4, 'G', []]);
    const all = doc.supplies.map((s, i) => ({ table: 'supplies' as const, row: s, revision: i + 1 }));
    expect(openedOf(known(all), 'g', order)!.document).toEqual(doc);
  });
  test('is none before its own fields are known', () => {
    expect(openedOf({ edition: 1, rows: new Map() }, 'g', order)).toBeNull();
  });
});
