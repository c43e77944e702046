import { expect, test } from '@playwright/test';
import { choose, demo, fromMenu, names, newPlayer, paste, saved } from './workbench';

test('a week is planned, printed, made the gamer on the day, and undone', async ({ page }) => {
  await page.goto(`${demo.pim}/plan`);
  await fromMenu(page, 'Plan a week');
  await page.getByLabel('Name of the week').fill('Lagoa days');
  await page.getByLabel('Course').fill('Lagoa Funda');
  await page.getByLabel('Ground', { exact: true }).fill('long wet rough, heavy sand');
  await page.getByRole('button', { name: 'Plan it from the gamer bag' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Lagoa days');
  await expect(page.getByText('The gamer stays as it is')).toBeVisible();
  const address = page.url();
  await page.getByRole('button', { name: 'Take Hybrid 4 out' }).click();
  await page.locator('.left-out [data-name="7 wood"]').getByRole('button').click();
  await page.getByRole('textbox', { name: 'Why' }).fill('gets through wet rough');
  await page.getByRole('textbox', { name: 'Why' }).press('Enter');
  const swap = page.locator('.swap');
  await expect(swap).toHaveCount(1);
  await expect(swap).toContainText(/uneven by [\d.]+ m → [\d.]+ m/);
  await expect(swap).toContainText('opens');
  await expect(swap).toContainText('closes');
  await expect(swap).toContainText('7 wood');
  await saved(page);
  await page.goto(address);
  await expect(page.getByRole('textbox', { name: 'Why' })).toHaveValue('gets through wet rough');
  // The week's air: the swap is judged in it, and the sheet says which it was.
  const calm = await swap.textContent();
  await page.keyboard.press('Alt+a');
  await choose(
    page.getByRole('region', { name: 'Air and ground' }).getByLabel('Read in'),
    'Lagoa Funda, spring',
  );
  await expect(page.locator('.rail .shift-number').first()).toBeVisible();
  await expect(swap).not.toHaveText(calm!);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('Read in 24 °C, 40 m, 3 m/s in the face, soft fairway.')).toBeVisible();
  await expect(page.locator('nav')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Make it the gamer' })).toBeHidden();
  await expect(swap).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'Make it the gamer' }).click();
  await expect(page.getByText('now the gamer')).toBeVisible();
  await saved(page);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(page.getByText('now the gamer')).toBeHidden();
  await page.goto(`${demo.pim}/bag`);
  expect(await names(page)).toContain('Hybrid 4');
  await page.goto(address);
  await fromMenu(page, 'Delete this plan');
  await saved(page);
  await page.goto(`${demo.pim}/history`);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Lagoa days deleted' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await saved(page);
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Lagoa days');
});

test("a player's thresholds move the verdict, bad ones are refused by name, and nothing typed is lost", async ({
  page,
}) => {
  const id = await newPlayer(page, 'Thresholds Thea');
  const bag = `/players/${id}/bag`;
  await page.locator('td[data-column="new"]').focus();
  await paste(
    page,
    'club\tloft\tcarry\n6 iron\t28\t180\n7 iron\t32\t168\n8 iron\t36\t156\n9 iron\t40\t144\n',
  );
  await expect(page.locator('.rib')).toHaveCount(3);
  await expect(page.locator('.rib.error')).toHaveCount(0);
  await saved(page);
  await page.goto(`/players/${id}/settings`);
  const widest = page.getByLabel('Carry step there, at most');
  await widest.fill('0.5');
  await widest.press('Tab');
  await expect(page.getByRole('alert')).toContainText(
    'Carry step there, at most must be between 4.37 and 65.62 yd',
  );
  await expect(widest).toHaveValue('0.5');
  await widest.fill('8 m');
  await widest.press('Tab');
  // The answer to that comes while this is being typed.
  await page
    .getByLabel('Notes')
    .pressSequentially('Trusts the 7 wood <b>only</b> in the wind', { delay: 15 });
  await page.getByLabel('Notes').press('Tab');
  await expect(widest).toHaveValue('8.75');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await saved(page);
  await page.goto(bag);
  await expect(page.locator('.rib.error')).not.toHaveCount(0);
  await page.goto(`/players/${id}/settings`);
  await expect(page.getByLabel('Notes')).toHaveValue('Trusts the 7 wood <b>only</b> in the wind');
  await page.getByRole('button', { name: 'All back to usual' }).click();
  await expect(widest).toHaveValue('15');
  await page.getByRole('button', { name: 'Take off the roster' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Roster');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 2, name: 'Davor Kolar' })).toBeVisible();
  await expect(page.getByRole('heading', { level: 2, name: 'Thresholds Thea' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Thresholds Thea' }).click();
  await page.getByRole('button', { name: 'Back on the roster' }).click();
  await expect(page.getByRole('button', { name: 'Take off the roster' })).toBeVisible();
  await saved(page);
});
