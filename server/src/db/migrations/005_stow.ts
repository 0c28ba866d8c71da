import type { Knex } from 'knex';
import { garageTo5, rowTo5 } from '@necessaire/core';

/**
 * Garages, bikes, pieces, places and trips of version 4 get the fields of version 5: what the load is worked out from, how pieces are laid;
 * and packings that are written down.
 */
export async function up(knex: Knex): Promise<void> {
  const garages: { id: string; body: Record<string, unknown> }[] = await knex('garages').select('id', 'body');
  for (const { id, body } of garages)
    await knex('garages')
      .where({ id })
      .update({ body: JSON.stringify(garageTo5(body)) });
  for (const table of ['bikes', 'pieces', 'places', 'trips'] as const) {
    const rows: { garage_id: string; id: string; body: Record<string, unknown> }[] = await knex(table).select(
      'garage_id',
      'id',
      'body',
    );
    for (const { garage_id, id, body } of rows)
      await knex(table)
        .where({ garage_id, id })
        .update({ body: JSON.stringify(rowTo5(table, body)) });
  }
  await knex.raw(`
    create table packings (
      garage_id uuid not null references garages (id) on delete cascade,
      id uuid not null,
      seq bigint generated always as identity,
      revision integer not null default 1 check (revision > 0),
      body jsonb not null check (jsonb_typeof(body) = 'object' and (body->>'id')::uuid = id),
      deleted_at timestamptz,
      primary key (garage_id, id)
    )`);
  await knex.raw('create index packings_in_order on packings (garage_id, seq) where deleted_at is null');
}

/** Version 4 ignores nothing, so the new fields must go again, and what only they could say. */
export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop table packings');
  await knex.raw(`update garages set body = body - array['rider', 'goals']`);
  await knex.raw(
    `update bikes set body = body - array['frontAxle', 'centreHeight', 'loadIndexFront', 'loadIndexRear', 'rackLimit']`,
  );
  await knex.raw(
    `update pieces set body = jsonb_set(body - 'hollow', '{traits}', coalesce((select jsonb_agg(t) from
      jsonb_array_elements_text(body -> 'traits') t
      where t not in ('pierced easily', 'upright', 'kept dry', 'wound', 'nests')), '[]'))`,
  );
  await knex.raw(`update places set body = body - array['takenMass', 'roughLimit', 'onRack', 'opening']`);
  // Slots of a roll were all alike: the first of them stand for all.
  await knex.raw(
    `update places set body = jsonb_set(body, '{slots}', body -> 'slots' -> 0) where jsonb_typeof(body -> 'slots') = 'array'`,
  );
  await knex.raw(`update trips set body = body - 'pillion'`);
}
