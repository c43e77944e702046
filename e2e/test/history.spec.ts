import { expect, test } from '@playwright/test';
import { choose, demo, newPlayer, paste, saved } from './workbench';

test('a day of the past is found again: what was in the bag, who changed it and why, what putting it back takes, and a club’s life', async ({
  page,
}) => {
  const monthAgo = new Date(Date.now() - 40 * 86_400_000).toISOString().slice(0, 10);
  await page.goto(`${demo.davor}/history?from=${monthAgo}`);
  const between = page.locator('section').filter({ hasText: 'Between two days' }).last();
  await expect(between.locator('.gamer del').filter({ hasText: '4 iron' })).toBeVisible();
  await expect(between.locator('.gamer ins').filter({ hasText: 'Driving iron' })).toBeVisible();
  const both = between.getByRole('row').filter({ hasText: '9 iron' }).first();
  await expect(both).toContainText('40.0°');
  await expect(both).toContainText('40.5°');
  const bent = between.getByRole('row', { name: /Set loft/ }).first();
  await expect(bent).toContainText('sat too close to the 52');
  // What it takes is said before anything is done.
  await between.getByRole('button', { name: /^Put it back as it was on/ }).click();
  const panel = page.getByRole('region', { name: `As it was on ${monthAgo}` });
  await expect(panel).toContainText('In: 4 iron, 60 low.');
  await expect(panel).toContainText(/56, on the bench: Set loft 56\.0°/);
  await expect(panel).toContainText('Eye protection');
  await panel.getByRole('button', { name: 'Cancel' }).click();
  await expect(panel).toHaveCount(0);

  await between.getByRole('link', { name: '56', exact: true }).first().click();
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
  // What it was to gain in a usual round, by what is known of its clubs.
  await expect(swaps.getByRole('row', { name: /Driving iron/ })).toContainText(/a tie|\d\.\d\d/);
  // A shorter time, by its address.
  await page.goto(`${demo.davor}/history/review?days=91`);
  await expect(held.getByRole('status')).toContainText('came within their range');
});

test('a round outside any event is recorded, found again by its address, and counted; an event elsewhere keeps its own clocks', async ({
  page,
}) => {
  const id = await newPlayer(page, 'Sunday Golfer');
  await page.getByRole('grid').locator('td').first().focus();
  await paste(page, 'club\tkind\tmeasured loft\tcarry [yd]\n7 iron\tiron\t33\t165\n9 iron\tiron\t41\t140\n');
  await expect(page.getByRole('grid').locator('tr[data-name="9 iron"]')).toBeVisible();
  await saved(page);

  await page.goto(`/players/${id}/history`);
  const played = page.getByRole('region', { name: 'Rounds played' });
  await expect(played).toContainText('No rounds yet.');
  await played.getByRole('button', { name: 'Add a round…' }).click();
  await played.getByLabel('Name of the round').fill('Sunday fourball');
  await choose(played.getByLabel('Course'), 'Lagoa Funda');
  await played.getByRole('button', { name: 'Save' }).click();
  await expect(played.getByRole('heading', { level: 3 })).toContainText('Sunday fourball');
  await played.getByLabel('What was hit from where').fill('4, 7 iron, 160, rough\n9i 138\nspoon 200');
  await expect(played).toContainText('spoon');
  await played.getByLabel('What was hit from where').fill('4, 7 iron, 160, rough\n9i 138\n7 iron 155');
  await played.getByRole('button', { name: 'Save 3 shots' }).click();
  await expect(played).toContainText('3 hits counted');
  await saved(page);
  await page.reload();
  await expect(played.getByRole('heading', { level: 3 })).toContainText('Sunday fourball');
  await expect(played.getByLabel('Times the 7 iron was hit')).toHaveValue('2');
  await played.getByRole('button', { name: 'Delete the round' }).click();
  await expect(played).toContainText('No rounds yet.');
  await page.keyboard.press('ControlOrMeta+z');
  await expect(played).toContainText('Sunday fourball');

  // An event far away: its tee times are on its clocks, with the reader's beside them, here and in a calendar.
  await page.keyboard.press('Alt+p');
  await page.getByRole('button', { name: 'Plan an event' }).click();
  await page.getByRole('button', { name: 'Another event' }).click();
  await page.getByLabel('Name of the event').fill('Far Sunday Cup');
  await page.getByLabel('Time zone').fill('atlantis');
  await page.getByLabel('Tee time of round 1').fill('quarter past');
  await page.getByLabel('Tee time of round 1').blur();
  await expect(page.getByText('"atlantis" is not a time zone; write a large city, like Oslo')).toBeVisible();
  await expect(page.getByText('"quarter past" is not a time; write 8:40')).toBeVisible();
  // Nothing is saved around what could not be read: the press leads to it.
  await page.getByRole('button', { name: 'Plan it from the gamer bag' }).click();
  await expect(page.getByLabel('Time zone')).toBeFocused();
  await page.getByLabel('Time zone').fill('Kiritimati');
  await page.getByLabel('Tee time of round 1').fill('7.10 am');
  await page.getByRole('button', { name: 'Plan it from the gamer bag' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Far Sunday Cup');
  await expect(page.getByRole('navigation', { name: 'Rounds' })).toContainText(/07:10 \(\d\d:10.* here\)/);
  await saved(page);
  const calendar = await (await page.request.get(`/api/players/${id}/season.ics`)).text();
  expect(calendar).toMatch(/DTSTART;TZID=Pacific\/Kiritimati:\d{8}T071000/);
});
