import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { Together } from '../repositories/together.js';
import { connect } from './connect.js';

/**
 * The database as this server uses it. Edits of one garage come one after another; were each to hold its garage until the disk has it, they
 * would wait for one another's disk. So an edit's statement commits without waiting, and nothing of it is told to anybody before one wait for
 * the disk, shared by all that wait at the time, has made it safe.
 */
export interface Store {
  db: Knex;
  /** For edits alone: commits do not wait for the disk. Whatever was written through it is told only after `safe`. */
  edits: Knex;
  /** Resolves when all that was committed before the call lies on the disk. */
  safe: () => Promise<void>;
  /** Small edits that arrive at once, written together. */
  together: Together;
  close: () => Promise<void>;
}

/** A record in the log whose commit waits for the disk, and for all before it. */
const FLUSH = `select pg_logical_emit_message(true, 'necessaire', '')`;

export function openStore(url: string, log?: Logger): Store {
  const db = connect(url, log);
  const edits = connect(url, log, undefined, '-c synchronous_commit=off');
  let running: Promise<unknown> = Promise.resolve();
  let next: Promise<void> | null = null;
  const safe = () =>
    // One that began before the call may not cover what was committed since: all wait for the next together.
    (next ??= running
      .catch(() => undefined)
      .then(() => {
        next = null;
        const flush = db.raw(FLUSH);
        running = flush;
        return flush;
      })
      .then(() => undefined));
  const store: Omit<Store, 'together'> = {
    db,
    edits,
    safe,
    close: async () => {
      await edits.destroy();
      await db.destroy();
    },
  };
  return Object.assign(store, { together: new Together(store, log) });
}
