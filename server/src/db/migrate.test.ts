import { randomUUID } from 'node:crypto';
import { connect as dial, createServer, type AddressInfo, type Socket } from 'node:net';
import { expect, test } from '@jest/globals';
import knexModule, { type Knex } from 'knex';
import { migrate } from './migrate.js';

const quiet = () => undefined;
/** @param say hears that a connection did not come in time */
const to = (url: URL, say: () => void = quiet): Knex =>
  knexModule({
    client: 'pg',
    connection: url.href,
    pool: { min: 0, max: 4 },
    acquireConnectionTimeout: 250,
    log: { warn: say, error: say, debug: quiet, deprecate: quiet },
  });

test('a database whose first connection comes late is waited for; one that refuses is said at once', async () => {
  const name = `migrate_${randomUUID().replaceAll('-', '')}`;
  const real = new URL(process.env['TEST_DATABASE_URL']!);
  const keeper = to(real);
  await keeper.raw(`create database ${name}`);
  const sockets: Socket[] = [];
  // A way to the database on which nobody is answered until somebody has waited in vain.
  let missed = 0;
  let answer: () => void = quiet;
  const late = new Promise<void>((go) => (answer = go));
  const way = createServer((socket) => {
    sockets.push(socket.on('error', quiet));
    void late.then(() => {
      const far = dial(Number(real.port), real.hostname).on('error', quiet);
      sockets.push(far);
      socket.pipe(far).pipe(socket);
    });
  });
  await new Promise<void>((open) => way.listen(0, '127.0.0.1', open));
  const url = new URL(real);
  url.hostname = '127.0.0.1';
  url.port = String((way.address() as AddressInfo).port);
  url.pathname = `/${name}`;
  const db = to(url, () => {
    missed++;
    answer();
  });
  await migrate(db);
  expect(missed).toBeGreaterThan(0);
  expect(await db('garages').select('id')).toEqual([]);
  await db.destroy();
  for (const socket of sockets) socket.destroy();
  await new Promise((closed) => way.close(closed));
  // Nothing listens there any more.
  const none = to(url);
  await expect(migrate(none)).rejects.toThrow(/ECONNREFUSED/u);
  await none.destroy();
  await keeper.raw(`drop database ${name} with (force)`);
  await keeper.destroy();
});
