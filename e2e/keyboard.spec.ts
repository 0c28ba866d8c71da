import { askLightest, expect, matched, open, settled, sharedOut, test } from './fixtures';
import type { Page } from '@playwright/test';
import { chains, entry, items, paper, picture, place, search, sheet, title } from './screen';

test.beforeEach(({ app }) => askLightest(app));

/** Presses Tab until the focus is on what is wanted: the keyboard alone must get there. */
async function tabTo(page: Page, wanted: (e: Element) => boolean, what: string, most = 120) {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab');
    if (await page.evaluate(`(${wanted.toString()})(document.activeElement)`)) return;
  }
  throw new Error(`Tab never got to ${what}`);
}
async function command(page: Page, text: string) {
  await page.keyboard.press('Control+k');
  await expect(search(page)).toBeFocused();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  await expect(search(page)).toHaveCount(0);
}

test('the whole path with the keyboard alone', { tag: '@everyday' }, async ({ page, app }) => {
  await open(page, app);
  // Walk: slash takes to the line, arrows go through the rows, Enter corrects one.
  await page.keyboard.press('/');
  await expect(entry(page)).toBeFocused();
  await page.keyboard.type('36 mystery nut 20nm');
  await page.keyboard.press('Enter');
  await expect(await matched(page)).toContainText('72/74');
  await page.keyboard.press('ArrowUp');
  await expect(entry(page)).toHaveValue('36 mystery nut 20nm');
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowDown');
  const focused = () => page.evaluate(() => document.activeElement?.textContent ?? '');
  for (let i = 0; i < 80 && !(await focused()).includes('Mystery nut'); i++) await page.keyboard.press('ArrowDown');
  expect(await focused()).toContain('Mystery nut');
  await page.keyboard.press('Enter');
  await expect(entry(page)).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('13 mystery nut 20nm tried');
  await page.keyboard.press('Enter');
  await expect(await matched(page)).toContainText('73/74');

  // A station is pressed with the keyboard too.
  await tabTo(page, (e) => e?.getAttribute('data-station') === 'exhaust', 'the exhaust');
  await page.keyboard.press('Enter');
  await expect(sheet(page)).toContainText('Only exhaust');

  // Match by command: a fastener is found and its chain shown; the cure is pressed.
  await command(page, 'shock preload');
  await expect(chains(page)).toContainText('castellated ring 68');
  await tabTo(page, (e) => e?.textContent?.includes('Add it to the toolbox') === true, 'the cure', 200);
  await page.keyboard.press('Enter');
  await expect(await matched(page)).toContainText('74/74');

  await command(page, 'go to trip');
  await tabTo(
    page,
    (e) =>
      e instanceof HTMLInputElement &&
      e.closest('section')?.getAttribute('aria-label') === 'Across the plateau' &&
      e.labels?.[0]?.textContent?.includes('Track') === true,
    'kilometres on track',
    300,
  );
  await page.keyboard.press('Control+a');
  await page.keyboard.type('400');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('1850');

  await command(page, 'go to kit');
  await settled(page);
  await tabTo(page, (e) => e?.textContent?.trim() === 'By problem', 'the lists');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await tabTo(
    page,
    (e) => e?.textContent?.startsWith('Combination spanner 27') === true && e.tagName === 'BUTTON',
    'a piece',
  );
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: /^Without/u })).toContainText('axle nut');

  // Stow: found by name, moved by keys.
  const found = items(page).filter({ has: page.getByRole('button', { pressed: true }) });
  await command(page, 'plug spanner 16');
  await expect(found).toContainText('Plug spanner 16');
  await tabTo(page, (e) => e?.getAttribute('aria-label') === 'Move Plug spanner 16', 'its mover', 200);
  await page.keyboard.press('Enter');
  while (!(await focused()).includes('Tail bag')) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(place(page, 'Tail bag').getByRole('listitem').filter({ hasText: 'Plug spanner 16' })).toContainText(
    'placed by you',
  );
  await command(page, 'undo');
  await expect(found).not.toContainText('placed by you');
  await command(page, 'print the list');
  await expect(paper(page)).toContainText('Plug spanner 16');
});

test('Crew, Prove and Road with the keyboard alone', async ({ page, app }) => {
  await open(page, app);
  // Crew: somebody is added by a line.
  await command(page, 'go to crew');
  await tabTo(
    page,
    (e) => e instanceof HTMLInputElement && e.labels?.[0]?.textContent?.startsWith('Name, bike') === true,
    'the line',
    200,
  );
  await page.keyboard.type('Ada, enduro 250, tubes, handy');
  await page.keyboard.press('Enter');
  await sharedOut(page);
  await expect(page.getByRole('region', { name: 'Ada', exact: true })).toBeVisible();

  // Prove: a drill is begun, gone on with and left.
  await command(page, 'go to prove');
  await settled(page);
  await tabTo(page, (e) => e?.textContent?.trim().startsWith('Clutch lever broken') === true, 'a repair', 300);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Begin/u })).toBeVisible();
  await tabTo(page, (e) => e?.textContent?.trim().startsWith('Begin') === true, 'Begin');
  await page.keyboard.press('Enter');
  const drill = page.getByRole('dialog', { name: /^Drill: /u });
  await expect(drill).toHaveAttribute('data-step', '0');
  await page.keyboard.press('Space');
  await expect(drill).toHaveAttribute('data-step', '1');
  await tabTo(page, (e) => e?.textContent?.trim() === 'Leave for now', 'the way out');
  await page.keyboard.press('Enter');
  await expect(drill).toBeHidden();

  // Road: from what is seen to the next question.
  await command(page, 'go to road');
  await tabTo(page, (e) => e?.textContent?.trim() === 'A tyre is flat', 'what is seen', 200);
  await page.keyboard.press('Enter');
  await expect(title(page)).toHaveText('A tyre is flat');
  const asked = picture(page).getByRole('heading', { level: 2 });
  const first = (await asked.textContent())!;
  await tabTo(page, (e) => e?.textContent?.trim() === 'I cannot tell', 'an answer');
  await page.keyboard.press('Enter');
  await expect(asked).not.toHaveText(first);
});

test('an arrow that is pressed before a menu is there goes to its first item once it is', async ({ page, app }) => {
  let let_ = () => {};
  const gate = new Promise<void>((done) => (let_ = done));
  await page.route('**/OpenMenu-*.js', async (route) => {
    await gate;
    await route.continue();
  });
  await open(page, app);
  await page.getByTitle('Garages and settings').focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('menu')).toHaveCount(0);
  let_();
  await expect(page.getByRole('menuitem', { name: 'Demo garage (open)' })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('menuitem', { name: 'New empty garage' })).toBeFocused();
});
