import type { Knex } from 'knex';

/** Rows of a bike. */
const OF_BIKE = ['fasteners', 'places', 'pins'];

/**
 * What edits need: each is entered once under its own id, with what it touched, and counts up its garage's edition. References carry whether
 * both rows live, so that the database itself keeps a live row from hanging on a deleted one, and no write has to look at all the others.
 */
export async function up(knex: Knex): Promise<void> {
  // What migrations before this one wrote is checked first: tables with checks still open cannot be altered.
  await knex.raw('set constraints all immediate');
  await knex.raw(`alter table garages add column edition bigint not null default 0`);
  await knex.raw(`
    create table edits (
      garage_id uuid not null references garages (id) on delete cascade,
      id uuid not null,
      edition bigint,
      touched jsonb,
      outcome jsonb,
      made_at timestamptz not null default now(),
      primary key (garage_id, id)
    )`);
  await knex.raw(`create index edits_in_order on edits (garage_id, edition) where edition is not null`);
  for (const table of ['bikes', ...OF_BIKE])
    await knex.raw(
      `alter table ${table} add column alive boolean generated always as (case when deleted_at is null then true end) stored`,
    );
  await knex.raw(`alter table bikes add constraint bikes_alive unique (garage_id, id, alive)`);
  await knex.raw(`alter table places add constraint places_alive unique (garage_id, id, bike_id, alive)`);
  for (const table of OF_BIKE) {
    await knex.raw(`alter table ${table} drop constraint ${table}_garage_id_bike_id_fkey`);
    await knex.raw(
      `alter table ${table} add constraint ${table}_of_bike foreign key (garage_id, bike_id, alive)
        references bikes (garage_id, id, alive) deferrable initially deferred`,
    );
  }
  await knex.raw(`alter table pins drop constraint pins_garage_id_place_id_fkey`);
  await knex.raw(
    `alter table pins add constraint pins_of_place foreign key (garage_id, place_id, bike_id, alive)
      references places (garage_id, id, bike_id, alive) deferrable initially deferred`,
  );
  // Looked at when all of an edit is written: a pin that goes and one that comes may be of the same thing.
  await knex.raw(`drop index pins_one_place`);
  await knex.raw(
    `alter table pins add constraint pins_one_place exclude using btree
      (garage_id with =, bike_id with =, (body->>'item') with =) where (deleted_at is null) deferrable initially deferred`,
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate');
  await knex.raw(`alter table pins drop constraint pins_one_place`);
  await knex.raw(
    `create unique index pins_one_place on pins (garage_id, bike_id, (body->>'item')) where deleted_at is null`,
  );
  await knex.raw(`alter table pins drop constraint pins_of_place`);
  await knex.raw(
    `alter table pins add foreign key (garage_id, place_id) references places (garage_id, id) deferrable initially deferred`,
  );
  for (const table of OF_BIKE) {
    await knex.raw(`alter table ${table} drop constraint ${table}_of_bike`);
    await knex.raw(
      `alter table ${table} add foreign key (garage_id, bike_id) references bikes (garage_id, id) deferrable initially deferred`,
    );
  }
  await knex.raw(`alter table places drop constraint places_alive`);
  await knex.raw(`alter table bikes drop constraint bikes_alive`);
  for (const table of ['bikes', ...OF_BIKE]) await knex.raw(`alter table ${table} drop column alive`);
  await knex.raw('drop table edits');
  await knex.raw(`alter table garages drop column edition`);
}
