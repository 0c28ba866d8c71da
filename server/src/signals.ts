import pg from 'pg';
import type { Logger } from 'pino';
import { z } from 'zod';
import { signalSchema, type Signal } from '@necessaire/core';

const CHANNEL = 'necessaire_signals';
const payloadSchema = z.strictObject({ garage: z.uuid(), signal: signalSchema });
/** One page that listens to its garage's instruments. */
export interface Listener {
  hear: (signal: Signal) => void;
  /** The line to the database broke: the page must come back by itself. */
  end: () => void;
}

/**
 * Signals of instruments, from whichever server took them to the pages of whichever server serves them: PostgreSQL's own notify and listen,
 * so that the servers share no other state. The listening connection is made when the first page listens and given up with the last.
 */
export class Signals {
  private readonly listeners = new Map<string, Set<Listener>>();
  private client: Promise<pg.Client> | null = null;

  constructor(
    private readonly databaseUrl: string,
    private readonly log: Logger,
  ) {}

  /** Text for `pg_notify`. */
  static payload(garage: string, signal: Signal): [channel: string, payload: string] {
    return [CHANNEL, JSON.stringify({ garage, signal })];
  }

  /** Hears a garage's instruments from now on. @returns to stop */
  async listen(garage: string, listener: Listener): Promise<() => void> {
    await (this.client ??= this.connect());
    const all = this.listeners.get(garage) ?? new Set();
    this.listeners.set(garage, all.add(listener));
    return () => {
      all.delete(listener);
      if (all.size === 0) this.listeners.delete(garage);
      if (this.listeners.size === 0) void this.close();
    };
  }

  private async connect(): Promise<pg.Client> {
    const client = new pg.Client({ connectionString: this.databaseUrl, application_name: 'necessaire signals' });
    const lost = (error?: Error) => {
      if (error) this.log.warn({ err: error }, 'signals lost');
      this.client = null;
      const all = [...this.listeners.values()].flatMap((set) => [...set]);
      this.listeners.clear();
      for (const l of all) l.end();
    };
    client.on('error', lost);
    client.on('notification', ({ payload }) => {
      const read = payloadSchema.safeParse(JSON.parse(payload ?? 'null'));
      if (read.success) for (const l of this.listeners.get(read.data.garage) ?? []) l.hear(read.data.signal);
    });
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
    } catch (error) {
      this.client = null;
      throw error;
    }
    return client;
  }

  /** Ends every page's stream and the listening connection. */
  async close(): Promise<void> {
    const client = this.client;
    this.client = null;
    const all = [...this.listeners.values()].flatMap((set) => [...set]);
    this.listeners.clear();
    for (const l of all) l.end();
    if (client) await (await client).end().catch(() => undefined);
  }
}
