import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { readTries } from './readTries.js';

const read = (text: string, form: Parameters<typeof readTries>[1] = 'hex') => {
  const result = readTries(text, form);
  return 'tries' in result ? result.tries.map((t) => `${t.tool.form} ${t.tool.size} ${t.outcome}`) : result.reason;
};

describe('tools tried, as riders say it', () => {
  test.each([
    ['13 goes on, 12 does not', ['hex 13 goes on', 'hex 12 does not go on']],
    ['1/2in snug', ['hex 1/2in snug']],
    ['½ in is snug and 13 loose', ['hex 1/2in snug', 'hex 13 loose']],
    ['14 spins; 13 no', ['hex 14 spins', 'hex 13 does not go on']],
    ['12 doesn’t', ['hex 12 does not go on']],
    ['13 rattles but 12 won’t go on', ['hex 13 loose', 'hex 12 does not go on']],
  ])('%s', (text, expected) => {
    expect(read(text)).toEqual(expected);
  });
  test('a bare number is a tool of the head’s form', () => {
    expect(read('5 snug', 'key')).toEqual(['key 5 snug']);
    expect(read('i5 snug', 'key')).toEqual(['key 5 snug']);
    expect(read('30 snug', 'lobe')).toEqual(['lobe 30 snug']);
    expect(read('t30 snug', 'lobe')).toEqual(['lobe 30 snug']);
    expect(read('16 snug', 'plug')).toEqual(['hex 16 snug']);
  });
  test.each([
    ['', /say which tool/],
    ['spanner', /is no tool size/],
    ['13', /how did 13 sit/],
    ['13 perhaps', /how did 13 sit/],
    ['13.4 snug', /reading, not a size/],
    ['t30 snug', /not for such a head/],
    ['i5 snug', /not for such a head/],
  ])('%j is refused with its reason', (text, reason) => {
    expect(read(text)).toMatch(reason);
  });
  test('any text is read or refused', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => void readTries(text, 'hex')),
      { numRuns: 400 },
    );
  });
});
