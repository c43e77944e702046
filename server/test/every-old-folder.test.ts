import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { Page, RosterEntry } from '@tasche/contract';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { throwAwayCluster, type Cluster } from '../../command/cluster.js';
import {
  EARLIEST_TO_GO_BACK_TO,
  MIGRATION_NAMES,
  migrate,
  migrateDown,
  openDatabase,
  roleIn,
} from '../src/database/database.js';
import { workbenchIn } from './workbench.js';

/**
 * The demo as each version before this one kept it, by that version's last commit and pg_dump;
 * migration-004.sql is one player, looked at
 * closely in old-folder.test.ts.
 */
const FOLDER = path.join(import.meta.dirname, 'old-data');
const WORKSPACE = '7a5c4e00-0000-4000-8000-00000000de30';
const DUMPS = readdirSync(FOLDER).filter((name) => name.endsWith('.sql.gz'));
/** What nobody may lose on the way. */
const KEPT = ['player', 'club', 'reading', 'bag', 'bag_club', 'plan', 'change', 'session', 'strike'];

let cluster: Cluster;
/** As the role of backups, which sees every workspace; one connection for all that is looked at. */
let backupClient: pg.Client;
/** Tables and columns of a database made today. */
let newest: string[];
beforeAll(async () => {
  cluster = await throwAwayCluster();
  backupClient = new pg.Client({ connectionString: cluster.backupUrl });
  await backupClient.connect();
  await migrate(cluster.ownerUrl, roleIn(cluster.url));
  newest = await columns();
});
afterAll(async () => {
  await backupClient?.end();
  cluster?.stop();
});

const load = (sql: Buffer | string) =>
  execFileSync('psql', ['-q', '-v', 'ON_ERROR_STOP=1', '-f', '-', cluster.ownerUrl], { input: sql });

async function columns(): Promise<string[]> {
  const { rows } = await backupClient.query<{ column: string }>(
    `select table_name || '.' || column_name || ' ' || data_type || ' ' || is_nullable as column
     from information_schema.columns where table_schema = 'public' order by 1`,
  );
  return rows.map(({ column }) => column);
}

/** All there is beside columns: keys, checks, indexes, policies and whom they bind, by what they say. */
async function rules(): Promise<string[]> {
  const { rows } = await backupClient.query<{ rule: string }>(
    `select 'index ' || indexdef as rule from pg_indexes where schemaname = 'public'
     union all select 'constraint ' || conrelid::regclass || ' ' || pg_get_constraintdef(oid) from pg_constraint where connamespace = 'public'::regnamespace
     union all select 'policy ' || tablename || ' ' || permissive || ' ' || coalesce(qual, '') || ' ' || coalesce(with_check, '') from pg_policies where schemaname = 'public'
     union all select 'rows ' || oid::regclass || ' ' || relrowsecurity || ' ' || relforcerowsecurity from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace
     union all select 'trigger ' || pg_get_triggerdef(oid) from pg_trigger where not tgisinternal
     order by 1`,
  );
  return rows.map(({ rule }) => rule);
}
const emptied = () =>
  load('set client_min_messages = warning; drop schema public cascade; create schema public;');

/** Rows by table, of those there are. */
async function counts(): Promise<Record<string, number>> {
  const found: Record<string, number> = {};
  for (const table of KEPT) {
    const { rows } = await backupClient.query<{ is: boolean }>('select to_regclass($1) is not null as is', [
      `public.${table}`,
    ]);
    if (rows[0]!.is)
      found[table] = (
        await backupClient.query<{ n: number }>(`select count(*)::int as n from ${table}`)
      ).rows[0]!.n;
  }
  return found;
}

async function rowsOf<T extends pg.QueryResultRow>(sql: string): Promise<T[]> {
  return (await backupClient.query<T>(sql)).rows;
}

/** Kept documents that hold a field by a name it had before: the columns. */
async function oldNames(): Promise<string[]> {
  const documents = await rowsOf<{ table: string; column: string }>(
    `select table_name as table, column_name as column from information_schema.columns
     where table_schema = 'public' and data_type = 'jsonb' order by 1, 2`,
  );
  const found: string[] = [];
  for (const { table, column } of documents) {
    const [row] = await rowsOf<{ n: number }>(
      `select count(*)::int as n from "${table}" where "${column}"::text ~ '"(landDeg|sideM|riseM|trouble|eitherOrLandDeg)": '
         or "${column}" @? '$.** ? (exists(@.source) && exists(@.carryM)).shots'`,
    );
    if (row!.n > 0) found.push(`${table}.${column}`);
  }
  return found;
}
/**
 * A database by its columns, its rules, how many rows its tables hold, and what its readings and courses say.
 */
const whole = async () => ({
  columns: await columns(),
  rules: await rules(),
  counts: await counts(),
  told: await told(),
});
/**
 * The first migration was given this column after the first folders had been made: going back leaves it there.
 */
const withBaseline = (made: readonly string[]) => [...new Set([...made, 'player.baseline jsonb YES'])].sort();
/** What the readings and the courses say, word for word; before there were courses, the readings. */
async function told() {
  const [courses] = await rowsOf<{ are: boolean }>(`select to_regclass('public.course') is not null as are`);
  const ofCourses = courses!.are ? `union all select 'course', id, holes from course` : '';
  return rowsOf(`select 'reading' as of, id, value as said from reading ${ofCourses} order by 1, 2`);
}

describe('a data folder of every earlier version', () => {
  it('is among the fixtures', () => {
    const known = [...DUMPS, 'migration-004.sql.gz'].map((name) => name.slice(0, 13)).sort();
    expect(known).toEqual(
      MIGRATION_NAMES.slice(0, -1)
        .map((name) => name.slice(0, 13))
        .sort(),
    );
  });

  it.each(DUMPS)(
    '%s opens, with everything in it; goes back, and up again; and is written to',
    async (name) => {
      emptied();
      load(gunzipSync(readFileSync(path.join(FOLDER, name))));
      const made = await whole();
      expect(made.counts.club).toBeGreaterThan(50);

      await migrate(cluster.ownerUrl, roleIn(cluster.url));
      const opened = await whole();
      expect(opened.counts).toMatchObject(made.counts);
      expect(opened.columns).toEqual(newest);
      expect(await oldNames()).toEqual([]);

      const migration = MIGRATION_NAMES.find((one) => one.startsWith(name.slice(0, 13)))!;
      if (migration >= EARLIEST_TO_GO_BACK_TO) {
        const before = { ...made, columns: withBaseline(made.columns) };
        expect([opened.columns, opened.rules]).not.toEqual([before.columns, before.rules]);
        await migrateDown(cluster.ownerUrl, migration);
        expect(await whole()).toEqual(before);
        await migrate(cluster.ownerUrl, roleIn(cluster.url));
        expect(await whole()).toEqual(opened);
      }
      const orm = await openDatabase(cluster.url);
      try {
        const bench = workbenchIn(orm, WORKSPACE, 'Jonas Brandl');
        const roster = (await bench.http.get('/api/players').expect(200)).body as Page<RosterEntry>;
        expect(roster.rows.length).toBe(made.counts.player);
        for (const [at, { player }] of roster.rows.entries()) {
          const sheet = await bench.sheet(player.id);
          expect(sheet.clubs.length).toBeGreaterThan(5);
          expect(sheet.bags.find(({ gamer }) => gamer)!.clubIds.length).toBeGreaterThan(5);
          for (const club of sheet.clubs) expect(Object.keys(club.spec).length).toBeGreaterThan(0);
          for (const path of ['changes', 'plans', 'sessions', 'season.csv', 'sheet.csv'])
            await bench.http.get(`/api/players/${player.id}/${path}`).expect(200);
          // The rest takes longest: one player of each version, another of the next.
          if (at !== DUMPS.indexOf(name) % roster.rows.length) continue;
          const { change } = await bench.done([
            { do: 'editPlayer', playerId: player.id, version: sheet.player.version, set: { notes: 'seen' } },
          ]);
          await bench.undo(change.id).expect(200);
          expect((await bench.sheet(player.id)).player.notes).toBe(sheet.player.notes);
          // Whatever that version wrote is good enough for a file, and comes in again.
          const file = (await bench.http.get(`/api/players/${player.id}/player.jsonl`).expect(200))
            .body as Buffer;
          const { body } = await bench.http
            .post(`/api/players/from-file?changeId=${randomUUID()}`)
            .set('content-type', 'application/octet-stream')
            .send(file)
            .expect(200);
          const copy = await bench.sheet((body as { playerId: string }).playerId);
          expect(copy.clubs.map(({ name, spec }) => ({ name, spec }))).toEqual(
            sheet.clubs.map(({ name, spec }) => ({ name, spec })),
          );
        }
        await bench.http.get('/api/schedule').expect(200);
      } finally {
        await orm.close(true);
      }
    },
  );
});

describe('going back to an earlier version', () => {
  it('before sessions off tees, one is off grass', async () => {
    emptied();
    load(gunzipSync(readFileSync(path.join(FOLDER, 'migration-018.sql.gz'))));
    await migrate(cluster.ownerUrl, roleIn(cluster.url));
    const off = () =>
      rowsOf<{ off: string; n: number }>(
        'select hit_off as off, count(*)::int as n from session group by 1 order by 1',
      );
    const before = await off();
    load(
      `alter table session no force row level security; update session set hit_off = 'tees' where hit_off = 'grass'; alter table session force row level security`,
    );
    expect((await off()).map((one) => one.off)).toEqual(['mat', 'tees']);
    await migrateDown(
      cluster.ownerUrl,
      MIGRATION_NAMES.find((name) => name.startsWith('migration-018'))!,
    );
    expect(await off()).toEqual(before);
  });

  it('is refused before the earliest, with nothing changed', async () => {
    emptied();
    await migrate(cluster.ownerUrl, roleIn(cluster.url));
    const tooFar = MIGRATION_NAMES[MIGRATION_NAMES.indexOf(EARLIEST_TO_GO_BACK_TO) - 1]!;
    await expect(migrateDown(cluster.ownerUrl, tooFar)).rejects.toThrow('is the earliest that can');
    expect(await columns()).toEqual(newest);
  });
});

describe('a migration that fails', () => {
  it('leaves what was there whole', async () => {
    emptied();
    load(gunzipSync(readFileSync(path.join(FOLDER, 'migration-013.sql.gz'))));
    const before = await counts();
    // In the way of the next migration, which makes a table of that name; what it does before that has to
    // go too.
    load('create table audit_entry (id integer)');
    await expect(migrate(cluster.ownerUrl, roleIn(cluster.url))).rejects.toThrow(/audit_entry/);
    expect(await counts()).toEqual(before);
    const client = new pg.Client({ connectionString: cluster.ownerUrl });
    await client.connect();
    const { rows } = await client.query<{ person: string | null; newest: string }>(
      `select to_regclass('public.person')::text as person, (select max(name) from mikro_orm_migrations) as newest`,
    );
    await client.end();
    expect(rows[0]!.person).toBeNull();
    expect(rows[0]!.newest).toContain('migration-013');
    load('drop table audit_entry');
    await migrate(cluster.ownerUrl, roleIn(cluster.url));
    expect(await counts()).toMatchObject(before);
  });
});
