import type { Knex } from 'knex';
import { garageTo4, rowTo4 } from '@necessaire/core';
import { createRowTable, rewriteRows } from '../rows.js';

/**
 * Garages, bikes, pieces, supplies and trips of version 3 get the fields of version 4: what spares must match and how they keep, what is asked
 * of the kit, more of the rider's practice; and the rider's own mends and kept kits.
 */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, ['bikes', 'pieces', 'supplies', 'trips'], rowTo4, garageTo4);
  await createRowTable(knex, 'mends');
  await createRowTable(knex, 'kits');
}

/** Version 3 ignores nothing, so the new fields must go again, and what only they could say. */
export async function down(knex: Knex): Promise<void> {
  for (const field of ['levers', 'plugs', 'reamer', 'lives', 'skill', 'hand', 'pressures', 'rescue', 'sparkPlug'])
    await knex.raw(`update garages set body = body #- ?::text[]`, [`{practice,${field}}`]);
  await knex.raw(
    `update garages set body = jsonb_set(body, '{practice,others}', '"the bikes that ride along"')
      where body #>> '{practice,others}' not in ('the bikes that ride along', 'own bike only')`,
  );
  await knex.raw(
    `update garages set body = jsonb_set(body, '{practice,tubes}', '"both"')
      where body #>> '{practice,tubes}' not in ('front only', 'both', 'none')`,
  );
  await knex.raw(`update trips set body = body - 'kit'`);
  await knex.raw(`update bikes set body = body - array['fit', 'pushStarts', 'prevention']`);
  // What sits on a bike, or is spent, was no stock in version 3.
  await knex.raw(`delete from supplies where body ->> 'fittedOn' is not null or body ->> 'condition' = 'spent'`);
  await knex.raw(`update supplies set body = body - array['fits', 'bought', 'opened', 'condition', 'fittedOn']`);
  await knex.raw(
    `update pieces set body = jsonb_set(body, '{functions}', coalesce((select jsonb_agg(f) from
      jsonb_array_elements_text(body -> 'functions') f where f = any(?)), '[]'))`,
    [OLD_FUNCTIONS],
  );
  await knex.raw('drop table mends');
  await knex.raw('drop table kits');
}
const OLD_FUNCTIONS = [
  'inflate',
  'lever tyre',
  'grip',
  'cut',
  'punch out',
  'pry',
  'open chain',
  'measure current',
  'light',
  'strike',
  'file',
  'tow',
  'jump-start',
  'bandage',
  'shelter',
  'brush',
];
