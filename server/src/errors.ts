import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { faultOf } from './db/faults.js';
import { Refusal, refuse } from './refusal.js';

/** Answers for addresses that do not exist. */
export const notFound: RequestHandler = (req, _res, next) => {
  next(refuse(404, 'no-such-address', req.path, 'there is nothing here: see docs/server.md for the addresses'));
};

/** Refuses requests for rows that do not name their garage. */
export const garageMissing: RequestHandler = (req, _res, next) => {
  next(refuse(400, 'garage-missing', req.path, 'name the garage: /api/garages/{garage}/…'));
};

interface BodyError extends Error {
  type?: string;
  status?: number;
}

/** Turns whatever was thrown into the one error shape. What is not a refusal is logged and told as a fault of the server. */
export const errorHandler =
  (log: Logger): ErrorRequestHandler =>
  (error: BodyError, req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const refusal = asRefusal(error);
    if (!refusal) log.error({ err: error, method: req.method, path: req.path }, 'request failed');
    const { status, fault, more } =
      refusal ??
      refuse(500, 'server', req.path, 'the server failed: what you typed is still in this window, try again');
    res.status(status).json({ error: { ...fault, ...more } });
  };

function asRefusal(error: BodyError): Refusal | null {
  if (error instanceof Refusal) return error;
  if (error.type === 'entity.too.large')
    return refuse(413, 'too-large', '(body)', 'the request is too large: send fewer rows at a time');
  if (error.type === 'entity.parse.failed')
    return refuse(400, 'not-json', '(body)', 'the request is not JSON or was cut short: send it again');
  if (error.type === 'encoding.unsupported' || error.type === 'charset.unsupported')
    return refuse(415, 'encoding', '(body)', 'send UTF-8 text');
  const database = faultOf(error);
  if (database) return database;
  if (error instanceof URIError) return refuse(400, 'address', '(address)', 'the address is not well formed');
  if (error.status && error.status >= 400 && error.status < 500)
    return refuse(error.status, 'request', '(request)', 'the request cannot be answered: see docs/server.md');
  return null;
}
