import type { Locator, Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { askLightest, expect, faultless, open, packed, settled, test } from './fixtures';
import { beginning, head, item, items, paper, picture, place, placeMark, search, sheet, told } from './screen';

test.beforeEach(({ app }) => askLightest(app));

const tab = (page: Page, name: string | RegExp) => page.getByRole('tab', { name }).click();
/** Places on the drawing are measured by their boxes, without their names. */
const box = (mark: Locator) => mark.locator('rect').nth(1);
/** The row that is lit. */
const found = (page: Page) => items(page).filter({ has: page.getByRole('button', { pressed: true }) });
/** Puts a piece somewhere by its menu. */
async function put(page: Page, name: string, to: string) {
  await item(page, name)
    .first()
    .getByRole('button', { name: /^Move / })
    .click();
  await page.getByRole('menuitem', { name: to, exact: true }).click();
  await settled(page);
}

test(
  'a rule that the rider breaks is named with its reason, and one press mends it',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await open(page, app, '/stow');
    await expect(head(page)).toContainText('placed');
    // Wrapped in a soft roll, hard things may be worn; loose in the bag they may not.
    const bag = place(page, "Rider's bum bag");
    await bag.getByRole('button', { name: /change/i }).click();
    await bag.getByLabel('tools wrapped in a roll or towel').uncheck();
    await bag.getByRole('button', { name: 'Done' }).click();
    await settled(page);
    await put(page, 'Combination spanner 27', "Rider's bum bag");
    const faults = page.getByRole('region', { name: 'Rules broken' });
    const fault = faults.getByRole('article', { name: 'Combination spanner 27' });
    await expect(fault).toContainText('hard or sharp');
    await expect(fault).toContainText('It injures the rider in a fall');
    await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('broken');
    await fault.getByRole('button', { name: /^Move Combination spanner 27 to/ }).click();
    await settled(page);
    await expect(faults).toHaveCount(0);
    // One undo brings the broken rule back, a second the packing as it was.
    await page.keyboard.press('Control+z');
    await expect(fault).toHaveCount(1);
    await page.keyboard.press('Control+z');
    await expect(faults).toHaveCount(0);
  },
);

test('too heavy for its mount: the cheapest move out of it is one press away', async ({ page, app }) => {
  await open(page, app, '/stow');
  for (const name of ['Combination spanner 27', 'Tyre lever, alloy']) await put(page, name, 'Front mudguard pack');
  const mud = place(page, 'Front mudguard pack');
  await mud.getByRole('button', { name: /^Change/ }).click();
  await mud.getByLabel('Rated for, on tracks').fill('0.3');
  await mud.getByLabel('Rated for, on tracks').press('Tab');
  await settled(page);
  const fault = page.getByRole('article').filter({ hasText: 'where the mount bears' });
  await expect(fault).toContainText('where the mount bears 300 g');
  await fault
    .getByRole('button', { name: /^(?:Move|Swap) /u })
    .first()
    .click();
  await settled(page);
  await expect(fault).toHaveCount(0);
});

test('sliders change the packing, with its proof', async ({ page, app }) => {
  await open(page, app, '/stow');
  await packed(page);
  await tab(page, 'Priorities');
  await told(page, 'Proven');
  const lying = () =>
    sheet(page)
      .getByRole('region')
      .evaluateAll((all) =>
        all.flatMap((place) =>
          [...place.querySelectorAll('[role=listitem]')].map(
            (item) => `${item.textContent} in ${place.getAttribute('aria-label')}`,
          ),
        ),
      );
  const before = await lying();
  // All that counts is how soon it is at hand: what is used leaves the seat.
  for (const name of ['Low and central', 'Everyday part stays', 'Left and right even'])
    await page.getByRole('slider', { name }).press('Home');
  await page.getByRole('slider', { name: 'Soon at hand' }).press('End');
  await settled(page);
  await packed(page);
  await expect(page.getByRole('group', { name: 'Low and central' })).toContainText('not at all');
  const after = await lying();
  expect(after.sort()).not.toEqual(before.sort());
  await page.getByRole('button', { name: 'How this is calculated' }).click();
  await expect(page.getByRole('dialog')).toContainText('nothing costs less than');
});

test('load: what the bike makes of it, live while a place is chosen, and explained', async ({ page, app }) => {
  await open(page, app, '/stow');
  await tab(page, 'Load');
  const row = (name: string) => page.getByRole('row', { name: beginning(name) }).getByRole('cell');
  await expect(row('Weight')).toHaveText(['138.0', '230.0', /^23\d\.\d$/]);
  // 66 of 138 kg on the front; the rider of 92 kg at 62 % of 1485 mm puts 34.96 kg there: 100.96.
  await expect(row('Front axle')).toHaveText(['66.0', '101.0', /^10\d\.\d$/]);
  // (138 · 590 + 92 · 1115) / 230 = 800 mm.
  await expect(row('Centre of gravity height').nth(1)).toHaveText('800');
  await item(page, 'Tyre lever, alloy')
    .first()
    .getByRole('button', { name: /^Move / })
    .click();
  await page.getByRole('menuitem', { name: 'Tail bag' }).focus();
  await expect(head(page)).toContainText('If Tyre lever, alloy, ring 27 in tail bag:');
  await expect(head(page)).toContainText('higher');
  await expect(picture(page)).toContainText('Packed, if moved');
  await page.keyboard.press('Escape');
  await expect(picture(page)).not.toContainText('if moved');
  await page.getByLabel('Payload allowed').fill('97');
  await page.getByLabel('Payload allowed').press('Tab');
  await settled(page);
  await expect(page.getByRole('article').filter({ hasText: 'the maker allows' })).toContainText(
    'where the maker allows 97.0 kg',
  );
  await page.getByLabel('Rear load index').fill('20');
  await page.getByLabel('Rear load index').press('Tab');
  await settled(page);
  await expect(page.getByRole('article').filter({ hasText: 'load index' })).toContainText(
    'load index 20 bears 80.0 kg',
  );
});

test('a place is moved on the drawing from the side and from behind, by mouse and by keys, and undone', async ({
  page,
  app,
}) => {
  await open(page, app, '/stow');
  await page.getByRole('button', { name: 'Move places' }).click();
  const mark = placeMark(page, 'Tail bag');
  const before = (await box(mark).boundingBox())!;
  await page.mouse.move(before.x + 10, before.y + 10);
  await page.mouse.down();
  await page.mouse.move(before.x - 50, before.y + 40, { steps: 5 });
  await page.mouse.up();
  await settled(page);
  const after = (await box(mark).boundingBox())!;
  expect(after.x).toBeLessThan(before.x - 40);
  expect(after.y).toBeGreaterThan(before.y + 20);
  await page.getByRole('button', { name: 'From behind' }).click();
  const low = placeMark(page, 'Low frame');
  // The drawing from behind takes its size once it is there: only then is it measured.
  await box(low).hover({ trial: true });
  const middle = (await box(low).boundingBox())!;
  await low.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(async () => (await box(low).boundingBox())!.x).toBeLessThan(middle.x - 5);
  const section = place(page, 'Low frame, tied');
  await section.getByRole('button', { name: /^Change/ }).click();
  // 140 mm to the right less a step of 50 to the left.
  await expect(section.getByLabel('Left (+) or right (−)')).toHaveValue('-90');
  await page.keyboard.press('Control+z');
  await expect(section.getByLabel('Left (+) or right (−)')).toHaveValue('-140');
});

test('places come from the library, from another bike, or are measured; a roll has slots of several sizes', async ({
  page,
  app,
}) => {
  await open(page, app, '/stow');
  const add = () => page.getByRole('button', { name: 'Add a place' }).click();
  await add();
  await page.getByRole('menuitem', { name: 'Hollow steering stem' }).click();
  await expect(place(page, 'Hollow steering stem')).toContainText('one zip');
  await add();
  await expect(page.getByRole('menuitem', { name: 'Hollow steering stem' })).toHaveCount(0);
  await page.getByRole('menuitem', { name: 'All of Carrack 1100' }).click();
  await expect(place(page, 'Left pannier')).toContainText('lockable');
  const roll = place(page, 'Tool roll under the seat');
  await roll.getByRole('button', { name: /^Change/ }).click();
  await roll.getByRole('button', { name: 'Add slots of another size' }).click();
  await settled(page);
  await expect(roll).toContainText('/21 slots');
  await roll.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('list', { name: 'Slots of Tool roll under the seat' }).getByRole('listitem')).toHaveCount(
    21,
  );
  await faultless(page, 'Stow with a longer roll');
});

test('the packing of a box is shown, and a full one says what to leave out', async ({ page, app }) => {
  await open(page, app, '/stow');
  await placeMark(page, 'Tool tube').click();
  const pictures = page.getByRole('img', { name: /^Tool tube on the frame from/ });
  await expect(pictures).toHaveCount(2);
  const names = page.getByRole('list', { name: /^Inside tool tube/u }).getByRole('listitem');
  const pieces = await place(page, 'Tool tube on the frame').getByRole('listitem').count();
  expect(await names.count()).toBeGreaterThan(5);
  expect(await names.count()).toBeLessThanOrEqual(pieces);
  await names.first().getByRole('button').click();
  await expect(found(page)).toHaveCount(1);
  // Far too much for the mudguard pack, by hand.
  const mud = place(page, 'Front mudguard pack');
  await mud.getByRole('button', { name: /^Change/ }).click();
  for (const [label, value] of [
    ['Length', '120'],
    ['Width', '60'],
    ['Height (mm)', '30'],
  ] as const) {
    await mud.getByLabel(label).fill(value);
    await mud.getByLabel(label).press('Tab');
  }
  await mud.getByRole('button', { name: 'Done' }).click();
  for (const name of ['Socket ⅜ in, 17 deep', 'Socket ⅜ in, 14 deep', 'Socket ⅜ in, 13 deep', 'Socket ½ in, 24'])
    await put(page, name, 'Front mudguard pack');
  await expect(page.getByRole('article').filter({ hasText: 'front mudguard pack' }).first()).toBeVisible();
});

test('two packings are compared, and the kept one is packed again', async ({ page, app }) => {
  await open(page, app, '/stow');
  await packed(page);
  await tab(page, 'Saved layouts');
  await page.getByLabel('Name', { exact: true }).fill('As the rules say');
  await page.getByRole('button', { name: 'Save this layout' }).click();
  await expect(page.getByRole('region', { name: 'Difference' })).toContainText('Everything is in the same place.');
  await put(page, 'Combination pliers 160', 'Tail bag');
  const difference = page.getByRole('region', { name: 'Difference' });
  await expect(difference).toContainText('Combination pliers 160: ');
  await expect(difference).toContainText('→ Tail bag');
  await expect(difference).toContainText('less on the front axle');
  await page.getByRole('button', { name: 'Go back to this layout' }).click();
  await settled(page);
  await expect(difference).toContainText('Everything is in the same place.');
  await expect(item(page, 'placed by you').first()).toBeVisible();
  await page.getByRole('button', { name: 'Place all automatically' }).click();
  await expect(item(page, 'placed by you')).toHaveCount(0);
  await page.reload();
  await settled(page);
  await tab(page, 'Saved layouts');
  await expect(page.getByLabel('Compare now with')).toHaveValue(/^As the rules say/u);
});

test('where is it: from any stage the place is lit on the bike', async ({ page, app }) => {
  await open(page, app, '/trip');
  await page.keyboard.press('Control+k');
  await search(page).fill('first-aid');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('option').first()).toContainText('Tail bag');
  await expect(dialog.getByRole('button', { name: /what you look for is here/u })).toHaveCount(1);
  await faultless(page, 'the command box with a place');
  await page.keyboard.press('Enter');
  await expect(found(page)).toContainText('First-aid kit');
  await expect(picture(page).getByRole('button', { name: /what you look for is here/u })).toHaveCount(1);
});

test('the roll prints at 1 : 1 over sheets with labels, and is saved as SVG', async ({ page, app }) => {
  await open(page, app, '/stow');
  const [whole] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'SVG' }).click()]);
  const svg = readFileSync((await whole.path())!, 'utf8');
  const size = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!;
  expect([size[1], size[2]]).toEqual([size[3], size[4]]);
  await page.getByRole('link', { name: 'Print at 1 : 1, with labels' }).click();
  const sheets = paper(page).getByRole('img');
  // 744 mm over sheets of 277 that share 10; 274 mm over sheets of 178 that share 10; and the labels.
  await expect(sheets).toHaveCount(3 * 2 + 1);
  await expect
    .poll(() => sheets.evaluateAll((all) => all.every((e) => (e as HTMLImageElement).naturalWidth > 900)))
    .toBe(true);
  await faultless(page, 'the roll on paper');
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(7);
});

test('a packet of several is split over two places and put together again', async ({ page, app }) => {
  await open(page, app, '/stow');
  await packed(page);
  const ties = item(page, 'Cable ties');
  await expect(ties).toHaveCount(1);
  await ties
    .first()
    .getByRole('button', { name: /^Move / })
    .click();
  await page.getByRole('menuitem', { name: 'Split into two places' }).click();
  await packed(page);
  await expect(ties).toHaveCount(2);
  const part = ties.filter({ hasText: 'placed by you' });
  await part.getByRole('button', { name: /^Move / }).click();
  await page.getByRole('menuitem', { name: 'Tail bag', exact: true }).click();
  await packed(page);
  await expect(place(page, 'Tail bag').getByRole('listitem').filter({ hasText: 'Cable ties' })).toHaveCount(1);
  await part.getByRole('button', { name: /^Move / }).click();
  await page.getByRole('menuitem', { name: 'Keep all together' }).click();
  await packed(page);
  await expect(ties).toHaveCount(1);
});
