import { describe, expect, test } from '@jest/globals';
import { isComplete, itemsComplete, linesOf, readEntry, readItems } from '@necessaire/core';
import { ENTRY_LINES, ITEM_LINES } from './lines';

const UNITS = ['metric', 'inch'] as const;

describe('what the lines teach is what they read', () => {
  test.each(UNITS)('in Walk, %s', (units) => {
    for (const hint of [' at rear wheel', ...ENTRY_LINES.hints(units).map((h) => ` ${h}`)]) {
      const plain = readEntry(`10 bolt`, { inch: units === 'inch' });
      const read = readEntry(`10 bolt${hint}`, { inch: units === 'inch' });
      expect([hint, read.faults, read.asks]).toEqual([hint, [], []]);
      // The hint says something, and nothing of it ends in the name.
      expect([hint, read.draft.name]).toEqual([hint, 'Bolt']);
      expect(read.draft).not.toEqual(plain.draft);
    }
    const shown = readEntry(ENTRY_LINES.placeholder(units), { inch: units === 'inch' });
    expect(isComplete(shown)).toBe(true);
    expect(shown.draft).toMatchObject({ name: 'Axle nut', torque: expect.anything() });
  });
  test.each(UNITS)('in Match, %s', (units) => {
    for (const hint of ITEM_LINES.hints(units)) {
      const { items, parts } = readItems(`socket 3/8 13 ${hint}`);
      expect([hint, items.length, parts.some((p) => p.what === 'name')]).toEqual([hint, 1, false]);
      expect(items).not.toEqual(readItems('socket 3/8 13').items);
    }
    expect(itemsComplete(readItems(ITEM_LINES.placeholder))).toBe(true);
    const [ties, set] = ITEM_LINES.alone.map((l) => readItems(l));
    expect(ties?.items).toEqual([{ at: 'spare', spare: { kind: 'cable tie', quantity: 20, note: '' } }]);
    expect(set?.asks[0]?.question).toBe('Which set?');
  });
  test('the lists that are shown as examples are read whole', () => {
    for (const l of linesOf(ENTRY_LINES.list)) expect([l, isComplete(readEntry(l))]).toEqual([l, true]);
    for (const l of linesOf(ITEM_LINES.list)) expect([l, itemsComplete(readItems(l))]).toEqual([l, true]);
  });
});
