import { sameJson } from '../../ground/json.js';
import { z } from 'zod';
import { id } from '../../ground/fields.js';
import { line } from '../../ground/text.js';
import { garageSchema, ROW_SCHEMAS, TABLES, type TableName } from '../garage.js';

/** Where a change lies: a table of rows, or the garage's own fields, which count as one row under the garage's id. */
export type Where = TableName | 'garage';
/** A row as the protocol sees it: fields by name. Its schema is looked at where it is made and where it is written. */
export type Body = Readonly<Record<string, unknown>>;

/** Its fields are looked at by the row's own schema; here it only has to be an object. */
const body = z.custom<Body>((v) => typeof v === 'object' && v !== null && !Array.isArray(v), 'must be a row');
export const whereSchema = z.enum(['garage', ...TABLES]);
const base = z.int().min(0).max(2_000_000_000);

/**
 * One change of one row, with what it was made on, so that whoever writes it later sees whether somebody else wrote meanwhile.
 * `base` is the revision that the row had, 0 for none.
 */
export const changeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('make'), table: whereSchema, id, row: body }),
  z.strictObject({
    kind: z.literal('set'),
    table: whereSchema,
    id,
    base,
    /** Each field with its value before and after; absent where the row had or has no such field. */
    fields: z
      .array(z.strictObject({ field: line(40).min(1), was: z.unknown().optional(), now: z.unknown().optional() }))
      .min(1)
      .max(120),
  }),
  z.strictObject({ kind: z.literal('delete'), table: whereSchema, id, base, row: body }),
]);
export type Change = z.infer<typeof changeSchema>;

/** One thing that a rider did: all its changes are written, or none is. Its id is judged once, however often it arrives. */
export const editSchema = z.strictObject({
  id,
  label: line(200),
  changes: z.array(changeSchema).min(1).max(12_000),
});
export type Edit = z.infer<typeof editSchema>;

/** Key of a row, over all tables. */
export const keyOf = (at: { table: Where; id: string }): string => `${at.table} ${at.id}`;

/** The fields of a row of a table, by their names in its schema. */
export const fieldsOf = (table: Where): readonly string[] =>
  Object.keys((table === 'garage' ? garageSchema : ROW_SCHEMAS[table]).shape);

/**
 * What turns one version of a row into another, null where it is not there. @returns null when both are the same
 * @param revision of the row that the change is made on, from 0
 */
export function changeOf(
  table: Where,
  rowId: string,
  before: Body | null,
  after: Body | null,
  revision: number,
): Change | null {
  if (after === null) return before === null ? null : { kind: 'delete', table, id: rowId, base: revision, row: before };
  if (before === null) return { kind: 'make', table, id: rowId, row: after };
  const fields = [...new Set([...Object.keys(before), ...Object.keys(after)])]
    .filter((field) => !sameJson(before[field], after[field]))
    .map((field) => ({ field, was: before[field], now: after[field] }));
  return fields.length === 0 ? null : { kind: 'set', table, id: rowId, base: revision, fields };
}

/** What undoes a change, made on top of it. */
export function undoing(change: Change): Change {
  switch (change.kind) {
    case 'make':
      return { kind: 'delete', table: change.table, id: change.id, base: 0, row: change.row };
    case 'delete':
      return { kind: 'make', table: change.table, id: change.id, row: change.row };
    case 'set':
      return { ...change, base: 0, fields: change.fields.map((f) => ({ field: f.field, was: f.now, now: f.was })) };
  }
}

const withFields = (row: Body, fields: readonly { field: string; now?: unknown }[]): Body => {
  const next = new Map(Object.entries(row));
  for (const { field, now } of fields)
    if (now === undefined) next.delete(field);
    else next.set(field, now);
  return Object.fromEntries(next);
};

/** A row as it is stored where it is written: deleted ones keep their last version. */
export interface Stored {
  revision: number;
  row: Body;
  deleted: boolean;
}

/** What a change does to what is stored. */
export type Judgement =
  /** It is so already. */
  | { is: 'so' }
  /** It can be written: the row as it will be, null for none. */
  | { is: 'write'; row: Body | null }
  /** Somebody else changed the same: the fields, all that differ when one of both deleted the row. */
  | { is: 'clash'; fields: string[] };

const differing = (a: Body, b: Body): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((f) => !sameJson(a[f], b[f])).sort();

/**
 * Whether a change may be written over what is stored. Fields that only one side changed are joined; a field that both changed to different
 * values is a clash, and so is a delete of a row that was changed meanwhile, or a change of a row that was deleted.
 * @param change as it was made
 * @param stored the row as it is now; null when it never was
 */
export function judge(change: Change, stored: Stored | null): Judgement {
  const live = stored !== null && !stored.deleted ? stored : null;
  switch (change.kind) {
    case 'make':
      if (!live) return { is: 'write', row: change.row };
      return sameJson(live.row, change.row) ? { is: 'so' } : { is: 'clash', fields: differing(live.row, change.row) };
    case 'delete':
      if (!live) return { is: 'so' };
      if (live.revision === change.base || sameJson(live.row, change.row)) return { is: 'write', row: null };
      return { is: 'clash', fields: differing(live.row, change.row) };
    case 'set': {
      if (!live) return { is: 'clash', fields: change.fields.map((f) => f.field).sort() };
      const open = change.fields.filter((f) => !sameJson(live.row[f.field], f.now));
      const clash = open.filter((f) => live.revision !== change.base && !sameJson(live.row[f.field], f.was));
      if (clash.length > 0) return { is: 'clash', fields: clash.map((f) => f.field).sort() };
      return open.length === 0 ? { is: 'so' } : { is: 'write', row: withFields(live.row, open) };
    }
  }
}

/** A row with a change laid over it, whoever else changed it: how one's own unsent changes are shown. */
export function onTop(change: Change, row: Body | null): Body | null {
  if (change.kind === 'make') return change.row;
  if (change.kind === 'delete') return null;
  return row && withFields(row, change.fields);
}
