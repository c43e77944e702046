import { spawnSync } from 'node:child_process';
import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { readFileSync, readdirSync, readlinkSync } from 'node:fs';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import express from 'express';
import request from 'supertest';
import { v4 as newId } from 'uuid';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { throwAwayCluster } from '../../command/cluster.js';
import { databaseState } from '../src/database/database-state.js';
import { migrate, openDatabase, roleIn } from '../src/database/database.js';
import { streamStrikes } from '../src/monitor/live-stream.js';
import { receiveFile } from '../src/strikes/received-file.js';
import { runInThread } from '../src/threads/thread-pool.js';
import { weatherAt } from '../src/weather/forecast-source.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { workbench, workbenchIn, type Workbench } from './workbench.js';

let bench: Workbench;
let playerId: string;
beforeAll(async () => {
  bench = await workbench();
  playerId = await bench.player();
  await bench.club(playerId, '7 iron');
});

const closing: (() => Promise<unknown> | unknown)[] = [];
afterEach(async () => {
  while (closing.length > 0) await closing.pop()!();
});

async function listening(server: Server): Promise<number> {
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  closing.push(
    () =>
      new Promise((resolve) => {
        server.closeAllConnections();
        server.close(resolve);
      }),
  );
  return (server.address() as AddressInfo).port;
}
const until = async (done: () => boolean | Promise<boolean>) => {
  for (const start = Date.now(); !(await done());) {
    if (Date.now() - start > 50_000) throw new Error('did not come to be');
    await new Promise((resolve) => {
      setTimeout(resolve, 20);
    });
  }
};

const ORDER = {
  source: 'a.csv',
  encoding: 'utf-8',
  delimiter: ',',
  heads: ['club', 'carry'],
  skipLines: 0,
  zoneMinutes: 0,
  clubs: {},
  mapping: {
    columns: [
      { column: 0, field: 'club' },
      { column: 1, field: 'carryM', unit: 'm' },
    ],
    decimal: '.',
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
  },
  session: {
    name: 'Range',
    heldOn: '2026-11-20',
    conditions: BASELINE,
    surface: MEDIUM_FAIRWAY,
    hitOff: 'grass',
    ball: '',
    notes: '',
  },
};
const importStrikes = (file: string | Buffer) =>
  bench.http
    .post(`/api/players/${playerId}/strikes/import?take=good&changeId=${newId()}`)
    .type('application/octet-stream')
    .send(Buffer.concat([Buffer.from(`${JSON.stringify(ORDER)}\n`), Buffer.from(file)]));
const importSheet = (text: string) =>
  bench.http
    .post(`/api/players/${playerId}/import?take=none&changeId=${newId()}&takenOn=2026-11-24`)
    .type('text/csv')
    .send(text);

describe('a file made to be slow', () => {
  it.each([
    [
      'a head of opened brackets and blanks',
      () => importSheet(`club,a(${' '.repeat(4000)}\n7 iron,1\n`),
      200,
    ],
    ['a head of 1.9 MB', () => importSheet(`club,${'a('.repeat(950_000)}\n7 iron,1\n`), 200],
    [
      'a length of one and 120,000 blanks',
      () => importSheet(`club,length\n7 iron,"1${' '.repeat(120_000)}x"\n`),
      200,
    ],
    ['600,000 columns', () => importSheet(`${'club,'.repeat(380_000)}\n`), 400],
    ['a quote that is never closed', () => importSheet(`club,notes\n7 iron,"${'a\n'.repeat(500_000)}`), 400],
    ['a quoted cell of 2,000 lines', () => importSheet(`club,notes\n7 iron,"${'a\n'.repeat(2000)}"\n`), 400],
    ['shots: quotes and line ends', () => importStrikes(`club,carry\n${'"\n'.repeat(2_000_000)}`), 400],
    [
      'shots: a quote that is never closed',
      () => importStrikes(`club,carry\n7 iron,"${'150\n'.repeat(1_000_000)}`),
      400,
    ],
    [
      'shots: one stray sign of inches in 4 MB',
      () => importStrikes(`club,carry\n${'x,150\n'.repeat(90_000)}45",150\n${'x,150\n'.repeat(90_000)}`),
      200,
    ],
    ['shots: a row of 4 MB', () => importStrikes('x'.repeat(4_000_000)), 400],
  ])('%s', async (_what, send, status) => {
    const response = await send();
    expect([status, response.text.slice(0, 300)]).toEqual([status, response.text.slice(0, 300)]);
    expect(response.status).toBe(status);
    expect(response.headers['content-type']).toContain('application/json');
    await bench.http.get('/api/players').expect(200);
  });

  it('a locker of ten years is imported again by looking readings up, not by searching for each', async () => {
    const start = Date.UTC(2016, 0, 1);
    const clubs = Array.from({ length: 6 }, (_one, c) => ({
      id: newId(),
      name: `club ${c}`,
      kind: 'iron',
      readings: Array.from({ length: 3000 }, (_two, i) => ({
        key: 'lieDeg',
        value: 55 + (i % 40) / 4,
        takenOn: new Date(start + i * 86_400_000).toISOString().slice(0, 10),
      })),
    }));
    const me = await bench.player();
    const locker = JSON.stringify({
      format: 'tasche-locker',
      version: 1,
      player: { name: 'Davor', hand: 'right', distanceUnit: 'yd', notes: '', gapSettings: {} },
      clubs,
      bags: [],
    });
    const send = (text: string) =>
      bench.http
        .post(`/api/players/${me}/import?take=all&changeId=${newId()}&takenOn=2026-11-24`)
        .type('application/json')
        .send(text);
    await send(locker).expect(200);
    const exported = await bench.http.get(`/api/players/${me}/locker.json`).expect(200);
    const again = await send(exported.text).expect(200);
    expect(again.body).toMatchObject({ result: null, plan: { adds: [], edits: [] } });
    expect(again.body.plan.same).toHaveLength(6);
  });
});

describe('a slow sender', () => {
  it('holds no connection of the database', async () => {
    const port = await listening(createServer(bench.app()));
    const sockets = Array.from({ length: 14 }, (): Socket => {
      const socket = connect(port, '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write(
        [
          `POST /api/players/${playerId}/strikes/import?take=good&changeId=${newId()} HTTP/1.1`,
          'Host: 127.0.0.1',
          'Content-Type: application/octet-stream',
          'Content-Length: 1000000',
          '',
          JSON.stringify(ORDER),
          'club,carry',
          '7 iron,1',
        ]
          .join('\r\n')
          .replace('}\r\n', '}\n'),
      );
      return socket;
    });
    closing.push(() => {
      sockets.forEach((socket) => socket.destroy());
    });
    await until(() => sockets.every((socket) => socket.bytesWritten > 500));
    for (let i = 0; i < 5; i++)
      await request(`http://127.0.0.1:${port}`).get(`/api/players/${playerId}/sheet`).expect(200);
  });

  it('that falls silent is answered, and leaves no file', async () => {
    const app = express();
    app.post('/', async (sent, response) => {
      await receiveFile(sent, { bytes: 1000, totalMs: 5000, silenceMs: 150, advice: '' }).then(
        async (received) => {
          await received.remove();
          response.sendStatus(200);
        },
        (error: { status?: number }) => {
          response.sendStatus(error.status ?? 500);
        },
      );
    });
    const port = await listening(createServer(app));
    const socket = connect(port, '127.0.0.1');
    closing.push(() => socket.destroy());
    let heard = '';
    socket.on('data', (piece) => {
      heard += piece.toString();
    });
    socket.write('POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 500\r\n\r\nhalf');
    await until(() => heard.includes('408'));
    await request(`http://127.0.0.1:${port}`).post('/').send('x'.repeat(2000)).expect(413);
    await request(`http://127.0.0.1:${port}`).post('/').send('x'.repeat(500)).expect(200);
  });

  it('a refused import leaves its connection to the next', async () => {
    const rows = Array.from({ length: 5000 }, (_one, i) => `7 iron,${100 + (i % 100)}.${i}`).join('\n');
    for (let i = 0; i < 4; i++)
      expect((await importStrikes(`club,carry\n${rows}\n"${'x\n'.repeat(60_000)}`)).status).toBe(400);
    for (let i = 0; i < 12; i++) await bench.http.get('/api/players').expect(200);
  });
});

describe('the database', () => {
  it('that stands still is away: health says so within a second, requests within some, and all is well when it goes on', async () => {
    const cluster = await throwAwayCluster();
    closing.push(() => cluster.stop());
    await migrate(cluster.ownerUrl, roleIn(cluster.url));
    const orm = await openDatabase(
      cluster.url,
      { pool: { min: 1, max: 3, acquireTimeoutMillis: 500 } },
      { connectionTimeoutMillis: 500, query_timeout: 1500 },
    );
    closing.push(() => orm.close(true));
    const { http } = workbenchIn(orm, newId(), 'Jonas Brandl');
    await http.get('/api/health').expect(200, { database: 'here' });
    const pids = postgresOf(cluster.url);
    expect(pids.length).toBeGreaterThan(1);
    const signal = (name: string) => spawnSync('kill', [`-${name}`, ...pids.map(String)]);
    signal('STOP');
    try {
      const start = performance.now();
      const health = await http.get('/api/health');
      expect(health.status).toBe(503);
      // Not how quick it is, but that it does not wait for the database: that would be for ever.
      expect(performance.now() - start).toBeLessThan(20_000);
      const roster = await Promise.all(Array.from({ length: 6 }, () => http.get('/api/players')));
      expect(new Set(roster.map(({ status }) => status))).toEqual(new Set([503]));
      expect(roster[0]!.headers['retry-after']).toBe('2');
    } finally {
      signal('CONT');
    }
    await until(async () => (await http.get('/api/players')).status === 200);
    await until(async () => (await http.get('/api/health')).status === 200);
  });

  it('whose disk is full, that meets itself, or is no longer a primary, is distinguished from a fault of ours', () => {
    expect(databaseState({ code: '53100', message: 'could not extend file' })).toBe('full');
    expect(databaseState({ message: 'x', cause: { code: 'ENOSPC' } })).toBe('full');
    expect(databaseState({ code: '40P01' })).toBe('busy');
    expect(databaseState({ code: '57P01' })).toBe('away');
    expect(databaseState({ code: '25006' })).toBe('away');
    expect(databaseState({ code: '23505' })).toBeUndefined();
    expect(databaseState(new TypeError('x is not a function'))).toBeUndefined();
    expect(databaseState(undefined)).toBeUndefined();
  });

  it('is not blamed for a file of the web part that is missing', async () => {
    const app = bench.app({ webFolder: new URL('.', import.meta.url).pathname });
    const missing = await request(app).get('/assets/nothing.js').expect(404);
    expect(missing.body.error).toBe('not-found');
  });
});

/** The processes of a cluster, by the folder they work in. */
function postgresOf(url: string): number[] {
  const { port } = new URL(url);
  const cwd = (pid: string) => {
    try {
      return readlinkSync(`/proc/${pid}/cwd`);
    } catch {
      return '';
    }
  };
  const pids = readdirSync('/proc').filter((name) => /^\d+$/.test(name));
  const folder = pids.map(cwd).find((one) => {
    try {
      return one.includes('tasche-') && readFileSync(`${one}/postmaster.pid`, 'utf8').split('\n')[3] === port;
    } catch {
      return false;
    }
  });
  return folder ? pids.filter((pid) => cwd(pid) === folder).map(Number) : [];
}

describe('streams', () => {
  it('a board that does not read is cut off before it costs memory, and catches up when it comes back', async () => {
    const sessionId = newId();
    await bench.done([
      {
        do: 'addSession',
        session: {
          id: sessionId,
          playerId,
          name: 'Range',
          heldOn: '2026-11-20',
          conditions: BASELINE,
          surface: MEDIUM_FAIRWAY,
          hitOff: 'grass',
          ball: '',
          notes: '',
        },
      },
    ]);
    const shots = 40_000;
    await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, (em) =>
      em.execute(
        `insert into strike (workspace_id, session_id, player_id, built_on, id, shot, number, carry_m)
       select ?, ?, ?, '2026-11-20', gen_random_uuid(), 'full', n, 150 from generate_series(1, ?::int) n`,
        [bench.workspaceId, sessionId, playerId, shots],
      ),
    );
    let written = 0;
    let ended = 0;
    const app = express();
    app.get('/', async (sent, response) => {
      const write = response.write.bind(response) as (text: string) => boolean;
      response.write = ((text: string) => {
        written += text.length;
        return write(text);
      }) as never;
      await streamStrikes(response, {
        orm: bench.orm,
        sight: { workspaceId: bench.workspaceId },
        sessionId,
        after: Number(sent.query.after ?? 0),
        news: undefined,
        monitor: () => ({ state: 'none', device: null, simulated: false }),
        drainMs: 300,
      });
      ended += 1;
    });
    const port = await listening(createServer(app));
    const deaf = connect(port, '127.0.0.1');
    deaf.on('error', () => undefined);
    closing.push(() => deaf.destroy());
    deaf.pause();
    deaf.write('GET / HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n');
    await until(() => ended === 1);
    // All of it would be over 12 MB; the machine's own buffers hold some.
    expect(written).toBeLessThan(10_000_000);

    const hearing = connect(port, '127.0.0.1');
    closing.push(() => hearing.destroy());
    let heard = 0;
    let last = '';
    hearing.on('data', (piece) => {
      const text = last + piece.toString();
      heard += text.split('event: strike\n').length - 1;
      last = text.slice(-14).includes('event: strike\n') ? '' : text.slice(-13);
    });
    hearing.write('GET / HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n');
    await until(() => heard >= shots);
  });

  it('a weather service that never ends, or sends elsewhere, is reported', async () => {
    const place = { name: 'Skarvoy', latitudeDeg: 60, longitudeDeg: 5, altitudeM: 6 };
    const endless = await listening(
      createServer((_request, response) => {
        response.writeHead(200, { 'content-type': 'application/json' });
        const more = () => {
          while (!response.destroyed && response.write('x'.repeat(65_536))) {
            /* as much as it takes */
          }
        };
        response.on('drain', more);
        more();
      }),
    );
    await expect(
      weatherAt(`http://127.0.0.1:${endless}`, 30_000).forecast(place, '2026-12-01', 1),
    ).rejects.toThrow(/more than 2 MB/);
    let asked = 0;
    const secret = await listening(
      createServer((_request, response) => {
        asked += 1;
        response.end('{}');
      }),
    );
    const elsewhere = await listening(
      createServer((_request, response) => {
        response.writeHead(302, { location: `http://127.0.0.1:${secret}/` }).end();
      }),
    );
    await expect(weatherAt(`http://127.0.0.1:${elsewhere}`).forecast(place, '2026-12-01', 1)).rejects.toThrow(
      /answered 302/,
    );
    expect(asked).toBe(0);
  });

  it('work that no client waits for any more leaves its queue', async () => {
    const spin = new URL('./spin-task.ts', import.meta.url);
    const gone = new AbortController();
    const running = Array.from({ length: 6 }, () =>
      runInThread<number, number>(spin, 60_000, gone.signal, 'one').catch((error: Error) => error.name),
    );
    setImmediate(() => {
      gone.abort();
    });
    expect(await Promise.all(running)).toEqual(Array.from({ length: 6 }, () => 'AbortError'));
    expect(await runInThread<number, number>(spin, 0, new AbortController().signal, 'one')).toBe(0);
  });

  it('one workspace does not fill it for the others', async () => {
    const spin = new URL('./spin-task.ts', import.meta.url);
    const gone = new AbortController();
    const running = Array.from({ length: 6 }, () =>
      runInThread<number, number>(spin, 60_000, gone.signal, 'greedy').catch((error: Error) => error.name),
    );
    await expect(runInThread(spin, 0, gone.signal, 'greedy')).rejects.toMatchObject({
      status: 503,
      problem: { error: 'busy' },
    });
    const other = runInThread<number, number>(spin, 0, new AbortController().signal, 'another');
    gone.abort();
    await Promise.all(running);
    expect(await other).toBe(0);
    expect(await runInThread<number, number>(spin, 0, new AbortController().signal, 'greedy')).toBe(0);
  });
});
