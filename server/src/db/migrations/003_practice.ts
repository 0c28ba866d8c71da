import type { Knex } from 'knex';
import { garageTo3, rowTo3 } from '@necessaire/core';

/**
 * Garages, bikes and trips of version 2 get the fields of version 3: more of the rider's practice, who rides along and which way, what a
 * bike uses up and is known for; and rides that were ridden. */
export async function up(knex: Knex): Promise<void> {
  const garages: { id: string; body: Record<string, unknown> }[] = await knex('garages').select('id', 'body');
  for (const { id, body } of garages)
    await knex('garages')
      .where({ id })
      .update({ body: JSON.stringify(garageTo3(body)) });
  for (const table of ['trips', 'bikes'] as const) {
    const rows: { garage_id: string; id: string; body: Record<string, unknown> }[] = await knex(table).select(
      'garage_id',
      'id',
      'body',
    );
    for (const { garage_id, id, body } of rows)
      await knex(table)
        .where({ garage_id, id })
        .update({ body: JSON.stringify(rowTo3(table, body)) });
  }
  await knex.raw(`
    create table rides (
      garage_id uuid not null references garages (id) on delete cascade,
      id uuid not null,
      seq bigint generated always as identity,
      revision integer not null default 1 check (revision > 0),
      body jsonb not null check (jsonb_typeof(body) = 'object' and (body->>'id')::uuid = id),
      deleted_at timestamptz,
      primary key (garage_id, id)
    )`);
  await knex.raw('create index rides_in_order on rides (garage_id, seq) where deleted_at is null');
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
