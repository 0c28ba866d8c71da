import { climb, type Bike, type Fastener } from '../index.js';
import { printShape } from '../../ground/sizes/index.js';

/**
 * Copies a bike with its fasteners as a start for one of the same kind. What was known of the one is only *assumed* of the other:
 * nobody has put a tool on it yet.
 * @param nextId makes ids
 * @param when ISO time of the copy
 */
export function copyBike(
  bike: Bike,
  fasteners: readonly Fastener[],
  name: string,
  nextId: () => string,
  when: string,
): { bike: Bike; fasteners: Fastener[] } {
  const copy = { ...bike, id: nextId(), name };
  return {
    bike: copy,
    fasteners: fasteners
      .filter((f) => f.bikeId === bike.id)
      .map((f) =>
        climb(
          { ...f, id: nextId(), bikeId: copy.id, gauge: null, farGauge: null, trail: [] },
          { evidence: 'assumed', who: '', when, how: `copied from ${bike.name}` },
        ),
      ),
  };
}

/** One size over two bikes: where it occurs on each. */
export interface SharedSize {
  /** Form and size in words. */
  size: string;
  head: Fastener['head'];
  here: Fastener[];
  there: Fastener[];
}

/** The sizes of two bikes side by side: in common, only on the first, only on the second. Both ends count; what is left out does not. */
export function compareBikes(
  here: readonly Fastener[],
  there: readonly Fastener[],
): { common: SharedSize[]; onlyHere: SharedSize[]; onlyThere: SharedSize[] } {
  const sizes = new Map<string, SharedSize>();
  const add = (f: Fastener, side: 'here' | 'there') => {
    if (f.leftOut !== null) return;
    for (const head of f.far ? [f.head, f.far] : [f.head]) {
      const key = printShape(head);
      const row = sizes.get(key) ?? { size: key, head, here: [], there: [] };
      if (!row[side].includes(f)) row[side].push(f);
      sizes.set(key, row);
    }
  };
  for (const f of here) add(f, 'here');
  for (const f of there) add(f, 'there');
  const all = [...sizes.values()];
  const most = (r: SharedSize) => r.here.length + r.there.length;
  const sorted = (list: SharedSize[]) => list.sort((a, b) => most(b) - most(a) || (a.size < b.size ? -1 : 1));
  return {
    common: sorted(all.filter((r) => r.here.length > 0 && r.there.length > 0)),
    onlyHere: sorted(all.filter((r) => r.there.length === 0)),
    onlyThere: sorted(all.filter((r) => r.here.length === 0)),
  };
}
