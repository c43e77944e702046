import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { openBrowser } from './browser.js';
import { freePort, throwAwayFolder } from './cluster.js';
import { ensureDebian } from './debian.js';
import { startDemo, stopServer } from './test.js';

const MAREN = '/players/7a5c4e00-0002-4000-8000-000000000000';
const DAVOR = '/players/7a5c4e00-0001-4000-8000-000000000000';

const OLUCHI = '/players/7a5c4e00-0003-4000-8000-000000000000';

const SKARVOY = 'temp=8&alt=6&hum=78&wind=8&ground=firm&grass=fescue';

/** `open` opens the club of that name first; `click` presses the button that bears these words. */
const PICTURES: readonly {
  file: string;
  address: string;
  scheme?: 'dark';
  width?: number;
  height?: number;
  open?: string;
  click?: string;
  steps?: (page: Page) => Promise<void>;
}[] = [
  { file: 'roster', address: '/roster' },
  { file: 'bag', address: `${DAVOR}/bag` },
  { file: 'bag-dark', address: `${DAVOR}/bag`, scheme: 'dark' },
  { file: 'bag-phone', address: `${DAVOR}/bag`, width: 390, height: 844 },
  { file: 'flight', address: `${DAVOR}/flight?${SKARVOY}&from=40`, height: 960 },
  { file: 'club', address: `${DAVOR}/bag`, open: '9 iron' },
  { file: 'basket', address: `${OLUCHI}/range/basket?balls=60`, steps: basket },
  { file: 'locker', address: `${DAVOR}/locker` },
  { file: 'range', address: `${DAVOR}/range`, height: 1000 },
  { file: 'range-live', address: `${DAVOR}/range`, steps: live },
  { file: 'import', address: `${DAVOR}/range/import`, height: 1060, steps: bringFile },
  { file: 'compare', address: `${DAVOR}/compare`, height: 1000, steps: compare },
  { file: 'plan', address: `${DAVOR}/plan`, height: 1000 },
  { file: 'courses', address: '/courses/7a5c4e00-9000-4000-8000-000000000101', height: 900, steps: holeFour },
  { file: 'seasons', address: '/seasons' },
  { file: 'event', address: `${MAREN}/plan`, height: 1000, steps: toRound },
  { file: 'swap-sheet', address: `${MAREN}/plan`, height: 1000, steps: toSheet },
  { file: 'history', address: `${DAVOR}/history` },
];

/** Which shots to hit with sixty balls, once that is worked out. */
async function basket(page: Page): Promise<void> {
  await page.getByRole('table', { name: 'Shots to hit' }).waitFor({ timeout: 60_000 });
}

/** Ten balls with the 7 iron, seen by the simulated monitor. */
async function live(page: Page): Promise<void> {
  await page.keyboard.press('Alt+n');
  await page.getByLabel('Where').fill('Skarvoy range');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take shots from the monitor' }).click();
  await page.getByLabel('Club in hand').click();
  await page.getByRole('option', { name: '7 iron', exact: true }).click();
  await page.getByText('stand-in is here').waitFor();
  await page.getByRole('button', { name: /^Hit ten with the 7 iron/ }).waitFor();
  await page.keyboard.press('Alt+h');
  await page.getByRole('table', { name: 'Shots one by one' }).locator('tbody tr').nth(9).waitFor();
}

const FILE = [
  'Session export;;;;;;',
  'Date;Club;Ball Speed;Launch Angle;Spin Rate;Carry Distance;Lateral',
  ';;[mph];[deg];[rpm];[yds];[yds]',
  '18.11.2026 10:01;7i;133,2;16,4;7010;195,5;3,1 L',
  '18.11.2026 10:02;7 Iron;134,0;16,0;6890;197,0;2 R',
  '18.11.2026 10:05;SW;87,6;29,7;fast;110,5;1 R',
  '19.11.2026 09:00;Drv;190,4;9,9;2600;301,0;14 L',
  '19.11.2026 09:01;Drv;191,0;9,2;2550;903;4 R',
  '19.11.2026 09:02;club 9;122;21;8100;165;0',
].join('\r\n');

async function bringFile(page: Page): Promise<void> {
  await page
    .getByLabel('File of a launch monitor')
    .setInputFiles({ name: 'export.csv', mimeType: 'text/csv', buffer: Buffer.from(FILE) });
  await page.getByRole('heading', { name: 'Preview' }).waitFor();
}

async function compare(page: Page): Promise<void> {
  for (const build of ['Hybrid 3', 'Driving iron', '5 wood'])
    await page
      .getByRole('group', { name: 'Builds' })
      .getByRole('button', { name: new RegExp(`^${build}`) })
      .click();
  await page.locator('.pair').nth(1).waitFor();
}

async function holeFour(page: Page): Promise<void> {
  await page.getByLabel('Par of hole 4').focus();
}

async function toRound(page: Page): Promise<void> {
  await page.locator('.lock-board li').first().waitFor();
  await page.keyboard.press('Alt+w');
  await page.getByText('ways it may turn out').waitFor();
  await page.waitForTimeout(1500);
}

async function toSheet(page: Page): Promise<void> {
  await page.locator('.lock-board li').first().waitFor();
  await page.keyboard.press('Alt+Shift+w');
  await page.getByText('ways it may turn out').waitFor();
  await page.waitForTimeout(1500);
  await page.getByRole('button', { name: 'More for this plan' }).click();
  await page.getByText('Settle every round', { exact: true }).click();
  await page.getByText('is settled, and the best there is').waitFor({ timeout: 60_000 });
  await page.getByRole('link', { name: 'Swap sheet' }).click();
  await page.locator('.round .bag').first().waitFor();
}

/** `./tasche screenshots`: one picture of each main view, from fresh demo data. */
export async function screenshots(): Promise<void> {
  ensureDebian('pdftoppm', 'poppler-utils', () => existsSync('/usr/bin/pdftoppm'));
  const folder = path.resolve('docs/screenshots');
  mkdirSync(folder, { recursive: true });
  const data = throwAwayFolder();
  const port = await freePort();
  const server = await startDemo(port, data);
  const browser = await openBrowser();
  try {
    for (const { file, address, scheme, open, click, steps, width = 1280, height = 800 } of PICTURES) {
      const page = await browser.newPage({ viewport: { width, height }, colorScheme: scheme ?? 'light' });
      await page.goto(`http://127.0.0.1:${port}${address}`);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await page.waitForLoadState('networkidle');
      await page.evaluate(() => document.fonts.ready);
      if (open) {
        await page.locator(`tr[data-name="${open}"] td`).first().focus();
        await page.keyboard.press('Alt+Enter');
      }
      if (steps) await steps(page);
      if (click) await page.getByRole('button', { name: click }).click();
      // The worker's answer, a drawer sliding in.
      await page.waitForTimeout(700);
      await page.screenshot({ path: path.join(folder, `${file}.png`) });
      await page.close();
      console.log(`tasche: docs/screenshots/${file}.png`);
    }
    const pdf = await (await fetch(`http://127.0.0.1:${port}/api${DAVOR}/sheet.pdf`)).arrayBuffer();
    writeFileSync(path.join(data, 'sheet.pdf'), Buffer.from(pdf));
    spawnSync('pdftoppm', [
      '-png',
      '-r',
      '110',
      '-singlefile',
      path.join(data, 'sheet.pdf'),
      path.join(folder, 'spec-sheet-pdf'),
    ]);
    console.log('tasche: docs/screenshots/spec-sheet-pdf.png');
  } finally {
    await browser.close();
    await stopServer(server);
    rmSync(data, { recursive: true, force: true });
  }
}
