import { describe, expect, test } from '@jest/globals';
import { bareAsk, bareWay, unitsOfKind } from '../testing/smallKits.js';
import { bestOfShares, lightestOfShares, moreOfShare } from './shares.js';

const least = (total: number, more: { served?: boolean; gap?: number; proven?: boolean } = {}) => ({
  total,
  served: true,
  gap: 0,
  proven: true,
  ...more,
});
const most = (net: number, more: { value?: number; bound?: number; proven?: boolean; gap?: number } = {}) => ({
  net,
  value: net,
  bound: net,
  proven: true,
  gap: 0,
  ...more,
});

describe('the lightest of several shares', () => {
  test.each([
    ['the lighter', [least(300), least(200), least(250)], 1],
    ['the first of equals', [least(200), least(200)], 0],
    ['the first where nothing but rounding tells them apart', [least(200), least(200 - 1e-10)], 0],
    ['one that meets the level before a lighter one that does not', [least(100, { served: false }), least(300)], 1],
    ['that one also where it comes first', [least(300), least(100, { served: false })], 0],
    ['the lighter where none meets it', [least(300, { served: false }), least(100, { served: false })], 1],
  ])('is %s', (_, all, which) => {
    expect(lightestOfShares(all, 0).best).toBe(all[which]);
  });
  test('is proven where every share is, and none of them could be lighter', () => {
    expect(lightestOfShares([least(200), least(300)], 0)).toMatchObject({ proven: true, gap: 0 });
    expect(lightestOfShares([least(200), least(300, { proven: false })], 0)).toMatchObject({ proven: false, gap: 0 });
    // 210 less a tenth of it: 11 g below the best.
    const open = lightestOfShares([least(200), least(210, { gap: 0.1 })], 0);
    expect(open).toMatchObject({ proven: false, gap: expect.closeTo(11 / 200, 12) });
    // 20 g that a share which nobody looked at might save.
    expect(lightestOfShares([least(200)], 20)).toMatchObject({ proven: false, gap: expect.closeTo(0.1, 12) });
  });
  test('of nothing is nothing, without a gap', () => {
    expect(lightestOfShares([least(0)], 5)).toMatchObject({ proven: true, gap: 0 });
  });
});

describe('what saves most over several shares', () => {
  test.each([
    ['the greater', [most(3), most(5), most(4)], 1],
    ['the first of equals', [most(5), most(5)], 0],
    ['the first where nothing but rounding tells them apart', [most(5), most(5 + 1e-10)], 0],
  ])('is %s', (_, all, which) => {
    expect(bestOfShares(all, 0).best).toBe(all[which]);
  });
  test('is proven where every share is and none could save more', () => {
    expect(bestOfShares([most(5, { gap: 0.25 }), most(3)], 0)).toMatchObject({ proven: true, gap: 0.25 });
    expect(bestOfShares([most(5), most(3, { proven: false })], 0)).toMatchObject({ proven: false, gap: 0 });
    // Another share might come to 6: 1 hour of the 8 that this kit saves.
    const open = bestOfShares([most(5, { value: 8 }), most(3, { bound: 6 })], 0);
    expect(open).toMatchObject({ proven: false, gap: 1 / 8 });
    expect(bestOfShares([most(5, { value: 8 })], 2)).toMatchObject({ proven: false, gap: 2 / 8 });
    // Less than what counts as nothing is nothing.
    expect(bestOfShares([most(5)], 1e-6)).toMatchObject({ proven: true });
  });
  test('is never further from proven than all of it', () => {
    expect(bestOfShares([most(1, { bound: 9 })], 0).gap).toBe(1);
    expect(bestOfShares([most(0, { bound: 9 })], 0).gap).toBe(1);
    // What is saved for certain is no gap, however little the others are proven.
    expect(bestOfShares([most(5), most(3, { proven: false, bound: 4 })], -2).gap).toBe(0);
  });
});

describe('what another share could save more', () => {
  const fuse = bareWay({ supplies: [unitsOfKind('fuse', 1)], gain: 4 });
  const twoFuses = bareWay({ supplies: [unitsOfKind('fuse', 2)], gain: 6 });
  const patch = bareWay({ supplies: [unitsOfKind('patch', 1)], gain: 100 });
  const ask = (n: number, ways = [fuse]) => ({
    asks: [bareAsk('a', [0.5, 0.2, 0.1], ways, { fitted: new Map(n > 0 ? [['fuse', n]] : []) })],
  });
  test('is as many first repairs as it gives units more, by the way that saves most with them', () => {
    expect(moreOfShare(ask(0), ask(1))).toBeCloseTo(0.5 * 4, 12);
    expect(moreOfShare(ask(0), ask(2))).toBeCloseTo((0.5 + 0.2) * 4, 12);
    expect(moreOfShare(ask(1), ask(2))).toBeCloseTo(0.5 * 4, 12);
    expect(moreOfShare(ask(0), ask(9))).toBeCloseTo(0.8 * 4, 12);
  });
  test('takes the way with the fewest units and the one that saves most as one: no share saves more', () => {
    expect(moreOfShare(ask(0), ask(2, [fuse, twoFuses, patch]))).toBeCloseTo((0.5 + 0.2) * 6, 12);
    expect(moreOfShare(ask(0), ask(2, [twoFuses]))).toBeCloseTo(0.5 * 6, 12);
  });
  test('is nothing where it gives as much or less, or nothing that any way uses', () => {
    expect(moreOfShare(ask(2), ask(2))).toBe(0);
    expect(moreOfShare(ask(2), ask(1))).toBe(0);
    expect(moreOfShare(ask(0), ask(2, [patch]))).toBe(0);
  });
  test('adds up over troubles and kinds', () => {
    const kinds = new Map([
      ['fuse', 1],
      ['patch', 1],
    ]);
    const both = { asks: [bareAsk('a', [0.5], [fuse, patch], { fitted: kinds }), ask(1).asks[0]!] };
    const none = { asks: [ask(0).asks[0]!, ask(0).asks[0]!] };
    expect(moreOfShare(none, both)).toBeCloseTo(0.5 * 4 + 0.5 * 100 + 0.5 * 4, 12);
  });
});
