import { z } from 'zod';
import { faultsOf, type Fault } from '../ground/faults.js';
import { ordered } from '../ground/json.js';
import { roadCardSchema, type RoadCard } from '../road/card.js';
import { fileToNow } from './upgrade.js';
import { oversize } from './oversize.js';
import { garageSchema, MOST_ROWS, ROW_SCHEMAS, TABLES, type GarageDocument } from './garage.js';

/** Name and version of the open file format. A reader refuses versions that it does not know. */
export const FILE_FORMAT = 'necessaire-garage';
export const FILE_VERSION = 12;
/** Greatest size of a garage file, bytes. */
export const MOST_BYTES = 8 * 1024 * 1024;

const fileSchema = z.strictObject({
  format: z.literal(FILE_FORMAT),
  version: z.literal(FILE_VERSION),
  garage: garageSchema,
  bikes: z.array(ROW_SCHEMAS.bikes).max(MOST_ROWS.bikes),
  fasteners: z.array(ROW_SCHEMAS.fasteners).max(MOST_ROWS.fasteners),
  pieces: z.array(ROW_SCHEMAS.pieces).max(MOST_ROWS.pieces),
  supplies: z.array(ROW_SCHEMAS.supplies).max(MOST_ROWS.supplies),
  trips: z.array(ROW_SCHEMAS.trips).max(MOST_ROWS.trips),
  rides: z.array(ROW_SCHEMAS.rides).max(MOST_ROWS.rides),
  places: z.array(ROW_SCHEMAS.places).max(MOST_ROWS.places),
  pins: z.array(ROW_SCHEMAS.pins).max(MOST_ROWS.pins),
  mends: z.array(ROW_SCHEMAS.mends).max(MOST_ROWS.mends),
  kits: z.array(ROW_SCHEMAS.kits).max(MOST_ROWS.kits),
  packings: z.array(ROW_SCHEMAS.packings).max(MOST_ROWS.packings),
  kinds: z.array(ROW_SCHEMAS.kinds).max(MOST_ROWS.kinds),
  companions: z.array(ROW_SCHEMAS.companions).max(MOST_ROWS.companions),
  crews: z.array(ROW_SCHEMAS.crews).max(MOST_ROWS.crews),
  loans: z.array(ROW_SCHEMAS.loans).max(MOST_ROWS.loans),
  drills: z.array(ROW_SCHEMAS.drills).max(MOST_ROWS.drills),
  checks: z.array(ROW_SCHEMAS.checks).max(MOST_ROWS.checks),
  reminders: z.array(ROW_SCHEMAS.reminders).max(MOST_ROWS.reminders),
  watches: z.array(ROW_SCHEMAS.watches).max(MOST_ROWS.watches),
  memories: z.array(ROW_SCHEMAS.memories).max(MOST_ROWS.memories),
  happened: z.array(ROW_SCHEMAS.happened).max(MOST_ROWS.happened),
  reviews: z.array(ROW_SCHEMAS.reviews).max(MOST_ROWS.reviews),
  // Only where its writer ticked it: it is not of the garage, and no server keeps it.
  card: roadCardSchema.optional(),
});

/**
 * Ids that occur twice in a table, and rows that hang on a bike or place that is not there.
 * A database would refuse these too; here they get a path.
 */
export function referenceFaults(doc: GarageDocument): Fault[] {
  const faults: Fault[] = [];
  for (const table of TABLES) {
    const seen = new Set<string>();
    doc[table].forEach((row, i) => {
      if (seen.has(row.id))
        faults.push({
          code: 'twice',
          path: `${table}[${i}].id`,
          message: 'this id occurs twice: give the row an id of its own',
        });
      seen.add(row.id);
    });
  }
  const bikes = new Set(doc.bikes.map((b) => b.id));
  const places = new Map(doc.places.map((p) => [p.id, p.bikeId]));
  for (const table of ['fasteners', 'places', 'pins'] as const)
    doc[table].forEach((row, i) => {
      if (!bikes.has(row.bikeId))
        faults.push({
          code: 'dangling',
          path: `${table}[${i}].bikeId`,
          message: 'no such bike in this garage: add the bike or drop the row',
        });
    });
  doc.pins.forEach((pin, i) => {
    if (places.get(pin.placeId) !== pin.bikeId)
      faults.push({
        code: 'dangling',
        path: `pins[${i}].placeId`,
        message: 'no such place on this bike: add the place or drop the row',
      });
  });
  return faults.slice(0, 20);
}

/**
 * Reads a garage file. Nothing is guessed and nothing is repaired: either all of it holds, or the faults say where and what to do.
 * @param text the file's text
 */
export function readGarageFile(
  text: string,
): { ok: true; document: GarageDocument; card: RoadCard | null } | { ok: false; faults: Fault[] } {
  const fail = (code: string, message: string, path = '(whole file)') => ({
    ok: false as const,
    faults: [{ code, path, message }],
  });
  // Two bytes a character is the least that bounds a text's size without encoding it.
  if (text.length > MOST_BYTES)
    return fail('too-large', `the file is over ${MOST_BYTES / 1024 / 1024} MB and cannot be a garage file`);
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return fail('not-json', 'the file is not JSON or was cut short: export it again');
  }
  if (typeof json !== 'object' || json === null || (json as { format?: unknown }).format !== FILE_FORMAT)
    return fail('foreign', `this is no Necessaire garage: "format" must be "${FILE_FORMAT}"`, 'format');
  const { version } = json as { version?: unknown };
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version > FILE_VERSION)
    return fail(
      'version',
      `this program reads versions 1 to ${FILE_VERSION}: it needs to be newer for this file`,
      'version',
    );
  const over = oversize(json as Record<string, unknown>);
  if (over) return fail('too-many', over.message, over.path);
  const parsed = fileSchema.safeParse(fileToNow(json as Record<string, unknown>, version));
  if (!parsed.success) return { ok: false, faults: faultsOf(parsed.error) };
  const { format: _format, version: _version, card = null, ...document } = parsed.data;
  const faults = referenceFaults(document);
  return faults.length > 0 ? { ok: false, faults } : { ok: true, document, card };
}

/**
 * Writes a garage file: rows in their order, keys sorted within each row, two spaces, a newline at the end.
 * @param card the writer's own details for an emergency, where they shall go along
 */
export function writeGarageFile(doc: GarageDocument, card: RoadCard | null = null): string {
  const rows = Object.fromEntries(TABLES.map((t) => [t, doc[t].map(ordered)]));
  const own = card ? { card: ordered(card) } : {};
  const file = { format: FILE_FORMAT, version: FILE_VERSION, garage: ordered(doc.garage), ...rows, ...own };
  return `${JSON.stringify(file, null, 2)}\n`;
}
