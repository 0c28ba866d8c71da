import { z } from 'zod';
import { line, text } from './text.js';

/** Fields shared by every entity. Numbers refuse NaN and infinities by Zod's own rule. */

/** Ids are written in small letters, whoever sends them. */
export const id = z.uuid().overwrite((value) => value.toLowerCase());
export const name = line(120).min(1, 'give it a name');
export const note = text(2000);
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
export type Source = (typeof SOURCES)[number];
/** A source as the screens say it; what is stored keeps the name of old files. */
export const sourceWords = (source: (typeof SOURCES)[number]): string =>
  source === 'planning value' ? 'typical value' : source;
export const source = z.enum(SOURCES);
