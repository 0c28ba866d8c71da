import type { Knex } from 'knex';
import { garageTo3, rowTo3 } from '@necessaire/core';

/** Garages and trips of version 2 get the fields of version 3: more of the rider's practice, and who rides along. */
export async function up(knex: Knex): Promise<void> {
  const garages: { id: string; body: Record<string, unknown> }[] = await knex('garages').select('id', 'body');
  for (const { id, body } of garages)
    await knex('garages')
      .where({ id })
      .update({ body: JSON.stringify(garageTo3(body)) });
  const trips: { garage_id: string; id: string; body: Record<string, unknown> }[] = await knex('trips').select(
    'garage_id',
    'id',
    'body',
  );
  for (const { garage_id, id, body } of trips)
    await knex('trips')
      .where({ garage_id, id })
      .update({ body: JSON.stringify(rowTo3('trips', body)) });
}

/** Version 2 ignores nothing, so the new fields must go again. */
export async function down(knex: Knex): Promise<void> {
  for (const field of ['drive', 'from', 'doubles', 'others', 'quality', 'worth'])
    await knex.raw(`update garages set body = body #- ?::text[]`, [`{practice,${field}}`]);
  await knex.raw(`update trips set body = body - 'along'`);
  await knex.raw(`update pieces set body = jsonb_set(body, '{mark}', '"always"') where body ->> 'mark' = 'twice'`);
}
