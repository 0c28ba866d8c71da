import { expect, isPhone, test } from './fixtures';
import { freshBike, guide, stored } from './survey';
import { head, row, rows, sheet, title } from './screen';

test(
  'a walk by pressing: sizes, doubts, what is not there; left and taken up again',
  { tag: '@everyday' },
  async ({ page, app }) => {
    const bike = await freshBike(page, app);
    await expect(guide(page)).toContainText('Front axle');
    await expect(head(page)).toContainText('Start at the front axle');

    // The size that fits is pressed: a row that was tried, with all that is usual there.
    await guide(page).getByRole('button', { name: 'hex 24 fits', exact: true }).click();
    // An axle has two ends: the near one alone is not yet the axle.
    await expect(row(page, 'Front axle')).toHaveCount(0);
    await expect(guide(page)).toContainText('Now the far end: what size is it?');
    await guide(page).getByRole('button', { name: 'Far end inside hex 14' }).click();
    await expect(row(page, 'Front axle')).toContainText('far end inside hex 14');
    await expect(guide(page)).toContainText('Axle pinch bolt');
    await guide(page).getByRole('button', { name: 'hex 10 fits' }).click();
    await expect(guide(page)).toContainText('Front caliper bolt');
    await guide(page).getByRole('button', { name: 'Not sure: assume' }).click();
    await expect(guide(page)).toContainText('Front pad pin');
    await guide(page).getByRole('button', { name: 'Leave out…' }).click();
    await page.getByRole('menuitem', { name: 'inside work, for the workshop' }).click();
    await expect(guide(page)).toContainText('Front disc bolt');
    await guide(page).getByRole('button', { name: 'Later' }).click();
    await expect(guide(page)).toContainText('Front rim lock nut');

    const doc = await stored(page, app);
    expect(doc.fasteners.map((f) => [f.name, f.head.size, f.evidence, f.leftOut])).toEqual([
      ['Front axle', '24', 'tried', null],
      ['Axle pinch bolt', '10', 'tried', null],
      ['Front caliper bolt', '12', 'assumed', null],
      ['Front pad pin', '5', 'assumed', 'inside work, for the workshop'],
    ]);
    expect(doc.fasteners[1]).toMatchObject({ bikeId: bike.id, station: 'front-wheel', thread: 'M6', count: 2 });
    expect(doc.fasteners[0]!.trail[0]!.how).toBe('hex 24 put on, far end inside hex 14');

    // Left and taken up again: it goes on where it was, what was put off included.
    await page.reload();
    await expect(guide(page)).toContainText('Front disc bolt');

    // Pressing a station goes there; both ends of a lever pivot are pressed.
    await page.getByRole('button', { name: /^Cockpit: \d+ fasteners/u }).click();
    await expect(sheet(page)).toContainText('Only cockpit');
    await expect(guide(page)).toContainText('Bar clamp');
    await guide(page).getByRole('button', { name: 'Later' }).click();
    await guide(page).getByRole('button', { name: 'Later' }).click();
    await expect(guide(page)).toContainText('Clutch lever pivot');
    await guide(page).getByRole('button', { name: 'Far end hex 8' }).click();
    await guide(page).getByRole('button', { name: 'hex 10 fits' }).click();
    await expect(row(page, 'Clutch lever pivot')).toContainText('far end hex 8');

    // All that is left as assumed rows at once; one undo takes them back.
    await guide(page)
      .getByRole('button', { name: /^Assume the other \d+/ })
      .click();
    await sheet(page).getByRole('button', { name: 'Show all' }).click();
    const many = await rows(page).count();
    expect(many).toBeGreaterThan(50);
    await expect(head(page)).toContainText('still assumed');
    await title(page).click();
    if (!isPhone(page)) {
      await page.keyboard.press('Control+z');
      await expect(rows(page)).toHaveCount(5);
    }
  },
);
