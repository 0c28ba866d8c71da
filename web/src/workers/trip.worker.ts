import '../noEval';
import { expose } from 'comlink';
import {
  helpProfile,
  makeRoute,
  readGpx,
  simulate,
  type Means,
  type ProfilePoint,
  type Ridden,
  type Route,
  type Simulated,
  type TrackPoint,
  type Trip,
  type Waypoint,
} from '@necessaire/core';
import * as texts from '../words/workers/trip';

export type GpxResult = { ok: true; route: Route } | { ok: false; message: string };

/** What a trip asks that takes long: whole tracks, help along them, trips ridden many times. */
const worker = {
  /** Files as they were chosen, one track after the other. */
  route(files: { name: string; text: string }[], onProgress: (share: number) => void): GpxResult {
    const points: TrackPoint[] = [];
    const waypoints: Waypoint[] = [];
    let title = '';
    for (const [i, { name, text }] of files.entries()) {
      onProgress(i / files.length);
      const read = readGpx(text);
      if (!read.ok) return { ok: false, message: `${name}: ${read.message}` };
      for (const p of read.file.points) points.push(p);
      for (const w of read.file.waypoints) waypoints.push(w);
      title ||= read.file.name || name.replace(/\.gpx$/iu, '');
    }
    onProgress(0.9);
    const route = makeRoute(title, points, waypoints);
    return route ? { ok: true, route } : { ok: false, message: texts.noTwoPoints };
  },
  profile(route: Route, onProgress: (share: number) => void): ProfilePoint[] {
    return helpProfile(route, onProgress);
  },
  simulate(
    trip: Trip,
    ridden: Ridden[],
    kits: Means[],
    runs: number,
    seed: number,
    onProgress: (share: number) => void,
  ): Simulated[] {
    return simulate(trip, ridden, kits, runs, seed, false, onProgress);
  },
};
export type TripWorker = typeof worker;
expose(worker);
