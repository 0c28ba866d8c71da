import type { Trouble } from './trouble.js';
import { needsOf, type Way } from './way.js';

/**
 * For each part that a way uses up, the other troubles that some way mends with the same part: one spare that may serve several.
 * @param troubles those that the bike can have
 */
export const sharedParts = (
  way: Pick<Way, 'out' | 'back'>,
  of: Pick<Trouble, 'id'>,
  troubles: readonly Trouble[],
): { kind: string; also: string[] }[] =>
  needsOf(way).supplies.map(({ kind }) => ({
    kind,
    also: troubles
      .filter((t) => t.id !== of.id && t.ways.some((w) => needsOf(w).supplies.some((s) => s.kind === kind)))
      .map((t) => t.name),
  }));
