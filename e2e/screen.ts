import type { Locator, Page } from '@playwright/test';
import { expect } from '@playwright/test';

/** The program's parts by their roles and names: as a screen reader finds them, whatever they look like. */

/** A name that begins with this text. */
export const beginning = (text: string): RegExp => new RegExp(`^${text.replace(/[\\^$.*+?()[\]{}|]/gu, '\\$&')}`, 'u');

export const title = (page: Page): Locator => page.getByRole('heading', { level: 1 });
/** A stage's picture: what answers its question, under its title. */
export const picture = (page: Page): Locator => page.getByRole('region').filter({ has: title(page) });
/** A stage's first lines: its title, and the answer in a sentence. */
export const head = (page: Page): Locator =>
  picture(page)
    .getByRole('group')
    .filter({ has: title(page) });
/** The dense sheet beside a stage's picture, which takes what is entered. */
export const sheet = (page: Page): Locator =>
  page.getByRole('region', {
    name: /^(?:Fasteners|Fasteners and tools|About the trip|What the kit holds|Places|The crew|Practise and check|The day|Your bike)$/u,
  });
/** What is printed. */
export const paper = (page: Page): Locator => page.getByRole('main');
/** The key figures along the lower edge. */
export const readout = (page: Page): Locator => page.getByRole('contentinfo', { name: 'Key figures' });
/** Whether all that was typed is at the server, in a word. */
export const saved = (page: Page): Locator => page.getByRole('banner').getByRole('status');
/** Waits until the program says this on its own account: what was done, what is worked out. */
export const told = (page: Page, text: string | RegExp): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: text }).first()).toBeVisible();
/** Any list row of the sheet that holds this text. */
export const line = (page: Page, text: string | RegExp): Locator =>
  sheet(page).getByRole('listitem').filter({ hasText: text });

/** Walk's rows. */
export const rows = (page: Page): Locator => sheet(page).getByRole('listitem');
export const row = (page: Page, name: string): Locator => rows(page).filter({ hasText: name });
/** The line that takes a fastener, or changes one. */
export const entry = (page: Page): Locator => page.getByRole('textbox', { name: /^(?:Add a fastener$|Change )/u });
/** The line that takes tools and spares. */
export const toolEntry = (page: Page): Locator =>
  page.getByRole('textbox', { name: 'Type what you own, or search for a tool' });
/** A tool of the toolbox in Match's sheet, to be opened by a press. */
export const tool = (page: Page, name: string): Locator => sheet(page).getByRole('button', { name: beginning(name) });
/** The chains of the fastener that is chosen in Match. */
export const chains = (page: Page): Locator => page.getByRole('article', { name: /^Chain for/u });
/** Stow's rows: all that is packed, each with a way to move it. */
export const items = (page: Page): Locator =>
  sheet(page)
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Move /u }) });
export const item = (page: Page, name: string): Locator => items(page).filter({ hasText: name });
/** A place's section of the sheet, by its name. */
export const place = (page: Page, name: string): Locator => page.getByRole('region', { name, exact: true });
/** A place on the drawing of the bike. */
export const placeMark = (page: Page, name: string): Locator =>
  page.getByRole('group', { name: /, (?:side view|from behind)$/u }).getByRole('button', { name: beginning(name) });
/** Where words are searched for everywhere. */
export const search = (page: Page): Locator =>
  page.getByRole('dialog', { name: 'Search', exact: true }).getByRole('textbox');

/** Gives files to a button that asks for some. */
export async function giveFiles(button: Locator, files: Parameters<Locator['setInputFiles']>[0]): Promise<void> {
  const [chooser] = await Promise.all([button.page().waitForEvent('filechooser'), button.click()]);
  await chooser.setFiles(files);
}
/** Imports a garage's file by the menu. */
export async function importGarage(page: Page, files: Parameters<Locator['setInputFiles']>[0]): Promise<void> {
  await page.getByTitle('Garages and settings').click();
  await giveFiles(page.getByRole('menuitem', { name: 'Import a file' }), files);
}
/** An empty garage of this name, at its first question. */
export async function emptyGarage(page: Page, name: string): Promise<void> {
  await page.getByTitle('Garages and settings').click();
  await page.getByRole('menuitem', { name: 'New empty garage' }).click();
  await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Create' }).click();
  await expect(page.getByRole('heading', { name: 'First, the bike' })).toBeVisible();
}
