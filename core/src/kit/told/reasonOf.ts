import { printShape } from '../../ground/sizes/index.js';
import { STATION_NAMES, type Bike } from '../../bike/index.js';
import type { KitPiece, NeededBy } from '../kit.js';

/** Reasons that are named before they are counted. */
const MOST_NAMED = 3;

/**
 * A fastener with what tells it from others: `axle nut (hex 27 mm, front wheel)`, and its bike where that is not the one that is shown.
 * @param bikes to name another one's
 * @param shown id of the bike that is shown
 */
export function neededWords(n: NeededBy, bikes: readonly Pick<Bike, 'id' | 'name'>[], shown: string | null): string {
  const bike = n.bikeId === shown ? undefined : bikes.find((b) => b.id === n.bikeId);
  const sizes = [...new Set(n.heads.map(printShape))].join(' and ');
  const where = STATION_NAMES[n.station].toLowerCase();
  return `${n.name} (${sizes}, ${where}${bike ? ` of ${bike.name}` : ''})`;
}

/** Why a piece is in the kit, in one line: the same on the screen, on paper and on the command line. */
export function reasonOf(p: KitPiece, bikes: readonly Pick<Bike, 'id' | 'name'>[], shown: string | null): string {
  const parts: string[] = [];
  const [first] = p.neededBy;
  if (first)
    parts.push(
      p.neededBy.length === 1
        ? `only for ${neededWords(first, bikes, shown)}`
        : `${p.neededBy.length} fasteners need it`,
    );
  if (p.serves.length > 0) {
    const named = p.serves.slice(0, MOST_NAMED).map((s) => s.toLowerCase());
    const more = p.serves.length - named.length;
    parts.push(`for ${named.join(', ')}${more > 0 ? ` and ${more} more` : ''}`);
  }
  if (p.piece.mark === 'always' || p.piece.mark === 'twice') parts.push(`you marked it ${p.piece.mark}`);
  if (p.standsInFor.length > 0)
    parts.push(
      p.standsInFor.every((name) => name === p.piece.name)
        ? 'a second one, should one be lost or break'
        : `stands in for ${p.standsInFor.join(', ')}, should it be lost or break`,
    );
  return parts.join(' · ') || 'backs up another tool';
}
