import type { Knex } from 'knex';
import { garageTo8, rowTo8 } from '@necessaire/core';
import { rewriteRows } from '../rows.js';

/** Words of the rider's own in each garage. */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, [], rowTo8, garageTo8);
}

/** Version 7 ignores nothing, so the new field must go again. */
export async function down(knex: Knex): Promise<void> {
  await knex.raw(`update garages set body = body - 'words'`);
}
