import type { Knex } from 'knex';
import { garageTo3, rowTo3 } from '@necessaire/core';
import { createRowTable, rewriteRows } from '../rows.js';

/**
 * Garages, bikes and trips of version 2 get the fields of version 3: more of the rider's practice, who rides along and which way, what a
 * bike uses up and is known for; and rides that were ridden. */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, ['trips', 'bikes'], rowTo3, garageTo3);
  await createRowTable(knex, 'rides');
}

/** Version 2 ignores nothing, so the new fields must go again. */
export async function down(knex: Knex): Promise<void> {
  for (const field of ['drive', 'from', 'doubles', 'others', 'quality', 'worth', 'air', 'tubes'])
    await knex.raw(`update garages set body = body #- ?::text[]`, [`{practice,${field}}`]);
  await knex.raw(`update trips set body = body - array['along', 'route', 'air', 'coverKm', 'speeds']`);
  await knex.raw(
    `update trips set body = jsonb_set(body, '{legs}', coalesce((select jsonb_agg(leg - array['hours', 'night', 'temperature', 'fuelGapKm'])
      from jsonb_array_elements(body -> 'legs') leg), '[]'))`,
  );
  await knex.raw(`update bikes set body = body - array['consumption', 'oilUse', 'weak', 'engineHours', 'services']`);
  await knex.raw('drop table rides');
  await knex.raw(`update pieces set body = jsonb_set(body, '{mark}', '"always"') where body ->> 'mark' = 'twice'`);
}
