import { askLightest, expect, goTo, open, test } from './fixtures';
import { head, item, placeMark, title } from './screen';

test.beforeEach(({ app }) => askLightest(app));

const STAGES = ['Walk', 'Match', 'Trip', 'Kit', 'Stow'];

test('what is pressed with gloves is large enough', async ({ page, app }) => {
  await open(page, app);
  for (const stage of STAGES) {
    await goTo(page, stage);
    const small = await page
      .locator(
        '.v-btn--variant-outlined:visible, .v-btn--variant-tonal:visible, nav a:visible, .row[data-fastener]:visible, .v-field:visible',
      )
      .evaluateAll((all) =>
        all
          .filter((e) => e.getBoundingClientRect().height < 43.5)
          .map((e) => `${e.className} ${e.textContent?.slice(0, 20)}`),
      );
    expect(small, stage).toEqual([]);
  }
});

test(
  'a finger carries a piece by its grip to another place, and undo takes it back',
  { tag: '@everyday' },
  async ({ page, app }) => {
    await open(page, app, '/stow');
    const spanner = item(page, 'Combination spanner 27');
    const target = placeMark(page, 'Tail bag');
    await spanner.scrollIntoViewIfNeeded();
    // Both must be on the screen: the drawing is far above the row, so the target is a neighbour's header.
    const tube = page.getByRole('region', { name: 'Low frame, tied', exact: true });
    const to =
      (await tube.filter({ has: spanner }).count()) > 0
        ? page.getByRole('region', { name: 'Tank bag', exact: true })
        : tube;
    await to.evaluate((e) => e.scrollIntoView({ block: 'end' }));
    // The grip stands left of the name, as wide as a finger.
    const name = (await spanner.getByRole('button').first().boundingBox())!;
    const there = (await to.getByRole('heading').boundingBox())!;
    const cdp = await page.context().newCDPSession(page);
    const touch = (type: string, x: number, y: number) =>
      cdp.send('Input.dispatchTouchEvent', {
        type: type as 'touchStart',
        touchPoints: type === 'touchEnd' ? [] : [{ x, y }],
      });
    const [x, y] = [name.x - 30, name.y + name.height / 2];
    const [tx, ty] = [there.x + 60, there.y + there.height / 2];
    await touch('touchStart', x, y);
    for (let i = 1; i <= 6; i++) await touch('touchMove', x + ((tx - x) * i) / 6, y + ((ty - y) * i) / 6);
    await expect(head(page)).toContainText('If Combination spanner 27 in');
    await touch('touchEnd', tx, ty);
    await expect(to.getByRole('listitem').filter({ hasText: 'Combination spanner 27' })).toContainText('placed by you');
    await expect(target).toHaveCount(1);
    await page.keyboard.press('Control+z');
    await expect(spanner).not.toContainText('placed by you');
  },
);

test('the part of a stage that is out of sight is one press away, there and back', async ({ page, app }) => {
  await open(page, app);
  await goTo(page, 'Trip');
  const field = page.getByRole('textbox', { name: 'Trip', exact: true });
  await expect(field).not.toBeInViewport();
  const parts = page.getByRole('navigation', { name: 'Parts of the stage' });
  const [overview, about] = ['Overview', 'About the trip'].map((name) => parts.getByRole('button', { name }));
  await expect(overview!).toHaveAttribute('aria-current', 'true');
  await about!.click();
  await expect(field).toBeInViewport();
  await expect(about!).toHaveAttribute('aria-current', 'true');
  await overview!.click();
  await expect(title(page)).toBeInViewport();
  await expect(overview!).toHaveAttribute('aria-current', 'true');
  // A long list of bars shows its first; the rest is a press away.
  const bars = page.getByRole('group', { name: 'Problems by hours at risk' }).getByRole('button');
  await expect(bars).toHaveCount(12);
  await page.getByRole('button', { name: /^Show \d+ more$/u }).click();
  expect(await bars.count()).toBeGreaterThan(30);
});
