import type { RequestHandler } from 'express';
import { refuse } from './refusal.js';

/** Bytes of bodies that are being received at a time: four of the largest. */
const MOST_BYTES = 64 * 1024 * 1024;
/** What a body may take that does not say its length. */
const UNSAID = 16 * 1024 * 1024;
/** Small bodies are let through whatever else is on its way. */
const SMALL = 256 * 1024;

/** Refuses more bodies at once than the server's memory is meant for. */
export function inFlight(most = MOST_BYTES): RequestHandler {
  let bytes = 0;
  return (req, res, next) => {
    const said = Number(req.headers['content-length'] ?? (req.headers['transfer-encoding'] ? UNSAID : 0));
    const size = Number.isFinite(said) ? said : UNSAID;
    if (size <= SMALL) {
      next();
      return;
    }
    if (bytes + size > most) {
      // The rest is not waited for.
      res.set({ 'Retry-After': '1', Connection: 'close' });
      next(refuse(503, 'busy', '(body)', 'too much is being received at once: try again in a moment'));
      return;
    }
    bytes += size;
    res.on('close', () => (bytes -= size));
    next();
  };
}
