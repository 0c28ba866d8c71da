import { at } from '../../ground/numbers.js';
import KDBush from 'kdbush';
import { around } from 'geokdbush';
import { apart, type Spot } from './geo.js';
import { MARK_KINDS, spotsAlong, type Mark, type MarkKind, type Route } from './route.js';

/** The nearest mark of a kind: which, and how far by straight line, km. */
export interface Nearest {
  mark: Mark;
  km: number;
}

/** Finds the nearest mark of a kind, or of several, from any spot, over a spatial index. */
export class HelpFinder {
  private readonly indices = new Map<string, { index: KDBush; marks: Mark[] } | null>();
  constructor(private readonly marks: readonly Mark[]) {}

  private of(kinds: readonly MarkKind[]) {
    const key = kinds.join();
    let known = this.indices.get(key);
    if (known === undefined) {
      const marks = this.marks.filter((m) => m.kinds.some((k) => kinds.includes(k)));
      known = null;
      if (marks.length > 0) {
        const index = new KDBush(marks.length);
        for (const m of marks) index.add(m.lon, m.lat);
        index.finish();
        known = { index, marks };
      }
      this.indices.set(key, known);
    }
    return known;
  }

  /** @returns null when there is no such mark */
  nearest(spot: Spot, ...kinds: MarkKind[]): Nearest | null {
    const known = this.of(kinds);
    if (!known) return null;
    const hit = around(known.index, spot.lon, spot.lat, 1)[0];
    if (hit === undefined) return null;
    const mark = at(known.marks, hit);
    return { mark, km: apart(spot, mark) };
  }
}

/** One point of the profile: how far along, how high, and how far each kind of help is along the ground. */
export interface ProfilePoint {
  km: number;
  ele: number | null;
  help: Partial<Record<MarkKind, { km: number; name: string }>>;
}

/**
 * Distance to each kind of help along a route, km along the ground: the straight line times the route's detour factor.
 * Kinds of which there is no mark are left out.
 * @param onProgress share that is done, 0 to 1
 */
export function helpProfile(route: Route, onProgress: (share: number) => void = () => {}): ProfilePoint[] {
  const finder = new HelpFinder(route.marks);
  const spots = spotsAlong(route);
  return spots.map((p, i) => {
    if (i % 500 === 0) onProgress(i / spots.length);
    const help: ProfilePoint['help'] = {};
    for (const kind of MARK_KINDS) {
      const near = finder.nearest(p, kind);
      if (near) help[kind] = { km: near.km * route.detour, name: near.mark.name };
    }
    return { km: p.km, ele: p.ele, help };
  });
}
