/** One current picture of each main view, made from the demo on a throw-away database: npm run screenshots; some by name: npm run screenshots -- road kit */
import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { throwAwayPostgres } from './postgres.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const folder = join(root, 'docs/screenshots');
const LAPTOP = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const row = (name) => (page) => page.locator('[data-fastener], .head-row', { hasText: name }).first().click();

/** The curve with all its nested kits. */
const curve = (page) => page.locator('.level-dot').nth(3).waitFor({ timeout: 90_000 });

/** The trip that four ride, shared out. */
const four = async (page) => {
  await page.getByRole('button', { name: 'nine days on the Ossel plateau' }).click();
  await page.getByRole('menuitem', { name: 'Three days on the Tamber ridge' }).click();
  await page.locator('.picture.crew[aria-busy="false"] .columns').waitFor({ timeout: 90_000 });
  await page.getByText('if each packed alone').waitFor();
  await page.locator('.lean').waitFor();
};

/** name, address, size, theme, what is pressed first */
/** The packing as it is in the end. */
const proven = (page) => page.locator('.picture.stow[aria-busy="false"]').waitFor({ timeout: 60_000 });
const SHOTS = [
  ['crew', '/crew', LAPTOP, 'light', four],
  ['prove', '/prove', LAPTOP, 'light'],
  [
    'prove-drill',
    '/prove',
    PHONE,
    'light',
    async (page) => {
      await page.locator('.rows').getByRole('button', { name: 'Puncture, tubed' }).click();
      await page.getByRole('button', { name: /^Begin/ }).click();
      for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Done', exact: true }).click();
      await page.locator('[role="dialog"][data-step="3"]').waitFor();
    },
  ],
  [
    'road',
    '/road',
    PHONE,
    'light',
    async (page) => {
      await page.getByRole('button', { name: 'It cuts out while riding' }).click();
      await page.locator('.answers').waitFor();
    },
  ],
  ['walk', '/walk', LAPTOP, 'light'],
  [
    'walk-size',
    '/walk',
    LAPTOP,
    'light',
    async (page) => {
      await row('Rack stay')(page);
      await page.getByLabel('The head is').press('ArrowDown');
      await page.getByRole('option', { name: /^worn/ }).click();
      for (const reading of ['14.05', '14.11']) {
        await page.getByLabel('Reading, mm').fill(reading);
        await page.getByLabel('Reading, mm').press('Enter');
      }
      await page.locator('.odds-row').first().waitFor();
    },
  ],
  [
    'walk-entry',
    '/walk',
    LAPTOP,
    'dark',
    (page) => page.locator('#entry').fill('8 mm inside hex shock bolt 20 ft-lb sunk 60 12'),
  ],
  ['match', '/match', LAPTOP, 'light', row('Spark plug')],
  [
    'match-pieces',
    '/match',
    LAPTOP,
    'light',
    async (page) => {
      await page.getByRole('button', { name: 'Show fasteners against tools' }).click();
      await page.getByRole('tab', { name: /^Toolbox/ }).click();
      await page.getByRole('application').waitFor();
    },
  ],
  ['trip', '/trip', LAPTOP, 'light'],
  [
    'trip-way',
    '/trip',
    LAPTOP,
    'light',
    async (page) => {
      await page.getByRole('tab', { name: 'Route', exact: true }).click();
      await page.locator('.way svg').waitFor();
    },
  ],
  ['kit', '/kit', LAPTOP, 'light', curve],
  [
    'kit-mend',
    '/kit',
    LAPTOP,
    'light',
    async (page) => {
      await page.locator('.sheet .opens', { hasText: 'Puncture, tubed' }).click();
      await page.locator('.way').first().waitFor();
    },
  ],
  ['stow', '/stow', LAPTOP, 'light', proven],
  [
    'stow-inside',
    '/stow',
    LAPTOP,
    'dark',
    async (page) => {
      await proven(page);
      await page.locator('[data-place-mark][aria-label^="Tool tube"]').click();
      await page.locator('.looks figure').first().scrollIntoViewIfNeeded();
    },
  ],
  [
    'stow-load',
    '/stow',
    LAPTOP,
    'light',
    async (page) => {
      await proven(page);
      await page.getByRole('button', { name: 'From behind' }).click();
      await page.getByRole('tab', { name: 'Load' }).click();
    },
  ],
  ['print', '/print', { width: 860, height: 1120 }, 'light'],
  ['walk-phone', '/walk', PHONE, 'light'],
  ['kit-phone', '/kit', PHONE, 'dark', curve],
];

if (spawnSync(process.execPath, [join(root, 'scripts/build.mjs'), '--if-changed'], { stdio: 'inherit' }).status !== 0)
  process.exit(1);
const { start } = await import('../dist/server/index.mjs');
const postgres = await throwAwayPostgres();
const app = await start({ databaseUrl: postgres.url, port: 0, webRoot: join(root, 'dist/web') });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
try {
  mkdirSync(folder, { recursive: true });
  const asked = process.argv.slice(2);
  for (const [name, path, viewport, colorScheme, press] of SHOTS) {
    if (asked.length > 0 && !asked.includes(name)) continue;
    const page = await browser.newPage({ viewport, colorScheme, reducedMotion: 'reduce' });
    await page.goto(app.url + path);
    await page.locator('.readout[aria-busy="false"], .paper').first().waitFor();
    if (press) {
      await press(page);
      await page.locator('.readout[aria-busy="false"]').waitFor();
    }
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await page.close();
  }
} finally {
  await browser.close();
  await app.stop();
  await postgres.stop();
}
