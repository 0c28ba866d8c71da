import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cleaned, cut, line, text } from './text.js';
import { id } from './fields.js';

const anyText = fc.string({
  unit: fc.oneof(
    fc.nat(0xffff).map((c) => String.fromCharCode(c)),
    fc.constantFrom('🏍', 'a', '\u202e', '\u0000', '\ufffe'),
  ),
});

describe('text', () => {
  test('what cannot be written goes, what can stays', () => {
    expect(cleaned('a\u0000b\ud800c\ufffed\uffffe\u202ef\u2066g\u0007')).toBe('abcdefg');
    expect(cleaned('Ünïcode 🏍 مرحبا\u200f\n\tΩ')).toBe('Ünïcode 🏍 مرحبا\u200f\n\tΩ');
    expect(cleaned('x\u{1fffe}y\u{10ffff}z')).toBe('xyz');
  });
  test('every text comes out well formed, storable as UTF-8, and the same when cleaned again', () => {
    fc.assert(
      fc.property(anyText, (t) => {
        const out = text(100_000).parse(t);
        expect(new TextDecoder('utf-8', { fatal: true }).decode(new TextEncoder().encode(out))).toBe(out);
        expect(text(100_000).parse(out)).toBe(out);
        expect(line(100_000).parse(line(100_000).parse(t))).toBe(line(100_000).parse(t));
        expect(line(100_000).parse(t)).not.toMatch(/[\r\n\t]/);
      }),
    );
  });
  test('it is cut at a character, never inside one', () => {
    expect(cut('ab🏍', 3)).toBe('ab');
    expect(cut('ab🏍', 4)).toBe('ab🏍');
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.integer({ min: 1, max: 20 }), (t, n) => {
        const out = cut(t, n);
        expect(t.startsWith(out)).toBe(true);
        expect(out.length).toBeGreaterThanOrEqual(Math.min(t.length, n - 1));
        expect(cleaned(out)).toBe(out.replace(/[\u007f-\u009f]/g, ''));
      }),
    );
  });
  test('an id is written in one way only', () => {
    expect(id.parse('0DE30000-0000-4000-8000-00000000000A')).toBe('0de30000-0000-4000-8000-00000000000a');
  });
  test('no schema takes a text past this rule', () => {
    const root = join(import.meta.dirname, '..');
    const bare = (readdirSync(root, { recursive: true }) as string[])
      .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.endsWith('ground/text.ts'))
      .filter((f) => /\bz\s*\.string\(\)/.test(readFileSync(join(root, f), 'utf8')));
    expect(bare).toEqual([]);
  });
});
