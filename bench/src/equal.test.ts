import { beforeAll, describe, expect, test } from '@jest/globals';
import {
  ChainFinder,
  coverProblem,
  lightestSet,
  reachOf,
  type CoverProblem,
  type GarageDocument,
  type Solve,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { enumerated } from './enumerated.js';
import { randomGarage } from './garages.js';
import { greedy } from './greedy.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const problemOf = (doc: GarageDocument, bikeId?: string): CoverProblem => {
  const finder = new ChainFinder(doc.pieces, doc.garage.practice);
  const heads = doc.fasteners.filter((f) => f.leftOut === null && (bikeId === undefined || f.bikeId === bikeId));
  return coverProblem(
    heads.map((f) => reachOf(f, finder)),
    doc.pieces,
  );
};
const demo = demoGarage('lightest');
const cases: [string, () => CoverProblem][] = [
  ...demo.bikes.map((b): [string, () => CoverProblem] => [b.name, () => problemOf(demo, b.id)]),
  ...[1, 2, 3].map((seed): [string, () => CoverProblem] => [
    `60 heads, seed ${seed}`,
    () => problemOf(randomGarage(seed, 60, 180)),
  ]),
];

describe('the search, the solver and the programme that spells out every chain agree to the gram', () => {
  test.each(cases)('%s', (_name, make) => {
    const problem = make();
    const own = lightestSet(problem, solve);
    expect(own.proven).toBe(true);
    expect(lightestSet(problem, solve, 'mass', 'solver').total).toBeCloseTo(own.total, 6);
    expect(enumerated(problem, solve)).toBeCloseTo(own.total, 6);
    expect(greedy(problem).mass).toBeGreaterThanOrEqual(own.total - 1e-6);
  });
  test('three bikes of 90 heads: the search and the solver', () => {
    const problem = problemOf(randomGarage(1, 90, 400, 3));
    const own = lightestSet(problem, solve);
    expect(own.proven).toBe(true);
    expect(lightestSet(problem, solve, 'mass', 'solver').total).toBeCloseTo(own.total, 6);
  }, 60_000);
});

describe('on whole garages', () => {
  const mass = (doc: GarageDocument) => lightestSet(problemOf(doc), solve).total;
  const seeded = randomGarage(5, 24, 90);
  // Where an adjustable only serves while nothing fixed does, one fixed piece more may take a way away: so it serves freely here.
  const garage = {
    ...seeded,
    garage: { ...seeded.garage, practice: { ...seeded.garage.practice, adjustable: 'freely' as const } },
  };
  const reached = (doc: GarageDocument) => {
    const finder = new ChainFinder(doc.pieces, doc.garage.practice);
    return doc.fasteners.filter((f) => reachOf(f, finder).best.length > 0);
  };
  // Only heads in reach: a piece more may otherwise bring a head into reach, which is a greater job.
  const base = { ...garage, fasteners: reached(garage) };
  test('a piece more never makes the set heavier', () => {
    const more = randomGarage(6, 1, 12).pieces.map((p, i) => ({
      ...p,
      id: `00000009-0000-4000-8000-${String(i).padStart(12, '0')}`,
    }));
    let last = mass(base);
    for (let n = 3; n <= more.length; n += 3) {
      const now = mass({ ...base, pieces: [...base.pieces, ...more.slice(0, n)] });
      expect(now).toBeLessThanOrEqual(last + 1e-6);
      last = now;
    }
  });
  test('a head less never makes it heavier', () => {
    let last = mass(base);
    for (let n = 1; n <= base.fasteners.length; n += 4) {
      const now = mass({ ...base, fasteners: base.fasteners.slice(n) });
      expect(now).toBeLessThanOrEqual(last + 1e-6);
      last = now;
    }
  });
  test('masses doubled, the set weighs twice as much', () => {
    const doubled = { ...base, pieces: base.pieces.map((p) => ({ ...p, mass: 2 * p.mass })) };
    expect(mass(doubled)).toBeCloseTo(2 * mass(base), 6);
  });
});
