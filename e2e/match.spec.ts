import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import {
  choose,
  askLightest,
  expect,
  faultless,
  figure,
  goTo,
  kitBy,
  kitMode,
  matched,
  open,
  settled,
  test,
} from './fixtures';
import { chains, head, line, paper, picture, row, sheet, tool, toolEntry } from './screen';

test.beforeEach(({ app }) => askLightest(app));

/** What is known of the tool that is open. */
const about = (page: Page) => page.getByRole('group', { name: /^About /u });

test('heads against pieces, with the keyboard through it', { tag: '@everyday' }, async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Match');
  await page.getByRole('button', { name: 'Show fasteners against tools' }).click();
  const grid = page.getByRole('application');
  await expect(grid).toHaveAccessibleDescription(/Combination spanner 8 on hex 5\.5: does not go on/u);
  await grid.focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowDown');
  await expect(grid).toHaveAccessibleDescription(/Combination spanner 8 on hex 8: fits/u);
  await page.keyboard.press('ArrowRight');
  await expect(grid).toHaveAccessibleDescription(/on hex 8: fits some of them/u);
  await page.keyboard.press('Enter');
  await expect(chains(page).getByRole('heading', { level: 2 })).toContainText('Axle pinch bolt');
  // Where nothing or one piece turns a class, it stands out.
  expect(await grid.getByRole('img', { name: 'at most one tool turns it' }).count()).toBeGreaterThan(5);
  await faultless(page, 'heads against pieces');
});

test('a piece in one line, a set, a piece that is made and what it then reaches', async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: /^Toolbox/ }).click();
  const typed = toolEntry(page);
  await typed.fill('socket 3/8');
  await expect(toolEntry(page)).toHaveAccessibleDescription(/Which size of socket\?/u);
  await typed.fill('hook 68 150g in garage note: from the old kit');
  await expect(toolEntry(page)).toHaveAccessibleDescription(/Hook spanner 68, 150 g/u);
  await expect(toolEntry(page)).toHaveAccessibleDescription(/kept in garage/u);
  await typed.press('Enter');
  await expect(await matched(page)).toContainText('73/73');
  await tool(page, 'Hook spanner 68').click();
  await expect(about(page)).toContainText('Turns castellated ring 68; held by hand');
  // Worn it is not trusted with such a torque any more.
  await choose(about(page).getByLabel('Condition'), 'worn');
  await expect(await matched(page)).toContainText('72/73');
  await page.keyboard.press('Control+z');
  await typed.fill('set l-keys six-lobe');
  await page.getByRole('button', { name: 'Add the set L-keys, six-lobe, eight' }).click();
  await expect(page.getByRole('tab', { name: /^Toolbox/ })).toContainText('128');

  // Made at home: a stub that turns the ring, driven by a 17.
  await page.getByRole('button', { name: 'Make a tool' }).click();
  const dialog = page.getByRole('dialog', { name: 'Make a tool' });
  await dialog.getByLabel('Name', { exact: true }).fill('Welded ring key');
  await choose(dialog.getByLabel('Held by'), 'another tool');
  await dialog.getByLabel(/^which turns its/).fill('17');
  await dialog.getByLabel(/^which turns its/).press('Tab');
  await dialog.getByLabel(/^Turns/).fill('hook 45.5.5');
  await dialog.getByLabel(/^Turns/).press('Tab');
  await expect(dialog.getByText(/left over behind the size|or drive 3\/8/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Save' })).toBeDisabled();
  await dialog.getByLabel(/^Turns/).fill('hook 45');
  await dialog.getByLabel(/^Turns/).press('Tab');
  await dialog.getByLabel('Rated for (N·m)').fill('80');
  await dialog.getByLabel('Rated for (N·m)').press('Tab');
  await expect(dialog.getByRole('status')).toContainText('it turns 1 fastener: Steering ring');
  await faultless(page, 'the editor');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(tool(page, 'Welded ring key')).toContainText('home-made');
});

test('the set is tried on the bike, and what stops it becomes a fact', async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: 'Dry run' }).click();
  await expect(sheet(page)).toContainText('15 of 72 fasteners tried');
  await page.getByRole('button', { name: 'Caliper bolt works', exact: true }).click();
  await expect(sheet(page)).toContainText('16 of 72 fasteners tried');
  const heat = page.getByRole('group', { name: 'Heat shield', exact: true });
  const before = await heat.getByRole('button').first().innerText();
  await heat.getByRole('button', { name: 'Heat shield: what got in the way' }).click();
  await page.getByRole('menuitem', { name: 'too short: the head sits deeper', exact: true }).click();
  await settled(page);
  await expect.poll(() => heat.getByRole('button').first().innerText()).not.toBe(before);
  await faultless(page, 'trying');
  await goTo(page, 'Walk');
  await row(page, 'Heat shield').click();
  await page.getByRole('tab', { name: 'How it is known' }).click();
  await expect(page.getByRole('tabpanel')).toContainText('too short: the head sits deeper');
});

test('where the weight is: bolts, purchases, marks, as exact differences', async ({ page, app }) => {
  test.slow();
  await open(page, app);
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: 'What adds weight' }).click();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Calculating with and without' })).toBeVisible();
  const mount = page.getByRole('group', { name: 'Phone mount', exact: true });
  await expect(mount).toContainText('Socket', { timeout: 80_000 });
  await faultless(page, 'what weighs');
  const freed = Number.parseInt((await mount.getByRole('button').last().innerText()).replace('−', ''), 10);
  await mount.getByRole('button').last().click();
  await expect(page.getByRole('dialog')).toContainText('both proven');
  await page.keyboard.press('Escape');
  // Leaving it out frees just that: no mend hangs on it.
  const mass = async () =>
    Number.parseFloat(await (await figure(page, 'Kit')).innerText().then((t) => /([\d.]+)\s*kg/.exec(t)![1]!));
  const was = await mass();
  await goTo(page, 'Walk');
  await row(page, 'Phone mount').click();
  await page.getByRole('tab', { name: 'All fields' }).click();
  await page.getByLabel('Left out, because').fill('to see');
  await page.getByLabel('Left out, because').press('Tab');
  await settled(page);
  expect(Math.abs((was - (await mass())) * 1000 - freed)).toBeLessThan(11);
});

test('several bikes: the core, what each adds, what to move; and another measure', async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: 'Bikes' }).click();
  const list = sheet(page);
  await expect(list).toContainText('Always with you');
  await expect(list).toContainText('Carrack 1100 adds');
  await expect(list).toContainText(/Put in: .*(Bit socket|Socket|L-key)/);
  await faultless(page, 'several bikes');
  await choose(page.getByLabel('From'), 'Carrack 1100');
  await choose(page.getByLabel('To', { exact: true }), 'Quarrel 450');
  await expect(list).toContainText(/Put in: .*27/);
  // What is missing, for the least money; planned into the toolbox nothing is missing any more.
  await page.getByRole('tab', { name: 'Buy' }).click();
  await expect(list).toContainText('Hook spanner 68');
  await expect(list).toContainText('It also helps Carrack 1100');
  await faultless(page, 'what to buy');
  await page.getByRole('button', { name: 'Add all to the toolbox' }).click();
  await expect(await matched(page)).toContainText('73/73');
  await expect(list).toContainText('nothing to buy');
  await goTo(page, 'Kit');
  const bulk = async () =>
    Number.parseFloat((await (await figure(page, 'Bulk')).innerText()).replace(/[^\d.]/g, ' ').trim());
  const was = await bulk();
  await kitMode(page, 'Preferences');
  await choose(page.getByLabel('Minimise tools by'), 'volume');
  await settled(page);
  await kitMode(page, 'How much');
  await expect(head(page)).toContainText('no other kit that does this is smaller');
  expect(await bulk()).toBeLessThanOrEqual(was);
});

test('ways side by side, marks in grams, the toolbox as a table, the buy list on paper', async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Match');
  await page
    .getByRole('list', { name: 'All fasteners by shape and size' })
    .getByRole('button', { name: /^Clutch lever pivot/u })
    .click();
  await page.getByRole('button', { name: 'Compare kit weight for each option' }).click();
  const ways = page.getByRole('group', { name: 'Other options, best first' }).getByRole('listitem');
  await expect(ways.first().getByRole('button').last()).toContainText(/kit [\d.]+ k?g/);
  await expect(ways.nth(1)).toContainText(/·/);
  await ways.nth(1).getByRole('button').last().click();
  await expect(page.getByRole('dialog')).toContainText('all other tools are chosen again around it');
  await page.keyboard.press('Escape');

  // A mark shows at once what it costs.
  await page.getByRole('tab', { name: /^Toolbox/ }).click();
  await tool(page, 'Multimeter').click();
  await choose(about(page).getByLabel('In the kit'), 'always');
  await expect(about(page)).toContainText(/Costs \d+ g; without it/);
  await page.keyboard.press('Control+z');
  await expect(sheet(page)).toContainText('Maker’s kit, one cylinder');

  // Written, changed in one line, read again.
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export CSV' }).click(),
  ]);
  const lines = (await readFile(await download.path(), 'utf8')).split('\r\n');
  expect(lines).toHaveLength(121);
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Import CSV…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import tools from a table' });
  await dialog.getByPlaceholder('or paste it here').fill('piece,count\nhook 68,1\nsocket 3/8 zz,1');
  await dialog.getByRole('button', { name: 'Check the pasted table' }).click();
  await expect(dialog).toContainText('1 cell has an error');
  await faultless(page, 'the toolbox’s table');
  await dialog.getByPlaceholder('or paste it here').fill('piece,count\nhook 68,1\nsocket 3/8 21,1');
  await dialog.getByRole('button', { name: 'Check the pasted table' }).click();
  await dialog.getByRole('button', { name: 'Import 2 rows' }).click();
  await expect(await matched(page)).toContainText('73/73');
  await page.keyboard.press('Control+z');

  await page.getByRole('tab', { name: 'Buy' }).click();
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(paper(page)).toContainText('Hook spanner 68');
  await expect(paper(page)).toContainText('Spares and supplies');
  await faultless(page, 'the buy list on paper');
});

test('practice decides where the tools come from, for whom, and what the bag may be worth', async ({ page, app }) => {
  test.slow();
  await open(page, app, '/kit');
  const kit = picture(page);
  /** A practice is changed on its own sheet; what it does to the kit is read on the first. */
  const practise = async (change: () => Promise<unknown>) => {
    await kitMode(page, 'Preferences');
    await change();
    await settled(page);
    await kitMode(page, 'How much');
  };
  await kitBy(page, 'By item');
  await practise(() => choose(page.getByLabel('Tools come from'), 'my toolbox, the rest bought'));
  await settled(page);
  await expect(line(page, 'Hook spanner 68')).toContainText('to buy');
  await expect(kit).toContainText('of it to buy');
  await practise(() => choose(page.getByLabel('Tools come from'), 'my toolbox'));
  const worth = async () => {
    await expect(kit).toContainText(/worth \d+ €/);
    return Number(/worth (\d+) €/.exec(await kit.innerText())![1]);
  };
  const was = await worth();
  const bag = (text: string) =>
    practise(async () => {
      await page.getByLabel('Value in the bag, at most (€)').fill(text);
      await page.getByLabel('Value in the bag, at most (€)').press('Tab');
    });
  await bag(String(was - 3));
  expect(await worth()).toBeLessThanOrEqual(was - 3);
  await bag('1');
  await expect(kit).toContainText('No set of tools keeps to your 1 € limit');
  await bag('');
  await kitMode(page, 'Preferences');
  await page.getByRole('button', { name: 'Compare the other settings' }).click();
  const none = page.getByRole('button', { name: /^none /u }).first();
  await expect(none).toContainText(/−\d+ g/, { timeout: 80_000 });
  await none.click();
  await expect(page.getByRole('dialog')).toContainText('each worked out as a whole');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByLabel('Carrack 1100').check();
  await settled(page);
  await expect(line(page, 'of Carrack 1100').first()).toBeVisible();
  await faultless(page, 'practice');
});
