/**
 * How soon a page is there: what is fetched before the first view beside a bare page of the same stack, the first usable screen without a server on a
 * slowed machine, and how long a press takes: npm run bench:page
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { chromium, type CDPSession, type Page } from '@playwright/test';
import vue from '@vitejs/plugin-vue';
import express from 'express';
import { build } from 'vite';
import vuetify from 'vite-plugin-vuetify';
import type { start as Start } from '@necessaire/server';
import { throwAwayPostgres } from '../../scripts/postgres.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '../..');
const built = join(root, 'dist/web');
/** As slow as a phone beside this machine. */
const SLOWER = 4;
const kB = (bytes: number) => (bytes / 1000).toFixed(0);
const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** Files that a built page names in its head: scripts, what they import at once, and styles. */
function firstLoad(folder: string) {
  const html = readFileSync(join(folder, 'index.html'), 'utf8');
  const files = new Set([...html.matchAll(/assets\/[\w.-]+\.(?:js|css)/gu)].map((m) => m[0]));
  const all = [...files].map((f) => readFileSync(join(folder, f)));
  const sum = (size: (b: Buffer) => number) => all.reduce((s, b) => s + size(b), 0);
  return { gz: sum((b) => gzipSync(b).length), br: sum((b) => brotliCompressSync(b).length) };
}
/** All files under a folder. */
const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((f) => join(folder, f))
    .filter((f) => statSync(f).isFile());

/** A page of the same stack that shows some buttons and does nothing, built into a folder. */
async function bareShell(): Promise<string> {
  // Below the packages, so that it finds them.
  const folder = mkdtempSync(join(root, 'node_modules/.bare-'));
  writeFileSync(join(folder, 'index.html'), '<div id="app"></div><script type="module" src="/main.ts"></script>');
  writeFileSync(
    join(folder, 'App.vue'),
    '<template><v-app><v-btn v-for="i in 16" :key="i" class="bare">Bare</v-btn><router-view /></v-app></template>\n<script setup lang="ts"></script>\n',
  );
  writeFileSync(
    join(folder, 'main.ts'),
    `import { createApp } from 'vue'; import { createPinia } from 'pinia'; import { createRouter, createWebHistory } from 'vue-router';
     import { createVuetify } from 'vuetify'; import 'vuetify/styles'; import App from './App.vue';
     createApp(App).use(createPinia()).use(createRouter({ history: createWebHistory(), routes: [] })).use(createVuetify()).mount('#app');`,
  );
  await build({
    root: folder,
    logLevel: 'silent',
    configFile: false,
    plugins: [vue(), vuetify({ autoImport: true })],
    build: { outDir: join(folder, 'out'), target: 'es2022' },
  });
  return folder;
}

/** ms from the call until something stands on the page. */
async function until(page: Page, act: () => Promise<unknown>, selector: string): Promise<number> {
  const at = performance.now();
  await act();
  await page.locator(selector).first().waitFor();
  return performance.now() - at;
}
/** ms of a press until the next frame is painted, measured in the page itself. */
const press = (page: Page, selector: string) =>
  page.evaluate(async (s) => {
    const target = document.querySelector<HTMLElement>(s)!;
    const at = performance.now();
    target.click();
    await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    return performance.now() - at;
  }, selector);

const pause = (ms: number) => new Promise<false>((done) => setTimeout(() => done(false), ms));

const shell = await bareShell();
const bare = firstLoad(join(shell, 'out'));
const own = firstLoad(built);
console.log(`before the first view: ${kB(own.br)} kB brotli, ${kB(own.gz)} kB gzip`);
console.log(
  `a bare page of the same stack: ${kB(bare.br)} kB brotli, ${kB(bare.gz)} kB gzip; ratio ${(own.br / bare.br).toFixed(2)}`,
);
const whole = filesIn(built)
  .filter((f) => !/\.(?:br|gz)$/u.test(f))
  .reduce((s, f) => s + gzipSync(readFileSync(f)).length, 0);
console.log(`all that lies on the device after one visit: ${(whole / 1e6).toFixed(2)} MB gzip`);

const postgres = await throwAwayPostgres();
const { start } = (await import(join(root, 'dist/server/index.mjs'))) as { start: typeof Start };
const server = await start({ databaseUrl: postgres.url, port: 0, webRoot: built, demo: true });
const browser = await chromium.launch({
  ...(process.env['CHROMIUM'] || process.platform === 'linux'
    ? { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium' }
    : {}),
  args: ['--no-sandbox'],
});
const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
const page = await context.newPage();
const usable = '.fastener, [data-fastener]';
const first = await until(page, () => page.goto(`${server.url}/walk`), usable);
console.log(`first visit, from the server: ${first.toFixed(0)} ms to the list of Walk`);
await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
await page.reload();
await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
await page.locator(usable).first().waitFor();
await page.close();
const url = server.url;
await server.stop();
await context.setOffline(true);

const slowed = async (p: Page): Promise<CDPSession> => {
  const session = await context.newCDPSession(p);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return session;
};
/** The bare page, opened as often: what the stack itself takes on this machine. */
async function bareStarts(): Promise<number[]> {
  const app = express().use(express.static(join(shell, 'out'), { maxAge: '1h' }));
  const at = await new Promise<ReturnType<typeof app.listen>>((done) => {
    const listening = app.listen(0, '127.0.0.1', () => done(listening));
  });
  const { port } = at.address() as AddressInfo;
  const own = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const out: number[] = [];
  for (let i = 0; i < 6; i++) {
    const cold = await own.newPage();
    const session = await own.newCDPSession(cold);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    out.push(await until(cold, () => cold.goto(`http://127.0.0.1:${port}/`, { waitUntil: 'commit' }), '.bare'));
    await cold.close();
  }
  at.close();
  // The first fills the cache, as the first visit did.
  return out.slice(1);
}
const starts: number[] = [];
/** When the presses of Road stand on the page, and when one that is pressed at that moment has answered: before the program is there. */
const stood: number[] = [];
const pressed: number[] = [];
const answered: number[] = [];
const presses: number[] = [];
for (let i = 0; i < 5; i++) {
  const cold = await context.newPage();
  await slowed(cold);
  starts.push(await until(cold, () => cold.goto(`${url}/road`, { waitUntil: 'commit' }), '.symptom'));
  stood.push(
    await cold.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? Infinity),
  );
  await cold.locator('.readout[aria-busy="false"]').waitFor({ timeout: 60_000 });
  // Neither of the two that stop first with what not to do.
  presses.push(await press(cold, '.symptom:nth-child(6)'));
  await cold.locator('.answers .unsure').waitFor();
  presses.push(await press(cold, '.answers .unsure'));
  await cold.close();
}
for (let i = 0; i < 5; i++) {
  const cold = await context.newPage();
  await cold.addInitScript(() => {
    const page = window as Window & { pressedAt?: number; answeredAt?: number };
    document.addEventListener('click', (event) => {
      if (page.pressedAt || !(event.target instanceof Element) || !event.target.closest('#before-road a')) return;
      page.pressedAt = event.timeStamp;
      requestAnimationFrame(() => setTimeout(() => (page.answeredAt = performance.now())));
    });
  });
  const session = await slowed(cold);
  await cold.goto(`${url}/road`, { waitUntil: 'commit' });
  // Pressed again and again, as somebody in a hurry does; the first press that meets a problem counts.
  const hurry = { x: 100, y: 300, button: 'left', clickCount: 1 } as const;
  while (!(await Promise.race([cold.evaluate(() => 'pressedAt' in window), pause(60)])))
    for (const type of ['mousePressed', 'mouseReleased'] as const)
      void session.send('Input.dispatchMouseEvent', { type, ...hurry });
  await cold.locator('.stop, .answers').first().waitFor();
  const at = await cold.evaluate(() => {
    const page = window as Window & { pressedAt?: number; answeredAt?: number };
    return { pressed: page.pressedAt ?? Infinity, answered: page.answeredAt ?? Infinity };
  });
  pressed.push(at.pressed);
  answered.push(at.answered);
  await cold.close();
}
const each = (list: readonly number[]) => `${median(list).toFixed(0)} ms (${list.map((x) => x.toFixed(0)).join(', ')})`;
console.log(
  `without a server, ${SLOWER} times slowed: the problems of Road stand there after ${each(stood)}; one pressed at ${each(pressed)} has answered at ${each(answered)}; the program has opened there after ${each(starts)}; a press ${each(presses)}, at most ${Math.max(...presses).toFixed(0)}`,
);
const plain = await bareStarts();
console.log(
  `the bare page, slowed as much: ${median(plain).toFixed(0)} ms; ratio ${(median(starts) / median(plain)).toFixed(2)}`,
);
rmSync(shell, { recursive: true, force: true });
await browser.close();
await postgres.stop();
process.exit(0);
