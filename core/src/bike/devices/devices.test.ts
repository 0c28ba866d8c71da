import { describe, expect, test } from '@jest/globals';
import { headBand, keySocketBand } from '../fit/index.js';
import { hear, readLine, type Heard, type Signal } from './reading.js';
import { calliperLines, madeHead, scaleLines, seeded } from './simulatedDevice.js';

const take = <T>(lines: Generator<T>, n: number): T[] => Array.from({ length: n }, () => lines.next().value as T);
const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;

describe('lines as an instrument types them', () => {
  test.each([
    ['12.94', 'calliper', 'calliper', 12.94],
    [' 12,94 mm ', 'calliper', 'calliper', 12.94],
    ['+012.94', 'calliper', 'calliper', 12.94],
    ['0.5094 in', 'calliper', 'calliper', 12.93876],
    ['0.5"', 'calliper', 'calliper', 12.7],
    ['86', 'scale', 'scale', 86],
    ['86 g', 'calliper', 'scale', 86],
    ['1.25kg', 'scale', 'scale', 1250],
    ['3 oz', 'scale', 'scale', 85.0486],
    ['-0.02 mm', 'calliper', 'calliper', -0.02],
  ] as const)('%s', (text, usual, instrument, value) => {
    const read = readLine(text, usual)!;
    expect(read.instrument).toBe(instrument);
    expect(read.value).toBeCloseTo(value, 3);
  });
  test.each(['', 'abc', '12.94 cm', '12..9', '1e9', 'NaN', '12.94 12.95', '12.94;'])('%j is no reading', (text) => {
    expect(readLine(text, 'calliper')).toBeNull();
  });
});

describe('what was heard', () => {
  const signal = (seq: number, value: number | null = 10, device = 'a'): Signal => ({
    instrument: 'scale',
    device,
    seq,
    value,
    stable: value !== null,
  });
  const all = (signals: Signal[]) => signals.reduce<Heard | null>((h, s) => hear(h, s), null)!;
  test('lines that never came are counted, a restart is not one', () => {
    expect(all([signal(0), signal(1), signal(2)]).missed).toBe(0);
    expect(all([signal(0), signal(3), signal(4), signal(7)]).missed).toBe(4);
    expect(all([signal(5), signal(0), signal(1)]).missed).toBe(0);
    expect(all([signal(5), signal(9, 10, 'b')]).missed).toBe(0);
  });
  test('a sign of life keeps the last value', () => {
    expect(all([signal(0, 86), signal(1, null)])).toMatchObject({ value: 86, stable: true, seq: 1 });
    expect(all([signal(0, null)])).toMatchObject({ value: null, stable: false });
  });
});

describe('simulated instruments', () => {
  test('the same seed gives the same series', () => {
    const run = (seed: number) => take(calliperLines(12.9, { noise: 0.05, zero: 0, drop: 0.2 }, seeded(seed)), 20);
    expect(run(3)).toEqual(run(3));
    expect(run(3)).not.toEqual(run(4));
  });
  test('noise, zero offset and lost lines are as set', () => {
    const lines = take(calliperLines(12.9, { noise: 0.08, zero: 0.2, drop: 0.25 }, seeded(1)), 8000);
    const values = lines.map((l) => l.value);
    expect(mean(values)).toBeCloseTo(13.1, 2);
    expect(Math.sqrt(mean(values.map((v) => (v - 13.1) ** 2)))).toBeCloseTo(0.08, 2);
    expect(lines.filter((l) => !l.sent).length / lines.length).toBeCloseTo(0.25, 1);
  });
  test('a scale swings in and then stands on the mass', () => {
    const lines = take(scaleLines(86, { noise: 0.3, zero: 0, drop: 0 }, seeded(2)), 40);
    expect(lines[0]!.stable).toBe(false);
    expect(Math.abs(lines[0]!.value - 86)).toBeGreaterThan(20);
    const still = lines.filter((l) => l.stable).map((l) => l.value);
    expect(Math.abs(mean(still) - 86)).toBeLessThan(0.4);
  });
  test('made heads lie in their band', () => {
    const random = seeded(5);
    for (let i = 0; i < 200; i++) {
      const a = madeHead({ form: 'hex', size: '13' }, random);
      expect(a >= headBand('13').min && a <= headBand('13').max).toBe(true);
      const b = madeHead({ form: 'key', size: '5' }, random);
      expect(b >= keySocketBand('5').min && b <= keySocketBand('5').max).toBe(true);
    }
  });
});
