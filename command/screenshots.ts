import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { openBrowser } from './browser.js';
import { freePort, throwAwayFolder } from './cluster.js';
import { ensureDebian } from './debian.js';
import { startDemo, stopServer } from './test.js';

const DAVOR = '/players/7a5c4e00-0001-4000-8000-000000000000';

const SKARVOY = 'temp=8&alt=6&hum=78&wind=8&ground=firm&grass=fescue';

/** `open` opens the club of that name first; `click` presses the button that bears these words. */
const PICTURES: readonly { file: string; address: string; scheme?: 'dark'; width?: number; height?: number; open?: string; click?: string }[] = [
  { file: 'roster', address: '/roster' },
  { file: 'bag', address: `${DAVOR}/bag` },
  { file: 'bag-dark', address: `${DAVOR}/bag`, scheme: 'dark' },
  { file: 'bag-phone', address: `${DAVOR}/bag`, width: 390, height: 844 },
  { file: 'bag-air', address: `${DAVOR}/bag?${SKARVOY}` },
  { file: 'flight', address: `${DAVOR}/flight?${SKARVOY}&from=40`, height: 960 },
  { file: 'flight-pair', address: `${DAVOR}/flight?wind=5&from=90`, scheme: 'dark', click: 'Hybrid 3 or Driving iron' },
  { file: 'flight-phone', address: `${DAVOR}/flight?${SKARVOY}`, width: 390, height: 1100 },
  { file: 'club', address: `${DAVOR}/bag`, open: '9 iron' },
  { file: 'settings', address: `${DAVOR}/settings` },
  { file: 'locker', address: `${DAVOR}/locker` },
  { file: 'plan', address: `${DAVOR}/plan`, height: 1000 },
  { file: 'plan-air', address: `${DAVOR}/plan?${SKARVOY}`, height: 1060 },
  { file: 'history', address: `${DAVOR}/history` },
];

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
    for (const { file, address, scheme, open, click, width = 1280, height = 800 } of PICTURES) {
      const page = await browser.newPage({ viewport: { width, height }, colorScheme: scheme ?? 'light' });
      await page.goto(`http://127.0.0.1:${port}${address}`);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await page.waitForLoadState('networkidle');
      await page.evaluate(() => document.fonts.ready);
      if (open) {
        await page.locator(`tr[data-name="${open}"] td`).first().focus();
        await page.keyboard.press('Alt+Enter');
      }
      if (click) await page.getByRole('button', { name: click }).click();
      // The worker's answer, a drawer sliding in.
      await page.waitForTimeout(700);
      await page.screenshot({ path: path.join(folder, `${file}.png`) });
      await page.close();
      console.log(`tasche: docs/screenshots/${file}.png`);
    }
    const pdf = await (await fetch(`http://127.0.0.1:${port}/api${DAVOR}/sheet.pdf`)).arrayBuffer();
    writeFileSync(path.join(data, 'sheet.pdf'), Buffer.from(pdf));
    spawnSync('pdftoppm', ['-png', '-r', '110', '-singlefile', path.join(data, 'sheet.pdf'), path.join(folder, 'spec-sheet-pdf')]);
    console.log('tasche: docs/screenshots/spec-sheet-pdf.png');
  } finally {
    await browser.close();
    await stopServer(server);
    rmSync(data, { recursive: true, force: true });
  }
}
