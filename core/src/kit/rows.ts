import type { TripRows } from '../trip/rows.js';
import type { KeptKit } from './keptKit.js';

/** What a kit is chosen from: all that a trip's risks are read from, and the saved kits. */
export interface KitRows extends TripRows {
  kits: KeptKit[];
}
