/**
 * The packing against slower or simpler ways to the same, in one run. Compare columns, not machines.
 * Every packing that is counted keeps the rules, or the bench stops.
 */
import {
  answerFor,
  assign,
  catalogue,
  LaidMemory,
  packBox,
  placeLibrary,
  searchOn,
  stowCase,
  type GarageDocument,
  type Place,
  type Rigid,
  type StowInput,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { costOf, keepsRules, mayGo } from '../../core/src/stow/stowProblem.js';
import { solveStow } from '../../core/src/stow/exact.js';
import { randomGarage } from './garages.js';
import { shelfPack } from './shelf.js';

const solve = await loadSolver();
const timed = <T>(work: () => T): [T, number] => {
  const from = performance.now();
  const made = work();
  return [made, performance.now() - from];
};
const median = (list: number[]) => [...list].sort((a, b) => a - b)[list.length >> 1]!;
const col = (text: string | number, width: number) => String(text).padStart(width);

/** The heaviest first, each where it costs least of the places that take it: what a careful hand does. */
function byHand(input: StowInput): number {
  const { problem: p } = stowCase(input);
  const where = p.units.map(() => p.loose);
  const order = p.units.map((_, u) => u).sort((a, b) => p.mass.at(b) - p.mass.at(a));
  for (const u of order) {
    let best = { bin: p.loose, cost: Infinity };
    for (const bin of p.bins.keys()) {
      where[u] = bin;
      if (!mayGo(p, u, bin) || !keepsRules(p, where)) continue;
      const cost = costOf(p, where);
      if (cost < best.cost) best = { bin, cost };
    }
    where[u] = best.bin;
  }
  return costOf(p, where) / 100;
}

function inputs(): { name: string; input: StowInput }[] {
  const doc = demoGarage('lightest');
  const of = (garage: GarageDocument, bikeId: string): StowInput =>
    answerFor(garage, { bikeId, tripId: garage.trips[0]?.id ?? null, today: '2026-06-01' }, solve).stow;
  const seeded = [1, 2].map((seed) => {
    const garage = randomGarage(seed, 60, 180);
    const bike = { ...garage.bikes[0]!, fitted: ['crash bars' as const, 'side racks' as const] };
    const places = placeLibrary(bike).map((p, i): Place => ({
      ...p,
      id: `00000009-0000-4000-8000-${String(i).padStart(12, '0')}`,
      bikeId: bike.id,
    }));
    return { name: `60 heads, ${seed}`, input: of({ ...garage, bikes: [bike], places }, bike.id) };
  });
  return [...doc.bikes.map((b) => ({ name: b.name, input: of(doc, b.id) })), ...seeded];
}

// The solver's code is compiled while it first runs.
for (let i = 0; i < 3; i++) for (const { input } of inputs().slice(0, 2)) searchOn(input, assign(input), solve);

console.log('garage         units places quick ms  over best   proof ms   plain programme/proof  by hand over best');
for (const { name, input } of inputs()) {
  const runs = [0, 1, 2, 3, 4].map(() => timed(() => assign(input, { memory: new LaidMemory() })));
  const [quick] = runs[0]!;
  const [hint, proofMs] = timed(() => searchOn(input, quick, solve));
  const best = assign(input, { hint, memory: new LaidMemory() });
  if (best.cost > quick.cost + 1e-6) throw new Error(`${name}: the longer search is worse`);
  // The whole programme, nothing closed beforehand and no packing looked at: what the bound spares.
  const { problem } = stowCase(input);
  const all = problem.units.map(() => problem.bins.map(() => true));
  const [plain, plainMs] = timed(() => solveStow(problem, all, [], solve));
  if (plain && plain !== 'infeasible' && plain.bound / 100 > best.cost + 0.05)
    throw new Error(`${name}: the whole programme says otherwise`);
  const hand = byHand(input);
  const over = (x: number) => `+${((x / best.cost - 1) * 100).toFixed(1)} %`;
  console.log(
    name.padEnd(14),
    col(problem.units.length, 5),
    col(problem.places.length, 6),
    col(median(runs.map(([, ms]) => ms)).toFixed(0), 8),
    col(over(quick.cost), 10),
    col(`${proofMs.toFixed(0)}${best.proven ? '' : '*'}`, 10),
    col((plainMs / proofMs).toFixed(2), 23),
    col(hand > 9000 ? 'leaves some out' : over(hand), 18),
  );
}
console.log('* not proven within the solver’s work\n');

/** Pieces of the catalogue until their boxes fill that share of a pannier. */
function pannierFull(seed: number, share: number): Rigid[] {
  let state = seed;
  const random = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
  const shelf = catalogue().filter((m) => !m.traits.includes('soft'));
  const out: Rigid[] = [];
  let volume = 0;
  while (volume < share * INSIDE.length * INSIDE.width * INSIDE.height) {
    const { size } = shelf[Math.floor(random() * shelf.length)]!;
    if (size.length > 420) continue;
    out.push({ key: `p${out.length}`, size, upright: false });
    volume += size.length * size.width * size.height;
  }
  return out;
}
const INSIDE = { length: 400, width: 220, height: 340 };
console.log('a pannier filled with pieces of the catalogue, by their own boxes; ten of each');
console.log('share  pieces  packed  median ms  by shelves');
for (const share of [0.1, 0.3, 0.5, 0.65]) {
  const cases = Array.from({ length: 10 }, (_, i) => pannierFull(i + 1, share));
  const runs = cases.map((list) => timed(() => packBox(INSIDE, list)));
  console.log(
    col(`${Math.round(share * 100)} %`, 5),
    col(median(cases.map((c) => c.length)), 7),
    col(`${runs.filter(([poses]) => poses).length}/10`, 7),
    col(median(runs.map(([, ms]) => ms)).toFixed(0), 10),
    col(`${cases.filter((list) => shelfPack(INSIDE, list)).length}/10`, 11),
  );
}
