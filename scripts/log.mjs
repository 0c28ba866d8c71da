import { existsSync, renameSync, statSync } from 'node:fs';
import { pino } from '../dist/server/index.mjs';

/** Greatest size of a log before it makes room for the next; two old ones stay. */
const MOST_BYTES = 5 * 1024 * 1024;
const LOOK_EVERY_MS = 10_000;
/** What waits to be written while the disk takes nothing; the rest is dropped, oldest requests first. */
const MOST_WAITING = 1024 * 1024;

/**
 * A log in a file that never grows without end and never ends the process: on a full disk lines are lost, nothing else.
 * @returns the log, and what ends it
 */
export function logInto(file, level) {
  const out = pino.destination({ dest: file, mkdir: true, sync: false, maxLength: MOST_WAITING });
  // While the disk takes nothing, waiting for the last lines at the end would be waiting for ever.
  let failing = false;
  out.on('error', () => (failing = true));
  out.on('write', () => (failing = false));
  const rotate = () => {
    try {
      if (statSync(file).size < MOST_BYTES) return;
      if (existsSync(`${file}.1`)) renameSync(`${file}.1`, `${file}.2`);
      renameSync(file, `${file}.1`);
      out.reopen(file);
    } catch {
      // No file yet, or a disk that takes nothing: it is looked at again.
    }
  };
  rotate();
  setInterval(rotate, LOOK_EVERY_MS).unref();
  const end = () => {
    try {
      if (!failing) out.flushSync();
    } catch {
      // The lines are lost, nothing else.
    }
    out.destroy();
  };
  return { log: pino({ level }, out), end };
}
