import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test, type Page } from '@playwright/test';
import { demo } from './workbench';

test.use({ serviceWorkers: 'allow' });

/**
 * The demo behind a door of its own, where a newer version can come out: its service worker is another file
 * then.
 */
async function doorTo(base: string): Promise<{ server: Server; address: string; publish: () => void }> {
  const to = new URL(base);
  let isNewer = false;
  const server = createServer((asked, answer) => {
    const { 'if-none-match': _tag, 'if-modified-since': _since, ...asking } = asked.headers;
    const passed = request(
      {
        host: to.hostname,
        port: to.port,
        path: asked.url,
        method: asked.method,
        // An answer that is added to is asked for whole and plain.
        agent: false,
        headers: {
          ...asking,
          ...(asking.origin && { origin: to.origin }),
          host: to.host,
          'accept-encoding': 'identity',
        },
      },
      (found) => {
        const isWorker = asked.url === '/service-worker.js';
        const { 'content-length': length, etag, ...headers } = found.headers;
        answer.writeHead(found.statusCode ?? 502, {
          ...headers,
          ...(!isWorker && length && { 'content-length': length }),
          ...(!isWorker && etag && { etag }),
        });
        found.on('data', (piece: Buffer) => answer.write(piece));
        found.on('end', () => answer.end(isWorker && isNewer ? '\n// newer\n' : ''));
      },
    );
    passed.on('error', () => answer.destroy());
    answer.on('close', () => passed.destroy());
    asked.pipe(passed);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    server,
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    publish: () => {
      isNewer = true;
    },
  };
}

const hasWorker = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state ?? 'none'), { timeout: 90_000 })
    .toBe('activated');
const offer = (page: Page) => page.getByRole('status').filter({ hasText: 'A new version is here.' });
/** Marks the page, to see whether it was loaded again. */
const mark = (page: Page) => page.evaluate(() => document.body.setAttribute('data-before', ''));
const isTheSame = (page: Page) => page.evaluate(() => document.body.hasAttribute('data-before'));
/** The new one takes the page over when the old one is done with what it is at. */
const loadsAnew = (page: Page) =>
  expect.poll(() => isTheSame(page).catch(() => true), { timeout: 60_000 }).toBe(false);

/**
 * As on a slow machine: the first worker has taken the page over before the page is told that it is registered.
 */
const registersLate = (page: Page) =>
  page.addInitScript(() => {
    const workers = navigator.serviceWorker;
    const register = workers.register.bind(workers);
    workers.register = async (...asked) => {
      const registration = await register(...asked);
      if (!workers.controller)
        await new Promise((resolve) => {
          workers.addEventListener('controllerchange', resolve, { once: true });
        });
      return registration;
    };
  });

test('a newer version is offered on both open pages; taken on one, the other goes on with what is half typed until it is taken there', async ({
  context,
  baseURL,
}) => {
  const { server, address, publish } = await doorTo(baseURL!);
  try {
    const [here, there] = [await context.newPage(), await context.newPage()];
    await registersLate(here);
    await here.goto(`${address}/roster`);
    await hasWorker(here);
    await there.goto(`${address}${demo.davor}/settings`);
    await hasWorker(there);
    const notes = there.getByLabel('Notes');
    await notes.fill('half typed');
    await mark(here);
    await mark(there);

    publish();
    await here.evaluate(async () => {
      await (await navigator.serviceWorker.getRegistration())!.update();
    });
    await expect(offer(here)).toBeVisible({ timeout: 60_000 });
    await expect(offer(there)).toBeVisible({ timeout: 60_000 });
    // Nothing is taken by itself.
    expect([await isTheSame(here), await isTheSame(there)]).toEqual([true, true]);
    await offer(there).getByRole('button', { name: 'Later' }).click();
    await expect(offer(there)).toHaveCount(0);

    // The page that stays is busy all the while: one answer is asked for before the other has come.
    await there.evaluate(() => {
      const ask = (): Promise<unknown> => fetch('/api/schedule').then(ask, ask);
      for (let i = 0; i < 2; i++) void ask();
    });
    await offer(here).getByRole('button', { name: 'Update now' }).click();
    await loadsAnew(here);
    await expect(here.getByRole('link', { name: /Davor Kolar/ }).first()).toBeVisible();
    // Here somebody is typing: it is offered again, and the page stays.
    await expect(offer(there)).toBeVisible();
    expect(await isTheSame(there)).toBe(true);
    await expect(notes).toHaveValue('half typed');
    await offer(there).getByRole('button', { name: 'Update now' }).click();
    await loadsAnew(there);
    await expect(there.getByRole('heading', { level: 1 })).toContainText('Davor Kolar');
  } finally {
    server.closeAllConnections();
    server.close();
  }
});
