import { describe, expect, test } from '@jest/globals';
import { uuid } from '../../testing/make.js';
import { judge, type Change } from './change.js';
import { bases, questions, withAnswer, type Entry, type Known } from './outbox.js';

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

describe('the rider’s answer about a row that two sides changed', () => {
  const setField = (id: string, field: string, now: unknown): Change => ({
    ...{ kind: 'set', table: 'pieces', id, base: 3 },
    fields: [{ field, was: 'old', now }],
  });
  const heard: Known = {
    edition: 9,
    rows: new Map([
      [`pieces ${a}`, { revision: 5, row: { name: 'theirs', note: 'old' } }],
      [`pieces ${b}`, { revision: 6, row: { name: 'theirs', note: 'old' } }],
      [`fasteners ${a}`, { revision: 2, row: { name: 'a fastener' } }],
    ]),
  };
  const asked = (n: number, changes: Change[], at: { change: number; fields: string[] }[]): Entry =>
    entry(n, changes, { state: 'asked', at: at.map((x) => ({ ...x, last: null })) });
  const mineA = setField(a, 'name', 'mine');
  const mineB = setField(b, 'name', 'mine');
  let next = 500;
  const answer = (entries: Entry[], keep: 'mine' | 'theirs', id = a) => {
    const question = questions(heard, entries).find((q) => q.table === 'pieces' && q.id === id)!;
    return withAnswer(heard, entries, question, keep, () => uuid(next++));
  };
  test('is asked once a row, with both versions and the fields that both changed', () => {
    const entries = [
      asked(1, [mineA], [{ change: 0, fields: ['name'] }]),
      asked(2, [setField(a, 'note', 'mine')], [{ change: 0, fields: ['note'] }]),
    ];
    expect(questions(heard, entries)).toEqual([
      {
        ...{ table: 'pieces', id: a, fields: ['name', 'note'] },
        ...{ theirs: { name: 'theirs', note: 'old' }, mine: { name: 'mine', note: 'mine' } },
      },
    ]);
  });
  test('mine is written over theirs, made on what is there now, under an id of its own', () => {
    const [one] = [asked(1, [mineA], [{ change: 0, fields: ['name'] }])];
    const [after, ...more] = answer([one], 'mine');
    expect(more).toEqual([]);
    expect(after).toMatchObject({ state: 'unsent', edit: { changes: [{ kind: 'set', id: a, base: 5 }] } });
    expect(after!.edit.id).not.toBe(one.edit.id);
    expect(
      judge(after!.edit.changes[0]!, { revision: 5, deleted: false, row: heard.rows.get(`pieces ${a}`)!.row! }),
    ).toEqual({
      ...{ is: 'write', row: { name: 'mine', note: 'old' } },
    });
  });
  test('theirs leaves nothing to do where nothing else was changed', () => {
    expect(answer([asked(1, [mineA], [{ change: 0, fields: ['name'] }])], 'theirs')).toEqual([]);
  });
  test('what waits for no answer, or for another row, stays as it is', () => {
    const others = [
      entry(1, [setField(a, 'name', 'later')]),
      entry(2, [mineA], refused),
      asked(3, [mineB], [{ change: 0, fields: ['name'] }]),
      entry(4, [{ ...mineA, table: 'fasteners' } as Change]),
    ];
    const after = answer([...others, asked(5, [mineA], [{ change: 0, fields: ['name'] }])], 'theirs');
    expect(after).toEqual(others);
    const same = asked(6, [{ ...mineA, table: 'fasteners' } as Change], [{ change: 0, fields: ['name'] }]);
    expect(answer([same, asked(5, [mineA], [{ change: 0, fields: ['name'] }])], 'theirs')).toEqual([same]);
  });
  test('an edit of several rows keeps the others, and waits on for those that are still asked', () => {
    const both = asked(
      1,
      [mineA, setField(c, 'name', 'free'), mineB],
      [
        { change: 0, fields: ['name'] },
        { change: 2, fields: ['name'] },
      ],
    );
    const [left] = answer([both], 'theirs');
    expect(left).toMatchObject({ state: 'asked', at: [{ change: 1, fields: ['name'] }] });
    expect(left!.edit.changes.map((x) => x.id)).toEqual([c, b]);
    const [done] = answer([left!], 'theirs', b);
    expect(done).toMatchObject({ state: 'unsent' });
    expect(done!.edit.changes.map((x) => x.id)).toEqual([c]);
    const [mine] = answer([both], 'mine');
    expect(mine!.edit.changes.map((x) => x.id)).toEqual([a, c, b]);
    expect(mine).toMatchObject({ state: 'asked', at: [{ change: 2 }] });
  });
  test('several edits of one row are one answer, with the first of them', () => {
    const entries = [
      asked(1, [mineA, setField(c, 'name', 'x')], [{ change: 0, fields: ['name'] }]),
      asked(2, [setField(a, 'note', 'mine'), setField(c, 'note', 'y')], [{ change: 0, fields: ['note'] }]),
    ];
    const after = answer(entries, 'mine');
    expect(after.map((e) => e.edit.changes.map((x) => x.id))).toEqual([[a, c], [c]]);
    expect(after[0]!.edit.changes[0]).toMatchObject({ kind: 'set', base: 5 });
  });
  test('where theirs is another by now, nothing is decided', () => {
    const entries = [asked(1, [mineA], [{ change: 0, fields: ['name'] }])];
    const stale = { table: 'pieces' as const, id: a, theirs: { name: 'before' } };
    expect(withAnswer(heard, entries, stale, 'mine', () => uuid(1))).toEqual(entries);
    expect(withAnswer(heard, entries, { ...stale, id: b }, 'mine', () => uuid(1))).toEqual(entries);
  });
});
