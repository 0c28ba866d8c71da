import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { uuid } from '../testing/make.js';
import { atHand, lentOut, loanSchema, type Loan } from './loan.js';

let n = 100;
const nextId = () => uuid(n++);

describe('what is lent', () => {
  const doc = demoGarage();
  const loan = (item: string, count: number, settled: Loan['settled'] = null): Loan => ({
    ...{ id: nextId(), item, name: 'x', count, to: 'Oke', date: '2026-11-01', settled, note: '' },
  });
  test('nothing lent is the very same garage', () => {
    expect(atHand(doc)).toBe(doc);
    const back = { ...doc, loans: [loan(`piece ${doc.pieces[0]!.id}`, 1, { how: 'back', date: '2026-11-02' })] };
    expect(atHand(back)).toBe(back);
  });
  test('a tool is gone until it is back, a spare by so many', () => {
    const piece = doc.pieces.find((p) => p.count === 1)!;
    const spare = doc.supplies.find((s) => s.quantity > 3)!;
    const lent = {
      ...doc,
      loans: [loan(`piece ${piece.id}`, 1), loan(`spare ${spare.id}`, 2), loan(`spare ${spare.id}`, 1)],
    };
    expect(lentOut(lent.loans).get(`spare ${spare.id}`)).toBe(3);
    const left = atHand(lent);
    expect(left.pieces.map((p) => p.id)).not.toContain(piece.id);
    expect(left.supplies.find((s) => s.id === spare.id)!.quantity).toBe(spare.quantity - 3);
    // More than there is leaves none.
    const all = atHand({ ...doc, loans: [loan(`spare ${spare.id}`, 999)] });
    expect(all.supplies.find((s) => s.id === spare.id)!.quantity).toBe(0);
  });
  test('is taken off once, however often it is asked for', () => {
    const spare = doc.supplies.find((s) => s.quantity > 3)!;
    const three = { ...doc, pieces: doc.pieces.map((p, i) => (i === 0 ? { ...p, count: 3 } : p)) };
    const left = atHand({ ...three, loans: [loan(`piece ${doc.pieces[0]!.id}`, 1), loan(`spare ${spare.id}`, 1)] });
    expect(left.pieces[0]!.count).toBe(2);
    expect(atHand(left)).toBe(left);
    expect(atHand({ ...left }).supplies).toEqual(left.supplies);
  });
  test('a loan as it is stored: a count of one at least, settled by a known way on a day, or not', () => {
    const ok = (change: object) => loanSchema.safeParse({ ...loan('piece x', 1), ...change }).success;
    expect([1, 1000, 0, 1001, 1.5].map((count) => ok({ count }))).toEqual([true, true, false, false, false]);
    expect(['', 'x'.repeat(80), 'x'.repeat(81)].map((item) => ok({ item }))).toEqual([false, true, false]);
    const settled = (how: string, date: string, more = {}) => ok({ settled: { how, date, ...more } });
    expect([
      settled('back', '2026-11-02'),
      settled('gone', '2026-11-02'),
      settled('eaten', '2026-11-02'),
      settled('back', 'today'),
      settled('back', '2026-11-02', { by: 'me' }),
      ok({ colour: 'red' }),
    ]).toEqual([true, true, false, false, false, false]);
  });
});
