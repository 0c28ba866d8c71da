import type { ReadItem, SupplyBook } from '@necessaire/core';
import * as texts from '../../words/match/items';

/** One thing of a line in a few words: `Socket ⅜ in, 14 ×2`, `Cable ties ×20`. */
export function itemText(item: ReadItem, book: SupplyBook): string {
  if (item.at === 'spare') return `${book.of(item.spare.kind).name} ×${item.spare.quantity}`;
  const { model, said } = item.tool;
  return said.count && said.count > 1 ? `${model.name} ×${said.count}` : model.name;
}

/** What was just added, and where it went. */
export function itemsText(items: readonly ReadItem[], book: SupplyBook): string {
  const tools = items.filter((i) => i.at === 'tool');
  const spares = items.filter((i) => i.at === 'spare');
  const [tool] = tools;
  const said = [
    ...(tools.length === 1 && tool ? [texts.isInTheToolbox(itemText(tool, book))] : []),
    ...(tools.length > 1 ? [texts.toolsAreInTheToolbox(tools.length)] : []),
    ...(spares.length > 0 ? [texts.sparesUnderPartSpecsIn(spares.map((s) => itemText(s, book)).join(', '))] : []),
  ];
  return said.join(' ');
}

/** What an unknown word in a line of tools may stand for, the likelier first. */
export const ITEM_TERMS: readonly string[] = [
  'name',
  'form:key',
  'form:lobe',
  'kind:ratchet',
  'kind:combination',
  'kind:key',
];
