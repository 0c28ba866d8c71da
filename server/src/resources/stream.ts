import type { Request, Response } from 'express';
import type { Listener, Signals } from '../signals.js';

/** A comment now and then keeps what stands between from closing a quiet stream. */
const QUIET_MS = 15_000;

/**
 * Opens a stream of server-sent events to a page that listens to its garage. A page that left before the stream was open leaves nothing behind.
 * @param listener what is heard, and how it is written
 */
export async function stream(
  req: Request,
  res: Response,
  signals: Signals,
  garage: string,
  listener: (write: (text: string) => void) => Omit<Listener, 'end'>,
): Promise<boolean> {
  // It may have left while its garage was looked for; then nothing more is heard of it.
  let gone = res.closed || res.destroyed || req.socket.destroyed;
  let stop: (() => void) | null = null;
  let quiet: ReturnType<typeof setInterval> | null = null;
  const leave = () => {
    gone = true;
    if (quiet) clearInterval(quiet);
    stop?.();
  };
  req.on('aborted', leave);
  res.on('close', leave);
  let open = false;
  /** What is heard before the stream is open, in its order. */
  const early: string[] = [];
  const write = (text: string) => {
    if (gone) return;
    if (open) res.write(text);
    else early.push(text);
  };
  if (gone) return false;
  stop = await signals.listen(garage, { ...listener(write), end: () => res.end() });
  if (gone) {
    stop();
    return false;
  }
  quiet = setInterval(() => write(': quiet\n\n'), QUIET_MS);
  res.set({ 'Content-Type': 'text/event-stream', 'X-Accel-Buffering': 'no' });
  res.flushHeaders();
  open = true;
  for (const text of ['retry: 1000\n\n', ...early]) write(text);
  return true;
}
