import { expect, test } from '@playwright/test';
import { workbookOf } from '../../web/test/files/workbook-file';
import { cell, choose, demo, names, newPlayer, saved } from './workbench';

test('a club is opened, bent, read back as of an earlier day, deleted and brought back', async ({ page }) => {
  await page.goto(`${demo.maren}/locker`);
  await cell(page, '54', 'name').focus();
  await page.keyboard.press('Alt+Enter');
  const panel = page.getByRole('dialog');
  await expect(panel.getByText('Bend only what the maker allows').first()).toBeVisible();
  await panel.getByLabel(/Set loft/).fill('53,5');
  await panel.getByLabel(/Set loft/).press('Tab');
  await expect(panel.locator('.readings li').first()).toContainText('Set loft 53.5°');
  await panel.getByLabel('half carry').fill('45');
  await panel.getByLabel('half carry').press('Tab');
  await panel.getByLabel(/^Lie/).fill('640');
  await panel.getByLabel(/^Lie/).press('Tab');
  await expect(panel.getByRole('alert')).toContainText('Lie must be between 45 and 82');
  await panel.getByLabel(/^Lie/).fill('63,5');
  await panel.getByLabel(/^Lie/).press('Tab');
  await saved(page);
  await page.goto(`${demo.maren}/history`);
  await expect(page.getByRole('row').filter({ hasText: 'Set loft' }).first()).toContainText('53.5');
  await page.goto(`${demo.maren}/bag?asOf=2026-10-20`);
  await expect(cell(page, '54', 'loft')).toHaveText('54.0°');
  await expect(page.locator('td[data-column="new"]')).toHaveCount(0);
  await page.goto(`${demo.maren}/locker`);
  await cell(page, 'Old 56', 'name').focus();
  await page.keyboard.press('Alt+Enter');
  await page.getByRole('button', { name: 'Delete this club' }).click();
  await expect(cell(page, 'Old 56', 'name')).toHaveCount(0);
  await saved(page);
  await page.keyboard.press('ControlOrMeta+z');
  await expect(cell(page, 'Old 56', 'name')).toHaveCount(1);
});

test('a file shows what it would change, refuses bad rows by name, and comes in whole; the sheet goes out as CSV and PDF', async ({
  page,
  request,
}) => {
  const playerId = await newPlayer(page, 'Ivo Import', 'metres');
  await page.getByRole('button', { name: 'Print, export, import, and more' }).click();
  await page.getByText('Import a file…').click();
  await page.getByLabel('File', { exact: true }).setInputFiles({
    name: 'bag.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('club;loft;carry\n7 iron;33;146\n9 iron;flat;124\n=SUM(A1);40;130\n'),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('"flat" is not a number');
  await expect(dialog).toContainText('what kind of club is "=SUM(A1)"');
  await dialog.getByRole('button', { name: 'Import 2 clubs' }).click();
  await expect(dialog).toBeHidden();
  expect(await names(page)).toEqual(['7 iron', '9 iron']);
  await expect(cell(page, '9 iron', 'loft')).toHaveText('flat');
  const tray = page.getByRole('region', { name: 'What was pasted' });
  await expect(tray).toContainText('bag.csv: 2 new');
  await choose(tray.getByLabel('Kind of club, row 4'), 'wedge');
  await tray.getByLabel('club, row 4', { exact: true }).fill('Bertha');
  // Half fixed, it outlives a reload.
  await saved(page);
  await page.reload();
  await expect(tray.getByLabel('club, row 4', { exact: true })).toHaveValue('Bertha');
  await tray.getByRole('button', { name: 'Import 1 row' }).click();
  await expect(tray).toContainText('bag.csv: 3 new');
  await expect(cell(page, 'Bertha', 'shot.full.carryM')).toHaveText('130');
  await saved(page);
  // As spreadsheets save it, dropped on the page: a title, one player of two, a head nobody knows.
  const lines = ['Bags 2026;;', 'Player;Club;Reach (in)', 'Ivo Import;7 iron;36,75', 'Ann Other;7 iron;35'];
  const dropped = await page.evaluateHandle(
    (bytes) => {
      const data = new DataTransfer();
      data.items.add(new File([new Uint8Array(bytes)], 'old.csv', { type: 'text/csv' }));
      return data;
    },
    [...Buffer.from(lines.join('\r\n'), 'latin1')],
  );
  for (const event of ['dragenter', 'dragover', 'drop'])
    await page.dispatchEvent('.page.bag', event, { dataTransfer: dropped });
  await expect(dialog).toContainText('0 new, 0 changed, 1 unchanged');
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await choose(tray.getByLabel('What “Reach (in)” is'), 'length, in');
  await expect(cell(page, '7 iron', 'lengthIn')).toHaveText('36.75');
  await tray.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  const csv = await request.get(`/api/players/${playerId}/sheet.csv`);
  expect(await csv.text()).toContain('full carry [m]');
  const pdf = await request.get(`/api/players/${playerId}/sheet.pdf`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('addresses that lead nowhere say so, and markup in a name stays text', async ({ page }) => {
  await page.goto('/players/7a5c4e00-9999-4000-8000-000000000000/bag');
  await expect(page.getByRole('heading', { name: 'No such player' })).toBeVisible();
  await page.goto('/nowhere/at/all');
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  await newPlayer(page, '<img src=x onerror="window.hit=1">');
  await page.goto('/roster');
  await expect(page.getByRole('heading', { name: '<img src=x' })).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { hit?: number }).hit)).toBeUndefined();
});

test('the locker gives the same advice for the gamer as the bag’s own page', async ({ page }) => {
  await page.goto(`${demo.oluchi}/bag`);
  const onBag = page.locator('.verdict-card .remedy');
  await expect(onBag.first()).toBeVisible({ timeout: 20_000 });
  const said = (await onBag.allTextContents()).map((text) =>
    text
      .replace(/Try it/, '')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  await page.keyboard.press('Alt+l');
  const inLocker = page.locator('.advice .remedy');
  await expect(inLocker).toHaveCount(said.length, { timeout: 20_000 });
  expect((await inLocker.allTextContents()).map((text) => text.replace(/\s+/g, ' ').trim())).toEqual(said);
});

test('a list of several players comes in: who is new is added with a gamer, who is there is left alone', async ({
  page,
}) => {
  await page.goto('/roster');
  await page.getByRole('button', { name: 'Import a list…' }).click();
  const dialog = page.getByRole('dialog');
  const list = [
    'Player;Club;Loft;Carry',
    'Lis Liste;Driver;10,5;208',
    'Lis Liste;Berta;33;x',
    'Davor Kolar;PW;46;',
  ];
  await dialog.getByLabel('List of bags').setInputFiles({
    name: 'team.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(list.join('\r\n'), 'latin1'),
  });
  await choose(dialog.getByLabel('Carries in'), 'metres');
  await expect(dialog.getByRole('row', { name: /^Davor Kolar 1 is on the roster/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 1 player' }).click();
  await expect(dialog).toBeHidden();
  await page.getByRole('link', { name: 'Lis Liste' }).first().click();
  await expect(page.getByRole('heading', { name: 'Lis Liste · Gamer' })).toBeVisible();
  expect(await names(page)).toEqual(['Driver']);
  await expect(cell(page, 'Driver', 'shot.full.carryM')).toHaveText('208');

  // A workbook with a sheet for each player is a list of them, read in a worker of the page.
  await page.goto('/roster');
  await page.getByRole('button', { name: 'Import a list…' }).click();
  const bag = (carry: number) => [
    ['Club', 'Loft', 'Carry'],
    ['Driver', 10.5, carry],
    ['7 iron', 33, 140],
  ];
  const workbook = workbookOf({ 'Una Blatt': bag(201), 'Duo Blatt': bag(222) });
  await dialog.getByLabel('List of bags').setInputFiles({
    name: workbook.name,
    mimeType: '',
    buffer: Buffer.from(await workbook.arrayBuffer()),
  });
  await choose(dialog.getByLabel('Sheet of the workbook'), 'all of them, a player each');
  await choose(dialog.getByLabel('Carries in'), 'metres');
  await dialog.getByRole('button', { name: 'Add 2 players' }).click();
  await expect(dialog).toBeHidden();
  await page.getByRole('link', { name: 'Duo Blatt' }).first().click();
  await expect(cell(page, 'Driver', 'shot.full.carryM')).toHaveText('222');
});
