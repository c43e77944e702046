import { expect, test } from '@playwright/test';
import { clubsHit, expectRows, newSession, playerWithClubs } from './range-page';
import { cell, choose, newPlayer, paste, saved } from './workbench';

// There is one launch monitor, and whoever asked last has it: these jobs wait for each other, being in one
// file.

const day = (inDays: number) => new Date(Date.now() + inDays * 86_400_000).toISOString().slice(0, 10);
const compact = (inDays: number) => day(inDays).replaceAll('-', '');

test('ten are hit with the 7 iron before the monitor, none is lost while the page is closed, and the average is taken into the sheet and back', async ({
  page,
  context,
}) => {
  const player = await playerWithClubs(page, 'Live One');
  await page.keyboard.press('Alt+g');
  await newSession(page, 'Matting hall');
  await page.getByRole('button', { name: 'Take shots from the monitor' }).click();
  await expect(page.getByText(/stand-in is here/)).toBeVisible();
  await choose(page.getByLabel('Club in hand'), '7 iron');
  await saved(page);
  await page.keyboard.press('Alt+h');
  await expectRows(page, 10);
  await expect(clubsHit(page)).toContainText(/7 iron\s*10/);

  // Ten more, and the page is closed while they fly.
  await page.keyboard.press('Alt+h');
  await page.close();
  const again = await context.newPage();
  await again.goto(`${player}/range`);
  await expectRows(again, 20);
  await expect(again.getByRole('region', { name: 'Live board' })).toContainText(/last 10: average \d+/);

  await clubsHit(again)
    .getByRole('button', { name: /^Take \d+/ })
    .click();
  await expect(clubsHit(again)).toContainText('● taken');
  await again.keyboard.press('Alt+b');
  await expect(cell(again, '7 iron', 'shot.full.carryM')).toHaveAttribute('title', /20 shots/);
  await expect(cell(again, '7 iron', 'shot.full.carryM')).toHaveClass(/measured/);
  await again.keyboard.press('ControlOrMeta+z');
  await expect(cell(again, '7 iron', 'shot.full.carryM')).toHaveText('165');
  await again.goto(`${player}/range`);
  await again.getByRole('button', { name: 'Stop taking shots' }).click();
  await expect(again.getByRole('region', { name: 'Live board' })).toHaveCount(0);
  await saved(again);
});

test('an off-season: events out of a calendar, new clubs on trial before the monitor, a freeze that asks why, and a calendar that leaves again', async ({
  page,
}) => {
  const id = await newPlayer(page, 'Off Season');
  await page.getByRole('grid').locator('td').first().focus();
  await paste(
    page,
    'club\tkind\tmeasured loft\tcarry [yd]\nDriver\tdriver\t9\t262\nDriver new\tdriver\t9\t\n7 iron\tiron\t33\t165\n9 iron\tiron\t41\t140\n',
  );
  await expect(page.getByRole('grid').locator('tr[data-name="9 iron"]')).toBeVisible();
  await cell(page, 'Driver new', 'name').focus();
  await page.keyboard.press('Alt+o');
  await saved(page);

  // The dates of an event come out of somebody’s calendar; what cannot be is said and not taken.
  await page.keyboard.press('Alt+d');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Season');
  await page.getByRole('button', { name: 'Import events…' }).click();
  const bring = page.getByRole('region', { name: 'Import events' });
  const event = (name: string, from: number, to: number) =>
    `BEGIN:VEVENT\r\nUID:${name}\r\nSUMMARY:${name}\r\nDTSTART;VALUE=DATE:${compact(from)}\r\nDTEND;VALUE=DATE:${compact(to)}\r\nEND:VEVENT`;
  await bring.locator('input[type="file"]').setInputFiles({
    name: 'tour.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//a//b\r\n${event('Opener of the year', 40, 43)}\r\n${event('Backwards', 30, 20)}\r\nEND:VCALENDAR`,
    ),
  });
  await expect(bring).toContainText('ends before it begins');
  await choose(bring.getByLabel('Course of the new events'), /Skarvoy/);
  // Played by somebody else for now.
  await bring.getByRole('checkbox', { name: /^Plan them for/ }).click();
  await bring.getByRole('button', { name: 'Import 1 event' }).click();
  const coming = page.getByRole('region', { name: 'What is coming' });
  await expect(coming.getByRole('listitem').filter({ hasText: 'Opener of the year' })).toContainText(
    'no plan',
  );

  // Days of one’s own: nothing new from today on; and what is on trial until the week before.
  const own = page.getByRole('region', { name: 'Own days' });
  await own.getByRole('button', { name: 'Add…' }).click();
  await own.getByLabel('Name').fill('Before the opener');
  await own.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(coming).toContainText('Before the opener');
  const trials = page.getByRole('region', { name: 'On trial' });
  await trials.getByRole('button', { name: 'Add…' }).click();
  await choose(trials.getByLabel('On trial', { exact: true }), 'Driver new');
  await choose(trials.getByLabel('Against'), 'Driver');
  await trials.getByLabel('Shots').fill('10');
  await trials.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(trials).toContainText('0 of 10 shots');
  await expect(coming).toContainText('Trial of the Driver new ends');
  await saved(page);

  // It is hit before the simulated monitor.
  await page.keyboard.press('Alt+g');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Range');
  await page.keyboard.press('Alt+n');
  await page.getByLabel('Where').fill('Winter barn');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take shots from the monitor' }).click();
  await choose(page.getByLabel('Club in hand'), 'Driver new');
  await saved(page);
  await page.keyboard.press('Alt+h');
  const clubs = page.getByRole('table', { name: /What each club did/ });
  await expect(clubs).toContainText(/Driver new\s*10/, { timeout: 30_000 });
  await clubs.getByRole('button', { name: /^Take \d+/ }).click();
  await expect(clubs).toContainText('● taken');
  await page.getByRole('button', { name: 'Stop taking shots' }).click();
  await saved(page);

  // It is decided, and comes into the bag; the freeze asks why.
  await page.keyboard.press('Alt+d');
  await expect(trials).toContainText('10 of 10 shots');
  await choose(trials.getByLabel('Outcome of the Driver new'), 'kept');
  await page.keyboard.press('Alt+b');
  await page.getByRole('grid').locator('td').first().focus();
  await page.keyboard.press('Alt+i');
  await page
    .getByRole('option', { name: /Driver new/ })
    .or(page.getByRole('button', { name: /Driver new/ }))
    .first()
    .click();
  const dialog = page.getByRole('dialog', { name: 'Nothing new for now' });
  await expect(dialog).toContainText('Before the opener');
  await dialog.getByLabel('Reason').fill('five yards and straighter');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid').locator('tr[data-name="Driver new"]')).toBeVisible();
  await saved(page);
  await page.goto(`/players/${id}/history`);
  await expect(page.getByText('five yards and straighter')).toBeVisible();

  // The calendar leaves again, with ids that stay.
  const feed = await page.request.get(`/api/players/${id}/season.ics`);
  expect(feed.headers()['content-type']).toContain('text/calendar');
  const text = await feed.text();
  expect(text).toContain('SUMMARY:Opener of the year');
  expect(text).toContain('SUMMARY:Before the opener');
});
