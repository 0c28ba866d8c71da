import { Phrasebook, type OwnWord } from '../../ground/line/index.js';
import { CALLED, catalogue, TOOL_KINDS } from '../kinds/all.js';
import type { ToolKind } from '../kinds/kind.js';
import { usual, type KindTerm } from './words.js';

/** What is no kind of the shelf: something that turns nothing, and what was made at home. */
const OTHERS = [
  ['thing', 'something else', 'thing'],
  ['made', 'home-made', 'made|home made|homemade'],
] as const;
/** Tools of the shelf that are called by their name alone, as they stand there. */
const byName = (): (readonly [KindTerm, string])[] =>
  catalogue()
    .filter((m) => m.modes.length === 0 && m.kind !== 'tyre lever' && m.kind !== 'pipe')
    .map((m) => [usual(m.name), m.name.replaceAll(',', '')]);
const BOOK = new Phrasebook<KindTerm>([
  ...TOOL_KINDS.map(({ key, said }) => [key, said] as const),
  ...OTHERS.map(([key, , said]) => [key, said] as const),
  ...CALLED,
  ...byName(),
]);

/** The kind of tool of a key; undefined for what is no kind of the shelf. */
export const kindOf = (key: string): ToolKind | undefined => TOOL_KINDS.find((kind) => kind.key === key);

const termed = new WeakMap<readonly OwnWord[], Phrasebook<KindTerm>>();
/** The kinds with a rider's own words for them; a term is `kind:` and the key. */
export function kindBook(own: readonly OwnWord[]): Phrasebook<KindTerm> {
  if (own.length === 0) return BOOK;
  const known = termed.get(own);
  if (known) return known;
  const keys = [...TOOL_KINDS.map((kind) => kind.key), ...OTHERS.map(([key]) => key)];
  const book = BOOK.with(own, (means) => keys.find((key) => means === `kind:${key}`) ?? null);
  termed.set(own, book);
  return book;
}
