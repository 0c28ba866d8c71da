import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { newGarage, newBike, type Bike } from '@necessaire/core';
import { expect, settled, type App } from './fixtures';
import { saved } from './screen';

/** A garage of its own with one bike that nobody has looked at yet, opened at Walk. */
export async function freshBike(page: Page, app: App, fields: Partial<Bike> = {}): Promise<Bike> {
  const garage = randomUUID();
  const bike = { ...newBike(randomUUID(), 'Fresh'), ...fields };
  const send = async (method: string, path: string, body: unknown) => {
    const response = await fetch(`${app.url}/api/garages${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    expect(response.ok, `${method} ${path}: ${response.status}`).toBe(true);
  };
  await send('POST', '', { id: garage, garage: newGarage({ name: 'Fresh garage' }) });
  await send('PUT', `/${garage}/bikes/${bike.id}`, { revision: 0, row: bike });
  await page.addInitScript(
    (id) =>
      localStorage.getItem('necessaire.view') ??
      localStorage.setItem('necessaire.view', JSON.stringify({ garageId: id })),
    garage,
  );
  await page.goto(`${app.url}/walk`);
  await settled(page);
  return bike;
}
/** The bike as the server has it. */
export async function stored(page: Page, app: App) {
  await expect(saved(page)).toHaveText('Saved');
  const id = await page.evaluate(
    () => (JSON.parse(localStorage.getItem('necessaire.view')!) as { garageId: string }).garageId,
  );
  const { document } = (await (await fetch(`${app.url}/api/garages/${id}`)).json()) as {
    document: import('@necessaire/core').GarageDocument;
  };
  return document;
}
export const guide = (page: Page) => page.getByRole('region', { name: 'Next to look at' });
