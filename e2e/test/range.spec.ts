import { expect, test } from '@playwright/test';
import { clubsHit, expectRows, newSession, playerWithClubs, shotRows } from './range-page';
import { choose, demo, newPlayer, paste, saved, up } from './workbench';

test('shots are entered by hand, one is left out with its reason, given to another club, and a deleted session comes back', async ({
  page,
}) => {
  await playerWithClubs(page, 'By Hand');
  await page.keyboard.press('Alt+g');
  await newSession(page, 'Range-finder evening');
  await choose(page.getByLabel('Club of shots by hand'), '9 iron');
  await page.keyboard.press('Alt+e');
  await page.keyboard.type('140 14x 141');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText(
    '"14x" is neither a carry, a side such as 3L, nor a club',
  );
  await expect(page.getByLabel('Carries by hand')).toHaveValue('140 14x 141');
  await page.getByLabel('Carries by hand').fill('140 142 3L 141 95 139 143 2R');
  await page.keyboard.press('Enter');
  await expectRows(page, 6);
  // The newest stands first.
  const shot = (number: number) => shotRows(page).nth(6 - number);
  await expect(shot(2)).toContainText('3 L');
  await expect(shot(4)).toContainText('outlier');
  const before = await clubsHit(page).locator('tbody td b').first().textContent();
  await page.getByRole('button', { name: 'Leave out shot 4' }).click();
  await page.getByRole('button', { name: 'mis-hit' }).click();
  await expect(shot(4)).toContainText('left out: mis-hit');
  await expect(clubsHit(page)).toContainText('5 of 6');
  await expect(clubsHit(page).locator('tbody td b').first()).not.toHaveText(before!);
  await choose(page.getByLabel('Club of shot 1'), '7 iron');
  await expect(clubsHit(page).getByRole('button', { name: '7 iron' })).toBeVisible();
  await page.keyboard.press('ControlOrMeta+z');
  await expect(clubsHit(page).getByRole('button', { name: '7 iron' })).toHaveCount(0);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(shot(4)).not.toContainText('left out');
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('No shots yet')).toBeVisible();
  await page.keyboard.press('ControlOrMeta+z');
  await expectRows(page, 6);
  await saved(page);
});

const MESSY = [
  'Session export;;;;;;',
  'Date;Club;Ball Speed (mph);Launch Angle;Spin Rate;Carry Distance;Lateral',
  ';;[mph];[deg];[rpm];[yds];[yds]',
  '18.11.2026 10:01;7i;118,2;16,4;7010;171,5;3,1 L',
  '18.11.2026 10:02;7 Iron;119,0;16,0;6890;173,0;2 R',
  '18.11.2026 10:03;7i;117,1;15,8;n/a;168,9;0',
  '18.11.2026 10:05;SW;87,6;29,7;fast;110,5;1 R',
  '19.11.2026 09:00;Drv;170,4;10,9;2600;301,0;14 L',
  '19.11.2026 09:01;Drv;171,0;11,2;2550;903;4 R',
  '19.11.2026 09:02;Neuner;122;21;8100;165;0',
].join('\r\n');

test('a messy file is mapped, looked at, corrected, taken, taken back, and known the next time', async ({
  page,
}) => {
  const player = await playerWithClubs(page, 'Messy File');
  await page.goto(`${player}/range/import`);
  const file = page.getByLabel('File of a launch monitor');
  await file.setInputFiles({
    name: 'picture.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(Array.from({ length: 3000 }, (_one, i) => (i * 89) % 256)),
  });
  await expect(page.getByRole('alert')).toContainText('picture.csv: This is not a text file');
  await file.setInputFiles({ name: 'messy.csv', mimeType: 'text/csv', buffer: Buffer.from(MESSY) });
  await expect(page.getByLabel('What Ball Speed (mph) is')).toHaveText(/ball speed/i);
  await expect(page.getByLabel('Unit of Carry Distance')).toHaveText('yd');
  await expect(page.getByLabel('Decimal sign')).toHaveText('comma');
  await expect(page.getByText('7 rows on 2 days')).toBeVisible();
  const refused = page.getByRole('table', { name: /Not imported/ });
  await expect(refused).toContainText('7Spin Ratefastis not a number');
  await expect(refused).toContainText('9Carry Distance903must be between 1.1 and 449.5 yd');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the list' }).click();
  expect((await saving).suggestedFilename()).toBe('left out of messy.csv.csv');
  await expect(page.getByLabel('Club Drv is')).not.toHaveText('left out');
  await expect(page.getByLabel('Club Neuner is')).toHaveText('left out');
  await choose(page.getByLabel('Club Neuner is'), '9 iron');
  await page.getByRole('button', { name: 'Import 5 shots' }).click();
  await expect(page.getByRole('status').filter({ hasText: '5 shots imported, on 2 days' })).toBeVisible();
  await page.getByRole('status').getByRole('link', { name: 'To the range' }).click();
  await expect(page.getByRole('navigation', { name: 'Sessions' }).getByRole('link')).toHaveCount(2);

  await page.goto(`${player}/range/import`);
  await file.setInputFiles({ name: 'messy.csv', mimeType: 'text/csv', buffer: Buffer.from(MESSY) });
  await expect(page.getByText('read as last time')).toBeVisible();
  await expect(page.getByText('0 to import, 5 known already')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing new to import' })).toBeDisabled();

  // Taken back from the history, it is gone, and comes in again.
  await page.getByRole('link', { name: 'History' }).click();
  await page
    .getByRole('listitem')
    .or(page.getByRole('row'))
    .filter({ hasText: '5 shots on 2 days from messy.csv' })
    .getByRole('button', { name: /Undo/ })
    .click();
  await page.getByRole('link', { name: 'Range' }).click();
  await expect(page.getByText('No shots yet')).toBeVisible();

  // A file of two players: their own shots are found by their name, another's are asked for.
  await page.goto(`${player}/range/import`);
  const both = 'Player,Club,Carry (yd)\nMessy File,7i,171\nBo Carr,7i,150\nMessy File,7i,172';
  await file.setInputFiles({ name: 'both.csv', mimeType: 'text/csv', buffer: Buffer.from(both) });
  const whose = page.getByLabel('Import the shots of');
  await expect(whose).toHaveText('Messy File (2)');
  await expect(page.getByText('2 to import, 1 of other players')).toBeVisible();
  await choose(whose, 'Bo Carr (1)');
  await page.getByRole('button', { name: 'Import 1 shot' }).click();
  await expect(page.getByRole('status').filter({ hasText: '1 shot imported' })).toContainText(
    '2 of other players.',
  );
});

test('a long file shows its progress and can be cancelled: nothing is kept', async ({ page }) => {
  const player = await playerWithClubs(page, 'Long File');
  await page.goto(`${player}/range/import`);
  const long = [
    'Club,Carry (yd),Ball Speed (mph),Launch,Spin',
    ...Array.from(
      { length: 60_000 },
      (_one, i) =>
        `7 iron,${(165 + (i % 90) / 10).toFixed(1)},${(115 + (i % 40) / 10).toFixed(1)},${(16 + (i % 17) / 10).toFixed(1)},${6800 + (i % 700)}`,
    ),
  ].join('\n');
  await page
    .getByLabel('File of a launch monitor')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(long) });
  const take = page.getByRole('button', { name: 'Import 60,000 shots' });
  await expect(take).toBeVisible({ timeout: 30_000 });
  // Over a thin line, so that it is on its way for half a minute however quick the machine is.
  const line = await page.context().newCDPSession(page);
  const thin = (bytesASecond: number) =>
    line.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: bytesASecond,
    });
  await line.send('Network.enable');
  await thin(60_000);
  await take.click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('alert')).toContainText('Cancelled; nothing was imported.');
  await thin(-1);
  await up(page, 'Range');
  await expect(page.getByText('No shots yet')).toBeVisible();
  // A file over the limit is refused before a byte of it goes.
  await page.goto(`${player}/range/import`);
  await page.evaluate(() => {
    Object.defineProperty(File.prototype, 'size', { get: () => 2_000_000_000 });
  });
  await page
    .getByLabel('File of a launch monitor')
    .setInputFiles({ name: 'huge.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') });
  await expect(page.getByRole('alert')).toContainText('huge.csv is 2000 MB; 64 MB is the limit');
});

test('builds are compared: a verdict or none yet, the margin as the player sets it, a warning, an order for the test day; all of it in the address', async ({
  page,
}) => {
  await page.goto(`${demo.davor}/bag`);
  await expect(page.getByRole('grid')).toBeVisible();
  await page.keyboard.press('Alt+c');
  const pick = page.getByRole('group', { name: 'Builds' });
  await pick.getByRole('button', { name: /^Driver/ }).click();
  await pick.getByRole('button', { name: /^Old driver/ }).click();
  await expect(page.getByRole('button', { name: 'Longest off the tee' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.locator('.pair')).toContainText(/Old driver .* Driver/);
  await pick.getByRole('button', { name: /^Old driver/ }).click();
  await pick.getByRole('button', { name: /^Driver/ }).click();

  await pick.getByRole('button', { name: /^Hybrid 3/ }).click();
  await pick.getByRole('button', { name: /^Driving iron/ }).click();
  await expect(page.getByRole('button', { name: 'Match the old one' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.locator('.pair')).toContainText('Driving iron does not match Hybrid 3: apex');
  await expect(page.locator('.pair')).toContainText('changes head and shaft together');
  // Where a green is to be held, the one that comes down steeper wins: the other runs on.
  await page.getByRole('button', { name: 'Hold a green' }).click();
  await expect(page.locator('.pair')).toContainText(
    /Driving iron runs farther than Hybrid 3: run on a firm green/,
  );
  await expect(page).toHaveURL(/ask=holds/);
  await page.getByRole('button', { name: 'Match the old one' }).click();
  for (const [label, value] of [
    ['Margin of carry', '12'],
    ['Margin of apex', '40'],
    ['Margin of spin', '900'],
  ] as const) {
    await page.getByLabel(label).fill(value);
    await page.getByLabel(label).press('Enter');
  }
  await expect(page.locator('.pair')).toContainText('Driving iron matches Hybrid 3');
  await page.getByLabel('Margin of carry').fill('900');
  await page.getByLabel('Margin of carry').press('Enter');
  await expect(page.getByRole('alert')).toContainText(
    'Margin of carry must be between 0.5 and 32.8 yd, not “900”.',
  );
  await expect(page.getByRole('table', { name: 'The builds side by side' })).toContainText(
    /Driving iron\s*12/,
  );

  await page.getByLabel('Shots with each').fill('20');
  await page.getByLabel('Shots with each').press('Enter');
  const order = page.locator('.plan tbody tr');
  await expect(order).toHaveCount(4);
  const drawn = await order.allTextContents();
  const address = page.url();
  await page.goto('/roster');
  await page.goto(address);
  await expect(page.locator('.pair')).toContainText('Driving iron matches Hybrid 3');
  expect(await order.allTextContents()).toEqual(drawn);
  expect(drawn.every((round) => round.includes('Hybrid 3') && round.includes('Driving iron'))).toBe(true);
});

test('the demo’s sessions show what they are meant to: worn grooves, an outlier, what the bag covers', async ({
  page,
}) => {
  await page.goto(`${demo.davor}/range`);
  await expect(clubsHit(page)).toContainText('60: spin lost and launch gained against before');
  await expect(page.getByRole('heading', { name: 'What the gamer covers' })).toBeVisible();
  for (const chart of [/^Landing points/, /^Side view/, /^Chance of covering/])
    await expect(page.getByRole('img', { name: chart }).getByText('7 iron', { exact: true })).toBeAttached();
  await clubsHit(page).getByRole('button', { name: '7 iron', exact: true }).click();
  await expect(page).toHaveURL(/clubs=/);
  await expectRows(page, 10);
  await expect(page.getByRole('img', { name: /^Landing points of 1 club;/ })).toBeAttached();
});

test('a basket is worked out for a half-known bag, hit ball by ball, and stops a club that is known well enough', async ({
  page,
}) => {
  await newPlayer(page, 'Basket Case');
  await page.getByRole('grid').locator('td').first().focus();
  await paste(
    page,
    'club\tkind\tmeasured loft\tcarry [yd]\nDriver\tdriver\t10\t240\n5 iron\tiron\t25\t\n7 iron\tiron\t33\t160\n9 iron\tiron\t41\t\n56\twedge\t56\t85\n',
  );
  await expect(page.getByRole('grid').locator('tr[data-name="56"]')).toBeVisible();
  await saved(page);
  await page.keyboard.press('Alt+g');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Range');
  await page.keyboard.press('Alt+k');
  await page.getByRole('button', { name: '30 balls' }).click();
  await expect(page).toHaveURL(/balls=30/);
  const basket = page.getByRole('table', { name: 'Shots to hit' });
  await expect(basket).toContainText('modelled', { timeout: 60_000 });
  await expect(page.getByText(/balls on \d+ shots? are worth about/)).toBeVisible();
  const first = (await basket.getByRole('rowheader').first().textContent())!.trim();

  await page.getByRole('button', { name: 'Hit this basket' }).click();
  const strip = page.getByRole('region', { name: 'Basket' });
  await expect(strip).toContainText(`First the ${first}.`);
  await page.keyboard.press('Alt+x');
  await expect(strip).toContainText(`The ${first}: 0 of`);
  await expect(page.getByLabel('Club of shots by hand')).toContainText(first);
  await page.getByLabel('Carries by hand').fill(Array.from({ length: 20 }, () => '150').join(' '));
  await page.keyboard.press('Enter');
  await expect(strip).toContainText(`The ${first} is known well enough after 20 balls`);
  await saved(page);
  await page.reload();
  await expect(strip).toContainText(`The ${first} is known well enough after 20 balls`);
  await page.keyboard.press('Alt+x');
  await expect(strip).not.toContainText('has told enough');
  await saved(page);
});
