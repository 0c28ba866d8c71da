import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { start, type Running } from './start.js';
import { freshDatabase } from './testing/database.js';

const TEXT = 'export const all = 1;\n'.repeat(200);
let webRoot: string;
let database: Awaited<ReturnType<typeof freshDatabase>>;
let running: Running;
beforeAll(async () => {
  webRoot = mkdtempSync(join(tmpdir(), 'necessaire-web-'));
  mkdirSync(join(webRoot, 'assets'));
  writeFileSync(join(webRoot, 'index.html'), '<p>here</p>');
  writeFileSync(join(webRoot, 'assets/first-1.js'), TEXT);
  writeFileSync(join(webRoot, 'assets/first-1.js.br'), brotliCompressSync(TEXT));
  writeFileSync(join(webRoot, 'assets/plain-1.css'), 'p { color: red }');
  database = await freshDatabase();
  running = await start({ databaseUrl: database.url, port: 0, webRoot, demo: false });
});
afterAll(async () => {
  await running.stop();
  await database.drop();
  rmSync(webRoot, { recursive: true });
});
const get = (path: string, encodings: string) =>
  fetch(`${running.url}${path}`, { headers: { 'Accept-Encoding': encodings } });

test('what the build packed goes out as it is packed, for good, under its own type', async () => {
  const packed = await get('/assets/first-1.js', 'gzip, br');
  expect([packed.headers.get('content-encoding'), packed.headers.get('content-type')]).toEqual([
    'br',
    expect.stringContaining('javascript'),
  ]);
  expect(packed.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect(packed.headers.get('vary')).toMatch(/accept-encoding/iu);
  expect(await packed.text()).toBe(TEXT);
});
test('who does not take that gets it otherwise, with the same content', async () => {
  for (const encodings of ['gzip', 'identity']) {
    const plain = await get('/assets/first-1.js', encodings);
    expect(plain.headers.get('content-encoding')).not.toBe('br');
    expect(await plain.text()).toBe(TEXT);
  }
  expect(await (await get('/assets/plain-1.css', 'br')).text()).toBe('p { color: red }');
});
test('an asset that is not there is none, packed or not, and nothing outside is reached', async () => {
  for (const path of ['/assets/gone-1.js', '/assets/', '/assets/..%2findex.html'])
    expect([path, (await get(path, 'br')).status]).toEqual([path, 404]);
});
