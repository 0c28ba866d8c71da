import type { Knex } from 'knex';
import { garageTo10, rowTo10 } from '@necessaire/core';
import { createRowTable, rewriteRows } from '../rows.js';

const TABLES = ['drills', 'checks', 'reminders', 'watches', 'memories'] as const;

/** Repairs that were gone through, checks, what is watched and what is remembered; trips get a day of leaving. */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, ['trips'], rowTo10, garageTo10);
  for (const table of TABLES) await createRowTable(knex, table);
}

/** Version 9 knows no day of leaving and no gauge. */
export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES) await knex.raw(`drop table ${table}`);
  await knex.raw(`update trips set body = body - 'leaves'`);
  await knex.raw(`update garages set body = body - 'gauge'`);
}
