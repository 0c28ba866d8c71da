import type { RequestHandler } from 'express';
import { refuse } from './refusal.js';

const HERE = new Set(['localhost', '127.0.0.1', '[::1]']);
const hostname = (host: string) => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Until there are accounts, whoever reaches the server owns its garages. It listens on loopback only; this keeps out web pages of other
 * sites that a browser on the same machine has open: their requests carry a foreign host or origin.
 */
export const loopbackOnly: RequestHandler = (req, _res, next) => {
  const host = hostname(req.headers.host ?? '');
  const origin = req.headers.origin;
  const foreign =
    origin !== undefined && origin !== 'null'
      ? !URL.canParse(origin) || !HERE.has(new URL(origin).hostname)
      : origin === 'null';
  if (!HERE.has(host) || foreign)
    next(refuse(403, 'foreign', 'host', 'this server answers its own machine only: open it as http://127.0.0.1'));
  else next();
};
