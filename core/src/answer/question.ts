import type { KitHint } from '../kit/index.js';
import type { PackingHint } from '../stow/index.js';

/** Which bike and trip of a garage are asked about. */
export interface Question {
  bikeId: string;
  tripId: string | null;
  /** ISO date, for what has passed its own; without it dates do not count. */
  today?: string | null;
  /** A kit that a longer search found for the same question; looked at again before it is taken. */
  hint?: KitHint | null;
  /** A packing that a longer search found. */
  packed?: PackingHint | null;
}
