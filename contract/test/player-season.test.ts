import { DEFAULT_SEASON_RULES, USUAL_GROUND, CALM } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  bringsNew,
  freezeOf,
  occurrences,
  playerSeasonSchema,
  seasonOf,
  writeSeasonCsv,
  zoneSchema,
  type Command,
  type EventView,
  type PlayerSeason,
  type SeasonItem,
  type SheetView,
} from '../src/index.js';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const item = (more: Partial<SeasonItem>): SeasonItem => ({
  id: id(1),
  kind: 'freeze',
  name: 'the season',
  from: '2026-01-01',
  to: '2026-01-31',
  repeats: null,
  ...more,
});
const season = (more: Partial<PlayerSeason> = {}): PlayerSeason => ({
  rules: DEFAULT_SEASON_RULES,
  items: [],
  trials: [],
  ...more,
});
const event = (n: number, name: string, from: string, days = 2): EventView => ({
  id: id(n),
  version: 3,
  removed: false,
  name,
  notes: '',
  zone: null,
  limits: { clubs: 14, lengthIn: 46 },
  rounds: Array.from({ length: days }, (_one, i) => ({
    id: id(n * 10 + i),
    name: `Round ${i + 1}`,
    day: new Date(Date.parse(`${from}T00:00:00Z`) + i * 86_400_000).toISOString().slice(0, 10),
    courseId: id(900),
    tee: 0,
    air: CALM,
    ground: USUAL_GROUND,
    forecast: null,
  })),
});
const sheet = (more: object = {}) =>
  ({
    player: { id: id(100), version: 7, handicap: null, season: null },
    plans: [{ id: id(200), name: 'Lagoa Funda', eventId: id(2), startsOn: '', endsOn: '', version: 1 }],
    tickets: [],
    clubs: [{ id: id(300), name: '54', kind: 'wedge', version: 2, spec: {} }],
    bags: [{ id: id(400), gamer: true, clubIds: [id(300)] }],
    ...more,
  }) as unknown as SheetView;
const events = [event(2, 'Lagoa Funda', '2027-02-18'), event(3, 'Not mine', '2027-03-01')];
const YEAR = ['2027-01-01', '2027-12-31'] as const;

describe('what comes up again', () => {
  it('keeps its day over a change of clocks, and its length', () => {
    const weekly = item({ repeats: 'weekly', from: '2026-03-20', to: '2026-03-21' });
    expect(occurrences([weekly], '2026-03-20', '2026-04-12').map(({ from, to }) => [from, to])).toEqual([
      ['2026-03-20', '2026-03-21'],
      ['2026-03-27', '2026-03-28'],
      ['2026-04-03', '2026-04-04'],
      ['2026-04-10', '2026-04-11'],
    ]);
  });

  it('is there while it has begun before and is not over; the 31st of a short month is left out', () => {
    const yearly = item({ repeats: 'yearly', from: '2025-12-20', to: '2026-01-10' });
    expect(occurrences([yearly], '2027-01-05', '2027-01-06')).toMatchObject([
      { from: '2026-12-20', to: '2027-01-10', first: '2025-12-20' },
    ]);
    const monthly = item({ repeats: 'monthly', from: '2026-01-31', to: '2026-01-31' });
    expect(occurrences([monthly], '2026-01-01', '2026-05-31').map(({ from }) => from)).toEqual([
      '2026-01-31',
      '2026-03-31',
      '2026-05-31',
    ]);
    expect(occurrences([item({})], '2026-02-01', '2026-12-31')).toEqual([]);
  });

  it('refuses what cannot be by its field', () => {
    const bad = (value: object) => {
      try {
        playerSeasonSchema.validateSync({ ...season(), ...value }, { strict: true });
        return '';
      } catch (error) {
        return (error as Error).message;
      }
    };
    expect(bad({})).toBe('');
    expect(bad({ items: [item({ from: '2026-02-01', to: '2026-01-01' })] })).toBe(
      'items[0] ends before it begins',
    );
    expect(bad({ items: [{ ...item({}), kind: 'party' }] })).toContain('items[0].kind');
    expect(bad({ rules: { testDays: -1, playDays: 7, untouchedDays: 14 } })).toContain('rules.testDays');
    expect(zoneSchema.isValidSync('Europe/Oslo')).toBe(true);
    expect(zoneSchema.isValidSync('Mars/Base')).toBe(false);
  });
});

describe('a player’s season', () => {
  it('has windows before what is planned, nothing before what is not, and the first check due today', () => {
    const { entries } = seasonOf(sheet(), events, ...YEAR, '2027-01-10');
    expect(entries.map(({ kind, from, to }) => [kind, from, to])).toEqual([
      ['check', '2027-01-10', '2027-01-10'],
      ['test', '2027-01-21', '2027-01-27'],
      ['play', '2027-01-28', '2027-02-03'],
      ['untouched', '2027-02-04', '2027-02-17'],
      ['event', '2027-02-18', '2027-02-19'],
      ['event', '2027-03-01', '2027-03-02'],
    ]);
    expect(entries.filter(({ kind }) => kind === 'event').map(({ planId }) => planId)).toEqual([
      id(200),
      null,
    ]);
    expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length);
  });

  it('holds the tee times of events that are planned, on the event’s own clocks', () => {
    const open = { ...event(2, 'Lagoa Funda', '2027-03-27', 2), zone: 'Atlantic/Azores' };
    const [first, second] = open.rounds;
    const teed = { ...open, rounds: [{ ...first!, teeTime: '08:40' }, second!] };
    const tees = (events: readonly EventView[]) =>
      seasonOf(sheet(), events, '2027-01-01', '2027-12-31', '2027-01-01').entries.filter(
        ({ kind }) => kind === 'round',
      );
    expect(tees([teed])).toMatchObject([
      { name: 'Lagoa Funda, Round 1', from: '2027-03-27', tee: { time: '08:40', zone: 'Atlantic/Azores' } },
    ]);
    expect(writeSeasonCsv(tees([teed]))).toContain(
      'round,"Lagoa Funda, Round 1",2027-03-27,2027-03-27,08:40,Atlantic/Azores',
    );
    // Nobody tees off at an event they are not planned for.
    expect(tees([{ ...teed, id: id(7) }])).toEqual([]);
  });
  it('points out new wedges four days before an event, but not a new grip', () => {
    const ticket = (n: number, job: string, name: string) => ({
      id: id(n),
      job,
      name,
      clubId: id(300),
      dueOn: '2027-02-14',
      state: 'asked',
      version: 1,
    });
    const { clashes } = seasonOf(
      sheet({ tickets: [ticket(501, 'build', 'New wedges'), ticket(502, 'grip', 'New grip')] }),
      events,
      ...YEAR,
      '2027-01-10',
    );
    expect(clashes.map(({ text }) => text)).toEqual(['New wedges: four days before Lagoa Funda.']);
  });

  it('is a table with a head, whatever the names hold', () => {
    const { entries } = seasonOf(
      sheet(),
      [event(2, '=Open, "the" one', '2027-02-18')],
      ...YEAR,
      '2027-01-10',
    );
    const [head, ...rows] = writeSeasonCsv(entries).split('\n');
    expect(head).toBe('what,name,from,to,time,time zone');
    expect(rows.at(-1)).toContain(`"'=Open, ""the"" one",2027-02-18,2027-02-19`);
  });
});

describe('a freeze', () => {
  const frozen = sheet({
    player: { season: season({ items: [item({ repeats: 'yearly' })] }) },
  });

  it('holds every year it comes up in', () => {
    expect(freezeOf(frozen, '2029-01-15')?.name).toBe('the season');
    expect(freezeOf(frozen, '2029-02-01')).toBeUndefined();
    expect(freezeOf(sheet(), '2027-01-15')).toBeUndefined();
  });

  const of = (value: number, takenOn = '2026-10-01') => ({ value, takenOn });
  const spec = { loftSetDeg: of(54), loftMeasuredDeg: of(54), loftStampedDeg: of(54) };
  const playing = {
    ...frozen,
    clubs: [{ ...frozen.clubs[0]!, spec }],
    bags: [frozen.bags[0]!, { ...frozen.bags[0]!, id: id(401), gamer: false, clubIds: [] }],
  };
  const reading = (key: string, value: number, takenOn = '2027-01-01') =>
    ({
      do: 'editClub',
      clubId: id(300),
      version: 1,
      readings: [{ key, value, takenOn }],
    }) as unknown as Command;

  it('is about what is new in the gamer: another club, another bag, another build', () => {
    expect(bringsNew(playing, [{ do: 'putIn', bagId: id(400), clubId: id(301) }])).toBe(true);
    expect(bringsNew(playing, [{ do: 'makeGamer', bagId: id(401) }])).toBe(true);
    expect(bringsNew(playing, [reading('loftSetDeg', 55)])).toBe(true);
  });

  it('is not about what is measured, put away, written down for the first time, late, or the same', () => {
    expect(bringsNew(playing, [reading('loftMeasuredDeg', 55)])).toBe(false);
    expect(bringsNew(playing, [reading('loftStampedDeg', 55)])).toBe(false);
    expect(bringsNew(playing, [reading('lengthIn', 35)])).toBe(false);
    expect(bringsNew(playing, [reading('loftSetDeg', 55, '2026-09-01')])).toBe(false);
    expect(bringsNew(playing, [reading('loftSetDeg', 54)])).toBe(false);
    expect(bringsNew(playing, [{ do: 'takeOut', bagId: id(400), clubId: id(300) }])).toBe(false);
    expect(bringsNew(playing, [{ do: 'putIn', bagId: id(401), clubId: id(301) }])).toBe(false);
  });

  it('is about a job that is handed in as well', () => {
    const ticket = {
      id: id(600),
      clubId: id(300),
      state: 'asked',
      wanted: [{ key: 'loftSetDeg', value: 55 }],
    };
    const finish = { do: 'finishTicket', ticketId: id(600), version: 1, takenOn: '2027-01-01', became: [] };
    expect(
      bringsNew({ ...playing, tickets: [ticket] } as unknown as SheetView, [finish as unknown as Command]),
    ).toBe(true);
  });
});
