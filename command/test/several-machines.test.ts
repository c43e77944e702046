import { spawn, spawnSync } from 'node:child_process';
import { appendFileSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { v4 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate, openDatabase, roleIn } from '../../server/src/database/database.js';
import { inWorkspace } from '../../server/src/workspaces/in-workspace.js';
import { Workspace } from '../../server/src/workspaces/workspace.js';
import { on, workbenchIn, type Workbench } from '../../server/test/workbench.js';
import { buildServer } from '../build.js';
import { startCluster, type Cluster } from '../cluster.js';
import { throwAwayFolder } from '../data-folder.js';
import { freePort } from '../ports.js';
import { drillTable, worseOf, type DrillStanding } from '../drill/drill-table.js';
import { Ledger, standingOf } from '../drill/ledger.js';

const root = path.resolve(import.meta.dirname, '../..');
let folder: string;
let cluster: Cluster;
let orm: Awaited<ReturnType<typeof openDatabase>>;
let bench: Workbench;

beforeAll(async () => {
  folder = throwAwayFolder();
  cluster = await startCluster(folder);
  await migrate(cluster.ownerUrl, roleIn(cluster.url));
  orm = await openDatabase(cluster.url);
  const workspaceId = newId();
  await inWorkspace(orm, { workspaceId }, (em) => {
    em.create(Workspace, { id: workspaceId, name: 'Drill van', person: 'Jonas Brandl' }, { persist: true });
    return Promise.resolve();
  });
  bench = workbenchIn(orm, workspaceId, 'Jonas Brandl');
});
afterAll(async () => {
  await orm?.close(true);
  cluster?.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** Has the cluster read a setting again. */
function set(setting: string): void {
  const data = path.join(folder, 'postgres');
  appendFileSync(path.join(data, 'postgresql.auto.conf'), `${setting}\n`);
  process.kill(Number(readFileSync(path.join(data, 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGHUP');
}

describe('the server as it is built', () => {
  it('runs alone, told by its environment, and ends when it is asked to', async () => {
    const built = await buildServer(root);
    const port = await freePort();
    const server = spawn(process.execPath, [path.join(built, 'main.js')], {
      cwd: '/',
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        PATH: process.env.PATH,
        DATABASE_URL: cluster.url,
        DATABASE_OWNER_URL: cluster.ownerUrl,
        PORT: String(port),
      },
    });
    const ended = new Promise<number | null>((resolve) => {
      server.once('exit', resolve);
    });
    try {
      let said = '';
      await new Promise<void>((resolve, reject) => {
        server.stdout.on('data', (chunk: Buffer) => {
          said += chunk.toString();
          if (said.includes('/welcome#')) resolve();
        });
        server.once('exit', (code) => {
          reject(new Error(`it ended with ${code}: ${said}`));
        });
      });
      expect(said).toContain(`ready on http://127.0.0.1:${port}`);
      const answer = await fetch(`http://127.0.0.1:${port}/api/ready`);
      expect(await answer.json()).toEqual({ ready: true });
      expect((await fetch(`http://127.0.0.1:${port}/api/players`)).status).toBe(401);
    } finally {
      server.kill('SIGTERM');
    }
    expect(await ended).toBe(0);
  });

  it('names the variable that is missing or wrong', async () => {
    const main = path.join(await buildServer(root), 'main.js');
    const started = (environment: NodeJS.ProcessEnv) =>
      spawnSync(process.execPath, [main], {
        encoding: 'utf8',
        env: { PATH: process.env.PATH, ...environment },
      });
    expect(started({})).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('DATABASE_URL') as string,
    });
    const given = { DATABASE_URL: cluster.url };
    for (const wrong of [
      { PORT: 'x' },
      { TASCHE_MONITOR: 'nowhere' },
      { TASCHE_HOSTS: 'a b' },
      { TASCHE_WEATHER: 'ftp://a' },
    ])
      expect(started({ ...given, ...wrong })).toMatchObject({
        status: 2,
        stderr: expect.stringContaining(Object.keys(wrong)[0]!) as string,
      });
  });
});

describe('a change that is sent again', () => {
  it('is answered only when a replica has it, as the first time', async () => {
    const playerId = await bench.player();
    const id = newId();
    const change = () =>
      bench.change([{ do: 'editPlayer', playerId, version: 1, set: { notes: 'fades it' } }], { id });
    await change().expect(200);
    set(`synchronous_standby_names = 'nobody'`);
    try {
      let answered = false;
      const again = change().then((response) => {
        answered = true;
        return response.status;
      });
      // It waits in the database, for a replica that is not there; its own role sees that.
      const client = new pg.Client({ connectionString: cluster.url });
      await client.connect();
      const waiting = async () =>
        (
          await client.query<{ n: number }>(
            `select count(*)::int as n from pg_stat_activity where wait_event = 'SyncRep'`,
          )
        ).rows[0]!.n;
      for (const start = Date.now(); (await waiting()) === 0;) {
        expect(answered).toBe(false);
        if (Date.now() - start > 60_000) throw new Error('it does not wait');
      }
      expect(answered).toBe(false);
      await client.end();
      set(`synchronous_standby_names = ''`);
      expect(await again).toBe(200);
    } finally {
      set(`synchronous_standby_names = ''`);
    }
  });
});

describe('the drill', () => {
  it('counts what is missing, half there, or there twice', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron');
    const ledger = new Ledger();
    const written = async (version: number, readings: { key: 'serial' | 'head'; value: string }[]) => {
      const id = newId();
      await bench
        .change(
          [{ do: 'editClub', clubId, version, readings: readings.map((one) => on(one.key, one.value)) }],
          { id },
        )
        .expect(200);
      ledger.sent.add(readings[0]!.value);
      ledger.readings.push({ changeId: id, playerId, serial: readings[0]!.value });
    };
    const both = (value: string) => [
      { key: 'serial' as const, value },
      { key: 'head' as const, value },
    ];
    const balls = { hit: 0, waiting: [] };
    const standing = () => standingOf(cluster.backupUrl, ledger, 'drill', balls);

    await written(1, both('S-one'));
    expect(await standing()).toEqual({
      acknowledged: 1,
      lost: 0,
      half: 0,
      doubled: 0,
      balls: 0,
      ballsLost: 0,
    });
    await written(2, [{ key: 'serial', value: 'S-half' }]);
    expect(await standing()).toMatchObject({ lost: 0, half: 1, doubled: 0 });
    await written(3, both('S-one'));
    expect(await standing()).toMatchObject({ lost: 0, half: 1, doubled: 1 });
    ledger.readings.push({ changeId: newId(), playerId, serial: 'S-gone' });
    ledger.imports.push({ changeId: newId(), rows: 20 });
    balls.hit = 3;
    expect(await standing()).toMatchObject({ acknowledged: 5, lost: 2, ballsLost: 3 });
  });

  it('keeps the worst of every count, and the longest time without a write', () => {
    const ledger = new Ledger();
    ledger.moments.push(1000, 1200, 9000, 9100);
    expect(ledger.longestPause(1100)).toBeGreaterThanOrEqual(7800);
    const none: DrillStanding = {
      acknowledged: 10,
      lost: 0,
      half: 0,
      doubled: 0,
      balls: 4,
      ballsLost: 0,
      refused: [],
      choices: 2,
      wrongChoices: 0,
      sentAway: 0,
      eventsMissed: 0,
      reread: 1,
      staleCells: 0,
    };
    const worst = worseOf({ ...none, lost: 2, eventsMissed: 1 }, { ...none, acknowledged: 20 });
    expect(worst).toMatchObject({ acknowledged: 20, lost: 2, eventsMissed: 1 });
    const table = drillTable([{ name: 'a Tasche server killed', pauseMs: 2340 }], worst);
    expect(table).toContain('| a Tasche server killed | 1 | 2.3 | 2.3 |');
    expect(table).toContain('| acknowledged changes lost | 2 | 20 changes |');
  });
});
