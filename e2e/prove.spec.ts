import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import ICAL from 'ical.js';
import { choose, expect, faultless, figure, goTo, isPhone, open, settled, test, type App } from './fixtures';
import { head, line, paper, rows, title, told } from './screen';

const run = (page: Page) => page.getByRole('dialog', { name: /^Drill: /u });
/** What a step, or the end of a drill, says largest. */
const says = (page: Page) => run(page).getByRole('heading', { level: 2 });
const percentOf = async (page: Page): Promise<number> =>
  Number(/\d+/u.exec((await (await figure(page, 'Ready')).textContent()) ?? '')![0]);
/** Opens Prove with a clock that can be turned on. */
async function openProve(page: Page, app: App, query = '') {
  await page.clock.install();
  await open(page, app, `/prove${query}`);
}
/** Begins the drill of a problem. */
async function begin(page: Page, name: string) {
  await page.getByRole('list', { name: 'Problems by the hours at risk' }).getByRole('button', { name }).click();
  await page.getByRole('button', { name: /^Begin/ }).click();
  await expect(run(page)).toHaveAttribute('data-state', 'running');
}
/** A step that takes some seconds, done by the spacebar. */
async function step(page: Page, seconds: number) {
  const at = Number(await run(page).getAttribute('data-step'));
  await page.clock.fastForward(seconds * 1000);
  await page.keyboard.press('Space');
  await expect(run(page)).toHaveAttribute('data-step', String(at + 1));
}
async function toTheEnd(page: Page, seconds: number) {
  while ((await run(page).getAttribute('data-state')) === 'running') await step(page, seconds);
}

test(
  'a repair is rehearsed step by step, and becomes proof, minutes and a watch',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await openProve(page, app);
    const before = await percentOf(page);
    await begin(page, 'Brake lever broken');
    // Cautions come first, then all that it takes with where it lies.
    await expect(run(page)).toContainText('If in doubt about the brakes, do not ride.');
    await expect(run(page).getByRole('definition').filter({ hasText: 'Brake lever' }).first()).toBeVisible();
    await expect(run(page)).toContainText('Get everything out and lay it down in reach');
    await faultless(page, 'a drill');
    await toTheEnd(page, 240);
    await expect(run(page)).toHaveAttribute('data-state', 'done');
    const steps = await run(page).getByRole('row').count();
    await expect(says(page)).toContainText(new RegExp(`Planned 24 min, first time ${steps * 4} min`));
    await expect(run(page)).toContainText(/Ready: \d+ % → \d+ %/);
    await expect(run(page)).toContainText(/is proven|are proven/);
    await faultless(page, 'the end of a drill');
    await run(page)
      .getByRole('checkbox', { name: /^Brake lever/ })
      .check();
    await run(page).getByRole('button', { name: 'Save' }).click();
    await settled(page);
    expect(await percentOf(page)).toBeGreaterThan(before);
    const row = page
      .getByRole('list', { name: 'Problems by the hours at risk' })
      .getByRole('button', { name: 'Brake lever broken' });
    await expect(row).toContainText('proven: New lever');
    // The planned minutes are joined with the own time, and the repair says so.
    await row.click();
    await expect(page.getByRole('dialog')).toContainText(`You took ${steps * 4} min`);
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('tab', { name: 'Watch list' }).click();
    await expect(line(page, 'Brake lever broken')).toContainText('in 50 km');
    // Kit shows it as part of the minutes.
    await goTo(page, 'Kit');
    await page.getByRole('tab', { name: 'Repairs' }).click();
    await page
      .getByRole('button', { name: /Brake lever broken/ })
      .first()
      .click();
    await expect(page.getByRole('dialog')).toContainText(/min for your own times/);
  },
);

test('pressed through in no time it proves nothing, and a dry run sets no time', async ({ page, app }) => {
  await openProve(page, app);
  const before = await percentOf(page);
  await begin(page, 'Battery flat');
  await toTheEnd(page, 0);
  await expect(says(page)).toHaveText('Only pressed through');
  await run(page).getByRole('button', { name: 'Close' }).click();
  expect(await percentOf(page)).toBe(before);
  await page
    .getByRole('list', { name: 'Problems by the hours at risk' })
    .getByRole('button', { name: 'Battery flat' })
    .click();
  await page.getByRole('checkbox', { name: /^Dry run/ }).check();
  await page.getByRole('button', { name: /^Begin/ }).click();
  await toTheEnd(page, 300);
  await expect(says(page)).toHaveText('Dry run done');
  await run(page).getByRole('button', { name: 'Close' }).click();
  expect(await percentOf(page)).toBe(before);
  await expect(
    page.getByRole('list', { name: 'Problems by the hours at risk' }).getByRole('button', { name: 'Battery flat' }),
  ).toContainText('dry run');
});

test('torn off, paused or left, a drill is taken up where it was', async ({ page, app }) => {
  await openProve(page, app);
  await begin(page, 'Clutch lever broken');
  await step(page, 60);
  await page.clock.fastForward(90_000);
  /** Seconds on the clock. */
  const clock = async () => {
    const [minutes, seconds] = (await page.getByRole('timer').textContent())!.trim().split(':').map(Number);
    return minutes! * 60 + seconds!;
  };
  await expect(page.getByRole('timer')).toHaveText(/^(?:2:[3-5]\d|3:\d\d)$/u);
  const ran = await clock();
  // The browser goes away in the middle of a step, and an hour goes by.
  await page.reload();
  await settled(page);
  await page.clock.fastForward(3_600_000);
  await told(page, 'A drill is open: Clutch lever broken');
  await page.getByRole('button', { name: 'Go on' }).first().click();
  await expect(run(page)).toHaveAttribute('data-state', 'paused');
  await expect(run(page)).toHaveAttribute('data-step', '1');
  // What ran before is kept, what ran without anybody is not.
  expect(Math.abs((await clock()) - ran)).toBeLessThan(60);
  await page.keyboard.press('p');
  await expect(run(page)).toHaveAttribute('data-state', 'running');
  await page.keyboard.press('Backspace');
  await expect(run(page)).toHaveAttribute('data-step', '0');
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Leave for now' }).click();
  await expect(run(page)).toBeHidden();
  await page.getByRole('button', { name: 'Go on' }).first().click();
  await expect(run(page)).toHaveAttribute('data-state', 'paused');
  await page.getByRole('button', { name: 'Stop the drill' }).click();
  await expect(says(page)).toHaveText('Stopped');
});

test('stuck asks why, and each reason becomes the fact that it is', async ({ page, app }) => {
  await openProve(page, app);
  await begin(page, 'Clutch lever broken');
  const stuck = async (reason: string) => {
    await page.keyboard.press('s');
    await page.getByRole('dialog', { name: 'Stuck' }).getByRole('button', { name: reason }).click();
  };
  const dialog = page.getByRole('dialog', { name: 'Stuck' });
  await stuck('It is somewhere else');
  await choose(dialog.getByRole('combobox', { name: 'Where it is' }), 'Tank bag');
  const what = await dialog.getByRole('combobox', { name: 'What', exact: true }).inputValue();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(run(page).getByRole('status')).toContainText('Its location is now Tank bag.');
  await stuck('I cannot get at it');
  await choose(dialog.getByRole('combobox', { name: 'What gets in the way' }), 'How far a handle swings');
  await dialog.getByRole('textbox', { name: 'Degrees' }).fill('35');
  await dialog.getByRole('textbox', { name: 'Degrees' }).press('Tab');
  await faultless(page, 'stuck');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await stuck('The tool does not fit');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(run(page).getByRole('status')).toContainText('is assumed again: measure it in Walk.');
  await stuck('I do not know how');
  await dialog.getByRole('textbox', { name: 'A step of my own' }).fill('Hold the perch with the other hand');
  await dialog.getByRole('button', { name: 'Add my step' }).click();
  await expect(run(page).getByRole('status')).toContainText('my way');
  await stuck('Something is missing');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(run(page).getByRole('status')).toContainText('missing from your kits');
  await settled(page);
  await page.getByRole('button', { name: 'Stop the drill' }).click();
  await expect(run(page).getByRole('listitem')).toHaveCount(5);
  await run(page).getByRole('button', { name: 'Close' }).click();
  // Each is where it belongs.
  await page.getByRole('tab', { name: 'Checks' }).click();
  await expect(page.getByRole('button', { name: /^Find or replace:/ })).toBeVisible();
  await goTo(page, 'Walk');
  await rows(page).filter({ hasText: 'Clutch lever' }).first().click();
  await expect(page.getByRole('main')).toContainText('35° swing');
  await page.getByRole('tab', { name: 'How it is known' }).click();
  await expect(page.getByRole('main')).toContainText('did not fit in a drill');
  await goTo(page, 'Kit');
  await page.getByRole('tab', { name: 'Repairs' }).click();
  await expect(page.getByRole('main')).toContainText('New lever, my way');
  expect(what.length).toBeGreaterThan(2);
});

test('which drill next fits the time that one has, and always something does', async ({ page, app }) => {
  await openProve(page, app);
  const offers = page.getByRole('list', { name: 'Most useful for your time' }).getByRole('button');
  const first = (await offers.first().textContent())!;
  await choose(page.getByRole('combobox', { name: 'I have' }), '30 min');
  for (const text of await offers.allTextContents()) {
    const minutes = /(\d+) min(?:\+|$)/u.exec(
      text
        .replace(/\s+/gu, ' ')
        .replace(/\+\d+ %/u, '')
        .trim(),
    );
    if (minutes) expect(Number(minutes[1])).toBeLessThanOrEqual(30);
  }
  await choose(page.getByRole('combobox', { name: 'I have' }), 'any');
  expect(await offers.first().textContent()).toBe(first);
  // The quickest way up leads into its drill.
  await head(page).getByRole('button').first().click();
  await expect(page.getByRole('button', { name: /^Begin/ })).toBeVisible();
  await faultless(page, 'a drill before it begins');
});

test('checks go by keys round the bike, have their days, and the gauge tells Air what it must show', async ({
  page,
  app,
}) => {
  await open(page, app, '/prove?tab=checks');
  await page.getByRole('button', { name: /^Walk round/ }).click();
  const pass = page.getByRole('dialog', { name: 'Before leaving' });
  const check = pass.getByRole('heading', { level: 2 });
  await expect(check).toHaveText('Throttle');
  await faultless(page, 'a round of checks');
  await page.keyboard.press('1');
  await expect(pass).toHaveAttribute('data-at', '1');
  const second = (await check.textContent())!;
  await page.keyboard.press('2');
  await pass.getByRole('textbox', { name: 'What was found' }).fill('clogged with dust');
  await page.keyboard.press('Enter');
  await expect(pass).toHaveAttribute('data-at', '2');
  await page.keyboard.press('3');
  await pass.getByRole('textbox', { name: 'Why it is skipped' }).fill('filled on the day');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  const checked = (name: string) => line(page, name).first();
  await expect(checked('Throttle')).toContainText('done');
  await expect(checked(second)).toContainText('found something');
  await expect(checked(second)).toContainText('clogged with dust');
  await expect(checked('filled on the day')).toContainText('skipped');
  // The day of leaving moves the days of the checks.
  await page.getByLabel('You leave on').fill('2030-05-20');
  await page.getByLabel('You leave on').blur();
  await expect(checked('Papers, money and numbers')).toContainText('2030-05-18');
  // Undone in one.
  await page.keyboard.press('Control+z');
  await expect(checked('Papers, money and numbers')).not.toContainText('2030');
  await line(page, 'Tyre gauge beside a good one').getByRole('button').first().click();
  const shows = page.getByRole('textbox', { name: 'Yours shows' });
  await shows.fill('215');
  await page.getByRole('textbox', { name: 'The good one shows' }).fill('200');
  await page.getByRole('textbox', { name: 'The good one shows' }).press('Tab');
  await page.getByRole('button', { name: 'Save both readings' }).click();
  await expect(checked('Tyre gauge beside a good one')).toContainText('done');
  // One's own check stands among them.
  await page.getByRole('button', { name: 'Add a check of your own' }).click();
  await page.getByRole('textbox', { name: 'What to look at' }).fill('Chain guide');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(checked('Chain guide')).toContainText(/before leaving|20\d\d-/u);
  await page.goto(`${app.url}/trip?tab=air`);
  await settled(page);
  await expect(page.getByRole('main')).toContainText('Your gauge shows 15 kPa too much');
  await expect(page.getByRole('main')).toContainText('for 200 kPa it must show 215 kPa');
});

test('what is watched is looked at by the odometer, until it is replaced', async ({ page, app }) => {
  await open(page, app, '/prove?tab=watch');
  const watch = line(page, 'Front wheel out and in');
  await expect(watch).toContainText('in 32 km');
  const clock = page.getByRole('textbox', { name: /^Odometer now/ });
  await clock.fill(String(Number(await clock.inputValue()) + 40));
  await clock.press('Tab');
  await expect(watch).toContainText('8 km overdue');
  await told(page, 'Look again: Front wheel out and in');
  await watch.getByRole('button', { name: 'Checked: fine' }).click();
  await expect(watch).toContainText('in 50 km');
  await page.getByRole('button', { name: 'Add to the watch list' }).click();
  const what = page.getByRole('textbox', { name: 'What to check again' });
  await expect(what).toBeFocused();
  await what.fill('Plugged rear tyre');
  await page.getByRole('textbox', { name: /^Good for/ }).fill('200');
  await page.getByRole('textbox', { name: /^At no more than/ }).fill('80');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const plug = line(page, 'Plugged rear tyre').filter({ has: page.getByRole('button', { name: 'Replaced' }) });
  await expect(plug).toContainText('Good for 200 km more, at no more than 80 km/h');
  await plug.getByRole('button', { name: 'Replaced' }).click();
  await expect(plug).toBeHidden();
  await expect(page.getByRole('main')).toContainText('Plugged rear tyre: replaced');
});

test('the calendar comes as a file, and again with the same ids', async ({ page, app }) => {
  await open(page, app, '/prove?tab=paper');
  const save = async () => {
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the calendar file' }).click();
    const file = await coming;
    expect(file.suggestedFilename()).toMatch(/\.ics$/u);
    const text = readFileSync(await file.path(), 'utf8');
    return new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
  };
  const first = await save();
  expect(first.length).toBeGreaterThan(10);
  await page.getByRole('tab', { name: 'Checks' }).click();
  await page.getByRole('button', { name: /^Walk round/ }).click();
  await page.keyboard.press('1');
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: 'Calendar and paper' }).click();
  const again = await save();
  expect(again.map((e) => e.uid).sort()).toEqual(first.map((e) => e.uid).sort());
  expect(again.filter((e) => e.component.getFirstPropertyValue('status') === 'CANCELLED').length).toBe(
    first.filter((e) => e.component.getFirstPropertyValue('status') === 'CANCELLED').length + 1,
  );
});

test('checks fit one page, the card keeps to its size, and the book has its contents', async ({ page, app }) => {
  const pages = async (path: string) => {
    await page.goto(`${app.url}${path}`);
    // The page's own first lines are no paper yet.
    await expect(title(page)).toBeVisible();
    const pdf = (await page.pdf({ format: 'A4', preferCSSPageSize: true })).toString('latin1');
    return (pdf.match(/\/Type\s*\/Page[^s]/gu) ?? []).length;
  };
  expect(await pages('/print/checks')).toBe(1);
  await expect(paper(page).getByRole('listitem').first()).toBeVisible();
  await faultless(page, 'checks on paper');
  expect(await pages('/print/card')).toBe(1);
  // No face of the card holds more than it shows, and a card's face is 86 × 54 mm.
  const faces = await paper(page)
    .getByRole('article')
    .evaluateAll((all) =>
      all.map((e) => ({
        over: e.scrollHeight - e.clientHeight,
        wide: e.getBoundingClientRect().width,
        high: e.getBoundingClientRect().height,
      })),
    );
  for (const f of faces) {
    expect(f.over).toBeLessThanOrEqual(0);
    if (!isPhone(page)) expect(Math.abs(f.wide / f.high - 86 / 54)).toBeLessThan(0.02);
  }
  await expect(paper(page).getByRole('article').last()).toContainText('In an emergency call');
  await faultless(page, 'the pocket card');
  expect(await pages('/print/book')).toBeGreaterThanOrEqual(5);
  const contents = page.getByRole('region', { name: 'Contents' }).getByRole('listitem');
  await expect(contents).toHaveCount(6);
  await contents.filter({ hasText: 'Repairs' }).getByRole('link').click();
  const repairs = page.getByRole('region', { name: /^\d+ Repairs$/u });
  await expect(repairs).toBeInViewport();
  await expect(repairs).toContainText('The torque in the manual comes first');
  await faultless(page, 'the trip book');
});

test('Find it: what is missed comes back sooner, by day and in the dark', async ({ page, app }) => {
  await open(page, app, '/prove?tab=games');
  await page.getByRole('button', { name: 'Begin' }).click();
  const game = page.getByRole('region', { name: /^(?:Find it|Size it|Find the fault)$/u });
  const trouble = await game.getByRole('heading', { level: 2 }).textContent();
  await expect(game.getByRole('group', { name: 'What do you take?' }).getByRole('button')).toHaveCount(6);
  // One after the other until one is wrong: six tries find it surely.
  for (const choice of await game.getByRole('group', { name: 'What do you take?' }).getByRole('button').all()) {
    await choice.click();
    if (await game.getByText('Where is it?').isVisible()) {
      await game.getByRole('group', { name: 'Where is it?' }).getByRole('button').first().click();
    }
    await expect(game.getByRole('status')).toBeVisible();
    if (await game.getByRole('status').getByText('Not this time').isVisible()) break;
    await game.getByRole('button', { name: 'Next' }).click();
  }
  await expect(game.getByRole('status')).toContainText(/It comes back (?:in \d+ min|tomorrow|in \d+ days)/u);
  await expect(game).toContainText(/of \d+ right this round/u);
  await game.getByRole('checkbox', { name: 'In the dark' }).check();
  await expect(game).toHaveAttribute('data-theme', 'dark');
  await faultless(page, 'Find it in the dark');
  expect(trouble).not.toBe('');
});

test('Size it and Find the fault answer by the same functions that the stages use', async ({ page, app }) => {
  await open(page, app, '/prove?tab=games&game=size');
  const game = page.getByRole('region', { name: /^(?:Find it|Size it|Find the fault)$/u });
  await expect(game).toContainText('the calliper reads');
  await game
    .getByRole('group', { name: /^Which tool/u })
    .getByRole('button')
    .first()
    .click();
  await expect(game.getByRole('status')).toContainText(/^(?:Right|No)\. By this reading:/u);
  await expect(game.getByRole('button', { name: /, right$/u })).toHaveCount(1);
  await game.getByRole('button', { name: 'Next' }).click();
  await expect(game.getByRole('status')).toBeHidden();
  await faultless(page, 'Size it');
  await page.getByRole('button', { name: 'Find the fault' }).click();
  // Every test that can be done ends the search; what must not be done yet says so.
  const result = game.getByRole('status');
  for (let i = 0; i < 30 && !(await result.isVisible()); i++) {
    const tests = game.getByRole('list', { name: 'Tests to choose from' }).getByRole('button');
    await tests.nth(i % Math.max(1, await tests.count())).click();
  }
  await expect(result).toContainText(/You took \d+ min; the best order takes \d+ min here/u);
  await faultless(page, 'Find the fault');
  await game.getByRole('button', { name: 'Another fault' }).click();
  await expect(result).toBeHidden();
});

test('without a trip it says what comes first, and readiness explains itself', async ({ page, app }) => {
  await open(page, app, '/prove');
  await (await figure(page, 'Ready')).click();
  const panel = page.getByRole('dialog');
  await expect(panel).toContainText('hours at risk on the trip without any kit');
  await expect(panel).toContainText('raises it fastest');
});
