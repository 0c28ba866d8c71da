import { randomUUID } from 'node:crypto';
import pg from 'pg';

/** A fresh database on the cluster that ./test started, dropped afterwards. */
export async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (!admin) throw new Error('TEST_DATABASE_URL is not set: run ./test, which starts a throw-away PostgreSQL');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const run = async (sql: string) => {
    const client = new pg.Client({ connectionString: admin });
    await client.connect();
    try {
      await client.query(sql);
    } finally {
      await client.end();
    }
  };
  await run(`create database ${name}`);
  const url = new URL(admin);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => run(`drop database ${name} with (force)`) };
}
