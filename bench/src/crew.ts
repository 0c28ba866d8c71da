/**
 * The crew's sharing in one run: the sharing that is shown at once against the exact one, and what all would carry if each packed alone.
 * The exact one is never heavier than the first, and its bound never above it, or the bench stops. Run: npm run bench:crew
 */
import { performance } from 'node:perf_hooks';
import {
  aloneMass,
  crewCase,
  firstShare,
  judgeCrew,
  leftUndone,
  ME,
  newCrew,
  newLeg,
  newPerson,
  newTrip,
  shareOut,
  totalMass,
  type Companion,
  type CrewRows,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { randomGarage } from './garages.js';

const timed = <T>(work: () => T): { value: T; ms: number } => {
  const from = performance.now();
  const value = work();
  return { value, ms: performance.now() - from };
};

/** Riders on seeded bikes, each with an equal part of the toolbox. */
function seededCrew(seed: number, riders: number, heads: number, pieces: number): CrewRows {
  const doc = randomGarage(seed, heads, pieces, riders);
  const id = (n: number) => `00000000-0000-4000-9000-${String(seed * 1000 + n).padStart(12, '0')}`;
  const trip = { ...newTrip(id(1), `Seeded ${seed}`), legs: [newLeg(id(2), 'A day'), newLeg(id(3), 'Another')] };
  const companions = doc.bikes.slice(1).map((bike, i): Companion => ({
    id: id(10 + i),
    person: newPerson({ name: `Rider ${i + 2}` }),
    bikes: [bike],
    fasteners: doc.fasteners.filter((f) => f.bikeId === bike.id),
    pieces: doc.pieces.filter((_, k) => k % riders === i + 1),
    ...{ supplies: [], places: [], kinds: [] },
    from: { by: 'line', line: '' },
    note: '',
  }));
  const members = [
    { who: ME, bikeId: doc.bikes[0]!.id },
    ...companions.map((c) => ({ who: c.id, bikeId: c.bikes[0]!.id })),
  ];
  const half = Math.ceil(riders / 2);
  const keys = members.map((m) => m.who);
  return {
    ...doc,
    bikes: doc.bikes.slice(0, 1),
    fasteners: doc.fasteners.filter((f) => f.bikeId === doc.bikes[0]!.id),
    pieces: doc.pieces.filter((_, k) => k % riders === 0),
    trips: [trip],
    companions,
    crews: [
      newCrew({
        id: id(5),
        tripId: trip.id,
        members,
        splits: [{ id: id(6), name: 'Halves', groups: [keys.slice(0, half), keys.slice(half)], legs: [] }],
      }),
    ],
  };
}

const solve = await loadSolver();
const pad = (text: string | number, n: number) => String(text).padStart(n);
console.log(
  'crew            heads pieces asks  case ms  first ms  over exact  exact ms  its gap  gaps  alone/together',
);
function measure(name: string, doc: CrewRows) {
  const crew = doc.crews[0]!;
  const made = timed(() => crewCase(doc, crew));
  const c = made.value;
  if (!c) throw new Error(`${name}: no crew`);
  const first = timed(() => firstShare(c));
  const exact = timed(() => shareOut(c, solve));
  if (!exact.value) throw new Error(`${name}: nothing was found`);
  const gaps = judgeCrew(c, exact.value).gaps.length;
  const same = Math.abs(leftUndone(c, first.value) - leftUndone(c, exact.value)) < 1e-9;
  if (same && exact.value.bound > first.value.cost + 1e-6)
    throw new Error(`${name}: the bound ${exact.value.bound} is above a sharing of ${first.value.cost}`);
  const alone = c.members.reduce((s, _, i) => s + (aloneMass(c, i, solve) ?? 0), 0);
  const over = (100 * (first.value.cost - exact.value.cost)) / exact.value.cost;
  console.log(
    [
      name.padEnd(15),
      pad(
        c.members.reduce((s, m) => s + m.fasteners.length, 0),
        5,
      ),
      pad(c.problem.pieces.length, 6),
      pad(c.problem.asks.length, 4),
      pad(made.ms.toFixed(0), 8),
      pad(first.ms.toFixed(0), 9),
      pad(same ? `+${over.toFixed(1)} %` : '–', 11),
      pad(exact.ms.toFixed(0), 9),
      pad(exact.value.proven ? 'proven' : `${(exact.value.gap * 100).toFixed(1)} %`, 8),
      pad(gaps, 5),
      pad((alone / totalMass(c, exact.value)).toFixed(2), 15),
    ].join(' '),
  );
}
// The solver's code is compiled on its first use; that is no part of what is compared.
const demo = demoGarage();
shareOut(crewCase(demo, { ...demo.crews[0]!, splits: [], alone: [] })!, solve);
measure('the demo’s four', demo);
for (const seed of [1, 2, 3]) measure(`2 × 60, ${seed}`, seededCrew(seed, 2, 60, 125));
for (const seed of [1, 2, 3]) measure(`4 × 60, ${seed}`, seededCrew(seed, 4, 60, 250));
