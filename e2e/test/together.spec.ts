import { expect, test } from '@playwright/test';
import { cell, demo, fromMenu, newPlayer, saved, unfolded } from './workbench';

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
  // The second begins to type before the first has saved, and saves after.
  await cell(second, '56', 'lengthIn').focus();
  await second.keyboard.type('35.5');
  await cell(page, '56', 'lengthIn').focus();
  await page.keyboard.type('35');
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(second.locator('.news')).toContainText('56');
  await second.keyboard.press('Enter');
  const strip = second.getByRole('alert').filter({ hasText: 'Someone else changed this meanwhile' });
  await expect(strip).toContainText('yours 35.50 in, theirs 35.00 in');
  await strip.getByRole('button', { name: 'Save mine' }).click();
  await saved(second);
  // It is on the first one's screen without a reload.
  await expect(cell(page, '56', 'lengthIn')).toHaveText('35.50');
});

test('two people at two rounds of one event: neither is in the other’s way', async ({ page, browser }) => {
  const plan = `${demo.davor}/plan`;
  await page.goto(plan);
  await fromMenu(page, 'Plan an event');
  await page.getByRole('button', { name: 'Another event' }).click();
  await page.getByLabel('Name of the event').fill('Two at once');
  await page.getByLabel('Notes').fill('Trolleys only');
  await page.getByRole('button', { name: 'Another round' }).click();
  await page.getByRole('button', { name: 'Plan it from the gamer bag' }).click();
  await expect(page.getByText('Trolleys only')).toBeVisible();
  await expect(page.locator('.lock-board')).toBeVisible();
  await saved(page);
  const address = page.url();
  const second = await (await browser.newContext()).newPage();
  await second.goto(address);
  await expect(second.locator('.lock-board')).toBeVisible();
  await second.keyboard.press('Alt+2');
  const windOf = async (one: typeof page) =>
    (await unfolded(one, 'The day')).getByLabel('Wind', { exact: true });
  for (const [one, wind] of [
    [page, '11'],
    [second, '4'],
  ] as const) {
    await (await windOf(one)).fill(wind);
    await (await windOf(one)).press('Tab');
    await saved(one);
    await expect(one.getByRole('alert')).toHaveCount(0);
  }
  // Each finds the other's there.
  await page.reload();
  await expect(await windOf(page)).toHaveValue('11');
  await page.keyboard.press('Alt+2');
  await expect(await windOf(page)).toHaveValue('4');
  await fromMenu(page, 'Delete this plan');
  await saved(page);
});
