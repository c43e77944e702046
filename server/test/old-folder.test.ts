import { execFileSync } from 'node:child_process';
import path from 'node:path';
import type { MikroORM } from '@mikro-orm/postgresql';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { throwAwayCluster, type Cluster } from '../../command/cluster.js';
import { migrate, openDatabase, roleIn } from '../src/database/database.js';
import { workbenchIn, type Workbench } from './workbench.js';

/**
 * The demo as a version of 25 November 2026 kept it: places in the place of courses, no events, no handicaps.
 */
const OLD = path.join(import.meta.dirname, 'old-data/migration-004.sql');
const WORKSPACE = '7a5c4e00-0000-4000-8000-00000000de30';
const DAVOR = '7a5c4e00-0001-4000-8000-000000000000';

describe('a data folder of an earlier version', () => {
  let cluster: Cluster;
  let orm: MikroORM;
  let bench: Workbench;

  beforeAll(async () => {
    cluster = await throwAwayCluster();
    execFileSync('psql', ['-q', '-v', 'ON_ERROR_STOP=1', '-f', OLD, cluster.ownerUrl]);
    await migrate(cluster.ownerUrl, roleIn(cluster.url));
    orm = await openDatabase(cluster.url);
    bench = workbenchIn(orm, WORKSPACE, 'Jonas Brandl');
  });
  afterAll(async () => {
    await orm?.close(true);
    cluster?.stop();
  });

  it('shows everything that was in it, with what has come since at its rest', async () => {
    const sheet = await bench.sheet(DAVOR);
    expect(sheet.player).toMatchObject({ name: 'Davor Kolar', handicap: null, archived: false });
    expect(sheet.clubs).toHaveLength(24);
    const seven = sheet.clubs.find(({ name }) => name === '7 iron')!;
    expect(seven).toMatchObject({ kind: 'iron', removed: false });
    expect(Object.keys(seven.spec).length).toBeGreaterThan(5);
    const gamer = sheet.bags.find((bag) => bag.gamer)!;
    expect(gamer.clubIds).toHaveLength(14);
    expect(sheet.plans.length).toBeGreaterThan(0);
    for (const plan of sheet.plans) expect(plan).toMatchObject({ eventId: null, rounds: [], removed: false });
  });

  it('turns its places into courses with their seasons', async () => {
    const { body } = await bench.http.get('/api/schedule').expect(200);
    const courses = body.courses as { name: string; holes: unknown[]; seasons: { name: string }[] }[];
    expect(courses.length).toBeGreaterThan(2);
    for (const { holes, seasons } of courses) {
      expect(holes).toEqual([]);
      expect(seasons.length).toBeGreaterThan(0);
    }
  });

  it('is written to and undone like a new one, and its old changes are undone too', async () => {
    const before = await bench.sheet(DAVOR);
    const result = await bench.done([
      { do: 'editPlayer', playerId: DAVOR, version: before.player.version, set: { handicap: -2 } },
    ]);
    expect((await bench.sheet(DAVOR)).player.handicap).toBe(-2);
    await bench.undo(result.change.id).expect(200);
    expect((await bench.sheet(DAVOR)).player.handicap).toBeNull();

    const { body } = await bench.http.get(`/api/players/${DAVOR}/changes`).expect(200);
    const [newest] = (body.rows as { id: string; undone: boolean }[]).filter(({ undone }) => !undone);
    await bench.undo(newest!.id).expect(200);
    expect(await bench.sheet(DAVOR)).not.toEqual(before);
  });

  it('is brought up to date once: a second start changes nothing', async () => {
    const before = await bench.sheet(DAVOR);
    await migrate(cluster.ownerUrl, roleIn(cluster.url));
    expect(await bench.sheet(DAVOR)).toEqual(before);
  });
});
