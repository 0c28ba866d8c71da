import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import staticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { TABLES } from '@necessaire/core';
import type { Store } from './db/store.js';
import { errorHandler, garageMissing, notFound } from './errors.js';
import { refuse } from './refusal.js';
import { jsonOnly, loopbackOnly } from './guard.js';
import { inFlight } from './inFlight.js';
import type { FileReader } from './reader/reader.js';
import { edits } from './resources/edits.js';
import { events } from './resources/events.js';
import { file } from './resources/file.js';
import { garages } from './resources/garages.js';
import { health } from './resources/health.js';
import { instruments } from './resources/instruments.js';
import { rows } from './resources/rows.js';
import type { Signals } from './signals.js';

/** Ten thousand fasteners in one change, all or none. */
const MOST_JSON = '16mb';
/** Far more than all pages of one machine together make; a runaway is stopped. */
const REQUESTS_A_MINUTE = 60_000;

/** An answer for the program that asked, not for a page or a store of pages. */
const plain: RequestHandler = (_req, res, next) => {
  res.set({ 'Cache-Control': 'no-store', 'X-Content-Type-Options': 'nosniff' });
  next();
};

/**
 * The application without its port.
 * @param store the database
 * @param log structured log
 * @param signals instruments' signals between servers
 * @param reader reads garage files beside this thread
 * @param webRoot folder of the built pages; without it only the API answers
 */
export function createApp(store: Store, log: Logger, signals: Signals, reader: FileReader, webRoot?: string): Express {
  const { db } = store;
  const app = express();
  app.disable('x-powered-by');
  const limited = rateLimit({
    windowMs: 60_000,
    limit: REQUESTS_A_MINUTE,
    standardHeaders: true,
    legacyHeaders: false,
    handler: (_req, _res, next) => next(refuse(429, 'too-often', '(request)', 'too many requests: wait a minute')),
  });
  const json = express.json({ limit: MOST_JSON });
  const bodies = inFlight();
  // Edits come many a second and go straight in: a policy for pages, a packed answer and a line in the log for each would cost more than they.
  app.post('/api/garages/:garage/edits', loopbackOnly, limited, plain, jsonOnly, bodies, json, edits(store, signals));
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: (req) => req.url?.startsWith('/assets/') ?? false },
      serializers: {
        req: (req: { method: string; url: string }) => ({ method: req.method, url: req.url }),
        res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      },
      customLogLevel: (_req, res, err) => (err || res.statusCode >= 500 ? 'error' : 'info'),
    }),
  );
  app.use('/health', health(db));
  app.use(loopbackOnly);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'", 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'", 'data:'],
          'connect-src': ["'self'"],
          'object-src': ["'none'"],
          'frame-ancestors': ["'none'"],
          // Plain http on loopback: upgrading would break every request.
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // A stream of events must not wait for a full block.
  const streams = (res: Response) => String(res.getHeader('Content-Type')).startsWith('text/event-stream');
  app.use(compression({ filter: (req, res) => !streams(res) && compression.filter(req, res) }));
  app.use('/api', limited, plain, jsonOnly, bodies);
  app.use('/api/garages/:garage/file', file(store, reader));
  app.use('/api', json);
  app.use('/api/garages', garages(store, signals));
  app.use('/api/garages/:garage/instruments', instruments(db, signals));
  app.use('/api/garages/:garage/events', events(store, signals));
  app.use('/api/garages/:garage', rows(store, signals));
  for (const table of TABLES) app.use(`/api/${table}`, garageMissing);
  app.use('/api', notFound);
  if (webRoot && existsSync(join(webRoot, 'index.html'))) {
    const forGood = { immutable: true, maxAge: '1y' } as const;
    // Packed by the build; a browser that does not take that gets it plain.
    const packed = staticGzip(join(webRoot, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: forGood,
    });
    app.use('/assets', packed, notFound);
    app.use(express.static(webRoot, { index: false }));
    app.get('/{*path}', (_req, res) => {
      res.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'index.html'));
    });
  }
  app.use(notFound);
  app.use(errorHandler(log));
  return app;
}
