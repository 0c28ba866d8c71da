import { z } from 'zod';
import { at, faultsOf, id } from '@necessaire/core';
import { Refusal, refuse } from '../refusal.js';

/** Parses what came over the wire, or refuses with the path to the culprit. */
export function parse<T extends z.ZodType>(schema: T, value: unknown, path = ''): z.infer<T> {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const faults = faultsOf(result.error, path);
  throw new Refusal(422, at(faults, 0), { faults });
}

/** A garage id from the address. */
export function garageId(value: unknown): string {
  const result = id.safeParse(value);
  if (!result.success)
    throw refuse(400, 'garage-missing', 'garage', 'name the garage by its id: /api/garages/{garage}/…');
  return result.data;
}
