import { connect, createServer, type Server, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';
import type { Browser, Page } from '@playwright/test';
import { axeOn, enter, expect, open, settled, test, type App } from './fixtures';
import { stored } from './survey';
import { entry, row, saved, search, told } from './screen';

/** A line to the server that can be cut, or lose what comes back. */
class Line {
  private readonly sockets = new Set<Socket>();
  private cut = false;
  private deaf = false;
  private constructor(
    private readonly server: Server,
    readonly url: string,
  ) {}

  static async to(app: App): Promise<Line> {
    const target = Number(new URL(app.url).port);
    const server = createServer();
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const line = new Line(server, `http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    server.on('connection', (near) => {
      if (line.cut) {
        near.destroy();
        return;
      }
      const far = connect(target, '127.0.0.1');
      for (const s of [near, far]) {
        line.sockets.add(s);
        s.on('error', () => s.destroy());
        s.on('close', () => {
          line.sockets.delete(s);
          (s === near ? far : near).destroy();
        });
      }
      near.on('data', (d) => far.write(d));
      far.on('data', (d) => {
        if (!line.deaf) near.write(d);
      });
    });
    return line;
  }
  /** Nothing comes through any more. */
  break() {
    this.cut = true;
    for (const s of this.sockets) s.destroy();
  }
  mend() {
    this.cut = false;
    this.deaf = false;
  }
  /** What is sent arrives, what is answered does not. */
  loseAnswers() {
    this.deaf = true;
  }
  /** Cuts what is open; new connections come through and are answered. */
  hangUp() {
    this.deaf = false;
    for (const s of this.sockets) s.destroy();
  }
  async close() {
    this.break();
    await new Promise((resolve) => this.server.close(resolve));
  }
}

async function device(browser: Browser, url: string, path = '/walk'): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(url + path);
  await settled(page);
  return page;
}
/** Corrects a row in the line. */
async function correct(page: Page, name: string, line: string) {
  await row(page, name).click();
  await entry(page).fill(line);
  await entry(page).press('Enter');
}
const namesAt = async (page: Page, app: App) => (await stored(page, app)).fasteners.map((f) => f.name);

test(
  'another device shows an edit at once, and what is being typed there stays',
  { tag: '@everyday' },
  async ({ page, app, browser }) => {
    await open(page, app);
    const other = await device(browser, app.url);
    await entry(other).fill('13 half a l');
    await enter(page, '13 right bolt');
    await expect(row(other, 'Right bolt')).toBeVisible();
    await expect(entry(other)).toHaveValue('13 half a l');
    await expect(entry(other)).toBeFocused();
    // And back: the row is corrected there, with what was typed here untouched.
    await entry(page).fill('10 mine');
    await correct(other, 'Right bolt', '14 Right bolt');
    await expect(row(page, 'Right bolt')).toContainText('14');
    await expect(entry(page)).toHaveValue('10 mine');
    await other.context().close();
  },
);

test('what two pages type while the server is away is all there when they come back, once, also after they were closed', async ({
  page,
  app,
  context,
}) => {
  const line = await Line.to(app);
  await page.goto(`${line.url}/walk`);
  await settled(page);
  const second = await context.newPage();
  await second.goto(`${line.url}/walk`);
  await settled(second);
  line.break();
  await enter(page, '13 first bolt');
  await enter(second, '10 second bolt');
  await enter(page, '12 third bolt');
  // Pages of one browser see each other's edits without any server.
  await expect(row(second, 'Third bolt')).toBeVisible();
  await expect(row(page, 'Second bolt')).toBeVisible();
  await expect(saved(page)).toHaveText('On this device, not sent');
  await second.close();
  await page.goto('about:blank');
  line.mend();
  await page.goto(`${line.url}/walk`);
  await expect(saved(page)).toHaveText('Saved');
  const names = await namesAt(page, app);
  for (const name of ['First bolt', 'Second bolt', 'Third bolt'])
    expect(names.filter((n) => n === name)).toEqual([name]);
  await line.close();
});

test(
  'a first visit whose server goes away before the program is all there says what is lacking, and answers once it is back',
  { tag: '@everyday' },
  async ({ page, app }) => {
    let away = true;
    await page.route('**/*.wasm', (route) => (away ? route.abort('connectionfailed') : route.continue()));
    const lacking = page.getByRole('alert').filter({ hasText: 'the server did not answer' });
    await page.goto(`${app.url}/walk`);
    await enter(page, '13 first bolt');
    await expect(lacking).toBeVisible();
    await settled(page);
    // It can be read at night as well.
    await page.emulateMedia({ colorScheme: 'dark' });
    const hard = (await axeOn(page).withRules(['color-contrast']).include('[role=alert]').analyze()).violations;
    expect(hard.map((v) => v.id)).toEqual([]);
    away = false;
    // The browser notices that it was off, as on a pass without a network.
    await page.context().setOffline(true);
    await page.context().setOffline(false);
    await expect(lacking).toHaveCount(0);
    await settled(page);
  },
);

test('unsent edits keep what they were made on: after a closed page too, the same field is asked about and others are joined', async ({
  page,
  app,
  browser,
}) => {
  const line = await Line.to(app);
  await page.goto(`${line.url}/walk`);
  await settled(page);
  await enter(page, '13 stay bolt');
  await enter(page, '12 guard bolt');
  await expect(saved(page)).toHaveText('Saved');
  const other = await device(browser, app.url);
  line.break();
  await correct(page, 'Stay bolt', '14 Stay bolt');
  await correct(page, 'Guard bolt', '12 Guard bolt 22nm');
  await expect(saved(page)).toHaveText('On this device, not sent');
  await page.goto('about:blank');
  await correct(other, 'Stay bolt', '15 Stay bolt');
  await correct(other, 'Guard bolt', '12 Guard bolt x3');
  await expect(saved(other)).toHaveText('Saved');
  line.mend();
  await page.goto(`${line.url}/walk`);
  const asked = page.getByRole('alertdialog');
  await expect(asked).toContainText('Stay bolt: changed in another window');
  await expect(asked.getByRole('row').nth(1)).toContainText('hex 14');
  await expect(asked.getByRole('row').nth(1)).toContainText('hex 15');
  await expect(asked).not.toContainText('{');
  await asked.getByRole('button', { name: 'Keep mine' }).click();
  await expect(saved(page)).toHaveText('Saved');
  const at = async (name: string) => (await stored(page, app)).fasteners.find((f) => f.name === name)!;
  expect((await at('Stay bolt')).head.size).toBe('14');
  expect(await at('Guard bolt')).toMatchObject({ count: 3, torque: { value: 22 } });
  await other.context().close();
  await line.close();
});

test('an answer lost on the way back makes no second row and asks nobody about himself', async ({ page, app }) => {
  const line = await Line.to(app);
  await page.goto(`${line.url}/walk`);
  await settled(page);
  line.loseAnswers();
  await enter(page, '13 inner bolt');
  // It has arrived; the page does not know.
  await expect
    .poll(async () => {
      const { garages } = (await (await fetch(`${app.url}/api/garages`)).json()) as { garages: { id: string }[] };
      const { document } = (await (await fetch(`${app.url}/api/garages/${garages[0]!.id}`)).json()) as {
        document: { fasteners: { name: string }[] };
      };
      return document.fasteners.some((f) => f.name === 'Inner bolt');
    })
    .toBe(true);
  await correct(page, 'Inner bolt', '14 Inner bolt');
  line.hangUp();
  await expect(saved(page)).toHaveText('Saved');
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
  const mine = (await stored(page, app)).fasteners.filter((f) => f.name === 'Inner bolt');
  expect(mine.map((f) => f.head.size)).toEqual(['14']);
  await line.close();
});

test('a fastener typed on a bike that was deleted elsewhere lies in the tray, holds up nothing, and goes to another bike', async ({
  page,
  app,
  browser,
}) => {
  const line = await Line.to(app);
  await page.goto(`${line.url}/walk`);
  await settled(page);
  const other = await device(browser, app.url);
  line.break();
  await enter(page, '13 single bolt');
  await expect(saved(page)).toHaveText('On this device, not sent');
  await other.getByTitle('Choose the bike').click();
  await other.getByRole('menuitem', { name: 'Change this bike' }).click();
  await other.getByRole('dialog').getByRole('button', { name: 'Delete bike' }).click();
  await expect(saved(other)).toHaveText('Saved');
  line.mend();
  const alert = page.getByRole('alert').filter({ hasText: 'could not be saved' });
  await expect(alert).toContainText('its bike is not in this garage');
  // The page is on the other bike now, and what is typed there is saved.
  await expect(page.getByTitle('Choose the bike')).toHaveText('Carrack 1100');
  await enter(page, '10 upper bolt');
  await expect(row(page, 'Upper bolt')).toBeVisible();
  await expect(saved(page)).toHaveText('Saved');
  await alert.getByRole('button', { name: 'Show' }).click();
  const tray = page.getByRole('dialog', { name: 'Not saved' });
  await expect(tray).toContainText('add Single bolt');
  await expect(tray).toContainText('head: hex 13');
  await tray.getByRole('button', { name: 'Put on another bike' }).click();
  await page.getByText('Carrack 1100', { exact: true }).last().click();
  await expect(tray).toContainText('Nothing is left to save');
  await tray.getByRole('button', { name: 'Close' }).click();
  await expect(row(page, 'Single bolt')).toBeVisible();
  expect((await stored(page, app)).fasteners.map((f) => f.name)).toEqual(
    expect.arrayContaining(['Single bolt', 'Upper bolt']),
  );
  await other.context().close();
  await line.close();
});

test('a sign-in page that answers everything is said to be one, and not asked without pause', async ({ page, app }) => {
  await open(page, app);
  let asked = 0;
  await page.route('**/api/garages/*/edits', (route) => {
    asked++;
    return route.fulfill({ status: 200, contentType: 'text/html', body: '<h1>Welcome to the hotel</h1>' });
  });
  await enter(page, '13 lower bolt');
  await expect(page.getByRole('alert')).toContainText('such as a sign-in page');
  await expect(saved(page)).toHaveText('On this device, not sent');
  // The pauses grow: half a second, one, two, four.
  await expect.poll(() => asked).toBeGreaterThanOrEqual(3);
  expect(asked).toBeLessThanOrEqual(4);
  await page.unroute('**/api/garages/*/edits');
  await expect(saved(page)).toHaveText('Saved');
  await expect(page.getByRole('alert')).toHaveCount(0);
  expect(await namesAt(page, app)).toContain('Lower bolt');
});

test('a browser that is full says at once that it stores nothing, and the edit still goes out', async ({
  page,
  app,
}) => {
  const line = await Line.to(app);
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.goto(`${line.url}/walk`);
  await settled(page);
  line.break();
  await enter(page, '13 double bolt');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot store unsent changes' })).toContainText(
    'Leave this page open',
  );
  line.mend();
  await expect(saved(page)).toHaveText('Saved');
  await expect(page.getByRole('alert')).toHaveCount(0);
  expect(await namesAt(page, app)).toContain('Double bolt');
  await line.close();
});

test('undo takes back one’s own change only, and says when somebody else changed the same', async ({
  page,
  app,
  browser,
}) => {
  await open(page, app);
  await enter(page, '13 main bolt');
  await expect(saved(page)).toHaveText('Saved');
  const other = await device(browser, app.url);
  const change = async (p: Page, text: string) => {
    await correct(p, 'Main bolt', text);
    await expect(saved(p)).toHaveText('Saved');
  };
  await change(page, '14 Main bolt');
  await expect(row(other, 'Main bolt')).toContainText('14');
  await change(other, '14 Main bolt x3');
  await expect(row(page, 'Main bolt')).toContainText('×3');
  await entry(page).blur();
  await page.keyboard.press('Control+z');
  await expect(row(page, 'Main bolt')).toContainText('13');
  await expect(row(page, 'Main bolt')).toContainText('×3');
  // The row that was made here was changed by another since: it is not taken away.
  await page.keyboard.press('Control+z');
  await told(page, 'Main bolt was changed in another window since');
  await expect(row(page, 'Main bolt')).toBeVisible();
  await other.context().close();
});

test('a part of the page that cannot be fetched beforehand is no fault, and is fetched when it is asked for', async ({
  page,
  app,
}) => {
  const refused = page.waitForEvent('requestfailed', (r) => r.url().includes('CommandBox'));
  await page.route(/CommandBox/, (route) => route.abort());
  await open(page, app);
  await refused;
  await page.unroute(/CommandBox/);
  await page.keyboard.press('Control+k');
  await expect(search(page)).toBeFocused();
});

test('a stage that cannot be fetched while the server is away says so, and opens whole when it is back', async ({
  page,
  app,
}) => {
  await open(page, app);
  await app.stop();
  const rail = page.getByRole('navigation', { name: 'Stages' });
  await rail.getByRole('link', { name: 'Trip' }).click();
  await expect(page.getByText('This page could not be loaded')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Walk the bike' })).toBeVisible();
  await app.startAgain();
  await rail.getByRole('link', { name: 'Trip' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /What this ride can do/ })).toBeVisible();
  await settled(page);
});
