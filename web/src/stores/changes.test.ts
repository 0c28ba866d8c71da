import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { DEFAULT_PRACTICE, emptyDocument, type GarageDocument, type Row } from '@necessaire/core';
import { applied, inverse, merged, type Edit } from './changes';

const row = (id: string, quantity: number) => ({ id, kind: 'patch', quantity, note: '' }) as Row<'supplies'>;
const doc: GarageDocument = {
  ...emptyDocument({
    name: 'G',
    practice: { ...DEFAULT_PRACTICE, adjustable: 'freely', standing: 'never' },
  }),
  supplies: [row('a', 1), row('b', 2), row('c', 3)],
};

describe('edits', () => {
  test('undo of any edit gives the same rows back', () => {
    const change = fc.record({
      id: fc.constantFrom('a', 'b', 'c', 'd'),
      quantity: fc.integer({ min: 0, max: 9 }),
      gone: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 5 }), (list) => {
        let now = doc;
        const edits: Edit[] = list.map(({ id, quantity, gone }) => {
          const before = now.supplies.find((s) => s.id === id) ?? null;
          const edit: Edit = {
            label: 'x',
            rows: [{ table: 'supplies', id, before, after: gone ? null : row(id, quantity) }],
          };
          now = applied(now, edit);
          return edit;
        });
        for (const edit of edits.reverse()) now = applied(now, inverse(edit));
        const byId = (d: GarageDocument) => [...d.supplies].sort((x, y) => (x.id < y.id ? -1 : 1));
        expect(byId(now)).toEqual(byId(doc));
      }),
    );
  });
  test('the garage’s own fields go with it', () => {
    const after = { ...doc.garage, name: 'H' };
    const edit: Edit = { label: 'rename', rows: [], garage: { before: doc.garage, after } };
    expect(applied(doc, edit).garage.name).toBe('H');
    expect(applied(applied(doc, edit), inverse(edit)).garage.name).toBe('G');
  });
});

describe('joining two versions', () => {
  test('fields that only one side changed are kept from it', () => {
    const base = row('a', 1);
    expect(merged(base, { ...base, quantity: 5 }, { ...base, note: 'theirs' })).toEqual({
      ...base,
      quantity: 5,
      note: 'theirs',
    });
  });
  test('the same change on both sides is no quarrel, different ones are', () => {
    const base = row('a', 1);
    expect(merged(base, { ...base, quantity: 5 }, { ...base, quantity: 5 })).toEqual({ ...base, quantity: 5 });
    expect(merged(base, { ...base, quantity: 5 }, { ...base, quantity: 6 })).toBeNull();
  });
});
