import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { Shape } from '../../ground/sizes/index.js';
import { headBand, keyBand, keySocketBand, openingBand, pairBands } from './bands.js';
import { freePlay, freePlayTwelvePoint, playRatio } from './freePlay.js';
import { NO_GAUGING, meanSpread, readingSpread, type Gauging } from './gauging.js';
import { acrossPoints, lobeBand, lobeToolBand } from './lobes.js';
import { readTries } from './readTries.js';
import { sizeOdds } from './sizeOdds.js';
import { gaugedBand } from './tried.js';
import { fit, pairVerdict, worstOwnPlay } from './verdict.js';

const shape = (form: Shape['form'], size: string): Shape => ({ form, size });
const near = ({ min, max }: { min: number; max: number }, a: number, b: number) => {
  expect(min).toBeCloseTo(a, 4);
  expect(max).toBeCloseTo(b, 4);
};

describe('bands to which heads and tools are made', () => {
  test('six-lobes: a T30 is 5.60 mm across its points, an E10 9.42 mm', () => {
    expect([acrossPoints(shape('lobe', '30')), acrossPoints(shape('lobe-out', '10'))]).toEqual([5.6, 9.42]);
    // Recesses half a percent to two and a half over nominal, their drivers up to two under it.
    near(lobeBand(shape('lobe', '30')), 5.628, 5.74);
    near(lobeToolBand(shape('lobe', '30')), 5.488, 5.6);
    // Outside heads up to one and a half under nominal, their sockets over it as recesses are.
    near(lobeBand(shape('lobe-out', '10')), 9.2787, 9.42);
    near(lobeToolBand(shape('lobe-out', '10')), 9.4671, 9.6555);
  });
  test('keys: 0.08 mm at 6 mm and with the root of the size beyond; sockets from 0.01 to 0.14 mm', () => {
    near(keyBand('6'), 5.92, 6);
    near(keyBand('10'), 9.8967, 10);
    near(keyBand('3'), 2.9434, 3);
    near(keySocketBand('6'), 6.01, 6.14);
    near(keySocketBand('10'), 10.01, 10.1807);
  });
  test('of an outside hexagon the tool is the opening, of an inside one the head is', () => {
    expect(pairBands(shape('hex', '13'), shape('hex', '12'))).toEqual({
      opening: openingBand('13'),
      hexagon: headBand('12'),
    });
    expect(pairBands(shape('key', '5'), shape('key', '6'))).toEqual({
      opening: keySocketBand('6'),
      hexagon: keyBand('5'),
    });
  });
});

describe('free play', () => {
  test('the ratio at which a hexagon turns so far is the one at which it turns so far', () => {
    expect(playRatio(0)).toBe(1);
    expect(playRatio(30)).toBeCloseTo(2 / Math.sqrt(3), 12);
    expect(playRatio(4.47)).toBeCloseTo(10.19 / 9.78, 4);
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 29.9, noNaN: true }), (degrees) => {
        expect(freePlay(13 * playRatio(degrees), 13)).toBeCloseTo(degrees, 4);
      }),
    );
  });
  test('a ring of twelve points has fifteen degrees in all, and says so', () => {
    expect(freePlayTwelvePoint(13 * playRatio(14.9), 13)).toBeCloseTo(14.9, 4);
    expect(freePlayTwelvePoint(13 * playRatio(15.1), 13)).toBe(15);
    expect(fit(shape('hex', '11'), shape('hex', '10'), 'twelve').worstPlay).toBe(15);
    expect(fit(shape('hex', '11'), shape('hex', '10'), 'six').worstPlay).toBeGreaterThan(16);
    expect(worstOwnPlay(shape('hex', '13'), 'twelve')).toBeCloseTo(
      freePlay(openingBand('13').max, headBand('13').min),
      9,
    );
  });
  test.each([
    // Degrees, and what rings of six and of twelve points make of them: 5° and 9°, 4° and 7°, all at 15°.
    [3.9, 'fits', 'fits'],
    [4.1, 'fits', 'loose'],
    [4.9, 'fits', 'loose'],
    [5.1, 'loose', 'loose'],
    [6.9, 'loose', 'loose'],
    [7.1, 'loose', 'rounds'],
    [8.9, 'loose', 'rounds'],
    [9.1, 'rounds', 'rounds'],
  ] as const)('%p° of play: %s in six points, %s in twelve', (degrees, six, twelve) => {
    const opening = 20 * playRatio(degrees);
    expect(pairVerdict(opening, 20, 'six', 0)).toBe(six);
    expect(pairVerdict(opening, 20, 'twelve', 0)).toBe(twelve);
    // What a size has of its own is no misfit.
    expect(pairVerdict(opening, 20, 'six', 9.5)).toBe('fits');
    expect(pairVerdict(opening, 20, 'twelve', 9.5)).toBe('fits');
  });
});

describe('spread of readings', () => {
  const of = (readings: number[], surface: Gauging['surface'] = 'clean'): Gauging => ({
    ...NO_GAUGING,
    readings,
    surface,
  });
  test('the usual spread counts as eight readings beside what the repeats show', () => {
    // Three readings with a spread of 0.2: √((8·0.05² + 2·0.2²) / 10).
    expect(readingSpread(of([12.7, 12.9, 13.1]))).toBeCloseTo(Math.sqrt((8 * 0.0025 + 2 * 0.04) / 10), 9);
    expect(readingSpread(of([12.9]))).toBe(0.05);
    expect(readingSpread(of([], 'ruler'))).toBe(0.5);
  });
  test('reading again does not take wear away', () => {
    const same = Array.from({ length: 30 }, () => 12.9);
    expect(meanSpread(of(same, 'worn'))).toBeGreaterThan(Math.sqrt(0.15 ** 2 - 0.05 ** 2));
    expect(meanSpread(of(same, 'clean'))).toBeLessThan(0.01);
  });
  test('a worn head may measure less than it was made, a clean one may not', () => {
    const clean = sizeOdds('hex', of([12.45], 'clean'));
    const worn = sizeOdds('hex', of([12.45], 'worn'));
    const odds = (list: ReturnType<typeof sizeOdds>, size: string) =>
      list.sizes.find((o) => o.head.form === 'hex' && o.head.size === size)?.odds ?? 0;
    expect(gaugedBand(shape('hex', '13'))?.min).toBeCloseTo(12.73, 2);
    expect(odds(worn, '13')).toBeGreaterThan(100 * odds(clean, '13'));
  });
});

describe('tools tried, the marks between them', () => {
  const read = (text: string, form: Parameters<typeof readTries>[1]) => {
    const result = readTries(text, form);
    return 'tries' in result ? result.tries.map((t) => `${t.tool.form} ${t.tool.size} ${t.outcome}`) : result.reason;
  };
  test.each([
    ['  13 snug', ['hex 13 snug']],
    ['13 snug , 12 loose', ['hex 13 snug', 'hex 12 loose']],
    ['13 snug,12 loose', ['hex 13 snug', 'hex 12 loose']],
    ['13 snug. 12 loose', ['hex 13 snug', 'hex 12 loose']],
    ['13 snug and 12 loose', ['hex 13 snug', 'hex 12 loose']],
    ['13 snug but 12 loose', ['hex 13 snug', 'hex 12 loose']],
    ['13 snug 12 loose', ['hex 13 snug', 'hex 12 loose']],
  ])('%j', (text, expected) => expect(read(text, 'hex')).toEqual(expected));
  test('a twelve-point head is tried with hexagons, a pinned six-lobe with drivers that have the hole', () => {
    expect(read('13 snug', 'hex12')).toEqual(['hex 13 snug']);
    expect(read('t30 snug', 'lobe-pin')).toEqual(['lobe-pin 30 snug']);
    expect(read('i5 snug', 'lobe-pin')).toMatch(/not for such a head/);
  });
});
