import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { expect, faultless, goTo, settled, test } from './fixtures';

/** The page's own script is there; the program's do not come until they are let through. */
async function heldBack(page: Page): Promise<() => void> {
  let let_ = () => {};
  const gate = new Promise<void>((done) => (let_ = done));
  await page.route('**/assets/*.js', async (route) => {
    await gate;
    await route.continue();
  });
  return let_;
}
/** Road's presses as the page has them before the program. */
const early = (page: Page) => page.getByRole('navigation', { name: 'What is wrong?' }).getByRole('link');
/** The program's own. */
const presses = (page: Page) => page.getByRole('group', { name: 'What you see, hear or smell' }).getByRole('button');
/** What covers the page until the program's view stands. */
const cover = (page: Page) => page.getByText('Opening the garage …');
const places = (all: Locator) =>
  all.evaluateAll((all) =>
    all.map((e) => {
      const r = e.getBoundingClientRect();
      return {
        name: (e.firstElementChild?.matches('[hidden]') ? e.firstChild : e)?.textContent?.trim() ?? '',
        x: r.x,
        y: r.y,
        w: r.width,
      };
    }),
  );

for (const [held, width, height, hasTouch] of [
  ['as on a desk', 1280, 800, false],
  ['upright', 390, 844, true],
  ['across', 844, 390, true],
] as const)
  test.describe(held, () => {
    test.use({ viewport: { width, height }, hasTouch });
    test('Road’s presses are there before the program, in their places', async ({ page, app }) => {
      const through = await heldBack(page);
      await page.goto(`${app.url}/road`, { waitUntil: 'commit' });
      await expect(early(page).first()).toBeVisible();
      const before = await places(early(page));
      through();
      await expect(cover(page)).toHaveCount(0);
      const own = await places(presses(page));
      expect(before.map((p) => p.name)).toEqual(own.map((p) => p.name));
      // No press moves away from under the finger: less than a sixth of its height.
      before.forEach((p, i) => {
        expect(Math.abs(p.x - own[i]!.x), `${p.name}, across`).toBeLessThan(3);
        expect(Math.abs(p.w - own[i]!.w), `${p.name}, width`).toBeLessThan(3);
        expect(Math.abs(p.y - own[i]!.y), `${p.name}, down`).toBeLessThan(12);
      });
    });
  });

test(
  'a press before the program is there says what comes first at once, and is where the program opens',
  { tag: '@everyday' },
  async ({ page, app }) => {
    const through = await heldBack(page);
    await page.goto(`${app.url}/road`, { waitUntil: 'commit' });
    await page.getByRole('link', { name: 'Somebody is hurt' }).click();
    await expect(page.getByRole('heading', { name: 'Somebody is hurt' })).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('local emergency number');
    const axe = await new AxeBuilder({ page }).analyze();
    expect(axe.violations.map((v) => v.id)).toEqual([]);
    through();
    await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
    await expect(cover(page)).toHaveCount(0);
    // And back is what was there before the press.
    await page.goBack();
    await expect(page.getByRole('button', { name: 'A tyre is flat' })).toBeVisible();
    await page.goForward();
    await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
  },
);

test('nothing on the way to the first view tries what the page’s policy forbids', async ({ page, app }) => {
  await page.addInitScript(() => {
    const seen: string[] = ((window as Window & { forbidden?: string[] }).forbidden = []);
    document.addEventListener('securitypolicyviolation', (e) => seen.push(`${e.violatedDirective} ${e.blockedURI}`));
  });
  await page.goto(`${app.url}/road`);
  await settled(page);
  expect(await page.evaluate(() => (window as Window & { forbidden?: string[] }).forbidden)).toEqual([]);
});

test('a stage that cannot be fetched does not leave the page covered', async ({ page, app }) => {
  await page.route('**/assets/RoadView-*.js', (route) => route.abort());
  await page.goto(`${app.url}/road`);
  await expect(cover(page)).toHaveCount(0);
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
});

test('the order is that of the last visit; another stage shows no presses', async ({ page, app }) => {
  await page.goto(`${app.url}/road`);
  await settled(page);
  const through = await heldBack(page);
  await page.goto(`${app.url}/kit`, { waitUntil: 'commit' });
  await expect(page.getByText('Opening the garage …').last()).toBeVisible();
  await expect(early(page).first()).toBeHidden();
  await page.evaluate(() => localStorage.setItem('necessaire.symptoms', JSON.stringify(['smells', 'flat'])));
  await page.goto(`${app.url}/road`, { waitUntil: 'commit' });
  await expect(early(page).nth(2)).toContainText('It smells');
  await expect(early(page).nth(3)).toHaveText('A tyre is flat');
  through();
  await expect(cover(page)).toHaveCount(0);
  await expect(presses(page).nth(2)).toHaveText('It smells');
});

test.describe('at a first visit', () => {
  test.use({ cold: true });
  test('before the first answer nothing is said that nobody knows yet, and what comes has its room', async ({
    page,
    app,
  }) => {
    await page.addInitScript(() => {
      const gate = new Promise<void>((done) => Object.assign(window, { letThrough: done }));
      const Plain = window.Worker;
      window.Worker = class extends Plain {
        override postMessage(message: unknown, given?: Transferable[] | StructuredSerializeOptions) {
          void gate.then(() => super.postMessage(message, given as Transferable[]));
        }
      };
    });
    await page.goto(`${app.url}/match`);
    const heads = page.getByRole('list', { name: 'All fasteners by shape and size' });
    await expect(heads.getByRole('button', { name: 'Wheel sensor screw' })).toBeVisible();
    await expect(heads.getByRole('button', { name: /gap|reached/ })).toHaveCount(0);
    for (const [stage, says] of [
      ['Trip', 'Working out what can go wrong'],
      ['Kit', 'Working out the kit'],
      ['Prove', 'Working out the kit'],
    ] as const) {
      await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
      await expect(page.getByRole('status').filter({ hasText: says }).first()).toBeVisible();
      await faultless(page, `${stage}, while it is worked out`);
    }
    await page.evaluate(() => (window as unknown as { letThrough: () => void }).letThrough());
    await goTo(page, 'Match');
    await expect(heads.getByRole('button', { name: /reached/ }).first()).toBeVisible();
  });
});
