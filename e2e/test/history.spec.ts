import { expect, test } from '@playwright/test';
import { demo } from './workbench';

test('a day of the past is found again: what was in the bag, who changed it and why, what putting it back takes, and a club’s life', async ({
  page,
}) => {
  const monthAgo = new Date(Date.now() - 40 * 86_400_000).toISOString().slice(0, 10);
  await page.goto(`${demo.davor}/history?from=${monthAgo}`);
  const between = page.locator('section').filter({ hasText: 'Between two days' }).last();
  await expect(between.locator('del').filter({ hasText: '4 iron' })).toBeVisible();
  await expect(between.locator('ins').filter({ hasText: 'Driving iron' })).toBeVisible();
  const bent = between.getByRole('row', { name: /Set loft/ }).first();
  await expect(bent).toContainText('sat too close to the 52');
  // What it takes is said before anything is done.
  await between.getByRole('button', { name: /^Put it back as it was on/ }).click();
  const panel = page.getByRole('region', { name: `As it was on ${monthAgo}` });
  await expect(panel).toContainText('In: 4 iron, 60 low.');
  await expect(panel).toContainText(/56, on the bench: Set loft 56\.0°/);
  await expect(panel).toContainText('Eye protection');
  await panel.getByRole('button', { name: 'Leave it' }).click();
  await expect(panel).toHaveCount(0);

  await between.getByRole('link', { name: '56', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('56, its life');
  await expect(page.getByRole('listitem').filter({ hasText: 'Into the gamer' })).toBeVisible();
  await page.getByRole('button', { name: /Sessions/ }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'shots measured' }).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Into the gamer' })).toHaveCount(0);
});

test('a season is looked back on: what was expected before each session and what came, and the swaps made', async ({
  page,
}) => {
  await page.goto(`${demo.davor}/history`);
  await page.getByRole('link', { name: 'Season review' }).click();
  const held = page.getByRole('region', { name: 'Did it hold?' });
  await expect(held.getByRole('status')).toContainText(/\d+ of \d+ carries came within their range/);
  const row = held.getByRole('row', { name: /7 iron.*never measured: modelled/ });
  await expect(row).toContainText('12 shots');
  await expect(row.getByRole('img', { name: 'within its range' })).toBeVisible();
  const swaps = page.getByRole('region', { name: 'Swaps made' });
  await expect(swaps.getByRole('row', { name: /Driving iron/ })).toContainText(
    /249 yd where \d+ yd was expected/,
  );
  // A shorter time, by its address.
  await page.goto(`${demo.davor}/history/review?days=91`);
  await expect(held.getByRole('status')).toContainText('came within their range');
});
