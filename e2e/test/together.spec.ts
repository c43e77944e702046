import { expect, test } from '@playwright/test';
import { cell, newPlayer, saved } from './workbench';

test('two people change one club: the second is shown both values and chooses', async ({ page, browser }) => {
  const playerId = await newPlayer(page, 'Tom Twice');
  await page.locator('td[data-column="new"]').focus();
  await page.keyboard.type('56');
  await page.keyboard.press('Tab');
  await page.keyboard.type('56');
  await page.keyboard.press('Enter');
  await saved(page);
  const second = await (await browser.newContext()).newPage();
  await second.goto(`/players/${playerId}/bag`);
  await expect(cell(second, '56', 'loft')).toHaveText('56.0°');
  await cell(page, '56', 'lengthIn').focus();
  await page.keyboard.type('35');
  await page.keyboard.press('Enter');
  await saved(page);
  await cell(second, '56', 'lengthIn').focus();
  await second.keyboard.type('35.5');
  await second.keyboard.press('Enter');
  const strip = second.getByRole('alert').filter({ hasText: 'Someone else changed this meanwhile' });
  await expect(strip).toContainText('yours 35.50 in, theirs 35.00 in');
  await strip.getByRole('button', { name: 'Save mine' }).click();
  await saved(second);
  await page.reload();
  await expect(cell(page, '56', 'lengthIn')).toHaveText('35.50');
});
