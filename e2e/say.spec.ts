import { expect, faultless, goTo, open, test } from './fixtures';
import { freshBike, stored } from './survey';
import { entry, row, sheet, title, tool, toolEntry } from './screen';

const toolbox = async (page: import('@playwright/test').Page) => {
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: /^Toolbox/ }).click();
};

test('a word in a rider’s own tongue is asked about once, remembered, and changed in a list', async ({ page, app }) => {
  await freshBike(page, app);
  await entry(page).fill('6 knarz seat');
  const question = page.getByRole('group', { name: 'What is “knarz”?' });
  await expect(question).toBeVisible();
  // Enter leads to the question, whose answer adds the line.
  await entry(page).press('Enter');
  await expect(question.getByRole('button', { name: 'part of the name' })).toBeFocused();
  await faultless(page, 'a question about a word');
  await page.keyboard.press('Tab');
  await expect(question.getByRole('button', { name: 'inside hex' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(row(page, 'Seat')).toBeVisible();
  expect((await stored(page, app)).fasteners[0]).toMatchObject({
    head: { form: 'key', size: '6' },
    name: 'Seat',
    station: 'tank-seat',
  });
  expect((await stored(page, app)).garage.words).toEqual([{ said: 'knarz', means: 'form:key' }]);
  await entry(page).fill('8 knarz tank bolt');
  await expect(entry(page)).toHaveAccessibleDescription(/inside hex 8/u);
  await expect(question).toHaveCount(0);
  await entry(page).fill('');
  // The list of own words.
  await page.getByTitle('Garages and settings').click();
  await page.getByRole('menuitem', { name: 'My words' }).click();
  const dialog = page.getByRole('dialog', { name: 'My words' });
  await expect(dialog).toContainText('knarz');
  await faultless(page, 'my words');
  await dialog.getByRole('button', { name: 'Delete knarz' }).click();
  await expect(dialog).toContainText('No words yet');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await entry(page).fill('6 knarz seat');
  await expect(question).toBeVisible();
});

test('Tab goes through the readings of a doubt, and what is shown is what Enter takes', async ({ page, app }) => {
  await freshBike(page, app);
  await entry(page).fill('24 axle nut 36');
  await expect(page.getByRole('group', { name: 'What is “36”?' })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(entry(page)).toHaveValue('24 axle nut 36nm');
  await page.keyboard.press('Tab');
  await expect(entry(page)).toHaveValue('24 axle nut far 36');
  await expect(entry(page)).toHaveAccessibleDescription(/far end hex 36/u);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await expect(entry(page)).toHaveValue('24 axle nut 36');
  // All were seen: the key leaves the line, so that nobody is held in it.
  await page.keyboard.press('Tab');
  await expect(entry(page)).not.toBeFocused();
  await entry(page).fill('24 axle nut 36 ');
  await page.keyboard.press('Tab');
  await expect(entry(page)).toHaveValue('24 axle nut 36nm');
  await page.keyboard.press('Enter');
  await expect(row(page, 'Axle nut')).toBeVisible();
  expect((await stored(page, app)).fasteners[0]).toMatchObject({
    head: { size: '24' },
    far: null,
    torque: { value: 36 },
  });
  // A station that the name says is a guess that Tab changes.
  await entry(page).fill('13 rack bolt');
  await expect(sheet(page).getByRole('emphasis')).toHaveText(['at Guards and racks', 'job luggage rack']);
  await page.keyboard.press('Tab');
  await expect(entry(page)).toHaveValue('13 rack bolt @front-wheel');
  // Without a doubt the key leaves the line, as everywhere.
  await entry(page).fill('13 bolt');
  await page.keyboard.press('Tab');
  await expect(entry(page)).not.toBeFocused();
});

test(
  'tools, spares and runs in one line; a question about the drive is one key away',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await freshBike(page, app);
    await toolbox(page);
    await toolEntry(page).fill('10mm socket');
    await expect(page.getByRole('group', { name: 'Which square drive?' })).toBeVisible();
    await page.keyboard.press('Tab');
    await expect(toolEntry(page)).toHaveValue('10mm socket 1/4');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('tab', { name: /^Toolbox/ })).toContainText('1');
    await toolEntry(page).fill('sockets 3/8 12-14, 2 tyre levers and 20 cable ties');
    await expect(toolEntry(page)).toHaveAccessibleDescription(/Cable ties ×20 → spares/u);
    await toolEntry(page).press('Enter');
    const doc = await stored(page, app);
    expect(doc.pieces.map((p) => p.name).sort()).toEqual([
      'Socket ¼ in, 10',
      'Socket ⅜ in, 12',
      'Socket ⅜ in, 13',
      'Socket ⅜ in, 14',
      'Tyre lever',
    ]);
    expect(doc.supplies).toMatchObject([{ kind: 'cable tie', quantity: 20 }]);
    // In the field the keys undo typing; outside of it, what was added.
    await title(page).click();
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('tab', { name: /^Toolbox/ })).toContainText('(1)');
    expect((await stored(page, app)).pieces).toHaveLength(1);
    // A tool of unknown size is kept, and turns nothing until it is measured.
    await toolEntry(page).fill('socket 3/8 ?');
    await toolEntry(page).press('Enter');
    await sheet(page)
      .getByRole('button', { name: /size not known/u })
      .click();
    await page.getByLabel('Its size, once you have measured it').fill('19');
    await page.getByLabel('Its size, once you have measured it').press('Enter');
    await expect(tool(page, 'Socket ⅜ in, 19')).toBeVisible();
  },
);

test('a pasted list is read line by line, settled by keys, and taken', async ({ page, app }) => {
  await freshBike(page, app);
  await toolbox(page);
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('menuitem', { name: 'Paste a list' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add a list' });
  await dialog
    .getByLabel('The list')
    .fill('Tools:\n- spanners 8 10 12\n- needle nose\n* 10mm socket\n3. key 9\n20 cable ties, front tube\ntape');
  await dialog.getByRole('button', { name: 'Read the list' }).click();
  await expect(dialog.getByRole('checkbox')).toHaveCount(6);
  await expect(dialog).toContainText('6 lines. 2 to answer. 1 not understood.');
  await faultless(page, 'a pasted list');
  await dialog.getByLabel('Line “10mm socket”').focus();
  await page.keyboard.press('Tab');
  await expect(dialog.getByLabel('Line “10mm socket 1/4”')).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 7 items' }).click();
  await expect(dialog.getByRole('checkbox')).toHaveCount(2);
  const doc = await stored(page, app);
  expect(doc.pieces).toHaveLength(5);
  expect(doc.supplies.map((s) => s.kind).sort()).toEqual(['cable tie', 'front tube']);
});

test('a list of fasteners goes into the walk', async ({ page, app }) => {
  await open(page, app);
  const before = (await stored(page, app)).fasteners.length;
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('menuitem', { name: 'Paste a list' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add a list of fasteners' });
  await dialog.getByLabel('The list').fill('13 rack bolt x2\n8 mm inside hex seat bolt 20 ft-lb\n24 axle nut 36');
  await dialog.getByRole('button', { name: 'Read the list' }).click();
  await expect(dialog).toContainText('3 lines. 1 to answer.');
  await dialog.getByRole('button', { name: 'Add 2 items' }).click();
  expect((await stored(page, app)).fasteners).toHaveLength(before + 2);
});
