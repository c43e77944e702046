import { expect, test } from '@playwright/test';
import { cell, choose, demo, newPlayer, paste, saved } from './workbench';

const day = (inDays: number) => new Date(Date.now() + inDays * 86_400_000).toISOString().slice(0, 10);
const compact = (inDays: number) => day(inDays).replaceAll('-', '');

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
  await page.getByRole('button', { name: 'Bring a calendar…' }).click();
  const bring = page.getByRole('region', { name: 'Bring a calendar' });
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
  await bring.getByRole('button', { name: 'Take 1 event' }).click();
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
  await expect(page.getByRole('heading', { level: 1 })).toContainText('range');
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
  const dialog = page.getByRole('dialog', { name: 'Nothing new just now' });
  await expect(dialog).toContainText('Before the opener');
  await dialog.getByLabel('Why all the same').fill('five yards and straighter');
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

test('whether swapping is worth it is worked out over the planned rounds, with how far it can be known', async ({
  page,
}) => {
  await page.goto(`${demo.maren}/bench/wishes`);
  await page.getByRole('button', { name: 'New wish' }).click();
  await page.getByLabel('What', { exact: true }).fill('A 48 wedge');
  await page.getByLabel('Price', { exact: true }).fill('140');
  await page.getByRole('button', { name: 'Add wish' }).click();
  await saved(page);
  await page.goto(`${demo.maren}/season`);
  const worth = page.getByRole('region', { name: 'What the season is worth' });
  await expect(worth).toContainText('4 planned rounds');
  await worth.getByRole('button', { name: 'Work it out' }).click();
  await expect(worth.getByRole('row', { name: /^A bag for each round/ })).toContainText(
    /\d\.\d \(−?\d\.\d to \d\.\d\)/,
    {
      timeout: 60_000,
    },
  );
  await expect(worth.getByRole('status').first()).toContainText('over 4 rounds');
  await expect(worth.getByRole('row', { name: /^Driver/ })).toContainText('of 4');
  // Which set travels where: what the best bag of a round is against the gamer.
  await expect(worth.getByRole('row', { name: /^Hochfirn Open, Round 1/ })).toContainText(/ in\b|the gamer/);
  // What is wished for is weighed beside what is owned, and in no bag of it.
  await expect(
    worth.getByRole('row', { name: /^A 48 wedge wished for, 140; in the best bag/ }),
  ).toContainText(/−?\d\.\d \(−?\d\.\d to \d\.\d\)/);
});

test('the morning is gone through by key: the next thing, what else there is, back again, and everybody’s weeks', async ({
  page,
}) => {
  const id = await newPlayer(page, 'Aaron Morning');
  await page.getByRole('grid').locator('td').first().focus();
  await paste(page, 'club\tkind\tstamped loft\tcarry [yd]\n7 iron\tiron\t33\t165\n9 iron\tiron\t41\t\n');
  await expect(page.getByRole('grid').locator('tr[data-name="9 iron"]')).toBeVisible();
  await saved(page);
  await page.keyboard.press('Alt+r');
  // One key to the most pressing thing of all, whoever it is of.
  const next = page.getByRole('link', { name: /Alt N$/ });
  const to = (await next.getAttribute('href'))!;
  await page.keyboard.press('Alt+n');
  await expect(page).toHaveURL((url) => url.pathname + url.search === to);
  await page.keyboard.press('Alt+r');
  // Everything there is for one player.
  const aaron = page.getByRole('listitem').filter({ hasText: 'Aaron Morning' });
  await expect(aaron).toContainText('1 carry not known');
  await expect(aaron).toContainText('2 changes since yesterday');
  await aaron.getByRole('link', { name: /check lofts and lies/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`${id}/bench/check`));
  await expect(page.locator('input:focus')).toBeVisible();
  // The week: a test is due for everybody on the roster, and it leads there.
  await page.getByRole('link', { name: 'Calendar', exact: true }).focus();
  await page.keyboard.press('Enter');
  const weeks = page.getByRole('region', { name: 'Weeks of everybody' });
  await expect(weeks.getByRole('link', { name: 'Aaron Morning' })).toBeVisible();
  await expect(
    weeks.getByRole('img', { name: /^Leave alone before Hochfirn Open, leave alone/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page).toHaveURL(/calendar\?from=\d{4}-\d\d-\d\d/);
  await page.reload();
  await expect(weeks.getByRole('link', { name: 'Aaron Morning' })).toBeVisible();
});
