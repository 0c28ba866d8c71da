import { MOST_ROWS, type TableName } from '../garage.js';
import type { Preview } from './rows.js';

/** A preview, and what stands against all of it: more rows than a garage holds. */
export type RoomyPreview<T> = Preview<T> & { overfull: string | null };

/**
 * A preview held against what a garage holds: the same limit that refuses the rows when they are written.
 * @param there rows of the table that the whole garage has
 */
export function withinRoom<T>(preview: Preview<T>, table: TableName, there: number): RoomyPreview<T> {
  const over = there + preview.added - MOST_ROWS[table];
  if (over <= 0) return { ...preview, overfull: null };
  const overfull = `a garage holds up to ${MOST_ROWS[table]} ${table}: ${over} too many. Delete some first`;
  return { ...preview, rows: [], added: 0, changed: 0, faults: preview.faults + 1, overfull };
}
