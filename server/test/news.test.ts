import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createServer, connect, type AddressInfo, type Socket } from 'node:net';
import { pino } from 'pino';
import { afterEach, expect, inject, it } from 'vitest';
import { listenForNews, recentTimes, type ChangeNews } from '../src/news/listen-for-news.js';
import { identifyBy } from '../src/people/identify.js';
import { signInServer, type SignInServer } from './sign-in-server.js';
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

it('it is known whether something was heard of within a time: of what is too long ago to be known, it may have been', () => {
  let now = 0;
  const times = recentTimes(2, () => now);
  now = 100;
  // Before the start nothing was heard.
  expect(times.mayBeWithin('a', 100)).toBe(true);
  expect(times.mayBeWithin('a', 99)).toBe(false);
  times.note('a');
  now = 150;
  expect(times.mayBeWithin('a', 50)).toBe(true);
  expect(times.mayBeWithin('a', 49)).toBe(false);
  expect(times.mayBeWithin('b', 60)).toBe(false);
  times.note('b');
  now = 160;
  times.note('a');
  now = 170;
  // There is no room for the oldest, which is b: what was before it is not known any more, of nobody.
  times.note('c');
  expect(times.mayBeWithin('b', 19)).toBe(false);
  expect(times.mayBeWithin('b', 20)).toBe(true);
  expect(times.mayBeWithin('c', 0)).toBe(true);
  now = 200;
  times.startOver();
  now = 210;
  expect(times.mayBeWithin('c', 9)).toBe(false);
  expect(times.mayBeWithin('c', 10)).toBe(true);
});

/** An owner's page that listens, and what it has heard so far. */
async function page(door: SignInServer, query = ''): Promise<{ said: () => string; ended: Promise<void> }> {
  const server = door.app.listen(0, '127.0.0.1');
  closing.push(() => {
    server.closeAllConnections();
    server.close();
  });
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const leaving = new AbortController();
  const response = await fetch(`http://127.0.0.1:${port}/api/news${query}`, {
    signal: leaving.signal,
    headers: { cookie: door.owner.cookie, 'x-forwarded-proto': 'https' },
  });
  let said = '';
  const ended = (async () => {
    const decoder = new TextDecoder();
    for await (const piece of response.body as unknown as AsyncIterable<Uint8Array>)
      said += decoder.decode(piece, { stream: true });
  })();
  closing.push(async () => {
    leaving.abort();
    await ended.catch(() => undefined);
  });
  await until('open', () => said.includes('event: here'));
  return { said: () => said, ended };
}

it('a page that began to read before something changed is told that it may have missed it', async () => {
  const news = listenForNews(inject('databaseUrl'), pino({ level: 'silent' }));
  closing.push(() => news.close());
  let isConnected = false;
  // Whoever listens is told so, of whatever workspace.
  news.onChanges('', () => {
    isConnected = true;
  });
  const door = await signInServer({ news });
  closing.push(() => door.close());
  const heard: (ChangeNews | null)[] = [];
  news.onChanges(door.workspaceId, (one) => heard.push(one));
  const playerId = randomUUID();
  await until('connected', () => isConnected);
  await door.owner
    .post('/changes', {
      id: randomUUID(),
      commands: [
        { do: 'addPlayer', player: { id: playerId, name: 'Missed', hand: 'right', distanceUnit: 'm' } },
      ],
    })
    .expect(200);
  await until('announced', () => heard.some((one) => one?.playerIds?.includes(playerId)));
  const late = await page(door, '?readForMs=60000');
  await until('told', () => late.said().includes('event: missed'));
  // One that does not say when it began to read is told nothing: it reads after it listens.
  const script = await page(door);
  expect(script.said()).not.toContain('missed');
  expect((await door.owner.get('/news?readForMs=soon').expect(400)).body.fields).toMatchObject([
    { field: 'readForMs' },
  ]);
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
  const { said, ended } = await page(door);
  isAway = true;
  const before = asked;
  await until('asked in vain', () => asked > before);
  isAway = false;
  await until('a beat', () => said().includes(': here'));
  expect(said()).not.toContain('signed-out');
  await door.sessions.end((await door.owner.get('/signed-in')).body.personId as string, { allBut: null });
  await until('signed out', () => said().includes('event: signed-out'));
  await ended;
}, 240_000);
