import knexModule, { type Knex } from 'knex';
import type { Logger } from 'pino';

/** A pool of connections. The server keeps no other state, so many may run on one database. */
export function connect(url: string, log?: Logger, poolSize = 20, options?: string): Knex {
  return knexModule({
    client: 'pg',
    connection: { connectionString: url, application_name: 'necessaire', ...(options ? { options } : {}) },
    pool: { min: 0, max: poolSize },
    acquireConnectionTimeout: 8000,
    log: {
      warn: (message: unknown) => log?.warn({ database: message }, 'database'),
      error: (message: unknown) => log?.error({ database: message }, 'database'),
      debug: () => {},
      deprecate: () => {},
    },
  });
}
