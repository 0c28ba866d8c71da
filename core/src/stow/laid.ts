import { packBox, packTube, type Pose } from './pack/index.js';
import type { Place } from './place.js';
import type { Unit } from './item.js';

/** How the rigid units of a place lie beside each other; null when no packing was found. Places where that is no question give none. */
export type Laid = { poses: Pose[] } | null;

/** Whether a place's contents must be laid out to know that they go in. */
export const mustBeLaid = (place: Place): boolean =>
  place.kind === 'box' || place.kind === 'tube' || place.kind === 'body';

/** What was laid out before, so that an edit that leaves a place as it was costs nothing. Bounded; it never changes what is said. */
export class LaidMemory {
  private readonly known = new Map<string, Laid>();

  /** Lays the rigid units of a place; soft goods take the room that is left. */
  lay(place: Place, units: readonly Unit[], tries = 12): Laid {
    if (!mustBeLaid(place)) return { poses: [] };
    const rigid = units
      .filter((u) => !u.traits.has('soft'))
      .map((u) => ({ key: u.host.key, size: u.host.size, upright: u.traits.has('upright') }))
      .sort((a, b) => (a.key < b.key ? -1 : 1));
    const key = JSON.stringify([place.kind, place.inside, tries, rigid]);
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const poses = place.kind === 'tube' ? packTube(place.inside, rigid) : packBox(place.inside, rigid, tries);
    if (this.known.size > 600) this.known.clear();
    const laid = poses ? { poses } : null;
    this.known.set(key, laid);
    return laid;
  }

  /**
   * Of units that do not go into a place together, fewer that do not either: the largest ones as far as the first that no longer goes in.
   */
  private largest(place: Place, units: readonly Unit[]): Unit[] {
    const rigid = units.filter((u) => !u.traits.has('soft')).sort((a, b) => b.host.volume - a.host.volume);
    let [goes, fails] = [0, rigid.length];
    while (fails - goes > 1) {
      const half = (goes + fails) >> 1;
      if (this.lay(place, rigid.slice(0, half), QUICK) === null) fails = half;
      else goes = half;
    }
    // What a longer look does lay is no reason against it.
    const few = rigid.slice(0, fails);
    return fails < rigid.length && this.lay(place, few) !== null ? rigid : few;
  }

  /**
   * Of units that do not go into a place together, a set that does not either.
   * @param thorough from which none can be spared: the small ones are taken out first, as long as the rest still does not go in
   */
  stubborn(place: Place, units: readonly Unit[], thorough: boolean): Unit[] {
    let rest = this.largest(place, units);
    if (!thorough) return rest;
    for (const u of [...rest].reverse()) {
      const without = rest.filter((x) => x !== u);
      if (without.length > 0 && this.lay(place, without, QUICK) === null) rest = without;
    }
    return rest;
  }
}
/** Orders that are tried where only the gist is wanted. */
const QUICK = 3;
