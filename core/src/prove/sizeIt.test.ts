import { long } from '../testing/long.js';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { fit, gaugedBand, nextTry, sizeOdds } from '../bike/fit/index.js';
import type { Head } from '../ground/sizes/index.js';
import { fastener } from '../testing/make.js';
import { drawsFrom, shuffled } from './draws.js';
import { sizeQuestion } from './sizeIt.js';

const heads: Head[] = [
  { form: 'hex', size: '8' },
  { form: 'hex', size: '10' },
  { form: 'hex', size: '13' },
  { form: 'hex', size: '7/16in' },
  { form: 'key', size: '5' },
  { form: 'key', size: '6' },
];
const all = heads.map((head) => fastener({ head }));

describe('Size it', () => {
  long('the right answer is what the fit functions say', () => {
    let [next, turns] = [0, 0];
    for (let seed = 0; seed < 300; seed++) {
      const q = sizeQuestion(all, seed)!;
      expect(q.choices.length).toBeGreaterThanOrEqual(2);
      expect(new Set(q.choices.map((s) => s.size)).size).toBe(q.choices.length);
      const right = q.choices[q.right]!;
      const sizing = sizeOdds(q.head.form, q.gauging);
      if (q.ask === 'turns') {
        turns++;
        expect(sizing.settled).toBe(true);
        const likely = sizing.sizes[0]!.head;
        expect(right.size).toBe(likely.size);
        expect(fit(right, likely, 'six').verdict).toBe('fits');
      } else {
        next++;
        expect(sizing.settled).toBe(false);
        expect(right.size).toBe(nextTry(q.head.form, q.gauging)!.tool.size);
      }
      expect(q.odds.reduce((s, o) => s + o.odds, 0)).toBeGreaterThan(0.97);
    }
    // Both kinds of question come.
    expect(Math.min(next, turns)).toBeGreaterThan(20);
  });
  test('what is shown is a head as made, worn or painted by no more than a quarter of a millimetre', () => {
    for (let seed = 0; seed < 200; seed++) {
      const q = sizeQuestion(all, seed)!;
      const band = gaugedBand(q.head)!;
      expect(q.measure).toBeGreaterThan(band.min - 0.2);
      expect(q.measure).toBeLessThan(band.max + 0.2);
      expect(q.gauging.readings).toEqual([q.measure]);
      expect(heads).toContainEqual(q.head);
    }
  });
  test('the same seed asks the same, others ask other heads', () => {
    expect(sizeQuestion(all, 3)).toEqual(sizeQuestion(all, 3));
    const asked = new Set(Array.from({ length: 40 }, (_, i) => sizeQuestion(all, i)!.head.size));
    expect(asked.size).toBeGreaterThanOrEqual(5);
  });
  test('asks nothing where no hexagon counts', () => {
    expect(sizeQuestion([], 1)).toBeNull();
    expect(sizeQuestion([fastener({ head: { form: 'lobe', size: '30' } })], 1)).toBeNull();
    expect(sizeQuestion([fastener({ head: { form: 'hex', size: '10' }, leftOut: 'never turned' })], 1)).toBeNull();
  });
});

describe('draws', () => {
  test('are even, the same for a seed, and unlike for neighbouring seeds', () => {
    const first = Array.from({ length: 2000 }, (_, seed) => drawsFrom(seed)());
    expect(first.every((x) => x > 0 && x < 1)).toBe(true);
    const mean = first.reduce((a, b) => a + b, 0) / first.length;
    expect(Math.abs(mean - 0.5)).toBeLessThan(0.03);
    for (let tenth = 0; tenth < 10; tenth++) {
      const n = first.filter((x) => Math.floor(x * 10) === tenth).length;
      expect(n).toBeGreaterThan(140);
      expect(n).toBeLessThan(260);
    }
    const [a, b] = [drawsFrom(9), drawsFrom(9)];
    expect(Array.from({ length: 5 }, a)).toEqual(Array.from({ length: 5 }, b));
  });
  test('a shuffled list holds the same things, and each place is as likely', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 20 }), fc.nat(), (list, seed) => {
        const out = shuffled(list, seed);
        expect([...out].sort((a, b) => a - b)).toEqual([...list].sort((a, b) => a - b));
      }),
    );
    const at = [0, 0, 0, 0];
    for (let seed = 0; seed < 2000; seed++) at[shuffled([0, 1, 2, 3], seed).indexOf(0)]!++;
    for (const n of at) expect(Math.abs(n - 500)).toBeLessThan(90);
  });
});
