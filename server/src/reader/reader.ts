import { Piscina } from 'piscina';
import type { readGarageFile } from '@necessaire/core';
import { refuse } from '../refusal.js';

type Read = ReturnType<typeof readGarageFile>;

/** Longest that a file may take, and most memory: an honest one of 8 MB needs under two seconds and 200 MB. */
const MOST_MS = 15_000;
const MOST_MB = 400;
/** Files that may wait for their turn. */
const MOST_WAITING = 8;

/**
 * Reads garage files beside the server's own thread, one at a time, with a limit of time and memory: nobody else waits for somebody's import,
 * and a file that was made to hurt ends its thread alone.
 */
export class FileReader {
  private readonly pool: Piscina<string, Read>;

  /** @param worker the built `readFile` */
  constructor(worker: URL) {
    this.pool = new Piscina({
      filename: worker.href,
      minThreads: 0,
      maxThreads: 1,
      maxQueue: MOST_WAITING,
      idleTimeout: 10_000,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
  }

  /** @throws Refusal 422 when it takes too long or too much, 503 when too many wait */
  async read(text: string): Promise<Read> {
    try {
      return await this.pool.run(text, { signal: AbortSignal.timeout(MOST_MS) });
    } catch (error) {
      const { message } = error as Error;
      if (/queue/i.test(message))
        throw refuse(503, 'busy', 'file', 'other files are being read: try again in a moment');
      throw refuse(422, 'too-large', 'file', 'reading it takes too long or too much memory: split the garage');
    }
  }

  close(): Promise<void> {
    return this.pool.close({ force: true });
  }
}
