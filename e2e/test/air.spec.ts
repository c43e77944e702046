import { expect, test, type Page } from '@playwright/test';
import { cell, choose, demo, newPlayer, paste, saved } from './workbench';

const shifts = (page: Page) => page.locator('.rail .shift-number');

test("a bag is read in this week's air: by key, by place, by number; it is in the address, and measured carries stay as they were", async ({
  page,
}) => {
  await page.goto(`${demo.davor}/bag`);
  await expect(page.locator('.rib').first()).toBeVisible();
  const stated = await cell(page, '7 iron', 'shot.full.carryM').textContent();
  await page.keyboard.press('Alt+a');
  const air = page.getByRole('region', { name: 'Air and ground' });
  await expect(air.getByLabel('Read in')).toBeFocused();
  await choose(air.getByLabel('Read in'), 'Skarvoy Links, spring');
  await expect(shifts(page).first()).toHaveText(/^−\d+$/);
  await expect(air.getByRole('status')).toContainText(/Driver \d+ −\d+ ±\d+, total \d+ −\d+/);
  await expect(cell(page, '7 iron', 'shot.full.carryM')).toHaveText(stated!);
  await expect(page).toHaveURL(/temp=8&.*wind=8.*ground=firm&grass=fescue/);
  const address = page.url();
  const driver = await shifts(page).first().textContent();

  // Sent to somebody else, the address shows the same.
  await page.goto('/roster');
  await page.goto(address);
  await expect(shifts(page).first()).toHaveText(driver!);
  await expect(air.getByLabel('Read in')).toHaveText('Skarvoy Links, spring');

  // Numbers of one's own, in yards' units; a bad one is refused and nothing moves.
  await air.getByLabel('Wind', { exact: true }).fill('400');
  await air.getByLabel('Wind', { exact: true }).press('Enter');
  await expect(air.getByRole('alert')).toContainText('Wind must be between 0 and 67 mph, not “400”');
  await expect(shifts(page).first()).toHaveText(driver!);
  await air.getByLabel('Wind', { exact: true }).fill('18,0');
  await air.getByLabel('Wind', { exact: true }).press('Enter');
  await expect(air.getByRole('alert')).toHaveCount(0);
  await air.getByLabel('Wind from').fill('180');
  await air.getByLabel('Wind from').press('Enter');
  await expect(shifts(page).first()).toHaveText(/^\+\d+$/);
  await expect(page).toHaveURL(/from=180/);

  // A club goes out in this air; the ladder stays in it.
  const before = await shifts(page).count();
  await cell(page, '9 iron', 'name').focus();
  await page.keyboard.press('Alt+o');
  await expect(shifts(page)).toHaveCount(before - 1);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(shifts(page)).toHaveCount(before);
  await saved(page);

  await page.keyboard.press('Alt+t');
  await expect(page.getByRole('columnheader', { name: 'Against baseline', exact: true })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Driver/ }).last()).toContainText(
    /\d+ yd\s*[+−]\d+\s*\d+ [+−]\d+/,
  );
  await page.keyboard.press('Alt+t');
  await choose(air.getByLabel('Read in'), /^Baseline/);
  await expect(shifts(page)).toHaveCount(0);
  await expect(page).not.toHaveURL(/wind=/);
});

test('an address with air that cannot be says what it left out', async ({ page }) => {
  await page.goto(`${demo.davor}/bag?wind=900&temp=10&ground=lava`);
  await expect(page.getByRole('alert')).toContainText(
    'wind=900 must be between 0 and 30; ground=lava must be one of soaked',
  );
  await expect(shifts(page).first()).toBeVisible();
});

test('what half a degree would do is shown before it is done, and a club never hit gets a modelled carry that a measured one replaces', async ({
  page,
}) => {
  await page.goto(`${demo.maren}/bag`);
  await cell(page, '8 iron', 'name').focus();
  await page.keyboard.press('Alt+Enter');
  const panel = page.getByRole('dialog');
  const weaker = panel.getByRole('row', { name: /^bent to/ }).nth(1);
  await expect(weaker).toContainText(/−[01]\.\d/);
  await expect(weaker).toContainText('+0.5°');
  await choose(panel.getByRole('combobox', { name: 'by', exact: true }), 'two degrees');
  await expect(weaker).toContainText('+2.0°');
  await expect(panel.getByRole('row', { name: /half an inch longer/ })).toContainText(/m left/);
  await page.keyboard.press('Escape');

  const player = await newPlayer(page, 'Half a Bag', 'metres');
  for (const [name, loft, carry] of [
    ['7 iron', '33', '146'],
    ['9 iron', '41', '124'],
    ['8 iron', '37', ''],
  ]) {
    await page.locator('td[data-column="new"]').focus();
    await page.keyboard.type(name!);
    await page.keyboard.press('Enter');
    await expect(cell(page, name!, 'name')).toBeVisible();
    for (const [column, text] of [
      ['loft', loft],
      ['shot.full.carryM', carry],
    ] as const) {
      if (!text) continue;
      await cell(page, name!, column).focus();
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
    }
  }
  await cell(page, '8 iron', 'name').focus();
  await page.keyboard.press('Alt+Enter');
  await expect(panel.getByText(/Modelled from 2 known clubs: carry 13\d ± \d+ m/)).toBeVisible();
  await panel.getByRole('button', { name: 'Use it until it is measured' }).click();
  await expect(panel.locator('td.modelled').first()).toContainText(/modelled ±\d+ m/);
  await panel.getByLabel('full shots').fill('12');
  await panel.getByLabel('full shots').press('Tab');
  await expect(panel.locator('td.measured').first()).toContainText('12 shots');
  await saved(page);
  expect(player).toBeTruthy();
});

test('a player whose carries are known up high has them moved from there', async ({ page }) => {
  const id = await newPlayer(page, 'Mountain Mo', 'metres');
  await page.locator('td[data-column="new"]').focus();
  await paste(page, 'club\tloft\tcarry\n7 iron\t32\t160\n9 iron\t40\t136\n');
  await expect(page.locator('.rib')).toHaveCount(1);
  await saved(page);
  await page.goto(`/players/${id}/bag?alt=0&temp=21`);
  await expect(shifts(page).first()).toHaveText('0');
  await page.goto(`/players/${id}/settings`);
  await page.getByLabel('Altitude', { exact: true }).fill('9000');
  await page.getByLabel('Altitude', { exact: true }).press('Tab');
  await expect(page.getByRole('alert')).toContainText('Altitude must be between -430 and 4500 m');
  await page.getByLabel('Altitude', { exact: true }).fill('1520');
  await page.getByLabel('Altitude', { exact: true }).press('Tab');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await saved(page);
  await page.goto(`/players/${id}/bag?alt=0`);
  await expect(shifts(page).first()).toHaveText(/^−[4-9]$/);
  await page.getByRole('region', { name: 'Air and ground' }).getByLabel('Read in').click();
  await expect(page.getByRole('option').first()).toHaveText('Baseline: 21 °C, 1520 m, calm');
  await page.goto(`/players/${id}/history`);
  await expect(page.getByText('carries are known at 21 °C and 1520 m')).toBeVisible();
});
