import type { Knex } from 'knex';
import { createRowTable } from '../rows.js';

const TABLES = ['happened', 'reviews'] as const;

/** What happened on the way, and trips that were looked back on. */
export async function up(knex: Knex): Promise<void> {
  for (const table of TABLES) await createRowTable(knex, table);
}

/** Version 10 knows neither. */
export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES) await knex.raw(`drop table ${table}`);
}
