import type { EntityManager } from '@mikro-orm/postgresql';
import pg from 'pg';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, inject, it } from 'vitest';
import { fillLarge } from '../src/database/fill-large.js';
import { readRoster } from '../src/players/read-roster.js';
import { readChanges, readDifferences, readPlans, readReadings } from '../src/sheet/read-sheet.js';
import { knownKeys } from '../src/strikes/insert-strikes.js';
import { readArrivals, readSessions, readStrikesText } from '../src/strikes/read-strikes.js';
import { knownUpTo } from '../src/monitor/take-strike.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { on, workbench, type Workbench } from './workbench.js';

const SIZE = {
  players: 60,
  clubsEach: 20,
  readingsEach: 60,
  changesEach: 150,
  plansEach: 12,
  sessionsEach: 10,
  strikesEach: 300,
  courses: 10,
  events: 20,
};
/** Tables that grow with use; nothing may read one of them from end to end. */
const GROWING = ['reading', 'change', 'strike', 'club', 'plan', 'bag', 'bag_club', 'session', 'monitor_ball'];

let bench: Workbench;
let ids: Awaited<ReturnType<typeof fillLarge>>;
beforeAll(async () => {
  bench = await workbench();
  // As the owner of the tables, who alone may have them analysed.
  const client = new pg.Client({ connectionString: inject('ownerUrl') });
  await client.connect();
  ids = await fillLarge(client, bench.workspaceId, SIZE);
  await client.end();
});

/**
 * Tables that are read from end to end by what is done, even where any index is preferred: a table as small
 * as a test's is often quicker read whole.
 */
async function scannedBy(em: EntityManager, work: () => Promise<unknown>): Promise<string[]> {
  await em.execute('set local enable_seqscan = off');
  const scans = async () =>
    new Map(
      (
        await em.execute<{ name: string; n: number }[]>(
          'select relname as name, seq_scan::int as n from pg_stat_xact_user_tables',
        )
      ).map(({ name, n }) => [name, n]),
    );
  const before = await scans();
  await work();
  const after = await scans();
  return GROWING.filter((name) => (after.get(name) ?? 0) > (before.get(name) ?? 0));
}

describe('at size', () => {
  it.each<[string, (em: EntityManager) => Promise<unknown>]>([
    ['a page of the roster', (em) => readRoster(em, '2026-11-25', 5)],
    [
      'a sheet',
      (em) => em.execute('select length(sheet_text(?, ?, ?, null))', [bench.workspaceId, '', ids.playerId]),
    ],
    ['what differs between two days', (em) => readDifferences(em, ids.playerId, '2026-10-01', '2026-11-01')],
    ["a page of a club's readings", (em) => readReadings(em, ids.clubId, 50)],
    ['the next page of them', (em) => readReadings(em, ids.clubId, 50, { day: '2026-11-01', seq: '1000' })],
    ['a page of changes', (em) => readChanges(em, ids.playerId, 50)],
    ['a page of plans', (em) => readPlans(em, ids.playerId, 20)],
    ['a page of sessions', (em) => readSessions(em, ids.playerId, 20)],
    ["a player's shots", (em) => readStrikesText(em, { playerId: ids.playerId })],
    ['the shots that came after one', (em) => readArrivals(em, ids.sessionId, 0)],
    ['the balls a file is compared with', (em) => knownKeys(em, ids.playerId)],
    ['what a monitor is asked to send again', (em) => knownUpTo(em, { device: 'd', deviceSession: 's' })],
  ])('%s is read by index', async (_what, read) => {
    const tables = await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, async (em) => {
      return scannedBy(em, () => read(em));
    });
    expect(tables).toEqual([]);
  });

  it('a sheet of another day is read by index inside its function too', async () => {
    const tables = await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, async (em) => {
      return scannedBy(em, () =>
        em.execute('select length(sheet_text(?, ?, ?, ?))', [
          bench.workspaceId,
          '',
          ids.playerId,
          '2026-10-01',
        ]),
      );
    });
    expect(tables).toEqual([]);
  });

  it.each<[string, string, () => unknown[], string]>([
    [
      'readings of a club',
      'select id from reading where club_id = ? order by taken_on desc, seq desc limit 50',
      () => [ids.clubId],
      'reading_of_club',
    ],
    [
      'changes of a row',
      'select id from change where id in (select change_id from change_row where row_id = ?)',
      () => [newId()],
      'change_row_pkey',
    ],
    [
      'changes of a player',
      'select id from change where player_id = ? and undoes_id is null order by at desc, id limit 50',
      () => [ids.playerId],
      'change_player',
    ],
    [
      'the reading in force',
      `select value from reading where club_id = ? and key = 'lieDeg' and removed_at is null and stands_from <= current_date order by key, stands_from desc, seq desc limit 1`,
      () => [ids.clubId],
      'reading_newest',
    ],
  ])('EXPLAIN shows the index: %s', async (_what, sql, values, index) => {
    const plan = await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, async (em) =>
      JSON.stringify(await em.execute(`explain ${sql}`, values())),
    );
    expect(plan).toContain(index);
  });

  it('an old plan is edited by index', async () => {
    await bench.done([{ do: 'editPlan', planId: ids.planId, version: 1, set: { ground: 'firm' } }]);
    // Written on top of an older version: what was done since is read off the changes.
    const stale = await bench.change([
      { do: 'editPlan', planId: ids.planId, version: 1, set: { ground: 'soft' } },
    ]);
    expect(stale.status).toBe(409);
    await bench.done([{ do: 'editPlan', planId: ids.planId, version: 1, set: { weather: 'wind' } }]);
    await bench.done([{ do: 'editClub', clubId: ids.clubId, version: 1, readings: [on('lieDeg', 61)] }]);
  });
});
