import { z } from 'zod';
import {
  garageSchema,
  replySchema,
  ROW_SCHEMAS,
  TABLES,
  type Garage,
  type GarageDocument,
  type Reply,
  type Request,
  type TableName,
} from '@necessaire/core';
import * as texts from '../words/api/client';

/** What the server refuses with; `status` 0 means that it was not reached. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly path: string,
    readonly more: Record<string, unknown> = {},
  ) {
    super(message);
  }
}

const errorSchema = z.object({
  error: z.looseObject({ code: z.string(), path: z.string(), message: z.string() }),
});

async function call(method: string, path: string, body?: unknown): Promise<unknown> {
  let response: Response;
  let text: string;
  try {
    response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(45_000),
      // A write says that it is JSON, with or without a body: no form of another page can.
      ...(body === undefined
        ? method === 'GET'
          ? {}
          : { headers: { 'Content-Type': 'application/json' } }
        : typeof body === 'string'
          ? { body, headers: { 'Content-Type': 'application/json' } }
          : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
    });
    // The answer may still break off while it is read.
    text = await response.text();
  } catch {
    throw new ApiError(0, 'unreached', texts.serverNotReachableYourChanges, '');
  }
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    // A sign-in page of a hotel's network answers everything with a page of its own.
    if (response.ok) throw new ApiError(0, 'portal', texts.somethingBetweenHereAndThe, '');
    json = null;
  }
  if (response.ok) return json;
  const parsed = errorSchema.safeParse(json);
  if (!parsed.success) throw new ApiError(response.status, 'server', texts.theServerDidNotAnswer, '');
  const { code, path: where, message, ...more } = parsed.data.error;
  throw new ApiError(response.status, code, message, where, more);
}

const recordSchema = z.object({
  id: z.uuid(),
  revision: z.int(),
  garage: garageSchema,
  deleted: z.boolean(),
});
export type GarageRecord = z.infer<typeof recordSchema>;

const documentSchema = z.object({
  garage: garageSchema,
  ...(Object.fromEntries(TABLES.map((t) => [t, z.array(ROW_SCHEMAS[t])])) as unknown as {
    [T in TableName]: z.ZodArray<(typeof ROW_SCHEMAS)[T]>;
  }),
});
const revisions = z.record(z.enum(TABLES as [TableName, ...TableName[]]), z.record(z.string(), z.int()));
const openSchema = recordSchema.extend({ document: documentSchema, revisions, edition: z.int() });

export interface OpenGarage extends GarageRecord {
  document: GarageDocument;
  revisions: Record<TableName, Record<string, number>>;
  edition: number;
}
export const api = {
  list: async () => z.object({ garages: z.array(recordSchema) }).parse(await call('GET', '/garages')).garages,
  create: async (id: string, garage: Garage) => recordSchema.parse(await call('POST', '/garages', { id, garage })),
  open: async (id: string): Promise<OpenGarage> => openSchema.parse(await call('GET', `/garages/${id}`)),
  remove: async (id: string) => recordSchema.parse(await call('DELETE', `/garages/${id}`)),
  restore: async (id: string) => recordSchema.parse(await call('POST', `/garages/${id}/restore`)),
  exchange: async (id: string, request: Request): Promise<Reply> =>
    replySchema.parse(await call('POST', `/garages/${id}/edits`, request)),
  importFile: async (id: string, text: string) => {
    await call('PUT', `/garages/${id}/file`, text);
  },
  fileUrl: (id: string) => `/api/garages/${id}/file`,
};
