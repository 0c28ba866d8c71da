import knexModule, { type Knex } from 'knex';

/** A pool of connections. The server keeps no other state, so many may run on one database. */
export function connect(url: string, poolSize = 10): Knex {
  return knexModule({
    client: 'pg',
    connection: { connectionString: url, application_name: 'necessaire' },
    pool: { min: 0, max: poolSize },
    acquireConnectionTimeout: 8000,
  });
}
