import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type Locator, type Page } from '@playwright/test';
import pg from 'pg';
import type { GarageDocument } from '@necessaire/core';
import type { start as Start, Running } from '@necessaire/server';
import { TEMPLATE, VISITED } from './globalSetup';
import { entry, picture, readout, sheet, title } from './screen';

const root = join(import.meta.dirname ?? __dirname, '..');

/** A server of its own on a fresh database, as a first start gives it. */
export interface App {
  url: string;
  databaseUrl: string;
  /** Stops the server and starts it again at the same address on the same data. */
  stop: () => Promise<void>;
  startAgain: (webRoot?: string) => Promise<void>;
}

async function onAdmin(sql: string) {
  const url = process.env['TEST_DATABASE_URL'];
  if (!url) throw new Error('TEST_DATABASE_URL is not set: run ./test browser');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(sql);
  await client.end();
}

/**
 * Gives the browser what it kept at a visit before: the demo's answer. Playwright's own way to do so opens a page of its own for each test, which
 * takes longer than to work the answer out.
 */
async function visitedBefore(page: Page) {
  await page.addInitScript(
    ({ id, kept }) => {
      // The browser's own page for what cannot be reached keeps nothing.
      if (location.protocol !== 'http:' || sessionStorage.getItem('visited') !== null) return;
      sessionStorage.setItem('visited', 'yes');
      const opening = indexedDB.open('necessaire-answers', 1);
      opening.onupgradeneeded = () => void opening.result.createObjectStore('answers');
      opening.onsuccess = () => {
        const far = (_: string, v: unknown) => (v === '\u221e' ? Infinity : v === '-\u221e' ? -Infinity : v);
        try {
          opening.result.transaction('answers', 'readwrite').objectStore('answers').put(JSON.parse(kept, far), id);
        } catch {
          // A test whose browser is full works the answer out.
        }
        opening.result.close();
      };
    },
    JSON.parse(readFileSync(VISITED, 'utf8')) as { id: string; kept: string },
  );
}

export const test = base.extend<{ app: App; server: App; cold: boolean }>({
  /** Whether the browser was never here: the first visit is worked out on the spot. */
  cold: [false, { option: true }],
  // eslint-disable-next-line no-empty-pattern -- Playwright reads what a fixture needs from this pattern
  server: async ({}, use) => {
    const name = `e2e_${randomUUID().replaceAll('-', '')}`;
    await onAdmin(`create database ${name} template ${TEMPLATE}`);
    const url = new URL(process.env['TEST_DATABASE_URL']!);
    url.pathname = `/${name}`;
    const { start } = (await import(join(root, 'dist/server/index.mjs'))) as { start: typeof Start };
    const boot = (port: number, webRoot = join(root, 'dist/web')) => start({ databaseUrl: url.href, port, webRoot });
    let running: Running | null = await boot(0);
    const at = running.url;
    await use({
      url: at,
      databaseUrl: url.href,
      stop: async () => {
        await running?.stop();
        running = null;
      },
      startAgain: async (webRoot) => {
        running = await boot(Number(new URL(at).port), webRoot);
      },
    });
    await running?.stop();
    await onAdmin(`drop database ${name} with (force)`);
  },
  app: async ({ page, server, cold }, use) => {
    if (!cold) await visitedBefore(page);
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    await use(server);
    await page.close();
    expect(faults, 'errors in the page').toEqual([]);
  },
});
export { expect };

/** Asks the demo for its lightest kit, which reaches every head: for tests whose pieces are those of it. */
export async function askLightest(app: App) {
  const json = async (path: string) => (await fetch(`${app.url}/api/garages${path}`)).json() as Promise<unknown>;
  const { garages } = (await json('')) as { garages: { id: string }[] };
  const { document } = (await json(`/${garages[0]!.id}`)) as { document: GarageDocument };
  for (const trip of document.trips) {
    const response = await fetch(`${app.url}/api/garages/${garages[0]!.id}/trips/${trip.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ revision: 1, row: { ...trip, kit: { ...trip.kit, ask: 'lightest' } } }),
    });
    expect(response.ok, `trip ${trip.name}: ${response.status}`).toBe(true);
  }
}
/** Opens a stage and waits until its figures are worked out. */
export async function open(page: Page, app: App, path = '/walk') {
  await page.goto(app.url + path);
  await settled(page);
}
/** Waits until the readout shows the answer to what is on the screen. */
export async function settled(page: Page) {
  // Two browsers with their workers share two cores: a page that is just opened may wait for its turn.
  await expect(readout(page)).toHaveAttribute('aria-busy', 'false');
}
/** Waits until the packing on Stow is searched to its end. */
export async function packed(page: Page) {
  await settled(page);
  await expect(picture(page)).toHaveAttribute('aria-busy', 'false');
  await settled(page);
}
/** Chooses in a select by what stands in its list; as many letters of it as tell it apart. */
export async function choose(field: Locator, option: string) {
  // By the keyboard: a long list is searched by typing, a short one opens.
  await field.press('ArrowDown');
  if (await field.evaluate((e) => e.closest('.v-autocomplete') !== null)) await field.fill(option);
  const list = field.page().getByRole('listbox').last();
  const exact = list.getByRole('option', { name: option, exact: true });
  await expect(list.getByRole('option').first()).toBeVisible();
  await ((await exact.count()) > 0 ? exact : list.getByRole('option', { name: option })).first().click();
  await expect(list).toBeHidden();
}
export const isPhone = (page: Page) => (page.viewportSize()?.width ?? 0) < 600;

/** A figure of the readout by its name, with the difference that the last change made. On a phone it is folded open first. */
export async function figure(page: Page, label: string): Promise<Locator> {
  await settled(page);
  const fold = readout(page).getByRole('button', { name: /^(?:all|fewer)$/u });
  if (isPhone(page) && (await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
  return readout(page)
    .getByRole('button')
    .filter({ has: page.getByText(label, { exact: true }) });
}
/** What the whole toolbox reaches, as it stands under Match in the rail. */
export async function matched(page: Page): Promise<Locator> {
  await settled(page);
  return page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Match' });
}
const HEADINGS: Record<string, string> = {
  Walk: 'Walk the bike',
  Match: 'What your tools reach',
  Trip: 'What this ride can do to this bike',
  Kit: 'How much kit is enough',
  Stow: 'A place for each item',
  Crew: 'Who carries what',
  Prove: 'What is proven, and what is only planned',
  Road: 'What is wrong?',
};
/** Goes to a stage and waits until it is there: stages are loaded when they are first asked for. */
export async function goTo(page: Page, stage: string) {
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
  await expect(title(page)).toHaveText(HEADINGS[stage]!);
  await settled(page);
}
/** Waits until the crew's kit is shared out. */
export async function sharedOut(page: Page) {
  await expect(picture(page)).toHaveAttribute('aria-busy', 'false');
}
/** Turns Kit to one of its pictures, and its lists to one of their orders. */
export const kitMode = (page: Page, name: string) => page.getByRole('tab', { name }).click();
export const kitBy = (page: Page, name: string) => sheet(page).getByRole('tab', { name }).click();
/** Types a line and keeps it. */
export async function enter(page: Page, line: string) {
  await entry(page).fill(line);
  const asked = await page.getByRole('group', { name: /^What is/ }).count();
  await entry(page).press('Enter');
  // A word that the line does not know is asked about: the first answer is that it belongs to the name.
  if (asked > 0) await page.keyboard.press('Enter');
}
/**
 * axe on this page. Passing nodes are not listed, and the rules run in the page itself, not in a second one that joins what frames say: the
 * app has no frames, and either saves most of the time.
 */
export const axeOn = (page: Page) =>
  new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode(true);

/** Fails with each fault that axe finds on the page as it stands. */
export async function faultless(page: Page, where: string, axe = axeOn(page)) {
  const { violations } = await axe.analyze();
  expect(
    violations.map(
      (v) =>
        `${where}: ${v.id} ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    ),
  ).toEqual([]);
}
