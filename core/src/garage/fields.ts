import { z } from 'zod';

/**
 * Fields shared by every entity. Texts refuse control characters because they can neither be shown nor stored,
 * numbers refuse NaN and infinities by Zod's own rule.
 */
const readable = (value: string) => !/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\ud800-\udfff]/u.test(value);
const unreadable = 'holds characters that cannot be shown: retype it';

export const id = z.uuid();
export const name = z.string().trim().min(1, 'give it a name').max(120).refine(readable, unreadable);
export const note = z.string().max(2000).refine(readable, unreadable);
/** A length in mm, never negative. */
export const mm = z.number().min(0).max(5000);
export const grams = z.number().min(0).max(500_000);
export const newtonMetres = z.number().min(0).max(1000);
export const count = z.int().min(1).max(200);
export const km = z.number().min(0).max(100_000);
export const hours = z.number().min(0).max(2000);
export const euros = z.number().min(0).max(100_000);

/** Where a figure comes from. Planning values are from general engineering knowledge; the manual's always win. */
export const SOURCES = ['planning value', 'user', 'manual', 'own log'] as const;
export const source = z.enum(SOURCES);
