import { expect, test, type Page } from '@playwright/test';
import { cell, demo, newPlayer, paste, saved } from './workbench';

test.use({ serviceWorkers: 'allow' });

/** The page is ready to be opened without a network. */
async function kept(page: Page): Promise<void> {
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state ?? 'none'), { timeout: 90_000 })
    .toBe('activated');
}

test('without a network the bag opens on what was last seen, takes what is typed, and sends it when the network is back', async ({
  page,
  context,
}) => {
  const id = await newPlayer(page, 'No Network');
  await kept(page);
  await page.getByRole('grid').locator('td').first().focus();
  await paste(page, 'club\tkind\tmeasured loft\tcarry [yd]\n7 iron\tiron\t33\t165\n9 iron\tiron\t41\t140\n');
  await expect(cell(page, '9 iron', 'shot.full.carryM')).toHaveText('140');
  await saved(page);
  // What was saved is what is kept, without the page being opened again.
  await expect
    .poll(() =>
      page.evaluate(async (playerId) => {
        const seen = await caches.open('tasche-last-seen');
        const sheet = await seen.match(new URL(`/api/players/${playerId}/sheet`, window.location.href).href);
        return (await sheet?.text())?.includes('9 iron') ?? false;
      }, id),
    )
    .toBe(true);
  await page.goto('/roster');
  await expect(page.getByRole('link', { name: /No Network/ }).first()).toBeVisible();
  // So is who was not opened here at all.
  await expect
    .poll(
      () =>
        page.evaluate(async (path) => (await caches.match(path)) !== undefined, `/api${demo.davor}/sheet`),
      { timeout: 60_000 },
    )
    .toBe(true);

  await context.setOffline(true);
  await page.goto(`${demo.davor}/card`);
  await expect(page.getByRole('heading', { name: /Davor Kolar/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^7 iron/ }).first()).toBeVisible();
  await page.goto(`/players/${id}/bag`);
  await expect(page.getByText('The server cannot be reached. You see what was last seen')).toBeVisible();
  await expect(cell(page, '9 iron', 'shot.full.carryM')).toHaveText('140');
  await cell(page, '9 iron', 'shot.full.carryM').focus();
  await page.keyboard.type('138');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 change will be sent when it is back')).toBeVisible();
  await page.reload();
  await expect(cell(page, '9 iron', 'shot.full.carryM')).toHaveText('138');
  await page.goto('/roster');
  await expect(page.getByRole('link', { name: /No Network/ }).first()).toBeVisible();

  await context.setOffline(false);
  await saved(page);
  await expect(page.getByText('You see what was last seen')).toHaveCount(0);
  await page.goto(`/players/${id}/bag`);
  await expect(cell(page, '9 iron', 'shot.full.carryM')).toHaveText('138');
});

test('the card of an event is read on a phone without a network, and a caddie’s question is answered', async ({
  page,
  context,
}) => {
  await page.goto(`${demo.maren}/card`);
  await kept(page);
  // Opened once with whoever keeps what is read.
  await page.reload();
  const stock = page.getByRole('row', { name: /^7 iron/ }).first();
  await expect(stock).toBeVisible();
  const carries = await stock.innerText();
  await page.setViewportSize({ width: 390, height: 844 });
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText('You see what was last seen')).toBeVisible();
  await expect(stock).toHaveText(carries.replace(/\s+/g, ' '), { useInnerText: true });
  const sideways = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(sideways).toBeLessThanOrEqual(0);

  await page.getByLabel('To the flag').fill('150');
  const says = page.getByRole('region', { name: 'Caddie’s question' }).getByRole('status');
  await expect(says).toContainText(/^The .+ pitches \d+, stops .+ Or the .+/);
  const calm = await says.innerText();
  await page.getByLabel('Wind', { exact: true }).fill('9');
  await expect(says).not.toHaveText(calm);
  await expect(says).toContainText('Plays like 1');
});

test('the application can be installed: its manifest names its icons, and they are there', async ({
  page,
  request,
}) => {
  await page.goto('/roster');
  const address = await page.locator('link[rel="manifest"]').getAttribute('href');
  const manifest = (await (await request.get(address!)).json()) as {
    name: string;
    start_url: string;
    icons: { src: string; sizes: string; purpose?: string }[];
  };
  expect(manifest).toMatchObject({ name: 'Tasche', start_url: '/roster' });
  expect(manifest.icons.map(({ sizes }) => sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']));
  for (const { src } of manifest.icons) expect((await request.get(src)).status(), src).toBe(200);
});
