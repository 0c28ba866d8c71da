/**
 * Ratios of the trip's heavy work, measured in one run: a track of 200,000 points to its profile against looking at every mark from every point,
 * and trips ridden against one draw for each trouble of each trip.
 * Run: npm run bench:trip
 */
import { performance } from 'node:perf_hooks';
import {
  apart,
  exposuresIn,
  helpProfile,
  makeRoute,
  measured,
  MARK_KINDS,
  asRidden,
  NO_MEANS,
  readGpx,
  simulate,
  spotsAlong,
  strandedHours,
  type Route,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';

function timed<T>(work: () => T): { value: T; ms: number } {
  const from = performance.now();
  const value = work();
  return { value, ms: performance.now() - from };
}
const median = (runs: number, work: () => unknown) => {
  const list = Array.from({ length: runs }, () => timed(work).ms).sort((a, b) => a - b);
  return list[Math.floor(runs / 2)]!;
};

const POINTS = 200_000;
const MARKS = 600;
let text = '<?xml version="1.0"?><gpx version="1.1">';
for (let i = 0; i < MARKS; i++)
  text += `<wpt lat="${45 + (i % 37) / 30}" lon="${7 + (i % 53) / 26}"><name>${['Fuel', 'Shop', 'Workshop', 'Hut', 'Town'][i % 5]} ${i}</name></wpt>`;
text += '<trk><trkseg>';
for (let i = 0; i < POINTS; i++) {
  const t = i / POINTS;
  text += `<trkpt lat="${(45 + 1.2 * t + 0.03 * Math.sin(t * 60)).toFixed(6)}" lon="${(7 + 2 * t + 0.05 * Math.cos(t * 45)).toFixed(6)}"><ele>${(600 + 900 * Math.sin(t * 9) ** 2).toFixed(1)}</ele></trkpt>`;
}
text += '</trkseg></trk></gpx>';

const file = timed(() => {
  const read = readGpx(text);
  if (!read.ok) throw new Error(read.message);
  return read.file;
});
const route = timed(() => makeRoute('bench', file.value.points, file.value.waypoints)!);
const profile = timed(() => helpProfile(route.value));
/** The plain way: every mark looked at from every spot. */
const plain = timed(() =>
  spotsAlong(route.value).map((spot) =>
    MARK_KINDS.map((kind) => {
      let best = Infinity;
      for (const m of route.value.marks) if (m.kinds.includes(kind)) best = Math.min(best, apart(spot, m));
      return best * route.value.detour;
    }),
  ),
);
/** The plain way from end to end: all points kept, every mark looked at from every point. */
const whole = timed(() => {
  const farthest = MARK_KINDS.map(() => 0);
  for (const p of measured(file.value.points).points)
    MARK_KINDS.forEach((kind, k) => {
      let best = Infinity;
      for (const m of route.value.marks) if (m.kinds.includes(kind)) best = Math.min(best, apart(p, m));
      farthest[k] = Math.max(farthest[k]!, best);
    });
  return farthest;
});
const worst = (r: Route) => Math.max(...helpProfile(r).map((p) => p.help.workshop?.km ?? 0));
if (Math.abs(worst(route.value) - Math.max(...plain.value.map((p) => p[MARK_KINDS.indexOf('workshop')]!))) > 1e-6)
  throw new Error('the profile and the plain way differ');
console.log(
  `GPX of ${POINTS} points, ${(text.length / 1e6).toFixed(0)} MB: read ${file.ms.toFixed(0)} ms, measured and thinned ${route.ms.toFixed(0)} ms`,
);
console.log(
  `help along it, ${MARKS} marks: ${profile.ms.toFixed(0)} ms, plain ${(plain.ms / profile.ms).toFixed(1)} times that`,
);

console.log(
  `from file to profile: plain, all points and every mark, takes ${((file.ms + whole.ms) / (file.ms + route.ms + profile.ms)).toFixed(1)} times as long`,
);

const demo = demoGarage('lightest');
const trip = demo.trips[0]!;
const bare = { ...demo, rides: [] };
const list = exposuresIn(bare, { bikeId: demo.bikes[0]!.id, tripId: trip.id });
const RUNS = 200_000;
const sparse = median(3, () => simulate(trip, asRidden(list), [NO_MEANS], RUNS, 1));
/** The plain way: a count for each trouble of each leg of each trip, each by adding up exponential gaps. */
const dense = timed(() => {
  let state = 1;
  const uniform = () => ((state = (Math.imul(state, 1664525) + 1013904223) >>> 0) + 0.5) / 2 ** 32;
  const stranded = trip.legs.map((l) => strandedHours(l, trip).total);
  let hours = 0;
  for (let run = 0; run < RUNS; run++)
    for (const e of list)
      e.byLeg.forEach((share, i) => {
        for (let t = -Math.log(uniform()); t < e.lambda * share; t -= Math.log(uniform()))
          hours += e.trouble.stops ? stranded[i]! : e.trouble.nuisance;
      });
  return hours / RUNS;
});
const [ridden] = simulate(trip, asRidden(list), [NO_MEANS], RUNS, 1);
if (Math.abs(ridden!.hours - dense.value) > 8 * ridden!.hoursError) throw new Error('the two ways of riding differ');
console.log(
  `trips: ${(RUNS / sparse / 1000).toFixed(2)} million a second with one kit, ${(dense.ms / sparse).toFixed(1)} times as fast as trouble by trouble`,
);
