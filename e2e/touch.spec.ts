import { expect, goTo, open, test } from './fixtures';

const STAGES = ['Walk', 'Match', 'Trip', 'Kit', 'Stow'];

test('what is pressed with gloves is large enough', async ({ page, app }) => {
  await open(page, app);
  for (const stage of STAGES) {
    await goTo(page, stage);
    const small = await page
      .locator(
        'button.tool-button:visible, nav a:visible, .row[data-fastener]:visible, select.field:visible, input.field:visible',
      )
      .evaluateAll((all) =>
        all
          .filter((e) => e.getBoundingClientRect().height < 43.5)
          .map((e) => `${e.className} ${e.textContent?.slice(0, 20)}`),
      );
    expect(small, stage).toEqual([]);
  }
});
