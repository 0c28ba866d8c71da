import { describe, expect, test } from '@jest/globals';
import { corpusOf } from '../../testing/corpus/read.js';
import { ITEM_LINES } from '../../testing/corpus/items.js';
import { readItems, type ReadItem } from './index.js';

function itemWords(item: ReadItem): string {
  if (item.at === 'spare') {
    const { kind, quantity, note } = item.spare;
    return `+ ${kind} ×${quantity}${note ? ` (${note})` : ''}`;
  }
  const { model, said } = item.tool;
  return [
    model.name,
    ...(said.count ? [`×${said.count}`] : []),
    ...(said.mass === undefined ? [] : [`${Math.round(said.mass * 10) / 10} g`]),
    ...(said.price === undefined ? [] : [`${said.price} €`]),
    ...(said.condition ? [said.condition] : []),
    ...(said.quality ? [said.quality] : []),
    ...(said.mark ? [said.mark] : []),
    ...(said.kept ? [`in ${said.kept}`] : []),
    ...(said.note ? [`note: ${said.note}`] : []),
  ].join(' ');
}
/** What the line was read as, in the corpus' words. */
function readAs(line: string, right: string): string {
  const { items, parts, asks, faults } = readItems(line);
  const [fault] = faults;
  const [ask] = asks;
  // Where the right reading names no stretch, any question or refusal is meant.
  if (fault) return right === '!' ? '!' : `! ${line.slice(fault.start, fault.end)}`.trim();
  if (ask) return right === '?' ? '?' : `? ${line.slice(ask.start, ask.end)}`.trim();
  const doubt = parts.some((p) => p.others.length > 0) ? ' ~' : '';
  return items.map(itemWords).join(' | ') + doubt;
}

describe('what riders own, as they write and say it', () => {
  test.each(corpusOf(ITEM_LINES))('$line', ({ line, right }) => {
    expect(readAs(line, right)).toBe(right);
  });
});
