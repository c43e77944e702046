import { gzipSync } from 'node:zlib';
import type { Browser } from '@playwright/test';
import { openBrowser } from '../browser.js';
import { percentile, report } from './figure.js';

export async function benchBrowser(address: string): Promise<void> {
  const browser = await openBrowser();
  try {
    const cold: number[] = [];
    let scriptBytes = 0;
    for (let i = 0; i < 3; i++) {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      const scripts: Promise<Buffer>[] = [];
      page.on('response', (response) => {
        if (response.url().endsWith('.js')) scripts.push(response.body());
      });
      const start = performance.now();
      await page.goto(`${address}/roster`);
      await page.getByRole('link', { name: 'Davor Kolar' }).first().waitFor();
      cold.push(performance.now() - start);
      scriptBytes = (await Promise.all(scripts)).reduce((sum, body) => sum + gzipSync(body).length, 0);
      await page.context().close();
    }
    report(
      'first view usable, cold, from loopback',
      `${Math.round(percentile(cold, 0.5))} ms, median of 3`,
      'under 1500 ms',
      percentile(cold, 0.5) < 1500,
    );
    report(
      'initial script',
      `${Math.round(scriptBytes / 1000)} kB gzipped`,
      'under 300 kB',
      scriptBytes < 300_000,
    );

    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${address}/players/7a5c4e00-0001-4000-8000-000000000000/bag`);
    await page.locator('.rib').first().waitFor();
    const times: number[] = [];
    for (const club of ['7 iron', '8 iron', '9 iron', '6 iron', '5 iron']) {
      await page.locator(`tr[data-name="${club}"] td`).first().focus();
      times.push(await page.evaluate<number>(TAKE_OUT_AND_TIME));
      await page.waitForTimeout(150);
    }
    const worst = Math.max(...times);
    report(
      'ladder on screen after a club goes out',
      `worst ${worst.toFixed(0)} ms of ${times.length}`,
      'within 100 ms',
      worst <= 100,
    );
    await benchAir(browser, address);
    await benchLocks(browser, address);
  } finally {
    await browser.close();
  }
}

const AIR_CHANGES = 20;

/**
 * The wind turned in steps: how soon the ladder has moved, and how long the page was ever blocked meanwhile.
 */
async function benchAir(browser: Browser, address: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/players/7a5c4e00-0001-4000-8000-000000000000/bag?wind=5&from=0`);
  await page.locator('.shift-number').first().waitFor();
  await page.waitForTimeout(500);
  const { times, blocked } = await page.evaluate<{ times: number[]; blocked: number[] }>(
    TURN_THE_WIND.replace('CHANGES', String(AIR_CHANGES)),
  );
  const worst = Math.max(...times);
  report(
    `ladder moved after the air changes, in the worker, ${AIR_CHANGES} changes`,
    `median ${percentile(times, 0.5).toFixed(0)} ms, worst ${worst.toFixed(0)} ms`,
    'within 100 ms',
    worst <= 100,
  );
  const longest = Math.max(0, ...blocked);
  report(
    'longest the page was blocked meanwhile',
    longest === 0 ? 'never over 50 ms' : `${longest.toFixed(0)} ms, ${blocked.length} times over 50 ms`,
    'never over 50 ms',
    longest <= 50,
  );
  await page.close();
}

const LOCKS = 12;

/** A round of an event: how soon it stands there from cold, and how soon a lock is answered. */
async function benchLocks(browser: Browser, address: string): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 900 } });
  const start = performance.now();
  await page.goto(`${address}/players/7a5c4e00-0002-4000-8000-000000000000/plan`);
  await page.locator('.lock-board li').first().waitFor();
  report(
    'a round of an event played, and its bag chosen, cold',
    `${Math.round(performance.now() - start)} ms`,
    'progress shown past half a second',
    true,
  );
  await page.waitForTimeout(800);
  const times = await page.evaluate<number[]>(TURN_A_LOCK.replace('LOCKS', String(LOCKS)));
  const worst = Math.max(...times);
  report(
    `new bag on screen after a lock changes, ${LOCKS} changes`,
    `median ${percentile(times, 0.5).toFixed(0)} ms, worst ${worst.toFixed(0)} ms`,
    'median at most 60 ms, worst at most 120 ms',
    percentile(times, 0.5) <= 60 && worst <= 120,
  );
  await page.close();
}

/** In the page: keeps a club out, then in again, and waits each time until it hangs on the other side. */
const TURN_A_LOCK = `(async () => {
  const find = () => document.querySelector('.lock-board li[data-name="7 iron"]');
  const times = [];
  for (let i = 0; i < LOCKS; i++) {
    const side = find().closest('section').className;
    const start = performance.now();
    find().dispatchEvent(new KeyboardEvent('keydown', { key: side.includes('in') ? 'o' : 'i', bubbles: true, cancelable: true }));
    await new Promise((resolve) => {
      const watch = () => {
        const hangsThere = find().closest('section').className === side;
        if (hangsThere && performance.now() - start < 5000) setTimeout(watch);
        else requestAnimationFrame(() => setTimeout(resolve));
      };
      watch();
    });
    times.push(performance.now() - start);
    await new Promise((resolve) => setTimeout(resolve, 600));
  }
  return times;
})()`;

/**
 * In the page: presses Alt O and waits until another number of steps has been painted. Text, so that nothing
 * is compiled into it.
 */
const TAKE_OUT_AND_TIME = `new Promise((resolve) => {
  const ribs = document.querySelector('.ribs svg');
  const count = ribs.querySelectorAll('.rib').length;
  const start = performance.now();
  const watch = () => {
    if (ribs.querySelectorAll('.rib').length === count) setTimeout(watch);
    else requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start)));
  };
  document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key: 'o', altKey: true, bubbles: true, cancelable: true }));
  watch();
})`;

/**
 * In the page: sets the wind's direction again and again, and waits each time until the rail says another
 * carry.
 */
const TURN_THE_WIND = `(async () => {
  const blocked = [];
  new PerformanceObserver((list) => list.getEntries().forEach((entry) => blocked.push(entry.duration))).observe({ type: 'longtask' });
  const input = [...document.querySelectorAll('.conditions label')].find((label) => label.textContent.includes('Wind from')).querySelector('input');
  const said = () => [...document.querySelectorAll('.shift-number')].map((one) => one.textContent).join();
  const times = [];
  for (let i = 1; i <= CHANGES; i++) {
    const before = said();
    const start = performance.now();
    input.value = String((i * 75) % 360);
    input.dispatchEvent(new Event('input', { bubbles: true }));
    input.dispatchEvent(new Event('change', { bubbles: true }));
    await new Promise((resolve) => {
      const watch = () => {
        if (said() === before && performance.now() - start < 3000) setTimeout(watch);
        else requestAnimationFrame(() => setTimeout(resolve));
      };
      watch();
    });
    times.push(performance.now() - start);
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
  return { times, blocked };
})()`;
