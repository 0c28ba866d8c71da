import { z } from 'zod';
import { FORM_WORDS, HEAD_FORMS } from '../../ground/sizes/index.js';
import { line } from '../../ground/text.js';
import { TOOL_KINDS } from '../kinds/all.js';

/** What a rider's own word may stand for: part of a name, a form of head, or a kind of tool. */
export const OWN_TERMS: readonly [string, ...string[]] = [
  'name',
  ...HEAD_FORMS.map((f) => `form:${f}`),
  ...TOOL_KINDS.map(({ key }) => `kind:${key}`),
];

/** A word that riders use and the product does not ship: a trade name, dialect, another language. */
export const ownWordSchema = z.strictObject({ said: line(40).min(1, 'write the word'), means: z.enum(OWN_TERMS) });
/** Greatest number of own words in a garage. */
export const MOST_OWN_WORDS = 500;
export const ownWordsSchema = z.array(ownWordSchema).max(MOST_OWN_WORDS);

/** A term in plain words: `part of the name`, `inside hex`, `ratchet`. */
export function termWords(term: string): string {
  const [sort, code] = term.split(':', 2);
  const form = HEAD_FORMS.find((f) => f === code);
  const kind = TOOL_KINDS.find(({ key }) => key === code);
  if (sort === 'form' && form) return FORM_WORDS[form];
  return sort === 'kind' && kind ? kind.title : 'part of the name';
}
