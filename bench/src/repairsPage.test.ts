import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { TROUBLES } from '@necessaire/core';

test('docs/repairs.md has each repair with each of its ways as they are: npm run repairs', () => {
  const page = readFileSync(join(import.meta.dirname, '../../docs/repairs.md'), 'utf8');
  for (const t of TROUBLES) {
    const at = page.indexOf(`### ${t.name}\n`);
    expect([t.id, at > 0]).toEqual([t.id, true]);
    const end = page.indexOf('\n### ', at + 4);
    const part = page.slice(at, end < 0 ? undefined : end);
    const ways = [...part.matchAll(/^- \*\*(.+?)\*\*.*: (proper|ride-out|limp), (\d+) min/gm)].map((m) => [
      m[1],
      m[2],
      Number(m[3]),
    ]);
    expect([t.id, ways]).toEqual([t.id, t.ways.map((w) => [w.name, w.grade, w.minutes])]);
  }
});
