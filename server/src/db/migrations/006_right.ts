import type { Knex } from 'knex';
import { garageTo6, rowTo6 } from '@necessaire/core';
import { rewriteRows } from '../rows.js';

/** Pieces, places and trips of version 5 get the fields of version 6: leads apart from packs, what is wrapped, what is demanded of a kit. */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, ['pieces', 'places', 'trips'], rowTo6, garageTo6);
}

/** Version 5 ignores nothing, so the new fields must go again, and what only they could say. */
export async function down(knex: Knex): Promise<void> {
  await knex.raw(`update places set body = body - 'wrapped'`);
  await knex.raw(`update trips set body = body #- '{kit,knee}' #- '{kit,musts}'`);
  await knex.raw(
    `update trips set body = jsonb_set(body, '{kit,ask}', '"lightest"') where body #>> '{kit,ask}' = 'worth'`,
  );
  await knex.raw(
    `update pieces set body = jsonb_set(body, '{functions}', coalesce((select jsonb_agg(case when f = 'jump leads' then
      'jump-start' else f end) from jsonb_array_elements_text(body -> 'functions') f), '[]'))`,
  );
}
