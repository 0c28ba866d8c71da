import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { looksOf } from '@necessaire/core';
import { choose, expect, faultless, goTo, open, settled, test, type App } from './fixtures';
import { freshBike, guide, stored } from './survey';
import { entry, giveFiles, head, row, rows, saved, title, tool } from './screen';

const root = join(import.meta.dirname ?? __dirname, '..');
/** Where a size is found out, beside its jaw. */
const bench = (page: Page) => page.getByRole('tabpanel');

/** Runs a simulated instrument against the app and gives a way to switch it off. */
function instrument(app: App, ...args: string[]) {
  const child = spawn(process.execPath, [join(root, 'cli/bin/necessaire.mjs'), ...args, '--server', app.url], {
    stdio: 'ignore',
  });
  const gone = new Promise((resolve) => child.on('exit', resolve));
  return async () => {
    child.kill();
    await gone;
  };
}
test('sixty fasteners with the keyboard alone, few strokes each', async ({ page, app }) => {
  test.slow();
  const bike = await freshBike(page, app, { fitted: ['hand guards', 'skid plate', 'rear rack', 'radiator guard'] });
  const looks = looksOf(bike).slice(0, 60);
  expect(looks).toHaveLength(60);
  let strokes = 0;
  const press = async (key: string) => {
    strokes++;
    await page.keyboard.press(key);
  };
  const type = async (text: string) => {
    strokes += text.length;
    await page.keyboard.type(text);
  };
  await press('/');
  await expect(entry(page)).toBeFocused();
  const heads: Record<string, string> = { spokes: 'spoke 6', valve: 'valve core', plug: 'plug 16' };
  for (const [i, look] of looks.entries()) {
    await expect(guide(page)).toContainText(look.name);
    // A size as measured; every tenth is doubtful, every fifteenth is not on the bike.
    const special = Object.keys(heads).find((k) => look.key.endsWith(k));
    const line =
      i % 15 === 14 ? '-' : i % 10 === 9 ? '?' : special ? heads[special]! : ['8', '10', '12', 'i5', '13'][i % 5]!;
    await type(line);
    await press('Enter');
  }
  await expect(head(page)).toContainText('of 56 measured or better');
  await expect(rows(page)).toHaveCount(60);
  // Under four strokes a fastener: at two strokes a second the typing takes two of the fifteen minutes.
  expect(strokes / 60).toBeLessThan(4);
  console.log(`60 fasteners: ${strokes} keystrokes, ${(strokes / 60).toFixed(1)} each`);
  const doc = await stored(page, app);
  expect(doc.fasteners.map((f) => f.look)).toEqual(looks.map((l) => l.key));
  expect(doc.fasteners.filter((f) => f.leftOut !== null)).toHaveLength(4);
  expect(doc.fasteners.every((f) => f.bikeId === bike.id)).toBe(true);
});

test('from a reading to a size, the rival, and the try that settles it', async ({ page, app }) => {
  await open(page, app);
  await row(page, 'Rack stay').click();
  const reading = page.getByLabel('Reading, mm');
  await reading.fill('14.05');
  await reading.press('Enter');
  await choose(bench(page).getByLabel('The head is'), 'worn');
  // 14 mm and 9/16 in lie on top of each other: both are shown, and what to put on it.
  await expect(bench(page).getByRole('listitem').first()).toContainText(/14|9\/16/);
  // Worn, the two are so close that no tool tells them apart, which is said; clean flats leave a try that helps.
  await expect(bench(page)).toContainText('No common tool can tell hex 9⁄16 in from hex 14');
  await choose(bench(page).getByLabel('The head is'), 'clean');
  await expect(bench(page)).toContainText('To be sure:');
  const jaw = bench(page).getByRole('figure');
  await expect(jaw).toContainText('°');
  await page.getByLabel('Tool tried, and how it sat').fill('14 does not, 9/16in snug');
  await page.getByLabel('Tool tried, and how it sat').press('Enter');
  await expect(bench(page).getByRole('listitem').first()).toContainText('9/16 in');
  await bench(page).getByRole('button', { name: 'Take as hex 9⁄16 in' }).click();
  await expect(bench(page)).toContainText('Recorded as hex 9⁄16 in');
  await page.getByRole('tab', { name: 'How it is known' }).click();
  await expect(page.getByRole('tabpanel')).toContainText('tried: calliper 14.05 mm; 14 does not go on; 9⁄16 in snug');
  // Nonsense is refused and stays in the field.
  await page.getByRole('tab', { name: 'Size' }).click();
  await reading.fill('wide');
  await reading.press('Enter');
  await expect(bench(page).getByRole('alert')).toContainText('is not a reading');
  await expect(reading).toHaveValue('wide');
  // Any tool may be looked at in the jaw, six-lobes and inside hexes too.
  await bench(page)
    .getByRole('group', { name: 'Tool in the picture' })
    .getByRole('button', { name: '15', exact: true })
    .click();
  await expect(jaw).toContainText('15 mm: turns');
  await row(page, 'Subframe bolt').click();
  await expect(bench(page).getByRole('img', { name: /^T40: turns/ })).toBeVisible();
  await row(page, 'Bar clamp').click();
  await bench(page).getByRole('button', { name: '6', exact: true }).click();
  await expect(bench(page).getByRole('img', { name: /6 mm/ })).toBeVisible();
  await faultless(page, 'the bench');
  await page.getByRole('tab', { name: 'All fields' }).click();
  await faultless(page, 'all about it');
  await page.getByRole('tab', { name: 'How it is known' }).click();
  await faultless(page, 'the ladder');
});

test('a calliper that types like a keyboard is heard wherever the focus is, and taken only when told', async ({
  page,
  app,
}) => {
  await open(page, app);
  // Into the entry line: it becomes a reading of what the walk asks for.
  await entry(page).focus();
  await page.keyboard.type('7.92');
  await expect(entry(page)).toHaveAccessibleDescription(/reading for front disc bolt/u);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Front disc bolt' })).toBeVisible();
  await expect(bench(page)).toContainText('7.92 mm');
  // With no field focused the burst is held until the rider says what it belongs to.
  await title(page).click();
  // A device strikes keys within a few milliseconds, which keys sent one by one to a busy browser do not.
  await page.evaluate(() => {
    for (const key of ['7', '.', '9', '5', 'Enter'])
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  });
  await expect(bench(page).getByRole('alert')).toContainText('7.95 mm came in');
  await expect(bench(page)).toContainText('One reading');
  await bench(page).getByRole('button', { name: 'Use it here' }).click();
  await expect(bench(page)).toContainText('2 readings');
});

test('a calliper that streams is shown live, its lost lines and its silence too', async ({ page, app }) => {
  test.slow();
  await open(page, app);
  await row(page, 'Rack bolt right').click();
  const off = instrument(
    app,
    'calliper',
    '--stream',
    '--across',
    '12.60',
    '--noise',
    '0',
    '--every',
    '150',
    '--lines',
    '500',
    '--drop',
    '0.3',
    '--name',
    'Test calliper',
  );
  await expect(bench(page).getByRole('heading', { name: 'Calliper, live' })).toBeVisible({ timeout: 20_000 });
  await expect(bench(page)).toContainText('12.60 mm');
  await expect(bench(page)).toContainText(/Test calliper, \d+ lines lost/);
  await expect(bench(page)).toContainText('3 readings');
  await bench(page).getByRole('button', { name: 'Take this reading' }).click();
  await expect(bench(page)).toContainText('4 readings');
  await off();
  await expect(bench(page)).toContainText(/Test calliper not heard for \d+ s/);
  await expect(bench(page).getByRole('button', { name: 'Take this reading' })).toHaveCount(0);
});

test('a piece put on the scale gets its mass in the toolbox, when told', async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: /^Toolbox/ }).click();
  const piece = tool(page, 'Combination spanner 17');
  await piece.click();
  const strip = page.getByRole('group', { name: 'Scale', exact: true });
  await expect(strip).toContainText('No scale connected.');
  const off = instrument(
    app,
    'scale',
    '--mass',
    '151',
    '--noise',
    '0',
    '--every',
    '100',
    '--lines',
    '400',
    '--name',
    'Test scale',
  );
  await expect(strip).toContainText('Test scale');
  await expect(strip).toContainText('151 g');
  await expect(piece).toContainText('145 g');
  await strip.getByRole('button', { name: 'Take this mass' }).click();
  await expect(piece).toContainText('151 g');
  await expect(page.getByRole('group', { name: /^About /u })).toContainText('mass from the scale');
  await off();
  await expect(strip).toContainText(/Test scale not heard for \d+ s/);
});

test('every field in the panel, and the same in the line', async ({ page, app }) => {
  await open(page, app);
  await row(page, 'Rack stay').click();
  await page.getByRole('tab', { name: 'All fields' }).click();
  const form = page.getByRole('tabpanel');
  await form.getByLabel('Far end').fill('i5');
  await form.getByLabel('Far end').press('Tab');
  await form.getByLabel('Torque (N·m)').fill('11,5');
  await form.getByLabel('Torque (N·m)').press('Tab');
  await choose(form.getByLabel('Torque is from'), 'own log');
  await choose(form.getByLabel('Condition'), 'rusted');
  await form.getByLabel('breaks').check();
  await form.getByLabel('gets lost').check();
  const access = form.getByRole('group', { name: 'Access', exact: true });
  await access.getByLabel('Sunk').fill('25');
  await access.getByLabel('Sunk').press('Tab');
  const farAccess = form.getByRole('group', { name: 'Access at the far end' });
  await farAccess.getByLabel('Thinnest tool').fill('4');
  await farAccess.getByLabel('Thinnest tool').press('Tab');
  await form.getByLabel('Note').fill('mind the grommet');
  await form.getByLabel('Note').press('Tab');
  await page.getByRole('button', { name: 'Edit as text' }).click();
  await expect(entry(page)).toHaveValue(
    '7/16in Rack stay far i5 x2 11.5nm logged sunk 25 far thin 4 lost breaks accessory rusted assumed @racks note: mind the grommet',
  );
  // A figure that is none stays, marked; nothing is written.
  await form.getByLabel('Torque (N·m)').fill('much');
  await form.getByLabel('Torque (N·m)').press('Tab');
  await expect(form.getByRole('alert')).toContainText('Enter a number');
});

test('a table out and in: bad cells are marked, nothing goes in by half', async ({ page, app }) => {
  await open(page, app);
  const menu = () => page.getByRole('button', { name: 'Table' }).click();
  await menu();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export CSV' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('quarrel-450-fasteners.csv');
  const text = readFileSync(await file.path(), 'utf8');
  expect(text.split('\r\n')).toHaveLength(78);

  await menu();
  await page.getByRole('menuitem', { name: 'Import CSV' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import fasteners from a table' });
  await giveFiles(dialog.getByRole('button', { name: 'Choose a file' }), {
    name: 'bad.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('\ufeffname;head;torque N·m\r\nGood;10;9,5\r\nBad;10.3;much\r\n'),
  });
  await expect(dialog.getByRole('status')).toContainText('2 cells have errors');
  await expect(dialog.getByRole('note')).toHaveCount(2);
  await expect(dialog.getByRole('note').first()).toContainText('is a reading, not a size');
  await expect(dialog.getByRole('button', { name: /^Import .*rows/ })).toBeDisabled();
  await faultless(page, 'the table dialog');
  await giveFiles(dialog.getByRole('button', { name: 'Choose a file' }), {
    name: 'no.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('a,b\n1,2'),
  });
  await expect(dialog.getByRole('alert')).toContainText('no column "head"');

  // The written table read again changes nothing but is known row by row.
  await dialog.getByLabel('or paste the table').fill(text);
  await dialog.getByRole('button', { name: 'Check the pasted table' }).click();
  await expect(dialog.getByRole('status')).toContainText('0 new, 76 changed');
  await dialog.getByLabel('or paste the table').fill('name,head\nFirst,10\nSecond,t30');
  await dialog.getByRole('button', { name: 'Check the pasted table' }).click();
  await dialog.getByRole('button', { name: 'Import 2 rows' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(rows(page)).toHaveCount(78);
  await title(page).click();
  await page.keyboard.press('Control+z');
  await expect(rows(page)).toHaveCount(76);
});

test('ten thousand rows are read, kept and taken back without stopping the page', async ({ page, app }) => {
  test.slow();
  await freshBike(page, app);
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('menuitem', { name: 'Import CSV' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import fasteners from a table' });
  const lines = Array.from(
    { length: 10_000 },
    (_, i) => `Bolt ${i};${['8', '10', '12', '13'][i % 4]};front-wheel;left`,
  );
  await giveFiles(dialog.getByRole('button', { name: 'Choose a file' }), {
    name: 'many.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`name;head;station;left out because\n${lines.join('\n')}`),
  });
  await expect(dialog.getByRole('status')).toContainText('10000 new, 0 changed');
  await dialog.getByRole('button', { name: 'Import 10000 rows' }).click();
  await choose(page.getByLabel('Show'), 'left out');
  await expect(rows(page)).toHaveCount(300);
  await expect(page.getByRole('button', { name: 'Show 300 of 9700 more' })).toBeVisible();
  await expect(saved(page)).toHaveText('Saved');
  expect((await stored(page, app)).fasteners).toHaveLength(10_000);
  await title(page).click();
  await page.keyboard.press('Control+z');
  await expect(rows(page)).toHaveCount(0);
});

test('several rows at once, found, sorted, and taken back with one undo', async ({ page, app }) => {
  await open(page, app);
  await page.getByLabel('Find rows').fill('guard');
  await expect(rows(page)).toHaveCount(7);
  await choose(page.getByLabel('Show'), 'only assumed');
  await expect(rows(page)).toHaveCount(2);
  await choose(page.getByLabel('Show'), 'all');
  await choose(page.getByLabel('Sort'), 'by name');
  await expect(rows(page).first()).toContainText('Chain guard roller');
  // With the keyboard: Space chooses, Shift and Space the stretch.
  await entry(page).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+Space');
  const bar = page.getByRole('toolbar', { name: 'Chosen rows' });
  await expect(bar).toContainText('3 chosen');
  await faultless(page, 'rows chosen');
  /** Sizes that are known, as Walk's head counts them. */
  const known = async () => Number(/(\d+) of \d+/u.exec((await head(page).textContent())!)![1]);
  const before = await known();
  await bar.getByRole('button', { name: 'Evidence' }).click();
  await page.getByRole('menuitem', { name: 'proven' }).click();
  await expect.poll(known).toBeGreaterThan(before);
  await bar.getByRole('button', { name: 'Leave out' }).click();
  await page.getByRole('menuitem', { name: 'no roadside job turns it' }).click();
  await expect(rows(page)).toHaveCount(4);
  await title(page).click();
  await page.keyboard.press('Control+z');
  await expect(rows(page)).toHaveCount(7);
  await page.keyboard.press('Control+z');
  await choose(page.getByLabel('Show'), 'only assumed');
  await expect(rows(page)).toHaveCount(2);
});

test('a bike copied knows its sizes only as assumed; two bikes are compared', async ({ page, app }) => {
  await open(page, app);
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('menuitem', { name: 'Compare two bikes' }).click();
  const compare = page.getByRole('dialog', { name: 'Compare two bikes' });
  await expect(
    compare.getByRole('region', { name: 'On both' }).getByRole('img', { name: 'hex 13', exact: true }),
  ).toBeVisible();
  await expect(
    compare.getByRole('region', { name: 'Only Quarrel 450' }).getByRole('img', { name: 'hex 24', exact: true }),
  ).toBeVisible();
  await faultless(page, 'two bikes');
  await compare.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('menuitem', { name: 'Copy this bike' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Quarrel, mine');
  await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await settled(page);
  await expect(page.getByRole('banner')).toContainText('Quarrel, mine');
  await expect(head(page)).toContainText('0 of 73 measured or better, 73 still assumed');
});
