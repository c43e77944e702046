import { gzipSync } from 'node:zlib';
import type { GaugeReading } from '@tasche/contract';
import { createServer, get as httpGet } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import { v4 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../src/http/app.js';
import { metricsOf } from '../src/http/metrics.js';
import { ROUTES } from '../src/http/route-list.js';
import { messagePage } from '../src/shares/message-page.js';
import { machinePerson } from '../src/workspaces/first-workspace.js';
import { identifyBy } from '../src/people/identify.js';
import { signInServer, type SignInServer } from './sign-in-server.js';
import { workbench, workbenchIn, type Workbench } from './workbench.js';

/** The web's usual list, a test each; what stands elsewhere is named in docs/security.md. */
let door: SignInServer;
let bench: Workbench;
let playerId: string;
const lines: string[] = [];
beforeAll(async () => {
  const log = pino(
    { level: 'info' },
    new Writable({
      write(chunk: Buffer, _encoding, done) {
        lines.push(chunk.toString());
        done();
      },
    }),
  );
  door = await signInServer({ log });
  bench = workbenchIn(door.orm, door.workspaceId, 'Jonas Brandl');
  playerId = await bench.player();
});
afterAll(() => door.close());

describe('another site’s page', () => {
  it.each([
    'application/json',
    'text/plain',
    'application/x-www-form-urlencoded',
    'multipart/form-data; boundary=x',
  ])('writes nothing by posting %s, even with the cookie', async (type) => {
    const body = JSON.stringify({ id: newId(), commands: [] });
    const sent = request(door.app)
      .post('/api/changes')
      .set('x-forwarded-proto', 'https')
      .set('cookie', door.owner.cookie)
      .type(type)
      .send(body);
    // Without what belongs to the session; and, where it says where it is from, not from there.
    expect((await sent).status).toBe(403);
    const fromThere = await request(door.app)
      .post('/api/changes')
      .set('x-forwarded-proto', 'https')
      .set('cookie', door.owner.cookie)
      .set('x-csrf-token', door.owner.csrf!)
      .set('origin', 'https://elsewhere.example')
      .type(type)
      .send(body);
    expect(fromThere.status).toBe(403);
  });

  it('may not frame, sniff, or run scripts of its own here', async () => {
    const { headers } = await door.owner.get('/signed-in').expect(200);
    const policy = headers['content-security-policy']!;
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toContain("object-src 'none'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['referrer-policy']).toBe('no-referrer');
    expect(headers['cross-origin-opener-policy']).toBe('same-origin');
    expect(headers['cache-control']).toBe('no-store');
    expect(headers['access-control-allow-origin']).toBeUndefined();
  });
});

describe('the user of this machine', () => {
  const machine = async () => {
    const { orm, workspaceId } = await workbench();
    const workspace = {
      id: workspaceId,
      name: 'Van',
      person: 'Jonas',
      demoLoadedAt: null,
      createdAt: new Date(),
    };
    return createApp({
      orm,
      identify: identifyBy(orm, () => Promise.resolve(machinePerson(workspace as never))),
      log: pino({ level: 'silent' }),
      hosts: ['van.example'],
      metrics: metricsOf(orm, 'a key for the scraper'),
    });
  };

  it('is let in by the demo; no one is who comes by another name, through a proxy, or with an ended session', async () => {
    const app = await machine();
    await request(app).get('/api/players').expect(200);
    await request(app).get('/api/players').set('host', 'van.example').expect(401);
    await request(app).get('/api/players').set('x-forwarded-for', '198.51.100.1').expect(401);
    await request(app).get('/api/players').set('forwarded', 'for=198.51.100.1').expect(401);
    await request(app).get('/api/players').set('cookie', 'tasche=s%3Aover.nothing').expect(401);
  });

  it('reads the metrics; from elsewhere they are read with their key, and nothing of people is in them', async () => {
    const app = await machine();
    await request(app).get('/api/players').expect(200);
    const { text } = await request(app).get('/metrics').expect(200);
    expect(text).toMatch(/tasche_request_seconds_count\{route="GET \/players",status="200"\} 1/);
    expect(text).toMatch(/tasche_database_connections_used \d/);
    expect(text).not.toMatch(/Jonas|Van/);
    const elsewhere = () => request(app).get('/metrics').set('host', 'van.example');
    await elsewhere().expect(404);
    await elsewhere().set('authorization', 'Bearer not the key').expect(404);
    await elsewhere().set('authorization', 'Bearer a key for the scraper').expect(200);
  });
});

describe('what is sent to break it', () => {
  it('a bomb of compression is told by its size unpacked', async () => {
    const bomb = gzipSync(Buffer.alloc(200_000_000, 0x20));
    expect(bomb.length).toBeLessThan(300_000);
    const { body } = await bench.http
      .post('/api/changes')
      .type('json')
      .set('content-encoding', 'gzip')
      .serialize((value: unknown) => value as string)
      .send(bomb as never)
      .expect(413);
    expect(body.error).toBe('too-large');
  });

  it.each([
    ['arrays', `${'['.repeat(100_000)}${']'.repeat(100_000)}`],
    ['objects', `${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}`],
  ])('a bomb of nesting, of %s', async (_what, text) => {
    expect((await bench.http.post('/api/changes').type('json').send(text)).status).toBe(400);
  });

  it('keys that mean something to JavaScript are only unknown fields', async () => {
    for (const text of [
      '{"__proto__":{"isAdmin":true},"id":"x","commands":[]}',
      '{"constructor":{"prototype":{}},"id":"x","commands":[]}',
      '{"id":{"toString":250},"commands":[]}',
    ])
      expect((await bench.http.post('/api/changes').type('json').send(text)).status).toBe(400);
    expect(({} as { isAdmin?: boolean }).isAdmin).toBeUndefined();
  });

  it('headers that never end hold a socket only as long as allowed', async () => {
    // The server's own limits are 15 s and 240 s; these are the same, sooner.
    const checked = createServer(
      { connectionsCheckingInterval: 50, headersTimeout: 300, requestTimeout: 600 },
      door.app,
    );
    await new Promise<void>((resolve) => {
      checked.listen(0, '127.0.0.1', resolve);
    });
    const { port } = checked.address() as AddressInfo;
    const answer = await new Promise<string>((resolve) => {
      const socket = connect(port, '127.0.0.1');
      let said = '';
      socket.on('data', (chunk: Buffer) => (said += chunk.toString()));
      socket.on('close', () => {
        resolve(said);
      });
      socket.write('GET /api/health HTTP/1.1\r\nhost: 127.0.0.1\r\nx-slow: ');
    });
    expect(answer).toContain('408');
    await new Promise((resolve) => {
      checked.close(resolve);
    });
  });
});

describe('what goes out', () => {
  it('names that begin like formulas are text to a spreadsheet', async () => {
    for (const name of ['=HYPERLINK("http://x")', '+1', '-2+3', '@SUM(A1)']) await bench.club(playerId, name);
    const { text } = await bench.http.get(`/api/players/${playerId}/sheet.csv`).expect(200);
    const firstCells = text.split('\n').map((line) => line.replace(/^"/, ''));
    expect(firstCells.filter((cell) => /^[=+\-@]/.test(cell))).toEqual([]);
    expect(text).toContain(`'=HYPERLINK`);
  });

  it('a name is a file’s name without what a head or a path could be made of', async () => {
    const id = newId();
    await bench.done([
      {
        do: 'addPlayer',
        player: { id, name: '../../etc "x"; filename=evil.exe', hand: 'right', distanceUnit: 'm' },
      },
    ]);
    const { headers } = await bench.http.get(`/api/players/${id}/locker.json`).expect(200);
    expect(headers['content-disposition']).toBe('attachment; filename=etc-x-filename-evil-exe.json');
  });

  it('a line of the log is one line of JSON with the request’s id, and holds neither keys, cookies nor names', async () => {
    const key = 'a-key-of-a-link-that-is-in-no-log-0123';
    const before = lines.length;
    const answer = await door
      .browser()
      .get(`/shared/${key}?x=${encodeURIComponent('\n{"level":60}')}`)
      .set('user-agent', 'evil\tagent')
      .set('x-request-id', 'given-by-a-proxy-1');
    expect(answer.headers['x-request-id']).toBe('given-by-a-proxy-1');
    await door.owner.get(`/players/${playerId}/sheet`).expect(200);
    const said = lines.slice(before);
    expect(said).toHaveLength(2);
    for (const line of said) {
      expect(line.trim().split('\n')).toHaveLength(1);
      expect(line).not.toContain(key);
      expect(line).not.toContain(door.owner.cookie.slice(0, 30));
      expect(line).not.toContain(playerId);
    }
    expect(JSON.parse(said[0]!)).toMatchObject({
      req: { id: 'given-by-a-proxy-1', route: 'GET /shared/:key' },
    });
    const made = await door.owner.get('/signed-in').set('x-request-id', 'bad id; <x>');
    expect(made.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('a link that shows nothing is read as a page in a browser, and holds no markup but ours', async () => {
    const { status, headers, text } = await door
      .browser()
      .get('/shared/a-key-there-is-none-of')
      .set('accept', 'text/html,*/*');
    expect([status, headers['content-type']]).toEqual([404, 'text/html; charset=utf-8']);
    expect(text).toContain('This link has ended.');
    expect(text).toContain('width=device-width');
    expect(messagePage('No “<b onclick="x()">7</b>” & no 8')).toContain(
      '<p>No “&lt;b onclick=&quot;x()&quot;&gt;7&lt;/b&gt;” &amp; no 8</p>',
    );
  });

  it('no error names another workspace, a table, a path or a secret', async () => {
    const other = await workbench('Somebody else');
    const theirs = await other.player();
    const answers = await Promise.all([
      door.owner.get(`/players/${theirs}/sheet`),
      door.owner.post('/people/remove', { personId: theirs }),
      door.owner.post('/workspaces/enter', { workspaceId: other.workspaceId }),
      door.owner.post(`/shares/${theirs}/revoke`),
      door.browser().post('/links/use', { key: 'x'.repeat(43), password: 'a long enough password' }),
    ]);
    for (const { status, text } of answers) {
      expect(status).toBe(404);
      expect(text).not.toMatch(/Somebody|Test van|select|relation|node_modules|\/server\/|postgres/i);
    }
  });
});

describe('the devices of a van', () => {
  it('are its own: no one in another workspace hears its gauge or has it measure', async () => {
    const { orm, workspaceId } = await workbench();
    const listeners: ((reading: GaugeReading | null) => void)[] = [];
    const gauge = {
      view: () => ({ state: 'here' as const, device: 'a gauge', simulated: true }),
      on: (listener: (reading: GaugeReading | null) => void) => {
        listeners.push(listener);
        return () => undefined;
      },
      measure: () => true,
      close: () => undefined,
    };
    const order = { loftDeg: 32, lieDeg: 62 };
    const of = (devicesOf: string) =>
      request(workbenchIn(orm, workspaceId, 'Jonas').app({ gauge: gauge as never, devicesOf }));
    expect((await of(workspaceId).post('/api/gauge/measure').send(order)).status).not.toBe(422);
    const other = await of(newId()).post('/api/gauge/measure').send(order).expect(422);
    expect(other.body.message).toContain('No simulated gauge');
  });
});

describe('pages that listen', () => {
  it('are so many of one person, and no more', async () => {
    const { browser } = await door.invited('rep');
    const server = createServer(door.app);
    await new Promise<void>((resolve) => {
      server.listen(0, '127.0.0.1', resolve);
    });
    const { port } = server.address() as AddressInfo;
    const listen = () =>
      new Promise<{ status: number; close: () => void }>((resolve) => {
        const asked = httpGet(
          {
            host: '127.0.0.1',
            port,
            path: '/api/news',
            headers: {
              cookie: browser.cookie,
              'x-forwarded-proto': 'https',
              'x-forwarded-for': browser.address,
            },
          },
          (response) => {
            response.on('error', () => undefined);
            resolve({ status: response.statusCode!, close: () => asked.destroy() });
          },
        );
        asked.on('error', () => undefined);
      });
    const streams = await Promise.all(Array.from({ length: 20 }, listen));
    expect(new Set(streams.map(({ status }) => status))).toEqual(new Set([200]));
    expect((await listen()).status).toBe(429);
    for (const { close } of streams) close();
    server.closeAllConnections();
    await new Promise((resolve) => {
      server.close(resolve);
    });
  });
});

describe('calling too often', () => {
  it('is answered 429 with when to come again, for one who costs; others go on', async () => {
    const { browser } = await door.invited('rep');
    const path = `/players/${playerId}/sheet.csv`;
    const statuses = new Set<number>();
    for (let i = 0; i < 61; i++) statuses.add((await browser.get(path)).status);
    expect([...statuses].sort()).toEqual([200, 429]);
    const over = await browser.get(path);
    expect(over.body).toMatchObject({ error: 'too-many-requests' });
    expect(Number(over.headers['retry-after'])).toBeGreaterThan(0);
    await door.owner.get(path).expect(200);
    await browser.get(`/players/${playerId}/sheet`).expect(200);
  });

  it('every route has a limit', () => {
    for (const { calls } of Object.values(ROUTES))
      expect(['read', 'write', 'costly', 'door']).toContain(calls);
  });
});
