import { join } from 'node:path';
import pg from 'pg';
import type { start as Start } from '@necessaire/server';

/** A database as the first start leaves it: each test gets a copy of it, which takes a tenth of a start of its own. */
export const TEMPLATE = 'e2e_template';

export default async function globalSetup(): Promise<void> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (!admin) throw new Error('TEST_DATABASE_URL is not set: run ./test browser');
  const client = new pg.Client({ connectionString: admin });
  await client.connect();
  await client.query(`drop database if exists ${TEMPLATE}`);
  await client.query(`create database ${TEMPLATE}`);
  await client.end();
  const url = new URL(admin);
  url.pathname = `/${TEMPLATE}`;
  const path = join(import.meta.dirname ?? __dirname, '../dist/server/index.mjs');
  const { start } = (await import(path)) as { start: typeof Start };
  const running = await start({ databaseUrl: url.href, port: 0 });
  await running.stop();
}
