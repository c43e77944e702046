import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { openDatabase } from '../src/database/database.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { carry, on, workbench, workbenchIn, type Workbench } from './workbench.js';

let bench: Workbench;
beforeAll(async () => {
  bench = await workbench();
});

describe('bad input', () => {
  it.each([
    [
      'text where a number belongs',
      [
        {
          do: 'addClub',
          club: { id: newId(), playerId: newId(), name: 'X', kind: 'iron' },
          readings: [{ key: 'loftSetDeg', value: 'steep', takenOn: '2026-01-01' }],
        },
      ],
      'Set loft must be a number',
    ],
    [
      'an impossible loft',
      [
        {
          do: 'editClub',
          clubId: newId(),
          version: 1,
          readings: [{ key: 'loftSetDeg', value: 120, takenOn: '2026-01-01' }],
        },
      ],
      'Set loft must be between',
    ],
    [
      'a negative length',
      [
        {
          do: 'editClub',
          clubId: newId(),
          version: 1,
          readings: [{ key: 'lengthIn', value: -37, takenOn: '2026-01-01' }],
        },
      ],
      'Length must be between',
    ],
    [
      'a name of nothing',
      [{ do: 'addBag', bag: { id: newId(), playerId: newId(), name: '   ' }, clubIds: [] }],
      'commands[0].bag.name',
    ],
    [
      'a settings field nobody knows',
      [{ do: 'editPlayer', playerId: newId(), version: 1, set: { gapSettings: { sharpness: 3 } } }],
      'unknown setting: sharpness',
    ],
    [
      'a day that is none',
      [
        {
          do: 'editClub',
          clubId: newId(),
          version: 1,
          readings: [{ key: 'lieDeg', value: 62, takenOn: '2026-02-30' }],
        },
      ],
      'must be a date',
    ],
  ])('%s: 400, and the field is named', async (_what, commands, message) => {
    const response = await bench.change(commands as never).expect(400);
    expect(JSON.stringify(response.body)).toContain(message);
    expect(response.body.fields.length).toBeGreaterThan(0);
  });

  it('unknown ids: 404, and nothing half-written', async () => {
    const playerId = await bench.player();
    await bench
      .change([
        { do: 'addClub', club: { id: newId(), playerId, name: '7 iron', kind: 'iron' }, readings: [] },
        { do: 'takeOut', bagId: newId(), clubId: newId() },
      ])
      .expect(404);
    expect((await bench.sheet(playerId)).clubs).toEqual([]);
    await bench.http.get(`/api/players/${newId()}/sheet`).expect(404);
    await bench.http.get('/api/players/1%27%20or%201=1/sheet').expect(400);
    await bench.http.get('/api/nothing').expect(404);
    await bench.undo(newId()).expect(404);
  });

  it('wrong content types, broken and oversized bodies: 415, 400, 413', async () => {
    await bench.http.post('/api/changes').type('text/plain').send('hello').expect(415);
    await bench.http.post('/api/changes').type('application/json').send('{"id":').expect(400);
    await bench.http.post('/api/changes').type('application/json').send('').expect(400);
    const large = await bench.http
      .post('/api/changes')
      .type('application/json')
      .send(JSON.stringify({ id: 'x'.repeat(10_000_000) }))
      .expect(413);
    expect(large.body.message).toContain('2 MB');
    const playerId = await bench.player();
    const importing = `/api/players/${playerId}/import?take=all&changeId=${newId()}&takenOn=2026-11-24`;
    await bench.http.post(importing).type('text/csv').send('x'.repeat(10_000_000)).expect(413);
    await bench.http.post(importing).type('application/pdf').send('%PDF').expect(415);
    await bench.http
      .post(importing)
      .type('text/csv')
      .send(Buffer.from([0x63, 0x6c, 0x75, 0x62, 0xff, 0xfe]))
      .expect(415);
  });

  it('SQL and script in names are just names', async () => {
    const playerId = await bench.player();
    const name = `Robert'); drop table club; -- <script>alert(1)</script>`;
    await bench.club(playerId, name);
    expect((await bench.sheet(playerId)).clubs[0]!.name).toBe(name);
    const csv = await bench.http
      .get(`/api/players/${playerId}/sheet.csv`)
      .expect(200)
      .expect('content-type', /text\/csv/);
    expect(csv.text).toContain('drop table');
    expect(csv.headers['content-disposition']).toContain('attachment');
  });

  it("another site's page may not write, and headers keep it out of frames", async () => {
    await bench.http
      .post('/api/changes')
      .set('origin', 'http://elsewhere.example')
      .send({ id: newId(), commands: [] })
      .expect(403);
    const page = await bench.http.get('/api/signed-in').expect(200);
    expect(page.headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(page.headers['x-powered-by']).toBeUndefined();
  });
});

describe('workspaces', () => {
  it('never see each other: not by id, not in a list, not to undo', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, 'mine', [on('lieDeg', 62)]);
    const stranger = await workbench('Somebody else');
    await stranger.http.get(`/api/players/${playerId}/sheet`).expect(404);
    expect((await stranger.http.get('/api/players')).body).toEqual({ rows: [], total: 0, next: null });
    expect((await stranger.http.get(`/api/clubs/${clubId}/readings`)).body).toEqual({
      rows: [],
      total: 0,
      next: null,
    });
    await stranger.change([{ do: 'editClub', clubId, version: 1, set: { name: 'theirs' } }]).expect(404);
    const change = await bench.done([{ do: 'editClub', clubId, version: 1, set: { name: 'still mine' } }]);
    await stranger.undo(change.change.id).expect(404);
    const theirPlayer = await stranger.player();
    await stranger
      .change([
        {
          do: 'addClub',
          club: { id: clubId, playerId: theirPlayer, name: 'same id', kind: 'iron' },
          readings: [],
        },
      ])
      .expect(409);
    expect((await bench.sheet(playerId)).clubs[0]!.name).toBe('still mine');
  });

  it("row-level security holds where the ORM's filter is forgotten", async () => {
    const playerId = await bench.player();
    const stranger = await workbench();
    const count = (workspaceId: string) =>
      inWorkspace(
        bench.orm,
        { workspaceId },
        async (em) =>
          (
            await em.execute<{ n: number }[]>('select count(*)::int as n from player where id = ?', [
              playerId,
            ])
          )[0]!.n,
      );
    expect(await count(bench.workspaceId)).toBe(1);
    expect(await count(stranger.workspaceId)).toBe(0);
    const [outside] = await bench.orm.em
      .fork()
      .execute<{ n: number }[]>('select count(*)::int as n from player');
    expect(outside!.n).toBe(0);
    await expect(
      inWorkspace(bench.orm, { workspaceId: stranger.workspaceId }, (em) =>
        em.execute(
          `insert into player (id, workspace_id, name, hand, distance_unit, notes, gap_settings, version) values (?, ?, 'x', 'right', 'm', '', '{}', 1)`,
          [newId(), bench.workspaceId],
        ),
      ),
    ).rejects.toThrow(/row-level security/);
  });
});

describe('import and export', () => {
  const importCsv = (
    b: Workbench,
    playerId: string,
    text: string,
    take: 'none' | 'good' | 'all',
    changeId = newId(),
  ) =>
    b.http
      .post(`/api/players/${playerId}/import?take=${take}&changeId=${changeId}&takenOn=2026-11-24`)
      .type('text/csv')
      .send(text);

  it('shows what would change, changes nothing, then does it as one change that one undo takes back', async () => {
    const playerId = await bench.player();
    await bench.club(playerId, '7 iron', [on('loftStampedDeg', 32)]);
    const csv = 'club,loft,carry [yd],colour\n7 iron,31.5,161,blue\n8 iron,36,149,red\n';
    const preview = await importCsv(bench, playerId, csv, 'none').expect(200);
    expect(preview.body).toMatchObject({
      result: null,
      plan: { unknownColumns: ['colour'], adds: [{ name: '8 iron' }], edits: [{ club: { name: '7 iron' } }] },
    });
    expect((await bench.sheet(playerId)).clubs).toHaveLength(1);
    const done = await importCsv(bench, playerId, csv, 'all').expect(200);
    expect(
      (await bench.sheet(playerId)).clubs.map((club) => [club.name, club.spec.loftStampedDeg!.value]),
    ).toEqual([
      ['7 iron', 31.5],
      ['8 iron', 36],
    ]);
    await bench.undo(done.body.result.change.id).expect(200);
    expect(
      (await bench.sheet(playerId)).clubs.map((club) => [club.name, club.spec.loftStampedDeg!.value]),
    ).toEqual([['7 iron', 32]]);
  });

  it('with bad rows names row, column and reason, and imports nothing unless told to take the good ones', async () => {
    const playerId = await bench.player();
    const csv = 'club,loft,carry [yd]\n7 iron,32,161\n8 iron,steep,149\n9 iron,41,1500\n';
    const refused = await importCsv(bench, playerId, csv, 'all').expect(400);
    expect(refused.body.message).toBe(
      '2 cells can\'t be read; nothing was imported. First: row 3, loft: "steep" is not a number.',
    );
    expect(refused.body.fields[1]).toEqual({
      field: 'row 4, carry [yd]',
      message: 'full carry must be between 2 and 449 yd',
    });
    expect((await bench.sheet(playerId)).clubs).toEqual([]);
    await importCsv(bench, playerId, csv, 'good').expect(200);
    expect((await bench.sheet(playerId)).clubs.map((club) => club.name)).toEqual(['7 iron']);
  });

  it('CSV out and in again says nothing changes; JSON rebuilds the locker elsewhere, history and bags too', async () => {
    const playerId = await bench.player('m');
    const clubId = await bench.club(playerId, '7 iron', [
      on('loftStampedDeg', 33, '2026-01-01'),
      carry(146.3, {
        source: 'measured',
        sampleSize: 30,
        spreadM: 3.6,
        apexM: 29.1,
        descentDeg: 48,
        conditions: '9 °C; wind, 8 m/s',
      }),
    ]);
    await bench.done([
      { do: 'editClub', clubId, version: 1, readings: [on('loftStampedDeg', 32.5, '2026-06-01')] },
    ]);
    await bench.bag(playerId, 'Gamer', [clubId]);
    for (const unit of ['yd', 'm']) {
      const csv = await bench.http.get(`/api/players/${playerId}/sheet.csv?unit=${unit}`).expect(200);
      const again = await importCsv(bench, playerId, csv.text, 'all').expect(200);
      expect(again.body).toMatchObject({
        result: null,
        plan: { adds: [], edits: [], rejected: [], unknownColumns: [] },
      });
    }
    const locker = await bench.http.get(`/api/players/${playerId}/locker.json`).expect(200);
    const elsewhere = await workbench();
    const there = await elsewhere.player('m');
    const post = () =>
      elsewhere.http
        .post(`/api/players/${there}/import?take=all&changeId=${newId()}&takenOn=2026-11-24`)
        .type('application/json')
        .send(locker.text);
    await post().expect(200);
    const sheet = await elsewhere.sheet(there);
    expect(sheet.clubs[0]!.spec).toEqual((await bench.sheet(playerId)).clubs[0]!.spec);
    expect(sheet.bags).toMatchObject([{ name: 'Gamer', clubIds: [sheet.clubs[0]!.id] }]);
    expect((await elsewhere.sheet(there, '2026-03-01')).clubs[0]!.spec.loftStampedDeg!.value).toBe(33);
    await bench.http
      .post(`/api/players/${playerId}/import?take=all&changeId=${newId()}&takenOn=2026-11-24`)
      .type('application/json')
      .send(locker.text)
      .expect(200)
      .expect(({ body }) => {
        expect(body.result).toBeNull();
      });
    await elsewhere.http
      .post(`/api/players/${there}/import?take=all&changeId=${newId()}&takenOn=2026-11-24`)
      .type('application/json')
      .send('{"format":"tasche-locker"}')
      .expect(400);
  });

  it('makes a PDF of one page, whatever is in the bag', async () => {
    const playerId = await bench.player();
    for (const count of [0, 14, 22]) {
      const ids = Array.from({ length: count }, () => newId());
      if (count > 0)
        await bench.done(
          ids.map(
            (id, i) =>
              ({
                do: 'addClub',
                club: { id, playerId, name: `Club ${i} ğŁ`, kind: 'iron' },
                readings: [on('loftStampedDeg', 20 + i), carry(200 - 7 * i), on('grip', 'Moos Round')],
              }) as const,
          ),
        );
      const bagId = await bench.bag(playerId, `Bag of ${count}`, ids);
      const pdf = await bench.http
        .get(`/api/players/${playerId}/sheet.pdf?bag=${bagId}`)
        .buffer(true)
        .parse((response, done) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => chunks.push(chunk));
          response.on('end', () => done(null, Buffer.concat(chunks)));
        })
        .expect(200)
        .expect('content-type', /pdf/);
      const text = (pdf.body as Buffer).toString('latin1');
      expect(text.startsWith('%PDF-')).toBe(true);
      expect(/\/Type \/Pages[^>]*\/Count (\d+)|\/Count (\d+)/.exec(text)!.slice(1).find(Boolean)).toBe('1');
    }
  });
});

describe('the database gone', () => {
  it('is a 503 that says so, and the same server answers again when it is back', async () => {
    const lost = await openDatabase('postgresql://tasche:x@127.0.0.1:9/tasche');
    const away = workbenchIn(lost, bench.workspaceId, 'Jonas');
    const response = await away.http.get('/api/players').expect(503);
    expect(response.body).toMatchObject({ error: 'database-away' });
    expect(response.headers['retry-after']).toBe('2');
    await away.change([{ do: 'makeGamer', bagId: newId() }]).expect(503);
    await lost.close(true);
  });
});
