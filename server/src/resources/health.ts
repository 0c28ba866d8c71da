import { Router } from 'express';
import type { Knex } from 'knex';
import { refuse } from '../refusal.js';

/** `/health/live`: the process answers. `/health/ready`: the database does too. */
export function health(db: Knex): Router {
  return Router()
    .get('/live', (_req, res) => {
      res.json({ live: true });
    })
    .get('/ready', async (_req, res) => {
      try {
        await db.raw('select 1');
      } catch {
        throw refuse(503, 'not-ready', 'database', 'the database does not answer: wait, or check DATABASE_URL');
      }
      res.json({ ready: true });
    });
}
