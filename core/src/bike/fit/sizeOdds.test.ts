import { long } from '../../testing/long.js';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { seeded } from '../devices/index.js';
import { FORM_SIZES, type Head, type Shape } from '../../ground/sizes/index.js';
import { headBand, keyBand, keySocketBand, openingBand } from './bands.js';
import { freePlay } from './freePlay.js';
import { HAND, meanSpread, NO_GAUGING, readingSpread, repeats, SPREADS, WEAR, type Gauging } from './gauging.js';
import { lobePlay, lobeRadius, lobeToolBand } from './lobes.js';
import { nextTry, sizeOdds } from './sizeOdds.js';
import { gaugedBand, saidOf, seats } from './tried.js';
import { worstOwnPlay } from './verdict.js';

const gauging = (readings: number[], extra: Partial<Gauging> = {}): Gauging => ({ ...NO_GAUGING, readings, ...extra });
const hex = (size: string): Head => ({ form: 'hex', size });
const oddsOf = (form: Head['form'], g: Gauging, size: string) =>
  sizeOdds(form, g).sizes.find((s) => s.head.size === size)?.odds ?? 0;

/** Area under a normal curve of spread u round r, from a to b, by Simpson's rule on a grid of its own. */
function area(r: number, u: number, a: number, b: number): number {
  const steps = 600;
  const h = (b - a) / steps;
  const f = (x: number) => Math.exp(-((x - r) ** 2) / (2 * u * u));
  let sum = f(a) + f(b);
  for (let i = 1; i < steps; i++) sum += f(a + i * h) * (i % 2 === 1 ? 4 : 2);
  return (sum * h) / 3;
}

describe('from readings to a size', () => {
  test('a uniform made band folded with the reading’s spread, against areas by Simpson’s rule', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 30, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('clean' as const, 'worn' as const),
        (reading, n, surface) => {
          const g = gauging(
            Array.from({ length: n }, () => reading),
            { surface },
          );
          // The band folded with wear and hand is the band folded with both: wear is not read away.
          const u = meanSpread(g);
          const likelihood = (size: string) => {
            const { min, max } = headBand(size);
            return area(reading, u, min, max) / (max - min);
          };
          const sizes = FORM_SIZES.hex!;
          const total = sizes.reduce((s, size) => s + likelihood(size), 0);
          for (const { head, odds } of sizeOdds('hex', g).sizes)
            expect(Math.abs(odds - likelihood(head.size) / total)).toBeLessThan(surface === 'clean' ? 1e-6 : 0.004);
        },
      ),
      { numRuns: 40 },
    );
  });

  long.each([1, 3, 5, 10])('worn heads read %i times are as often right as is said', (n) => {
    const random = seeded(11 + n);
    const sizes = FORM_SIZES.hex!;
    let [said, right, surely, surelyRight, sure] = [0, 0, 0, 0, 0];
    const heads = 1500;
    for (let i = 0; i < heads; i++) {
      const size = sizes[Math.floor(random.uniform() * sizes.length)]!;
      const { min, max } = headBand(size);
      // Made once, worn once, read n times.
      const now = min + (max - min) * random.uniform() + WEAR.worn * random.normal();
      const readings = Array.from({ length: n }, () => now + HAND.worn * random.normal());
      const { sizes: odds, settled } = sizeOdds('hex', gauging(readings, { surface: 'worn' }));
      const best = odds[0]!;
      said += best.odds;
      right += Number(best.head.size === size);
      if (!settled) continue;
      sure++;
      surely += best.odds;
      surelyRight += Number(best.head.size === size);
    }
    expect(Math.abs(said - right) / heads).toBeLessThan(0.02);
    expect(Math.abs(surely - surelyRight) / sure).toBeLessThan(0.02);
  });
  test('the likeliest measure of the head itself, against the mean over what it was made and how it wore', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 30, noNaN: true }),
        fc.constantFrom(1, 4, 25, 100),
        fc.constantFrom('clean' as const, 'worn' as const),
        (reading, n, surface) => {
          const g = gauging(
            Array.from({ length: n }, () => reading),
            { surface },
          );
          const [u, w] = [readingSpread(g) / Math.sqrt(n), WEAR[surface]];
          // Of a head made x, worn by w and read r ± u: what it measures now lies between both by their weights.
          const now = (x: number) => (w === 0 ? x : (x * u * u + reading * w * w) / (u * u + w * w));
          let [sum, moment] = [0, 0];
          for (const size of FORM_SIZES.hex!) {
            const { min, max } = headBand(size);
            const steps = 4000;
            for (let i = 0; i < steps; i++) {
              const x = min + ((max - min) * (i + 0.5)) / steps;
              const p = Math.exp(-((reading - x) ** 2) / (2 * (u * u + w * w))) / steps;
              sum += p;
              moment += p * now(x);
            }
          }
          // Where no size is near there is nothing to weigh by.
          fc.pre(sum > 1e-12);
          expect(Math.abs(sizeOdds('hex', g).measure - moment / sum)).toBeLessThan(0.002);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('many readings of one head leave its size alone, however narrow their spread is', () => {
    // A hundred readings strike a band that is thirty of their spreads wide: only there is it looked at closely.
    const g = gauging(
      Array.from({ length: 400 }, () => 12.86),
      { surface: 'clean' },
    );
    const sized = sizeOdds('hex', g);
    expect(sized.sizes[0]).toMatchObject({ head: { size: '13' }, inch: false });
    expect(sized.sizes[0]!.odds).toBeCloseTo(1, 6);
    expect(sized.measure).toBeCloseTo(12.86, 3);
  });
  test('a size of which nobody has any has no odds, whatever is read', () => {
    const sized = sizeOdds('hex', gauging([12.9]), (head) => (head.size === '13' ? 0 : 1));
    expect(sized.sizes.some((s) => s.head.size === '13')).toBe(false);
    expect(sizeOdds('hex', gauging([12.9]), () => 0)).toMatchObject({ sizes: [], settled: false, measure: 12.9 });
  });
  test('a single reading of a worn head strays as the table says', () => {
    for (const surface of ['clean', 'worn', 'ruler'] as const)
      expect(Math.hypot(WEAR[surface], HAND[surface])).toBeCloseTo(SPREADS[surface], 12);
  });

  test('readings and tries together, against a brute integral over head and opening', () => {
    const tries = [
      { tool: hex('13'), outcome: 'loose' as const },
      { tool: hex('1/2in'), outcome: 'snug' as const },
    ];
    const g = gauging([12.55, 12.61], { tries });
    const u = readingSpread(g);
    const N = 300;
    /** Chance of an outcome on a head x: openings one by one, judged by the angle itself. */
    const limits = new Map(['13', '1/2in'].map((size) => [size, Math.max(5, worstOwnPlay(hex(size), 'six'))]));
    const said = (tool: Shape, x: number, outcome: 'snug' | 'loose') => {
      const { min, max } = openingBand(tool.size);
      const limit = limits.get(tool.size)!;
      let [no, snug, loose, spins] = [0, 0, 0, 0];
      for (let i = 0; i < N; i++) {
        const theta = freePlay(min + ((max - min) * (i + 0.5)) / N, x);
        if (Number.isNaN(theta)) no += 1 / N;
        else if (theta <= limit) snug += 1 / N;
        else if (theta < 30) loose += 1 / N;
        else spins += 1 / N;
      }
      return outcome === 'snug' ? 0.03 * no + 0.88 * snug + 0.09 * loose : 0.09 * snug + 0.88 * loose + 0.03 * spins;
    };
    const weight = (size: string) => {
      const { min, max } = headBand(size);
      if (max < 12 || min > 13.5) return 0;
      let sum = 0;
      for (let i = 0; i < N; i++) {
        const x = min + ((max - min) * (i + 0.5)) / N;
        const reading = g.readings.reduce((p, r) => p * Math.exp(-((r - x) ** 2) / (2 * u * u)), 1);
        sum += reading * said(hex('13'), x, 'loose') * said(hex('1/2in'), x, 'snug');
      }
      return sum / N;
    };
    const total = FORM_SIZES.hex!.reduce((s, size) => s + weight(size), 0);
    for (const { head, odds } of sizeOdds('hex', g).sizes)
      expect(Math.abs(odds - weight(head.size) / total)).toBeLessThan(0.01);
    expect(sizeOdds('hex', g).sizes[0]!.head.size).toBe('1/2in');
  });

  test('a clean reading settles most sizes, an ambiguous one names its rivals', () => {
    expect(sizeOdds('hex', gauging([12.9])).sizes[0]).toMatchObject({ head: hex('13'), inch: false });
    const near = sizeOdds('hex', gauging([18.9]));
    expect(
      near.sizes
        .slice(0, 2)
        .map((s) => s.head.size)
        .sort(),
    ).toEqual(['19', '3/4in']);
    expect(near.settled).toBe(false);
    expect(sizeOdds('key', gauging([5.05])).sizes[0]!.head.size).toBe('5');
    expect(sizeOdds('lobe', gauging([5.66])).sizes[0]!.head.size).toBe('30');
  });
  test('more repeats sharpen, a worn head blurs', () => {
    const once = oddsOf('hex', gauging([12.66]), '1/2in');
    const often = oddsOf('hex', gauging([12.66, 12.65, 12.67, 12.66]), '1/2in');
    const worn = oddsOf('hex', gauging([12.66], { surface: 'worn' }), '1/2in');
    expect(often).toBeGreaterThan(once);
    expect(worn).toBeLessThan(once);
  });
  test('a reading of nothing that is made says so', () => {
    expect(sizeOdds('hex', gauging([45])).foreign).toBe(true);
    expect(sizeOdds('hex', gauging([12.9])).foreign).toBe(false);
    expect(sizeOdds('ph', gauging([5])).sizes).toEqual([]);
  });
  test('repeats: mean, spread and the spread reckoned with', () => {
    expect(repeats([])).toMatchObject({ n: 0, spread: null });
    expect(repeats([10, 10.2]).mean).toBeCloseTo(10.1, 12);
    expect(repeats([10, 10.2]).spread).toBeCloseTo(Math.SQRT1_2 * 0.2, 12);
    expect(readingSpread(gauging([12.9]))).toBe(SPREADS.clean);
    expect(readingSpread(gauging([12.5, 12.9, 13.3]))).toBeGreaterThan(0.15);
  });
  test('odds are a distribution, whatever was read or tried', () => {
    const outcome = fc.constantFrom('does not go on', 'snug', 'loose', 'spins', 'goes on');
    const attempt = fc.record({ tool: fc.constantFrom('12', '13', '1/2in', '14').map(hex), outcome });
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 11.5, max: 14, noNaN: true }), { maxLength: 5 }),
        fc.array(attempt, { maxLength: 3 }),
        (readings, tries) => {
          const { sizes } = sizeOdds('hex', gauging(readings, { tries: tries as Gauging['tries'] }));
          const sum = sizes.reduce((s, x) => s + x.odds, 0);
          if (sizes.length > 0) expect(sum).toBeGreaterThan(0.9);
          expect(sum).toBeLessThanOrEqual(1 + 1e-9);
          expect(sizes.every((s, i) => i === 0 || s.odds <= sizes[i - 1]!.odds)).toBe(true);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('tools that were tried', () => {
  test('how a tool sits, against openings drawn one by one', () => {
    const random = seeded(7);
    for (const [tool, x] of [
      [hex('13'), 12.6],
      [hex('14'), 14.2],
      [hex('17'), 15.5],
      [{ form: 'key', size: '5' } as Shape, 5.4],
    ] as const) {
      const share = seats(tool)(x);
      expect(Object.values(share).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      let on = 0;
      const draws = 20_000;
      const key = tool.form === 'key';
      const s = Number(tool.size);
      const band = key ? { min: s - 0.08 * Math.sqrt(s / 6), max: s } : openingBand(tool.size);
      for (let i = 0; i < draws; i++) {
        const made = band.min + (band.max - band.min) * random.uniform();
        if (key ? made <= x : made >= x) on++;
      }
      expect(Math.abs(1 - share['does not go on'] - on / draws)).toBeLessThan(0.015);
    }
  });
  test('how a tool sits, from too small to far too wide, each in its own way', () => {
    const at = (tool: Shape, x: number) => {
      const s = seats(tool)(x);
      expect(s['does not go on'] + s.snug + s.loose + s.spins).toBeCloseTo(1, 9);
      return (Object.entries(s) as [string, number][]).filter(([, p]) => p > 1e-9).map(([how]) => how);
    };
    // A spanner over ever smaller heads, keys and six-lobes in ever wider ones: first it does not go on, at last it turns past.
    const open = openingBand('13');
    const k = keyBand('6');
    const l = lobeToolBand({ form: 'lobe', size: '30' });
    const pin = lobeToolBand({ form: 'lobe-pin', size: '30' });
    expect(at(hex('13'), open.max + 0.01)).toEqual(['does not go on']);
    expect(at(hex('13'), open.min - 0.01)).toEqual(['snug']);
    expect(at(hex('13'), 12)).toEqual(['loose']);
    expect(at(hex('13'), open.min / 1.2)).toEqual(['spins']);
    expect(at({ form: 'key', size: '6' }, k.min - 0.01)).toEqual(['does not go on']);
    expect(at({ form: 'key', size: '6' }, k.max + 0.01)).toEqual(['snug']);
    expect(at({ form: 'key', size: '6' }, 6.6)).toEqual(['loose']);
    expect(at({ form: 'key', size: '6' }, k.max * 1.2)).toEqual(['spins']);
    for (const [form, band] of [
      ['lobe', l],
      ['lobe-pin', pin],
    ] as const) {
      const tool = { form, size: '30' };
      expect(at(tool, band.min - 0.01)).toEqual(['does not go on']);
      expect(at(tool, band.max + 0.01)).toEqual(['snug']);
      expect(at(tool, band.max * 1.06)).toContain('snug');
      expect(at(tool, band.max * 1.08)).toEqual(['loose']);
      expect(at(tool, band.min * 1.29)).toEqual(['loose']);
      expect(at(tool, band.max * 1.31)).toEqual(['spins']);
    }
    // Half of the openings that are made go over a head as large as the middle one.
    expect(seats(hex('13'))((open.min + open.max) / 2)['does not go on']).toBeCloseTo(0.5, 9);
    expect(seats({ form: 'key', size: '6' })((k.min + k.max) / 2)['does not go on']).toBeCloseTo(0.5, 9);
  });
  test('what is said of a try adds up over what may be felt', () => {
    for (const x of [12.4, 12.8, 13.1]) {
      const all = (['does not go on', 'snug', 'loose', 'spins'] as const).map((o) => saidOf(hex('13'), o)(x));
      expect(all.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      expect(saidOf(hex('13'), 'goes on')(x)).toBeCloseTo(1 - all[0]!, 9);
    }
  });
  test('"13 goes on, 12 does not" leaves 13 and what deceives as 13', () => {
    const tries: Gauging['tries'] = [
      { tool: hex('13'), outcome: 'goes on' },
      { tool: hex('12'), outcome: 'does not go on' },
    ];
    const names = sizeOdds('hex', gauging([], { tries })).sizes.slice(0, 2);
    expect(names.map((s) => s.head.size).sort()).toEqual(['1/2in', '13']);
  });
  test('the next try tells near sizes apart, and its outcomes mean different sizes', () => {
    // A ruler leaves the measure itself in doubt, which a tool settles.
    const g = gauging([14], { surface: 'ruler' });
    const before = sizeOdds('hex', g).sizes[0]!.odds;
    const next = nextTry('hex', g)!;
    expect(next.right).toBeGreaterThan(before + 0.02);
    expect(next.meanings.reduce((s, m) => s + m.chance, 0)).toBeCloseTo(1, 1);
    expect(new Set(next.meanings.map((m) => m.head.size)).size).toBeGreaterThan(1);
    // By brute force no tool near tells more: doubt in bits now, less the doubt after each outcome by its chance.
    const doubt = (g: Gauging) => sizeOdds('hex', g).sizes.reduce((s, x) => s - x.odds * Math.log2(x.odds), 0);
    for (const size of ['13', '14', '15', '9/16in', '1/2in']) {
      let after = 0;
      for (const outcome of ['does not go on', 'snug', 'loose', 'spins'] as const) {
        const then = { ...g, tries: [{ tool: hex(size), outcome }] };
        // Chance of an outcome: over the sizes as they stand, by a plain sum over their bands.
        const chance = sizeOdds('hex', g).sizes.reduce((sum, x) => {
          const { min, max } = headBand(x.head.size);
          let [weight, hit] = [0, 0];
          for (let i = 0; i < 200; i++) {
            const m = min + ((max - min) * (i + 0.5)) / 200;
            const w = Math.exp(-((14 - m) ** 2) / (2 * 0.5 ** 2));
            weight += w;
            hit += w * saidOf(hex(size), outcome)(m);
          }
          return sum + x.odds * (hit / weight);
        }, 0);
        if (chance > 1e-6) after += chance * doubt(then);
      }
      expect([size, doubt(g) - after < next.tells + 0.05]).toEqual([size, true]);
    }
    // A tool that is in the toolbox is proposed when it tells nearly as much.
    expect(nextTry('hex', g, () => 1, [next.tool.size])!.owned).toBe(true);
  });
  test('nothing to try where the size is known, or where either tool fits both rivals', () => {
    // 19 and 3/4 in: what turns one turns the other.
    expect(nextTry('hex', gauging([18.93]))).toBeNull();
    // What a worn head measures now is known; what it was made to no tool tells.
    expect(nextTry('hex', gauging([14, 14.01], { surface: 'worn' }))).toBeNull();
    expect(nextTry('lobe', gauging([5.66, 5.67, 5.65]))).toBeNull();
    expect(nextTry('hex', gauging([90]))).toBeNull();
  });
});

describe('six-lobes', () => {
  test('free play against two outlines turned until they touch', () => {
    const touches = (opening: number, inner: number) => {
      const clear = (theta: number) =>
        Array.from({ length: 720 }, (_, i) => i / 2).every(
          (phi) => lobeRadius(inner, phi - theta) <= lobeRadius(opening, phi) + 1e-9,
        );
      let [lo, hi] = [0, 30];
      for (let i = 0; i < 40; i++) {
        const mid = (lo + hi) / 2;
        if (clear(mid)) lo = mid;
        else hi = mid;
      }
      return lo;
    };
    for (const [opening, inner] of [
      [5.7, 5.6],
      [5.7, 5.5],
      [6.85, 6.5],
      [4.6, 4.4],
    ] as const)
      expect(Math.abs(lobePlay(opening, inner) - touches(opening, inner))).toBeLessThan(0.05);
    expect(lobePlay(5.6, 5.7)).toBeNaN();
    expect(lobePlay(9, 5.6)).toBe(30);
    expect(lobeRadius(10, 0)).toBeCloseTo(5, 12);
  });
});

long('a simulated survey: the named size is right as often as its odds say', () => {
  const random = seeded(20);
  const sizes: Head[] = [
    ...FORM_SIZES.hex!.map((size) => hex(size)),
    ...FORM_SIZES.key!.map((size): Head => ({ form: 'key', size })),
  ];
  const bins = new Map<number, { said: number; right: number; n: number }>();
  for (let i = 0; i < 4000; i++) {
    const head = sizes[Math.floor(random.uniform() * sizes.length)]!;
    const band = head.form === 'key' ? keySocketBand(head.size) : headBand(head.size);
    const made = band.min + (band.max - band.min) * random.uniform();
    const worn = random.uniform() < 0.3;
    const n = 1 + Math.floor(random.uniform() * 3);
    const u = worn ? SPREADS.worn : SPREADS.clean;
    const readings = Array.from({ length: n }, () => Math.max(0.6, made + u * random.normal()));
    const best = sizeOdds(head.form, gauging(readings, { surface: worn ? 'worn' : 'clean' })).sizes[0]!;
    const bin = Math.min(9, Math.floor(best.odds * 10));
    const b = bins.get(bin) ?? { said: 0, right: 0, n: 0 };
    bins.set(bin, { said: b.said + best.odds, right: b.right + (best.head.size === head.size ? 1 : 0), n: b.n + 1 });
  }
  for (const b of bins.values()) {
    if (b.n < 100) continue;
    const noise = 3 * Math.sqrt(0.25 / b.n);
    expect(Math.abs(b.right / b.n - b.said / b.n)).toBeLessThan(0.03 + noise);
  }
  expect([...bins.values()].reduce((s, b) => s + b.n, 0)).toBe(4000);
  expect(gaugedBand({ form: 'clip', size: '' })).toBeNull();
});
