import { enter, expect, faultless, figure, goTo, open, settled, test } from './fixtures';
import { freshBike, stored } from './survey';
import { emptyGarage, entry, head, picture, readout, row, saved, sheet, title, told, toolEntry } from './screen';

test(
  'a trip without legs, a head and no tools: every stage says what is missing, and none says more than is known',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await freshBike(page, app);
    await enter(page, '24 axle nut');
    await goTo(page, 'Trip');
    await page.getByRole('button', { name: 'Start with an empty trip' }).click();
    for (const reload of [false, true]) {
      if (reload) await page.reload();
      await settled(page);
      await expect(page.getByRole('alert')).toHaveCount(0);
      await expect(page.locator('body')).not.toContainText(/undefined|NaN|Cannot read/);
      await expect(await figure(page, 'Gets home unaided')).toContainText('–no legs yet');
      await expect(await figure(page, 'Hours at risk')).toContainText('–');
    }
    // A toolbox whose pieces turn none of the heads proves nothing either.
    await goTo(page, 'Match');
    await page.getByRole('tab', { name: /^Toolbox/ }).click();
    await toolEntry(page).fill('socket 1/4 8');
    await toolEntry(page).press('Enter');
    await goTo(page, 'Kit');
    await expect(picture(page)).toContainText('Nothing to carry yet');
    await expect(head(page)).not.toContainText(/100|proven/);
    await goTo(page, 'Stow');
    await expect(head(page)).toContainText('This bike has no places yet');
    // A bike has the places that its rider says it has, in one press each.
    expect((await stored(page, app)).places).toEqual([]);
    await page.getByText('Tail bag', { exact: true }).click();
    await page.getByText('Tool roll under the seat', { exact: true }).click();
    await page.getByRole('button', { name: 'Add 2 places' }).click();
    await expect(page.getByRole('region', { name: 'Tail bag', exact: true })).toBeVisible();
    expect((await stored(page, app)).places.map((p) => p.name).sort()).toEqual([
      'Tail bag',
      'Tool roll under the seat',
    ]);
  },
);

test('a row that the server refuses is named and waits beside the others', async ({ page, app }) => {
  await freshBike(page, app);
  let refuse = true;
  await page.route('**/api/garages/*/edits', async (route) => {
    const body = route.request().postData() ?? '';
    // A whole request is refused: the page finds out which edit is to blame.
    if (refuse && body.includes('Bad nut'))
      await route.fulfill({
        status: 422,
        contentType: 'application/json',
        body: JSON.stringify({ error: { code: 'invalid', message: 'cannot be read', path: 'edits' } }),
      });
    else await route.continue();
  });
  await enter(page, '13 bad nut');
  await enter(page, '10 good nut');
  const alert = page.getByRole('alert').filter({ hasText: 'Bad nut' });
  await expect(alert).toContainText('could not be saved');
  await enter(page, '12 better nut');
  await expect
    .poll(async () => (await stored(page, app)).fasteners.map((f) => f.name).sort())
    .toEqual(['Better nut', 'Good nut']);
  refuse = false;
  await alert.getByRole('button', { name: 'Retry' }).click();
  await expect(alert).toHaveCount(0);
  await expect
    .poll(async () => (await stored(page, app)).fasteners.map((f) => f.name).sort())
    .toEqual(['Bad nut', 'Better nut', 'Good nut']);
});

test('what is typed and pushed aside is offered back; a row pressed twice keeps its correction', async ({
  page,
  app,
}) => {
  await freshBike(page, app);
  await enter(page, '13 stay bolt');
  await enter(page, '10 guard bolt');
  await row(page, 'Stay bolt').click();
  await expect(entry(page)).toHaveValue(/^13 Stay bolt/);
  await entry(page).fill('14 Stay bolt 30nm');
  // The same row again: the line keeps what is in it.
  await row(page, 'Stay bolt').click();
  await expect(entry(page)).toHaveValue('14 Stay bolt 30nm');
  await page.getByRole('button', { name: 'Edit as text' }).click();
  await expect(entry(page)).toHaveValue('14 Stay bolt 30nm');
  await expect(entry(page)).toBeFocused();
  // Another row: what was typed is set aside, and comes back.
  await row(page, 'Guard bolt').click();
  await expect(entry(page)).toHaveValue(/^10 Guard bolt/);
  await told(page, '14 Stay bolt 30nm');
  await page.getByRole('button', { name: 'Continue' }).click();
  await expect(entry(page)).toHaveValue('14 Stay bolt 30nm');
  await entry(page).press('Enter');
  await expect
    .poll(async () => (await stored(page, app)).fasteners.find((f) => f.name === 'Stay bolt')?.head.size)
    .toBe('14');
});

test('services and the record keep what is written into them', async ({ page, app }) => {
  await open(page, app, '/trip');
  await page.getByRole('tab', { name: 'Service', exact: true }).click();
  const first = sheet(page).getByRole('group').first();
  await first.getByRole('button').first().click();
  const detail = page.getByRole('group', { name: /^Change /u });
  await detail.getByLabel('Uses up').fill('clean rag');
  await detail.getByLabel('Uses up').press('Tab');
  await expect(detail.getByLabel('Uses up')).toHaveValue('clean rag');
  await detail.getByLabel('Name', { exact: true }).fill('Oil and a look');
  await detail.getByLabel('Name', { exact: true }).press('Tab');
  await expect(first).toContainText('Oil and a look');
  await page.reload();
  await settled(page);
  await page.getByRole('tab', { name: 'Service', exact: true }).click();
  await expect(first).toContainText('Oil and a look');
});

test('a repair that finds no fastener with its job leads to the one press that marks it', async ({ page, app }) => {
  await freshBike(page, app);
  await enter(page, '17 mystery one');
  // A page that is left at once has not stored what was typed last.
  await expect.poll(async () => (await stored(page, app)).fasteners.length).toBe(1);
  await page.goto(`${app.url}/walk?mark=rear%20axle`);
  await page.getByLabel('Which fastener is the rear axle?').click();
  await page.getByRole('option', { name: /Mystery one/ }).click();
  await expect.poll(async () => (await stored(page, app)).fasteners[0]?.role).toBe('rear axle');
  await expect(page).toHaveURL(/\/walk$/);
});

test('inch units reach the limits of a field, temperatures and the tank', async ({ page, app }) => {
  await open(page, app, '/trip');
  await page.getByTitle('Garages and settings').click();
  await page.getByRole('menuitem', { name: 'Inch units' }).click();
  await expect(page.getByLabel('By day (°F)').first()).toHaveValue(/^\d+$/);
  await page.getByLabel('By day (°F)').first().fill('900');
  await page.getByLabel('By day (°F)').first().press('Tab');
  await expect(page.getByText('−40 to 140 °F')).toBeVisible();
  await page.getByRole('tab', { name: 'Service', exact: true }).click();
  await expect(sheet(page)).toContainText(/tank \d+\.\d gal/);
});

test('in inch units no stage, tab or reason keeps a metric figure', async ({ page, app }) => {
  // Every tab of every stage, each worked out to its end.
  test.slow();
  const metric = /\d ?(N·m|N on|kg|km|kPa|°C|mL|g)(?![\p{L}·])/u;
  await open(page, app, '/walk');
  await page.getByTitle('Garages and settings').click();
  await page.getByRole('menuitem', { name: 'Inch units' }).click();
  // A cartridge is called by the grams that are stamped on it.
  const leftovers = async () =>
    (await page.locator('body').innerText()).split('\n').filter((l) => metric.test(l) && !/cartridge/i.test(l));
  for (const stage of ['Walk', 'Match', 'Trip', 'Kit', 'Stow', 'Prove', 'Road']) {
    await goTo(page, stage);
    expect(await leftovers(), stage).toEqual([]);
    for (const tab of await page.getByRole('tab').all()) {
      await tab.click();
      await settled(page);
      expect(await leftovers(), `${stage}, ${await tab.innerText()}`).toEqual([]);
    }
  }
  // A head that nothing turns for want of torque says so in pounds and feet, and so does where its torque comes from.
  await page.goto(`${app.url}/walk`);
  await enter(page, '27 frame anchor 332lbft rusted m16');
  await settled(page);
  await row(page, 'Frame anchor').first().click();
  const anchor = page.getByRole('region', { name: 'Frame anchor' });
  await expect(anchor).toContainText(/breaking loose takes 730\.\d lb·ft, .* bears \d+\.\d lb·ft/);
  expect(await leftovers()).toEqual([]);
  await anchor.getByRole('button', { name: /lb·ft$/u }).click();
  await expect(page.getByRole('dialog')).toContainText('332.0 lb·ft (user) × 2.2 rusted');
});

test('a new garage shows no figure of the one before', async ({ page, app }) => {
  await open(page, app);
  await emptyGarage(page, 'Mine');
  await expect(readout(page)).not.toContainText(/\d/);
  await settled(page);
  await expect(readout(page)).not.toContainText(/\d/);
  // A number that is being typed keeps the last drawing, and is marked where it stands.
  await page.getByLabel('Rear tyre').fill('160/60ZR1');
  await expect(page.getByRole('alert')).toContainText('160/60ZR17');
  await expect(picture(page).getByRole('group', { name: /side view$/u })).toBeVisible();
  await page.getByLabel('Rear tyre').fill('160/60ZR17 M/C');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('must-haves are in every kit, one press each, and say what stands in their way', async ({ page, app }) => {
  await open(page, app, '/kit');
  const ask = page.getByRole('combobox', { name: 'I must be able to …' });
  const musts = page.getByRole('region', { name: 'What the kit must do' }).getByRole('listitem');
  await ask.click();
  await page.getByRole('option', { name: 'take both wheels out' }).click();
  await settled(page);
  await expect(musts).toHaveText(['turn the front axle', 'turn the rear axle']);
  await ask.fill('chain broken');
  await page.getByRole('option', { name: 'repair: chain broken' }).click();
  await settled(page);
  await expect(musts).toHaveCount(3);
  await expect(ask).toHaveValue('');
  await page.getByRole('button', { name: 'Remove: turn the front axle' }).click();
  await expect(musts).toHaveCount(2);
  // A garage of one bolt has no axle to turn; the sentence leads to where one is marked.
  await page.goto(`${app.url}/walk?mark=front%20axle`);
  await expect(page.getByRole('combobox', { name: 'Which fastener is the front axle?' })).toBeInViewport();
});

test(
  'an empty stage says what it will show, with a picture of it filled, and leads to the one thing to do now',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await freshBike(page, app);
    for (const [stage, shows, act, heading] of [
      ['Match', 'green where a tool of yours turns it', 'Measure the first fastener', 'Walk the bike'],
      ['Kit', 'how much kit is enough', 'Measure the first fastener', 'Walk the bike'],
      ['Crew', 'shared out here between all who ride along', 'Plan a trip', 'What this ride can do to this bike'],
      ['Prove', 'which repairs you have really done', 'Plan a trip', 'What this ride can do to this bike'],
    ] as const) {
      await goTo(page, stage);
      await expect(picture(page)).toContainText(shows);
      await expect(picture(page).getByRole('img', { name: /^Example:/ })).toBeVisible();
      await faultless(page, `${stage}, empty`);
      await page.getByRole('link', { name: act }).click();
      await expect(title(page)).toHaveText(heading);
    }
  },
);

test('money is shown in the currency that one chose, by the rate that one typed', async ({ page, app }) => {
  await open(page, app, '/match?tab=drawer');
  await page.goto(`${app.url}/kit`);
  await settled(page);
  const worth = async () => {
    const text = (await head(page).textContent()) ?? '';
    return /worth (\d+) (\S+?)[.,]/u.exec(text)?.slice(1) ?? [];
  };
  const [euros, sign] = await worth();
  expect(sign).toBe('€');
  await page.getByTitle('Garages and settings').click();
  await page.getByRole('menuitem', { name: /^Currency/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Currency' });
  await dialog.getByLabel('Show money in').fill('US Dollar');
  await page.getByRole('option', { name: /USD/ }).click();
  await dialog.getByLabel(/^One euro is how many/).fill('-2');
  await expect(dialog).toContainText('Enter a number from');
  await expect(dialog.getByRole('button', { name: 'Save' })).toBeDisabled();
  await dialog.getByLabel(/^One euro is how many/).fill('1,25');
  await faultless(page, 'the currency');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(head(page)).toContainText(`${Math.round(Number(euros) * 1.25)} $`);
  // A limit typed in dollars is stored in euros, and is the same number again.
  await page.getByRole('tab', { name: 'Preferences' }).click();
  const limit = page.getByLabel('Value in the bag, at most ($)');
  await limit.fill('500');
  await limit.press('Tab');
  await expect(saved(page)).toHaveText('Saved');
  expect((await stored(page, app)).garage.practice.worth).toBe(400);
  await page.reload();
  await settled(page);
  await page.getByRole('tab', { name: 'Preferences' }).click();
  await expect(limit).toHaveValue('500');
});
