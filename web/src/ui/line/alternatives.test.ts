import { describe, expect, test } from '@jest/globals';
import { readEntry, readTools } from '@necessaire/core';
import { otherLines, turned, type Turning } from './alternatives';

describe('one key goes through the readings of a line', () => {
  test('from what was typed through the others and back', () => {
    const typed = '24 axle nut 36';
    const read = (line: string) => readEntry(line);
    let turning: Turning | null = turned(typed, read(typed), null);
    expect(turning).toMatchObject({ at: 1 });
    const seen: string[] = [];
    for (let i = 0; i < 4; i++) {
      const line: string = turning?.lines[turning.at] ?? '';
      seen.push(line);
      turning = turned(line, read(line), turning);
    }
    expect(seen).toEqual(['24 axle nut 36nm', '24 axle nut far 36', '24 axle nut "36"', '24 axle nut 36']);
    // All were seen: the key leaves the line.
    expect(turning).toBeNull();
  });
  test('typing on begins anew; a line without a doubt leaves the key alone', () => {
    const line = '24 axle nut 36nm';
    expect(
      turned(line, readEntry(line), { lines: ['24 axle nut 36', '24 axle nut far 36'], at: 1, seen: false }),
    ).toBeNull();
    const other = '10x8 bolt';
    expect(turned(other, readEntry(other), { lines: ['a', 'b'], at: 1, seen: false })?.lines).toEqual([
      other,
      '10 x8 bolt',
    ]);
  });
  test('a refusal offers what is nearest; an unknown word is left to its own question', () => {
    expect(otherLines(readEntry('10.3 nut'))).toEqual(['10 nut', '11 nut']);
    expect(otherLines(readTools('knarz 6'))).toEqual([]);
    expect(otherLines(readTools('10mm socket'))[0]).toBe('10mm socket 1/4');
  });
});
