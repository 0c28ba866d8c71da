import { FAULT_TREES, type FaultTree } from '@necessaire/core';

const KEY = 'necessaire.symptoms';
/** Before anything was worked out here: what is likeliest on any trip. */
const USUAL: readonly string[] = ['flat'];

function kept(): readonly string[] {
  try {
    const ids: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    return Array.isArray(ids) ? ids.map(String) : USUAL;
  } catch {
    return USUAL;
  }
}

/** People first, then what is likeliest on the trip: as it was worked out at the last visit, so that nothing moves under the finger. */
export function symptomsInOrder(): FaultTree[] {
  const before = kept();
  const rank = (t: FaultTree) => (t.inOrder ? -1 : before.includes(t.id) ? before.indexOf(t.id) : before.length);
  return [...FAULT_TREES].sort((a, b) => rank(a) - rank(b));
}

/** Keeps the order for the next visit. @param weight how likely what a symptom may come from is */
export function keepSymptomOrder(weight: (tree: FaultTree) => number): void {
  const ids = FAULT_TREES.filter((t) => !t.inOrder)
    .map((t) => ({ id: t.id, w: weight(t) }))
    .sort((a, b) => b.w - a.w)
    .map((x) => x.id);
  try {
    localStorage.setItem(KEY, JSON.stringify(ids));
  } catch {
    // A browser that keeps nothing shows them in the order in which they are written.
  }
}
