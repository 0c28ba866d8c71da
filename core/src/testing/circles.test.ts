import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { expect, test } from '@jest/globals';
import ts from 'typescript';

const src = join(import.meta.dirname, '..');

/** Files of core with those that each imports, for values and for types alike. */
function imports(): Map<string, string[]> {
  const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
    (f) => f.endsWith('.ts') && !f.endsWith('.test.ts'),
  );
  return new Map(
    files.map((file) => {
      const { importedFiles } = ts.preProcessFile(readFileSync(join(src, file), 'utf8'), true);
      const own = importedFiles.filter(({ fileName }) => fileName.startsWith('.'));
      return [file, own.map(({ fileName }) => normalize(join(dirname(file), fileName)).replace(/\.js$/u, '.ts'))];
    }),
  );
}

/** Ways along imports that come back to where they began, each as the files on it. */
function circles(of: ReadonlyMap<string, readonly string[]>): string[] {
  const found: string[] = [];
  const done = new Set<string>();
  const walk = (file: string, way: readonly string[]) => {
    const at = way.indexOf(file);
    if (at >= 0) found.push([...way.slice(at), file].join(' → '));
    if (at >= 0 || done.has(file)) return;
    for (const next of of.get(file) ?? []) walk(next, [...way, file]);
    done.add(file);
  };
  for (const file of of.keys()) walk(file, []);
  return found;
}

test('no file of core imports, over whatever others, what imports it, be it for a type alone', () => {
  const all = imports();
  expect(all.size).toBeGreaterThan(300);
  for (const [file, list] of all) expect([file, list.filter((f) => !all.has(f))]).toEqual([file, []]);
  expect(circles(all)).toEqual([]);
});
test('a circle is found, however long, and a diamond is none', () => {
  const graph = (...pairs: [string, string[]][]) => circles(new Map(pairs));
  expect(graph(['a', ['b']], ['b', ['c']], ['c', ['a']])).toEqual(['a → b → c → a']);
  expect(graph(['a', ['b', 'c']], ['b', ['d']], ['c', ['d']], ['d', []])).toEqual([]);
  expect(graph(['a', ['a']])).toEqual(['a → a']);
});
