/**
 * TypeScript as plain modules, and `@jest/globals` as what the runner has put among the globals: outside of a context of Jest's own that package refuses
 * to be imported. Functions keep no names of their own here, as they keep none in the program: naming each anew costs a seventh of the time.
 */
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from 'esbuild';

const words = new URL('./globals.mjs', import.meta.url).href;

/** A file of ours is named with the ending of what it becomes, or with none. */
export function resolve(name, context, next) {
  if (name === '@jest/globals') return { url: words, shortCircuit: true };
  if (/^\.{1,2}\//u.test(name) && !context.parentURL.includes('/node_modules/')) {
    const url = new URL(name.replace(/(?:\.js|\.ts)?$/u, '.ts'), context.parentURL);
    if (existsSync(url)) return { url: url.href, format: 'module', shortCircuit: true };
  }
  return next(name, context);
}

export async function load(url, context, next) {
  const path = url.startsWith('file:') ? fileURLToPath(url.split('?')[0]) : '';
  if (!path.endsWith('.ts')) return next(url, context);
  const { code } = await transform(await readFile(path, 'utf8'), {
    loader: 'ts',
    format: 'esm',
    target: 'node20',
    sourcefile: path,
    sourcemap: 'inline',
    sourcesContent: false,
  });
  return { format: 'module', source: code, shortCircuit: true };
}
