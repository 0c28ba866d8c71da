import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import {
  fieldsOf,
  garageSchema,
  judge,
  keyOf,
  MOST_ROWS,
  ROW_SCHEMAS,
  type Body,
  type Change,
  type Edit,
  type EditOutcome,
  type News,
  type Stored,
  type TableName,
  type Where,
} from '@necessaire/core';
import { faultOf } from '../db/faults.js';
import { Refusal, refuse } from '../refusal.js';
import { parse } from '../resources/validate.js';
import { transaction, type Client } from './transaction.js';

/** Rows that are looked at before others get their turn: nobody waits for somebody else's import. */
const IN_ONE_GO = 500;
const othersTurn = () => new Promise<void>((resolve) => setImmediate(resolve));

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
export type StoredRows = Map<string, Stored>;

/** What an edit came to: the garage's edition, and the rows that it wrote, others that had to make room included. */
export interface Written {
  edition: number;
  rows: News[];
}

/** Why an edit is not written: with it the transaction is rolled back. */
class Unwritten extends Error {
  constructor(readonly outcome: EditOutcome) {
    super('unwritten');
  }
}

const statements = new Map<string, string>();
/** A statement that is prepared once a connection, under its own text. */
function prepared(text: string): { name: string; text: string } {
  let name = statements.get(text);
  if (!name) statements.set(text, (name = `n${statements.size}`));
  return { name, text };
}

const OPEN = prepared(
  `with g as (update garages set edition = edition + 1 where id = $1 and deleted_at is null returning edition)
   select g.edition, e.id is not null as seen, e.outcome
   from (select 1) one left join g on true left join edits e on e.garage_id = $1 and e.id = $2`,
);

/** Locks the garage and counts up its edition: its writers come one after another, so that each judges what is really there. */
async function open(
  client: Client,
  garage: string,
  editId: string,
): Promise<{ edition: number; seen: EditOutcome | null }> {
  const { rows } = await client.query({ ...OPEN, values: [garage, editId] });
  const [row] = rows as { edition: string | null; seen: boolean; outcome: EditOutcome | null }[];
  if (row!.edition === null)
    throw refuse(404, 'no-garage', 'garage', 'there is no such garage: open one from the list');
  const done: EditOutcome = { id: editId, is: 'done' };
  return { edition: Number(row!.edition), seen: row!.seen ? (row!.outcome ?? done) : null };
}

async function stored(
  client: Client,
  garage: string,
  at: readonly { table: Where; id: string }[],
): Promise<StoredRows> {
  const found: StoredRows = new Map();
  for (const table of new Set(at.map((a) => a.table))) {
    const ids = at.filter((a) => a.table === table).map((a) => a.id);
    const { rows } = await client.query(
      table === 'garage'
        ? { ...prepared('select id, revision, body, deleted_at from garages where id = $1'), values: [garage] }
        : {
            ...prepared(
              `select id, revision, body, deleted_at from ${table} where garage_id = $1 and id = any($2::uuid[])`,
            ),
            values: [garage, ids],
          },
    );
    for (const r of rows as { id: string; revision: number; body: Body; deleted_at: Date | null }[])
      found.set(keyOf({ table, id: r.id }), { revision: r.revision, row: r.body, deleted: r.deleted_at !== null });
  }
  return found;
}

/** A garage holds so many rows of each kind; looked at only where rows come in. */
async function room(client: Client, garage: string, writes: readonly Write[]): Promise<void> {
  const coming = new Map<TableName, number>();
  for (const w of writes) if (w.table !== 'garage' && w.fresh) coming.set(w.table, (coming.get(w.table) ?? 0) + 1);
  for (const [table, n] of coming) {
    const { rows } = await client.query({
      ...prepared(`select count(*)::int as n from ${table} where garage_id = $1 and deleted_at is null`),
      values: [garage],
    });
    const going = writes.filter((w) => w.table === table && w.gone).length;
    if ((rows[0] as { n: number }).n + n - going > MOST_ROWS[table])
      throw refuse(422, 'too-many', table, `a garage holds up to ${MOST_ROWS[table]} ${table}: delete some first`);
  }
}

/** Of two pins of one thing the later stays: the others make room. */
async function makeRoom(client: Client, garage: string, pins: readonly Write[]): Promise<News[]> {
  const live = pins.filter((p) => !p.gone);
  if (live.length === 0) return [];
  const { rows } = await client.query({
    ...prepared(
      `update pins p set deleted_at = now(), revision = p.revision + 1
       from jsonb_to_recordset($2::jsonb) as w (id uuid, bike uuid, item text)
       where p.garage_id = $1 and p.deleted_at is null and p.bike_id = w.bike and p.body ->> 'item' = w.item
         and p.id <> all ($3::uuid[])
       returning p.id, p.revision`,
    ),
    values: [
      garage,
      JSON.stringify(live.map((p) => ({ id: p.id, bike: p.row['bikeId'], item: p.row['item'] }))),
      pins.map((p) => p.id),
    ],
  });
  return (rows as { id: string; revision: number }[]).map((r) => ({
    table: 'pins',
    id: r.id,
    revision: r.revision,
    row: null,
  }));
}

/** All rows of an edit and the edit itself, in one statement however many tables they lie in. */
async function write(
  client: Client,
  garage: string,
  edit: { id: string; edition: number },
  writes: readonly Write[],
  touched: readonly { table: Where; id: string }[],
): Promise<void> {
  const tables = [...new Set(writes.map((w) => w.table))].sort();
  const parts = tables.map((table, i) =>
    table === 'garage'
      ? `w${i} as (update garages set body = ($4::jsonb -> 'garage' -> 0 -> 'row'),
           revision = ($4::jsonb -> 'garage' -> 0 ->> 'revision')::int where id = $1)`
      : `w${i} as (insert into ${table} as t (garage_id, id, revision, body, deleted_at)
           select $1::uuid, u.id, u.revision, u.row, case when u.gone then now() end
           from jsonb_to_recordset($4::jsonb -> '${table}') as u (id uuid, revision int, "row" jsonb, gone boolean)
           on conflict (garage_id, id) do update set revision = excluded.revision, body = excluded.body,
             deleted_at = excluded.deleted_at)`,
  );
  const text = `with ${[...parts, 'x as (select $4::jsonb)'].join(', ')}
    insert into edits (garage_id, id, edition, touched) values ($1::uuid, $2::uuid, $3::bigint, $5::jsonb)`;
  const by = Object.fromEntries(
    tables.map((t) => [
      t,
      writes.filter((w) => w.table === t).map(({ id, revision, row, gone }) => ({ id, revision, row, gone })),
    ]),
  );
  await client.query({
    ...prepared(text),
    values: [garage, edit.id, edit.edition, JSON.stringify(by), JSON.stringify(touched.map((t) => [t.table, t.id]))],
  });
}

/**
 * One edit in one transaction: all its rows or none.
 * @param decide what is to be written, from what is stored; throws to write nothing
 * @returns null where an edit of this id was judged before
 */
async function inEdit(
  db: Knex,
  garage: string,
  editId: string,
  at: readonly { table: Where; id: string }[],
  decide: (found: StoredRows) => Promise<Write[]>,
): Promise<{ written: Written } | { before: EditOutcome }> {
  try {
    return await transaction(db, async (client) => {
      const { edition, seen } = await open(client, garage, editId);
      if (seen) return { before: seen };
      const writes = await decide(await stored(client, garage, at));
      await room(client, garage, writes);
      const displaced = await makeRoom(
        client,
        garage,
        writes.filter((w) => w.table === 'pins'),
      );
      const news: News[] = [
        ...writes.map((w) => ({ table: w.table, id: w.id, revision: w.revision, row: w.gone ? null : w.row })),
        ...displaced,
      ];
      await write(client, garage, { id: editId, edition }, writes, news);
      return { written: { edition, rows: news } };
    });
  } catch (error) {
    const { code, constraint } = error as { code?: string; constraint?: string };
    // The same edit came in twice at once: the first one was judged.
    if (code === '23505' && constraint === 'edits_pkey') return inEdit(db, garage, editId, at, decide);
    throw code === '23503' ? await dangling(db, garage, error) : error;
  }
}

/** Which row hangs on one that is not there, named for the rider: the database says only that there is one. */
async function dangling(db: Knex, garage: string, error: unknown): Promise<unknown> {
  const { detail = '', table = '' } = error as { detail?: string; table?: string };
  const of = /\((?:garage_id, )(bike_id|place_id|id)[^)]*\)=\([^,]+, ([0-9a-f-]{36})/.exec(detail);
  if (!of || !['fasteners', 'places', 'pins'].includes(table)) return faultOf(error);
  const [, column, missing] = of as unknown as [string, string, string];
  const field = /place/.test(column + ((error as { constraint?: string }).constraint ?? '')) ? 'placeId' : 'bikeId';
  const what = field === 'placeId' ? 'place' : 'bike';
  if (column !== 'id')
    return refuse(
      422,
      'dangling',
      `${table}.${field}`,
      what === 'bike'
        ? 'its bike is not in this garage: delete or move it together with the bike'
        : 'its place is not on this bike: delete it together with the place',
      { missing },
    );
  const row = await db(table)
    .where({ garage_id: garage, [field === 'placeId' ? 'place_id' : 'bike_id']: missing })
    .whereNull('deleted_at')
    .first<{ id: string } | undefined>('id');
  return refuse(
    422,
    'dangling',
    `${table} ${row?.id ?? ''}`,
    `it hangs on a ${what} that goes: delete or move it together with the ${what}`,
    { missing },
  );
}

/** A row as it may be stored, or a refusal with the path to what is wrong. */
function checkedRow(table: Where, id: string, row: Body, path: string): Body {
  const checked = parse(table === 'garage' ? garageSchema : ROW_SCHEMAS[table], row, path) as Body;
  if (table !== 'garage' && checked['id'] !== id)
    throw refuse(422, 'invalid', `${path}.id`, 'the row carries another id than the change: make them the same');
  return checked;
}

/** A change as the protocol takes it: rows that come in checked, fields known. */
function checkedChange(garage: string, change: Change, path: string): Change {
  const { table } = change;
  if (table === 'garage' && (change.kind !== 'set' || change.id !== garage))
    throw refuse(422, 'invalid', path, 'a garage’s own fields can only be set, under its own id');
  if (change.kind === 'make') return { ...change, row: checkedRow(table, change.id, change.row, `${path}.row`) };
  if (change.kind === 'set') {
    const fields = fieldsOf(table);
    const bad = change.fields.findIndex((f) => f.field === 'id' || !fields.includes(f.field));
    if (bad >= 0)
      throw refuse(
        422,
        'invalid',
        `${path}.fields[${bad}].field`,
        `there is no field "${change.fields[bad]!.field}" to set`,
      );
  }
  return change;
}

/** What the changes of an edit come to over what is stored. @throws Unwritten where one clashes */
async function decided(edit: Edit, found: StoredRows): Promise<Write[]> {
  const writes = new Map<string, Write>();
  const at: (EditOutcome & { is: 'clash' })['at'] = [];
  for (const [i, change] of edit.changes.entries()) {
    if (i % IN_ONE_GO === IN_ONE_GO - 1) await othersTurn();
    const key = keyOf(change);
    const now = found.get(key) ?? null;
    const said = judge(change, now);
    if (said.is === 'clash') at.push({ change: i, fields: said.fields, last: now?.deleted ? now.row : null });
    if (said.is !== 'write') continue;
    const row =
      said.row === null
        ? now!.row
        : change.kind === 'make'
          ? said.row
          : checkedRow(change.table, change.id, said.row, `changes[${i}].row`);
    const before = writes.get(key);
    const write: Write = {
      table: change.table,
      id: change.id,
      // A row that one edit changes twice is still written once.
      revision: before?.revision ?? (now?.revision ?? 0) + 1,
      row,
      gone: said.row === null,
      fresh: said.row !== null && (before?.fresh ?? (!now || now.deleted)),
    };
    writes.set(key, write);
    found.set(key, { revision: write.revision, row, deleted: write.gone });
  }
  if (at.length > 0) throw new Unwritten({ id: edit.id, is: 'clash', at });
  return [...writes.values()];
}

/** An edit that was not written is remembered with why, so that a copy of it that arrives late is not judged again. */
async function remember(db: Knex, garage: string, outcome: EditOutcome): Promise<void> {
  await db('edits')
    .insert({ garage_id: garage, id: outcome.id, outcome: JSON.stringify(outcome) })
    .onConflict(['garage_id', 'id'])
    .ignore();
}

/**
 * Receives one edit: judges it, writes it whole or not at all, and remembers its outcome.
 * @throws Refusal when the garage is not there or the database cannot write now: then nothing was judged
 */
export async function receiveEdit(
  db: Knex,
  garage: string,
  edit: Edit,
): Promise<{ outcome: EditOutcome; written: Written | null }> {
  let outcome: EditOutcome;
  try {
    const changes: Change[] = [];
    for (const [i, c] of edit.changes.entries()) {
      if (i % IN_ONE_GO === IN_ONE_GO - 1) await othersTurn();
      changes.push(checkedChange(garage, c, `changes[${i}]`));
    }
    const done = await inEdit(db, garage, edit.id, edit.changes, (found) => decided({ ...edit, changes }, found));
    if ('before' in done) return { outcome: done.before, written: null };
    return { outcome: { id: edit.id, is: 'done' }, written: done.written };
  } catch (error) {
    if (error instanceof Unwritten) outcome = error.outcome;
    else {
      const refusal = error instanceof Refusal ? error : faultOf(error);
      if (!refusal || refusal.status >= 500 || refusal.status === 404) throw refusal ?? error;
      outcome = { id: edit.id, is: 'refused', fault: refusal.fault };
    }
  }
  await remember(db, garage, outcome);
  return { outcome, written: null };
}

/**
 * Writes rows that somebody decided on by other means than the protocol, as an edit of its own, so that every page hears of it.
 * @param decide the rows from what is stored
 */
export async function writeRows(
  db: Knex,
  garage: string,
  at: readonly { table: Where; id: string }[],
  decide: (found: StoredRows) => Write[],
): Promise<Written> {
  const done = await inEdit(db, garage, randomUUID(), at, (found) => Promise.resolve(decide(found)));
  if ('before' in done) throw new Error('a new edit was judged before');
  return done.written;
}

/** Rows of a garage that were written after an edition, as they are now, and the edition that this leads to; of one moment. */
export async function newsSince(db: Knex, garage: string, since: number): Promise<{ edition: number; news: News[] }> {
  return transaction(
    db,
    async (client) => {
      const edition = await client.query({
        ...prepared('select edition from garages where id = $1 and deleted_at is null'),
        values: [garage],
      });
      const [row] = edition.rows as { edition: string }[];
      if (!row) throw refuse(404, 'no-garage', 'garage', 'there is no such garage: open one from the list');
      if (Number(row.edition) <= since) return { edition: Number(row.edition), news: [] };
      const { rows } = await client.query({
        ...prepared('select touched from edits where garage_id = $1 and edition > $2'),
        values: [garage, since],
      });
      const at = new Map<string, { table: Where; id: string }>();
      for (const { touched } of rows as { touched: [Where, string][] }[])
        for (const [table, id] of touched) at.set(`${table} ${id}`, { table, id });
      const found = await stored(client, garage, [...at.values()]);
      const news = [...at.values()].flatMap((a): News[] => {
        const s = found.get(keyOf(a));
        return s ? [{ ...a, revision: s.revision, row: s.deleted ? null : s.row }] : [];
      });
      return { edition: Number(row.edition), news };
    },
    'begin isolation level repeatable read read only',
  );
}
