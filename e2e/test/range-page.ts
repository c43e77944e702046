import { expect, type Page } from '@playwright/test';
import { cell, newPlayer, paste, saved } from './workbench';

export const shotRows = (page: Page) =>
  page.getByRole('table', { name: 'Shots one by one' }).locator('tbody tr');
/** Rows further down than the page shows are drawn once somebody scrolls to them. */
export async function expectRows(page: Page, count: number): Promise<void> {
  await expect(async () => {
    await page.mouse.wheel(0, 2000);
    await expect(shotRows(page)).toHaveCount(count, { timeout: 1000 });
  }).toPass({ timeout: 30_000 });
}
/** The table of what each club did. */
export const clubsHit = (page: Page) => page.getByRole('table', { name: /What each club did/ });

export async function playerWithClubs(page: Page, name: string): Promise<string> {
  const id = await newPlayer(page, name);
  await cell(page, '', 'name').or(page.getByRole('grid').locator('td').first()).first().focus();
  await paste(
    page,
    'club\tkind\tmeasured loft\tcarry [yd]\n7 iron\tiron\t33\t165\n9 iron\tiron\t41\t140\nDriver\tdriver\t10\t250\n56\twedge\t56\t90\n',
  );
  await expect(page.getByRole('grid').locator('tr[data-name="56"]')).toBeVisible();
  await saved(page);
  return `/players/${id}`;
}

export async function newSession(page: Page, where: string): Promise<void> {
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Range');
  await page.keyboard.press('Alt+n');
  await page.getByLabel('Where').fill(where);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(where);
}
