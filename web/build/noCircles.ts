import type { Plugin } from 'vite';

/**
 * Pieces of the program that ask each other in a circle, as a path that ends where it begins; null where there is none.
 * @param imports for each piece those that it asks for before it runs
 */
export function circleIn(imports: ReadonlyMap<string, readonly string[]>): string[] | null {
  const done = new Set<string>();
  const walk = (name: string, path: readonly string[]): string[] | null => {
    const at = path.indexOf(name);
    if (at >= 0) return [...path.slice(at), name];
    if (done.has(name)) return null;
    for (const next of imports.get(name) ?? []) {
      const circle = walk(next, [...path, name]);
      if (circle) return circle;
    }
    done.add(name);
    return null;
  };
  for (const name of imports.keys()) {
    const circle = walk(name, []);
    if (circle) return circle;
  }
  return null;
}

/**
 * Ends the build where pieces ask each other in a circle: the one that runs first would find the other empty, and a stage would not open.
 * Where modules are shared is decided by sizes, so that any change may bring it about.
 */
export const noCircles = (): Plugin => ({
  name: 'necessaire-no-circles',
  generateBundle(_, bundle) {
    const pieces = Object.values(bundle).flatMap((p) => (p.type === 'chunk' ? [[p.fileName, p.imports] as const] : []));
    const circle = circleIn(new Map(pieces));
    if (circle)
      this.error(
        `pieces ask each other in a circle: ${circle.join(' > ')}. Lower entriesAwareMergeThreshold in web/vite.config.ts.`,
      );
  },
});
