import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { GarageDocument } from '@necessaire/core';
import { expect, faultless, goTo, isPhone, open, settled, test, type App } from './fixtures';
import { importGarage, line, paper, picture, sheet, title, told } from './screen';

const run = (page: Page) => page.getByRole('dialog', { name: /^Repair: /u });
const ways = (page: Page) => page.getByRole('group', { name: 'Methods' }).getByRole('button');
/** The demo's first trip as the server has it. */
async function route(app: App) {
  const json = async (path: string) => (await fetch(`${app.url}/api/garages${path}`)).json() as Promise<unknown>;
  const { garages } = (await json('')) as { garages: { id: string }[] };
  const { document } = (await json(`/${garages[0]!.id}`)) as { document: GarageDocument };
  return document.trips[0]!.route!;
}

test(
  'from what is seen to what it is, and mended step by step into the log, the stock and the watch list',
  { tag: '@everyday' },
  async ({ page, app }) => {
    test.slow();
    await page.clock.install();
    await open(page, app, '/road');
    // People come first.
    await expect(
      page.getByRole('group', { name: 'What you see, hear or smell' }).getByRole('button').first(),
    ).toHaveText('After a fall');
    await faultless(page, 'Road');
    await page.getByRole('searchbox', { name: 'What happened, in a word or two' }).fill('flat');
    await page.getByRole('button', { name: 'A tyre is flat', exact: true }).click();
    await expect(title(page)).toHaveText('A tyre is flat');
    const asked = picture(page).getByRole('heading', { level: 2 });
    const question = (await asked.textContent())!;
    await page.getByRole('button', { name: 'I cannot tell' }).click();
    await expect(asked).not.toHaveText(question);
    await page.getByRole('button', { name: 'Go back one test' }).click();
    await expect(asked).toHaveText(question);
    await faultless(page, 'a search');
    // Answered until one trouble is left, whatever is asked first.
    for (let i = 0; i < 6; i++) {
      const minutes = page.getByRole('button', { name: 'yes, with a tube in it' });
      const no = page.getByRole('group', { name: 'Answers' }).getByRole('button', { name: 'no', exact: true });
      if (await minutes.isVisible()) await minutes.click();
      else if (await no.isVisible()) await no.click();
      else break;
    }
    await page.getByRole('button', { name: 'Puncture, tubed: how to fix it' }).click();
    await expect(title(page)).toHaveText('Puncture, tubed');
    await expect(ways(page).first()).toHaveAttribute('aria-pressed', 'true');
    await expect(ways(page).first()).toContainText('Patch the tube');
    await expect(page.getByRole('main')).toContainText('Props slip');
    await faultless(page, 'how to fix it');
    // In the dark it takes longer.
    const minutesOf = async () => Number(/(\d+) min/u.exec((await ways(page).first().textContent())!)![1]);
    const day = await minutesOf();
    await page.getByRole('checkbox', { name: 'It is dark' }).check();
    expect(await minutesOf()).toBeGreaterThan(day);
    await page.getByRole('checkbox', { name: 'It is dark' }).uncheck();
    await page.getByRole('button', { name: 'Begin, step by step' }).click();
    while ((await run(page).getAttribute('data-state')) === 'running') {
      const at = Number(await run(page).getAttribute('data-step'));
      await page.clock.fastForward(90_000);
      await page.keyboard.press('Space');
      await expect(run(page)).toHaveAttribute('data-step', String(at + 1));
    }
    await run(page)
      .getByRole('checkbox', { name: /^Tube patches/ })
      .check();
    await run(page).getByRole('button', { name: 'Save' }).click();
    await settled(page);
    // Written as it happened: the day, the stock, the watch list.
    await expect(sheet(page)).toContainText('Puncture, tubed');
    await expect(sheet(page)).toContainText('Tube patches');
    // What is left of the trip with what is left in the bag.
    await page.getByRole('button', { name: 'Look ahead' }).click();
    await expect(sheet(page)).toContainText(/\d+\.\d % get home unaided with what is left in the kit/u);
    await expect(sheet(page)).toContainText('Less than was packed');
    await goTo(page, 'Prove');
    await page.getByRole('tab', { name: 'Watch list' }).click();
    await expect(line(page, 'Puncture, tubed')).toContainText('from the road');
  },
);

test('brakes, fuel, heat, packs and injuries stop first with what not to do', async ({ page, app }) => {
  for (const [id, says] of [
    ['brake-line', 'Do not ride while the brakes are in doubt'],
    ['fuel-hose', 'no flame'],
    ['coolant-hose', 'it scalds'],
    ['battery', 'lithium pack'],
    ['injury-serious', 'emergency number'],
  ] as const) {
    await open(page, app, `/road?mend=${id}`);
    await expect(page.getByRole('alert')).toContainText(says);
    await expect(page.getByRole('button', { name: 'Begin, step by step' })).toBeHidden();
    await page.getByRole('button', { name: 'Understood' }).click();
    await expect(page.getByRole('alert')).toBeHidden();
  }
  await page.goto(`${app.url}/road?seek=fallen`);
  await settled(page);
  await expect(page.getByRole('alert')).toContainText('Call the local emergency number');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(picture(page).getByRole('heading', { level: 2 })).toContainText('Is anybody hurt?');
});

test(
  'what is not there has something instead, and what is mended is logged in two presses',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await open(page, app, '/road?mend=puncture-tube');
    await page.getByRole('button', { name: /other methods? that need something this kit does not have/ }).click();
    await ways(page).filter({ hasText: 'Fit a front tube' }).click();
    await expect(page.getByRole('region', { name: 'Missing from your kit' })).toBeVisible();
    await page.getByRole('link', { name: 'Head rounded or seized' }).click();
    await expect(title(page)).toHaveText('Head rounded or seized during a repair');
    await page.getByRole('button', { name: 'Already fixed: log it' }).click();
    await expect(sheet(page)).toContainText('Head rounded or seized');
    await told(page, 'is in the log');
    await page.keyboard.press('Control+z');
    await expect(sheet(page)).toContainText('Nothing happened yet');
  },
);

test('the card says where one is, how far from the last mark, and keeps one’s details on the device', async ({
  page,
  app,
  context,
}) => {
  const points = (await route(app)).points;
  const [lat, lon] = points[Math.floor(points.length / 3)]!;
  await context.grantPermissions(['geolocation']);
  await context.setGeolocation({ latitude: lat, longitude: lon, accuracy: 8 });
  await open(page, app, '/road?seek=hurt');
  await page.getByRole('button', { name: 'Where am I, whom to call' }).click();
  const card = page.getByRole('dialog', { name: 'Where am I, whom to call' });
  await expect(card).toContainText(`${lat.toFixed(5)}, ${lon.toFixed(5)}`);
  await expect(card).toContainText(/\d+ km after \w+/u);
  await expect(card.getByRole('row').nth(1)).toContainText(/km (?:ahead|back)/u);
  await expect(card).toContainText('Light:');
  await expect(card).toContainText('to the reserve');
  await card.getByRole('textbox', { name: /^Blood group/ }).fill('0 negative');
  await card.getByRole('textbox', { name: /^Blood group/ }).press('Tab');
  await faultless(page, 'the card');
  await card.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await settled(page);
  await page.getByRole('button', { name: 'Where am I, whom to call' }).click();
  await expect(card.getByRole('textbox', { name: /^Blood group/ })).toHaveValue('0 negative');
  // Nothing of it is in the garage.
  const { garages } = (await (await fetch(`${app.url}/api/garages`)).json()) as { garages: { id: string }[] };
  const file = await (await fetch(`${app.url}/api/garages/${garages[0]!.id}/file`)).text();
  expect(file).not.toContain('0 negative');
  // Without leave it says so, and what to do.
  await context.clearPermissions();
  await page.reload();
  await settled(page);
  await page.getByRole('button', { name: 'Where am I, whom to call' }).click();
  await expect(card.getByRole('alert')).toContainText(/Allow it in the browser|No position yet/u);
  expect(isPhone(page)).toBe(false);
});

test('own details go into a file or onto paper only where that is ticked, and a file brings them to another device', async ({
  page,
  app,
  browser,
}, info) => {
  await open(page, app, '/road');
  await page.getByRole('button', { name: 'Where am I, whom to call' }).click();
  const card = page.getByRole('dialog', { name: 'Where am I, whom to call' });
  await card.getByRole('textbox', { name: /^Blood group/ }).fill('0 negative');
  await card.getByRole('textbox', { name: /^Who rides with you/ }).fill('Tom Moor, 0100 11');
  await card.getByRole('textbox', { name: /^Who rides with you/ }).press('Tab');
  await card.getByRole('button', { name: 'Close' }).click();
  const exported = async (ticked: boolean) => {
    await page.getByTitle('Garages and settings').click();
    await page.getByRole('menuitem', { name: 'Export as a file' }).click();
    const dialog = page.getByRole('dialog', { name: 'Export the garage' });
    if (ticked) {
      await dialog.getByRole('checkbox').check();
      await expect(dialog).toContainText('Anybody who gets the file can read them');
    }
    await faultless(page, 'what goes into the file');
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('button', { name: 'Export' }).click(),
    ]);
    return readFileSync((await file.path())!, 'utf8');
  };
  const without = await exported(false);
  expect(without).not.toContain('0 negative');
  const ticked = await exported(true);
  expect(ticked).toContain('0 negative');
  const path = info.outputPath('garage.json');
  writeFileSync(path, ticked);
  // On paper likewise.
  await page.goto(`${app.url}/print/card`);
  await expect(paper(page)).toBeVisible();
  await expect(paper(page)).not.toContainText('0 negative');
  await page.getByRole('checkbox', { name: 'With my details for an emergency' }).check();
  await expect(paper(page)).toContainText('0 negative');
  await expect(paper(page)).toContainText('Tom Moor');
  // Another device, where nothing is written yet.
  const other = await browser.newContext({ serviceWorkers: 'block' });
  const there = await other.newPage();
  await open(there, app);
  await importGarage(there, path);
  await told(there, 'its emergency details are on this device');
  await there.goto(`${app.url}/road`);
  await there.getByRole('button', { name: 'Where am I, whom to call' }).click();
  await expect(there.getByRole('textbox', { name: /^Blood group/ })).toHaveValue('0 negative');
  await other.close();
});

test('a fall, a repair, something used, lent or missing, and a check are each written down in two presses', async ({
  page,
  app,
  context,
}) => {
  const [lat, lon] = (await route(app)).points[40]!;
  await context.grantPermissions(['geolocation']);
  await context.setGeolocation({ latitude: lat, longitude: lon, accuracy: 8 });
  await open(page, app, '/road');
  // Where one is, is known from the card on.
  await page.getByRole('button', { name: 'Where am I, whom to call' }).click();
  const card = page.getByRole('dialog', { name: 'Where am I, whom to call' });
  await expect(card).toContainText(lat.toFixed(5));
  await card.getByRole('button', { name: 'Close' }).click();
  const log = page.getByRole('dialog', { name: 'Log something' });
  const openLog = async () => {
    await page.getByRole('button', { name: 'Log something' }).click();
    await expect(log).toBeVisible();
  };
  const day = sheet(page);
  await openLog();
  await faultless(page, 'writing it down');
  await log.getByRole('button', { name: 'A fall', exact: true }).click();
  await expect(log).toBeHidden();
  await expect(day).toContainText(/Fall\s*logged, \d+:\d+.*, -?\d+\.\d{5}, -?\d+\.\d{5}/u);
  await openLog();
  await log.getByRole('button', { name: 'Puncture, tubed fixed: Patch the tube' }).click();
  await told(page, '2 Tube patches off the stock');
  await expect(day).toContainText('Puncture, tubed');
  // The line that says so takes it back by a press.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(day).not.toContainText('Puncture, tubed');
  await told(page, 'Undone: log: Puncture, tubed');
  await openLog();
  await log.getByRole('button', { name: 'Cable ties', exact: true }).click();
  await expect(day).toContainText('Cable ties');
  await openLog();
  await log.getByRole('button', { name: 'Not there' }).click();
  await log.getByRole('searchbox', { name: 'Search' }).fill('Chain breaker');
  await log.getByRole('button', { name: '“Chain breaker”, not in the kit' }).click();
  await expect(day).toContainText(/Chain breaker\s*was missing/u);
  await openLog();
  const check = log.getByRole('region', { name: 'Checked, and in order' }).getByRole('button').first();
  const name = (await check.textContent())!.trim();
  await check.click();
  await told(page, `${name}: checked`);
  // A fall is looked at again.
  await goTo(page, 'Prove');
  await page.getByRole('tab', { name: 'Watch list' }).click();
  await expect(line(page, 'After a fall')).toContainText('Try both brakes');
});

test('in the middle of the steps one sees what would do instead', async ({ page, app }) => {
  await open(page, app, '/road?mend=puncture-tube');
  await page.getByRole('button', { name: 'Begin, step by step' }).click();
  const missing = page.getByRole('button', { name: /^I have not got that/u });
  while (!(await missing.first().isVisible())) {
    const at = Number(await run(page).getAttribute('data-step'));
    await page.keyboard.press('Space');
    await expect(run(page)).toHaveAttribute('data-step', String(at + 1));
  }
  // A phone held across: what is asked for is above the presses, not under them.
  await page.setViewportSize({ width: 844, height: 390 });
  await missing.first().click();
  await expect(
    run(page)
      .getByRole('status')
      .filter({ hasText: /Instead: .+/u }),
  ).toBeVisible();
  await faultless(page, 'what would do instead');
});

test('afterwards: what was used, missed and never touched; accepted in one press, undone in one', async ({
  page,
  app,
}) => {
  await open(page, app, '/road?mend=puncture-tube');
  await page.getByRole('button', { name: 'Already fixed: log it' }).click();
  await settled(page);
  await page.getByRole('link', { name: 'Review the trip' }).click();
  await expect(title(page)).toHaveText('How did it go?');
  const review = page.getByRole('group', { name: 'Review of the trip' });
  await expect(review.getByRole('status')).toContainText(/^\d+ of \d+ items used: /u);
  await expect(review.getByRole('button', { name: 'Hand pump was not used' })).toBeVisible();
  await faultless(page, 'the review');
  // A thing that was not used after all.
  const count = async () => Number(/^(\d+) of/u.exec((await review.getByRole('status').textContent())!)![1]);
  const before = await count();
  await review.getByRole('button', { name: 'Hand pump was not used' }).click();
  expect(await count()).toBe(before - 1);
  await review.getByRole('textbox', { name: 'Something else that was missing' }).fill('Chain breaker');
  await review.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(review).toContainText('Chain breaker');
  // Two reviews of spring and this one: the third trip without a touch.
  const idle = review.getByRole('checkbox', { name: /^Leave Bit T20 at home: .* not used on 3 trips in a row/u });
  await idle.check();
  await review.getByRole('checkbox', { name: /^I rode the trip as planned/u }).check();
  await expect(review.getByRole('row', { name: /Puncture, tubed/u }).last()).toContainText(
    /1\s*× \d\.\d\d\s*× \d\.\d\d/u,
  );
  await review.getByRole('button', { name: 'Save review, 2 changes' }).click();
  await expect(review.getByRole('status')).toHaveText(
    'Saved. 1 item stays at home; distance added to ride log and odometer.',
  );
  await settled(page);
  await faultless(page, 'a saved review');
  await goTo(page, 'Kit');
  await expect(page.getByRole('main')).not.toContainText('Bit T20');
  await page.goBack();
  await settled(page);
  await expect(review).toContainText('Reviews of this bike');
  await page.keyboard.press('Control+z');
  await told(page, 'Undone: review of the trip');
  await settled(page);
  await goTo(page, 'Kit');
  await expect(page.getByRole('main')).toContainText('Bit T20');
});
