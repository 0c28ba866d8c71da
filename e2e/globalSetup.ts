import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { chromium, type FullConfig, type Locator } from '@playwright/test';
import pg from 'pg';
import type { start as Start } from '@necessaire/server';
import { picture, readout } from './screen';

/** A database as the first start leaves it: each test gets a copy of it, which takes a tenth of a start of its own. */
export const TEMPLATE = 'e2e_template';

/** What a browser keeps that had the demo open once: its answer is there at once, as for a rider who comes back. */
export const VISITED = join(import.meta.dirname ?? __dirname, '../test-results/visited.json');

export default async function globalSetup(config: FullConfig): Promise<void> {
  const admin = process.env['TEST_DATABASE_URL'];
  if (!admin) throw new Error('TEST_DATABASE_URL is not set: run ./test browser');
  const client = new pg.Client({ connectionString: admin });
  await client.connect();
  await client.query(`drop database if exists ${TEMPLATE}`);
  await client.query(`create database ${TEMPLATE}`);
  await client.end();
  const url = new URL(admin);
  url.pathname = `/${TEMPLATE}`;
  const path = join(import.meta.dirname ?? __dirname, '../dist/server/index.mjs');
  const { start } = (await import(path)) as { start: typeof Start };
  const running = await start({ databaseUrl: url.href, port: 0, webRoot: join(path, '../../web') });
  try {
    await visit(running.url, config);
  } finally {
    await running.stop();
  }
}

/** Opens the demo until its answer and its packing stand, and writes down what the browser keeps of it. */
async function visit(url: string, config: FullConfig): Promise<void> {
  const { launchOptions } = config.projects[0]!.use;
  const browser = await chromium.launch(launchOptions);
  try {
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    // The one limit of all waits (playwright.config.ts): this page is opened before the tests’ own settings are read.
    page.setDefaultTimeout(90_000);
    await page.goto(`${url}/stow`);
    const idle = (of: Locator) => of.and(page.locator('[aria-busy="false"]')).waitFor();
    await idle(readout(page));
    await idle(picture(page));
    const [id, kept] = await page.evaluate(async () => {
      const opening = indexedDB.open('necessaire-answers', 1);
      await new Promise((done) => (opening.onsuccess = done));
      const store = opening.result.transaction('answers').objectStore('answers');
      const [keys, all] = [store.getAllKeys(), store.getAll()];
      await new Promise((done) => (all.onsuccess = done));
      const far = (_: string, v: unknown) => (v === Infinity ? '\u221e' : v === -Infinity ? '-\u221e' : v);
      return [String(keys.result[0]), JSON.stringify(all.result[0], far)];
    });
    if (kept === undefined) throw new Error('the browser kept no answer');
    mkdirSync(dirname(VISITED), { recursive: true });
    writeFileSync(VISITED, JSON.stringify({ id, kept }));
  } finally {
    await browser.close();
  }
}
