import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { fit, gaugedBand, nextTry, sizeOdds } from '../bike/fit/index.js';
import { FORM_SIZES, type Head } from '../ground/sizes/index.js';
import { fastener } from '../testing/make.js';
import { runs } from '../testing/thorough.js';
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
/** Sizes of a form by how far their middles lie from that of a head, the nearest first; none that is more than 12 % off. */
function nearest(head: Head): string[] {
  const middle = (h: Head) => {
    const band = gaugedBand(h)!;
    return (band.min + band.max) / 2;
  };
  const own = middle(head);
  return FORM_SIZES[head.form]!.map((size) => ({ size, off: Math.abs(middle({ form: head.form, size }) - own) }))
    .filter((x) => x.off < 0.12 * own)
    .sort((a, b) => a.off - b.off)
    .slice(0, 5)
    .map((x) => x.size);
}
const all = heads.map((head) => fastener({ head }));

describe('Size it', () => {
  test('the right answer is what the fit functions say', () => {
    let [next, turns, worn, own] = [0, 0, 0, 0];
    const { numRuns } = runs(300, 120);
    for (let seed = 0; seed < numRuns; seed++) {
      const q = sizeQuestion(all, seed)!;
      if (q.surface === 'worn') worn++;
      // A clean head measures what its size may: not as small as it gets, nor quite as large.
      const band = gaugedBand(q.head)!;
      const part = (q.measure - band.min) / (band.max - band.min);
      if (q.surface === 'clean') expect(part).toBeGreaterThan(0.3 - 0.1);
      if (q.surface === 'clean') expect(part).toBeLessThan(0.9 + 0.1);
      // To choose from: what lies nearest in size, and no more than four.
      expect(q.choices.length).toBeLessThanOrEqual(4);
      const near = nearest(q.head);
      const strange = q.choices.filter((s) => !near.slice(0, 4).includes(s.size));
      expect(strange.map((s) => s.size)).toEqual(
        q.ask === 'next' && !near.slice(0, 4).includes(q.choices[q.right]!.size) ? [q.choices[q.right]!.size] : [],
      );
      if (strange.length === 0) expect(q.choices.length).toBe(Math.min(4, near.length));
      if (strange.length === 0 && q.choices.map((s) => s.size).join() === shuffled(near.slice(0, 4), seed).join())
        own++;
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
    // Both kinds of question come, of worn heads as often as of others; in an order that hangs on the seed, unless the first head makes none.
    expect(Math.min(next, turns)).toBeGreaterThan(numRuns / 15);
    expect(Math.abs(worn / numRuns - 0.5)).toBeLessThan(0.2);
    expect(own).toBeGreaterThan(numRuns / 3);
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
