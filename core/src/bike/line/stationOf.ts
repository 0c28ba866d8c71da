import { tokensOf } from '../../ground/line/index.js';
import { STATION_BY_NAME } from './words.js';
import type { Station } from '../stations.js';

/**
 * The station that a fastener's name speaks of, by the longest phrase in it that says so by itself; null where none does.
 * `rear axle nut` is the rear wheel's, `axle nut` may be either's.
 */
export function stationOf(name: string): Station | null {
  const tokens = tokensOf(name);
  let best: { station: Station; length: number } | null = null;
  for (let i = 0; i < tokens.length; i++) {
    const hit = STATION_BY_NAME.at(tokens, i);
    if (hit && (!best || hit.to - i > best.length)) best = { station: hit.means, length: hit.to - i };
  }
  return best?.station ?? null;
}
