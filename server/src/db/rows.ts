import type { Knex } from 'knex';
import type { TableName } from '@necessaire/core';

type Body = Record<string, unknown>;

/**
 * Brings what is stored to the next version, row by row.
 * @param tables those whose rows got something new
 * @param row brings one row on, `own` a garage's own fields
 */
export async function rewriteRows(
  knex: Knex,
  tables: readonly TableName[],
  row: (table: TableName, body: Body) => Body,
  own: (garage: Body) => Body,
): Promise<void> {
  const garages: { id: string; body: Body }[] = await knex('garages').select('id', 'body');
  for (const { id, body } of garages)
    await knex('garages')
      .where({ id })
      .update({ body: JSON.stringify(own(body)) });
  for (const table of tables) {
    const rows: { garage_id: string; id: string; body: Body }[] = await knex(table).select('garage_id', 'id', 'body');
    for (const { garage_id, id, body } of rows)
      await knex(table)
        .where({ garage_id, id })
        .update({ body: JSON.stringify(row(table, body)) });
  }
}

/** A table of rows that hang on nothing but their garage. */
export async function createRowTable(knex: Knex, table: string): Promise<void> {
  await knex.raw(`
    create table ${table} (
      garage_id uuid not null references garages (id) on delete cascade,
      id uuid not null,
      seq bigint generated always as identity,
      revision integer not null default 1 check (revision > 0),
      body jsonb not null check (jsonb_typeof(body) = 'object' and (body->>'id')::uuid = id),
      deleted_at timestamptz,
      primary key (garage_id, id)
    )`);
  await knex.raw(`create index ${table}_in_order on ${table} (garage_id, seq) where deleted_at is null`);
}
