import { expect, test } from '@jest/globals';
import { bookOf, readItems } from '@necessaire/core';
import { ITEM_TERMS, itemsText, itemText } from './items';

const book = bookOf([]);
const items = (line: string) => readItems(line).items;

test('what a line of tools and spares comes to, in a few words', () => {
  expect(items('socket 3/8 14 x2').map((i) => itemText(i, book))).toEqual(['Socket ⅜ in, 14 ×2']);
  expect(items('combination 13').map((i) => itemText(i, book))).toEqual(['Combination spanner 13']);
  expect(items('20 cable ties').map((i) => itemText(i, book))).toEqual([`${book.of('cable tie').name} ×20`]);
});
test('what was just added, and where it went', () => {
  expect(itemsText(items('combination 13'), book)).toBe('Combination spanner 13 is in the toolbox.');
  expect(itemsText(items('combination 13, combination 14'), book)).toBe('2 tools are in the toolbox.');
  const ties = `${book.of('cable tie').name} ×20`;
  expect(itemsText(items('20 cable ties'), book)).toBe(`${ties} → spares, under Part specs in Kit.`);
  expect(itemsText(items('combination 13, 20 cable ties'), book)).toBe(
    `Combination spanner 13 is in the toolbox. ${ties} → spares, under Part specs in Kit.`,
  );
  expect(itemsText([], book)).toBe('');
});
test('an unknown word may be part of a name first of all', () => {
  expect(ITEM_TERMS[0]).toBe('name');
  expect(new Set(ITEM_TERMS).size).toBe(ITEM_TERMS.length);
});
