import { BASELINE, CALM, MEDIUM_FAIRWAY, USUAL_GROUND, USUAL_LIMITS, usualHole } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  COMMANDS,
  commandWords,
  parseChangeRequest,
  subjectOf,
  withCommands,
  type Command,
  type CommandName,
  type ScheduleView,
  type SessionsView,
  type SheetView,
} from '../src/index.js';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const [PLAYER, CLUB, BAG, PLAN, ROUND, COURSE, SEASON, EVENT, SESSION, STRIKE, TICKET, WISH, PLAYED] =
  Array.from({ length: 13 }, (_one, i) => id(i + 1)) as [
    ...[string, string, string, string, string, string],
    ...[string, string, string, string, string, string, string],
  ];
const NEW = id(99);

const details = {
  name: 'Week',
  course: 'Links',
  startsOn: '2026-12-01',
  endsOn: '2026-12-06',
  ground: '',
  weather: '',
};
const course = {
  name: 'Links',
  tees: ['Back'],
  holes: Array.from({ length: 9 }, () => usualHole(4, [380])),
  altitudeM: 10,
  latitudeDeg: null,
  longitudeDeg: null,
  grass: 'fescue' as const,
  sand: 'hard' as const,
  seasons: [],
  notes: '',
};
const { grass: _grass, sand: _sand, ...ground } = USUAL_GROUND;
const season = { name: 'Spring', fromMonth: 3, temperatureC: 12, humidityPct: 60, windMps: 5, ground };
const round = {
  id: ROUND,
  name: 'Thursday',
  day: '2026-12-03',
  courseId: COURSE,
  tee: 0,
  air: CALM,
  ground: USUAL_GROUND,
  forecast: null,
};
const event = { name: 'Open', rounds: [round], zone: 'Europe/Oslo', limits: USUAL_LIMITS, notes: '' };
const session = {
  name: 'Range',
  heldOn: '2026-11-20',
  conditions: BASELINE,
  surface: MEDIUM_FAIRWAY,
  hitOff: 'grass' as const,
  ball: '',
  notes: '',
};
const given = { carryM: 150 };
const ticket = {
  name: 'Bend the 5 iron',
  job: 'bend' as const,
  clubId: CLUB,
  wanted: [{ key: 'loftSetDeg' as const, value: 26 }],
  why: 'the step to the 6',
  eventId: null,
  dueOn: '2026-12-01',
};
const wish = {
  name: 'A 52',
  purpose: 'buy' as const,
  state: 'wished' as const,
  price: null,
  club: { kind: 'wedge' as const, loftDeg: 52 },
  clubId: null,
  notes: '',
};

const roundPlayed = {
  playedOn: '2026-11-21',
  name: 'Medal',
  courseId: COURSE,
  bagId: BAG,
  after: { hits: { [CLUB]: 4 }, says: '', keep: '' },
};

/** One of every command, as a browser sends it. */
const EXAMPLES: { [N in CommandName]: Extract<Command, { do: N }> } = {
  addPlayer: {
    do: 'addPlayer',
    player: { id: NEW, name: 'Ana', hand: 'right', distanceUnit: 'yd', notes: '' },
  },
  editPlayer: { do: 'editPlayer', playerId: PLAYER, version: 1, set: { handicap: 12 } },
  addClub: {
    do: 'addClub',
    club: { id: NEW, playerId: PLAYER, name: '7 iron', kind: 'iron' },
    readings: [{ key: 'loftStampedDeg', value: 33, takenOn: '2026-11-01' }],
  },
  editClub: {
    do: 'editClub',
    clubId: CLUB,
    version: 1,
    set: { name: '6 iron' },
    readings: [{ key: 'lieDeg', value: 62, takenOn: '2026-11-01' }],
  },
  removeClub: { do: 'removeClub', clubId: CLUB, version: 1 },
  addBag: { do: 'addBag', bag: { id: NEW, playerId: PLAYER, name: 'Winter' }, clubIds: [CLUB] },
  editBag: { do: 'editBag', bagId: BAG, version: 1, set: { note: 'cold' } },
  removeBag: { do: 'removeBag', bagId: BAG, version: 1 },
  putIn: { do: 'putIn', bagId: BAG, clubId: CLUB },
  takeOut: { do: 'takeOut', bagId: BAG, clubId: CLUB },
  makeGamer: { do: 'makeGamer', bagId: BAG },
  addPlan: { do: 'addPlan', plan: { id: NEW, bagId: id(98), playerId: PLAYER, ...details } },
  editPlan: { do: 'editPlan', planId: PLAN, version: 1, set: { weather: 'wind' } },
  setSwaps: { do: 'setSwaps', planId: PLAN, version: 1, swaps: [{ outId: CLUB, why: 'wind' }] },
  rebasePlan: { do: 'rebasePlan', planId: PLAN, version: 1 },
  removePlan: { do: 'removePlan', planId: PLAN, version: 1 },
  editRound: { do: 'editRound', planId: PLAN, version: 1, roundId: ROUND, set: { notes: [] } },
  setRoundBag: {
    do: 'setRoundBag',
    planId: PLAN,
    version: 1,
    roundId: ROUND,
    bagId: NEW,
    clubIds: [CLUB],
    swaps: [],
    triggers: [],
  },
  addCourse: { do: 'addCourse', course: { id: NEW, ...course } },
  editCourse: { do: 'editCourse', courseId: COURSE, version: 1, set: { name: 'Dunes' } },
  removeCourse: { do: 'removeCourse', courseId: COURSE, version: 1 },
  addSeason: { do: 'addSeason', season: { id: NEW, ...season } },
  editSeason: { do: 'editSeason', seasonId: SEASON, version: 1, set: { windMps: 7 } },
  removeSeason: { do: 'removeSeason', seasonId: SEASON, version: 1 },
  addEvent: { do: 'addEvent', event: { id: NEW, ...event } },
  editEvent: { do: 'editEvent', eventId: EVENT, version: 1, set: { notes: 'early' } },
  editEventRound: {
    do: 'editEventRound',
    eventId: EVENT,
    version: 1,
    roundId: ROUND,
    set: { air: { ...CALM, windMps: 9 } },
  },
  removeEvent: { do: 'removeEvent', eventId: EVENT, version: 1 },
  addSession: { do: 'addSession', session: { id: NEW, playerId: PLAYER, ...session } },
  editSession: {
    do: 'editSession',
    sessionId: SESSION,
    version: 1,
    set: { live: true, basket: [{ clubId: CLUB, shot: 'full', balls: 8, usualM: 7, nowM: 9, thenM: 4 }] },
  },
  removeSession: { do: 'removeSession', sessionId: SESSION, version: 1 },
  addStrikes: {
    do: 'addStrikes',
    sessionId: SESSION,
    strikes: [{ id: NEW, clubId: CLUB, shot: 'full', given }],
  },
  editStrikes: { do: 'editStrikes', sessionId: SESSION, strikeIds: [STRIKE], set: { leftOut: 'a duff' } },
  addTicket: { do: 'addTicket', ticket: { id: NEW, playerId: PLAYER, ...ticket } },
  editTicket: { do: 'editTicket', ticketId: TICKET, version: 1, set: { state: 'on the bench' } },
  finishTicket: {
    do: 'finishTicket',
    ticketId: TICKET,
    version: 1,
    takenOn: '2026-11-01',
    became: [{ key: 'loftMeasuredDeg', value: 28 }],
  },
  removeTicket: { do: 'removeTicket', ticketId: TICKET, version: 1 },
  addWish: { do: 'addWish', wish: { id: NEW, playerId: PLAYER, ...wish } },
  editWish: { do: 'editWish', wishId: WISH, version: 1, set: { price: 120, state: 'ordered' } },
  removeWish: { do: 'removeWish', wishId: WISH, version: 1 },
  addRoundPlayed: { do: 'addRoundPlayed', round: { id: NEW, playerId: PLAYER, ...roundPlayed } },
  editRoundPlayed: { do: 'editRoundPlayed', roundId: PLAYED, version: 1, set: { bagId: null } },
  removeRoundPlayed: { do: 'removeRoundPlayed', roundId: PLAYED, version: 1 },
};

const kept = { version: 1, removed: false };
const views: { sheet: SheetView; schedule: ScheduleView; sessions: SessionsView } = {
  sheet: {
    player: {
      id: PLAYER,
      version: 1,
      name: 'Ana',
      hand: 'right',
      distanceUnit: 'yd',
      notes: '',
      handicap: null,
      gapSettings: {},
      baseline: null,
      preferences: null,
      balls: [],
      season: null,
      archived: false,
    },
    clubs: [{ ...kept, id: CLUB, playerId: PLAYER, name: '5 iron', kind: 'iron', spec: {} }],
    bags: [
      {
        ...kept,
        id: BAG,
        playerId: PLAYER,
        name: 'Gamer',
        note: '',
        ready: false,
        gamer: false,
        strategy: 'even-carries',
        planId: null,
        clubIds: [CLUB, id(60)],
      },
      {
        ...kept,
        version: 1,
        id: id(97),
        playerId: PLAYER,
        name: 'Weekend',
        note: '',
        ready: false,
        gamer: true,
        strategy: 'even-carries',
        planId: null,
        clubIds: [id(60)],
      },
    ],
    plans: [
      {
        ...kept,
        ...details,
        id: PLAN,
        playerId: PLAYER,
        bagId: BAG,
        baseClubIds: [CLUB],
        swaps: [],
        choosing: null,
        eventId: EVENT,
        rounds: [],
      },
    ],
    planCount: 1,
    tickets: [
      {
        ...kept,
        ...ticket,
        id: TICKET,
        playerId: PLAYER,
        state: 'asked',
        became: [],
        misses: [],
        doneOn: null,
      },
    ],
    wishes: [{ ...kept, ...wish, expected: null, boughtOn: null, id: WISH, playerId: PLAYER }],
    roundsPlayed: [{ ...kept, ...roundPlayed, id: PLAYED, playerId: PLAYER }],
    asOf: null,
    lastChange: null,
  },
  schedule: {
    courses: [{ ...kept, ...course, id: COURSE }],
    seasons: [{ ...kept, ...season, id: SEASON }],
    events: [{ ...kept, ...event, id: EVENT }],
  },
  sessions: {
    sessions: [
      {
        ...kept,
        ...session,
        id: SESSION,
        playerId: PLAYER,
        source: 'by hand',
        live: false,
        aim: null,
        basket: null,
        strikes: 1,
        clubs: 1,
      },
    ],
    strikes: [
      {
        id: STRIKE,
        sessionId: SESSION,
        clubId: CLUB,
        shot: 'full',
        number: 1,
        hitAt: null,
        builtOn: '2026-11-20',
        given,
        leftOut: null,
      },
    ],
  },
};

const examples = Object.values(EXAMPLES).map((command) => [command.do, command] as [CommandName, Command]);

describe('every command', () => {
  it.each(examples)(
    '%s is let through as a browser sends it, and with an unknown field it is not',
    (_name, command) => {
      expect(parseChangeRequest({ id: id(50), commands: [command] }).commands).toEqual([command]);
      expect(() => parseChangeRequest({ id: id(50), commands: [{ ...command, more: 1 }] })).toThrow(
        'commands[0] has an unknown field: more',
      );
    },
  );

  it.each(examples)('%s changes its own view alone, and done twice it is done once', (name, command) => {
    const { view } = COMMANDS[name];
    for (const other of ['sheet', 'schedule', 'sessions'] as const) {
      if (other !== view) expect(withCommands(other, views[other] as never, [command])).toBe(views[other]);
    }
    const once = withCommands(view, views[view] as never, [command]);
    if (name !== 'addPlayer') expect(once).not.toEqual(views[view]);
    expect(withCommands(view, once, [command])).toEqual(once);
  });

  it.each(examples)('%s names its row and says in words what it asks for', (name, command) => {
    const subject = subjectOf(command);
    expect(subject.id).toMatch(/^0{8}-/);
    if (/^add(?!Strikes|Player|Course|Season|Event)/.test(name)) expect(subject.playerId).toBe(PLAYER);
    const words = commandWords(command, (one) => (one === CLUB ? '5 iron' : undefined), 'yd');
    expect(words.length).toBeGreaterThan(3);
    expect(words).not.toMatch(/undefined|\[object/);
  });

  it('opens a ticket that was missed again, and writes on the sheet what the club became', () => {
    const { tickets, clubs } = withCommands('sheet', views.sheet, [EXAMPLES.finishTicket]);
    expect(tickets[0]).toMatchObject({
      state: 'asked',
      misses: [{ key: 'loftSetDeg', wanted: 26, became: 28 }],
      doneOn: null,
    });
    expect(clubs[0]!.spec).toMatchObject({ loftSetDeg: { value: 26 }, loftMeasuredDeg: { value: 28 } });
  });

  it('names the value of a ticket that no club can have', () => {
    const { addTicket } = EXAMPLES;
    const wanted = (value: unknown) => ({ ...addTicket, ticket: { ...addTicket.ticket, wanted: [value] } });
    const sent = (value: unknown) => () => parseChangeRequest({ id: id(50), commands: [wanted(value)] });
    expect(sent({ key: 'loftSetDeg', value: 200 })).toThrow(/Set loft must be between/);
    expect(sent({ key: 'nonsense', value: 2 })).toThrow(/not a quantity/);
    expect(sent({ key: 'sleevePositions', value: 'up and away' })).toThrow(/cannot read "up and away"/);
    expect(sent({ key: 'loftSetDeg', value: 26 })).not.toThrow();
  });

  it('says values, so that they can be typed again', () => {
    expect(commandWords(EXAMPLES.editClub, () => '5 iron', 'yd')).toBe('5 iron: name 6 iron, lie 62.0°');
    expect(commandWords(EXAMPLES.removeClub, () => undefined, 'yd')).toBe('delete a club');
  });
});
