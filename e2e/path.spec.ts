import { enter, expect, faultless, figure, goTo, isPhone, kitBy, matched, open, settled, test } from './fixtures';
import {
  chains,
  emptyGarage,
  entry,
  head,
  item,
  items,
  line,
  paper,
  picture,
  place,
  row,
  rows,
  saved,
  sheet,
  title,
  toolEntry,
} from './screen';

test('from a measured bike to a packed, printed kit', async ({ page, app }) => {
  await open(page, app);
  await expect(await matched(page)).toContainText('72/73');
  await expect(await figure(page, 'Gaps')).toContainText('1');

  // A new head that nothing in the toolbox turns: seen at once, before it is added.
  await entry(page).fill('36 mystery nut 20nm');
  await expect(page.getByText('as typed, not added yet')).toBeVisible();
  await expect(await figure(page, 'Gaps')).toContainText('+1');
  await entry(page).press('Enter');
  const nut = row(page, 'Mystery nut');
  await expect(nut).toContainText('gap');
  await expect(await matched(page)).toContainText('72/74');

  // It is corrected in the same line; the readout says what the correction did.
  await nut.click();
  await expect(entry(page)).toHaveValue(/^36 Mystery nut 20nm/);
  await entry(page).fill((await entry(page).inputValue()).replace('36', '13'));
  await entry(page).press('Enter');
  await expect(await matched(page)).toContainText('73/74');
  await expect(nut).not.toContainText('gap');

  // Undo and redo take the correction back and forth.
  await title(page).click();
  await page.keyboard.press('Control+z');
  await expect(nut).toContainText('gap');
  await page.keyboard.press('Control+Shift+z');
  await expect(nut).not.toContainText('gap');

  // Match: the gap has its reason and its cure.
  await goTo(page, 'Match');
  const card = chains(page);
  await sheet(page).getByRole('button', { name: 'Shock preload ring' }).click();
  await expect(card).toContainText('nothing in the toolbox turns castellated ring 68');
  await card.getByRole('button', { name: 'Add it to the toolbox' }).click();
  await expect(await matched(page)).toContainText('74/74');
  await expect(card.getByRole('img', { name: 'Hook spanner 68, on castellated ring 68' })).toBeVisible();
  await sheet(page).getByRole('button', { name: 'Spark plug' }).click();
  await expect(card.getByRole('img', { name: /on spark plug hex 16$/ })).toBeVisible();

  // Trip: a longer track raises the odds and the hours at stake.
  await goTo(page, 'Trip');
  const leg = page.getByRole('region', { name: 'Across the plateau' });
  await leg.getByLabel('Track, rock').fill('900');
  await leg.getByLabel('Track, rock').blur();
  await expect(page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Trip' })).toContainText(
    '2350',
  );
  await page.getByRole('button', { name: /^Puncture, tubed: 3/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Λ =');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('tab', { name: 'Spares', exact: true }).click();
  const enough = /([\d.]+) ?%/u.exec(await sheet(page).getByRole('paragraph').first().innerText())![1];
  expect(Number(enough)).toBeGreaterThanOrEqual(90);

  // Kit: proven, with the reason for each piece.
  await goTo(page, 'Kit');
  await expect(head(page)).toContainText('proven: no other kit is better for its weight');
  await page.getByRole('radio', { name: 'Lightest kit that fixes every likely problem' }).check();
  await expect(head(page)).toContainText('proven: no other kit that does this is lighter');
  await kitBy(page, 'By item');
  await line(page, 'Combination spanner 27').getByRole('button').first().click();
  await expect(page.getByRole('region', { name: /^Without/u })).toContainText('1 fastener is out of reach: axle nut');
  await expect(line(page, 'Hook spanner 68')).toContainText('only for shock preload ring');

  // Stow: a piece is moved, stays where it was put, and may go back to the rules.
  await goTo(page, 'Stow');
  const plug = item(page, 'Plug spanner 16');
  await plug.getByRole('button', { name: 'Move Plug spanner 16' }).click();
  await page.getByRole('menuitem', { name: 'Tail bag' }).click();
  await expect(place(page, 'Tail bag').getByRole('listitem').filter({ hasText: 'Plug spanner 16' })).toContainText(
    'placed by you',
  );
  const body = item(page, 'Combination spanner 27');
  await body.getByRole('button', { name: 'Move Combination spanner 27' }).click();
  await page.getByRole('menuitem', { name: "Rider's bum bag" }).click();
  const faults = page.getByRole('region', { name: 'Rules broken' });
  await expect(faults).toContainText('371 mm long, the longest that goes in is 287 mm');
  await faults.getByRole('button', { name: 'Place automatically' }).click();
  await expect(faults).toHaveCount(0);

  // Print: one page, everything in it once.
  const packed = await items(page).count();
  await page.goto(`${app.url}/print`);
  await expect(paper(page)).toContainText(`${packed} items`);
  await expect(paper(page)).toContainText('Plug spanner 16');
  await expect(paper(page)).toContainText('This kit reaches 74 of 74 fasteners');
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);

  // All of it was kept.
  await open(page, app);
  await expect(row(page, 'Mystery nut')).toBeVisible();
  await expect(saved(page)).toHaveText('Saved');
});

test(
  'what cannot be read stays in the line, underlined, with its reason',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await open(page, app);
    await entry(page).fill('t33 guard 45nn');
    // What is underlined under the field's own text is for the eyes alone.
    const underlined = entry(page).locator('..').getByRole('strong', { includeHidden: true });
    await expect(underlined).toHaveText(['t33', '45nn']);
    await expect(entry(page)).toHaveAccessibleDescription(/no six-lobe T33/u);
    const before = await rows(page).count();
    await entry(page).press('Enter');
    await expect(entry(page)).toHaveValue('t33 guard 45nn');
    await expect(rows(page)).toHaveCount(before);
    await entry(page).fill('2 ends 17 shock bolt 45nm sunk 60');
    await expect(entry(page)).toHaveAccessibleDescription(
      /^ends both the same size hex 17 name shock bolt torque 45 N·m access 60 mm deep at Suspension/u,
    );
    await expect(underlined).toHaveCount(0);
  },
);

test('an empty garage leads to the first bike and the first head', async ({ page, app }) => {
  await open(page, app);
  const menu = () => page.getByTitle('Garages and settings').click();
  await emptyGarage(page, 'My own');
  await page.getByRole('button', { name: 'Add this bike' }).click();
  await expect(page.getByRole('alert')).toContainText('name');
  await page.getByLabel(/^Name/).fill('Plover 300');
  await page.getByLabel('Front tyre').fill('80/100-21');
  await page.getByRole('button', { name: 'Add this bike' }).click();
  await expect(head(page)).toContainText('Start at the front axle');
  await enter(page, '24 axle nut 60nm');
  await expect(await matched(page)).toContainText('0/1');
  await goTo(page, 'Match');
  await page.getByRole('tab', { name: /Toolbox/ }).click();
  await toolEntry(page).fill('combination 24');
  await page.getByRole('button', { name: 'Add Combination spanner 24' }).click();
  await expect(await matched(page)).toContainText('1/1');
  await goTo(page, 'Kit');
  await kitBy(page, 'By item');
  await expect(sheet(page).getByRole('listitem')).toHaveCount(1);

  // Rename, switch, delete, bring back.
  await menu();
  await page.getByRole('menuitem', { name: 'Rename this garage' }).click();
  await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('Plover shed');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(page.getByTitle('Garages and settings')).toHaveText('Plover shed');
  await menu();
  await page.getByRole('menuitem', { name: 'Demo garage' }).click();
  await expect(await matched(page)).toContainText('72/73');
  await menu();
  await page.getByRole('menuitem', { name: 'Plover shed' }).click();
  await expect(page.getByTitle('Garages and settings')).toHaveText('Plover shed');
  await menu();
  await page.getByRole('menuitem', { name: 'Delete this garage' }).click();
  await expect(page.getByTitle('Garages and settings')).toHaveText('Demo garage');
  await menu();
  await page.getByRole('menuitem', { name: 'Bring back Plover shed' }).click();
  await expect(await matched(page)).toContainText('1/1');
  if (!isPhone(page)) await expect(page.getByTitle('Choose the bike')).toHaveText('Plover 300');
  await settled(page);
});

test(
  'first hour: from an empty garage to a priced, packed and printed kit without a dead end',
  { tag: '@everyday' },
  async ({ page, app }) => {
    test.slow();
    await open(page, app);
    await emptyGarage(page, 'First hour');
    await faultless(page, 'the first bike');
    await page.getByRole('button', { name: 'Look around with a sample bike' }).click();
    await expect(rows(page).first()).toBeVisible();
    await settled(page);
    // Each stage says which is next.
    await page.getByRole('link', { name: 'Next: Match, find tools for it' }).click();
    await expect(title(page)).toHaveText('What your tools reach');
    await goTo(page, 'Trip');
    await expect(page.locator('body')).toContainText('Three answers are enough to begin');
    await faultless(page, 'a trip in three answers');
    await page.getByRole('radio', { name: /^A week seven/ }).check();
    await page.getByRole('radio', { name: /^Hills and forest/ }).check();
    await page.getByRole('radio', { name: /^Alone/ }).check();
    await expect(page.getByRole('status').filter({ hasText: 'strands you' })).toContainText('1200 km');
    await page.getByRole('button', { name: 'Plan this trip' }).click();
    await expect(page.getByLabel('Trip', { exact: true })).toHaveValue('A week, hills and forest');
    await settled(page);
    // No tool is entered: the kit is what could be bought, with its price; what is owned is ticked off.
    await goTo(page, 'Kit');
    await expect(picture(page)).toContainText('Your toolbox is empty, so this is the best kit that you could buy');
    await page.getByRole('button', { name: 'To buy', exact: true }).click();
    await settled(page);
    const own = page.getByRole('button', { name: /^I own / });
    const name = (await own.first().getAttribute('aria-label'))!.replace('I own ', '');
    const before = await own.count();
    await own.first().click();
    await settled(page);
    await expect(page.getByRole('button', { name: `I own ${name}`, exact: true })).toHaveCount(0);
    expect(await own.count()).toBeGreaterThan(0);
    expect(await own.count()).toBeLessThanOrEqual(before + 3);
    await goTo(page, 'Stow');
    await expect(item(page, name).first()).toBeVisible();
    if (!isPhone(page)) {
      await page.keyboard.press('?');
      await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toContainText(
        'Move a place on the drawing',
      );
      await page.keyboard.press('Escape');
    }
    await page.getByRole('link', { name: 'Print the list' }).click();
    await expect(paper(page)).toContainText(name);
  },
);
