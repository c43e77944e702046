import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import { cell, demo, saved } from './workbench';

test('with the database gone the page says so, keeps what is typed over a reload, and sends it when it is back', async ({
  page,
}) => {
  const data = process.env.TASCHE_DATA;
  expect(data, 'TASCHE_DATA must name the data folder of the server under test').toBeTruthy();
  const folder = path.join(data!, 'postgres');
  const [pid, , , port] = readFileSync(path.join(folder, 'postmaster.pid'), 'utf8').split('\n');
  const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').filter(Boolean);
  await page.goto(`${demo.oluchi}/bag`);
  await expect(cell(page, '9 iron', 'lengthIn')).toHaveText('36.00');
  process.kill(Number(pid), 'SIGINT');
  await expect.poll(() => spawnSync('kill', ['-0', pid!]).status).not.toBe(0);
  await cell(page, '9 iron', 'lengthIn').focus();
  await page.keyboard.type('36.25');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'The database cannot be reached' })).toContainText(
    '1 change is kept here',
  );
  await page.reload();
  await expect(page.getByRole('heading', { name: 'The server cannot be reached' })).toBeVisible();
  const asRoot = process.getuid?.() === 0;
  const child = spawn(
    asRoot ? 'runuser' : command[0]!,
    asRoot ? ['-u', 'postgres', '--', ...command] : command.slice(1),
    { detached: true, stdio: 'ignore', cwd: '/' },
  );
  child.unref();
  expect(Number(port)).toBeGreaterThan(0);
  await expect(cell(page, '9 iron', 'lengthIn')).toHaveText('36.25', { timeout: 20_000 });
  await saved(page);
  await page.reload();
  await expect(cell(page, '9 iron', 'lengthIn')).toHaveText('36.25');
});
