/** Rewrites a value with its keys sorted, so that equal values always give the same JSON, whatever order a database or a browser kept them in. */
export function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.keys(value)
      .sort()
      .map((key) => [key, ordered((value as Record<string, unknown>)[key])]),
  );
}

/** Whether two JSON values are equal, whatever the order of their keys; a field that is undefined is none. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return Object.is(a, b);
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((x, i) => sameJson(x, b[i]));
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const said = (o: Record<string, unknown>) => Object.keys(o).filter((k) => o[k] !== undefined);
  const keys = said(x);
  return keys.length === said(y).length && keys.every((k) => Object.hasOwn(y, k) && sameJson(x[k], y[k]));
}
