import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { chromium, type Browser, type Page } from '@playwright/test';
import type { Person } from './person.js';

const SHOWN_WITHIN_MS = 30_000;

/** A real browser with a player's sheet open, without any input: everything on it arrives by itself. */
export interface Screen {
  playerId: string;
  /** How many of these texts do not come to stand on the page. */
  staleCells: (texts: readonly string[]) => Promise<number>;
  close: () => Promise<void>;
}

export async function startScreen(
  executablePath: string,
  address: string,
  person: Person,
  playerId: string,
  /** Where a picture of what was wrong is left. */
  folder: string,
): Promise<Screen> {
  const browser: Browser = await chromium.launch({
    executablePath,
    args: [
      ...['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-sync'],
      ...['--disable-background-networking', '--disable-component-update'],
    ],
  });
  const context = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: { width: 1280, height: 800 },
  });
  const [name, value] = person.headers().cookie!.split('=') as [string, string];
  await context.addCookies([{ name, value, url: address, secure: true }]);
  const page: Page = await context.newPage();
  await page.goto(`${address}/players/${playerId}`);
  await page.getByText('Build', { exact: true }).first().click();
  const stale = async (texts: readonly string[]) => {
    const body = await page.locator('body').innerText();
    const cells = await page
      .locator('input')
      .evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value));
    return texts.filter((text) => !body.includes(text) && !cells.includes(text)).length;
  };
  return {
    playerId,
    async staleCells(texts) {
      for (const start = Date.now(); Date.now() - start < SHOWN_WITHIN_MS; await wait(300))
        if ((await stale(texts)) === 0) return 0;
      const count = await stale(texts);
      if (count > 0) await page.screenshot({ path: path.join(folder, `stale-${Date.now()}.png`) });
      return count;
    },
    close: () => browser.close(),
  };
}
