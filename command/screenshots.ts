import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { openBrowser } from './browser.js';
import { throwAwayFolder } from './data-folder.js';
import { freePort } from './ports.js';
import { ensureDebian } from './debian.js';
import { startDemo, stopServer } from './test.js';

const MAREN = '/players/7a5c4e00-0002-4000-8000-000000000000';
const DAVOR = '/players/7a5c4e00-0001-4000-8000-000000000000';

const OLUCHI = '/players/7a5c4e00-0003-4000-8000-000000000000';
/** Davor's pitching wedge. */
const PW = '7a5c4e00-0001-4000-8000-000000000109';
/** And his 60. */
const SIXTY = '7a5c4e00-0001-4000-8000-000000000112';

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
  /** Pictures of one file follow each other in the list, and stand side by side in it. */
  part?: string;
}[] = [
  { file: 'roster', address: '/roster' },
  { file: 'bag', address: `${DAVOR}/bag` },
  { file: 'flight', address: `${DAVOR}/flight?${SKARVOY}&from=40`, height: 960 },
  { file: 'locker', address: `${DAVOR}/locker` },
  { file: 'range', address: `${DAVOR}/range`, height: 1000 },
  { file: 'range-live', address: `${DAVOR}/range`, steps: live },
  { file: 'compare', address: `${DAVOR}/compare`, height: 1000, steps: compare },
  { file: 'season', address: `${MAREN}/season`, height: 1050, steps: season },
  { file: 'courses', address: '/courses/7a5c4e00-9000-4000-8000-000000000101', height: 900, steps: holeFour },
  { file: 'event', address: `${MAREN}/plan`, height: 1000, steps: toRound },
  { file: 'swap-sheet', address: `${MAREN}/plan`, height: 1000, steps: toSheet },
  { file: 'calendar', address: '/calendar', height: 520 },
  { file: 'history', part: 'History', address: `${DAVOR}/history`, height: 1100, steps: putBack },
  { file: 'history', part: 'A club’s life', address: `${DAVOR}/clubs/${SIXTY}/life`, height: 1100 },
  { file: 'bend-plan', address: `${DAVOR}/bench/bend`, height: 900, steps: bendPlan },
  { file: 'bench', address: `${DAVOR}/bench`, height: 900, steps: bench },
  { file: 'bench-pages', part: 'Check', address: `${DAVOR}/bench/check`, height: 760 },
  { file: 'bench-pages', part: 'Build sheet', address: `${DAVOR}/clubs/${PW}/build`, height: 760 },
  { file: 'bench-pages', part: 'Wish list', address: `${OLUCHI}/bench/wishes`, height: 760, steps: wishes },
  { file: 'access', part: 'Who is in the workspace', address: '/people', height: 800, steps: people },
  { file: 'access', part: 'A link to a card', address: `${MAREN}/card`, height: 800, steps: sharing },
  { file: 'access', part: 'Signing in', address: '/roster', height: 800, steps: signedOut },
  { file: 'card', address: `${MAREN}/card`, width: 390, height: 1180, steps: card },
];

/** Invented people who took their invitations up, and one who has not yet. */
async function people(page: Page): Promise<void> {
  const players: Record<string, string> = {
    'Davor Kolar': DAVOR.split('/')[2]!,
    'Maren Tveit': MAREN.split('/')[2]!,
  };
  const invited = [
    { name: 'Jonas Brandl', role: 'owner' },
    { name: 'Kari Vik', role: 'assistant' },
    { name: 'Davor Kolar', role: 'player', sees: ['Davor Kolar'] },
    { name: 'Sefa Lund', role: 'caddie', sees: ['Davor Kolar', 'Maren Tveit'] },
    { name: 'Tove Aas', role: 'rep', waits: true },
  ];
  const { origin } = new URL(page.url());
  const theirs = await page.context().browser()!.newContext({ baseURL: origin });
  for (const { name, role, sees, waits } of invited) {
    const email = `${name.split(' ')[0]!.toLowerCase()}@meridian.example`;
    const playerIds = sees?.map((one) => players[one]!);
    const made = await page.request.post(`${origin}/api/people/invite`, {
      data: { name, email, role, ...(playerIds && { playerIds }) },
    });
    const { url } = (await made.json()) as { url: string };
    if (waits) continue;
    await theirs.request.post('/api/links/use', {
      data: { key: new URL(url).hash.slice(1), name, password: 'a password of the pictures' },
    });
    await theirs.clearCookies();
  }
  await theirs.close();
  await page.reload();
  await page.getByRole('cell', { name: /sefa@meridian.example/ }).waitFor();
}

/** A link to a card, just made. */
async function sharing(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  await page.getByRole('img', { name: 'The link as a code' }).waitFor();
}

/** A browser whose session has ended. */
async function signedOut(page: Page): Promise<void> {
  await page.context().addCookies([{ name: 'tasche', value: 'ended', url: page.url() }]);
  await page.reload();
  await page.getByRole('heading', { name: 'Sign in' }).waitFor();
  await page.context().clearCookies();
}

/** Ten balls with the 7 iron, seen by the simulated monitor. */
async function live(page: Page): Promise<void> {
  await page.keyboard.press('Alt+n');
  await page.getByLabel('Where').fill('Skarvoy range');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take shots from the monitor' }).click();
  await page.getByLabel('Club in hand').click();
  await page.getByRole('option', { name: '7 iron', exact: true }).click();
  await page.getByText(/stand-in is here/).waitFor();
  await page.getByRole('button', { name: /^Hit ten with the 7 iron/ }).waitFor();
  await page.keyboard.press('Alt+h');
  await page
    .getByRole('region', { name: 'Live board' })
    .getByText(/^last 10/)
    .waitFor();
}

async function bendPlan(page: Page): Promise<void> {
  await page.locator('.answer h2').waitFor();
}

/** Tickets of a bend plan among the others, one of them being handed in. */
async function bench(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Bend plan' }).click();
  await page.getByRole('button', { name: /^Make \d tickets?$/ }).click();
  await page.getByRole('link', { name: 'To the tickets' }).click();
  const ticket = page.getByRole('article', { name: /^Bend the 5 iron/ });
  await ticket.getByRole('button', { name: 'Enter what it became…' }).click();
  await ticket.getByLabel('loft became').fill('24');
  await ticket.getByLabel('loft became').blur();
  await ticket.getByText('was wanted').first().waitFor();
  await page.evaluate(() => {
    window.scrollTo(0, 0);
  });
}

/** What swapping is worth, once that is worked out. */
async function season(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.getByText('Strokes saved over').waitFor({ timeout: 60_000 });
}

/** What each wish gains a round. */
async function wishes(page: Page): Promise<void> {
  await page
    .getByText(/^\d\.\d\d strokes$/)
    .first()
    .waitFor({ timeout: 60_000 });
}

/** Pictures side by side, each under its name. */
async function sideBySide(
  browser: Awaited<ReturnType<typeof openBrowser>>,
  parts: readonly { name: string; picture: Buffer }[],
): Promise<Buffer> {
  const width = Math.min(parts.length, 3) * 860;
  const page = await browser.newPage({ viewport: { width, height: 400 } });
  const figures = parts.map(
    ({ name, picture }) =>
      `<figure><figcaption>${name}</figcaption><img src="data:image/png;base64,${picture.toString('base64')}"></figure>`,
  );
  await page.setContent(
    `<style>body{margin:0;display:flex;background:#e8e0d0;font:600 22px sans-serif;color:#20282b}
     figure{margin:12px;flex:1}img{width:100%;display:block;margin-top:8px}</style>${figures.join('')}`,
  );
  const picture = await page.screenshot({ fullPage: true });
  await page.close();
  return picture;
}

/** On a phone, with a caddie's question answered. */
async function card(page: Page): Promise<void> {
  await page.getByLabel('To the flag').fill('150');
  await page.getByText('Plays like').waitFor();
}

/** What putting it back takes. */
async function putBack(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Put it back as it was/ }).click();
  await page.getByRole('button', { name: /^Put it back/ }).waitFor();
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
  await page.getByLabel(/^Par of hole 4$/).focus();
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
  await page.getByText('is settled, and the best possible').waitFor({ timeout: 60_000 });
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
    const parts: { name: string; picture: Buffer }[] = [];
    for (const [
      i,
      { file, part, address, scheme, open, click, steps, width = 1280, height = 800 },
    ] of PICTURES.entries()) {
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
      const picture = await page.screenshot();
      await page.close();
      if (part) parts.push({ name: part, picture });
      if (part && PICTURES[i + 1]?.file === file) continue;
      writeFileSync(
        path.join(folder, `${file}.png`),
        part ? await sideBySide(browser, parts.splice(0)) : picture,
      );
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
