import type { Fault } from '../../ground/faults.js';
import { z } from 'zod';
import { id } from '../../ground/fields.js';
import { line } from '../../ground/text.js';
import { editSchema, whereSchema, type Body, type Edit, type Where } from './change.js';

/** Most edits, and most changes in all of them, that one request carries. */
export const MOST_EDITS = 200;
export const MOST_CHANGES = 12_000;

/** What a page sends: what it knows, and what it wants written. Without edits it only asks for news. */
export const requestSchema = z.strictObject({
  /** Edition of the garage that the page knows; null to hear no news. */
  since: z.int().min(0).max(Number.MAX_SAFE_INTEGER).nullable(),
  edits: z.array(editSchema).max(MOST_EDITS),
});
export interface Request {
  since: number | null;
  edits: Edit[];
}

/** What became of an edit: written, or met by somebody else's change of the same, or refused for what it is. */
export type EditOutcome =
  { id: string; is: 'done' } | { id: string; is: 'clash'; at: Clash[] } | { id: string; is: 'refused'; fault: Fault };
/** A change that met another: which of the edit's, on which fields, and the row as it last was where it was deleted. */
export interface Clash {
  change: number;
  fields: string[];
  last: Body | null;
}

/** A row as it is now; null when it was deleted. */
export interface News {
  table: Where;
  id: string;
  revision: number;
  row: Body | null;
}
export interface Reply {
  outcomes: EditOutcome[];
  /** Edition of the garage that `news` leads to; it grows by one with each edit that changes anything. */
  edition: number;
  /** Rows written after `since`, one's own too. */
  news: News[];
}

const anyBody = z.record(line(2000), z.unknown());
const faultSchema = z.looseObject({ code: line(2000), path: line(2000), message: line(2000) });
export const replySchema: z.ZodType<Reply> = z.object({
  outcomes: z.array(
    z.discriminatedUnion('is', [
      z.object({ id, is: z.literal('done') }),
      z.object({
        id,
        is: z.literal('clash'),
        at: z.array(z.object({ change: z.int(), fields: z.array(line(2000)), last: anyBody.nullable() })),
      }),
      z.object({ id, is: z.literal('refused'), fault: faultSchema }),
    ]),
  ),
  edition: z.int(),
  news: z.array(
    z.object({
      table: whereSchema,
      id,
      revision: z.int(),
      row: anyBody.nullable(),
    }),
  ),
});
