import { createServer, connect, type AddressInfo, type Socket } from 'node:net';
import { pino } from 'pino';
import { afterEach, expect, inject, it } from 'vitest';
import { listenForNews, type ChangeNews } from '../src/news/listen-for-news.js';
import { identifyBy } from '../src/people/identify.js';
import { signInServer } from './sign-in-server.js';
import { workbench } from './workbench.js';

const closing: (() => Promise<unknown> | unknown)[] = [];
afterEach(async () => {
  while (closing.length > 0) await closing.pop()!();
});

async function until(what: string, done: () => boolean): Promise<void> {
  for (const start = Date.now(); !done();) {
    if (Date.now() - start > 60_000) throw new Error(`${what}: did not come to be`);
    await new Promise((resolve) => {
      setTimeout(resolve, 20);
    });
  }
}

/** A line to the database that can be cut without either end being told, as a cable is. */
async function cable(): Promise<{
  url: string;
  cut: () => void;
  repair: () => void;
  isHungUp: () => boolean;
}> {
  const url = new URL(inject('databaseUrl'));
  const { hostname } = url;
  const port = Number(url.port);
  const sockets = new Set<Socket>();
  let isCut = false;
  let isHungUp = false;
  const server = createServer((near) => {
    const far = connect(port, hostname);
    for (const [from, to] of [
      [near, far],
      [far, near],
    ] as const) {
      sockets.add(from);
      from.on('error', () => undefined);
      from.on('data', (chunk) => isCut || to.write(chunk));
      from.on('close', () => isCut || to.destroy());
    }
    near.on('close', () => {
      isHungUp = true;
    });
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  closing.push(() => {
    for (const socket of sockets) socket.destroy();
    server.close();
  });
  url.hostname = '127.0.0.1';
  url.port = String((server.address() as AddressInfo).port);
  return {
    url: url.href,
    cut: () => {
      isCut = true;
    },
    repair: () => {
      isCut = false;
    },
    isHungUp: () => isHungUp,
  };
}

it('a connection that was cut silently is noticed and opened again, and listeners are told that some events were missed', async () => {
  const bench = await workbench();
  const line = await cable();
  const news = listenForNews(line.url, pino({ level: 'silent' }), {
    askedEveryMs: 200,
    answersWithinMs: 2000,
  });
  closing.push(() => news.close());
  const heard: (ChangeNews | null)[] = [];
  news.onChanges(bench.workspaceId, (one) => heard.push(one));
  await until('connected', () => heard.includes(null));
  const first = await bench.player();
  await until('told', () => heard.some((one) => one?.playerIds?.includes(first)));

  line.cut();
  heard.length = 0;
  const unheard = await bench.player();
  await until('hung up', line.isHungUp);
  line.repair();
  // What was said while it was cut is gone for good; that something went by is not.
  await until('told that some went by', () => heard.includes(null));
  expect(heard.some((one) => one?.playerIds?.includes(unheard))).toBe(false);
  const last = await bench.player();
  await until('told again', () => heard.some((one) => one?.playerIds?.includes(last)));
});

it('a page stays signed in while the database cannot be asked, and is signed out once its session is ended', async () => {
  const identify = identifyBy((await workbench()).orm);
  let isAway = false;
  let asked = 0;
  const door = await signInServer({
    beatMs: 300,
    identify: (request) => {
      if (request.path === '/news') asked += 1;
      if (isAway) throw Object.assign(new Error('connect ECONNREFUSED'), { code: 'ECONNREFUSED' });
      return identify(request);
    },
  });
  closing.push(() => door.close());
  const server = door.app.listen(0, '127.0.0.1');
  closing.push(() => {
    server.closeAllConnections();
    server.close();
  });
  await new Promise((resolve) => {
    server.once('listening', resolve);
  });
  const response = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/api/news`, {
    headers: { cookie: door.owner.cookie, 'x-forwarded-proto': 'https' },
  });
  let said = '';
  const reading = (async () => {
    const decoder = new TextDecoder();
    for await (const piece of response.body as unknown as AsyncIterable<Uint8Array>)
      said += decoder.decode(piece, { stream: true });
  })();
  await until('open', () => said.includes('event: here'));
  isAway = true;
  const before = asked;
  await until('asked in vain', () => asked > before);
  isAway = false;
  await until('a beat', () => said.includes(': here'));
  expect(said).not.toContain('signed-out');
  await door.sessions.end((await door.owner.get('/signed-in')).body.personId as string, { allBut: null });
  await until('signed out', () => said.includes('event: signed-out'));
  await reading;
}, 240_000);
