import type { Knex } from 'knex';

/** Tables of rows in a garage, with what each hangs on. */
const ROWS: { table: string; bike: boolean; place: boolean }[] = [
  { table: 'bikes', bike: false, place: false },
  { table: 'fasteners', bike: true, place: false },
  { table: 'pieces', bike: false, place: false },
  { table: 'supplies', bike: false, place: false },
  { table: 'trips', bike: false, place: false },
  { table: 'places', bike: true, place: false },
  { table: 'pins', bike: true, place: true },
];

/**
 * Every row belongs to a garage: the key of each table begins with it, and references between rows carry it too, so that no row can hang
 * on another garage's. Identity, order, revision and references are columns; the row itself is checked by the schema in core.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table garages (
      id uuid primary key,
      body jsonb not null check (jsonb_typeof(body) = 'object' and length(body->>'name') between 1 and 120),
      revision integer not null default 1 check (revision > 0),
      created_at timestamptz not null default now(),
      deleted_at timestamptz
    )`);
  for (const { table, bike, place } of ROWS) {
    await knex.raw(`
      create table ${table} (
        garage_id uuid not null references garages (id) on delete cascade,
        id uuid not null,
        seq bigint generated always as identity,
        revision integer not null default 1 check (revision > 0),
        body jsonb not null check (jsonb_typeof(body) = 'object' and (body->>'id')::uuid = id),
        ${bike ? `bike_id uuid not null generated always as ((body->>'bikeId')::uuid) stored,` : ''}
        ${place ? `place_id uuid not null generated always as ((body->>'placeId')::uuid) stored,` : ''}
        deleted_at timestamptz,
        primary key (garage_id, id)
        ${bike ? `, foreign key (garage_id, bike_id) references bikes (garage_id, id) deferrable initially deferred` : ''}
        ${place ? `, foreign key (garage_id, place_id) references places (garage_id, id) deferrable initially deferred` : ''}
      )`);
    await knex.raw(`create index ${table}_in_order on ${table} (garage_id, seq) where deleted_at is null`);
    if (bike) await knex.raw(`create index ${table}_of_bike on ${table} (garage_id, bike_id)`);
  }
  await knex.raw(
    `create unique index pins_one_place on pins (garage_id, bike_id, (body->>'item')) where deleted_at is null`,
  );
}

export async function down(knex: Knex): Promise<void> {
  for (const { table } of [...ROWS].reverse()) await knex.raw(`drop table ${table}`);
  await knex.raw('drop table garages');
}
