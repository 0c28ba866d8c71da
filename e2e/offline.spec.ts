import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { GarageDocument } from '@necessaire/core';
import { enter, expect, goTo, open, settled, test, type App } from './fixtures';
import { row, saved, told } from './screen';

test.use({ serviceWorkers: 'allow' });
const root = join(import.meta.dirname ?? __dirname, '..');

/** Waits until all that the program is made of lies in the browser, and the garage with it. */
async function allHere(page: Page) {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const asked = indexedDB.open('necessaire-garages');
            asked.onsuccess = () => {
              const count = asked.result.transaction('garages').objectStore('garages').count();
              count.onsuccess = () => {
                asked.result.close();
                resolve(count.result);
              };
            };
            asked.onerror = () => resolve(0);
          }),
      ),
    )
    .toBeGreaterThan(0);
}
/** Edits that lie in this browser and are not at the server. */
const inOutbox = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const asked = indexedDB.open('necessaire-outbox');
        asked.onsuccess = () => {
          const count = asked.result.transaction('edits').objectStore('edits').count();
          count.onsuccess = () => {
            asked.result.close();
            resolve(count.result);
          };
        };
      }),
  );
/** Fasteners of a name at the server. */
async function atServer(app: App, name: string): Promise<number> {
  const json = async (path: string) => (await fetch(`${app.url}/api/garages${path}`)).json() as Promise<unknown>;
  const { garages } = (await json('')) as { garages: { id: string }[] };
  const { document } = (await json(`/${garages[0]!.id}`)) as { document: GarageDocument };
  return document.fasteners.filter((f) => f.name === name).length;
}

test(
  'after one visit all stages open and compute without a server, from a cold start, and all is sent once',
  { tag: '@everyday' },
  async ({ page, app, context }) => {
    test.slow();
    await open(page, app);
    await allHere(page);
    await page.close();
    await app.stop();
    await context.setOffline(true);
    const cold = await context.newPage();
    await open(cold, app, '/walk');
    await enter(cold, '13 far bolt');
    await expect(row(cold, 'Far bolt')).toBeVisible();
    await expect(saved(cold)).toHaveText('On this device, not sent');
    for (const stage of ['Match', 'Trip', 'Kit', 'Stow', 'Crew', 'Prove']) await goTo(cold, stage);
    // A drill begun without a network is there after the page went away.
    await cold
      .getByRole('list', { name: 'Problems by the hours at risk' })
      .getByRole('button', { name: 'Battery flat' })
      .click();
    await cold.getByRole('button', { name: /^Begin/ }).click();
    await cold.keyboard.press('Space');
    await expect(cold.getByRole('dialog', { name: /^Drill: /u })).toHaveAttribute('data-step', '1');
    // The bolt, the drill and its first step lie in the browser.
    await expect.poll(() => inOutbox(cold)).toBe(3);
    cold.on('dialog', (d) => void d.accept());
    await cold.close();
    const again = await context.newPage();
    await open(again, app, '/prove');
    await told(again, 'Battery flat, step 2');
    await goTo(again, 'Walk');
    await expect(row(again, 'Far bolt')).toBeVisible();
    // Two pages, and the server comes back under both.
    const second = await context.newPage();
    await open(second, app, '/walk');
    await app.startAgain();
    await context.setOffline(false);
    await expect(saved(again)).toHaveText('Saved');
    await expect(saved(second)).toHaveText('Saved');
    expect(await atServer(app, 'Far bolt')).toBe(1);
  },
);

test('what changed elsewhere while one was away is there once the server is', async ({ page, app, context }) => {
  await open(page, app);
  await allHere(page);
  await page.close();
  await context.setOffline(true);
  const away = await context.newPage();
  await open(away, app, '/walk');
  await expect(row(away, 'Elsewhere')).toHaveCount(0);
  // Somebody else writes meanwhile.
  const list = (await (await fetch(`${app.url}/api/garages`)).json()) as { garages: { id: string }[] };
  const id = list.garages[0]!.id;
  const { document } = (await (await fetch(`${app.url}/api/garages/${id}`)).json()) as { document: GarageDocument };
  const theirs = { ...document.fasteners[0]!, id: '99999999-0000-4000-8000-000000000001', name: 'Elsewhere' };
  const made = await fetch(`${app.url}/api/garages/${id}/fasteners/${theirs.id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ revision: 0, row: theirs }),
  });
  expect(made.ok).toBe(true);
  await context.setOffline(false);
  await expect(row(away, 'Elsewhere')).toBeVisible({ timeout: 60_000 });
});

test('two phones and a laptop days away, one with its clock off by a year: all of it arrives once, and the same field is asked about', async ({
  page,
  app,
  browser,
}) => {
  test.slow();
  const YEAR = 365 * 86_400_000;
  const clocks = [0, -YEAR, 3 * 86_400_000];
  const NAMES = ['Far', 'Near', 'Odd'];
  await page.close();
  const contexts = await Promise.all(clocks.map(() => browser.newContext({ serviceWorkers: 'allow' })));
  const away: Page[] = [];
  for (const [i, context] of contexts.entries()) {
    const first = await context.newPage();
    await open(first, app);
    await allHere(first);
    await first.close();
    await context.setOffline(true);
    const cold = await context.newPage();
    await cold.clock.setSystemTime(Date.now() + clocks[i]!);
    await open(cold, app, '/walk');
    away.push(cold);
  }
  const factor = (p: Page) => p.getByRole('textbox', { name: 'Maintenance factor' });
  for (const [i, p] of away.entries()) {
    for (const size of [13, 14, 17]) await enter(p, `${size} ${NAMES[i]} bolt`);
    await expect(row(p, `${NAMES[i]} bolt`)).toHaveCount(3);
    await expect(saved(p)).toHaveText('On this device, not sent');
    // Each of them says something else about the same.
    await goTo(p, 'Trip');
    await factor(p).fill(String(1 + (i + 1) / 10));
    await factor(p).press('Tab');
  }
  // They come back one after another; the one in the middle is killed while it sends.
  for (const [i, context] of contexts.entries()) {
    await context.setOffline(false);
    if (i === 1) {
      await away[1]!.close();
      away[1] = await context.newPage();
      await open(away[1]!, app, '/trip');
    }
    await away[i]!.evaluate(() => window.dispatchEvent(new Event('online')));
    if (i === 0) await expect(saved(away[0]!)).toHaveText('Saved');
    else await expect(away[i]!.getByRole('dialog')).toContainText('changed in another window');
  }
  for (const name of NAMES) expect([name, await atServer(app, `${name} bolt`)]).toEqual([name, 3]);
  for (const context of contexts) await context.close();
});

test('a garage and edits that an older version left in the browser are read as it meant them', async ({
  page,
  app,
  context,
}) => {
  await open(page, app);
  await allHere(page);
  // As version 9 left them: no day of leaving, none of the tables that came later, and a trip that was not sent yet.
  await page.evaluate(async () => {
    const opened = (name: string) =>
      new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open(name);
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(new Error('no database'));
      });
    const done = (r: IDBRequest) =>
      new Promise<unknown>((resolve, reject) => {
        r.onsuccess = () => resolve(r.result);
        r.onerror = () => reject(new Error('not done'));
      });
    const garages = await opened('necessaire-garages');
    const at = garages.transaction('garages').objectStore('garages');
    const [key] = (await done(at.getAllKeys())) as string[];
    const kept = (await done(garages.transaction('garages').objectStore('garages').get(key!))) as {
      file: string;
      build?: string;
    };
    const file = JSON.parse(kept.file) as Record<string, unknown> & {
      trips: Record<string, unknown>[];
      garage: Record<string, unknown>;
    };
    for (const table of ['drills', 'checks', 'reminders', 'watches', 'memories', 'happened', 'reviews'])
      delete file[table];
    for (const trip of file.trips) delete trip['leaves'];
    delete file.garage['gauge'];
    delete kept.build;
    const old = { ...kept, file: JSON.stringify({ ...file, version: 9 }) };
    await done(garages.transaction('garages', 'readwrite').objectStore('garages').put(old, key));
    garages.close();
    const outbox = await opened('necessaire-outbox');
    const trip = {
      ...file.trips[0],
      id: '77777777-0000-4000-8000-000000000001',
      name: 'Left by version 9',
      route: null,
    };
    const edit = {
      id: '77777777-0000-4000-8000-000000000002',
      label: 'add a trip',
      changes: [{ kind: 'make', table: 'trips', id: trip.id, row: trip }],
    };
    const lying = { garage: key, at: 1, entry: { edit, state: 'unsent' }, version: 9 };
    await done(outbox.transaction('edits', 'readwrite').objectStore('edits').put(lying));
    outbox.close();
  });
  await page.close();
  await context.setOffline(true);
  const cold = await context.newPage();
  await open(cold, app, '/trip');
  await expect(saved(cold)).toHaveText('On this device, not sent');
  await cold.getByRole('button', { name: 'nine days on the Ossel plateau' }).click();
  await expect(cold.getByRole('menuitem', { name: 'Left by version 9' })).toBeVisible();
  await cold.keyboard.press('Escape');
  await context.setOffline(false);
  await expect(saved(cold)).toHaveText('Saved');
  const { garages } = (await (await fetch(`${app.url}/api/garages`)).json()) as { garages: { id: string }[] };
  const { document } = (await (await fetch(`${app.url}/api/garages/${garages[0]!.id}`)).json()) as {
    document: GarageDocument;
  };
  expect(document.trips.filter((t) => t.name === 'Left by version 9')).toEqual([
    expect.objectContaining({ leaves: null }),
  ]);
});

for (const [title, deaf] of [
  ['a new version is offered, never forced, and what is unsent outlives it', false],
  ['a new version whose worker never hears is loaded from the server', true],
] as const)
  test(title, async ({ page, app }) => {
    test.slow();
    await open(page, app);
    await allHere(page);
    const newer = mkdtempSync(join(tmpdir(), 'necessaire-newer-'));
    try {
      cpSync(join(root, 'dist/web'), newer, { recursive: true });
      const index = join(newer, 'index.html');
      writeFileSync(
        index,
        readFileSync(index, 'utf8').replace('</title>', '</title><meta name="newer" content="yes">'),
      );
      const worker = join(newer, 'sw.js');
      const text = readFileSync(worker, 'utf8');
      const changed = text.replace(
        /("?url"?:\s*"index\.html",\s*"?revision"?:\s*")[0-9a-f]+|("?revision"?:\s*")[0-9a-f]+(",\s*"?url"?:\s*"index\.html")/u,
        (_all, a: string, b: string, c: string) => (a ? `${a}0000newer` : `${b}0000newer${c}`),
      );
      expect(changed).not.toBe(text);
      const silent = changed.replace('SKIP_WAITING', 'NEVER_SAID');
      expect(silent).not.toBe(changed);
      writeFileSync(worker, deaf ? silent : changed);
      await app.stop();
      await enter(page, '13 unsent bolt');
      await expect(saved(page)).toHaveText('On this device, not sent');
      await app.startAgain(newer);
      await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
      const offer = page.getByText('A new version of Necessaire is ready.');
      await expect(offer).toBeVisible({ timeout: 40_000 });
      expect(await page.locator('meta[name="newer"]').count()).toBe(0);
      page.on('dialog', (d) => void d.accept());
      await page.getByRole('button', { name: 'Load it' }).click();
      // How the workers stand is said with it: a page that is not loaded anew says why.
      await expect(async () => {
        const seen = await page.evaluate(async () => {
          const registration = await navigator.serviceWorker.getRegistration();
          return {
            newer: document.querySelectorAll('meta[name="newer"]').length,
            waiting: registration?.waiting?.state,
            active: registration?.active?.state,
            controls: navigator.serviceWorker.controller === registration?.active,
            since: Math.round(performance.now()),
          };
        });
        expect(seen).toMatchObject({ newer: 1 });
      }).toPass({ timeout: 60_000 });
      await settled(page);
      await expect(row(page, 'Unsent bolt')).toBeVisible();
      await expect(saved(page)).toHaveText('Saved');
      expect(await atServer(app, 'Unsent bolt')).toBe(1);
    } finally {
      rmSync(newer, { recursive: true });
    }
  });

test('it can be put on a home screen: name, icons, and where it begins', async ({ page, app }) => {
  await open(page, app);
  const href = await page.locator('link[rel="manifest"]').getAttribute('href');
  const manifest = (await (await page.request.get(new URL(href!, app.url).href)).json()) as {
    name: string;
    display: string;
    icons: { src: string; sizes: string; purpose?: string }[];
  };
  expect([manifest.name, manifest.display]).toEqual(['Necessaire', 'standalone']);
  expect(manifest.icons.some((i) => i.purpose === 'maskable')).toBe(true);
  for (const icon of manifest.icons) {
    const size = await page.evaluate(async (src) => {
      const image = new Image();
      image.src = src;
      await image.decode();
      return `${image.naturalWidth}x${image.naturalHeight}`;
    }, icon.src);
    expect(size).toBe(icon.sizes);
  }
});
