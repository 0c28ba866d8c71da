import type { Knex } from 'knex';
import { garageTo7, rowTo7 } from '@necessaire/core';
import { createRowTable, rewriteRows } from '../rows.js';

/** Kinds of spare of the rider's own, spares that are always packed or never, and rates that the rider knows better. */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, ['supplies'], rowTo7, garageTo7);
  await createRowTable(knex, 'kinds');
}

/** Version 6 ignores nothing, so the new fields must go again, and spares of kinds that it does not know. */
export async function down(knex: Knex): Promise<void> {
  await knex.raw(
    `delete from supplies s using kinds k where k.garage_id = s.garage_id and k.body ->> 'name' = s.body ->> 'kind'`,
  );
  await knex.raw('drop table kinds');
  await knex.raw(`update garages set body = body - 'rates'`);
  await knex.raw(`update supplies set body = body - 'mark'`);
}
