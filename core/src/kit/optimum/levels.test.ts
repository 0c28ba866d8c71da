import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { small } from '../../testing/smallKits.js';
import { poisson } from '../../trip/odds/index.js';
import { TOLERANCE } from './curve.js';
import { tailsOf, type KitProblem } from './kitProblem.js';
import { levels, type Level } from './levels.js';

/** Units of each kind that a kit sets aside for one trouble. */
function unitsOf(problem: KitProblem, level: Pick<Level, 'stocked'>, ask: number): Map<string, number> {
  const units = new Map<string, number>();
  for (const s of level.stocked)
    if (s.ask === ask)
      for (const x of problem.asks[ask]!.ways[s.way]!.supplies) units.set(x.kind, (units.get(x.kind) ?? 0) + x.units);
  return units;
}

/** Every kit of a limit that holds all that a smaller one holds: the most that one saves. */
function bestOver(problem: KitProblem, before: Level, limit: number): number {
  let best = -Infinity;
  for (let bits = 0; bits < 2 ** problem.pieces.length; bits++) {
    const has = (i: number) => (bits & (1 << i)) !== 0;
    if (before.counts.some((n, i) => n > 0 && !has(i))) continue;
    const tools = problem.pieces.reduce((s, p, i) => s + (has(i) ? p.mass : 0), 0);
    if (tools > limit) continue;
    const met = problem.requirements.map((r) => r.sets.some((s) => s.every(has)));
    let kits = [{ mass: tools, value: 0 }];
    problem.asks.forEach((ask, a) => {
      const ways = ask.ways.filter((w) => w.requires.every((r) => met[r]));
      const free = Math.max(0, ...ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
      const kept = unitsOf(problem, before, a);
      const plans: { mass: number; value: number }[] = [];
      const plan = (j: number, used: ReadonlyMap<string, number>, value: number) => {
        const p = ask.tails[j];
        if (p === undefined) {
          const kinds = new Set([...used.keys(), ...kept.keys()]);
          const mass = [...kinds].reduce(
            (s, k) => s + Math.max(used.get(k) ?? 0, kept.get(k) ?? 0) * problem.book.of(k).mass,
            0,
          );
          plans.push({ mass, value: value + ask.rest * free });
          return;
        }
        plan(j + 1, used, value + p * free);
        for (const w of ways) {
          if (w.supplies.length === 0) continue;
          const more = new Map(used);
          for (const s of w.supplies) more.set(s.kind, (more.get(s.kind) ?? 0) + s.units);
          plan(j + 1, more, value + p * w.gain);
        }
      };
      plan(0, new Map(), 0);
      kits = kits.flatMap((k) => plans.map((x) => ({ mass: k.mass + x.mass, value: k.value + x.value })));
      kits = kits.filter((k) => k.mass <= limit + 1e-9);
    });
    for (const k of kits) best = Math.max(best, k.value);
  }
  return best;
}

describe('nested kits', () => {
  test('are the best that hold the smaller one, where they are called so; none is called better than it can be', () => {
    let [proven, all] = [0, 0];
    fc.assert(
      fc.property(
        small,
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 40, max: 400 }),
        (problem, first, more) => {
          const [low, high] = levels(problem, [first, first + more]) as [Level, Level];
          const best = bestOver(problem, low, high.limit);
          expect(high.value).toBeLessThanOrEqual(best + 1e-9);
          all++;
          if (!high.proven) return;
          proven++;
          expect(Math.abs(high.value - best)).toBeLessThanOrEqual(2 * TOLERANCE);
        },
      ),
      { numRuns: 120, endOnFailure: true },
    );
    expect(proven).toBeGreaterThan(all / 2);
  });
});

test('mends are counted one by one as far as they matter, and never without end', () => {
  const far = (mean: number, gain: number) => {
    const { tails, rest } = tailsOf(poisson(mean), gain);
    return { n: tails.length, last: (tails.at(-1) ?? 0) * gain, rest: rest * gain };
  };
  for (const [mean, gain] of [
    [0.3, 2],
    [2, 10],
    [7, 0.01],
  ] as const) {
    const { n, last, rest } = far(mean, gain);
    expect(n).toBeGreaterThan(0);
    // What is left beyond the last is nothing; one mend less, and it would be something.
    expect(rest).toBeLessThanOrEqual(1e-4);
    expect(rest + last).toBeGreaterThan(1e-4);
  }
  expect(far(1e-5, 1)).toEqual({ n: 0, last: 0, rest: 1e-5 });
  expect(far(600, 1e6).n).toBe(400);
});
