import { readFileSync } from 'node:fs';
import type AxeBuilder from 'axe-core';
import { expect, test, type Page } from '@playwright/test';
import { cell, demo } from './workbench';

const axeSource = readFileSync(new URL('../../node_modules/axe-core/axe.min.js', import.meta.url), 'utf8');

/** @param only the one rule that is held to; all of them where nothing stands here */
async function complaints(page: Page, only?: string): Promise<string[]> {
  await page.evaluate(axeSource);
  return page.evaluate(async (rule) => {
    const { axe } = window as unknown as { axe: typeof AxeBuilder };
    const runOnly = rule ? { type: 'rule' as const, values: [rule] } : ['wcag2a', 'wcag2aa'];
    const { violations } = await axe.run(document, { runOnly });
    return violations.map(
      (violation) =>
        `${violation.id}: ${violation.nodes
          .slice(0, 3)
          .map((node) => node.html.slice(0, 120))
          .join(' | ')}`,
    );
  }, only);
}

/** Maren's plan for an event. */
const HOCHFIRN = `${demo.maren}/plan/7a5c4e00-0002-4000-8000-000000000050`;

/** A view, and what says that it is all there. */
async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.waitForLoadState('networkidle');
  if (path === HOCHFIRN) await expect(page.locator('.lock-board')).toBeVisible();
}

/** Colours that were changed pass into each other for a moment. */
async function atRest(page: Page): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(async () => {
        await new Promise(requestAnimationFrame);
        await new Promise(requestAnimationFrame);
        return document
          .getAnimations()
          .filter(
            ({ effect, playState }) =>
              playState === 'running' && effect?.getComputedTiming().endTime !== Infinity,
          ).length;
      }),
    )
    .toBe(0);
}

const VIEWS = [
  '/roster',
  `${demo.davor}/bag`,
  `${demo.davor}/bag?ladder=table`,
  `${demo.davor}/bag?wind=8&temp=9&from=60`,
  `${demo.davor}/flight?wind=6&from=90`,
  `${demo.davor}/settings`,
  `${demo.davor}/locker`,
  `${demo.davor}/range`,
  `${demo.davor}/range/import`,
  `${demo.oluchi}/range/basket?balls=30`,
  `${demo.davor}/compare`,
  `${demo.davor}/plan`,
  `${demo.davor}/history`,
  `${demo.davor}/history/review`,
  `${demo.maren}/card`,
  `${demo.davor}/season`,
  `${demo.davor}/bench`,
  `${demo.davor}/bench/bend`,
  `${demo.davor}/bench/weights`,
  `${demo.davor}/bench/check`,
  `${demo.davor}/bench/wear`,
  `${demo.davor}/bench/putters`,
  `${demo.oluchi}/bench/wishes`,
  // The PW of the demo.
  `${demo.davor}/clubs/7a5c4e00-0001-4000-8000-000000000109/build`,
  `${demo.davor}/clubs/7a5c4e00-0001-4000-8000-000000000109/life`,
  '/calendar',
  '/tickets',
  '/people',
  '/account',
  '/scripts',
  '/courses',
  '/seasons',
  HOCHFIRN,
  `${HOCHFIRN}?round=travel`,
  `${HOCHFIRN}/sheet`,
];

// A test a view: a slow machine then waits for one view, not for all of them in one test's time. They share a
// page, whose browser has read the scripts once.
test.describe('every view passes axe (WCAG 2 A and AA), light and dark, and scrolls sideways on no tablet or phone', () => {
  let page: Page;
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage();
  });
  test.afterAll(() => page.close());
  for (const path of VIEWS) {
    test(path, async () => {
      await page.emulateMedia({ colorScheme: 'light' });
      await open(page, path);
      expect(await complaints(page), 'light').toEqual([]);
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect(page.locator('html')).toHaveClass(/dark/);
      await atRest(page);
      // In the dark the same page has other colours, and nothing else.
      expect(await complaints(page, 'color-contrast'), 'dark').toEqual([]);
      for (const width of [768, 390]) {
        await page.setViewportSize({ width, height: 844 });
        await expect
          .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: `at ${width}` })
          .toBeLessThanOrEqual(width);
      }
      await page.setViewportSize({ width: 1280, height: 720 });
    });
  }
});

test('a phone shows the sheet and its steps without scrolling sideways', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.davor}/bag`);
  await expect(cell(page, 'PW', 'shot.full.carryM')).toBeVisible();
  await expect(page.locator('.rib.error')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('the verdict on a bag lies on none of its rows, however low the screen is', async ({ page }) => {
  const box = async (of: string) => (await page.locator(of).first().boundingBox())!;
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${demo.davor}/bag`);
  await expect(page.locator('.verdict-card').getByRole('button', { name: 'Try it' }).first()).toBeVisible();
  const putter = await box('.sheet tbody tr:last-child');
  expect((await box('.verdict-card')).y).toBeGreaterThan(putter.y + putter.height);
  await page.setViewportSize({ width: 1366, height: 650 });
  await expect
    .poll(async () => {
      const card = await box('.verdict-card');
      return card.y + card.height <= (await box('.board')).y;
    })
    .toBe(true);
});
