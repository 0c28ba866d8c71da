import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import {
  choose,
  askLightest,
  enter,
  expect,
  figure,
  goTo,
  kitBy,
  kitMode,
  matched,
  open,
  packed,
  settled,
  test,
} from './fixtures';
import {
  entry,
  head,
  importGarage,
  item,
  place,
  placeMark,
  row,
  rows,
  saved,
  sheet,
  told,
  tool,
  toolEntry,
} from './screen';

test.beforeEach(({ app }) => askLightest(app));

const root = join(import.meta.dirname ?? __dirname, '..');

test('screen and command line give the same kit', async ({ page, app }, info) => {
  await open(page, app, '/kit');
  await page.getByTitle('Garages and settings').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export as a file' }).click(),
  ]);
  const file = info.outputPath('garage.json');
  await download.saveAs(file);
  const cli = JSON.parse(
    execFileSync(process.execPath, [join(root, 'cli/bin/necessaire.mjs'), 'kit', file, '--json'], { encoding: 'utf8' }),
  );
  await expect(await figure(page, 'Kit')).toContainText((cli.mass / 1000).toFixed(2));
  await expect(await matched(page)).toContainText(`${cli.reached}/${cli.chosen}`);
  await expect(await figure(page, 'Gets home unaided')).toContainText((cli.home * 100).toFixed(1));
  await kitBy(page, 'By item');
  const whys = sheet(page).getByRole('button', { name: /^Why /u });
  const names = await whys.evaluateAll((all) => all.map((e) => e.getAttribute('aria-label')!.replace(/^Why /u, '')));
  expect(names.sort()).toEqual([...cli.tools, ...cli.spares].map((t: { name: string }) => t.name).sort());
  await goTo(page, 'Stow');
  await packed(page);
  for (const { item, place: where } of cli.places.slice(0, 12))
    await expect(place(page, where).getByRole('listitem').filter({ hasText: item }).first()).toBeVisible();
  // And the file comes back byte for byte.
  await importGarage(page, file);
  await told(page, 'imported as a garage of its own');
  await settled(page);
  await page.getByTitle('Garages and settings').click();
  const [again] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export as a file' }).click(),
  ]);
  expect(readFileSync((await again.path())!, 'utf8')).toBe(readFileSync(file, 'utf8'));
});

test('a hostile file changes nothing and says why', async ({ page, app }, info) => {
  await open(page, app);
  const file = info.outputPath('bad.json');
  for (const [text, why] of [
    ['{"format":"necessaire-garage"', 'cut short'],
    ['{"type":"FeatureCollection"}', 'no Necessaire garage'],
    ['{"format":"necessaire-garage","version":1,"garage":{"name":"x"}}', 'garage.practice: is missing'],
  ] as const) {
    writeFileSync(file, text);
    await importGarage(page, file);
    await expect(page.getByRole('alertdialog')).toContainText('That did not work. Nothing was changed.');
    await expect(page.getByRole('alertdialog')).toContainText(why);
    await page.getByRole('alertdialog').getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('alertdialog')).toHaveCount(0);
  }
  await expect(await matched(page)).toContainText('72/73');
});

test(
  'two devices: different fields are joined, the same field is asked about',
  { tag: '@everyday' },
  async ({ page, app, context, browser }) => {
    await open(page, app, '/match');
    const other = await (await browser.newContext()).newPage();
    await open(other, app, '/match');
    for (const p of [page, other]) {
      await p.getByRole('tab', { name: /Toolbox/ }).click();
      await toolEntry(p).fill('combination spanner 27');
      await tool(p, 'Combination spanner 27').click();
    }
    const mass = (p: typeof page) => p.getByLabel('Mass (g)');
    const setMass = async (p: typeof page, value: string) => {
      await mass(p).fill(value);
      await mass(p).blur();
      await expect(saved(p)).not.toHaveText('Saving…');
    };
    await setMass(page, '390');
    await expect(saved(page)).toHaveText('Saved');
    // Both see each other's edits as they come.
    await expect(mass(other)).toHaveValue('390');
    await choose(other.getByLabel('In the kit'), 'always');
    await expect(saved(other)).toHaveText('Saved');
    await expect(page.getByLabel('In the kit')).toHaveValue('always');
    // Now both change the same field, one of them without a network.
    await context.setOffline(true);
    await setMass(page, '370');
    await expect(saved(page)).toHaveText('On this device, not sent');
    await setMass(other, '380');
    await expect(saved(other)).toHaveText('Saved');
    await context.setOffline(false);
    const asked = page.getByRole('alertdialog');
    await expect(asked).toContainText('Combination spanner 27: changed in another window');
    await expect(asked.getByRole('row')).toHaveText(['WhatYoursTheirs', 'mass370 g380 g']);
    await asked.getByRole('button', { name: 'Take theirs' }).click();
    await expect(mass(page)).toHaveValue('380');
    await expect(saved(page)).toHaveText('Saved');
    await other.context().close();
  },
);

test('the garage’s own fields are joined too: a name here, a practice there', async ({
  page,
  app,
  context,
  browser,
}) => {
  await open(page, app, '/kit');
  const other = await (await browser.newContext()).newPage();
  await open(other, app, '/kit');
  await kitMode(page, 'Preferences');
  await kitMode(other, 'Preferences');
  await page.getByTitle('Garages and settings').click();
  await page.getByRole('menuitem', { name: 'Rename this garage' }).click();
  await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('Ossel shed');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(saved(page)).toHaveText('Saved');
  await context.setOffline(true);
  await choose(other.getByLabel('Standing on a tool'), 'never');
  await expect(saved(other)).toHaveText('Saved');
  await expect(other.getByTitle('Garages and settings')).toHaveText('Ossel shed');
  await choose(page.getByLabel('Standing on a tool'), 'ratchet too');
  await context.setOffline(false);
  await expect(page.getByRole('alertdialog')).toContainText('never');
  await page.getByRole('alertdialog').getByRole('button', { name: 'Keep mine' }).click();
  await expect(saved(page)).toHaveText('Saved');
  await other.reload();
  await settled(other);
  await kitMode(other, 'Preferences');
  await expect(other.getByLabel('Standing on a tool')).toHaveValue('ratchet too');
  await other.context().close();
});

test('a server that is away loses nothing that was typed', async ({ page, app }) => {
  await open(page, app);
  await app.stop();
  await enter(page, '13 outer bolt');
  await expect(saved(page)).toHaveText('On this device, not sent');
  await expect(page.getByRole('alert')).toContainText('Your changes are stored here and will be sent when it is back');
  await expect(row(page, 'Outer bolt')).toBeVisible();
  await app.startAgain();
  await expect(saved(page)).toHaveText('Saved');
  await page.reload();
  await settled(page);
  await expect(row(page, 'Outer bolt')).toBeVisible();
});

test('what was typed while the server was away survives closing the page', async ({ page, app }) => {
  await open(page, app);
  await app.stop();
  await enter(page, '13 spare bolt');
  await expect(saved(page)).toHaveText('On this device, not sent');
  page.on('dialog', (d) => void d.accept());
  await page.goto('about:blank');
  await app.startAgain();
  await open(page, app);
  await expect(row(page, 'Spare bolt')).toBeVisible();
  await expect(saved(page)).toHaveText('Saved');
});

/** Drags as a hand does: takes hold, moves over until it is said what that would do, lets go. */
async function drag(page: Page, from: Locator, to: Locator, says: RegExp) {
  await from.scrollIntoViewIfNeeded();
  await from.hover();
  await page.mouse.down();
  const start = (await from.boundingBox())!;
  await page.mouse.move(start.x + 20, start.y + 8, { steps: 3 });
  // The browser begins its own dragging with the first moves; only then is a place under it told.
  await expect(async () => {
    await page.mouse.move(start.x + 20, start.y + 8);
    await to.hover();
    await expect(head(page)).toContainText(says, { timeout: 1000 });
  }).toPass();
  await page.mouse.up();
}

test('a piece is dragged to another place, in the sheet and on the drawing', async ({ page, app }) => {
  await open(page, app, '/stow');
  const socket = item(page, 'Socket ½ in, 24');
  const lies = (where: string) => place(page, where).getByRole('listitem').filter({ hasText: 'Socket ½ in, 24' });
  await drag(page, socket.getByRole('button').first(), placeMark(page, 'Tail bag'), /If Socket ½ in, 24 in tail bag/u);
  await expect(lies('Tail bag')).toContainText('placed by you');
  const tube = place(page, 'Tool tube on the frame');
  await socket.scrollIntoViewIfNeeded();
  await drag(page, socket.getByRole('button').first(), tube.getByRole('heading'), /If Socket ½ in, 24 in tool tube/u);
  await expect(lies('Tool tube on the frame')).toContainText('placed by you');
});

test('a bike and a place are changed, deleted with what hangs on them, and brought back', async ({ page, app }) => {
  await open(page, app);
  await page.getByTitle('Choose the bike').click();
  await page.getByRole('menuitem', { name: 'Change this bike' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Front tyre').fill('round');
  await dialog.getByLabel('Front tyre').blur();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Write a tyre as on its side');
  await dialog.getByRole('button', { name: 'Delete bike' }).click();
  await expect(page.getByTitle('Choose the bike')).toHaveText('Carrack 1100');
  await expect(saved(page)).toHaveText('Saved');
  await page.keyboard.press('Control+z');
  await expect(page.getByTitle('Choose the bike')).toHaveText('Quarrel 450');
  await expect(await matched(page)).toContainText('72/73');
  await expect(saved(page)).toHaveText('Saved');
  await page.reload();
  await settled(page);
  await expect(rows(page)).toHaveCount(76);
});

test('the page stays alive while it computes, and the last of many changes wins', async ({ page, app }) => {
  await open(page, app);
  // A frame counter runs on the page's thread: were it blocked, frames would be missing.
  await page.evaluate(() => {
    const state = window as unknown as { worst: number };
    state.worst = 0;
    let last = performance.now();
    const tick = (now: number) => {
      state.worst = Math.max(state.worst, now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  // A machine that stands still for a while holds up this process as it does the page: that is not the page's doing.
  let [stood, heard] = [0, performance.now()];
  const clock = setInterval(() => {
    stood = Math.max(stood, performance.now() - heard);
    heard = performance.now();
  }, 20);
  for (const size of ['8', '10', '12', '13', '14', '17', '19', '36']) await entry(page).fill(`${size} test nut 20nm`);
  await settled(page);
  await expect(await figure(page, 'Gaps')).toContainText('2');
  const worst = await page.evaluate(() => (window as unknown as { worst: number }).worst);
  clearInterval(clock);
  expect(worst).toBeLessThan(1000 + 2 * stood);
  await entry(page).fill('');
  await expect(await figure(page, 'Gaps')).toContainText('1');
});
