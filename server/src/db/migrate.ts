import knexModule, { type Knex } from 'knex';
import * as garages from './migrations/001_garages.js';
import * as survey from './migrations/002_survey.js';
import * as practice from './migrations/003_practice.js';
import * as kit from './migrations/004_kit.js';
import * as stow from './migrations/005_stow.js';
import * as right from './migrations/006_right.js';
import * as sync from './migrations/007_sync.js';
import * as own from './migrations/008_own.js';
import * as words from './migrations/009_words.js';
import * as crew from './migrations/010_crew.js';
import * as prove from './migrations/011_prove.js';
import * as review from './migrations/012_review.js';
import * as codes from './migrations/013_codes.js';

const MIGRATIONS = [
  { name: '001_garages', ...garages },
  { name: '002_survey', ...survey },
  { name: '003_practice', ...practice },
  { name: '004_kit', ...kit },
  { name: '005_stow', ...stow },
  { name: '006_right', ...right },
  { name: '007_sync', ...sync },
  { name: '008_own', ...own },
  { name: '009_words', ...words },
  { name: '010_crew', ...crew },
  { name: '011_prove', ...prove },
  { name: '012_review', ...review },
  { name: '013_codes', ...codes },
];
/** Any number that no other program on the database uses. */
const LOCK = 72_330_145;

interface Connection {
  query: (sql: string, values?: unknown[]) => Promise<unknown>;
}
/** A database that was just made, on a machine with much else to do, may take longer for its first connection than a request may wait, ms. */
const FIRST = 60_000;

/** The first connection: one that does not come is asked for again. A database that refuses is not waited for. */
async function firstConnection(db: Knex): Promise<Connection> {
  const since = performance.now();
  for (;;)
    try {
      return (await db.client.acquireConnection()) as Connection;
    } catch (error) {
      if (!(error instanceof knexModule.KnexTimeoutError) || performance.now() - since > FIRST) throw error;
    }
}

/** Brings the database up to date. Several servers may start at once: one migrates, the others wait. */
export async function migrate(db: Knex): Promise<void> {
  const connection = await firstConnection(db);
  try {
    await connection.query('select pg_advisory_lock($1)', [LOCK]);
    await db.migrate.latest({
      migrationSource: {
        getMigrations: () => Promise.resolve(MIGRATIONS),
        getMigrationName: (m: (typeof MIGRATIONS)[number]) => m.name,
        getMigration: (m: (typeof MIGRATIONS)[number]) => Promise.resolve(m),
      },
    });
  } finally {
    await connection.query('select pg_advisory_unlock($1)', [LOCK]);
    await db.client.releaseConnection(connection);
  }
}
