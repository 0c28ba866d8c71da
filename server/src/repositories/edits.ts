import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import {
  at,
  present,
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
  type TableName,
  type Where,
} from '@necessaire/core';
import { faultOf } from '../db/faults.js';
import type { Store } from '../db/store.js';
import { Refusal, refuse } from '../refusal.js';
import { parse } from '../resources/validate.js';
import { prepared } from './prepared.js';
import { connected, transaction, type Client } from './transaction.js';
import { ALONE, growth, newsOf, type StoredRows, type Write, type Written } from './writes.js';

/** Rows that are looked at before others get their turn: nobody waits for somebody else's import. */
const IN_ONE_GO = 500;
const othersTurn = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Why an edit is not written. */
class Unwritten extends Error {
  constructor(readonly outcome: EditOutcome) {
    super('unwritten');
  }
}

/** What became of an edit of this id before; null when none came. */
async function outcomeOf(client: Client, garage: string, editId: string): Promise<EditOutcome | null> {
  const { rows } = await client.query({
    ...prepared('select outcome from edits where garage_id = $1 and id = $2'),
    values: [garage, editId],
  });
  const [row] = rows as { outcome: EditOutcome | null }[];
  return row ? (row.outcome ?? { id: editId, is: 'done' }) : null;
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

/** Parameters of the statement that stand before the rows of its tables, and how many each table has. */
const [FIRST_COLUMN, COLUMNS] = [7, 4];
/** One row of a table, as the database takes it. */
const put = (table: Where, rows: string) =>
  `insert into ${table} as t (garage_id, id, revision, body, deleted_at)
     select $1::uuid, u.id, u.revision, u.body::jsonb, case when u.gone then now() end from g cross join ${rows}
     on conflict (garage_id, id) do update
       set revision = excluded.revision, body = excluded.body, deleted_at = excluded.deleted_at
       where t.revision = excluded.revision - 1
     returning 1`;
/** Of two pins of one thing the later stays: the others make room. */
const MAKE_ROOM = `
  update pins p set deleted_at = now(), revision = p.revision + 1
  from g cross join json_to_recordset($4::json) as w ("table" text, id uuid, body jsonb, gone boolean)
  where w."table" = 'pins' and not w.gone and p.garage_id = $1::uuid and p.deleted_at is null
    and p.bike_id = (w.body ->> 'bikeId')::uuid and p.body ->> 'item' = w.body ->> 'item'
    and p.id not in (select x.id from json_to_recordset($4::json) as x ("table" text, id uuid) where x."table" = 'pins')
  returning p.id, p.revision`;
/**
 * The statement that writes an edit whose rows lie in these tables: it counts up the garage's edition, which lets its writers in one after
 * another, writes each row if it still is what was judged, and enters the edit. Where a row is not, it fails as a whole (division by zero) and
 * the edit is judged anew. One statement is one transaction: all or none.
 */
function statement(tables: readonly Where[], growing: readonly TableName[]): string {
  const own = tables.includes('garage');
  // Columns side by side, each body a line: PostgreSQL takes thousands of rows so in half the time that a JSON of all of them takes.
  const parts = tables
    .filter((t) => t !== 'garage')
    .map((t, i) => {
      const at = FIRST_COLUMN + COLUMNS * i;
      return `w${i} as (${put(
        t,
        `rows from (unnest($${at}::uuid[]), unnest($${at + 1}::int[]), unnest($${at + 2}::bool[]),
           string_to_table($${at + 3}::text, E'\\n')) as u (id, revision, gone, body)`,
      )})`;
    });
  const pins = tables.includes('pins');
  // A garage holds so many rows of each kind; counted before the new ones are in.
  const fits = growing.map(
    (t, i) =>
      ` and (select count(*) from ${t} where garage_id = $1::uuid and deleted_at is null) + ($6::int[])[${i + 1}] <= ${MOST_ROWS[t]}`,
  );
  const counted = ['0', ...parts.map((_, i) => `(select count(*) from w${i})`)].join(' + ');
  return `
    with g as (update garages set edition = edition + 1${
      // A row is updated once in a statement: the garage's own fields go with its edition.
      own ? `, body = (($4::json -> 0) ->> 'body')::jsonb, revision = (($4::json -> 0) ->> 'revision')::int` : ''
    } where id = $1::uuid and deleted_at is null${
      own ? ` and revision = (($4::json -> 0) ->> 'revision')::int - 1` : ''
    } returning edition)${[...(pins ? [`room as (${MAKE_ROOM})`] : []), ...parts].map((p) => `, ${p}`).join('')}
    , log as (insert into edits (garage_id, id, edition, touched)
        select $1::uuid, $2::uuid, g.edition, ${pins ? `$3::jsonb || coalesce((select jsonb_agg(jsonb_build_array('pins', id)) from room), '[]')` : '$3::jsonb'} from g)
    select g.edition, 1 / (case when ${counted} = $5::int and $4::json is not null and $6::int[] is not null${fits.join('')} then 1 else 0 end) as whole
      ${pins ? `, (select json_agg(room) from room) as room` : ''} from g`;
}

/**
 * One edit, all its rows or none: judged on what is read, written if that still holds, judged anew where it does not.
 * @param decide what is to be written, from what is stored; throws to write nothing
 * @returns what was written, or the outcome of before where an edit of this id was judged already
 */
async function inEdit(
  store: Store,
  garage: string,
  editId: string,
  at: readonly { table: Where; id: string }[],
  decide: (found: StoredRows) => Promise<Write[]>,
): Promise<{ written: Written } | { before: EditOutcome }> {
  try {
    const done = await connected(store.edits, async (client) => {
      for (let anew = false; ; anew = true) {
        let writes: Write[];
        try {
          writes = await decide(await stored(client, garage, at));
          if (anew) await room(client, garage, writes);
        } catch (error) {
          // What was written before may not fit any more; what was judged once is not judged again.
          const before = await outcomeOf(client, garage, editId);
          if (before) return { before };
          throw error;
        }
        try {
          return { written: await write(client, garage, editId, writes) };
        } catch (error) {
          const { code, constraint } = error as { code?: string; constraint?: string };
          if (code === '23505' && constraint === 'edits_pkey')
            return { before: present(await outcomeOf(client, garage, editId)) };
          // A row was written by somebody else in between: it is judged as it is now.
          if (code !== '22012') throw error;
        }
      }
    });
    await store.safe();
    return done;
  } catch (error) {
    throw (error as { code?: string }).code === '23503' ? await dangling(store.db, garage, error) : error;
  }
}

/** An edit that finds all as it wants it is only entered; the garage stays at its edition. */
async function noted(client: Client, garage: string, editId: string): Promise<Written> {
  const { rows } = await client.query({
    ...prepared(
      `with g as (select edition from garages where id = $1::uuid and deleted_at is null),
         log as (insert into edits (garage_id, id) select $1::uuid, $2::uuid from g)
       select edition from g`,
    ),
    values: [garage, editId],
  });
  const [said] = rows as { edition: string }[];
  if (!said) throw refuse(404, 'no-garage', 'garage', 'there is no such garage: open one from the list');
  return { edition: Number(said.edition), rows: [] };
}

/** Rows as the columns that the statement takes them in. */
const columns = (rows: readonly Write[]): unknown[] => [
  rows.map((w) => w.id),
  rows.map((w) => w.revision),
  rows.map((w) => w.gone),
  rows.map((w) => JSON.stringify(w.row)).join('\n'),
];

async function write(client: Client, garage: string, editId: string, writes: readonly Write[]): Promise<Written> {
  if (writes.length === 0) return noted(client, garage, editId);
  // The garage's own fields stand first, where the statement looks for them.
  const rows = [...writes].sort((a, b) => Number(b.table === 'garage') - Number(a.table === 'garage'));
  const tables = [...new Set(rows.map((w) => w.table))].sort();
  const growing = tables.filter((t) => t !== 'garage' && rows.some((w) => w.table === t && w.fresh)) as TableName[];
  const own = tables.includes('garage') ? 1 : 0;
  const { rows: answer } = await client.query({
    ...prepared(statement(tables, growing)),
    values: [
      garage,
      editId,
      JSON.stringify(rows.map((w) => [w.table, w.id])),
      JSON.stringify(
        rows
          .filter((w) => ALONE.includes(w.table))
          .map(({ table, id, revision, row, gone }) => ({ table, id, revision, body: row, gone })),
      ),
      rows.length - own,
      growing.map((t) => rows.reduce((n, w) => (w.table === t ? n + growth(w) : n), 0)),
      ...tables.filter((t) => t !== 'garage').flatMap((t) => columns(rows.filter((w) => w.table === t))),
    ],
  });
  const [said] = answer as { edition: string; room?: { id: string; revision: number }[] | null }[];
  if (!said) {
    if (own) {
      const there = await client.query({
        ...prepared('select 1 from garages where id = $1 and deleted_at is null'),
        values: [garage],
      });
      // Its fields were written by somebody else in between.
      if (there.rows.length > 0) throw Object.assign(new Error('judge anew'), { code: '22012' });
    }
    throw refuse(404, 'no-garage', 'garage', 'there is no such garage: open one from the list');
  }
  return {
    edition: Number(said.edition),
    rows: [
      ...writes.map(newsOf),
      ...(said.room ?? []).map((r): News => ({ table: 'pins', id: r.id, revision: r.revision, row: null })),
    ],
  };
}

/** Which row hangs on one that is not there, named for the rider: the database says only that there is one. */
async function dangling(db: Knex, garage: string, error: unknown): Promise<unknown> {
  const { detail = '', table = '' } = error as { detail?: string; table?: string };
  const of = /\((?:garage_id, )(bike_id|place_id|id)[^)]*\)=\([^,]+, ([0-9a-f-]{36})/.exec(detail);
  if (!of || !['fasteners', 'places', 'pins'].includes(table)) return faultOf(error);
  const [column, missing] = [at(of, 1), at(of, 2)];
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
        `there is no field "${present(change.fields[bad]).field}" to set`,
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
        ? present(now).row
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
  store: Store,
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
    const decide = (found: StoredRows) => decided({ ...edit, changes }, found);
    const quick = await store.together.write(garage, edit, decide);
    if (quick) {
      await store.safe();
      return { outcome: { id: edit.id, is: 'done' }, written: quick };
    }
    const done = await store.together.alone(garage, () => inEdit(store, garage, edit.id, edit.changes, decide));
    if ('before' in done) return { outcome: done.before, written: null };
    // What found all as it wants it has nothing to tell.
    const { written } = done;
    return { outcome: { id: edit.id, is: 'done' }, written: written.rows.length > 0 ? written : null };
  } catch (error) {
    if (error instanceof Unwritten) outcome = error.outcome;
    else {
      const refusal = error instanceof Refusal ? error : faultOf(error);
      if (!refusal || refusal.status >= 500 || refusal.status === 404) throw refusal ?? error;
      outcome = { id: edit.id, is: 'refused', fault: refusal.fault };
    }
  }
  await remember(store.db, garage, outcome);
  return { outcome, written: null };
}

/**
 * Writes rows that somebody decided on by other means than the protocol, as an edit of its own, so that every page hears of it.
 * @param decide the rows from what is stored
 */
export async function writeRows(
  store: Store,
  garage: string,
  at: readonly { table: Where; id: string }[],
  decide: (found: StoredRows) => Write[],
): Promise<Written> {
  const done = await store.together.alone(garage, () =>
    inEdit(store, garage, randomUUID(), at, (found) => Promise.resolve(decide(found))),
  );
  if ('before' in done) throw new Error('a new edit was judged before');
  return done.written;
}

/** Rows of a garage that were written after an edition, as they are now, and the edition that this leads to; of one moment. */
export async function newsSince(
  store: Store,
  garage: string,
  since: number,
): Promise<{ edition: number; news: News[] }> {
  const found = await transaction(
    store.db,
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
      const rowsNow = await stored(client, garage, [...at.values()]);
      const news = [...at.values()].flatMap((a): News[] => {
        const s = rowsNow.get(keyOf(a));
        return s ? [{ ...a, revision: s.revision, row: s.deleted ? null : s.row }] : [];
      });
      return { edition: Number(row.edition), news };
    },
    'begin isolation level repeatable read read only',
  );
  // Nobody is told of what a power cut could still take back.
  await store.safe();
  return found;
}
