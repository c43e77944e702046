import type {
  Command,
  GaugedLoft,
  Page,
  ClubStint,
  RosterEntry,
  TicketDetails,
  TicketEntry,
  WishDetails,
} from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { carry, workbench, type Workbench } from './workbench.js';

describe('the bench', () => {
  let bench: Workbench;
  let playerId: string;
  let wedgeId: string;
  const sheet = () => bench.sheet(playerId);
  const ticketOf = async (id: string) => (await sheet()).tickets.find((one) => one.id === id)!;
  const details = (more: Partial<TicketDetails> = {}): TicketDetails => ({
    name: 'Bend the PW',
    job: 'bend',
    clubId: wedgeId,
    wanted: [{ key: 'loftSetDeg', value: 45 }],
    why: 'the step to the 52',
    eventId: null,
    dueOn: null,
    ...more,
  });
  const ask = async (more: Partial<TicketDetails> = {}) => {
    const id = newId();
    await bench.done([{ do: 'addTicket', ticket: { id, playerId, ...details(more) } }]);
    return id;
  };

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
    wedgeId = await bench.club(playerId, 'PW', [
      { key: 'loftStampedDeg', value: 44, takenOn: '2026-01-01' },
      carry(125),
    ]);
  });

  it('keeps a ticket from asked to done, with what the club became on its sheet and in the history', async () => {
    const id = await ask();
    expect(await ticketOf(id)).toMatchObject({ state: 'asked', misses: [], version: 1 });
    const missed = await bench.done([
      {
        do: 'finishTicket',
        ticketId: id,
        version: 1,
        takenOn: '2026-11-01',
        became: [{ key: 'loftMeasuredDeg', value: 46 }],
      },
    ]);
    expect(missed.change.summary).toBe('Bend the PW: open again, 46 where 45 was wanted');
    expect(await ticketOf(id)).toMatchObject({ state: 'asked', misses: [{ wanted: 45, became: 46 }] });
    const { version } = await ticketOf(id);
    const done = await bench.done([
      {
        do: 'finishTicket',
        ticketId: id,
        version,
        takenOn: '2026-11-02',
        became: [{ key: 'loftMeasuredDeg', value: 45.25 }],
      },
    ]);
    expect(done.tickets[0]).toMatchObject({
      state: 'done',
      doneOn: '2026-11-02',
      became: [{ key: 'loftMeasuredDeg', value: 45.25 }],
      misses: [],
    });
    const club = (await sheet()).clubs.find((one) => one.id === wedgeId)!;
    expect(club.spec.loftMeasuredDeg).toMatchObject({ value: 45.25, takenOn: '2026-11-02' });
    expect(club.spec.loftSetDeg).toMatchObject({ value: 45 });
    // Undone, the club is what it was measured at before, and the ticket is open again.
    await bench.undo(done.change.id).expect(200);
    expect(await ticketOf(id)).toMatchObject({ state: 'asked', misses: [{ became: 46 }] });
    expect((await sheet()).clubs.find((one) => one.id === wedgeId)!.spec.loftMeasuredDeg!.value).toBe(46);
  });

  it('is finished once, and overwrites no one’s work', async () => {
    const id = await ask();
    const finish = (version: number) =>
      bench.change([
        {
          do: 'finishTicket',
          ticketId: id,
          version,
          takenOn: '2026-11-03',
          became: [{ key: 'loftMeasuredDeg', value: 45 }],
        },
      ]);
    await bench.done([{ do: 'editTicket', ticketId: id, version: 1, set: { state: 'on the bench' } }]);
    const refused = await finish(1).expect(409);
    expect(JSON.stringify(refused.body)).toContain('changed by someone else');
    await finish(2).expect(200);
    await finish(3).expect(422);
    await bench.done([{ do: 'editTicket', ticketId: id, version: 3, set: { state: 'asked' } }]);
    expect(await ticketOf(id)).toMatchObject({ state: 'asked', doneOn: null });
  });

  it('puts two people’s edits of different parts together, and asks where they wrote the same one', async () => {
    const id = await ask();
    await bench.done([{ do: 'editTicket', ticketId: id, version: 1, set: { why: 'new reason' } }]);
    await bench.done([{ do: 'editTicket', ticketId: id, version: 1, set: { dueOn: '2026-12-01' } }]);
    expect(await ticketOf(id)).toMatchObject({ why: 'new reason', dueOn: '2026-12-01' });
    await bench.change([{ do: 'editTicket', ticketId: id, version: 1, set: { why: 'another' } }]).expect(409);
  });

  it.each([
    ['another player’s club', () => ({ clubId: newId() }), 404],
    ['an event that is not there', () => ({ eventId: newId() }), 404],
  ] as const)('refuses %s', async (_what, more, status) => {
    await bench
      .change([{ do: 'addTicket', ticket: { id: newId(), playerId, ...details(more()) } }])
      .expect(status);
  });

  it('refuses a reading from the future by name, and leaves the ticket as it was', async () => {
    const id = await ask();
    const { body } = await bench
      .change([
        {
          do: 'finishTicket',
          ticketId: id,
          version: 1,
          takenOn: '2199-01-01',
          became: [{ key: 'loftMeasuredDeg', value: 45 }],
        },
      ])
      .expect(400);
    expect(JSON.stringify(body)).toContain('future');
    expect(await ticketOf(id)).toMatchObject({ state: 'asked', version: 1 });
  });

  it('shows everybody’s open tickets by the day they are due, a page at a time', async () => {
    const other = await bench.player();
    const club = await bench.club(other, '7 iron', []);
    const add = async (name: string, dueOn: string | null) =>
      bench.done([
        {
          do: 'addTicket',
          ticket: { id: newId(), playerId: other, ...details({ name, clubId: club, dueOn }) },
        },
      ]);
    await add('late', '2026-12-20');
    await add('soon', '2026-11-20');
    await add('whenever', null);
    const names: string[] = [];
    let next: string | null = '';
    let total = 0;
    while (next !== null) {
      const { body } = await bench.http.get(`/api/tickets?limit=2${next && `&after=${next}`}`).expect(200);
      const page = body as Page<TicketEntry>;
      names.push(...page.rows.map(({ name }) => name));
      expect(page.rows.every(({ clubName, playerName }) => clubName && playerName)).toBe(true);
      ({ next, total } = page);
    }
    expect(names).toHaveLength(total);
    const own = names.filter((name) => ['late', 'soon', 'whenever'].includes(name));
    expect(own).toEqual(['soon', 'late', 'whenever']);
    // A deleted club's wait until it comes back.
    const { change } = await bench.done([{ do: 'removeClub', clubId: club, version: 1 }]);
    expect(((await bench.http.get('/api/tickets').expect(200)).body as Page<TicketEntry>).total).toBe(
      total - 3,
    );
    await bench.undo(change.id).expect(200);
    await bench.http.get('/api/tickets?after=nonsense').expect(400);
  });

  it('keeps wishes with a price and a state', async () => {
    const wish: WishDetails = {
      name: 'A 48',
      purpose: 'buy',
      state: 'wished',
      price: null,
      club: { kind: 'wedge', loftDeg: 48 },
      clubId: null,
      expected: null,
      boughtOn: null,
      notes: '',
    };
    const id = newId();
    await bench.done([{ do: 'addWish', wish: { id, playerId, ...wish } }]);
    const edited = await bench.done([
      { do: 'editWish', wishId: id, version: 1, set: { price: 140, state: 'ordered' } },
    ]);
    expect((await sheet()).wishes).toMatchObject([{ name: 'A 48', price: 140, state: 'ordered' }]);
    await bench.undo(edited.change.id).expect(200);
    expect((await sheet()).wishes).toMatchObject([{ price: null, state: 'wished' }]);
    const fitted = {
      expected: { shot: 'full', carryM: 190, scatterShare: 0.9 },
      boughtOn: '2026-11-01',
    } as const;
    await bench.done([{ do: 'editWish', wishId: id, version: 3, set: { purpose: 'fit', ...fitted } }]);
    expect((await sheet()).wishes).toMatchObject([fitted]);
    await bench
      .change([
        { do: 'editWish', wishId: id, version: 4, set: { expected: { shot: 'full', scatterShare: 4 } } },
      ])
      .expect(400);
    await bench.done([{ do: 'removeWish', wishId: id, version: 4 }]);
    expect((await sheet()).wishes).toEqual([]);
    // A page of the version before knows of neither.
    const { expected: _expected, boughtOn: _boughtOn, ...older } = wish;
    await bench.done([{ do: 'addWish', wish: { id: newId(), playerId, ...older } }]);
    expect((await sheet()).wishes).toMatchObject([{ expected: null, boughtOn: null }]);
    await bench.change([{ do: 'addWish', wish: { id: newId(), playerId, ...wish, price: -4 } }]).expect(400);
  });

  it('remembers which putter was in the bag from when to when', async () => {
    const golfer = await bench.player();
    const [blade, mallet, gamer] = [newId(), newId(), { id: await bench.bag(golfer, 'Gamer') }];
    const putter = (id: string, name: string): Command => ({
      do: 'addClub',
      club: { id, playerId: golfer, name, kind: 'putter' },
      readings: [],
    });
    await bench.done([putter(blade, 'Blade'), putter(mallet, 'Mallet')]);
    const stints = async () =>
      (await bench.http.get(`/api/players/${golfer}/putters`).expect(200)).body as ClubStint[];
    await bench.done([{ do: 'putIn', bagId: gamer.id, clubId: blade }]);
    const swap = await bench.done([
      { do: 'takeOut', bagId: gamer.id, clubId: blade },
      { do: 'putIn', bagId: gamer.id, clubId: mallet },
    ]);
    expect((await stints()).map(({ clubName, to }) => [clubName, to === null])).toEqual([
      ['Mallet', true],
      ['Blade', false],
    ]);
    await bench.undo(swap.change.id).expect(200);
    expect((await stints())[0]).toMatchObject({ clubName: 'Blade', to: null });
    await bench.http.get(`/api/players/${newId()}/putters`).expect(404);
  });

  it('gives every loft a club was measured at, the withdrawn ones left out', async () => {
    const golfer = await bench.player();
    const club = await bench.club(golfer, '7', [
      { key: 'loftMeasuredDeg', value: 32, takenOn: '2026-01-01' },
    ]);
    const later = await bench.done([
      {
        do: 'editClub',
        clubId: club,
        version: 1,
        readings: [{ key: 'loftMeasuredDeg', value: 32.5, takenOn: '2026-06-01' }],
      },
    ]);
    const lofts = async () =>
      ((await bench.http.get(`/api/players/${golfer}/gauged-lofts`).expect(200)).body as GaugedLoft[]).map(
        ({ deg, takenOn }) => [takenOn, deg],
      );
    expect(await lofts()).toEqual([
      ['2026-06-01', 32.5],
      ['2026-01-01', 32],
    ]);
    await bench.undo(later.change.id).expect(200);
    expect(await lofts()).toEqual([['2026-01-01', 32]]);
  });

  it('tells the roster of tickets, checks, and carries that are old or not known', async () => {
    const golfer = await bench.player();
    const [seven, eight] = [
      await bench.club(golfer, '7', [
        { key: 'loftStampedDeg', value: 32, takenOn: '2026-01-01' },
        { key: 'loftMeasuredDeg', value: 32, takenOn: '2026-02-01' },
        carry(150),
      ]),
      await bench.club(golfer, '8', [{ key: 'loftStampedDeg', value: 36, takenOn: '2026-01-01' }]),
    ];
    await bench.bag(golfer, 'Gamer', [seven, eight]);
    const told = async () =>
      ((await bench.http.get('/api/players?limit=200').expect(200)).body as Page<RosterEntry>).rows.find(
        ({ player }) => player.id === golfer,
      )!.bench;
    expect(await told()).toEqual({
      tickets: 0,
      dueOn: null,
      builtOn: null,
      checkedOn: null,
      stale: 0,
      unknown: 1,
      groovesDueOn: [],
    });
    const ticket = details({ clubId: seven, dueOn: '2026-12-01' });
    const asked = await bench.done([
      { do: 'addTicket', ticket: { id: newId(), playerId: golfer, ...ticket } },
    ]);
    await bench.done([
      {
        do: 'editClub',
        clubId: eight,
        version: 1,
        readings: [{ key: 'loftMeasuredDeg', value: 36, takenOn: '2026-03-01' }],
      },
      {
        do: 'editClub',
        clubId: seven,
        version: 1,
        readings: [{ key: 'loftSetDeg', value: 33, takenOn: '2026-11-20' }],
      },
    ]);
    expect(await told()).toEqual({
      tickets: 1,
      dueOn: '2026-12-01',
      builtOn: null,
      checkedOn: '2026-02-01',
      stale: 1,
      unknown: 1,
      groovesDueOn: [],
    });
    const [made] = asked.tickets;
    const done = await bench.done([
      {
        do: 'finishTicket',
        ticketId: made!.id,
        version: made!.version,
        takenOn: '2026-11-22',
        became: [{ key: 'loftMeasuredDeg', value: 45 }],
      },
    ]);
    expect(await told()).toMatchObject({ tickets: 0, dueOn: null, builtOn: '2026-11-22' });
    await bench.undo(done.change.id).expect(200);
    await bench.undo(asked.change.id).expect(200);
    expect((await told()).tickets).toBe(0);
  });

  it('keeps the balls a player took up, with their days', async () => {
    const { player } = await sheet();
    const balls = [
      { name: 'Perl 3', from: '2026-01-01' },
      { name: 'Perl 4', from: '2026-06-01' },
    ];
    const { change } = await bench.done([
      { do: 'editPlayer', playerId, version: player.version, set: { balls } },
    ]);
    expect(change.summary).toContain('plays Perl 4 since 2026-06-01');
    expect((await sheet()).player.balls).toEqual(balls);
    await bench.undo(change.id).expect(200);
    expect((await sheet()).player.balls).toEqual([]);
  });
});
