import { readFile } from 'node:fs/promises';
import { choose, expect, faultless, figure, goTo, isPhone, kitBy, kitMode, open, settled, test } from './fixtures';
import { beginning, head, line, picture, sheet } from './screen';

const kilograms = (text: string) => Number.parseFloat(/([\d.]+)\s*kg/.exec(text)![1]!);

test(
  'the limit is dragged on the curve; kit, lists and readout follow it',
  { tag: '@everyday' },
  async ({ page, app }) => {
    test.slow();
    await open(page, app, '/kit');
    // The first question is the best kit for its weight: its handle is the knee, and dragging it moves the knee.
    const knee = page.getByRole('slider', { name: 'Weight of the kit' });
    await expect(knee).toBeVisible({ timeout: 60_000 });
    await expect(page.getByLabel('100 g must save (min)')).toHaveValue('1.20');
    const kneeKg = kilograms(await (await figure(page, 'Kit')).innerText());
    expect(Math.abs(Number(await knee.getAttribute('aria-valuenow')) / 1000 - kneeKg)).toBeLessThan(0.05);
    await knee.focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown');
    await settled(page);
    expect(kilograms(await (await figure(page, 'Kit')).innerText())).toBeLessThan(kneeKg);
    await expect(page.getByRole('radio', { name: 'Best kit for its weight' })).toBeChecked();
    expect(Number(await page.getByLabel('100 g must save (min)').inputValue())).toBeGreaterThan(1.2);
    // The lightest kit follows no handle, and shows none.
    await page.getByRole('radio', { name: 'Lightest kit that fixes every likely problem' }).check();
    await expect(knee).toHaveCount(0);
    await expect(page.getByRole('heading', { name: /^Dropped first below/u })).toHaveCount(0);
    await page.getByRole('radio', { name: 'Best kit under a weight limit' }).check();
    const slider = page.getByRole('slider', { name: 'Weight limit of the kit' });
    await expect(slider).toBeVisible({ timeout: 60_000 });
    // Nothing below the curve or above its bound: the picture says how sure it is, and the nested kits stand on it.
    const curve = page.getByRole('group', { name: 'Weight of the kit against what it saves' });
    await expect(curve.getByRole('img', { name: / saved$/u })).toHaveCount(4, { timeout: 90_000 });
    await expect(picture(page)).toContainText(/100 g more would save less than [\d.]+ min/);
    const saved = async () => Number(/([\d.]+) h saved/.exec((await slider.getAttribute('aria-valuetext')) ?? '')![1]);
    const before = await saved();

    // While the finger is down the lists are those of the limit under it; nothing is asked of the server.
    const box = (await slider.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const limit = async () => Number(await slider.getAttribute('aria-valuenow'));
    const from = await limit();
    await page.mouse.move(x, y);
    await page.mouse.down();
    // A first stretch tells how many grams a point of the screen is.
    await page.mouse.move(x - 40, y, { steps: 3 });
    await expect.poll(limit).toBeLessThan(from);
    const first = await limit();
    await page.mouse.move(x - 40 - (40 * (first - 2000)) / (from - first), y, { steps: 6 });
    await expect(sheet(page)).toContainText(/With this limit\s*(?:1\.9\d kg|2\.0\d kg|2 kg)/u);
    expect(await saved()).toBeLessThan(before);
    // The readout speaks of it as well, with what it changes.
    await expect(await figure(page, 'Kit')).toContainText(/1\.9\d|2\.0\d/);
    await page.mouse.up();
    await settled(page);
    await expect(page.getByRole('radio', { name: 'Best kit under a weight limit' })).toBeChecked();
    expect(kilograms(await (await figure(page, 'Kit')).innerText())).toBeLessThanOrEqual(2.05);
    await expect(head(page)).toContainText(/proven: nothing saves more|from proven/);

    // The same with keys, and back.
    await slider.focus();
    await page.keyboard.press('PageUp');
    await settled(page);
    const more = kilograms(await (await figure(page, 'Kit')).innerText());
    expect(more).toBeGreaterThan(2.05);
    expect(more).toBeLessThanOrEqual(2.55);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect(kilograms(await (await figure(page, 'Kit')).innerText())).toBeLessThanOrEqual(2.05);
    await expect(page.getByRole('heading', { name: /^Dropped first below/u })).toBeVisible();
    await page.getByRole('button', { name: 'How this is calculated' }).click();
    await expect(page.getByRole('dialog')).toContainText('exact problems solved');
    await page.keyboard.press('Escape');
    await faultless(page, 'the curve');
  },
);

test('a trouble is opened to its ways as steps; a fault is searched; a way of one’s own joins in', async ({
  page,
  app,
}) => {
  await open(page, app, '/kit');
  await sheet(page)
    .getByRole('button', { name: /^Puncture, tubed/u })
    .click();
  const card = page.getByRole('dialog', { name: 'Puncture, tubed' });
  await expect(card).toContainText('Break the axle loose while the bike stands on its wheels');
  await expect(card.getByRole('region').filter({ hasText: 'This kit does it.' }).first()).toContainText(
    'Patch the tube',
  );
  await expect(card.getByRole('listitem').filter({ hasText: 'rear axle' }).first()).toContainText(
    'Combination spanner 27',
  );
  await expect(card).toContainText('Props slip: keep everybody out from under a lifted bike.');
  await faultless(page, 'a mend as steps');
  await card.getByRole('button', { name: 'Close' }).click();

  await kitMode(page, 'Repairs');
  await page.getByRole('button', { name: 'It overheats' }).click();
  await page.getByRole('button', { name: 'none' }).first().click();
  await page.getByRole('button', { name: 'yes' }).click();
  await expect(page.getByText('Most likely: Overheats: mud, fan or low coolant')).toBeVisible();
  await page.getByRole('button', { name: 'How to repair it' }).click();
  await expect(page.getByRole('dialog')).toContainText(
    'Hot coolant scalds: open the cooling system only when it is cold.',
  );
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();

  await page.getByRole('button', { name: 'Write your own' }).click();
  const form = page.getByRole('form', { name: 'A repair of your own' });
  await choose(form.getByLabel('For', { exact: true }), 'chain');
  await form.getByLabel('Name of the method').fill('Wire for a link');
  await form.getByLabel('Steps to take it apart, one per line').fill('Press the link out {nothing}');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toContainText('no fastener has the job "nothing"');
  await form
    .getByLabel('Steps to take it apart, one per line')
    .fill('Three turns of wire through the plates <wire> [grip]');
  await form.getByRole('button', { name: 'Save' }).click();
  await page.getByLabel('Find a repair').fill('wire for a link');
  await picture(page)
    .getByRole('button', { name: /^Chain broken/u })
    .click();
  await expect(page.getByRole('dialog', { name: 'Chain broken' })).toContainText('Wire for a link');
  await page.keyboard.press('Escape');
  await faultless(page, 'mends');
});

test('the fit sheet is read once, and what does not fit or keep counts no more', async ({ page, app }) => {
  await open(page, app, '/kit');
  await kitMode(page, 'Part specs');
  await expect(page.getByRole('row', { name: /core: short or long/u })).toContainText('one spare serves all of these');
  const link = page.getByRole('group', { name: 'Joining links' });
  await expect(link).toContainText('serves Quarrel 450');
  await link.getByLabel('Made for').fill('525, rivet');
  await link.getByLabel('Made for').press('Tab');
  await expect(link).toContainText('made for 525, rivet');
  await page.getByLabel('chain of Quarrel 450').fill('525 rivet');
  await page.getByLabel('chain of Quarrel 450').press('Tab');
  await expect(link).toContainText('serves Quarrel 450');
  const patches = page.getByRole('group', { name: 'Tube patches' });
  await expect(patches).toContainText('keeps until 2029-03-02');
  await patches.getByLabel('Opened').fill('2020-01-05');
  await expect(patches).toContainText('past its date since 2020-07-05');
  await faultless(page, 'the fit sheet');
  await kitBy(page, 'To buy');
  await expect(sheet(page)).toContainText('Tube patches');
});

test('kits are kept, compared, frozen, packed again; the list by habit stands on the curve', async ({ page, app }) => {
  test.slow();
  await open(page, app, '/kit');
  await kitMode(page, 'Saved kits');
  await page.getByLabel('Name', { exact: true }).fill('Plateau kit');
  await page.getByRole('button', { name: 'Save this kit' }).click();
  const kept = page.getByRole('article', { name: 'Plateau kit' });
  const figures = kept.getByRole('paragraph').first();
  const facts = await figures.innerText();
  await kept.getByRole('button', { name: 'Lock' }).click();
  await expect(kept).toContainText('locked');
  await expect(kept.getByRole('button', { name: 'Edit' })).toHaveCount(0);

  await page.getByRole('button', { name: 'Enter what you carry now' }).click();
  const form = page.getByRole('form', { name: 'A packing list by hand' });
  for (const piece of ['Hand pump', 'Combination pliers 160'])
    await form
      .getByRole('checkbox', { name: beginning(piece) })
      .first()
      .check();
  await form.getByRole('textbox', { name: 'Tube patches' }).fill('4');
  await form.getByRole('button', { name: 'Save' }).click();
  const habit = page.getByRole('article', { name: 'What I carry now' });
  await expect(habit).toContainText(/2 tools,\s+1 spare/);
  await choose(page.getByLabel('Second'), 'What I carry now');
  const compared = page.getByRole('region', { name: 'Side by side' });
  await expect(compared).toContainText('gets home unaided');
  // What is in one of them only.
  await expect(compared.getByRole('row').filter({ hasText: '–' }).first()).toBeVisible();
  await faultless(page, 'kept kits');

  const [csv] = await Promise.all([page.waitForEvent('download'), kept.getByRole('button', { name: 'CSV' }).click()]);
  const lines = (await readFile(await csv.path(), 'utf8')).trim().split('\r\n');
  expect(lines[0]).toContain('grams of one');
  const [json] = await Promise.all([page.waitForEvent('download'), kept.getByRole('button', { name: 'JSON' }).click()]);
  const read = JSON.parse(await readFile(await json.path(), 'utf8')) as { pieces: unknown[]; supplies: unknown[] };
  expect(lines).toHaveLength(1 + read.pieces.length + read.supplies.length);

  // Packed as it is: the readout speaks of it; a change of the trip leaves a kept kit's own numbers alone.
  await habit.getByRole('button', { name: 'Pack it as it is' }).click();
  await settled(page);
  await kitMode(page, 'How much');
  await expect(head(page)).toContainText('as saved: What I carry now');
  await expect(page.getByRole('group', { name: 'Weight of the kit against what it saves' })).toContainText(
    'Plateau kit',
    {
      timeout: 90_000,
    },
  );
  await goTo(page, 'Trip');
  await page.getByLabel('Companions').first().fill('0');
  await page.keyboard.press('Tab');
  await settled(page);
  await goTo(page, 'Kit');
  await kitMode(page, 'Saved kits');
  await expect(figures).toHaveText(facts);
  await kept.getByRole('button', { name: 'Pack it as it is' }).click();
  await settled(page);
  await expect(await figure(page, 'Kit')).toContainText(facts.trim().split(' ')[0]!);
});

test('practice and measures before leaving, each with what it does here', async ({ page, app }) => {
  test.slow();
  await open(page, app, '/kit');
  await kitMode(page, 'Preferences');
  await choose(page.getByLabel('What makes the air'), 'electric pump');
  await settled(page);
  await kitBy(page, 'By item');
  await expect(line(page, 'Electric pump')).toBeVisible();
  await choose(page.getByLabel('Where the kit lives'), 'on the back');
  await settled(page);
  await kitBy(page, 'By place');
  await expect(sheet(page)).toContainText('No place yet');
  if (!isPhone(page)) {
    await page.getByRole('button', { name: 'Compare their effect' }).click();
    const cost = picture(page)
      .getByRole('button', { name: /at risk|under a minute/u })
      .first();
    await expect(cost).toBeVisible({ timeout: 90_000 });
    await cost.click();
    await expect(page.getByRole('dialog')).toContainText('each worked out as a whole');
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  }
  await choose(page.getByLabel('Levers clamped so that they turn in a fall'), 'done');
  await settled(page);
  await kitBy(page, 'By item');
  await expect(sheet(page)).toContainText('Done before leaving');
  await faultless(page, 'practice');
});

test('how often a thing comes is written by hand, and the kit says what hangs on such figures', async ({
  page,
  app,
}) => {
  await open(page, app, '/kit');
  await kitMode(page, 'Repairs');
  await picture(page)
    .getByRole('button', { name: /^Chain broken/u })
    .click();
  const card = page.getByRole('dialog');
  const facts = card.getByRole('paragraph').first();
  const before = await facts.innerText();
  await card.getByRole('button', { name: 'How often it comes' }).click();
  await card.getByLabel('How often, track').fill('2');
  await card.getByLabel('How often, track').press('Tab');
  await settled(page);
  await expect(facts).not.toHaveText(before);
  await faultless(page, 'rates of a repair');
  await card.getByRole('button', { name: /^Typical/ }).click();
  await settled(page);
  await expect(facts).toHaveText(before);
  await card.getByRole('button', { name: 'Close' }).first().click();
  await kitMode(page, 'How much');
  const sure = page.getByRole('region', { name: 'How sure is this?' });
  await sure.getByRole('button', { name: 'Check it' }).click();
  await expect(sure).toContainText(/\d+ of\s+\d+ items stay/, { timeout: 90_000 });
  await expect(sure).toContainText('all rates × 3');
  await faultless(page, 'how sure');
});

test('a kind of spare of one’s own is packed always, used by an own repair, and never under a name that is taken', async ({
  page,
  app,
}) => {
  await open(page, app, '/kit');
  await kitMode(page, 'Part specs');
  const kinds = page.getByRole('region', { name: 'Your own kinds of spare' });
  await kinds.getByRole('button', { name: 'Add a kind' }).click();
  await kinds.getByLabel('Name of the spare').fill('fuse');
  await kinds.getByRole('button', { name: 'Save' }).click();
  await expect(kinds).toContainText('There is already a kind with this name');
  await kinds.getByLabel('Name of the spare').fill('brake hose');
  await kinds.getByLabel('It must match the bike').check();
  await kinds.getByRole('button', { name: 'Save' }).click();
  await expect(kinds).toContainText('brake hose');
  await page
    .getByLabel(/^brake hose of/)
    .first()
    .fill('900 long');
  await page
    .getByLabel(/^brake hose of/)
    .first()
    .press('Tab');
  await choose(page.getByLabel('Add a spare'), 'Brake hose');
  await page.getByRole('button', { name: 'Add it' }).click();
  const mine = page.getByRole('group', { name: 'brake hose' });
  await mine.getByLabel('Made for').fill('700 long');
  await mine.getByLabel('Made for').press('Tab');
  // It is no spare of the bike whose sheet says 900; of the other one nobody knows.
  await expect(mine).toContainText('serves Carrack 1100');
  await expect(mine).not.toContainText('serves Quarrel 450');
  await mine.getByLabel('Made for').fill('900 long');
  await mine.getByLabel('Made for').press('Tab');
  await choose(mine.getByRole('combobox', { name: 'In the kit' }), 'always');
  await expect(mine).toContainText('always packed: 50 g');
  await faultless(page, 'own kinds');
  await settled(page);
  await kitBy(page, 'By item');
  await expect(sheet(page)).toContainText('brake hose');
  // A tube that the tyre does not take is said where it is read.
  await page
    .getByLabel(/^tube front of/)
    .first()
    .fill('120/90-18');
  await page
    .getByLabel(/^tube front of/)
    .first()
    .press('Tab');
  await expect(page.getByRole('alert')).toContainText('no spare counts for it');
});

test(
  'the curve and the steps beside it speak of the weight of the very kit that is shown',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await open(page, app, '/kit');
    const mass = /([\d.]+ kg)/u.exec((await head(page).textContent()) ?? '')?.[1];
    expect(mass).toBeDefined();
    await expect(picture(page)).toContainText(`Above ${mass}`);
    await expect(page.getByRole('heading', { name: /^Dropped first below/ })).toHaveText(
      new RegExp(`below ${mass!.replace('.', '\\.')}$`, 'iu'),
    );
  },
);

test('what stays at home says why, and is taken anyway by a press', async ({ page, app }) => {
  await open(page, app, '/kit');
  await kitBy(page, 'At home');
  const left = sheet(page).getByRole('list', { name: 'Left at home' }).getByRole('listitem');
  await expect(left.first()).toContainText(
    /the kit turns|not worth its weight|does the same|needs it|turns nothing|only for|never/u,
  );
  const mass = kilograms(await (await figure(page, 'Kit')).innerText());
  const take = page.getByRole('button', { name: 'Take Multimeter anyway' });
  const meter = left.filter({ has: take });
  await expect(meter).toContainText(/in the kit does the same|nothing that this kit repairs needs it/u);
  await faultless(page, 'what stays at home');
  await take.click();
  await settled(page);
  // What it does something else need not do now: that may stay at home in its place.
  await expect(meter).toHaveCount(0);
  expect(kilograms(await (await figure(page, 'Kit')).innerText())).toBeGreaterThan(mass);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await settled(page);
  await expect(meter).toHaveCount(1);
});
