import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Knex } from 'knex';
import { pino, type Logger } from 'pino';
import { demoGarage } from '@necessaire/demo';
import { createApp } from './app.js';
import { openStore } from './db/store.js';
import { migrate } from './db/migrate.js';
import { FileReader } from './reader/reader.js';
import { insertDocument } from './repositories/rows.js';
import { Signals } from './signals.js';

/** Id of the demo garage: the one that a first visit opens. */
export const DEMO_ID = '0de30000-0000-4000-8000-000000000001';
const DRAIN_MS = 5000;

export interface Running {
  url: string;
  db: Knex;
  stop: () => Promise<void>;
}
export interface StartOptions {
  databaseUrl: string;
  /** 0 takes any free port. */
  port: number;
  webRoot?: string;
  /** The built thread that reads files; beside the built server unless said otherwise. */
  readFile?: URL;
  log?: Logger;
  /** Load the demo when the database holds no garage. */
  demo?: boolean;
  /** ISO date from which the demo's drills and its day of leaving are counted; today unless said otherwise. */
  today?: string;
}

const listen = (server: Server, port: number) =>
  new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    // Loopback only, until accounts exist.
    server.listen(port, '127.0.0.1', () => {
      server.off('error', reject);
      resolve();
    });
  });

/** Two servers may start on one empty database at once: the second finds the demo's id taken and leaves it. */
async function loadDemo(db: Knex, today: string): Promise<void> {
  const any = await db('garages').first<{ id: string } | undefined>('id');
  if (any) return;
  try {
    await insertDocument(db, DEMO_ID, demoGarage('worth', today));
  } catch (error) {
    if ((error as { code?: string }).code !== '23505') throw error;
  }
}

/** Migrates, loads the demo into an empty database, listens. `stop` lets requests finish and closes the pool. */
export async function start(options: StartOptions): Promise<Running> {
  const log = options.log ?? pino({ level: 'silent' });
  const store = openStore(options.databaseUrl, log);
  const { db } = store;
  const reader = new FileReader(options.readFile ?? new URL('./readFile.mjs', import.meta.url));
  const signals = new Signals(options.databaseUrl, log, (channel, payloads) =>
    db.raw('select pg_notify(?, p) from jsonb_array_elements_text(?::jsonb) p', [channel, JSON.stringify(payloads)]),
  );
  try {
    await migrate(db);
    if (options.demo ?? true) await loadDemo(db, options.today ?? new Date().toISOString().slice(0, 10));
    const server = createServer(createApp(store, log, signals, reader, options.webRoot));
    await listen(server, options.port);
    const { port } = server.address() as AddressInfo;
    return {
      url: `http://127.0.0.1:${port}`,
      db,
      stop: async () => {
        const closed = new Promise((resolve) => server.close(resolve));
        await signals.close();
        await reader.close();
        server.closeIdleConnections();
        const cut = setTimeout(() => server.closeAllConnections(), DRAIN_MS);
        await closed;
        clearTimeout(cut);
        await store.close();
      },
    };
  } catch (error) {
    await reader.close();
    await store.close();
    throw error;
  }
}
