import { readFileSync } from 'node:fs';
import type AxeBuilder from 'axe-core';
import { expect, test, type Page, type Request } from '@playwright/test';
import { cell, demo, newPlayer, saved } from './workbench';

const axeSource = readFileSync(new URL('../../node_modules/axe-core/axe.min.js', import.meta.url), 'utf8');

/** @param only the one rule that is held to; all of them where empty */
async function complaints(page: Page, only?: string): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  return page.evaluate(async (rule) => {
    const { axe } = window as unknown as { axe: typeof AxeBuilder };
    const runOnly = rule ? { type: 'rule' as const, values: [rule] } : ['wcag2a', 'wcag2aa'];
    // Only what is wrong is read, and by its markup.
    const { violations } = await axe.run(document, {
      runOnly,
      resultTypes: ['violations'],
      selectors: false,
      preload: false,
    });
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

/**
 * What the page has asked its server for and not had yet. News never end; and of a worker's script that was
 * on its way when its view was left, the browser tells no end.
 */
function openRequests(page: Page): Set<Request> {
  const open = new Set<Request>();
  const done = (request: Request) => open.delete(request);
  page.on('request', (request) => {
    if (request.resourceType() !== 'eventsource' && !/-worker-[^/]*\.js$/.test(request.url()))
      open.add(request);
  });
  page.on('requestfinished', done);
  page.on('requestfailed', done);
  return open;
}

/** Another view of the page that is open, as by a link of it: a load of the whole page is worth a second. */
async function follow(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    document.querySelector('h1')!.dataset.before = '';
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: history.state as unknown }));
  }, path);
  await expect(page.locator('h1[data-before]')).toHaveCount(0);
}

/** A view, and what says that it is all there. */
async function open(page: Page, path: string, waiting: Set<Request>): Promise<void> {
  const here = new URL(page.url()).pathname;
  // A part of the view that is open may keep its heading.
  if (here === 'blank' || path.startsWith(here)) await page.goto(path);
  else await follow(page, path);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect.poll(() => [...waiting].map((request) => request.url()), { message: 'requests' }).toEqual([]);
  await expect(page.locator('.n-skeleton')).toHaveCount(0);
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
// page, which goes from one to the next.
test.describe('every view passes axe (WCAG 2 A and AA), light and dark, and scrolls sideways on no tablet or phone', () => {
  let page: Page;
  let waiting: Set<Request>;
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage();
    waiting = openRequests(page);
  });
  test.afterAll(() => page.close());
  for (const path of VIEWS) {
    test(path, async () => {
      await page.emulateMedia({ colorScheme: 'light' });
      await expect(page.locator('html')).not.toHaveClass(/dark/);
      await open(page, path, waiting);
      await atRest(page);
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

test('long names stay on a phone, and a reader who asks for less motion gets none', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const player = await newPlayer(page, `Maximiliane ${'Wolkenstein-'.repeat(5)}Ende`);
  await page.goto(`/players/${player}/range/import`);
  await expect(page.getByRole('navigation', { name: 'Breadcrumb' })).toContainText('Maximiliane');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  // The browser of these jobs asks for it.
  const seconds = await page
    .locator('.n-button')
    .first()
    .evaluate((button) => getComputedStyle(button).transitionDuration.split(', ').map(parseFloat));
  expect(Math.max(...seconds)).toBeLessThan(0.001);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const width = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

  test('the sheet and its steps stand side by side, and the other columns have it to themselves', async ({
    page,
  }) => {
    await page.goto(`${demo.davor}/bag`);
    await expect(cell(page, 'PW', 'shot.full.carryM')).toBeVisible();
    await expect(page.locator('.rib.error')).toBeVisible();
    expect(await width(page)).toBeLessThanOrEqual(390);
    await page.getByRole('button', { name: 'Lofts and soles' }).tap();
    await expect(cell(page, 'PW', 'loftStampedDeg')).toBeInViewport();
    await expect(page.locator('.ribs')).toHaveCount(0);
    await cell(page, 'PW', 'grind').scrollIntoViewIfNeeded();
    await expect(cell(page, 'PW', 'name')).toBeInViewport();
    expect(await width(page)).toBeLessThanOrEqual(390);
  });

  test('a bag is typed in with a finger, and a club of it opened', async ({ page }) => {
    await newPlayer(page, 'Fingertip');
    await page.getByText('Type a club:').tap();
    for (const club of ['7 iron', '8 iron']) {
      await page.keyboard.type(club);
      await page.keyboard.press('Enter');
    }
    await cell(page, '7 iron', 'shot.full.carryM').tap();
    await page.keyboard.type('150');
    await cell(page, '8 iron', 'shot.full.carryM').tap();
    await page.keyboard.type('138');
    await cell(page, '8 iron', 'name').tap();
    await expect(cell(page, '7 iron', 'shot.full.carryM')).toHaveText('150');
    await expect(cell(page, '8 iron', 'shot.full.carryM')).toHaveText('138');
    await page.getByRole('button', { name: 'Open 8 iron' }).tap();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('8 iron');
    await saved(page);
  });
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

test('what is in a window keeps its distance from the edge; windows, problems and empty pages pass axe too', async ({
  page,
}) => {
  await page.goto('/roster');
  await expect(page.getByRole('heading', { name: 'Davor Kolar' })).toBeVisible();
  await page.keyboard.press('?');
  // Both at one moment: a window that opens is still moving.
  const fromEdge = () =>
    page
      .getByText('Anywhere', { exact: true })
      .evaluate(
        (words) => words.getBoundingClientRect().x - words.closest('.n-modal')!.getBoundingClientRect().x,
      );
  await expect.poll(fromEdge).toBeGreaterThan(12);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Import a player…' }).click();
  const bad = (name: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from('{bad') });
  await page.locator('input[type=file]').setInputFiles(bad('player.json'));
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
    'player.json is not a player’s file',
  );
  expect(await complaints(page)).toEqual([]);
  await page.goto('/courses');
  await page.getByRole('button', { name: 'Import a file…' }).waitFor();
  await page.locator('input[type=file]').first().setInputFiles(bad('map.geojson'));
  await expect(page.getByRole('alert').getByRole('listitem').first()).toContainText('not JSON');
  expect(await complaints(page)).toEqual([]);
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  // A view whose program is not on the server any more.
  const program = '**/assets/CalendarView-*.js';
  await page.route(program, (route) => route.abort());
  await page.getByRole('link', { name: 'Calendar', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('Calendar could not be opened.');
  expect(await complaints(page)).toEqual([]);
  await page.unroute(program);
  await page.getByRole('button', { name: 'Load the page again' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Calendar' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});
