import { writeCsv } from '../ground/csv/table.js';
import type { KeptKit } from './keptKit.js';

/** A packing list as CSV: one line a thing, ready to be ticked. */
export const writeKit = (kept: Pick<KeptKit, 'pieces' | 'supplies'>): string =>
  writeCsv(
    ['what', 'kind', 'number', 'grams of one', 'grams', 'packed'],
    [
      ...kept.pieces.map((p) => [p.name, 'tool', p.count, p.mass, p.mass * p.count, '']),
      ...kept.supplies.map((s) => [
        s.name,
        'spare',
        s.quantity,
        Math.round((s.mass / s.quantity) * 10) / 10,
        s.mass,
        '',
      ]),
    ],
  );
