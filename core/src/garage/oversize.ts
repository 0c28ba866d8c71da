import { MOST_ROWS, TABLES } from './garage.js';

/** Deepest nesting that any row has, with room to spare. */
const MOST_DEPTH = 24;
/** Objects and lists in a whole file: over ten for each row of the fullest garage that 8 MB hold. */
const MOST_HOLDERS = 400_000;
/** Longest list inside a row: the points of a way are the longest that there are. */
const MOST_IN_LIST = 20_000;

/**
 * Whether a value that was read from JSON is of a size that is worth looking at: counted before anything is made of it, in one pass that stops
 * at the first excess, so that a file of a million empty rows costs no more than reading it.
 * @returns where and what is too much, or null
 */
export function oversize(file: Record<string, unknown>): { path: string; message: string } | null {
  for (const table of TABLES) {
    const rows = file[table];
    if (rows === undefined) continue;
    if (!Array.isArray(rows)) return { path: table, message: 'must be a list of rows' };
    if (rows.length > MOST_ROWS[table])
      return { path: table, message: `a garage holds up to ${MOST_ROWS[table]} ${table}: it has ${rows.length}` };
  }
  let holders = 0;
  const within = (value: unknown, path: string, depth: number): { path: string; message: string } | null => {
    if (typeof value !== 'object' || value === null) return null;
    if (depth > MOST_DEPTH) return { path, message: 'is nested too deep: it is no row of a garage' };
    if (++holders > MOST_HOLDERS)
      return { path: '(whole file)', message: `holds over ${MOST_HOLDERS} values with parts: split the garage` };
    if (Array.isArray(value)) {
      if (value.length > MOST_IN_LIST)
        return { path, message: `too many: a list inside a row holds up to ${MOST_IN_LIST}` };
      for (let i = 0; i < value.length; i++) {
        const found = within(value[i], `${path}[${i}]`, depth + 1);
        if (found) return found;
      }
      return null;
    }
    for (const key of Object.keys(value)) {
      const found = within(
        (value as Record<string, unknown>)[key],
        path ? `${path}.${key.slice(0, 40)}` : key.slice(0, 40),
        depth + 1,
      );
      if (found) return found;
    }
    return null;
  };
  return within(file, '', 0);
}
