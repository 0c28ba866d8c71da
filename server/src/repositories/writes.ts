import { keyOf, type Body, type News, type Stored, type Where } from '@necessaire/core';

/** A row that an edit writes, as it will be stored. */
export interface Write {
  table: Where;
  id: string;
  revision: number;
  row: Body;
  gone: boolean;
  fresh: boolean;
}
/** Everything that is stored of the rows that an edit names, by `keyOf`. */
export type StoredRows = Map<ReturnType<typeof keyOf>, Stored>;

/** What an edit came to: the garage's edition, and the rows that it wrote, others that had to make room included. */
export interface Written {
  edition: number;
  rows: News[];
}

/** Tables that a statement reads as a whole: a pin makes room, a garage's own fields go with its edition. */
export const ALONE: readonly Where[] = ['garage', 'pins'];

/** How many rows more a write makes of a table. */
export const growth = (w: Write): number => (w.fresh ? 1 : w.gone ? -1 : 0);

/** What the other pages are told of a write. */
export const newsOf = (w: Write): News => ({
  table: w.table,
  id: w.id,
  revision: w.revision,
  row: w.gone ? null : w.row,
});
