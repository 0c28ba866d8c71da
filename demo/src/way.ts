import { makeRoute, type MarkKind, type Route, type TrackPoint } from '@necessaire/core';

/** Turning points of a made-up way over a made-up plateau: latitude, longitude, metres above the sea. */
const TURNS: [number, number, number][] = [
  [46.1, 21.2, 210],
  [46.9, 22.4, 480],
  [47.6, 23.3, 1240],
  [48.3, 24.9, 1690],
  [48.9, 26.6, 1480],
  [48.2, 27.9, 920],
  [47.3, 28.2, 410],
  [46.4, 27.0, 130],
];
/** Points on each stretch; between turns the way winds and rolls. */
const EACH = 70;

/** Made-up places on it, with what they are good for. */
const PLACES: [string, number, number, MarkKind[]][] = [
  ['Home', 46.1, 21.2, ['workshop', 'signal', 'fuel']],
  ['Varn', 46.9, 22.4, ['fuel', 'shop', 'signal', 'road-head', 'workshop']],
  ['Lerrig mill', 47.6, 23.3, ['shop', 'fuel']],
  ['Plateau hut', 48.45, 25.3, ['shelter']],
  ['Ossel toll', 48.9, 26.6, ['road-head', 'fuel']],
  ['Sill', 48.2, 27.9, ['shop', 'signal', 'road-head', 'fuel', 'workshop']],
  ['Coast road', 47.3, 28.2, ['road-head', 'signal']],
];

/** The made-up way of the made-up trip. */
export function osselWay(): Route {
  const points: TrackPoint[] = [];
  TURNS.forEach(([lat, lon, ele], i) => {
    const next = TURNS[i + 1];
    if (!next) return;
    for (let k = 0; k < EACH; k++) {
      const t = k / EACH;
      const wind = Math.sin(t * Math.PI) * 0.06;
      points.push({
        lat: lat + t * (next[0] - lat) + wind * Math.sin(t * 19 + i),
        lon: lon + t * (next[1] - lon) + wind * Math.cos(t * 23 + 2 * i),
        ele: Math.round(ele + t * (next[2] - ele) + 120 * Math.sin(t * Math.PI) * Math.sin(t * 31 + i)),
        time: new Date(Date.UTC(2026, 6, 4 + i, 8, k * 7)).toISOString(),
      });
    }
  });
  const route = makeRoute('Over the Ossel plateau', points, []);
  if (!route) throw new Error('the demo’s way has no length');
  return { ...route, marks: PLACES.map(([name, lat, lon, kinds]) => ({ name, lat, lon, kinds })) };
}
