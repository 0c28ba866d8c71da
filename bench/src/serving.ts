/** One of two servers in a process of its own, its address on the first line of its output: the real one, or the least that writes a row. */
import express from 'express';
import pg from 'pg';
import { start } from '@necessaire/server';

process.on('SIGTERM', () => process.exit(0));
const [kind, databaseUrl] = process.argv.slice(2) as ['real' | 'bare', string];
if (kind === 'real') {
  const readFile = new URL('../../dist/server/readFile.mjs', import.meta.url);
  console.log((await start({ databaseUrl, port: 0, demo: false, readFile })).url);
} else {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 10 });
  await pool.query('create table if not exists bare (id uuid primary key, body jsonb not null)');
  const app = express();
  app.use(express.json({ limit: '16mb' }));
  app.post('/', async (req, res) => {
    const { id, row } = req.body as { id: string; row: unknown };
    await pool.query({
      name: 'insert',
      text: 'insert into bare (id, body) values ($1, $2) on conflict (id) do update set body = excluded.body',
      values: [id, JSON.stringify(row)],
    });
    res.json({ id });
  });
  app.post('/many', async (req, res) => {
    const rows = req.body as { id: string }[];
    await pool.query(
      `insert into bare (id, body) select id, body::jsonb
         from rows from (unnest($1::uuid[]), string_to_table($2::text, E'\\n')) as r (id, body)`,
      [rows.map((r) => r.id), rows.map((r) => JSON.stringify(r)).join('\n')],
    );
    res.json({ rows: rows.length });
  });
  const server = app.listen(0, '127.0.0.1', () => {
    const address = server.address();
    if (typeof address === 'object' && address) console.log(`http://127.0.0.1:${address.port}`);
  });
}
