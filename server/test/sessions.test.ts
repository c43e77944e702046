import type {
  Command,
  SessionEntry,
  StrikeFileSpec,
  StrikeImportReport,
  StrikesView,
} from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY, type Strike } from '@tasche/core';
import { request } from 'node:http';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { carry, on, workbench, workbenchIn, type Workbench } from './workbench.js';

const DETAILS = {
  name: 'Home range',
  heldOn: '2026-11-20',
  conditions: BASELINE,
  surface: MEDIUM_FAIRWAY,
  hitOff: 'mat' as const,
  ball: 'Perl 3',
  notes: '',
};
const addSession = (playerId: string, id = newId()): Command & { do: 'addSession' } => ({
  do: 'addSession',
  session: { id, playerId, ...DETAILS },
});

const strikesOf = async (bench: Workbench, playerId: string, query = '') =>
  (await bench.http.get(`/api/players/${playerId}/strikes${query}`).expect(200)).body as StrikesView;
const sessionsOf = async (bench: Workbench, playerId: string) =>
  (await bench.http.get(`/api/players/${playerId}/sessions`).expect(200)).body.rows as SessionEntry[];

let bench: Workbench;
let playerId: string;
let seven: string;
let eight: string;
beforeAll(async () => {
  bench = await workbench();
  playerId = await bench.player();
  seven = await bench.club(playerId, '7 iron', [
    on('loftStampedDeg', 34, '2026-01-01'),
    on('shaft', 'Rohr 120', '2026-01-01'),
    carry(157),
  ]);
  eight = await bench.club(playerId, '8 iron', [carry(146)]);
});

async function opened(strikes: readonly Strike[] = []): Promise<{ sessionId: string; strikeIds: string[] }> {
  const session = addSession(playerId);
  await bench.done([session]);
  const strikeIds = strikes.map(() => newId());
  if (strikes.length > 0)
    await bench.done([
      {
        do: 'addStrikes',
        sessionId: session.session.id,
        strikes: strikes.map((given, i) => ({ id: strikeIds[i]!, clubId: seven, shot: 'full', given })),
      },
    ]);
  return { sessionId: session.session.id, strikeIds };
}

describe('a session by hand', () => {
  it('of the newest the shots are asked for without its id', async () => {
    const me = await bench.player();
    const clubId = await bench.club(me, '7 iron', [carry(150)]);
    const hit = async (heldOn: string, carries: readonly number[]) => {
      const session = addSession(me);
      await bench.done([
        { ...session, session: { ...session.session, heldOn } },
        {
          do: 'addStrikes',
          sessionId: session.session.id,
          strikes: carries.map((carryM) => ({ id: newId(), clubId, shot: 'full', given: { carryM } })),
        },
      ]);
      return session.session.id;
    };
    const carriesOf = async (query: string) =>
      (await strikesOf(bench, me, query)).strikes.map(({ given }) => given.carryM);
    expect(await carriesOf('?newest=true')).toEqual([]);
    await hit('2026-05-01', [150, 151]);
    const newest = await hit('2026-06-01', [160, 161, 162]);
    await hit('2026-04-01', [140]);
    expect((await sessionsOf(bench, me))[0]!.id).toBe(newest);
    expect(await carriesOf('?newest=true')).toEqual([160, 161, 162]);
    expect(await carriesOf('?newest=false')).toHaveLength(6);
    await bench.http.get(`/api/players/${me}/strikes?newest=perhaps`).expect(400);
    // One that was taken away is no longer the newest.
    const [{ version }] = (await sessionsOf(bench, me)).filter(({ id }) => id === newest) as [SessionEntry];
    await bench.done([{ do: 'removeSession', sessionId: newest, version }]);
    expect(await carriesOf('?newest=true')).toEqual([150, 151]);
  });

  it('is hit off grass, a mat or tees, and off nothing else', async () => {
    for (const hitOff of ['grass', 'mat', 'tees'] as const) {
      const session = addSession(playerId);
      await bench.done([{ ...session, session: { ...session.session, hitOff } }]);
      const kept = (await sessionsOf(bench, playerId)).find(({ id }) => id === session.session.id);
      expect(kept!.hitOff).toBe(hitOff);
    }
    const session = addSession(playerId);
    const { body } = await bench
      .change([{ ...session, session: { ...session.session, hitOff: 'sand' as never } }])
      .expect(400);
    expect(JSON.stringify(body)).toContain('hitOff');
  });

  it('keeps the basket it was opened for, and takes no club of another player into it', async () => {
    const session = addSession(playerId);
    const line = { clubId: seven, shot: 'full' as const, balls: 8, usualM: 7, nowM: 9, thenM: 4 };
    await bench.done([{ ...session, session: { ...session.session, basket: [line] } }]);
    const kept = async () => (await sessionsOf(bench, playerId)).find(({ id }) => id === session.session.id)!;
    expect((await kept()).basket).toEqual([line]);
    const stranger = await bench.club(await bench.player(), 'Driver', [carry(230)]);
    const { body } = await bench
      .change([
        {
          do: 'editSession',
          sessionId: session.session.id,
          version: 1,
          set: { basket: [{ ...line, clubId: stranger }] },
        },
      ])
      .expect(404);
    expect(JSON.stringify(body)).toContain('club');
    expect((await kept()).basket).toEqual([line]);
  });

  it('holds its shots in order, each with the club as it was built that day', async () => {
    const { sessionId } = await opened([{ carryM: 155 }, { carryM: 158, offlineM: -4 }]);
    await bench.done([
      { do: 'editClub', clubId: seven, version: 1, readings: [on('shaft', 'Siv 90', '2026-11-22')] },
    ]);
    const { strikes, builds } = await strikesOf(bench, playerId, `?session=${sessionId}`);
    expect(strikes.map(({ number, given }) => [number, given.carryM])).toEqual([
      [1, 155],
      [2, 158],
    ]);
    expect(builds).toHaveLength(1);
    expect(builds[0]).toMatchObject({
      clubId: seven,
      builtOn: '2026-11-20',
      spec: { shaft: { value: 'Rohr 120' } },
    });
  });

  it('a shot is left out with a reason, counts again, and both are undone in order', async () => {
    const { sessionId, strikeIds } = await opened([{ carryM: 155 }, { carryM: 60 }]);
    const out = await bench.done([
      { do: 'editStrikes', sessionId, strikeIds: [strikeIds[1]!], set: { leftOut: 'topped' } },
    ]);
    const state = async () =>
      (await strikesOf(bench, playerId, `?session=${sessionId}`)).strikes.map(({ leftOut }) => leftOut);
    expect(await state()).toEqual([null, 'topped']);
    const moved = await bench.done([
      { do: 'editStrikes', sessionId, strikeIds: [strikeIds[1]!], set: { clubId: eight, leftOut: null } },
    ]);
    await bench.undo(out.change.id).expect(409);
    await bench.undo(moved.change.id).expect(200);
    await bench.undo(out.change.id).expect(200);
    expect(await state()).toEqual([null, null]);
  });

  it('shots recorded are undone and redone; a deleted session comes back with them', async () => {
    const { sessionId } = await opened();
    const added = await bench.done([
      {
        do: 'addStrikes',
        sessionId,
        strikes: [{ id: newId(), clubId: seven, shot: 'soft', given: { carryM: 140 } }],
      },
    ]);
    const count = async () => (await sessionsOf(bench, playerId)).find(({ id }) => id === sessionId)?.strikes;
    expect(await count()).toBe(1);
    const undo = await bench.undo(added.change.id).expect(200);
    expect(await count()).toBe(0);
    await bench.undo((undo.body as { change: { id: string } }).change.id).expect(200);
    expect(await count()).toBe(1);
    const version = (await sessionsOf(bench, playerId)).find(({ id }) => id === sessionId)!.version;
    const removed = await bench.done([{ do: 'removeSession', sessionId, version }]);
    expect(await count()).toBeUndefined();
    await bench.undo(removed.change.id).expect(200);
    expect(await count()).toBe(1);
  });

  it('nonsense is refused by name, and a shot of 900 yards too', async () => {
    const { sessionId } = await opened();
    const send = (given: object) =>
      bench.change([
        {
          do: 'addStrikes',
          sessionId,
          strikes: [{ id: newId(), clubId: seven, shot: 'full', given: given as Strike }],
        },
      ]);
    for (const [given, field] of [
      [{ carryM: 823 }, /carryM must be between 1 and 411/],
      [{ ballSpeedMps: -3, carryM: 150 }, /ballSpeedMps/],
      [{ launchDeg: 12 }, /must hold one of carryM/],
      [{ carryM: 150, colour: 1 }, /unknown field: colour/],
      [{ carryM: 'far' }, /carryM must be a number/],
    ] as const) {
      const { body } = await send(given).expect(400);
      expect((body as { message: string }).message).toMatch(field);
    }
    const stranger = await workbench();
    const theirs = await stranger.club(await stranger.player(), '7 iron');
    await bench
      .change([
        {
          do: 'addStrikes',
          sessionId,
          strikes: [{ id: newId(), clubId: theirs, shot: 'full', given: { carryM: 150 } }],
        },
      ])
      .expect(404);
    await stranger.change([{ do: 'removeSession', sessionId, version: 1 }]).expect(404);
    expect((await strikesOf(bench, playerId, `?session=${sessionId}`)).strikes).toHaveLength(0);
    await bench
      .change([
        { ...addSession(playerId), session: { ...addSession(playerId).session, heldOn: '2032-01-01' } },
      ])
      .expect(400);
  });

  it('of two people editing one session the second is shown what the first saved', async () => {
    const { sessionId } = await opened();
    const other = workbenchIn(bench.orm, bench.workspaceId, 'Maren');
    await other.done([{ do: 'editSession', sessionId, version: 1, set: { ball: 'Perl 5' } }]);
    const { body } = await bench
      .change([{ do: 'editSession', sessionId, version: 1, set: { ball: 'Perl 1' } }])
      .expect(409);
    expect((body as { conflicts: object[] }).conflicts[0]).toMatchObject({
      field: 'ball',
      yours: 'Perl 1',
      theirs: 'Perl 5',
    });
  });
});

const HEADS = ['Date', 'Club', 'Ball Speed (mph)', 'Launch Angle', 'Spin Rate', 'Carry (yd)', 'Side (yd)'];
const MAPPING: StrikeFileSpec['mapping'] = {
  columns: [
    { column: 0, field: 'at' },
    { column: 1, field: 'club' },
    { column: 2, field: 'ballSpeedMps', unit: 'mph' },
    { column: 3, field: 'launchDeg', unit: 'deg' },
    { column: 4, field: 'spinRpm', unit: 'rpm' },
    { column: 5, field: 'carryM', unit: 'yd' },
    { column: 6, field: 'offlineM', unit: 'yd' },
  ],
  decimal: '.',
  dates: 'day first',
  unitRows: 0,
  leftIsPositive: false,
};

function order(clubs: StrikeFileSpec['clubs'], more: Partial<StrikeFileSpec> = {}): StrikeFileSpec {
  return {
    source: 'range.csv',
    encoding: 'utf-8',
    delimiter: ',',
    heads: HEADS,
    skipLines: 0,
    mapping: MAPPING,
    clubs,
    session: DETAILS,
    zoneMinutes: 60,
    ...more,
  };
}

function csv(rows: readonly string[]): string {
  return [HEADS.join(','), ...rows].join('\r\n');
}

describe('a launch monitor’s file', () => {
  const send = (
    player: string,
    body: StrikeFileSpec | object,
    file: string | Buffer,
    take: 'none' | 'good' = 'good',
    changeId = newId(),
  ) =>
    bench.http
      .post(`/api/players/${player}/strikes/import?take=${take}&changeId=${changeId}`)
      .set('content-type', 'application/octet-stream')
      .send(Buffer.concat([Buffer.from(`${JSON.stringify(body)}\n`), Buffer.from(file)]));
  const report = async (response: ReturnType<typeof send>) =>
    (await response.expect(200)).body as StrikeImportReport;
  const GOOD = [
    '2026-11-18 10:01:00,7 iron,118.2,16.4,7010,171.5,-3',
    '2026-11-18 10:02:00,7i,119.0,16.0,6890,173.0,R 2',
    '2026-11-19 09:00:00,8 Iron,113.9,18.2,7900,160.1,0',
  ];

  it('may have no header line; lines that sum its shots up are not shots', async () => {
    const me = await bench.player();
    await bench.club(me, '7 iron');
    const list = ['7 iron,151', '7 iron,149', '7 iron,150', 'Average,150'].join('\n');
    const columns = [
      { column: 0, field: 'club' as const },
      { column: 1, field: 'carryM' as const, unit: 'm' as const },
    ];
    const asked = order(
      {},
      { heads: ['column 1', 'column 2'], hasHeads: false, mapping: { ...MAPPING, columns } },
    );
    expect(await report(send(me, asked, list))).toMatchObject({
      rows: 4,
      taken: 3,
      refusals: [{ line: 4, reason: 'a line about the shots, not a shot' }],
    });
    const { strikes } = await strikesOf(bench, me);
    expect(strikes.map(({ given }) => given.carryM).toSorted()).toEqual([149, 150, 151]);
  });

  it('may hold the shots of several players: of one they say, nothing of the others is taken or complained of', async () => {
    const me = await bench.player();
    await bench.club(me, '7 iron');
    const heads = ['Player', 'Club', 'Carry'];
    const list = [
      ...['Player,Club,Carry', 'Ann Bell,7 iron,151', 'Ann Bell,7 iron,149', 'Bo Carr,7 iron,129'],
      ...['Bo Carr,9 iron,far', 'Average,,140'],
    ].join('\n');
    const columns = [
      { column: 0, field: 'player' as const },
      { column: 1, field: 'club' as const },
      { column: 2, field: 'carryM' as const, unit: 'm' as const },
    ];
    const asked = (more: Partial<StrikeFileSpec> = {}) =>
      order({}, { heads, mapping: { ...MAPPING, columns }, ...more });
    const look = await report(send(me, asked(), list, 'none'));
    expect(look.players).toEqual([
      { label: 'Ann Bell', rows: 2 },
      { label: 'Bo Carr', rows: 2 },
    ]);
    const { body } = await send(me, asked(), list).expect(400);
    expect(body).toMatchObject({
      message: expect.stringContaining('the shots of 2 players; say whose to import'),
      fields: [{ field: 'player', message: 'is missing' }],
    });
    expect((await strikesOf(bench, me)).strikes).toEqual([]);
    const taken = await report(send(me, asked({ player: 'ann  BELL' }), list));
    expect(taken).toMatchObject({ rows: 5, taken: 2, otherPlayers: 2, refused: 1 });
    expect(taken.labels.map(({ label }) => label)).toEqual(['7 iron']);
    const { strikes } = await strikesOf(bench, me);
    expect(strikes.map(({ given }) => given.carryM).toSorted()).toEqual([149, 151]);
    // Of a file with one name nobody is asked.
    const one = await report(send(me, asked(), 'Player,Club,Carry\nBo Carr,7 iron,128', 'good'));
    expect(one).toMatchObject({ taken: 1, players: [{ label: 'Bo Carr', rows: 1 }] });
  });

  it('may have a part for each club, under a line that names it', async () => {
    const me = await bench.player();
    const [seven, wedge] = [await bench.club(me, '7 iron'), await bench.club(me, 'PW')];
    const heads = ['Shot', 'Carry'];
    const list = [
      ...['Session', 'Club: 7 Iron', 'Shot,Carry', '1,151', '2,149', 'Average,150', ''],
      ...['Club: PW', 'Shot,Carry', '1,115'],
    ].join('\n');
    const mapping = {
      ...MAPPING,
      columns: [{ column: 1, field: 'carryM' as const, unit: 'm' as const }],
      clubLines: true,
    };
    const look = await report(send(me, order({}, { heads, skipLines: 2, mapping }), list));
    expect(look).toMatchObject({ rows: 4, taken: 3, refused: 1 });
    expect(look.labels.map(({ label, rows, match }) => [label, rows, match?.clubId])).toEqual([
      ['7 Iron', 2, seven],
      ['PW', 1, wedge],
    ]);
    // Without a word of it the whole file is of one club, as before.
    const { clubLines: _clubLines, ...asOne } = mapping;
    const whole = await report(send(me, order({}, { heads, skipLines: 2, mapping: asOne }), list, 'none'));
    expect(whole.labels.map(({ label }) => label)).toEqual(['']);
  });

  it('is looked at first, then taken: a session a day, clubs found by what they are called, units kept in metres', async () => {
    const me = await bench.player();
    const mine = await bench.club(me, '7 iron');
    const his = await bench.club(me, '8 iron');
    const look = await report(send(me, order({}), csv(GOOD), 'none'));
    expect(look).toMatchObject({ rows: 3, taken: 3, duplicates: 0, refused: 0, changeId: null });
    expect(look.labels.map(({ label, match }) => [label, match?.clubId])).toEqual([
      ['7 iron', mine],
      ['7i', mine],
      ['8 Iron', his],
    ]);
    // What each carries on average, so that a wrong unit is seen before anything is taken.
    const carries = look.labels.map(({ carryM }) => carryM! / 0.9144);
    expect(carries.every((yards) => yards > 100 && yards < 250)).toBe(true);
    expect(carries[0]).toBeCloseTo(156.8196 / 0.9144, 1);
    expect(await sessionsOf(bench, me)).toHaveLength(0);
    const changeId = newId();
    expect(await report(send(me, order({}), csv(GOOD), 'good', changeId))).toMatchObject({
      taken: 3,
      changeId,
      days: [
        { day: '2026-11-18', rows: 2 },
        { day: '2026-11-19', rows: 1 },
      ],
    });
    const { strikes } = await strikesOf(bench, me);
    expect(strikes[0]).toMatchObject({
      clubId: mine,
      builtOn: '2026-11-18',
      hitAt: '2026-11-18T09:01:00.000Z',
      given: { carryM: 156.8196, offlineM: -2.7432, spinRpm: 7010 },
    });
    expect(strikes[1]!.given.offlineM).toBeCloseTo(1.8288, 4);
    // The same file again brings nothing; taken back, it comes in again.
    expect(await report(send(me, order({}), csv(GOOD)))).toMatchObject({
      taken: 0,
      duplicates: 3,
      changeId: null,
    });
    // Nor with columns that are read since later: the angle of attack, the smash.
    const heads = [...HEADS, 'Attack', 'Smash'];
    const columns = [
      ...MAPPING.columns,
      { column: 7, field: 'attackDeg' as const, unit: 'deg' as const },
      { column: 8, field: 'smash' as const },
    ];
    const more = order({}, { heads, mapping: { ...MAPPING, columns } });
    const wide = [heads.join(','), ...GOOD.map((row) => `${row},-3.5,1.4`)].join('\r\n');
    expect(await report(send(me, more, wide))).toMatchObject({ taken: 0, duplicates: 3 });
    const other = await bench.player();
    await bench.club(other, '7 iron');
    await report(send(other, more, wide));
    const [ball] = (await strikesOf(bench, other)).strikes;
    expect(ball!.given).toMatchObject({ attackDeg: -3.5 });
    expect(ball!.given.clubSpeedMps).toBeCloseTo(ball!.given.ballSpeedMps! / 1.4, 3);
    await bench.undo(changeId).expect(200);
    expect(await sessionsOf(bench, me)).toHaveLength(0);
    expect(await report(send(me, order({}), csv([...GOOD, GOOD[0]!])))).toMatchObject({
      taken: 3,
      duplicates: 1,
    });
    const known = (
      await bench.http
        .get(
          `/api/file-mapping?heads=${encodeURIComponent(HEADS.map((head) => head.toLowerCase()).join('|'))}`,
        )
        .expect(200)
    ).body as object;
    expect(known).toMatchObject({ mapping: { decimal: '.' } });
  });

  it('leaves out bad rows by name and keeps the rest', async () => {
    const me = await bench.player();
    await bench.club(me, '7 iron');
    const bad = [
      '2026-11-18 10:03:00,7i,-4,16,7000,170,0',
      '2026-11-18 10:04:00,7i,118,16,n/a,900,0',
      '2026-11-18 10:05:00,7i,118,sixteen,7000,170,0',
      '2026-31-18,7i,118,16,7000,170,0',
      ',7i,,,,,',
      '2026-11-18 10:06:00,driver,160,12,2500,270,0',
      '2031-11-18 10:06:00,7i,118,16,7000,170,0',
      '2026-11-18 10:07:00,7i,11\u00008,16,7000,170,0',
      '2026-11-18 10:08:00,<script>alert(1)</script>,118,16,7000,171,0',
    ];
    const answer = await report(send(me, order({}), csv([...GOOD.slice(0, 2), ...bad])));
    expect(answer).toMatchObject({ rows: 11, taken: 2, otherClubs: 2, refused: 7 });
    expect(answer.refusals.map(({ line, column }) => [line, column])).toEqual([
      [4, 'Ball Speed (mph)'],
      [5, 'Carry (yd)'],
      [6, 'Launch Angle'],
      [7, 'Date'],
      [8, ''],
      [10, 'date'],
      [11, 'Ball Speed (mph)'],
    ]);
    expect(answer.refusals[1]!.reason).toBe('must be between 1.1 and 449.5 yd');
    expect(answer.refusals[6]!.reason).toMatch(/not text/);
  });

  it('leaves the rows of a putter out, as of a club nobody named', async () => {
    const me = await bench.player();
    await bench.club(me, '7 iron');
    const putter = { id: newId(), playerId: me, name: 'Putter', kind: 'putter' as const };
    await bench.change([{ do: 'addClub', club: putter, readings: [] }]).expect(200);
    const rows = [...GOOD.slice(0, 2), '2026-11-18 10:06:00,Putter,12,2,300,10,0'];
    const answer = await report(send(me, order({}), csv(rows)));
    expect(answer).toMatchObject({ rows: 3, taken: 2, otherClubs: 1, refused: 0 });
    expect(answer.labels.find(({ label }) => label === 'Putter')).toMatchObject({ match: null });
  });

  it('reads a decimal comma, UTF-16, and latin letters', async () => {
    const me = await bench.player();
    await bench.club(me, 'Eisen 7', [], newId());
    const heads = ['Schläger', 'Carry'];
    const mapping = {
      ...MAPPING,
      decimal: ',' as const,
      columns: [
        { column: 0, field: 'club' as const },
        { column: 1, field: 'carryM' as const, unit: 'm' as const },
      ],
    };
    const text = 'Schläger;Carry\nEisen 7;155,5\nEisen 7;157,25\nEisen 7;155,5\n';
    const body = order({}, { heads, mapping, delimiter: ';' });
    const utf16 = await report(
      send(me, { ...body, encoding: 'utf-16le' }, Buffer.from(`\uFEFF${text}`, 'utf16le'), 'none'),
    );
    // Three rows that say no more than a carry are three shots, though two look alike.
    expect(utf16).toMatchObject({ rows: 3, taken: 3 });
    expect(
      await report(send(me, { ...body, encoding: 'windows-1252' }, Buffer.from(text, 'latin1'))),
    ).toMatchObject({ taken: 3 });
    expect((await strikesOf(bench, me)).strikes.map(({ given }) => given.carryM)).toEqual([
      155.5, 157.25, 155.5,
    ]);
    expect(await report(send(me, body, text))).toMatchObject({ taken: 0, duplicates: 3 });
  });

  it('refuses an invalid order, an invalid table, too large a file, or another type, and writes nothing', async () => {
    const post = (query: string, type: string, body: string) =>
      bench.http
        .post(`/api/players/${playerId}/strikes/import?${query}`)
        .set('content-type', type)
        .send(body);
    const query = `take=good&changeId=${newId()}`;
    await post(query, 'text/csv', 'x').expect(415);
    await post(query, 'application/octet-stream', 'no order').expect(400);
    await post(query, 'application/octet-stream', '{"source":1}\nx').expect(400);
    const { body: none } = await send(
      playerId,
      order({}, { mapping: { ...MAPPING, columns: MAPPING.columns.slice(0, 2) } }),
      csv(GOOD),
    ).expect(400);
    expect((none as { message: string }).message).toMatch(/without one there is no flight/);
    const { body: endless } = await send(
      playerId,
      order({}),
      `${csv(GOOD)}\n"${'x'.repeat(1_500_000)}`,
    ).expect(400);
    expect((endless as { message: string }).message).toMatch(/quote is opened and never closed/);
    const large = await bench.http
      .post(`/api/players/${playerId}/strikes/import?${query}`)
      .set('content-type', 'application/octet-stream')
      .set('content-length', '2000000000')
      .send('x')
      .catch(() => ({ status: 413 }));
    expect(large.status).toBe(413);
    const stranger = await workbench();
    const theirs = await stranger.club(await stranger.player(), '7 iron');
    await send(playerId, order({ '7 iron': { clubId: theirs, shot: 'full' } }), csv(GOOD)).expect(404);
    expect(
      await report(
        send(
          playerId,
          order({}),
          Buffer.from(Array.from({ length: 5000 }, (_one, i) => (i * 197) % 256)),
          'none',
        ),
      ),
    ).toMatchObject({ taken: 0 });
  });

  it('hung up on in the middle it leaves nothing', async () => {
    const me = await bench.player();
    await bench.club(me, '7 iron');
    const listening = bench.app().listen(0, '127.0.0.1');
    await new Promise((resolve) => {
      listening.once('listening', resolve);
    });
    const rows = Array.from(
      { length: 6000 },
      (_one, i) => `2026-11-18 10:${String(i % 60).padStart(2, '0')}:00,7i,118,16,${7000 + i},170,0`,
    );
    await new Promise<void>((resolve) => {
      const sending = request({
        port: (listening.address() as { port: number }).port,
        method: 'POST',
        path: `/api/players/${me}/strikes/import?take=good&changeId=${newId()}`,
        headers: { 'content-type': 'application/octet-stream' },
      });
      sending.on('error', () => {
        resolve();
      });
      // All of it is on its way, but for the end.
      sending.write(`${JSON.stringify(order({}))}\n${csv(rows)}`, () =>
        sending.destroy(new Error('hung up')),
      );
    });
    // A second import waits for the first to be over, whichever way.
    await report(send(me, order({}), csv(GOOD.slice(0, 1)), 'none'));
    expect(await sessionsOf(bench, me)).toHaveLength(0);
    await new Promise((resolve) => {
      listening.close(resolve);
    });
  });
});
