import { expect, test } from '@playwright/test';
import { choose, demo, fromMenu, saved } from './workbench';

test('a bag is chosen for the shots of a week: needs typed, locks pressed, reasons read, put into the plan, printed; all of it kept, and undone', async ({
  page,
}) => {
  await page.goto(`${demo.maren}/plan`);
  await fromMenu(page, 'Plan a week');
  await page.getByLabel('Name of the week').fill('Erg days');
  await page.getByLabel('Course').fill('Erg Chebka');
  await page.getByRole('button', { name: 'Plan it from the gamer bag' }).click();
  const panel = page.locator('.choose');
  await expect(panel).toContainText('Enter the shots of the week');
  const line = panel.getByLabel('Needs', { exact: true });
  await line.fill('150 hold, 160 banana');
  await line.press('Enter');
  await expect(panel.getByRole('alert')).toContainText('"banana" is not understood; nothing was added yet');
  await expect(line).toHaveValue('150 hold, 160 banana');
  await line.fill(
    'drive 235 left 120 x8, drive 205 left 130 x6, 196 run x2, 178 run x2, 168 hold x2, 158 hold x2, 149 hold x2, 140 hold x2, 131 hold x2, 122 hold x2, 110 hold x2, 98 hold x2, 84 hold x2, 70 hold, 150 heavy rough',
  );
  await line.press('Enter');
  await expect(panel.getByRole('table', { name: 'Needs of the week' }).locator('tbody tr')).toHaveCount(15);
  await expect(panel).toContainText(
    /The bag of the week (costs \d\.\d\d strokes a round more than|is|and) the best possible/,
  );
  await expect(panel).toContainText(/Proved the best of [\d,]+ sets of clubs/);

  // A club is locked out, then in: it answers each time; two locks too many are refused by name.
  const locks = panel.getByRole('group', { name: 'Locks' });
  const seven = locks.getByRole('button', { name: /^7 iron/ });
  await expect(seven).toHaveAccessibleName('7 iron: open, chosen');
  await seven.click();
  await expect(seven).toHaveAccessibleName('7 iron: always, chosen');
  await seven.click();
  await expect(seven).toHaveAccessibleName('7 iron: never');
  await expect(panel.locator('.swap-list')).toContainText('7 iron out');
  await panel.getByLabel('Clubs at most').fill('40');
  await panel.getByLabel('Clubs at most').press('Enter');
  await expect(panel.getByRole('alert')).toContainText(
    'Clubs at most must be a whole number between 1 and 14, not “40”.',
  );
  await panel.getByLabel('Clubs at most').fill('1');
  await panel.getByLabel('Clubs at most').press('Enter');
  await expect(panel).toContainText('The bag of the week holds 14 clubs, 1 is wanted.');
  await locks.getByRole('button', { name: /^9 iron/ }).click();
  await expect(panel.getByRole('alert')).toContainText(
    /contradict each other: "one putter" and "always the 9 iron"|contradict each other: .*always the 9 iron|allow no bag/,
  );
  await panel.getByLabel('Clubs at most').fill('14');
  await panel.getByLabel('Clubs at most').press('Enter');
  await expect(panel.getByRole('alert')).toHaveCount(0);

  await panel.getByText('Why, club by club').click();
  await expect(panel).toContainText(/Driver: best for \d+ shots?, most of all (the )?drive/);
  await panel.getByRole('button', { name: 'Put it into the plan' }).click();
  await expect(panel).toContainText('The bag of the week is the best possible for these shots.');
  await expect(page.locator('.swap')).not.toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Why' }).first()).toHaveValue(/strokes|needs|difference/);
  await saved(page);
  await page.reload();
  await expect(panel).toContainText('The bag of the week is the best possible for these shots.');
  await expect(locks.getByRole('button', { name: /^9 iron/ })).toHaveAccessibleName('9 iron: always, chosen');
  await page.emulateMedia({ media: 'print' });
  await expect(panel.getByRole('group', { name: 'Locks' })).toBeHidden();
  await expect(page.locator('.swap').first()).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await fromMenu(page, 'Delete this plan');
  await saved(page);
});

test('the demo’s windy week is chosen for in its air, and judged again when the wind drops', async ({
  page,
}) => {
  await page.goto(`${demo.davor}/plan?temp=8&alt=6&hum=78&wind=8&ground=firm&grass=fescue`);
  const panel = page.locator('.choose');
  await expect(panel.getByRole('heading')).toContainText('18 mph in the face');
  await expect(panel).toContainText(/costs \d\.\d\d strokes a round more|is the best possible|are a tie/);
  const windy = await panel.locator('.sentence').textContent();
  await choose(page.getByRole('region', { name: 'Air and ground' }).getByLabel('Read in'), /^Baseline/);
  await expect(panel.locator('.sentence')).not.toHaveText(windy!);
});
