import {
  putBack,
  type ChangeResult,
  type ClubLifeView,
  type Command,
  type DayView,
  type DifferenceView,
  type ReviewView,
} from '@tasche/contract';
import { buildOf, measuredKey } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { carry, on, workbench, type Workbench } from './workbench.js';

const THEN = '2026-03-14';
const TODAY = new Date().toISOString().slice(0, 10);

describe('a player’s past', () => {
  let bench: Workbench;
  let playerId: string;
  let gamerId: string;
  const ids: Record<string, string> = {};
  const day = async (of: string, more = '') =>
    (await bench.http.get(`/api/players/${playerId}/day?day=${of}${more}`).expect(200)).body as DayView;
  const version = async (name: string) =>
    (await bench.sheet(playerId)).clubs.find((club) => club.id === ids[name])!.version;
  const edit = async (name: string, readings: ReturnType<typeof on>[]) =>
    bench.done([{ do: 'editClub', clubId: ids[name]!, version: await version(name), readings } as Command]);
  const gamerOf = async (of: string, more = '') => {
    const { gamer, clubs } = await day(of, more);
    return gamer?.clubIds.map((id) => clubs.find((club) => club.id === id)!.name).sort();
  };

  beforeAll(async () => {
    bench = await workbench('Ines Rau');
    playerId = await bench.player();
    const club = async (name: string, readings: ReturnType<typeof on>[]) => {
      ids[name] = await bench.club(
        playerId,
        name,
        readings.map((one) => ({ ...one, takenOn: '2026-02-01' })),
      );
    };
    await club('PW', [on('loftSetDeg', 44), on('grip', 'Moos Round'), carry(115)]);
    await club('52', [on('loftSetDeg', 52), on('swingWeight', 'D4'), carry(95)]);
    await club('Iron', [on('loftStampedDeg', 21), on('setting', 'A1')]);
    await club('Old wedge', [on('loftSetDeg', 58)]);
    gamerId = await bench.bag(playerId, 'Gamer', [ids.PW!, ids['52']!, ids['Old wedge']!]);
    const { player } = await bench.sheet(playerId);
    await bench.done([
      {
        do: 'editPlayer',
        playerId,
        version: player.version,
        set: { balls: [{ name: 'Perl Soft', from: '2026-02-01' }] },
      },
    ]);
    // As if it had all been recorded in the spring.
    await inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, (em) =>
      em.execute(`update change set at = '2026-03-01T10:00:00Z' where player_id = ?`, [playerId]),
    );
    await edit('PW', [on('loftSetDeg', 46, '2026-05-01'), on('grip', 'Moos Slim', '2026-05-01')]);
    await edit('Iron', [on('setting', 'B2', '2026-05-01')]);
    await bench.done(
      [
        { do: 'takeOut', bagId: gamerId, clubId: ids['52']! },
        { do: 'putIn', bagId: gamerId, clubId: ids.Iron! },
      ],
      'firm links',
    );
    const links = newId();
    await bench.done([{ do: 'addBag', bag: { id: links, playerId, name: 'Links' }, clubIds: [ids.Iron!] }]);
    await bench.done([{ do: 'makeGamer', bagId: links }]);
  });

  it('knows what was in the gamer on any day, whichever bag it was', async () => {
    expect(await gamerOf(THEN)).toEqual(['52', 'Old wedge', 'PW']);
    expect((await day(THEN)).ball).toBe('Perl Soft');
    expect(await gamerOf(TODAY)).toEqual(['Iron']);
    expect((await day(TODAY)).gamer!.name).toBe('Links');
    expect((await day('2026-02-20')).gamer).toBeNull();
    const then = (await day(THEN)).clubs.find(({ name }) => name === 'PW')!;
    expect(then.spec).toMatchObject({ loftSetDeg: { value: 44 }, grip: { value: 'Moos Round' } });
  });

  it('a day begins and ends where its reader is', async () => {
    // 10:00 in UTC on the first of March is the second in Kiritimati.
    expect((await day('2026-03-01')).gamer).not.toBeNull();
    expect((await day('2026-03-01', '&zone=Pacific/Kiritimati')).gamer).toBeNull();
    expect((await day('2026-03-02', '&zone=Pacific/Kiritimati')).gamer).not.toBeNull();
    const { body } = await bench.http
      .get(`/api/players/${playerId}/day?day=${THEN}&zone=Nowhere/Land`)
      .expect(400);
    expect(JSON.stringify(body)).toContain('zone');
    await bench.http.get(`/api/players/${playerId}/day?day=2026-02-31`).expect(400);
    await bench.http.get(`/api/players/${newId()}/day?day=${THEN}`).expect(404);
  });

  it('says of every difference who made it and why', async () => {
    const differences = (
      await bench.http.get(`/api/players/${playerId}/differences?from=${THEN}&to=${TODAY}`).expect(200)
    ).body as DifferenceView[];
    const grip = differences.find(({ key }) => key === 'grip')!;
    expect(grip).toMatchObject({
      clubName: 'PW',
      before: { value: 'Moos Round' },
      after: { value: 'Moos Slim' },
    });
    expect(grip.by).toMatchObject({ who: 'Ines Rau', why: '' });
  });

  it('a club’s life holds its readings, its time in the bag and its jobs', async () => {
    const life = async (name: string) =>
      (await bench.http.get(`/api/clubs/${ids[name]}/life`).expect(200)).body as ClubLifeView;
    const pw = await life('PW');
    expect(pw.readings.total).toBe(5);
    expect(pw.stints).toHaveLength(1);
    expect(pw.stints[0]!.from).toBe('2026-03-01T10:00:00.000Z');
    expect(pw.stints[0]!.to).not.toBeNull();
    expect((await life('Iron')).stints[0]!.to).toBeNull();
    await bench.http.get(`/api/clubs/${newId()}/life`).expect(404);
    const other = await workbench();
    await other.http.get(`/api/clubs/${ids.PW}/life`).expect(404);
  });

  it('looks back on a time: the swaps made in it, and what was known before each day’s shots', async () => {
    const sessionId = newId();
    const AIR = {
      temperatureC: 15,
      altitudeM: 0,
      humidityPct: 60,
      windMps: 0,
      windFromDeg: 0,
      targetElevationM: 0,
    };
    await bench.done([
      {
        do: 'addSession',
        session: {
          id: sessionId,
          playerId,
          name: 'Winter barn',
          heldOn: '2026-05-01',
          conditions: AIR,
          surface: { area: 'fairway', firmness: 'medium', grass: 'bent' },
          hitOff: 'grass',
          ball: '',
          notes: '',
        },
      },
      {
        do: 'addStrikes',
        sessionId,
        strikes: [112, 114, 116].map((carryM) => ({
          id: newId(),
          clubId: ids.PW!,
          shot: 'full' as const,
          given: { carryM, spinRpm: 9000 + 50 * (carryM - 112) },
        })),
      },
    ]);
    // Its life says what spin was measured that day, for worn grooves.
    const life = (await bench.http.get(`/api/clubs/${ids.PW}/life`).expect(200)).body as ClubLifeView;
    expect(life.sessions).toEqual([
      {
        id: sessionId,
        name: 'Winter barn',
        day: '2026-05-01',
        shots: 3,
        spin: { shots: 3, meanRpm: 9100, deviationRpm: 100 },
      },
    ]);
    const review = async (from: string, to: string) =>
      (await bench.http.get(`/api/players/${playerId}/review?from=${from}&to=${to}`).expect(200))
        .body as ReviewView;
    const { days, swaps, more } = await review('2026-01-01', TODAY);
    expect(more).toBe(false);
    // The evening before it was bent.
    expect(days.map((one) => one.day)).toEqual(['2026-05-01']);
    const pw = days[0]!.clubs.find(({ name }) => name === 'PW')!;
    expect(pw.spec).toMatchObject({ loftSetDeg: { value: 44 }, 'shot.full': { value: { carryM: 115 } } });
    expect(pw.spec).not.toHaveProperty('grip');
    expect(
      swaps.map(({ ins, outs }) => [ins, outs].map((some) => some.map(({ name }) => name).sort())),
    ).toEqual([
      [[], ['Old wedge', 'PW']],
      [['Iron'], ['52']],
    ]);
    expect(swaps[1]).toMatchObject({ who: 'Ines Rau', why: 'firm links' });
    // Each begins with the bag the one before it left.
    expect([...swaps[0]!.before].sort()).toEqual([...swaps[1]!.after].sort());
    for (const { before, after, ins, outs } of swaps)
      expect(after.length - before.length).toBe(ins.length - outs.length);
    // What was taken back is no swap; and neither is the bag as it was first written down.
    expect((await review('2026-02-01', '2026-03-31')).swaps).toEqual([]);
    const undone = (await bench.undo(swaps[0]!.id).expect(200)).body as ChangeResult;
    expect((await review('2026-01-01', TODAY)).swaps.map(({ why }) => why)).toEqual(['firm links']);
    await bench.undo(undone.change.id).expect(200);
    await bench.done([{ do: 'removeSession', sessionId, version: 1 }]);
    expect((await review('2026-01-01', TODAY)).days).toEqual([]);

    const { body } = await bench.http
      .get(`/api/players/${playerId}/review?from=2026-05-02&to=2026-05-01`)
      .expect(400);
    expect(JSON.stringify(body)).toContain('to is before from');
    await bench.http.get(`/api/players/${newId()}/review?from=2026-01-01&to=2026-02-01`).expect(404);
  });

  it('puts everything back as it was on a day: one change, and then nothing differs', async () => {
    const then = await day(THEN);
    const plan = putBack(await bench.sheet(playerId), then, TODAY, newId);
    expect(plan.gamerName).toBe('Gamer');
    expect(plan.cannot).toEqual([]);
    const { change } = await bench.done(plan.commands, 'put back as it was on 14 Mar');
    const sheet = await bench.sheet(playerId);
    for (const ticket of sheet.tickets) {
      const club = sheet.clubs.find(({ id }) => id === ticket.clubId)!;
      expect(club.name).toBe('PW');
      await bench.done([
        {
          do: 'finishTicket',
          ticketId: ticket.id,
          version: ticket.version,
          takenOn: TODAY,
          became: ticket.wanted.map(({ key, value }) => ({ key: measuredKey(key), value })),
        },
      ]);
    }
    const now = await day(TODAY);
    expect([...now.gamer!.clubIds].sort()).toEqual([...then.gamer!.clubIds].sort());
    expect(now.gamer!.bagId).toBe(then.gamer!.bagId);
    expect(now.ball).toBe(then.ball);
    for (const id of then.gamer!.clubIds) {
      const build = (of: DayView) =>
        buildOf(of.clubs.find((club) => club.id === id)!.spec).map(({ key, value }) => [key, value]);
      expect(build(now)).toEqual(build(then));
    }
    expect(putBack(await bench.sheet(playerId), then, TODAY, newId).commands).toEqual([]);
    // It was one change, and what was not built since can be taken back with it.
    expect(change.summary).toContain('Gamer is now the gamer');
  });

  it('says what cannot be had', async () => {
    const old = (await bench.sheet(playerId)).clubs.find(({ name }) => name === 'Old wedge')!;
    await bench.done([{ do: 'removeClub', clubId: old.id, version: old.version }]);
    const then = await day(THEN);
    expect(await gamerOf(THEN)).toContain('Old wedge');
    const plan = putBack(await bench.sheet(playerId), then, TODAY, newId);
    expect(plan.cannot).toEqual(['Old wedge was deleted since; its deletion can be undone in the history.']);
    expect(plan.commands).toEqual([]);
    const none = putBack(await bench.sheet(playerId), await day('2026-02-20'), TODAY, newId);
    expect(none.cannot).toEqual(['There was no gamer on that day.']);
  });
});
