import { describe, expect, test } from '@jest/globals';
import { circleIn } from '../../build/noCircles';

describe('pieces of the program', () => {
  test('that ask each other in a circle are found, wherever it begins', () => {
    const graph = (edges: Record<string, string[]>) => circleIn(new Map(Object.entries(edges)));
    expect(graph({ a: ['b', 'c'], b: ['c'], c: [] })).toBeNull();
    expect(graph({ a: ['b'], b: ['c'], c: ['b'] })).toEqual(['b', 'c', 'b']);
    expect(graph({ a: ['a'] })).toEqual(['a', 'a']);
    expect(graph({ a: ['away'], b: ['a', 'c'], c: ['d'], d: ['b'] })).toEqual(['b', 'c', 'd', 'b']);
    expect(graph({})).toBeNull();
  });
});
