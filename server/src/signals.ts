import pg from 'pg';
import type { Logger } from 'pino';
import { z } from 'zod';
import { id, signalSchema, type Signal } from '@necessaire/core';

const CHANNEL = 'necessaire_signals';
const payloadSchema = z.union([
  z.strictObject({ garage: id, signal: signalSchema }),
  z.strictObject({ garage: id, edition: z.int().min(0) }),
]);
/** Editions of busy garages are told together, this often at most. */
const GATHER_MS = 20;
/** One page that listens to what happens in its garage. */
export interface Listener {
  /** A line of an instrument. */
  hear?: (signal: Signal) => void;
  /** The garage has reached an edition. */
  reached?: (edition: number) => void;
  /** The line to the database broke: the page must come back by itself. */
  end: () => void;
}

/**
 * What happens in a garage, from whichever server it came in at to the pages of whichever server serves them: PostgreSQL's own notify and
 * listen, so that the servers share no other state. The listening connection is made when the first page listens and given up with the last.
 */
export class Signals {
  private readonly listeners = new Map<string, Set<Listener>>();
  private client: Promise<pg.Client> | null = null;
  /** Editions to be told, the latest of each garage. */
  private readonly editions = new Map<string, number>();
  private timer: ReturnType<typeof setTimeout> | null = null;

  constructor(
    private readonly databaseUrl: string,
    private readonly log: Logger,
    /** Sends payloads through `pg_notify`. */
    private readonly notify: (channel: string, payloads: string[]) => Promise<unknown>,
  ) {}

  /** Passes a line of an instrument on. */
  async signal(garage: string, signal: Signal): Promise<void> {
    await this.notify(CHANNEL, [JSON.stringify({ garage, signal })]);
  }

  /** Lets pages know, soon, that a garage has reached an edition. What is lost on the way is caught up with at the next word. */
  reached(garage: string, edition: number): void {
    this.editions.set(garage, Math.max(edition, this.editions.get(garage) ?? 0));
    this.timer ??= setTimeout(() => void this.tell(), GATHER_MS);
  }
  private async tell(): Promise<void> {
    this.timer = null;
    const payloads = [...this.editions].map(([garage, edition]) => JSON.stringify({ garage, edition }));
    this.editions.clear();
    try {
      await this.notify(CHANNEL, payloads);
    } catch (error) {
      this.log.warn({ err: error }, 'editions not told');
    }
  }

  /** Hears a garage from now on. @returns to stop */
  async listen(garage: string, listener: Listener): Promise<() => void> {
    const all = this.listeners.get(garage) ?? new Set();
    this.listeners.set(garage, all.add(listener));
    const stop = () => {
      all.delete(listener);
      if (all.size === 0 && this.listeners.get(garage) === all) this.listeners.delete(garage);
      if (this.listeners.size === 0) void this.close();
    };
    try {
      await (this.client ??= this.connect());
    } catch (error) {
      stop();
      throw error;
    }
    return stop;
  }

  private async connect(): Promise<pg.Client> {
    const client = new pg.Client({ connectionString: this.databaseUrl, application_name: 'necessaire signals' });
    let over = false;
    const lost = (error: Error) => {
      // A line breaks with more than one word: only the first ends pages, those that came back since are on another.
      if (over) return;
      over = true;
      this.log.warn({ err: error }, 'signals lost');
      this.client = null;
      this.endAll();
    };
    client.on('error', lost);
    client.on('notification', ({ payload }) => this.pass(payload ?? ''));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
    } catch (error) {
      this.client = null;
      await client.end().catch(() => undefined);
      throw error;
    }
    return client;
  }

  /** Anybody on the database may use the channel: what is none of ours is passed over. */
  private pass(payload: string): void {
    let json: unknown;
    try {
      json = JSON.parse(payload);
    } catch {
      return;
    }
    const read = payloadSchema.safeParse(json);
    if (!read.success) return;
    for (const l of this.listeners.get(read.data.garage) ?? [])
      if ('signal' in read.data) l.hear?.(read.data.signal);
      else l.reached?.(read.data.edition);
  }

  private endAll(): void {
    const all = [...this.listeners.values()].flatMap((set) => [...set]);
    this.listeners.clear();
    for (const l of all) l.end();
  }

  /** Ends every page's stream and the listening connection. */
  async close(): Promise<void> {
    const client = this.client;
    this.client = null;
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.endAll();
    if (client) await client.then((c) => c.end()).catch(() => undefined);
  }
}
