import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const root = join(import.meta.dirname, '../../..');
const filesIn = (folder: string, ending: RegExp): string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => ending.test(f) && !f.includes('node_modules'))
    .map((f) => `${folder}/${f}`);
const code = [
  'core/src',
  'solver/src',
  'words/src',
  'server/src',
  'web',
  'cli/src',
  'demo/src',
  'bench/src',
  'e2e',
  'scripts',
].flatMap((f) => filesIn(f, /\.(ts|vue|mjs)$/u));
const pages = [...filesIn('docs', /\.md$/u), 'README.md'];
const read = (file: string) => readFileSync(join(root, file), 'utf8');

describe('the docs', () => {
  test('name no file that is not there', () => {
    const gone = pages.flatMap((page) =>
      [...read(page).matchAll(/`([\w./-]+\.(?:ts|vue|mjs))`/gu)]
        .map(([, path = '']) => path)
        .filter((path) => !code.some((f) => f === path || f.endsWith(`/${path}`)))
        .map((path) => `${page}: ${path}`),
    );
    expect(gone).toEqual([]);
    expect(pages.length).toBeGreaterThan(12);
  });
  test('have what the code cites of them: no other source, and no section that the model does not have', () => {
    const sections = new Set([...read('docs/model.md').matchAll(/^## (\d+) /gmu)].map(([, n]) => n));
    const wrong = filesIn('core/src', /\.ts$/u)
      .filter((f) => !f.endsWith('testing/docs.test.ts'))
      .flatMap((f) => {
        const text = read(f);
        return [
          ...(/\breference section/u.test(text) ? [`${f}: a source outside`] : []),
          ...[...text.matchAll(/docs\/model\.md, sections? (\d+)(?: and (\d+))?/gu)]
            .flatMap(([, a, b]) => [a, b].filter((n) => n !== undefined))
            .filter((n) => !sections.has(n))
            .map((n) => `${f}: section ${n}`),
        ];
      });
    expect(wrong).toEqual([]);
    expect(sections.size).toBeGreaterThan(9);
  });
  test('lead nowhere in vain: each page that a page links is there', () => {
    const vain = pages.flatMap((page) =>
      [...read(page).matchAll(/\]\(([^)#\s]+)(?:#[^)]*)?\)/gu)]
        .map(([, to = '']) => to)
        .filter((to) => !/^[a-z]+:/u.test(to) && !existsSync(join(root, page, '..', to)))
        .map((to) => `${page}: ${to}`),
    );
    expect(vain).toEqual([]);
  });
});
