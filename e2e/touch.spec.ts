import { askLightest, expect, goTo, open, test } from './fixtures';

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

test('a finger carries a piece by its grip to another place, and undo takes it back', async ({ page, app }) => {
  await open(page, app, '/stow');
  const row = page.locator('[data-item]', { hasText: 'Combination spanner 27' });
  const target = page.locator('[data-place-mark][aria-label^="Tail bag"]');
  await row.scrollIntoViewIfNeeded();
  // Both must be on the screen: the drawing is far above the row, so the target is a neighbour's header.
  const tube = page.getByRole('region', { name: 'Low frame, tied', exact: true });
  const to =
    (await row.evaluate((e) => e.closest('[data-place]')?.getAttribute('aria-label'))) === 'Low frame, tied'
      ? page.getByRole('region', { name: 'Tank bag', exact: true })
      : tube;
  await to.evaluate((e) => e.scrollIntoView({ block: 'end' }));
  const grip = (await row.locator('.grip').boundingBox())!;
  const there = (await to.locator('header').boundingBox())!;
  const cdp = await page.context().newCDPSession(page);
  const touch = (type: string, x: number, y: number) =>
    cdp.send('Input.dispatchTouchEvent', {
      type: type as 'touchStart',
      touchPoints: type === 'touchEnd' ? [] : [{ x, y }],
    });
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  const [tx, ty] = [there.x + 60, there.y + there.height / 2];
  await touch('touchStart', x, y);
  for (let i = 1; i <= 6; i++) await touch('touchMove', x + ((tx - x) * i) / 6, y + ((ty - y) * i) / 6);
  await expect(to).toHaveClass(/over/);
  await touch('touchEnd', tx, ty);
  await expect(to.locator('[data-item]', { hasText: 'Combination spanner 27' })).toContainText('placed by you');
  await expect(target).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(row).not.toContainText('placed by you');
});
