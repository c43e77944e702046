import { CALM, USUAL_GROUND, requireCourse, usualHole, type Hole } from '@tasche/core';
import {
  courseGroundSchema,
  roundAirSchema,
  type ChangeResult,
  type ScheduleView,
  type Command,
  type CourseDetails,
  type ForecastView,
  type Page,
  type RosterEntry,
  type RoundChoiceView,
  type SheetView,
} from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startWeather } from '../../standins/weather/weather.js';
import { loadDemo } from '../src/demo/load-demo.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { Workspace } from '../src/workspaces/workspace.js';
import { weatherAt } from '../src/weather/forecast-source.js';
import request from 'supertest';
import { carry, on, workbench, workbenchIn, type Workbench } from './workbench.js';

const DEMO = '7a5c4e00-0000-4000-8000-00000000de30';

const eighteen = (): Hole[] =>
  Array.from({ length: 18 }, (_one, i) => ({
    ...usualHole([4, 3, 5][i % 3]!, [[380, 165, 500][i % 3]!]),
    bearingDeg: i * 20,
  }));
const course = (more: Partial<CourseDetails> = {}): CourseDetails => ({
  name: 'Test Links',
  altitudeM: 10,
  latitudeDeg: 63.1,
  longitudeDeg: -8.9,
  grass: 'fescue',
  sand: 'hard',
  tees: ['Back'],
  holes: eighteen(),
  seasons: [],
  notes: '',
  ...more,
});
const scheduleOf = async (bench: Workbench) =>
  (await bench.http.get('/api/schedule').expect(200)).body as ScheduleView;
async function withCourse(bench: Workbench, more: Partial<CourseDetails> = {}): Promise<string> {
  const id = newId();
  await bench.done([{ do: 'addCourse', course: { id, ...course(more) } }]);
  return id;
}
const round = (courseId: string, name = 'Round 1') => ({
  id: newId(),
  name,
  day: '2026-12-04',
  courseId,
  tee: 0,
  air: { ...CALM, windMps: 6, windFromDeg: 250 },
  ground: USUAL_GROUND,
  forecast: null,
});

/** A player with a small bag, planned for an event of one round. */
async function planned(bench: Workbench) {
  const playerId = await bench.player('m');
  const clubs = [
    ['5 iron', 165],
    ['7 iron', 145],
    ['9 iron', 122],
    ['PW', 108],
    ['Driver', 230],
  ] as const;
  const ids = await Promise.all(
    clubs.map(([name, m]) => bench.club(playerId, name, [on('loftStampedDeg', 30), carry(m)])),
  );
  await bench.bag(playerId, 'Gamer', ids.slice(0, 4));
  const courseId = await withCourse(bench);
  const event = {
    id: newId(),
    name: 'Test Open',
    rounds: [round(courseId), round(courseId, 'Round 2')],
    limits: { clubs: 14, lengthIn: 46 },
    notes: '',
  };
  const planId = newId();
  await bench.done([
    { do: 'addEvent', event },
    {
      do: 'addPlan',
      plan: {
        id: planId,
        bagId: newId(),
        playerId,
        eventId: event.id,
        name: 'Test Open',
        course: '',
        startsOn: '2026-12-04',
        endsOn: '2026-12-05',
        ground: '',
        weather: '',
      },
    },
  ]);
  return { playerId, ids, courseId, event, planId };
}

describe('courses, seasons and events', () => {
  it("are recorded, changed, deleted and brought back; another's are not to be seen", async () => {
    const [mine, theirs] = [await workbench(), await workbench()];
    const id = await withCourse(mine);
    await mine.done([
      {
        do: 'addSeason',
        season: {
          id: newId(),
          name: 'winter',
          fromMonth: 12,
          temperatureC: 4,
          humidityPct: 85,
          windMps: 5,
          ground: { fairways: 'soft', greens: 'soft', rough: 'short', wet: true, greenSpeedM: 2.4 },
        },
      },
    ]);
    expect((await scheduleOf(mine)).courses).toMatchObject([
      { id, name: 'Test Links', version: 1, holes: { length: 18 } },
    ]);
    expect(await scheduleOf(theirs)).toEqual({ courses: [], seasons: [], events: [] });
    await theirs
      .change([{ do: 'editCourse', courseId: id, version: 1, set: { name: 'Mine now' } }])
      .expect(404);
    await expect(
      inWorkspace(theirs.orm, { workspaceId: theirs.workspaceId }, (em) =>
        em.execute('update course set name = ? where workspace_id = ? returning id', [
          'mine now',
          mine.workspaceId,
        ]),
      ),
    ).resolves.toEqual([]);
    await mine.done([{ do: 'editCourse', courseId: id, version: 1, set: { altitudeM: 20 } }]);
    await mine
      .change([{ do: 'editCourse', courseId: id, version: 1, set: { altitudeM: 30 } }])
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({
          conflicts: [{ field: 'altitudeM', yours: 30, theirs: 20, version: 2 }],
        });
      });
    const { change } = await mine.done([{ do: 'removeCourse', courseId: id, version: 2 }]);
    expect((await scheduleOf(mine)).courses).toEqual([]);
    await mine.undo(change.id).expect(200);
    expect((await scheduleOf(mine)).courses).toMatchObject([{ id, altitudeM: 20 }]);
  });

  it.each<[string, Partial<CourseDetails>, RegExp]>([
    ['seven holes', { holes: eighteen().slice(0, 7) }, /holes must be 9 or 18/],
    ['nineteen holes', { holes: [...eighteen(), usualHole(4, [300])] }, /holes must be 9 or 18/],
    [
      'a hole of nothing',
      { holes: eighteen().with(3, usualHole(4, [0])) },
      /holes\[3\]\.lengthsM\[0\] must be between 40 and 700 m/,
    ],
    [
      'a hole with one length too few',
      { tees: ['Back', 'Front'] },
      /hole 1: length must be given for each of the 2 tees/,
    ],
    [
      'a hazard that ends before it begins',
      {
        holes: eighteen().with(0, {
          ...usualHole(4, [380]),
          hazards: [{ kind: 'water', side: 'left', fromM: 200, toM: 150 }],
        }),
      },
      /holes\[0\]\.hazards\[0\] ends before it begins/,
    ],
    ['no tee', { tees: [] }, /tees must name at least one tee/],
    ['a latitude of 91', { latitudeDeg: 91 }, /latitudeDeg must be between -90 and 90/],
  ])('%s is refused by name, and nothing kept', async (_what, more, message) => {
    const bench = await workbench();
    const { body } = await bench
      .change([{ do: 'addCourse', course: { id: newId(), ...course(more) } }])
      .expect(400);
    expect(JSON.stringify(body)).toMatch(message);
    expect((await scheduleOf(bench)).courses).toEqual([]);
  });

  it('an event stands on courses that are there, from tees they have, and holds on to them', async () => {
    const bench = await workbench();
    const courseId = await withCourse(bench);
    const event = (rounds: readonly object[]) =>
      bench.change([
        {
          do: 'addEvent',
          event: { id: newId(), name: 'Open', rounds, limits: { clubs: 14, lengthIn: 46 }, notes: '' },
        } as Command,
      ]);
    await event([round(newId())])
      .expect(400)
      .expect(({ body }) => {
        expect((body as { message: string }).message).toMatch(/Round 1 is on a course that is not here/);
      });
    await event([{ ...round(courseId), tee: 1 }])
      .expect(400)
      .expect(({ body }) => {
        expect((body as { message: string }).message).toMatch(/Test Links has 1 tee/);
      });
    await event([]).expect(400);
    await event([round(courseId)]).expect(200);
    await bench
      .change([{ do: 'removeCourse', courseId, version: 1 }])
      .expect(422)
      .expect(({ body }) => {
        expect((body as { message: string }).message).toMatch(/played at Open/);
      });
  });

  it("a round is given its bag, changed and undone with the plan's history; a bag of nobody's clubs, or of no round, is refused", async () => {
    const bench = await workbench();
    const { ids, event, planId, playerId } = await planned(bench);
    const bagId = newId();
    const order = (more: object = {}) =>
      [
        {
          do: 'setRoundBag',
          planId,
          version: 1,
          roundId: event.rounds[0]!.id,
          bagId,
          clubIds: ids.slice(1),
          swaps: [{ outId: ids[0], inId: ids[4], why: 'worth 0.4 strokes' }],
          triggers: [
            {
              text: 'If the wind is over 9 m/s, the 5 iron for the driver.',
              outIds: [ids[4]],
              inIds: [ids[0]],
            },
          ],
          ...more,
        },
      ] as Command[];
    await bench.change(order({ roundId: newId() })).expect(400);
    await bench.change(order({ clubIds: [ids[1], ids[1]] })).expect(400);
    await bench.change(order({ clubIds: [newId()] })).expect(404);
    const { change } = await bench.done(order());
    const sheet = await bench.sheet(playerId);
    const bagOf = (view: SheetView) => view.bags.find((bag) => bag.id === bagId);
    expect(bagOf(sheet)).toMatchObject({ name: 'Test Open, Round 1', planId, clubIds: ids.slice(1) });
    expect(sheet.plans[0]).toMatchObject({
      eventId: event.id,
      rounds: [
        { roundId: event.rounds[0]!.id, bagId, swaps: [{ inId: ids[4] }], triggers: [{ text: /over 9 m/ }] },
      ],
    });
    await bench.done([
      {
        do: 'editRound',
        planId,
        version: 2,
        roundId: event.rounds[0]!.id,
        set: { after: { hits: { [ids[1]!]: 6 }, says: 'The 7 iron was right.', keep: 'Keep it.' } },
      },
    ]);
    expect((await bench.sheet(playerId)).plans[0]!.rounds[0]!.after).toMatchObject({
      says: 'The 7 iron was right.',
    });
    // Several rounds settled in one change were all written over the same plan.
    const two = event.rounds.map((one, i) => ({
      do: 'setRoundBag',
      planId,
      version: 3,
      roundId: one.id,
      bagId: i === 0 ? bagId : newId(),
      clubIds: ids.slice(1),
      swaps: [],
      triggers: [],
    })) as Command[];
    const both = await bench.done(two);
    expect(both.plans[0]).toMatchObject({ version: 4, rounds: [{ bagId }, { swaps: [] }] });
    await bench
      .change(two.map((one) => ({ ...one, swaps: [{ outId: ids[1]!, why: 'too long' }] }) as Command))
      .expect(409);
    await bench.undo(change.id).expect(409);
    await bench.undo(both.change.id).expect(200);
    const {
      body: { rows: history },
    } = await bench.http.get(`/api/players/${playerId}/changes`).expect(200);
    expect((history as { summary: string }[])[2]!.summary).toBe('Test Open: the bag of Round 1, 4 clubs');
    // The bag goes back, what the player said since stays; then that goes back too.
    const { change: undone } = (await bench.undo(change.id).expect(200)).body as ChangeResult;
    expect(bagOf(await bench.sheet(playerId))).toBeUndefined();
    expect((await bench.sheet(playerId)).plans[0]!.rounds).toMatchObject([
      { bagId: null, swaps: [], triggers: [], after: { says: 'The 7 iron was right.' } },
    ]);
    await bench.undo((history as { id: string }[])[1]!.id).expect(200);
    expect((await bench.sheet(playerId)).plans[0]!.rounds).toMatchObject([{ bagId: null, after: null }]);
    await bench.undo(undone.id).expect(200);
    expect(bagOf(await bench.sheet(playerId))?.clubIds).toEqual(ids.slice(1));
  });

  it("two people at different rounds of one event are not in each other's way; at one round the second is shown both", async () => {
    const bench = await workbench();
    const caddie = workbenchIn(bench.orm, bench.workspaceId, 'Ruth');
    const { event, ids, planId, playerId } = await planned(bench);
    const [first, second] = event.rounds.map(({ id }) => id) as [string, string];
    const eventRound = (roundId: string, version: number, set: object) =>
      ({ do: 'editEventRound', eventId: event.id, version, roundId, set }) as Command;
    const windy = { ...CALM, windMps: 11, windFromDeg: 200 };
    const { change: one } = await bench.done([eventRound(first, 1, { air: windy })]);
    await caddie.done([eventRound(second, 1, { air: { ...CALM, temperatureC: 3 } })]);
    const ground = { ...USUAL_GROUND, greens: 'firm' as const };
    // Another part of the first round is nobody's either.
    await caddie.done([eventRound(first, 1, { ground })]);
    await caddie
      .change([eventRound(first, 1, { air: CALM, ground })])
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ conflicts: [{ field: 'air', yours: CALM, theirs: windy, version: 4 }] });
      });
    const roundsOf = async () => (await scheduleOf(bench)).events[0]!.rounds;
    expect(await roundsOf()).toMatchObject([{ air: windy, ground }, { air: { temperatureC: 3 } }]);
    await bench.change([eventRound(newId(), 4, { air: CALM })]).expect(400);
    await bench.change([eventRound(first, 4, { air: { ...CALM, windMps: 90 } })]).expect(400);
    await bench.change([eventRound(first, 4, { name: 'Thursday' })]).expect(400);
    // The first change goes back alone.
    await bench.undo(one.id).expect(200);
    expect(await roundsOf()).toMatchObject([{ air: { windMps: 6 }, ground }, { air: { temperatureC: 3 } }]);

    const after = (says: string) => ({ after: { hits: {}, says, keep: '' } });
    await bench.done([{ do: 'editRound', planId, version: 1, roundId: first, set: after('Right.') }]);
    await caddie.done([{ do: 'editRound', planId, version: 1, roundId: second, set: after('Too long.') }]);
    await caddie.done([{ do: 'editPlan', planId, version: 1, set: { name: 'Open week' } }]);
    await caddie
      .change([{ do: 'editRound', planId, version: 1, roundId: first, set: after('Wrong.') }])
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ conflicts: [{ field: 'after', theirs: { says: 'Right.' } }] });
      });
    await caddie.change([{ do: 'removePlan', planId, version: 1 }]).expect(409);
    // What was nothing when it was seen, and is something now, was touched too.
    const wishes = (limit: number) => ({
      choosing: { needs: [], limit, changeStrokes: 0.02, always: [], never: [] },
    });
    const seen = (await bench.sheet(playerId)).plans[0]!.version;
    await bench.done([{ do: 'editPlan', planId, version: seen, set: wishes(13) }]);
    await caddie
      .change([{ do: 'editPlan', planId, version: seen, set: wishes(12) }])
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({
          conflicts: [{ field: 'choosing', yours: { limit: 12 }, theirs: { limit: 13 } }],
        });
      });
    expect((await bench.sheet(playerId)).plans[0]).toMatchObject({
      name: 'Open week',
      rounds: [{ after: { says: 'Right.' } }, { after: { says: 'Too long.' } }],
    });
    // Moved and renamed, the event takes the plan with it, but not a name of the plan's own; the roster says
    // what is still to be settled.
    const standing = (await scheduleOf(bench)).events[0]!;
    const other = await withCourse(bench, { name: 'Other Links' });
    await bench.done([
      {
        do: 'editEvent',
        eventId: event.id,
        version: standing.version,
        set: {
          name: 'Test Masters',
          rounds: standing.rounds.map((one, i) => ({
            ...one,
            day: `2026-12-1${i}`,
            courseId: i === 0 ? one.courseId : other,
          })),
        },
      },
    ]);
    expect((await bench.sheet(playerId)).plans[0]).toMatchObject({
      name: 'Open week',
      startsOn: '2026-12-10',
      endsOn: '2026-12-11',
      course: 'Test Links, Other Links',
    });
    const nextPlan = async () =>
      ((await bench.http.get('/api/players?today=2026-11-25').expect(200)).body as Page<RosterEntry>).rows[0]!
        .nextPlan;
    expect(await nextPlan()).toMatchObject({ startsOn: '2026-12-10', rounds: { of: 2, settled: 0 } });
    // A plan that has the event's name keeps having it.
    await bench.done([
      {
        do: 'editPlan',
        planId,
        version: (await bench.sheet(playerId)).plans[0]!.version,
        set: { name: 'Test Masters' },
      },
    ]);
    await bench.done([
      { do: 'editEvent', eventId: event.id, version: standing.version + 1, set: { name: 'Test Cup' } },
    ]);
    expect((await bench.sheet(playerId)).plans[0]).toMatchObject({
      name: 'Test Cup',
      startsOn: '2026-12-10',
    });
    const {
      plans: [plan],
    } = await bench.sheet(playerId);
    await bench.done([
      {
        do: 'setRoundBag',
        planId,
        version: plan!.version,
        roundId: first,
        bagId: newId(),
        clubIds: ids.slice(0, 3),
        swaps: [],
        triggers: [],
      },
    ]);
    expect(await nextPlan()).toMatchObject({ rounds: { of: 2, settled: 1 } });
    // Two things of one change over an old version are one person's own.
    await bench.done([
      eventRound(second, 1, { forecast: null }),
      eventRound(second, 1, {
        forecast: { source: 'by hand', askedAt: '2026-11-25T10:00:00Z', members: [CALM] },
      }),
    ]);
  });

  it('says the choice of a round to a script, beside the server', async () => {
    const bench = await workbench();
    const { ids, event, planId, courseId } = await planned(bench);
    const address = `/api/plans/${planId}/rounds/${event.rounds[0]!.id}/choice`;
    const { body } = await bench.http.get(address).expect(200);
    const { answer, needs, why } = body as RoundChoiceView;
    expect(new Set(answer!.best.ids)).toEqual(new Set(ids));
    expect(answer!.proof.proved).toBe(true);
    expect(needs.length).toBeGreaterThan(20);
    expect(why.join(' ')).toMatch(/Without it the round costs/);
    await bench.http.get(`/api/plans/${planId}/rounds/${newId()}/choice`).expect(404);
    await (await workbench()).http.get(address).expect(404);
    await bench.done([{ do: 'editCourse', courseId, version: 1, set: { holes: [] } }]);
    await bench.http
      .get(address)
      .expect(400)
      .expect(({ body: problem }) => {
        expect((problem as { message: string }).message).toMatch(/holes of Test Links are not recorded yet/);
      });
  });
});

describe('the forecast', () => {
  let weather: Awaited<ReturnType<typeof startWeather>>, slow: Awaited<ReturnType<typeof startWeather>>;
  beforeAll(async () => {
    weather = await startWeather({ port: 0, seed: 1, members: 12, delayMs: 0 });
    slow = await startWeather({ port: 0, seed: 1, members: 12, delayMs: 5000 });
  });
  afterAll(async () => {
    await weather.close();
    await slow.close();
  });
  const asking = (bench: Workbench, port: number, waitMs?: number) =>
    request(bench.app({ weather: weatherAt(`http://127.0.0.1:${port}`, waitMs) }));

  it("comes as an ensemble, the same for the same day, wider the farther off, of the place's own climate", async () => {
    const bench = await workbench();
    const [links, desert] = [
      await withCourse(bench),
      await withCourse(bench, { latitudeDeg: 27.6, longitudeDeg: -40.1, altitudeM: 420 }),
    ];
    const today = new Date().toISOString().slice(0, 10);
    const ask = async (id: string, days: number) =>
      (
        await asking(bench, weather.port)
          .get(`/api/courses/${id}/forecast?from=${today}&days=${days}`)
          .expect(200)
      ).body as ForecastView;
    const first = await ask(links, 12);
    expect(first.days).toHaveLength(12);
    expect((await ask(links, 12)).days).toEqual(first.days);
    for (const { members } of first.days)
      for (const member of members)
        expect(() => roundAirSchema.validateSync(member, { strict: true })).not.toThrow();
    const spread = ({ members }: { members: readonly { temperatureC: number }[] }) =>
      Math.max(...members.map((one) => one.temperatureC)) -
      Math.min(...members.map((one) => one.temperatureC));
    const early = first.days.slice(0, 3).reduce((sum, day) => sum + spread(day), 0),
      late = first.days.slice(9).reduce((sum, day) => sum + spread(day), 0);
    expect(late).toBeGreaterThan(early);
    const mean = ({ days }: ForecastView) =>
      days.flatMap((day) => day.members).reduce((sum, one) => sum + one.temperatureC, 0) / (days.length * 12);
    expect(mean(await ask(desert, 12))).toBeGreaterThan(mean(first) + 8);
  });

  it('that never arrives is reported, in time; so are no service, nonsense, and a course without a position', async () => {
    const bench = await workbench();
    const id = await withCourse(bench);
    const from = '/forecast?from=2026-12-04&days=2';
    await bench.http
      .get(`/api/courses/${id}${from}`)
      .expect(422)
      .expect(({ body }) => {
        expect((body as { message: string }).message).toMatch(/No weather service is set up/);
      });
    await asking(bench, slow.port, 150)
      .get(`/api/courses/${id}${from}`)
      .expect(504)
      .expect(({ body }) => {
        expect((body as { message: string }).message).toMatch(/did not arrive within 0\.15 s.*by hand/);
      });
    await asking(bench, 1, 500).get(`/api/courses/${id}${from}`).expect(504);
    await asking(bench, weather.port).get(`/api/courses/${id}/forecast?from=tomorrow&days=2`).expect(400);
    await asking(bench, weather.port).get(`/api/courses/${id}/forecast?from=2026-12-04&days=40`).expect(400);
    const nowhere = await withCourse(bench, { latitudeDeg: null });
    await asking(bench, weather.port)
      .get(`/api/courses/${nowhere}${from}`)
      .expect(422)
      .expect(({ body }) => {
        expect((body as { message: string }).message).toMatch(/position of .* is not recorded/);
      });
    await asking(await workbench(), weather.port)
      .get(`/api/courses/${id}${from}`)
      .expect(404);
  });
});

describe('the demo', () => {
  it('is whole, loads once, and holds four players with full bags, lockers of twenty and more, four courses, and the honest faults it is meant to hold', async () => {
    const { orm } = await workbench();
    await loadDemo(orm);
    await loadDemo(orm);
    const demo = workbenchIn(orm, DEMO, 'Jonas Brandl');
    const { courses, seasons, events } = await scheduleOf(demo);
    expect(courses.map(({ name }) => name)).toEqual([
      'Erg Chebka',
      'Hochfirn',
      'Lagoa Funda',
      'Skarvoy Links',
    ]);
    expect(seasons).toHaveLength(4);
    expect(events).toHaveLength(4);
    for (const one of courses) {
      expect(() => {
        requireCourse(one);
      }).not.toThrow();
      expect(one.holes.reduce((sum, { par }) => sum + par, 0)).toBeGreaterThanOrEqual(69);
      for (const { air, ground } of one.seasons) {
        expect(() => roundAirSchema.validateSync(air, { strict: true })).not.toThrow();
        expect(() => courseGroundSchema.validateSync(ground, { strict: true })).not.toThrow();
      }
    }
    const { rows: roster } = (await demo.http.get('/api/players?today=2026-11-25').expect(200))
      .body as Page<RosterEntry>;
    expect(roster.map((entry) => entry.player.name)).toEqual([
      'Davor Kolar',
      'Maren Tveit',
      'Oluchi Nwosu',
      'Pim Hoekstra',
    ]);
    expect(Math.min(...roster.map((entry) => entry.clubsOwned))).toBeGreaterThanOrEqual(20);
    const sheets: SheetView[] = await Promise.all(roster.map((entry) => demo.sheet(entry.player.id)));
    expect(sheets.filter((sheet) => sheet.bags.some((bag) => bag.clubIds.length === 14))).toHaveLength(4);
    // Every change since the sheet was recorded changed something.
    for (const { player } of roster) {
      const { body } = await demo.http
        .get(`/api/players/${player.id}/differences?from=2026-09-30&to=2199-12-31`)
        .expect(200);
      if (player.name !== 'Oluchi Nwosu') expect((body as unknown[]).length, player.name).toBeGreaterThan(0);
    }
    expect(sheets.flatMap((sheet) => sheet.clubs).some((club) => club.spec.hitsPerRound?.value === 0)).toBe(
      true,
    );
  });

  it('starts again whatever was renamed in it, and whether or not its load was cut short', async () => {
    const { orm } = await workbench();
    await loadDemo(orm);
    const demo = workbenchIn(orm, DEMO, 'Jonas Brandl');
    const {
      rows: [davor],
    } = (await demo.http.get('/api/players?limit=1').expect(200)).body as Page<RosterEntry>;
    const { clubs } = await demo.sheet(davor!.player.id);
    const renamed = await demo.done(
      clubs.slice(-3).map((club) => ({
        do: 'editClub',
        clubId: club.id,
        version: club.version,
        set: { name: `was ${club.name}`.slice(0, 40) },
      })),
    );
    await loadDemo(orm);
    await orm.em.fork().nativeUpdate(Workspace, { id: DEMO }, { demoLoadedAt: null });
    await loadDemo(orm);
    expect(
      (await demo.sheet(davor!.player.id)).clubs.slice(-3).every(({ name }) => name.startsWith('was ')),
    ).toBe(true);
    await demo.undo(renamed.change.id).expect(200);
  });
});
