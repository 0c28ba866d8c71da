/**
 * Ratios measured in one run: the own exact search against the general solver on the factored programme and on the one that spells out every
 * chain, and both against a greedy pick.
 * Seeded garages; times are medians. Run: npm run bench
 */
import { performance } from 'node:perf_hooks';
import {
  answerFor,
  AnswerMemory,
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

function measure(
  name: string,
  doc: GarageDocument,
  of: (bikeId: string) => boolean,
  solve: Solve,
  spelledToo: boolean,
  runs = 9,
) {
  const fasteners = doc.fasteners.filter((f) => of(f.bikeId) && f.leftOut === null);
  const chains = timed(spelledToo ? 3 : 1, () => {
    const finder = new ChainFinder(doc.pieces, doc.garage.practice);
    return fasteners.map((f) => reachOf(f, finder));
  });
  const problem = coverProblem(chains.value, doc.pieces);
  const own = timed(runs, () => lightestSet(problem, solve));
  const solver = timed(spelledToo ? 3 : 1, () => lightestSet(problem, solve, 'mass', 'solver'));
  const spelled = spelledToo ? timed(2, () => enumerated(problem, solve)) : null;
  const pick = timed(1, () => greedy(problem));
  for (const other of [solver.value.total, ...(spelled ? [spelled.value] : [])])
    if (Math.abs(other - own.value.total) > 0.05)
      throw new Error(`${name}: ${own.value.total} g by the search, ${other} g by the solver`);
  const over = (100 * (pick.value.mass - own.value.total)) / own.value.total;
  console.log(
    [
      name.padEnd(14),
      pad(fasteners.length, 5),
      pad(doc.pieces.length, 6),
      pad(problem.tasks.length, 5),
      pad(chains.ms.toFixed(0), 9),
      pad(own.ms.toFixed(1), 7),
      pad((solver.ms / own.ms).toFixed(1), 13),
      pad(spelled ? (spelled.ms / own.ms).toFixed(1) : '–', 11),
      pad(Math.round(own.value.total), 7),
      pad(`+${over.toFixed(0)} %`, 11),
    ].join(' '),
  );
}

const solve = await loadSolver();
const demo = demoGarage('lightest');
const question = { bikeId: demo.bikes[0]!.id, tripId: demo.trips[0]!.id };
// The solver's code is compiled on its first use; that is no part of what is compared.
answerFor(demo, question, solve);
console.log('garage         heads pieces tasks chains ms  own ms solver/own  spelled/own exact g greedy over');
for (const bike of demo.bikes) measure(bike.name, demo, (id) => id === bike.id, solve, true);
for (const seed of [1, 2, 3, 4]) measure(`60 heads, ${seed}`, randomGarage(seed, 60, 180), () => true, solve, true);
for (const seed of [1, 2, 3]) measure(`3 × 90, ${seed}`, randomGarage(seed, 90, 400, 3), () => true, solve, false);
// The largest takes minutes: asked for by name.
if (process.argv.includes('large')) measure('8 × 120', randomGarage(1, 120, 800, 8), () => true, solve, false, 1);
const fresh = timed(7, () => answerFor(demo, question, solve));
const memory = new AnswerMemory();
const edited = { ...demo, fasteners: demo.fasteners.map((f, i) => (i === 3 ? { ...f, count: 3 } : f)) };
answerFor(demo, question, solve, () => {}, memory);
const again = timed(7, () => answerFor(edited, question, solve, () => {}, memory));
console.log(
  `\nwhole answer for ${demo.bikes[0]!.name} (chains, odds, kit, places, cures): ${fresh.ms.toFixed(0)} ms from nothing, ${again.ms.toFixed(0)} ms after an edit`,
);
