import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate, openDatabase, roleIn } from '../../server/src/database/database.js';
import { Workspace } from '../../server/src/workspaces/workspace.js';
import { inWorkspace } from '../../server/src/workspaces/in-workspace.js';
import { workbenchIn, on, carry } from '../../server/test/workbench.js';
import { startCluster, type Cluster } from '../cluster.js';
import { throwAwayFolder } from '../data-folder.js';
import { runHere } from './run-here.js';

const root = path.resolve(import.meta.dirname, '../..');
const WORKSPACE = '7a5c4e00-0000-4000-8000-00000000bac0';
let aside: string;
let folder: string;
let cluster: Cluster;

beforeAll(async () => {
  for (const name of ['DATABASE_URL', 'DATABASE_OWNER_URL', 'DATABASE_BACKUP_URL']) delete process.env[name];
  aside = mkdtempSync(path.join(os.tmpdir(), 'tasche-backup-test-'));
  folder = throwAwayFolder();
  cluster = await startCluster(folder);
  await migrate(cluster.ownerUrl, roleIn(cluster.url));
});
afterAll(() => {
  cluster?.stop();
  for (const one of [aside, folder]) rmSync(one, { recursive: true, force: true });
});

const tasche = (...line: string[]) => runHere(line);

/** The newest first. */
async function migrations(url: string): Promise<string[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<{ name: string }>(
    'select name from mikro_orm_migrations order by id desc',
  );
  await client.end();
  return rows.map(({ name }) => name);
}

/** Everything in a database: each table's rows, in an order of their own, as one hash. */
async function contents(backupUrl: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: backupUrl });
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1`,
    );
    const hashes: Record<string, string> = {};
    for (const { name } of tables) {
      const { rows } = await client.query<{ hash: string }>(
        `select count(*) || ' ' || coalesce(md5(string_agg(one::text, '|' order by one::text)), '') as hash from "${name}" one`,
      );
      hashes[name] = rows[0]!.hash;
    }
    return hashes;
  } finally {
    await client.end();
  }
}

describe('a backup', () => {
  it('made while someone is writing is of one moment, and restoring it brings everything back', async () => {
    const orm = await openDatabase(cluster.url);
    await inWorkspace(orm, { workspaceId: WORKSPACE }, (em) => {
      em.create(Workspace, { id: WORKSPACE, name: 'Van', person: 'Jonas' }, { persist: true });
      return Promise.resolve();
    });
    const bench = workbenchIn(orm, WORKSPACE, 'Jonas Brandl');
    const playerId = await bench.player();
    for (let i = 0; i < 5; i++)
      await bench.club(playerId, `${i} iron`, [on('lieDeg', 60 + i), carry(150 + i)]);
    const before = await contents(cluster.backupUrl);

    const file = path.join(aside, 'still.tar');
    const made = await tasche('backup', file, '--data', folder);
    expect([made.status, made.stderr]).toEqual([0, '']);
    expect(made.stdout).toMatch(/rows, [\d.]+ MB/);

    // Clubs go on being written, each with its change and its readings, while a second backup is made.
    let writes = true;
    const writing = (async () => {
      while (writes) await bench.club(playerId, 'more', [on('lieDeg', 61)]);
    })();
    const busy = path.join(aside, 'busy.tar');
    const code = await new Promise<number | null>((resolve) => {
      spawn(process.execPath, ['--import', 'tsx', 'command/main.ts', 'backup', busy, '--data', folder], {
        cwd: root,
        stdio: 'ignore',
      }).once('exit', resolve);
    });
    writes = false;
    await writing;
    await orm.close(true);
    expect(code).toBe(0);

    const elsewhere = throwAwayFolder();
    try {
      expect(await tasche('restore', file, '--data', elsewhere)).toMatchObject({ status: 0 });
      const again = await startCluster(elsewhere);
      try {
        expect(await contents(again.backupUrl)).toEqual(before);
        // The application works on it, and row-level security holds in it.
        await migrate(again.ownerUrl, roleIn(again.url));
        const restored = await openDatabase(again.url);
        expect((await workbenchIn(restored, WORKSPACE, 'x').sheet(playerId)).clubs).toHaveLength(5);
        const [seen] = await restored.em
          .fork()
          .execute<{ n: number }[]>('select count(*)::int as n from club');
        expect(seen!.n).toBe(0);
        await restored.close(true);
      } finally {
        again.stop();
      }

      // A folder that holds a database is left alone, unless it is to be replaced.
      const refused = await tasche('restore', busy, '--data', elsewhere);
      expect([refused.status, refused.stderr]).toEqual([
        1,
        expect.stringContaining('holds a database already'),
      ]);
      expect(await tasche('restore', busy, '--data', elsewhere, '--reset')).toMatchObject({ status: 0 });
      const busyAgain = await startCluster(elsewhere);
      try {
        const client = new pg.Client({ connectionString: busyAgain.backupUrl });
        await client.connect();
        // Whole changes only: no club without its reading, its change, or its place in the trail.
        const { rows } = await client.query<{ clubs: string; halves: string }>(
          `select count(*)::text as clubs, count(*) filter (where not exists (select 1 from reading where club_id = club.id)
             or not exists (select 1 from change_row where row_id = club.id))::text as halves from club where name = 'more'`,
        );
        await client.end();
        expect(Number(rows[0]!.clubs)).toBeGreaterThan(0);
        expect(rows[0]!.halves).toBe('0');
      } finally {
        busyAgain.stop();
      }
    } finally {
      rmSync(elsewhere, { recursive: true, force: true });
    }
  });

  it('of an earlier version is put back and brought up to date', async () => {
    const old = throwAwayFolder();
    const restoredTo = throwAwayFolder();
    try {
      const from = await startCluster(old);
      execFileSync('psql', [
        '-q',
        '-v',
        'ON_ERROR_STOP=1',
        '-f',
        path.join(root, 'server/test/old-data/migration-004.sql'),
        from.ownerUrl,
      ]);
      from.stop();
      const file = path.join(aside, 'old.tar');
      expect(await tasche('backup', file, '--data', old)).toMatchObject({ status: 0 });
      expect(await tasche('restore', file, '--data', restoredTo)).toMatchObject({ status: 0 });
      const again = await startCluster(restoredTo);
      try {
        await migrate(again.ownerUrl, roleIn(again.url));
        const orm = await openDatabase(again.url);
        const bench = workbenchIn(orm, '7a5c4e00-0000-4000-8000-00000000de30', 'x');
        expect((await bench.sheet('7a5c4e00-0001-4000-8000-000000000000')).clubs).toHaveLength(24);
        await orm.close(true);
      } finally {
        again.stop();
      }
    } finally {
      for (const one of [old, restoredTo]) rmSync(one, { recursive: true, force: true });
    }
  });

  it('comes before the database goes back to an earlier version, which names what it drops', async () => {
    const here = throwAwayFolder();
    try {
      const from = await startCluster(here);
      await migrate(from.ownerUrl, roleIn(from.url));
      const file = path.join(aside, 'before-going-down.tar');
      const orm = await openDatabase(from.url);
      await orm.em.fork().execute('select 1');
      expect(await tasche('downgrade', '013', file, '--data', here)).toMatchObject({
        status: 1,
        stderr: expect.stringContaining('Tasche is running on this database') as string,
      });
      await orm.close(true);
      from.stop();

      const done = await tasche('downgrade', '013', file, '--data', here);
      expect(done).toMatchObject({ status: 0, stderr: '' });
      expect(done.stdout).toContain('is as migration-013-season left it');
      expect(done.stdout).toMatch(/dropped.*change\.person_id.*membership \(0 rows\).*person \(0 rows\)/);
      expect(existsSync(file)).toBe(true);
      const again = await startCluster(here);
      try {
        const [found] = await migrations(again.ownerUrl);
        expect(found).toContain('013');
        const twice = await tasche('downgrade', '013', path.join(aside, 'twice.tar'), '--data', here);
        expect(twice).toMatchObject({
          status: 1,
          stderr: expect.stringContaining('left it already; nothing was taken back') as string,
        });
        // The backup is of the version before, and this version opens it.
        await migrate(again.ownerUrl, roleIn(again.url));
        expect((await migrations(again.ownerUrl))[0]).not.toContain('013');
      } finally {
        again.stop();
      }
      expect((await tasche('downgrade', '003', file, '--data', here)).stderr).toContain(
        'cannot be gone back to',
      );
      expect((await tasche('downgrade', '99', file, '--data', here)).stderr).toContain(
        'there is no migration "99"',
      );
      expect((await tasche('downgrade', '013', '--data', here)).stderr).toContain(
        'where the backup goes first',
      );
    } finally {
      rmSync(here, { recursive: true, force: true });
    }
  });

  it('that is damaged, cut short or no backup is refused before anything is touched', async () => {
    const whole = readFileSync(path.join(aside, 'still.tar'));
    const untouched = path.join(aside, 'untouched');
    const refused = async (name: string, bytes: Buffer | string) => {
      const file = path.join(aside, name);
      writeFileSync(file, bytes);
      const { status, stderr } = await tasche('restore', file, '--data', untouched);
      expect(existsSync(untouched)).toBe(false);
      expect(status).toBe(1);
      return stderr;
    };
    const damaged = Buffer.from(whole);
    damaged[Math.floor(whole.length / 2)]! ^= 0xff;
    expect(await refused('damaged.tar', damaged)).toContain('its checksum is not the one');
    expect(await refused('short.tar', whole.subarray(0, 900))).toContain('incomplete');
    expect(await refused('text.tar', 'hello')).toContain('is not a backup');
    expect((await tasche('restore', path.join(aside, 'nothing.tar'), '--data', untouched)).stderr).toContain(
      'there is no file',
    );
    expect((await tasche('backup')).stderr).toContain('say which file');
    expect((await tasche('backup', path.join(aside, 'no/folder/x.tar'), '--data', folder)).stderr).toContain(
      'not a folder',
    );
  });

  it('is made every night by the system’s own timer, which is written out for it', async () => {
    const { stdout } = await tasche('backup', 'nightly', '--schedule');
    expect(stdout).toContain('OnCalendar=');
    expect(stdout).toMatch(/ExecStart=.*tasche backup .*nightly\//);
  });
});
