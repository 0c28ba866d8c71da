import type { Knex } from 'knex';
import { garageTo5, rowTo5 } from '@necessaire/core';
import { createRowTable, rewriteRows } from '../rows.js';

/**
 * Garages, bikes, pieces, places and trips of version 4 get the fields of version 5: what the load is worked out from, how pieces are laid;
 * and packings that are written down.
 */
export async function up(knex: Knex): Promise<void> {
  await rewriteRows(knex, ['bikes', 'pieces', 'places', 'trips'], rowTo5, garageTo5);
  await createRowTable(knex, 'packings');
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
