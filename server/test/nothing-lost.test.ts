import type {
  BagView,
  ChangeResult,
  Command,
  Page,
  PlanView,
  PlansPage,
  ReadingView,
  RosterEntry,
  StrikeImportReport,
} from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, inject, it } from 'vitest';
import { asTableOwner, openDatabase } from '../src/database/database.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { on, workbench, workbenchIn, type Workbench } from './workbench.js';

let bench: Workbench;
beforeAll(async () => {
  bench = await workbench();
});

const bagOf = (playerId: string, clubIds: readonly string[]): Command => ({
  do: 'addBag',
  bag: { id: newId(), playerId, name: 'Bag' },
  clubIds,
});
const lieOf = (clubId: string, version: number, lie: number): Command => ({
  do: 'editClub',
  clubId,
  version,
  readings: [on('lieDeg', lie)],
});
const day = async (plus: number) =>
  (
    await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, (em) =>
      em.execute<{ day: string }[]>(`select ((now() at time zone 'UTC')::date + ?::int)::text as day`, [
        plus,
      ]),
    )
  )[0]!.day;

describe('changes that meet', () => {
  it('a cell edited beside a new bag that holds the club: both are done', async () => {
    const playerId = await bench.player();
    for (let round = 0; round < 12; round++) {
      const clubId = await bench.club(playerId, `club ${round}`);
      const both = await Promise.all([
        bench.change([lieOf(clubId, 1, 60)]),
        bench.change([bagOf(playerId, [clubId])]),
      ]);
      expect(both.map(({ status }) => status)).toEqual([200, 200]);
    }
  });

  it('two clubs edited in opposite order: one is done and the other is refused, never an error', async () => {
    const playerId = await bench.player();
    const [a, b] = [await bench.club(playerId, 'a'), await bench.club(playerId, 'b')];
    for (let version = 1; version <= 12; version++) {
      const both = await Promise.all([
        bench.change([lieOf(a, version, 60), lieOf(b, version, 60)]),
        bench.change([lieOf(b, version, 61), lieOf(a, version, 61)]),
      ]);
      expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    }
  });

  it('a row that is locked for too long: 503 that says when to try again, and nothing is half done', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron');
    let release = () => undefined as void;
    const held = new Promise<void>((resolve) => {
      release = resolve;
    });
    const holding = inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, async (em) => {
      await em.execute('select id from player where id = ? for update', [playerId]);
      await held;
    });
    const impatient = await openDatabase(inject('databaseUrl'), {}, { lock_timeout: 300 });
    const refused = await workbenchIn(impatient, bench.workspaceId, 'Maren Tveit').change([
      lieOf(clubId, 1, 60),
    ]);
    release();
    await holding;
    await impatient.close(true);
    expect(refused.status).toBe(503);
    expect(refused.headers['retry-after']).toBe('2');
    expect(refused.body.error).toBe('busy');
    await bench.done([lieOf(clubId, 1, 60)]);
  });
});

describe('lists', () => {
  it('hold every bag, and the newest plans with the older ones page by page', async () => {
    const playerId = await bench.player();
    await bench.bag(playerId, 'Gamer');
    await bench.done(Array.from({ length: 230 }, () => bagOf(playerId, [])));
    const planIds = Array.from({ length: 130 }, () => newId());
    await bench.done(
      planIds.map((id, i) => ({
        do: 'addPlan',
        plan: {
          id,
          bagId: newId(),
          playerId,
          name: `Week ${i}`,
          course: '',
          ground: '',
          weather: '',
          startsOn: `20${10 + Math.floor(i / 12)}-${String(1 + (i % 12)).padStart(2, '0')}-01`,
          endsOn: `20${10 + Math.floor(i / 12)}-${String(1 + (i % 12)).padStart(2, '0')}-04`,
        },
      })),
    );
    const sheet = await bench.sheet(playerId);
    expect(sheet.planCount).toBe(130);
    expect(sheet.plans.map(({ id }) => id)).toEqual(planIds.slice(30).reverse());
    expect(sheet.bags.filter(({ planId }) => planId === null)).toHaveLength(231);
    expect(sheet.plans.every(({ bagId }) => sheet.bags.some(({ id }) => id === bagId))).toBe(true);

    const found: PlanView[] = [];
    const bags: BagView[] = [];
    for (let next: string | null = ''; next !== null;) {
      const page = (
        await bench.http.get(`/api/players/${playerId}/plans?limit=40${next && `&after=${next}`}`).expect(200)
      ).body as PlansPage;
      expect(page.total).toBe(130);
      found.push(...page.rows);
      bags.push(...page.bags);
      next = page.next;
    }
    expect(found.map(({ id }) => id)).toEqual([...planIds].reverse());
    expect(new Set(found.map(({ bagId }) => bagId))).toEqual(new Set(bags.map(({ id }) => id)));

    const locker = JSON.parse(
      (await bench.http.get(`/api/players/${playerId}/locker.json`).expect(200)).text,
    ) as { bags: unknown[] };
    expect(locker.bags).toHaveLength(231 + 130);
  });

  it('every player of the roster is on some page of it, once', async () => {
    const van = await workbench();
    const ids = Array.from({ length: 70 }, () => newId());
    await van.done(
      ids.map((id, i) => ({
        do: 'addPlayer',
        player: { id, name: `Player_${i % 30}`, hand: 'right', distanceUnit: 'm' },
      })),
    );
    const found: string[] = [];
    for (let next: string | null = ''; next !== null;) {
      const page = (
        await van.http.get(`/api/players?limit=20${next && `&after=${encodeURIComponent(next)}`}`).expect(200)
      ).body as Page<RosterEntry>;
      expect(page.total).toBe(70);
      found.push(...page.rows.map(({ player }) => player.id));
      next = page.next;
    }
    expect(found).toHaveLength(70);
    expect(new Set(found)).toEqual(new Set(ids));
  });

  it('every reading of a club is on some page, and in the export', async () => {
    // Counted on past a power of ten: a count that is compared as text goes wrong there.
    await asTableOwner(inject('ownerUrl'), (owner) =>
      owner.em.fork().execute(`select setval('reading_seq_seq', 99999900)`),
    );
    const playerId = await bench.player();
    const clubId = await bench.club(
      playerId,
      '7 iron',
      Array.from({ length: 200 }, (_one, i) => on('lieDeg', 60 + (i % 9) / 4, '2026-01-05')),
    );
    await bench.done([
      {
        do: 'editClub',
        clubId,
        version: 1,
        readings: Array.from({ length: 150 }, (_one, i) =>
          on('loftMeasuredDeg', 30 + (i % 9) / 4, '2026-02-05'),
        ),
      },
    ]);
    const found: string[] = [];
    for (let next: string | null = ''; next !== null;) {
      const page = (
        await bench.http
          .get(`/api/clubs/${clubId}/readings?limit=120${next && `&before=${next}`}`)
          .expect(200)
      ).body as Page<ReadingView>;
      expect(page.total).toBe(350);
      found.push(...page.rows.map(({ id }) => id));
      next = page.next;
    }
    expect(new Set(found).size).toBe(350);
    const locker = (await bench.http.get(`/api/players/${playerId}/locker.json`).expect(200)).body as {
      clubs: { readings: unknown[] }[];
    };
    expect(locker.clubs[0]!.readings).toHaveLength(350);
  });
});

describe('what is sent twice', () => {
  it('a change is answered with its rows again', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron');
    const id = newId();
    const first = (await bench.change([lieOf(clubId, 1, 62)], { id }).expect(200)).body as ChangeResult;
    const again = (await bench.change([lieOf(clubId, 1, 62)], { id }).expect(200)).body as ChangeResult;
    expect(again.clubs).toEqual(first.clubs);
    expect(again.clubs[0]).toMatchObject({ id: clubId, version: 2 });
  });

  it('an import of a sheet is answered with what it did', async () => {
    const playerId = await bench.player();
    const send = (changeId: string) =>
      bench.http
        .post(`/api/players/${playerId}/import?take=all&changeId=${changeId}&takenOn=2026-11-24`)
        .type('text/csv')
        .send('club,loft,carry [yd]\n7 iron,32,161\n');
    const id = newId();
    const first = (await send(id).expect(200)).body as { plan: { adds: unknown[] }; result: ChangeResult };
    const again = (await send(id).expect(200)).body as typeof first;
    expect(again.plan.adds).toHaveLength(1);
    expect(again).toEqual(first);
    expect((await bench.sheet(playerId)).clubs).toHaveLength(1);
  });

  it('a file of shots is answered with its report', async () => {
    const playerId = await bench.player();
    await bench.club(playerId, '7 iron');
    const order = {
      source: 'a.csv',
      encoding: 'utf-8',
      delimiter: ',',
      heads: ['club', 'carry', 'at'],
      skipLines: 0,
      zoneMinutes: 0,
      clubs: {},
      mapping: {
        columns: [
          { column: 0, field: 'club' },
          { column: 1, field: 'carryM', unit: 'm' },
          { column: 2, field: 'at' },
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
    const send = (changeId: string) =>
      bench.http
        .post(`/api/players/${playerId}/strikes/import?take=good&changeId=${changeId}`)
        .type('application/octet-stream')
        .send(
          `${JSON.stringify(order)}\nclub,carry,at\n7 iron,150,2026-11-20 10:00:15\n7 iron,151,2026-11-20 10:00:75\n7 iron,152,2026-11-20 10:01:15\n`,
        );
    const id = newId();
    const first = (await send(id)).body as StrikeImportReport;
    expect(first).toMatchObject({
      rows: 3,
      taken: 2,
      refused: 1,
      changeId: id,
      refusals: [{ line: 3, reason: 'is not a time of day' }],
    });
    expect((await send(id).expect(200)).body).toEqual(first);
  });
});

describe('clocks', () => {
  it('a reading dated ahead is kept, stands from its day on and not before, and hides nothing', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron', [on('lieDeg', 60, await day(-3))]);
    const lie = async () => (await bench.sheet(playerId)).clubs[0]!.spec.lieDeg!.value;
    const ahead = await bench.done([
      { do: 'editClub', clubId, version: 1, readings: [on('lieDeg', 65, await day(1))] },
    ]);
    // Tomorrow may be today already in the latest time zone on earth: then it is today's reading.
    const isTodaySomewhere = new Date().getUTCHours() >= 10;
    expect(await lie()).toBe(isTodaySomewhere ? 65 : 60);
    await bench.done([
      {
        do: 'editClub',
        clubId,
        version: ahead.clubs[0]!.version,
        readings: [on('lieDeg', 61, await day(0))],
      },
    ]);
    expect(await lie()).toBe(61);
    const tooFar = await bench.change([
      { do: 'editClub', clubId, version: 3, readings: [on('lieDeg', 62, await day(4))] },
    ]);
    expect(tooFar.status).toBe(400);
    expect(tooFar.body.message).toContain('in the future');
  });

  it('one whose day has come is in force, without any change to the club', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron', [on('lieDeg', 60, await day(-3))]);
    await bench.sheet(playerId);
    // Three days ago somebody wrote down what is true from yesterday on.
    await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, async (em) => {
      await em.execute(
        `insert into reading (id, workspace_id, club_id, change_id, key, value, taken_on, recorded_at)
         select gen_random_uuid(), workspace_id, club_id, change_id, 'lieDeg', '63', (now() at time zone 'UTC')::date - 1, now() - interval '3 days'
         from reading where club_id = ? limit 1`,
        [clubId],
      );
      await em.execute(`update club set spec_due = (now() at time zone 'UTC')::date - 1 where id = ?`, [
        clubId,
      ]);
    });
    expect((await bench.sheet(playerId)).clubs[0]!.spec.lieDeg!.value).toBe(63);
  });
});
