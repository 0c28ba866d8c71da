import type { KitRows } from '../kit/rows.js';
import type { Place } from '../stow/place.js';
import type { Companion } from './companion.js';
import type { Crew } from './crew.js';
import type { Person } from './person.js';

/** What a crew is worked out from: all that a kit is, and the people. */
export interface CrewRows extends KitRows {
  companions: Companion[];
  crews: Crew[];
  places: Place[];
  garage: KitRows['garage'] & { rider: Person };
}
