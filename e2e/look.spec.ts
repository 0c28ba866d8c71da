import { axeOn, expect, faultless, goTo, isPhone, open, settled, test } from './fixtures';
import { picture, readout, rows, sheet, title } from './screen';

const STAGES = ['Walk', 'Match', 'Trip', 'Kit', 'Stow', 'Crew', 'Prove', 'Road'];

for (const theme of ['light', 'dark'] as const)
  test(`no view has a fault that axe finds, ${theme}`, async ({ page, app }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: theme });
    await open(page, app);
    const faults = async (where: string) => {
      // All rules in light; in dark only what a theme can change; on a phone all but the colours, which are the laptop's.
      const axe = axeOn(page);
      if (theme === 'dark') axe.withRules(['color-contrast']);
      else if (isPhone(page)) axe.disableRules(['color-contrast']);
      await faultless(page, where, axe);
    };
    for (const stage of STAGES) {
      await goTo(page, stage);
      await faults(stage);
    }
    await goTo(page, 'Stow');
    await sheet(page)
      .getByRole('button', { name: /^Change/ })
      .first()
      .click();
    await faults('Stow, a place being changed');
    for (const mode of ['Load', 'Priorities', 'Saved layouts']) {
      await page.getByRole('tab', { name: mode }).click();
      await faults(`Stow, ${mode}`);
    }
    await goTo(page, 'Prove');
    for (const tab of ['Checks', 'Watch list', 'Games', 'Calendar and paper']) {
      await page.getByRole('tab', { name: tab }).click();
      await faults(`Prove, ${tab}`);
    }
    await goTo(page, 'Walk');
    await rows(page).first().click();
    await faults('Walk, a fastener chosen');
    await readout(page).getByRole('button').first().click();
    await faults('an explanation');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+k');
    await faults('the command box');
    await page.keyboard.press('Escape');
    await page.goto(`${app.url}/print`);
    await expect(title(page)).toBeVisible();
    await faults('Print');
  });

test(
  'nothing runs out of the screen sideways, and labels do not overlap',
  { tag: '@everyday' },
  async ({ page, app }) => {
    /** What parts two figures stands free of the first, and what ends a phrase stands at it. */
    const parted = async (where: string) => {
      const said = await page.locator('body').innerText();
      expect(said.match(/.*(?:\S·\s|\s[,;]\s).*/gu) ?? [], where).toEqual([]);
    };
    await open(page, app);
    for (const stage of STAGES) {
      await goTo(page, stage);
      const wide = await page.evaluate(() => {
        const limit = document.documentElement.clientWidth;
        const scrolls = (e: Element): boolean => {
          for (let p = e.parentElement; p; p = p.parentElement)
            if (/auto|scroll|hidden/.test(getComputedStyle(p).overflowX) && p.clientWidth <= limit) return true;
          return false;
        };
        return [...document.querySelectorAll('main *')]
          .filter((e) => e.getBoundingClientRect().right > limit + 1 && !scrolls(e))
          .map((e) => e.className.toString());
      });
      expect(wide, stage).toEqual([]);
      await parted(stage);
    }
    // What is chosen is read whole.
    await goTo(page, 'Kit');
    await page.getByRole('tab', { name: 'Preferences' }).click();
    const chosen = page.getByRole('main').getByRole('combobox');
    await expect(chosen.first()).toBeVisible();
    const cut = await chosen.evaluateAll((all) =>
      all
        .flatMap((box) => [...(box.closest('.v-field')?.querySelectorAll('*') ?? [])])
        .filter((e) => getComputedStyle(e).textOverflow === 'ellipsis' && e.scrollWidth > e.clientWidth)
        .map((e) => e.textContent),
    );
    expect(cut).toEqual([]);
    await goTo(page, 'Walk');
    const drawing = picture(page).getByRole('group', { name: /side view$/u });
    const boxes = await drawing
      .locator('text[aria-hidden=true]')
      .evaluateAll((all) => all.map((e) => e.getBoundingClientRect().toJSON() as DOMRect));
    if (!isPhone(page)) expect(boxes.length).toBe(12);
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1))
        expect(a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top).toBe(true);
    // The rings of the stations, without what is there for a finger to meet.
    const marks = await drawing
      .getByRole('button')
      .evaluateAll((all) =>
        all.map((e) => [...e.querySelectorAll('circle')].at(-1)!.getBoundingClientRect().toJSON() as DOMRect),
      );
    for (const [i, a] of marks.entries())
      for (const b of marks.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(a.width - 1);
    if (isPhone(page)) return;
    await goTo(page, 'Match');
    await sheet(page).getByRole('button', { name: 'Spark plug' }).click();
    await expect(page.getByRole('group', { name: 'Other options, best first' })).toContainText('one hand');
    await parted('Match, a fastener chosen');
  },
);

test('inch units and dark theme are kept over a reload', async ({ page, app }) => {
  await open(page, app);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('inch units');
  await page.keyboard.press('Enter');
  await expect(rows(page).first()).toContainText('lb·ft');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('dark theme');
  await page.keyboard.press('Enter');
  await page.reload();
  await settled(page);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(readout(page)).toContainText('lb');
});

test('axe looks at the page: a fault that is put into it is found', async ({ page, app }) => {
  await open(page, app);
  await page.evaluate(() => {
    const image = document.createElement('img');
    image.src = 'data:image/gif;base64,R0lGODlhAQABAAAAACw=';
    const pale = document.createElement('p');
    pale.textContent = 'hardly to be read';
    pale.style.cssText = 'color:#bbb;background:#ccc;position:fixed;top:0;left:0;z-index:9999;font-size:14px';
    document.querySelector('main, .stage, body')!.append(image, pale);
  });
  const { violations } = await axeOn(page).analyze();
  expect(violations.map((v) => v.id)).toEqual(expect.arrayContaining(['image-alt', 'color-contrast']));
});
