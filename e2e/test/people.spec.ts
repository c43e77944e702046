import { spawn, type ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createServer } from 'node:net';
import path from 'node:path';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { addPlayer, choose } from './workbench';

/**
 * Who gets in, on a server that is started as its users start it, without demo data: the first person,
 * invitations, roles,
 * sessions that are ended, second factors, passkeys, sharing. One server for all of them, one job each.
 */
test.describe.configure({ mode: 'serial' });

const PASSWORD = 'seven iron off wet turf';
const root = path.join(import.meta.dirname, '../..');
let server: ChildProcess;
let base = '';
let firstPersonAt = '';
/** Beside the demo's, which the postgres user can enter too. */
const data = `${process.env.TASCHE_DATA}-people`;

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => {
        resolve(port);
      });
    });
  });

test.beforeAll(async () => {
  test.setTimeout(180_000);
  const port = await freePort();
  // By its name: a passkey belongs to one.
  base = `http://localhost:${port}`;
  const environment: NodeJS.ProcessEnv = { ...process.env };
  delete environment.DATABASE_URL;
  const started = spawn(
    process.execPath,
    ['--import', 'tsx', 'command/main.ts', 'start', '--port', String(port), '--data', data, '--reset'],
    { cwd: root, stdio: ['ignore', 'pipe', 'inherit'], env: environment },
  );
  server = started;
  firstPersonAt = await new Promise<string>((resolve, reject) => {
    let said = '';
    started.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const link = /http:\/\/127\.0\.0\.1:\d+(\/welcome#[\w-]+)/.exec(said)?.[1];
      if (link) resolve(link);
    });
    started.once('exit', (code) => {
      reject(new Error(`the server did not start (exit ${code})`));
    });
  });
});
test.afterAll(async () => {
  const gone = new Promise((resolve) => {
    server.once('exit', resolve);
  });
  server.kill('SIGTERM');
  await gone;
  rmSync(data, { recursive: true, force: true });
});

/** A browser of somebody's own. */
async function device(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ baseURL: base });
  return context.newPage();
}

async function makeAccount(page: Page, link: string, name: string, email: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByLabel('Password again').fill(PASSWORD);
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
}

async function signIn(page: Page, email: string): Promise<void> {
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
}

let owner: Page;
let davor = '';

test('the first person makes the owner’s account at the printed address, once', async ({ browser }) => {
  owner = await device(browser);
  // Nobody is in: whatever is asked for, there is the way in.
  await owner.goto('/roster');
  await expect(owner.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await owner.goto(firstPersonAt);
  await owner.getByLabel('Name', { exact: true }).fill('Jonas Brandl');
  await owner.getByLabel('E-mail').fill('jonas@van.example');
  await owner.getByLabel('Password', { exact: true }).fill('short');
  await owner.getByLabel('Password again').fill('other');
  await owner.getByRole('button', { name: 'Make the account' }).click();
  await expect(owner.getByText('Password must be at least 12 characters')).toBeVisible();
  await expect(owner.getByText('The two passwords are not the same.')).toBeVisible();
  await owner.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await owner.getByLabel('Password again').fill(PASSWORD);
  await owner.keyboard.press('Enter');
  await expect(owner.getByRole('heading', { name: 'Roster' })).toBeVisible();
  await addPlayer(owner, 'Davor Kolar', 'yards');
  davor = new URL(owner.url()).pathname.split('/')[2]!;
  await addPlayer(owner, 'Maren Tveit', 'yards');

  const late = await device(browser);
  await late.goto(firstPersonAt);
  await expect(late.getByRole('alert')).toContainText('used already');
});

test('a player who is invited sees what is theirs, works at once with the owner, and is shut out again', async ({
  browser,
}) => {
  await owner.goto('/people');
  await owner.getByRole('button', { name: 'Invite somebody' }).click();
  await owner.getByLabel('Name', { exact: true }).fill('Davor Kolar');
  await owner.getByLabel('E-mail').fill('davor@van.example');
  await owner.getByRole('button', { name: 'Make the link' }).click();
  await expect(owner.getByText('Say which player they are.')).toBeVisible();
  await owner.locator('.member-form .n-select').click();
  await owner.locator('.n-base-select-option', { hasText: 'Davor Kolar' }).click();
  await owner.keyboard.press('Escape');
  await owner.getByRole('button', { name: 'Make the link' }).click();
  const link = await owner.locator('.made-link code').innerText();

  const phone = await device(browser);
  await phone.goto(new URL(link).pathname + new URL(link).hash);
  await expect(phone.getByText('their own locker, bags, plans and sessions')).toBeVisible();
  await phone.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await phone.getByLabel('Password again').fill(PASSWORD);
  await phone.getByRole('button', { name: 'Make the account' }).click();
  await expect(phone.getByRole('link', { name: 'Davor Kolar' }).first()).toBeVisible();
  await expect(phone.getByText('Maren Tveit')).toHaveCount(0);
  await phone.goto('/people');
  await expect(phone.getByText('Only an owner of the workspace can invite people')).toBeVisible();
  // What is not theirs to change is not offered.
  await phone.goto('/courses');
  await expect(phone.getByText('You can read them; a rep changes them.')).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Add a course' })).toHaveCount(0);
  await phone.goto('/roster');
  await expect(phone.getByRole('link', { name: 'Davor Kolar' }).first()).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Add a player' })).toHaveCount(0);

  // What the owner does is on the player's screen at once, with who it was.
  await phone.goto(`/players/${davor}/settings`);
  await expect(phone.getByLabel('Notes')).toBeVisible();
  await owner.goto(`/players/${davor}/settings`);
  await owner.getByLabel('Notes').fill('Trusts the 7 wood.');
  await owner.getByLabel('Notes').blur();
  await expect(phone.locator('.news')).toContainText('Jonas Brandl');
  await expect(phone.getByLabel('Notes')).toHaveValue('Trusts the 7 wood.');

  await owner.goto('/people');
  await owner.getByRole('button', { name: 'Remove Davor Kolar' }).click();
  await owner.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(owner.locator('table.members')).not.toContainText('davor@van.example');
  await expect(owner.getByText('removed', { exact: true })).toBeVisible();
  // The phone is out without anybody touching it.
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible({ timeout: 30_000 });
  await expect(phone.getByText('Davor Kolar')).toHaveCount(0);
  await phone.goto('/roster');
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('a caddie reads, and writes notes; everything else says why not', async ({ browser }) => {
  await owner.goto('/people');
  await owner.getByRole('button', { name: 'Invite somebody' }).click();
  await owner.getByLabel('Name', { exact: true }).fill('Kari Vik');
  await owner.getByLabel('E-mail').fill('kari@van.example');
  await owner.getByText('Caddie or coach').click();
  await owner.getByRole('button', { name: 'Make the link' }).click();
  const link = new URL(await owner.locator('.made-link code').innerText());
  const page = await device(browser);
  await makeAccount(page, link.pathname + link.hash, 'Kari Vik', 'kari@van.example');
  await page.goto(`/players/${davor}/settings`);
  await expect(page.getByLabel('Handicap')).toBeDisabled();
  await page.getByLabel('Notes').fill('Likes a low runner on links.');
  await page.getByLabel('Notes').blur();
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue('Likes a low runner on links.');
  await page.goto(`/players/${davor}/history`);
  await expect(page.getByText('Kari Vik').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Share' })).toHaveCount(0);
});

test('a lost phone’s session is ended from another device, and the phone shows nothing', async ({
  browser,
}) => {
  const phone = await device(browser);
  await phone.goto(`/players/${davor}/bag`);
  await phone.getByLabel('E-mail').fill('Jonas@Van.example');
  await phone.getByLabel('Password').fill('not the password');
  await phone.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(phone.getByRole('alert')).toContainText('do not match');
  await phone.getByText(/stay signed in/).click();
  await signIn(phone, 'jonas@van.example');
  // What was asked for is there once somebody is in.
  await expect(phone.getByRole('heading', { level: 1 })).toContainText('Davor Kolar');

  await owner.goto('/account');
  await expect(owner.getByText('2 sessions')).toBeVisible();
  await owner.getByRole('button', { name: /End the session of/ }).click();
  await expect(owner.getByText('1 session.')).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(phone.getByText('Davor Kolar')).toHaveCount(0);
});

test('an authenticator is added with a code from it, and asked for from then on; a recovery code gets in once', async ({
  browser,
}) => {
  const { generate } = await import('otplib');
  await owner.goto('/account');
  await owner.getByRole('button', { name: 'Add an authenticator' }).click();
  await owner.getByLabel('Your password').fill(PASSWORD);
  await owner.keyboard.press('Enter');
  const secret = await owner.locator('.start code').innerText();
  await owner.getByLabel('Code', { exact: true }).fill(await generate({ secret }));
  await owner.keyboard.press('Enter');
  await owner.locator('.codes li').first().waitFor();
  const [recovery] = await owner.locator('.codes li').allInnerTexts();
  await owner.getByRole('button', { name: 'I have them' }).click();
  await expect(owner.getByText('10 recovery codes are left')).toBeVisible();

  const other = await device(browser);
  await other.goto('/roster');
  await signIn(other, 'jonas@van.example');
  await other.getByLabel('Code').fill('000000');
  await other.keyboard.press('Enter');
  await expect(other.getByRole('alert')).toContainText('not right');
  await other.getByLabel('Code').fill(recovery!);
  await other.keyboard.press('Enter');
  await expect(other.getByRole('heading', { name: 'Roster' })).toBeVisible();
});

test('a passkey on a device gets in without password or code', async ({ browser }) => {
  const page = await device(browser);
  const tools = await page.context().newCDPSession(page);
  await tools.send('WebAuthn.enable');
  await tools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await page.goto('/account');
  await signIn(page, 'kari@van.example');
  await page.getByLabel('Name of the passkey').fill('Kari’s phone');
  await page.getByRole('button', { name: 'Add a passkey' }).click();
  await expect(page.getByText('Kari’s phone')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'With a passkey' }).click();
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
  await page.goto('/account');
  await page.getByRole('button', { name: 'Remove Kari’s phone' }).click();
  await expect(page.getByText('Kari’s phone')).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'With a passkey' }).click();
  await expect(page.getByRole('alert')).toContainText('not known here');
});

test('a link to a paper opens without an account until it is ended, and who opened it is seen', async ({
  browser,
}) => {
  await owner.goto(`/players/${davor}/bag`);
  await owner.getByRole('button', { name: 'Print, export, import, and more' }).click();
  await owner.getByText('Share the spec sheet…').click();
  const panel = owner.getByRole('dialog');
  await choose(panel.getByRole('combobox', { name: 'It lasts' }), 'a day');
  await panel.getByRole('button', { name: 'Make a link' }).click();
  const link = await panel.locator('.made-link code').innerText();

  const stranger = await browser.newContext({ baseURL: base });
  const opened = await stranger.request.get(link);
  expect(opened.status()).toBe(200);
  expect(opened.headers()['content-type']).toBe('application/pdf');
  expect(opened.headers()['x-robots-tag']).toContain('noindex');
  expect((await opened.body()).subarray(0, 4).toString()).toBe('%PDF');
  // Nothing else is open to anyone who has it.
  expect((await stranger.request.get('/api/players')).status()).toBe(401);

  await owner.keyboard.press('Escape');
  await owner.getByRole('button', { name: 'Print, export, import, and more' }).click();
  await owner.getByText('Share the spec sheet…').click();
  await expect(panel.getByText('opened 1 time')).toBeVisible();
  await panel.getByRole('button', { name: /End the link to Spec sheet/ }).click();
  await expect(panel.getByText('1 link has ended')).toBeVisible();
  const page = await stranger.newPage();
  expect((await page.goto(link))?.status()).toBe(404);
  await expect(page.getByText('This link has ended. Ask the sender for a new one.')).toBeVisible();
});

test('a player is exported as a file, and imported again from it', async () => {
  await owner.goto(`/players/${davor}/settings`);
  const saving = owner.waitForEvent('download');
  await owner.getByRole('link', { name: 'Export Davor Kolar' }).click();
  const saved = await saving;
  expect(saved.suggestedFilename()).toBe('davor-kolar.jsonl');
  const lines = (await readFile(await saved.path(), 'utf8')).trim().split('\n');
  expect(lines.length).toBeGreaterThan(2);

  await owner.goto('/roster');
  await owner.getByRole('button', { name: 'Import a player…' }).click();
  const file = owner.locator('input[type=file]');
  const renamed = lines.map((line) => line.replace('"name":"Davor Kolar"', '"name":"Davor Kolar, again"'));
  const asFile = (text: string) => ({
    name: 'davor.jsonl',
    mimeType: 'text/plain',
    buffer: Buffer.from(text),
  });
  await file.setInputFiles(asFile(renamed.slice(0, -1).join('\n')));
  await owner.getByRole('button', { name: 'Import Davor Kolar, again' }).click();
  await expect(owner.getByRole('alert')).toContainText('it did not come whole');
  await file.setInputFiles(asFile(renamed.join('\n')));
  await owner.getByRole('button', { name: 'Import Davor Kolar, again' }).click();
  await expect(owner.getByRole('heading', { name: /Davor Kolar, again/ })).toBeVisible();
  await owner.goto('/roster');
  await expect(owner.getByRole('heading', { name: 'Davor Kolar', exact: true })).toBeVisible();
  await expect(owner.getByRole('heading', { name: 'Davor Kolar, again' })).toBeVisible();
});

test('a player is handed over to another workspace: its owner offers, the other takes, and there they are', async ({
  browser,
}) => {
  await owner.goto(`/players/${davor}/settings`);
  await expect(owner.getByRole('heading', { name: 'To another workspace' })).toBeVisible();
  await owner.getByText('For good').click();
  await owner.getByRole('button', { name: 'Make the link' }).click();
  const link = await owner.locator('.hand-over code').innerText();

  // Somebody who owns nothing here takes nobody.
  const kari = await device(browser);
  await kari.goto('/account');
  await signIn(kari, 'kari@van.example');
  await expect(kari.getByRole('heading', { name: 'Account' })).toBeVisible();
  await kari.goto(link);
  await expect(kari.getByText('is not yours, so you cannot add players to it')).toBeVisible();

  await owner.goto('/account');
  await owner.getByRole('button', { name: 'Make another workspace' }).click();
  await owner.getByLabel('Name of the workspace').fill('Winter van');
  await owner.getByRole('button', { name: 'Make it' }).click();
  await expect(owner.getByRole('heading', { name: 'Roster' })).toBeVisible();
  await owner.goto(link);
  await owner.getByRole('button', { name: 'Take Davor Kolar into Winter van' }).click();
  // His name was over the offer too.
  await expect(owner).toHaveURL(/\/players\//);
  await expect(owner.getByRole('heading', { name: /Davor Kolar/ })).toBeVisible();

  await owner.goto('/account');
  await owner.getByRole('button', { name: /^Go to (?!Winter)/ }).click();
  await expect(owner.getByRole('heading', { name: 'Maren Tveit' })).toBeVisible();
  await expect(owner.getByRole('heading', { name: 'Davor Kolar', exact: true })).toHaveCount(0);
});
