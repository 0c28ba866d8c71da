import type { Knex } from 'knex';
import { garageTo2, rowTo2 } from '@necessaire/core';

/** Rows of version 1 get the fields of version 2: what a bike has fitted, what was measured and tried, how a piece is kept. */
export async function up(knex: Knex): Promise<void> {
  const garages: { id: string; body: Record<string, unknown> }[] = await knex('garages').select('id', 'body');
  for (const { id, body } of garages)
    await knex('garages')
      .where({ id })
      .update({ body: JSON.stringify(garageTo2(body)) });
  for (const table of ['bikes', 'fasteners', 'pieces'] as const) {
    const rows: { garage_id: string; id: string; body: Record<string, unknown> }[] = await knex(table).select(
      'garage_id',
      'id',
      'body',
    );
    for (const { garage_id, id, body } of rows)
      await knex(table)
        .where({ garage_id, id })
        .update({ body: JSON.stringify(rowTo2(table, body)) });
  }
}

/** Version 1 ignores nothing, so the new fields must go again. */
export async function down(knex: Knex): Promise<void> {
  const drop = {
    bikes: ['strokes', 'plugs', 'starter', 'wheels', 'brakeFront', 'brakeRear', 'tank', 'seat', 'fitted'],
    fasteners: ['getsLost', 'breaks', 'trail', 'gauge', 'farGauge', 'look'],
    pieces: ['weighed', 'condition', 'quality', 'kept', 'set', 'onlyBike'],
  };
  await knex.raw(`update garages set body = body #- '{practice,least}'`);
  for (const [table, fields] of Object.entries(drop))
    await knex.raw(`update ${table} set body = body - ?::text[]`, [fields]);
}
