import { tokensOf } from '../../ground/line/index.js';
import type { PieceModel } from '../tools/piece.js';
import { setModels, toolSets, type ToolSet } from '../tools/sets.js';
import { catalogue } from '../kinds/index.js';

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll('¼', '1/4')
    .replaceAll('½', '1/2')
    .replaceAll('¾', '3/4')
    .replaceAll('⅛', '1/8')
    .replaceAll('⅜', '3/8')
    .replaceAll('⅝', '5/8')
    .replaceAll('⅞', '7/8')
    .replaceAll('⁄', '/')
    .replaceAll('’', "'")
    .replaceAll(/[,;]/gu, ' ')
    .replaceAll(/\s+/gu, ' ')
    .trim();

let shelf: { model: PieceModel; text: string }[] | null = null;
const onShelf = () => (shelf ??= catalogue().map((model) => ({ model, text: plain(model.name) })));
let byName: Map<string, PieceModel> | null = null;

/** The tool of the shelf that is called exactly so, in whatever case and with whatever commas; null when none is. */
export const exactTool = (line: string): PieceModel | null =>
  (byName ??= new Map(onShelf().map(({ model, text }) => [text, model]))).get(plain(line)) ?? null;

/** The tool of the shelf by its own name. @throws RangeError for a name that is not there: a fault of a table */
export function shelfTool(name: string): PieceModel {
  const hit = onShelf().find(({ model }) => model.name === name);
  if (!hit) throw new RangeError(`the shelf has no "${name}"`);
  return hit.model;
}

interface NamedSet {
  set: ToolSet;
  text: string;
  words: readonly string[];
}
let sets: NamedSet[] | null = null;
const namedSets = (): NamedSet[] =>
  (sets ??= toolSets().map((set) => ({
    set,
    text: plain(set.name),
    words: tokensOf(plain(set.name)).map((t) => (t.kind === 'word' ? stem(t.text) : t.text)),
  })));

/** The set that is called exactly so. */
export function exactSet(line: string): ToolSet | null {
  const text = plain(line);
  return namedSets().find((s) => s.text === text)?.set ?? null;
}

/** Tools of the shelf whose names hold all words, the shortest name first. */
export function findModels(text: string, most = 8): PieceModel[] {
  const words = plain(text).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return onShelf()
    .filter(({ text: t }) => words.every((w) => t.includes(w)))
    .sort((a, b) => a.text.length - b.text.length || (a.text < b.text ? -1 : 1))
    .slice(0, most)
    .map(({ model }) => model);
}

/** Words that tell nothing of a set from another. */
const EMPTY = new Set(['set', 'sets', 'kit', 'of', 'a', 'the', 'in', 'and', 'mm']);
const stem = (word: string) => (word.length > 3 ? word.replace(/s$/u, '') : word);
const SYNONYMS: Readonly<Record<string, string>> = { wrench: 'spanner', hex: 'inside', drive: '' };

/** Sets whose names hold the words of a line; a drive or a size must stand in the name, other words as far as any set has them. */
export function setsLike(line: string): ToolSet[] {
  const words = tokensOf(plain(line))
    .filter((t) => t.kind === 'word' || t.kind === 'number')
    .map((t) => (t.kind === 'word' ? stem(SYNONYMS[stem(t.text)] ?? t.text) : t.text))
    .filter((w) => w !== '' && !EMPTY.has(w));
  const texts = namedSets();
  // Sizes only say which is nearer: sets of a drive are shown whatever run was named.
  const known = words.filter((w) => !/^\d+(?:\.\d+)?$/u.test(w) && texts.some((t) => t.words.includes(w)));
  const sizes = words.filter((w) => /^\d+(?:\.\d+)?$/u.test(w));
  const near = (t: NamedSet) => sizes.filter((s) => t.words.includes(s)).length;
  return texts
    .filter((t) => known.every((w) => t.words.includes(w)))
    .sort((x, y) => near(y) - near(x))
    .map((t) => t.set);
}

export { setModels };
