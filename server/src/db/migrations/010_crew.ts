import type { Knex } from 'knex';
import { garageTo9, rowTo9 } from '@necessaire/core';
import { createRowTable, rewriteRows } from '../rows.js';

const TABLES = ['companions', 'crews', 'loans'] as const;

/** Companions, crews and what was lent; the rider becomes somebody who can do things and carries. */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, [], rowTo9, garageTo9);
  for (const table of TABLES) await createRowTable(knex, table);
}

/** Version 8 knows a rider by mass alone. */
export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES) await knex.raw(`drop table ${table}`);
  await knex.raw(
    `update garages set body = jsonb_set(body, '{rider}', jsonb_build_object('mass', body -> 'rider' -> 'mass'))`,
  );
}
