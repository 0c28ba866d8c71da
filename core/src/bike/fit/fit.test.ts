import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { Shape } from '../../ground/sizes/index.js';
import { headBand, openingBand, keyBand, keySocketBand } from './bands.js';
import { freePlay, freePlayTwelvePoint, TWELVE_POINT_SPINS } from './freePlay.js';
import { fit, pairVerdict, worstOwnPlay } from './verdict.js';

const hex = (size: string): Shape => ({ form: 'hex', size });
const key = (size: string): Shape => ({ form: 'key', size });

test('a shape that is no match goes on nowhere; one that is its own goes on, and is said to', () => {
  const sure = (verdict: 'fits' | 'no') => ({ fits: 0, loose: 0, rounds: 0, no: 0, [verdict]: 1 });
  const none = fit({ form: 'lobe', size: '30' }, hex('10'), 'six');
  expect(none).toMatchObject({ verdict: 'no', goesOn: 0, odds: sure('no'), worstPlay: Number.NaN });
  expect(none.reason.code).toMatch(/^fit\./u);
  const own = fit({ form: 'valve', size: 'core' }, { form: 'valve', size: 'core' }, 'six');
  expect(own).toMatchObject({ verdict: 'fits', goesOn: 1, odds: sure('fits'), worstPlay: Number.NaN });
  expect(own.reason.code).toMatch(/^fit\./u);
});

describe('free play', () => {
  test.each([
    [10.115, 9.89, 2.34],
    [10.19, 9.78, 4.47],
    [13.14, 12.7, 3.64],
    [13.14, 12.42, 6.38],
    [14.36, 13.87, 3.72],
    [8.09, 7.83, 3.48],
    [15.17, 13.87, 11.3],
    [11.12, 9.89, 16.84],
  ])('opening %p on head %p turns %p°', (w, s, theta) => {
    // The table gives two digits, worked from rounded openings.
    expect(Math.abs(freePlay(w, s) - theta)).toBeLessThan(0.035);
  });

  test('bounds: does not go on, bites at once, spins', () => {
    expect(freePlay(9.9, 10)).toBeNaN();
    expect(freePlay(10, 10)).toBeCloseTo(0, 6);
    expect(freePlay(10 * 1.16, 10)).toBe(30);
    expect(freePlayTwelvePoint(10 * (TWELVE_POINT_SPINS + 1e-6), 10)).toBe(15);
    expect(TWELVE_POINT_SPINS).toBeCloseTo(1.1154, 4);
  });

  /** Oracle: turn a hexagon inside another until a corner passes a flat, by bisection on plain geometry. */
  function turnsUntilItTouches(opening: number, hexagon: number): number {
    const corner = hexagon / 2 / Math.cos(Math.PI / 6);
    const inside = (degrees: number) =>
      Array.from({ length: 6 }, (_, i) => ((30 + 60 * i + degrees) * Math.PI) / 180).every((a) =>
        Array.from({ length: 6 }, (_, j) => (60 * j * Math.PI) / 180).every(
          (normal) => corner * Math.cos(a - normal) <= opening / 2 + 1e-12,
        ),
      );
    let [lo, hi] = [0, 30];
    for (let i = 0; i < 60; i++) {
      const mid = (lo + hi) / 2;
      if (inside(mid)) lo = mid;
      else hi = mid;
    }
    return lo;
  }

  test('agrees with two polygons turned until they touch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 1.0005, max: 1.15, noNaN: true }),
        (s, ratio) => {
          expect(freePlay(s * ratio, s)).toBeCloseTo(turnsUntilItTouches(s * ratio, s), 3);
        },
      ),
    );
  });
});

describe('made bands', () => {
  test('metric and inch heads, openings, keys', () => {
    expect(headBand('10')).toEqual({ min: 9.78, max: 10 });
    expect(headBand('13').min).toBeCloseTo(12.73, 9);
    expect(headBand('36').min).toBeCloseTo(35.38, 9);
    expect(headBand('1/2in').min).toBeCloseTo(12.7 * 0.975, 9);
    expect(headBand('3in').min).toBeCloseTo(76.2 - 1.3, 9);
    expect(openingBand('10').max).toBeCloseTo(10.19, 9);
    expect(openingBand('13').max).toBeCloseTo(13.24, 9);
    expect(keyBand('6').min).toBeCloseTo(5.92, 9);
    expect(keySocketBand('6').max).toBeCloseTo(6.14, 9);
  });
  test('worst made pairs of a size with itself', () => {
    expect(worstOwnPlay(hex('10'), 'six')).toBeCloseTo(4.47, 2);
    expect(worstOwnPlay(hex('7'), 'six')).toBeCloseTo(5.61, 2);
    expect(worstOwnPlay(hex('13'), 'six')).toBeCloseTo(4.25, 2);
  });
});

describe('verdicts', () => {
  test('a size fits itself in every form', () => {
    for (const grip of ['six', 'twelve', 'open'] as const) expect(fit(hex('10'), hex('10'), grip).verdict).toBe('fits');
    expect(fit(key('5'), key('5'), 'six').verdict).toBe('fits');
    expect(fit({ form: 'lobe', size: '30' }, { form: 'lobe', size: '30' }, 'six').verdict).toBe('fits');
  });
  test('a 14 goes on two of three 9/16 heads, so it is not relied on', () => {
    const result = fit(hex('14'), hex('9/16in'), 'six');
    expect(result.goesOn).toBeGreaterThan(0.6);
    expect(result.goesOn).toBeLessThan(0.74);
    expect(result.verdict).toBe('no');
  });
  test('near pairs and deceptive ones', () => {
    expect(fit(hex('13'), hex('1/2in'), 'six').verdict).toBe('loose');
    expect(fit(hex('10'), hex('3/8in'), 'six').verdict).not.toBe('fits');
    expect(fit(hex('11'), hex('10'), 'six').verdict).toBe('rounds');
    expect(fit(hex('10'), hex('11'), 'six').verdict).toBe('no');
    expect(fit(hex('8'), hex('5/16in'), 'six').verdict).toBe('fits');
  });
  test('odds are shares of made pairs', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('8', '10', '13', '1/2in', '9/16in', '14'),
        fc.constantFrom('8', '10', '13', '1/2in', '14'),
        (t, h) => {
          const { odds } = fit(hex(t), hex(h), 'six');
          expect(odds.fits + odds.loose + odds.rounds + odds.no).toBeCloseTo(1, 9);
        },
      ),
    );
  });
  test('one made pair, and the twelve-point rule', () => {
    expect(pairVerdict(13.14, 12.42, 'six', 4.25)).toBe('loose');
    expect(pairVerdict(15.17, 13.87, 'six', 4)).toBe('rounds');
    expect(pairVerdict(10.45, 9.95, 'twelve', 3)).toBe('loose');
    expect(pairVerdict(11.2, 10, 'twelve', 3)).toBe('rounds');
    expect(pairVerdict(9.9, 10, 'six', 3)).toBe('no');
  });
  test('drivers: the Japanese cross is ruined by PH, twelve-point heads take twelve-point only', () => {
    expect(fit({ form: 'ph', size: '2' }, { form: 'jis', size: '2' }, 'six').verdict).toBe('rounds');
    expect(fit({ form: 'jis', size: '2' }, { form: 'ph', size: '2' }, 'six').verdict).toBe('loose');
    expect(fit(hex('10'), { form: 'hex12', size: '10' }, 'six').verdict).toBe('no');
    expect(fit(hex('10'), { form: 'hex12', size: '10' }, 'twelve').verdict).toBe('fits');
    expect(fit({ form: 'slot', size: '6' }, { form: 'slot', size: '6.5' }, 'six').verdict).toBe('fits');
    expect(fit({ form: 'slot', size: '6' }, { form: 'slot', size: '9' }, 'six').verdict).toBe('loose');
    expect(fit({ form: 'slot', size: '9' }, { form: 'slot', size: '6' }, 'six').verdict).toBe('no');
  });
});

describe('where one verdict ends and the next begins', () => {
  /** Opening on a head of 13 mm with so much free play, found by halving. */
  const openingWith = (play: number, of: (w: number, s: number) => number) => {
    let [low, high] = [13, 13 * 1.1];
    for (let i = 0; i < 80; i++) {
      const middle = (low + high) / 2;
      if (of(middle, 13) < play) low = middle;
      else high = middle;
    }
    return low;
  };
  test.each([
    ['six', 4.95, 'fits'],
    ['six', 5.05, 'loose'],
    ['six', 8.95, 'loose'],
    ['six', 9.05, 'rounds'],
    ['open', 4.95, 'fits'],
    ['open', 5.05, 'loose'],
    ['twelve', 3.95, 'fits'],
    ['twelve', 4.05, 'loose'],
    ['twelve', 6.95, 'loose'],
    ['twelve', 7.05, 'rounds'],
  ] as const)('%s points at %f degrees: %s', (grip, play, verdict) => {
    const opening = openingWith(play, grip === 'twelve' ? freePlayTwelvePoint : freePlay);
    expect(pairVerdict(opening, 13, grip, 0)).toBe(verdict);
  });
  test('a size’s own worst play is no fault of it', () => {
    const opening = openingWith(6, freePlay);
    expect([pairVerdict(opening, 13, 'six', 0), pairVerdict(opening, 13, 'six', 6.1)]).toEqual(['loose', 'fits']);
  });
  test('the worst outcome of more than one made pair in twenty counts, whatever the sizes', () => {
    const sizes = [
      '8',
      '5/16in',
      '9',
      '10',
      '3/8in',
      '11',
      '7/16in',
      '12',
      '13',
      '1/2in',
      '14',
      '9/16in',
      '17',
      '11/16in',
    ];
    let rare = 0;
    for (const t of sizes)
      for (const h of sizes)
        for (const grip of ['six', 'twelve', 'open'] as const) {
          const { odds, verdict } = fit(hex(t), hex(h), grip);
          const worst = (['no', 'rounds', 'loose'] as const).find((v) => odds[v] > 0.05) ?? 'fits';
          expect([t, h, grip, verdict]).toEqual([t, h, grip, worst]);
          if ((['no', 'rounds', 'loose'] as const).some((v) => odds[v] > 0.05 && odds[v] < 0.15)) rare++;
        }
    // Some of them hang on one pair in twenty and not one in seven.
    expect(rare).toBeGreaterThan(0);
  });
});
