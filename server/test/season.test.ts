import { seasonOf, type CalendarPage, type EventView, type PlayerSeason } from '@tasche/contract';
import { CALM, DEFAULT_SEASON_RULES, USUAL_GROUND } from '@tasche/core';
import ICAL from 'ical.js';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { seasonCalendar } from '../src/season/season-calendar.js';
import { on, workbench, type Workbench } from './workbench.js';

const TODAY = new Date().toISOString().slice(0, 10);

/** A calendar as another library reads it. */
function read(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as never);
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      name: event.summary,
      from: event.startDate.toString(),
      to: event.endDate.toString(),
      isDate: event.startDate.isDate,
      sequence: component.getFirstPropertyValue('sequence'),
    };
  });
}

describe('a season', () => {
  let bench: Workbench;
  let playerId: string;
  let clubs: { seven: string; nine: string; gamer: string };
  const eventId = newId();
  const text = async (kind: 'ics' | 'csv', query = '') =>
    (
      await bench.http
        .get(`/api/players/${playerId}/season.${kind}${query}`)
        .buffer(true)
        .parse((response, done) => {
          let all = '';
          response.on('data', (part: Buffer) => (all += part.toString('utf8')));
          response.on('end', () => {
            done(null, all);
          });
        })
        .expect(200)
    ).body as string;
  const setSeason = async (season: PlayerSeason | null) => {
    const { player } = await bench.sheet(playerId);
    return bench.done([{ do: 'editPlayer', playerId, version: player.version, set: { season } }]);
  };

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
    const [seven, nine] = [await bench.club(playerId, '7'), await bench.club(playerId, '9')];
    clubs = { seven, nine, gamer: await bench.bag(playerId, 'Gamer', [seven]) };
    const courseId = newId();
    await bench.done([
      {
        do: 'addCourse',
        course: {
          id: courseId,
          name: 'Lagoa Funda',
          altitudeM: 0,
          latitudeDeg: 37,
          longitudeDeg: -8,
          grass: 'bent',
          sand: 'medium',
          tees: ['Back'],
          holes: [],
          seasons: [],
          notes: '',
        },
      },
    ]);
    const round = (day: string, name: string) => ({
      id: newId(),
      name,
      day,
      courseId,
      tee: 0,
      air: CALM,
      ground: USUAL_GROUND,
      forecast: null,
    });
    const event = {
      id: eventId,
      name: 'Lagoa Funda Cup; finale, "really"',
      rounds: [round('2027-03-27', 'Round 1'), round('2027-03-28', 'Round 2')],
      limits: { clubs: 14, lengthIn: 46 },
      notes: '',
    };
    await bench.done([
      { do: 'addEvent', event },
      {
        do: 'addPlan',
        plan: {
          id: newId(),
          bagId: newId(),
          playerId,
          eventId,
          name: event.name,
          course: '',
          startsOn: '2027-03-27',
          endsOn: '2027-03-28',
          ground: '',
          weather: '',
        },
      },
    ]);
  });

  it('is read by another calendar library: whole days over a change of clocks, ids that stay, a sequence that counts', async () => {
    const query = '?from=2027-01-01&to=2027-12-31&today=2027-01-02';
    const first = read(await text('ics', query));
    const event = first.find(({ uid }) => uid === `event-${eventId}@tasche`)!;
    expect(event).toMatchObject({
      name: 'Lagoa Funda Cup; finale, "really"',
      from: '2027-03-27',
      // Clocks change on the 28th; whole days end on the day after the last.
      to: '2027-03-29',
      isDate: true,
    });
    expect(first.find(({ uid }) => uid === `untouched-event-${eventId}@tasche`)).toMatchObject({
      from: '2027-03-13',
      to: '2027-03-27',
    });
    const { events } = (await bench.http.get('/api/schedule')).body as {
      events: { id: string; version: number }[];
    };
    await bench.done([
      {
        do: 'editEvent',
        eventId,
        version: events.find(({ id }) => id === eventId)!.version,
        set: { notes: 'moved' },
      },
    ]);
    const second = read(await text('ics', query));
    expect(second.map(({ uid }) => uid).sort()).toEqual(first.map(({ uid }) => uid).sort());
    const again = second.find(({ uid }) => uid === event.uid)!;
    expect(Number(again.sequence)).toBeGreaterThan(Number(event.sequence));
  });

  it('is the same day wherever the server stands', () => {
    const entry = {
      uid: 'x',
      kind: 'event' as const,
      name: 'Open',
      from: '2027-10-30',
      to: '2027-10-31',
      revision: 1,
    };
    const zone = process.env.TZ;
    try {
      for (const one of ['UTC', 'Pacific/Kiritimati', 'Pacific/Honolulu', 'Europe/Berlin']) {
        process.env.TZ = one;
        expect(read(seasonCalendar('A', [entry], '2026-11-26T10:00:00Z'))[0], one).toMatchObject({
          from: '2027-10-30',
          to: '2027-11-01',
        });
      }
    } finally {
      if (zone === undefined) delete process.env.TZ;
      else process.env.TZ = zone;
    }
  });

  it('has tee times on the event’s clocks, over a change of clocks, as another calendar library reads them', () => {
    const round = (day: string, zone: string | null) => ({
      uid: `round-${day}-${zone}`,
      kind: 'round' as const,
      name: 'Round',
      from: day,
      to: day,
      revision: 1,
      tee: { time: '08:40', zone },
    });
    const text = seasonCalendar(
      'A',
      [
        // Clocks in Oslo go forward on 28 March 2027; Oslo is Berlin by another name, and in no way to a
        // calendar.
        round('2027-03-27', 'Europe/Oslo'),
        round('2027-03-28', 'Europe/Oslo'),
        round('2027-03-28', 'America/Los_Angeles'),
        round('2027-03-28', null),
      ],
      '2026-11-26T10:00:00Z',
    );
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as never);
    const zones = calendar.getAllSubcomponents('vtimezone').map((zone) => new ICAL.Timezone(zone));
    expect(zones.map(({ tzid }) => tzid).sort()).toEqual(['America/Los_Angeles', 'Europe/Oslo']);
    const starts = calendar.getAllSubcomponents('vevent').map((component) => {
      const { startDate, endDate } = new ICAL.Event(component);
      const zone = zones.find(
        ({ tzid }) => tzid === component.getFirstProperty('dtstart')!.getParameter('tzid'),
      );
      const start = startDate.clone();
      if (zone) start.zone = zone;
      return [
        zone ? start.toJSDate().toISOString() : startDate.toString(),
        endDate.subtractDate(startDate).toSeconds() / 60,
      ];
    });
    expect(starts).toEqual([
      ['2027-03-27T07:40:00.000Z', 270],
      ['2027-03-28T06:40:00.000Z', 270],
      ['2027-03-28T15:40:00.000Z', 270],
      // Nobody said where the clocks are: that hour, wherever it is read.
      ['2027-03-28T08:40:00', 270],
    ]);
  });

  it('is in the calendar of everybody, as each player’s own; another van is not', async () => {
    const span = { from: '2027-01-01', to: '2027-12-31', today: '2027-01-02' };
    const asked = `from=${span.from}&to=${span.to}&today=${span.today}`;
    const page = (await bench.http.get(`/api/calendar?${asked}`).expect(200)).body as CalendarPage;
    const { events } = (await bench.http.get('/api/schedule')).body as { events: EventView[] };
    const own = seasonOf(await bench.sheet(playerId), events, span.from, span.to, span.today);
    const entry = page.rows.find(({ player }) => player.id === playerId)!;
    expect(entry.entries.map(({ uid, from, to }) => [uid, from, to])).toEqual(
      own.entries.filter(({ planId }) => planId !== null).map(({ uid, from, to }) => [uid, from, to]),
    );
    expect(entry.entries.length).toBeGreaterThan(3);
    expect(entry.clashes).toEqual(own.clashes);
    await bench.http.get('/api/calendar?from=2027-01-01&to=2026-12-31').expect(400);
    await bench.http.get('/api/calendar?from=2027-01-01&to=2029-12-31').expect(400);
    const other = await workbench();
    const theirs = (await other.http.get(`/api/calendar?${asked}`).expect(200)).body as CalendarPage;
    expect(theirs.rows).toEqual([]);
  });

  it('is a table, and refuses days that cannot be', async () => {
    const csv = await text('csv', '?from=2027-01-01&to=2027-12-31');
    expect(csv.split('\n')[0]).toBe('what,name,from,to,time,time zone');
    expect(csv).toContain('2027-03-27,2027-03-28');
    await bench.http.get(`/api/players/${playerId}/season.ics?from=2027-02-30`).expect(400);
    const { events } = (await bench.http.get('/api/schedule')).body as {
      events: { id: string; version: number }[];
    };
    const { version } = events.find(({ id }) => id === eventId)!;
    const refused = await bench
      .change([{ do: 'editEvent', eventId, version, set: { zone: 'Mars/Base' } }])
      .expect(400);
    expect(JSON.stringify(refused.body)).toContain('zone is not a known time zone, such as Europe/Oslo');
    await bench.http.get(`/api/players/${newId()}/season.ics`).expect(404);
    const other = await workbench();
    await other.http.get(`/api/players/${playerId}/season.csv`).expect(404);
  });

  it('a freeze asks for a reason before anything new is in the gamer, and takes it with one', async () => {
    const { seven, nine, gamer: gamerId } = clubs;
    const bend = (deg: number) => [on('loftSetDeg', deg, TODAY)];
    await bench.done([{ do: 'editClub', clubId: seven, version: 1, readings: bend(32) }]);
    const otherId = await bench.bag(playerId, 'Other', [nine]);
    await setSeason({
      rules: DEFAULT_SEASON_RULES,
      items: [{ id: newId(), kind: 'freeze', name: 'the season', from: TODAY, to: TODAY, repeats: 'yearly' }],
      trials: [],
    });
    const { body } = await bench.change([{ do: 'putIn', bagId: gamerId, clubId: nine }]).expect(422);
    expect((body as { message: string }).message).toContain('Nothing new: the season');
    await bench.change([{ do: 'makeGamer', bagId: otherId }]).expect(422);
    await bench.change([{ do: 'editClub', clubId: seven, version: 2, readings: bend(33) }]).expect(422);
    expect((await bench.sheet(playerId)).bags.find(({ gamer }) => gamer)!.clubIds).toEqual([seven]);
    // Measuring, another bag, taking out are nothing new.
    await bench
      .change([{ do: 'editClub', clubId: seven, version: 2, readings: [on('loftMeasuredDeg', 33, TODAY)] }])
      .expect(200);
    await bench.change([{ do: 'putIn', bagId: otherId, clubId: seven }]).expect(200);
    const done = await bench.done([{ do: 'putIn', bagId: gamerId, clubId: nine }], 'the 7 is cracked');
    expect(done.change.why).toBe('the 7 is cracked');
    // What was done can be taken back without another reason.
    await bench.undo(done.change.id).expect(200);
    await setSeason(null);
    await bench.change([{ do: 'putIn', bagId: gamerId, clubId: nine }]).expect(200);
  });

  it('says which item of a season cannot be', async () => {
    const { player } = await bench.sheet(playerId);
    const { body } = await bench
      .change([
        {
          do: 'editPlayer',
          playerId,
          version: player.version,
          set: {
            season: {
              rules: DEFAULT_SEASON_RULES,
              items: [
                { id: newId(), kind: 'trip', name: 'x', from: '2027-02-02', to: '2027-02-01', repeats: null },
              ],
              trials: [],
            },
          },
        },
      ])
      .expect(400);
    expect(JSON.stringify(body)).toContain('items[0] ends before it begins');
  });
});
