import { expect, test } from '@playwright/test';
import { demo, newPlayer, paste, saved } from './workbench';

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

  // The year, as it was written in a message: on the course it names, or on one added by its name.
  await page.getByRole('button', { name: 'Import events…' }).click();
  const year = page.getByRole('region', { name: 'Import events' });
  await expect(year.getByRole('textbox', { name: 'List of events' })).toBeFocused();
  await paste(
    page,
    'Season 2031\n12-15 Mar Aaron Open, Aaron Dunes\n9 - 12 April: Aaron Cup @ Hochfirn\nTBC Trophy',
  );
  await expect(year.getByRole('listitem')).toContainText([
    /Aaron Open 12 Mar 2031 to 15 Mar 2031 at Aaron Dunes/,
    /Aaron Cup 9 Apr 2031 to 12 Apr 2031 on Hochfirn/,
    /TBC Trophy ■ has no date/,
  ]);
  await expect(year).toContainText('Add 1 course by name, holes to follow: Aaron Dunes');
  await year.getByRole('button', { name: 'Import 2 events' }).click();
  await saved(page);
  const events = (await (await page.request.get('/api/schedule')).json()) as {
    events: { id: string; name: string }[];
  };
  const cup = events.events.find(({ name }) => name === 'Aaron Open')!;
  // What no plan is for is planned from where it stands, not from another event's page.
  await page.goto(`/players/${id}/plan?event=${cup.id}`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Aaron Open');
  await expect(page.getByText('Aaron Dunes has no holes yet')).toBeVisible();
  await page.getByRole('button', { name: 'Plan it from the gamer bag' }).click();
  await expect(page.getByText('The holes of Aaron Dunes are not recorded yet.')).toBeVisible();
  await expect(page).toHaveURL(/\/plan\/[0-9a-f-]{36}$/);
  await saved(page);

  // By name to somebody else, in a view of theirs; and Esc leaves everything as it is.
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Go to' })).toBeFocused();
  await page.keyboard.type('pim card');
  await expect(page.getByRole('listbox', { name: 'Places' })).toHaveText(/^Pim Hoekstra · Card$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Card');
  await expect(page).toHaveURL(`${demo.pim}/card`);
  await page.keyboard.press('Control+k');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(`${demo.pim}/card`);
});
