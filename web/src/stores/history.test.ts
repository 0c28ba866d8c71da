import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { changeOf, type Body, type Change } from '@necessaire/core';
import { History } from './history';

type Table = ReadonlyMap<string, Body>;
const row = (id: string, quantity: number, note = ''): Body => ({ id, kind: 'patch', quantity, note });
const START: Table = new Map(['a', 'b', 'c'].map((id, i) => [id, row(id, i)]));
const write = (t: Table, id: string, body: Body | null): Table => {
  const next = new Map(t);
  if (body) next.set(id, body);
  else next.delete(id);
  return next;
};
const sorted = (t: Table) => [...t.entries()].sort(([a], [b]) => (a < b ? -1 : 1));

/** A page in little: a table, own edits with undo and redo, and what somebody else does to the same rows. */
class Page {
  table = START;
  readonly history: History;
  constructor(most: number) {
    this.history = new History(most);
  }
  edit(id: string, after: Body | null): boolean {
    const change = changeOf('supplies', id, this.table.get(id) ?? null, after, 1);
    if (!change) return false;
    this.table = write(this.table, id, after);
    this.history.add({ label: id, changes: [change] });
    return true;
  }
  turn(undo: boolean) {
    const turned = this.history.turn(undo, (c: Change) => this.table.get(c.id) ?? null);
    if (turned.is === 'turned') for (const r of turned.rows) this.table = write(this.table, r.change.id, r.after);
    return turned.is;
  }
}

const step = fc.oneof(
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constant('edit' as const),
      id: fc.constantFrom('a', 'b', 'c', 'd'),
      n: fc.nat(9),
      gone: fc.boolean(),
    }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('undo' as const) }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('redo' as const) }) },
);

describe('undo and redo', () => {
  test('do what a plain list of all states does, whatever is edited, undone and done again', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), fc.integer({ min: 1, max: 6 }), (steps, most) => {
        const page = new Page(most);
        // The model: every state that one can go back to, the one on show, those that one can go forth to.
        let past: Table[] = [];
        let now: Table = START;
        let future: Table[] = [];
        for (const s of steps) {
          if (s.do === 'edit') {
            if (!page.edit(s.id, s.gone ? null : row(s.id, s.n))) continue;
            past = [...past, now].slice(-most);
            future = [];
            now = page.table;
          } else if (s.do === 'undo') {
            const was = past.at(-1);
            expect(page.turn(true)).toBe(was ? 'turned' : 'nothing');
            if (!was) continue;
            past = past.slice(0, -1);
            future = [...future, now];
            now = was;
          } else {
            const next = future.at(-1);
            expect(page.turn(false)).toBe(next ? 'turned' : 'nothing');
            if (!next) continue;
            future = future.slice(0, -1);
            past = [...past, now];
            now = next;
          }
          expect(sorted(page.table)).toEqual(sorted(now));
          expect(page.history.undoable.length).toBe(past.length);
          expect(page.history.redoable.length).toBe(future.length);
        }
      }),
    );
  });
  test('what somebody else wrote into other fields stays', () => {
    const page = new Page(10);
    page.edit('a', row('a', 7));
    page.table = write(page.table, 'a', row('a', 7, 'theirs'));
    expect(page.turn(true)).toBe('turned');
    expect(page.table.get('a')).toEqual(row('a', 0, 'theirs'));
    expect(page.turn(false)).toBe('turned');
    expect(page.table.get('a')).toEqual(row('a', 7, 'theirs'));
  });
  test('where somebody else changed the same, it says so, changes nothing, and the edit before it can still be undone', () => {
    const page = new Page(10);
    page.edit('b', row('b', 5));
    page.edit('a', row('a', 7));
    page.table = write(page.table, 'a', row('a', 8));
    const before = page.table;
    expect(page.turn(true)).toBe('blocked');
    expect(page.table).toBe(before);
    expect(page.history.redoable).toEqual([]);
    expect(page.turn(true)).toBe('turned');
    expect(page.table.get('b')).toEqual(row('b', 1));
    expect(page.table.get('a')).toEqual(row('a', 8));
    expect(page.turn(true)).toBe('nothing');
  });
  test('nothing is left of it once it is cleared', () => {
    const page = new Page(10);
    page.edit('a', row('a', 7));
    page.turn(true);
    page.edit('b', row('b', 7));
    page.history.clear();
    expect([page.turn(true), page.turn(false)]).toEqual(['nothing', 'nothing']);
  });
});
