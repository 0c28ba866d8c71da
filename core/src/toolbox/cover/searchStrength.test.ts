import { expect, test } from '@jest/globals';
import { cheapestCover, type Cover, type CoverSearch } from './coverSearch.js';

/** Figures from a seed, each below what is asked: the same in every run. */
function figures(seed: number): (below: number) => number {
  let state = seed >>> 0;
  return (below) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}
function made(seed: number, items: number, jobs: number, pairs: number): CoverSearch {
  const below = figures(seed);
  const alternative = () => [...new Set(Array.from({ length: 1 + below(4) }, () => below(items)))];
  const job = () => Array.from({ length: 2 + below(6) }, alternative);
  return {
    costs: Array.from({ length: items }, () => 10 + below(90)),
    jobs: Array.from({ length: jobs }, job),
    pairs: Array.from({ length: pairs }, () => ({ near: job(), far: job() })),
  };
}
const found = (cover: ReturnType<typeof cheapestCover>): Cover => {
  if (cover === null || cover === 'infeasible') throw new Error(String(cover));
  return cover;
};
const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1);
const total = (of: (seed: number) => number) => SEEDS.reduce((sum, seed) => sum + of(seed), 0);

/**
 * What the search is worth is how little it looks at: whatever weakens a bound, a first kit or an order finds the same kits, only later.
 * The figures are what it needs now; one that needs less passes.
 */
test.each([
  { items: 40, jobs: 30, pairs: 0, cost: 33_119, nodes: 1268, first: 33_378, bound: 25_870 },
  { items: 30, jobs: 12, pairs: 4, cost: 24_822, nodes: 718, first: 25_289, bound: 18_735 },
  { items: 24, jobs: 4, pairs: 8, cost: 22_044, nodes: 520, first: 22_062, bound: 16_086 },
])('forty covers of $items items are proven with no more nodes, a first kit and a bound no worse', (c) => {
  const problem = (seed: number) => made(seed, c.items, c.jobs, c.pairs);
  const whole = SEEDS.map((seed) => found(cheapestCover(problem(seed))));
  expect(whole.every((cover) => cover.proven && cover.bound === cover.cost)).toBe(true);
  expect(whole.reduce((sum, cover) => sum + cover.cost, 0)).toBe(c.cost);
  expect(whole.reduce((sum, cover) => sum + cover.nodes, 0)).toBeLessThanOrEqual(c.nodes);
  const cut = (seed: number) => found(cheapestCover(problem(seed), 1));
  expect(total((seed) => cut(seed).cost)).toBeLessThanOrEqual(c.first);
  expect(total((seed) => cut(seed).bound)).toBeGreaterThanOrEqual(c.bound);
});

test('a search is given up after as many nodes as it is given, and says so', () => {
  const problem = made(1, 40, 30, 0);
  const { nodes, cost } = found(cheapestCover(problem));
  expect(found(cheapestCover(problem, nodes))).toMatchObject({ proven: true, cost, bound: cost });
  const cut = found(cheapestCover(problem, nodes - 1));
  expect(cut).toMatchObject({ proven: false, nodes });
  expect(cut.bound).toBeLessThan(cut.cost);
});
