/**
 * Ratios measured in one run: the exact kit against a greedy pick, the factored programme against the one that spells out every chain.
 * Seeded garages; times are medians. Run: npm run bench
 */
import { performance } from 'node:perf_hooks';
import {
  answerFor,
  ChainFinder,
  coverProblem,
  lightestSet,
  reachOf,
  type GarageDocument,
  type Solve,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { enumerated } from './enumerated.js';
import { randomGarage } from './garages.js';
import { greedy } from './greedy.js';

const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
function timed<T>(runs: number, work: () => T): { value: T; ms: number } {
  const times: number[] = [];
  let value!: T;
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    value = work();
    times.push(performance.now() - from);
  }
  return { value, ms: median(times) };
}
const pad = (text: string | number, n: number) => String(text).padStart(n);

function measure(name: string, doc: GarageDocument, bikeId: string, solve: Solve) {
  const fasteners = doc.fasteners.filter((f) => f.bikeId === bikeId && f.leftOut === null);
  const chains = timed(5, () => {
    const finder = new ChainFinder(doc.pieces, doc.garage.practice);
    return fasteners.map((f) => reachOf(f, finder));
  });
  const problem = coverProblem(chains.value, doc.pieces);
  const exact = timed(5, () => lightestSet(problem, solve));
  const spelled = timed(3, () => enumerated(problem, solve));
  const pick = timed(5, () => greedy(problem));
  if (Math.abs(spelled.value - exact.value.total) > 0.05)
    throw new Error(`${name}: ${spelled.value} g spelled out, ${exact.value.total} g factored`);
  const over = (100 * (pick.value.mass - exact.value.total)) / exact.value.total;
  console.log(
    [
      name.padEnd(16),
      pad(fasteners.length, 5),
      pad(doc.pieces.length, 6),
      pad(problem.tasks.length, 5),
      pad(chains.ms.toFixed(0), 9),
      pad(exact.ms.toFixed(0), 8),
      pad((spelled.ms / exact.ms).toFixed(2), 13),
      pad(Math.round(exact.value.total), 7),
      pad(`+${over.toFixed(0)} %`, 11),
    ].join(' '),
  );
}

const solve = await loadSolver();
const demo = demoGarage();
const question = { bikeId: demo.bikes[0]!.id, tripId: demo.trips[0]!.id };
// The solver's code is compiled on its first use; that is no part of what is compared.
answerFor(demo, question, solve);
console.log('garage           heads pieces tasks chains ms exact ms spelled/exact exact g greedy over');
for (const bike of demo.bikes) measure(bike.name, demo, bike.id, solve);
for (const seed of [1, 2, 3, 4, 5, 6]) {
  const doc = randomGarage(seed, 60, 140);
  measure(`seeded ${seed}`, doc, doc.bikes[0]!.id, solve);
}
const full = timed(7, () => answerFor(demo, question, solve));
console.log(`\nwhole answer for ${demo.bikes[0]!.name} (chains, odds, kit, places, cures): ${full.ms.toFixed(0)} ms`);
