import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import {
  frontier,
  kitCase,
  levels,
  lightestJoint,
  mostUnder,
  newLeg,
  newTrip,
  picture,
  ROLES,
  type Curve,
  type GarageDocument,
} from '@necessaire/core';
import { randomGarage } from './garages.js';

/**
 * The whole kit: how soon the curve of weight against hours has an honest band, how far it is from closed, the lightest kit, nested kits; beside
 * the general solver on the whole programme under one limit. Figures of one run; both must agree, or the bench stops.
 */
const large = process.argv.includes('large');
const only = process.argv.includes('only');
const solve = await loadSolver();
const MOST = 8000;

/** A seeded garage whose heads have jobs, all bikes riding along on a rough week. */
function seeded(seed: number, heads: number, pieces: number, bikes: number): GarageDocument {
  const doc = randomGarage(seed, heads, pieces, bikes);
  const trip = {
    ...newTrip('00000009-0000-4000-8000-000000000001', 'A rough week'),
    companions: bikes - 1,
    along: doc.bikes.slice(1).map((b) => b.id),
    legs: [
      {
        ...newLeg('00000009-0000-4000-8000-000000000002', 'a'),
        days: 3,
        km: { paved: 100, gravel: 300, track: 150 },
        crossings: 4,
        helpKm: 25,
        signal: false,
        workshopKm: 140,
      },
      { ...newLeg('00000009-0000-4000-8000-000000000003', 'b'), days: 4, km: { paved: 400, gravel: 200, track: 60 } },
    ],
  };
  return {
    ...doc,
    trips: [trip],
    fasteners: doc.fasteners.map((f, i) => ({ ...f, role: i % heads < ROLES.length ? ROLES[i % heads]! : null })),
  };
}
const ms = (t: number) => performance.now() - t;
const cases: [string, GarageDocument][] = [
  ['Quarrel 450', demoGarage('lightest')],
  ['60 heads', seeded(1, 60, 180, 1)],
  ['3 × 90', seeded(2, 90, 400, 3)],
  ...(large ? [['8 × 120', seeded(3, 120, 800, 8)] as [string, GarageDocument]] : []),
];
console.log(
  'garage         asks items  case ms  lightest ms proven  first band ms (gap)  after 5 s: gap  solves   levels ms  one limit, solver s (its gap)',
);
for (const [name, doc] of only ? cases.slice(-1) : cases) {
  const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id };
  let t = performance.now();
  const { problem } = kitCase(doc, question);
  const made = ms(t);
  console.error(`${name}: case ${made.toFixed(0)} ms`);
  // The lightest kit of the large one takes the solver its minutes, and so do nested kits: only its curve is measured.
  const all = problem.items.owner.length < 700;
  if (all) lightestJoint(problem, solve);
  t = performance.now();
  const light = all ? lightestJoint(problem, solve) : null;
  const lightest = ms(t);
  t = performance.now();
  let first: { at: number; gap: number } | null = null;
  const curve: Curve = frontier(problem, {
    most: MOST,
    solves: 100_000,
    onProgress: (c) => {
      first ??= { at: ms(t), gap: c.gap };
      return ms(t) < 5000;
    },
  });
  const top = curve.best[MOST]!;
  const f = first as { at: number; gap: number } | null;
  t = performance.now();
  const nested = all ? levels(problem, [700, 1800, 4000, 7000], 40) : [];
  const nesting = ms(t);
  // The same limit by the general solver: neither may be above the other's bound.
  const mass = 1800;
  t = performance.now();
  const most = !all ? null : mostUnder({ ...problem, question: { ...problem.question, mass } }, solve);
  const general = most === 'infeasible' ? null : most;
  const anchor = ms(t);
  if (general && general.value > curve.bound[mass]! + 2e-3)
    throw new Error(`${name}: the solver found ${general.value}, over the bound ${curve.bound[mass]}`);
  if (nested.some((l) => l.value > l.free + Math.max(1e-3, curve.gap)))
    throw new Error(`${name}: a nested kit beats the free one`);
  const worst = picture(problem, curve).points.length;
  const share = (gap: number) => `${((100 * gap) / top).toFixed(1)} %`;
  console.log(
    [
      name.padEnd(13),
      String(problem.asks.length).padStart(5),
      String(problem.items.owner.length).padStart(5),
      made.toFixed(0).padStart(8),
      (light ? lightest.toFixed(0) : '–').padStart(12),
      (light ? String(light.proven) : '–').padStart(6),
      `${f?.at.toFixed(0)} (${share(f?.gap ?? 0)})`.padStart(20),
      share(curve.gap).padStart(15),
      String(curve.solves).padStart(7),
      (all ? nesting.toFixed(0) : '–').padStart(11),
      general
        ? `${(anchor / 1000).toFixed(1)} (${(general.gap * 100).toFixed(1)} %), ${general.value.toFixed(2)} against ${curve.best[mass]!.toFixed(2)}`
        : '–',
      `${worst} kits`,
    ].join(' '),
  );
}
