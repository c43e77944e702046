import {
  emptyRound,
  type CourseView,
  type EventView,
  type PlanView,
  type PlayerSeason,
  type SeasonEntry,
} from '@tasche/contract';
import { CALM, DEFAULT_SEASON_RULES, USUAL_GROUND, usualHole } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { format } from 'date-fns';
import { beforeEach, describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import FreezeReason from '../../src/season/FreezeReason.vue';
import SeasonAgenda from '../../src/season/SeasonAgenda.vue';
import SeasonMonth from '../../src/season/SeasonMonth.vue';
import SeasonTrials from '../../src/season/SeasonTrials.vue';
import TripClubs from '../../src/season/TripClubs.vue';
import { seasonRounds } from '../../src/season/season-rounds';
import { importedEvents } from '../../src/season/event-import';
import type { EventRow } from '../../src/season/event-row';
import { readCalendar } from '../../src/season/read-calendar';
import { calendarLocale, firstDayOfWeek } from '../../src/season/week-start';
import { useSheet } from '../../src/sheet/sheet-store';
import { clubView, sheetOf, showSchedule, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const TODAY = format(new Date(), 'yyyy-MM-dd');
const calendar = (...events: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y', ...events, 'END:VCALENDAR'].join('\r\n');
const vevent = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:u1', ...lines, 'END:VEVENT'].join('\r\n');
const one = (...lines: string[]) => readCalendar(calendar(vevent(...lines)))[0]!;

describe('a calendar file', () => {
  it('whole days end on the day before their end', () => {
    expect(
      one('SUMMARY:Lagoa Funda', 'DTSTART;VALUE=DATE:20270327', 'DTEND;VALUE=DATE:20270329'),
    ).toMatchObject({
      uid: 'u1',
      name: 'Lagoa Funda',
      from: '2027-03-27',
      to: '2027-03-28',
      problem: null,
    });
    expect(one('SUMMARY:One day', 'DTSTART;VALUE=DATE:20270327')).toMatchObject({
      from: '2027-03-27',
      to: '2027-03-27',
    });
  });

  it('an event’s days are those of its own zone, over a change of clocks and round the world', () => {
    expect(
      one(
        'SUMMARY:Far Open',
        'DTSTART;TZID=Pacific/Auckland:20270403T230000',
        'DTEND;TZID=Pacific/Auckland:20270404T170000',
      ),
    ).toMatchObject({
      from: '2027-04-03',
      to: '2027-04-04',
      zone: 'Pacific/Auckland',
      time: '23:00',
      problem: null,
    });
    // Nobody's clocks: of UTC only the day is taken.
    expect(one('SUMMARY:Zulu', 'DTSTART:20270403T064000Z')).toMatchObject({
      from: '2027-04-03',
      zone: null,
      time: null,
    });
    expect(one('SUMMARY:Day', 'DTSTART;VALUE=DATE:20270403')).toMatchObject({ zone: null, time: null });
    expect(
      one(
        'SUMMARY:Till midnight',
        'DTSTART;TZID=Europe/Oslo:20270403T090000',
        'DTEND;TZID=Europe/Oslo:20270405T000000',
      ),
    ).toMatchObject({ from: '2027-04-03', to: '2027-04-04' });
  });

  it.each([
    [['SUMMARY:X', 'DTSTART;VALUE=DATE:20270327', 'DTEND;VALUE=DATE:20270320'], 'ends before it begins'],
    [['SUMMARY:X', 'DTSTART;TZID=Mars/Base:20270327T090000'], 'is in an unknown time zone: Mars/Base'],
    [['DTSTART;VALUE=DATE:20270327'], 'has no name (SUMMARY)'],
    [['SUMMARY:X'], 'has no first day (DTSTART)'],
    [['SUMMARY:X', 'DTSTART;VALUE=DATE:20270301', 'DTEND;VALUE=DATE:20270320'], 'is longer than 8 days'],
  ])('says what is wrong with %j', (lines, problem) => {
    expect(one(...lines).problem).toBe(problem);
  });

  it('says what is not a calendar, and notes repeated events', () => {
    expect(() => readCalendar('hello')).toThrow(/not an iCalendar file/);
    expect(() => readCalendar('')).toThrow(/not an iCalendar file/);
    expect(() => readCalendar(calendar(...Array.from({ length: 501 }, () => vevent('SUMMARY:x'))))).toThrow(
      /at most 500/,
    );
    expect(readCalendar(calendar())).toEqual([]);
    expect(one('SUMMARY:Weekly', 'DTSTART;VALUE=DATE:20270327', 'RRULE:FREQ=WEEKLY').note).toContain('first');
  });
});

describe('events of a calendar', () => {
  const known = (id: string, name: string, day: string) =>
    ({ id, name, rounds: [{ day }] }) as unknown as EventView;
  const row = (name: string, from: string, more: Partial<EventRow> = {}): EventRow => ({
    uid: name,
    name,
    from,
    to: from,
    place: '',
    zone: null,
    time: null,
    problem: null,
    note: null,
    ...more,
  });
  const events = [
    known('old', 'Spring Open', '2026-03-01'),
    known('new', 'Spring Open', '2027-03-05'),
    known('cup', 'Cup', '2027-05-01'),
  ];
  const does = (...rows: EventRow[]) =>
    importedEvents(rows, events, [], '2026-11-26').map(({ does: what, event }) => [what, event?.id]);

  it('move what is to come, never what is over, and make the rest', () => {
    expect(does(row('spring open', '2027-03-06'), row('Other', '2027-04-01'))).toEqual([
      ['move', 'new'],
      ['make', undefined],
    ]);
    expect(importedEvents([row('Spring Open', '2027-03-06')], [events[0]!], [], '2026-11-26')[0]!.does).toBe(
      'make',
    );
    expect(does(row('Cup', '2027-05-01'), row('Bad', '', { problem: 'ends before it begins' }))).toEqual([
      ['same', 'cup'],
      ['no', undefined],
    ]);
  });

  it('know our own by its id, and take each event for one row', () => {
    expect(does(row('Renamed', '2027-05-02', { uid: 'event-cup@tasche' }))).toEqual([['move', 'cup']]);
    expect(does(row('Cup', '2027-05-02'), row('Cup', '2027-06-02'))).toEqual([
      ['move', 'cup'],
      ['make', undefined],
    ]);
  });
});

describe('a week', () => {
  it('begins where the reader’s does', () => {
    // happy-dom runs on Node, whose locales know their weeks.
    expect(firstDayOfWeek('en-US')).toBe(6);
    expect(firstDayOfWeek('de-DE')).toBe(0);
    expect(calendarLocale('de-DE').DatePicker.firstDayOfWeek).toBe(0);
  });
});

describe('a freeze', () => {
  beforeEach(() => {
    localStorage.clear();
    freshPinia();
  });
  const frozen = (): PlayerSeason => ({
    rules: DEFAULT_SEASON_RULES,
    items: [{ id: 'f', kind: 'freeze', name: 'the season', from: TODAY, to: TODAY, repeats: null }],
    trials: [],
  });

  it('holds something new until it has a reason, and lets it go without one', () => {
    const store = useSheet();
    const sheet = sheetOf([clubView('7'), clubView('9')], ['7']);
    showSheet({ ...sheet, player: { ...sheet.player, season: frozen() } });
    const inBag = () => store.sheet!.bags[0]!.clubIds;
    store.change([{ do: 'putIn', bagId: 'gamer', clubId: '9' }]);
    expect(inBag()).toEqual(['7']);
    expect(store.asking?.freeze.name).toBe('the season');
    store.answerFreeze(null);
    expect(store.asking).toBeNull();
    expect(useOutbox().count).toBe(0);

    const id = store.change([{ do: 'putIn', bagId: 'gamer', clubId: '9' }]);
    store.answerFreeze('the 7 is cracked');
    expect(inBag()).toEqual(['7', '9']);
    expect(useOutbox().waiting[0]).toMatchObject({ request: { id, why: 'the 7 is cracked' } });
    // Taking out, and what has a reason already, is not asked about.
    store.change([{ do: 'takeOut', bagId: 'gamer', clubId: '9' }]);
    expect(inBag()).toEqual(['7']);
    store.change([{ do: 'putIn', bagId: 'gamer', clubId: '9' }], 'for the links');
    expect(inBag()).toEqual(['7', '9']);
  });

  it('asks in a dialog that takes no empty reason', async () => {
    const view = mount(FreezeReason, {
      props: { freeze: { id: 'f', name: 'The spring events', from: TODAY, to: TODAY } },
      attachTo: document.body,
    });
    const dialog = document.querySelector('[role="dialog"]')!;
    expect(dialog.textContent).toContain('The spring events');
    const [go] = [...dialog.querySelectorAll('button')].filter((button) =>
      button.textContent!.includes('anyway'),
    );
    expect(go!.disabled).toBe(true);
    const input = dialog.querySelector('input')!;
    input.value = 'cracked';
    input.dispatchEvent(new Event('input'));
    await view.vm.$nextTick();
    go!.click();
    expect(view.emitted('answer')).toEqual([['cracked']]);
    view.unmount();
  });
});

describe('trials', () => {
  it('say how many shots there are, ask for a decision when they are over, and keep what became of it', async () => {
    const measured = clubView('new head', { carryM: 230, source: 'measured', sampleSize: 12, spreadM: 5 });
    const season: PlayerSeason = {
      rules: DEFAULT_SEASON_RULES,
      items: [],
      trials: [
        {
          id: 't',
          clubId: 'new head',
          againstId: 'old',
          shots: 30,
          by: '2026-01-01',
          outcome: 'open',
          notes: '',
        },
      ],
    };
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:playerId/compare', name: 'compare', component: { template: '<i />' } }],
    });
    const view = mount(SeasonTrials, {
      props: { playerId: 'p', season, clubs: [measured, clubView('old')], readOnly: false },
      global: { plugins: [router] },
    });
    const row = view.get('li').text().replace(/\s+/g, ' ');
    expect(row).toContain('new head against old 12 of 30 shots');
    expect(row).toContain('over: decide');
    await view.get('[aria-label="Delete the trial of the new head"]').trigger('click');
    expect((view.emitted('set')![0] as [PlayerSeason])[0].trials).toEqual([]);
  });
});

describe('the rounds of a season', () => {
  const course = {
    id: 'c',
    name: 'Skarvoy',
    altitudeM: 0,
    tees: ['Back'],
    holes: Array.from({ length: 9 }, () => usualHole(4, [360])),
  } as unknown as CourseView;
  const round = (id: string, day: string, courseId = 'c', windMps = 4) => ({
    id,
    name: id,
    day,
    courseId,
    tee: 0,
    air: { ...CALM, windMps },
    ground: USUAL_GROUND,
    forecast: null,
  });
  const event = (id: string, rounds: ReturnType<typeof round>[]) =>
    ({ id, name: id, rounds, limits: { clubs: 14, lengthIn: 46 } }) as unknown as EventView;
  const plan = (eventId: string) =>
    ({ eventId, rounds: [], choosing: null, baseClubIds: [] }) as unknown as PlanView;

  it('are those planned and still to come, alike ones counted together; what cannot be worked out is reported', () => {
    const events = [
      event('Open', [
        round('r1', '2027-01-01'),
        round('r2', '2027-01-02'),
        round('r3', '2027-01-03', 'c', 9),
      ]),
      event('Past', [round('r0', '2026-01-01')]),
      event('Gone', [round('g', '2027-02-01', 'nowhere')]),
      event('Not mine', [round('n', '2027-03-01')]),
    ];
    const sheet = {
      ...sheetOf([clubView('7', { carryM: 150 })], ['7']),
      plans: ['Open', 'Past', 'Gone'].map(plan),
    };
    const { rounds, left } = seasonRounds(sheet, events, [course], ['7'], 'even-carries', '2026-11-26');
    expect(rounds.map(({ id, times }) => [id, times])).toEqual([
      ['r1', 2],
      ['r3', 1],
    ]);
    expect(rounds[0]!.rules.gamerIds).toEqual(['7']);
    expect(left).toEqual(['Gone, g: the course of this round was deleted.']);
  });
});

describe('a trip', () => {
  it('says which clubs travel and which stay at home, and what is not settled yet', () => {
    freshPinia();
    const sheet = sheetOf([clubView('D'), clubView('7'), clubView('I')], ['D', '7']);
    const [gamer] = sheet.bags;
    const round = (roundId: string, bagId: string | null) => ({ ...emptyRound(roundId), bagId });
    const plan = {
      id: 'p',
      eventId: 'e',
      rounds: [round('r1', 'b'), round('r2', null)],
    } as unknown as PlanView;
    showSheet({
      ...sheet,
      bags: [gamer!, { ...gamer!, id: 'b', gamer: false, planId: 'p', clubIds: ['D', 'I'] }],
      plans: [plan],
    });
    const played = {
      id: 'e',
      rounds: [
        { id: 'r1', day: '2026-12-27' },
        { id: 'r2', day: '2026-12-28' },
      ],
    } as unknown as EventView;
    showSchedule({ courses: [], seasons: [], events: [played] });
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/plan/:playerId/:planId', name: 'plan', component: { template: '<i />' } }],
    });
    const shown = (from: string, to: string) =>
      mount(TripClubs, { props: { playerId: 'x', trip: { from, to } }, global: { plugins: [router] } });
    const view = shown('2026-12-25', '2026-12-31');
    expect(view.text()).toMatch(/2 clubs travel: D, I\.\s+At home: 7\./);
    expect(view.text()).toContain('1 of 2 rounds without a settled bag');
    expect(view.get('a').attributes('href')).toBe('/plan/x/p?round=travel');
    expect(shown('2026-12-29', '2026-12-31').text()).toBe('');
  });
});

describe('the season laid out', () => {
  const entry = (
    name: string,
    from: string,
    to = from,
    kind: SeasonEntry['kind'] = 'event',
  ): SeasonEntry => ({
    uid: name,
    kind,
    name,
    from,
    to,
    revision: 1,
  });

  it('its month shows any month, however long ago, with what goes on over days named once a week', async () => {
    const now = new Date();
    const ago = (months: number) =>
      format(new Date(now.getFullYear(), now.getMonth() - months, 10), 'yyyy-MM-dd');
    const all = [
      entry('Spring Open', ago(3)),
      ...['a', 'b', 'c', 'd', 'e'].map((name) => entry(name, ago(2), ago(2), 'note')),
      entry('Freeze of a month', ago(1).replace(/10$/, '01'), ago(1).replace(/10$/, '28'), 'freeze'),
    ];
    const view = mount(SeasonMonth, {
      props: { between: (from, to) => all.filter((one) => one.from <= to && one.to >= from) },
    });
    const before = () => view.get('[aria-label="Month before"]').trigger('click');
    expect(view.text()).not.toContain('Spring Open');
    await before();
    expect(view.findAll('.chip.freeze')).toHaveLength(28);
    const named = view.findAll('.chip.freeze').filter((chip) => chip.text().includes('Freeze of a month'));
    expect(named.length).toBeGreaterThanOrEqual(4);
    expect(named.length).toBeLessThanOrEqual(5);
    await before();
    expect(view.findAll('.chip.note')).toHaveLength(3);
    expect(view.text()).toContain('2 more');
    await before();
    expect(view.text()).toContain('Spring Open');
  });

  it('its agenda names the months once, the kinds a name does not say, and events without a plan', () => {
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/plan/:playerId', name: 'plan', component: { template: '<i />' } }],
    });
    const coming = [
      { ...entry('Ridge Cup', '2026-12-04', '2026-12-06'), planId: null },
      entry('No new clubs', '2026-12-20', '2027-01-10', 'freeze'),
      entry('Call the builder', '2027-01-04', '2027-01-04', 'note'),
    ];
    const view = mount(SeasonAgenda, {
      props: { playerId: 'p', coming, isWhole: true },
      global: { plugins: [router] },
    });
    expect(view.findAll('.month').map((one) => one.text())).toEqual(['December 2026', 'January 2027']);
    const rows = view.findAll('li:not(.month)').map((one) => one.text().replace(/\s+/g, ' '));
    expect(rows[0]).toMatch(/4 Dec.* to .*6 Dec.*Ridge Cup.*◆ no plan/);
    expect(rows[1]).toMatch(/No new clubs nothing new$/);
    expect(rows[2]).not.toContain('no plan');
    expect(mount(SeasonAgenda, { props: { playerId: 'p', coming: [], isWhole: true } }).text()).toContain(
      'Nothing is planned.',
    );
  });
});
