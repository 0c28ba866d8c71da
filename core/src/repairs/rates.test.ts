import { describe, expect, test } from '@jest/globals';
import { newGarage } from '../garage/index.js';
import { troublesIn } from '../trip/odds/index.js';
import { TROUBLES } from './known.js';
import { ownRatesSchema, rateIn, setRate, withRates } from './rates.js';

const drowned = TROUBLES.find((t) => t.id === 'drowned')!;

describe('rates that the rider knows better', () => {
  test('one cell takes the place of the typical value, all others stay', () => {
    const own = setRate(setRate([], 'fuse', 'track', 0.5), 'drowned', 'crossing', 0.2);
    const then = withRates(TROUBLES, own);
    const fuse = then.find((t) => t.id === 'fuse')!;
    expect(fuse.rate).toEqual({ paved: 0.01, gravel: 0.02, track: 0.5 });
    expect(
      rateIn(
        then.find((t) => t.id === 'drowned')!,
        'crossing',
      ),
    ).toBe(0.2);
    expect(rateIn(drowned, 'crossing')).toBe(0.01);
    then.forEach((t, i) => {
      if (t.id !== 'fuse' && t.id !== 'drowned') expect(t).toEqual(TROUBLES[i]);
    });
    expect(withRates(TROUBLES, [])).toBe(TROUBLES);
  });
  test('set again the later counts, set back the typical value does', () => {
    const twice = setRate(setRate([], 'fuse', 'paved', 1), 'fuse', 'paved', 2);
    expect(twice).toEqual([{ trouble: 'fuse', on: 'paved', rate: 2 }]);
    expect(setRate(twice, 'fuse', 'paved', null)).toEqual([]);
    expect(setRate(twice, 'fuse', 'track', null)).toEqual(twice);
  });
  test('a garage’s troubles have them', () => {
    const garage = newGarage({ name: 'G', rates: [{ trouble: 'chain', on: 'gravel', rate: 3 }] });
    expect(troublesIn({ garage, mends: [] }).find((t) => t.id === 'chain')!.rate.gravel).toBe(3);
  });
  test.each([-1, 101, Number.NaN, Infinity])('a rate of %d is refused', (rate) => {
    expect(ownRatesSchema.safeParse([{ trouble: 'fuse', on: 'paved', rate }]).success).toBe(false);
  });
});
