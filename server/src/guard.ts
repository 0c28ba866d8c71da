import type { RequestHandler } from 'express';
import { refuse } from './refusal.js';

const HERE = new Set(['localhost', '127.0.0.1', '[::1]']);
const hostname = (host: string) => host.replace(/:\d+$/, '').toLowerCase();
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Until there are accounts, whoever reaches the server owns its garages. It listens on loopback only; this keeps out web pages that a browser
 * on the same machine has open: those of other sites by their host or origin, those of other programs on loopback by their port.
 */
export const loopbackOnly: RequestHandler = (req, _res, next) => {
  const host = (req.headers.host ?? '').toLowerCase();
  const { origin } = req.headers;
  const site = req.headers['sec-fetch-site'];
  const foreign =
    (origin !== undefined && origin.toLowerCase() !== `http://${host}` && origin.toLowerCase() !== `https://${host}`) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none' && !READS.has(req.method));
  if (!HERE.has(hostname(host)) || foreign)
    next(refuse(403, 'foreign', 'host', 'this server answers its own machine only: open it as http://127.0.0.1'));
  else next();
};

/** A write says that it is JSON, with or without a body: no form of another page can say so unasked. */
export const jsonOnly: RequestHandler = (req, _res, next) => {
  if (READS.has(req.method) || /^application\/json\s*(;|$)/i.test(req.headers['content-type'] ?? '')) next();
  else next(refuse(415, 'not-json', 'content-type', 'send it as application/json'));
};
