import type { Knex } from 'knex';
import type pg from 'pg';

export type Client = pg.ClientBase;

/**
 * A piece of work on one connection of the pool, in one transaction. Statements go to the driver as they are, so that those that every edit
 * needs are prepared once a connection.
 * @param work throws to roll back
 */
export const transaction = <T>(db: Knex, work: (client: Client) => Promise<T>, begin = 'begin'): Promise<T> =>
  connected(db, async (client) => {
    await client.query(begin);
    try {
      const result = await work(client);
      await client.query('commit');
      return result;
    } catch (error) {
      // A connection that is gone cannot roll back; the database has done so.
      await client.query('rollback').catch(() => undefined);
      throw error;
    }
  });

/** A piece of work on one connection of the pool, each statement a transaction of its own. */
export async function connected<T>(db: Knex, work: (client: Client) => Promise<T>): Promise<T> {
  const client = (await db.client.acquireConnection()) as Client;
  try {
    return await work(client);
  } finally {
    await db.client.releaseConnection(client);
  }
}
