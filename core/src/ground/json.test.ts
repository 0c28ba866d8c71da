import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { ordered, sameJson } from './json.js';

/** A JSON value and the same with the keys of every object in another order. */
const turned = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(turned)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .reverse()
            .map(([k, v]) => [k, turned(v)]),
        )
      : value;
// JSON knows one nought.
const json = fc.jsonValue().map((v) => JSON.parse(JSON.stringify(v)) as unknown);

describe('JSON values', () => {
  test('in order they are the same text whatever the order of their keys, and the same value', () => {
    expect(JSON.stringify(ordered({ b: [{ d: 1, c: null }], a: 'x' }))).toBe('{"a":"x","b":[{"c":null,"d":1}]}');
    expect([ordered(null), ordered(7), ordered([2, 1])]).toEqual([null, 7, [2, 1]]);
    fc.assert(
      fc.property(json, (value) => {
        expect(JSON.stringify(ordered(turned(value)))).toBe(JSON.stringify(ordered(value)));
        expect(ordered(value)).toEqual(value);
      }),
    );
  });
  test('are the same just where they are the same text in order', () => {
    fc.assert(
      fc.property(json, json, (a, b) => {
        expect(sameJson(a, b)).toBe(JSON.stringify(ordered(a)) === JSON.stringify(ordered(b)));
        expect(sameJson(a, turned(a))).toBe(true);
      }),
    );
  });
  test.each([
    [[], {}],
    [[1], [1, 2]],
    [{ a: 1 }, { b: 1 }],
    [{ a: 1 }, { a: 1, b: 2 }],
    [{ a: { b: 1 } }, { a: { b: 2 } }],
    [null, {}],
    ['1', 1],
  ])('%j is not %j', (a, b) => expect([sameJson(a, b), sameJson(b, a)]).toEqual([false, false]));
  test('a field that is undefined is none', () => {
    expect(sameJson({ a: 1, b: undefined }, { a: 1 })).toBe(true);
    expect(sameJson({ a: undefined }, { b: 1 })).toBe(false);
  });
});
