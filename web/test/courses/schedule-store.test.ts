import { CALM, USUAL_GROUND } from '@tasche/core';
import {
  withCommands,
  type ChangeResult,
  type ScheduleView,
  type CourseView,
  type EventView,
  type SeasonView,
} from '@tasche/contract';
import { describe, expect, it, vi } from 'vitest';
import { useOutbox } from '../../src/changes/outbox';
import { useSchedule, withScheduleResult } from '../../src/courses/schedule-store';
import { freshPinia } from '../pinia';
import { until } from '../until';

const course = (id: string, name: string): CourseView => ({
  id,
  version: 1,
  removed: false,
  name,
  altitudeM: 0,
  latitudeDeg: null,
  longitudeDeg: null,
  grass: 'bent',
  sand: 'medium',
  tees: ['Back'],
  holes: [],
  seasons: [],
  notes: '',
});
const season = (id: string): SeasonView => ({
  id,
  version: 1,
  removed: false,
  name: id,
  fromMonth: 3,
  temperatureC: 12,
  humidityPct: 70,
  windMps: 4,
  ground: { fairways: 'soft', greens: 'soft', rough: 'short', wet: true, greenSpeedM: 2.6 },
});
const round = (id: string) => ({
  id,
  name: id,
  day: '2026-12-04',
  courseId: 'a',
  tee: 0,
  air: CALM,
  ground: USUAL_GROUND,
  forecast: null,
});
const event = (id: string): EventView => ({
  id,
  version: 1,
  removed: false,
  name: id,
  rounds: [round('r1'), round('r2')],
  zone: null,
  limits: { clubs: 14, lengthIn: 46 },
  notes: '',
});
const standing: ScheduleView = {
  courses: [course('a', 'Skarvoy Links'), course('b', 'Hochfirn')],
  seasons: [season('winter')],
  events: [event('open')],
};

describe('the schedule as it will be', () => {
  it('when the server has done what was asked: added once, edited, removed', () => {
    const { id: _id, version: _version, removed: _removed, ...details } = course('c', 'Lagoa Funda');
    const added = withCommands('schedule', standing, [
      { do: 'addCourse', course: { id: 'c', ...details } },
      { do: 'addCourse', course: { id: 'c', ...details } },
    ]);
    expect(added.courses.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    expect(added.courses[2]).toMatchObject({ version: 1, removed: false, name: 'Lagoa Funda' });
    expect(
      withCommands('schedule', standing, [
        { do: 'editCourse', courseId: 'b', version: 1, set: { altitudeM: 1520 } },
        { do: 'removeCourse', courseId: 'a', version: 1 },
      ]).courses,
    ).toEqual([{ ...standing.courses[1], altitudeM: 1520 }]);
    expect(
      withCommands('schedule', standing, [
        { do: 'editSeason', seasonId: 'winter', version: 1, set: { windMps: 9 } },
      ]).seasons[0],
    ).toMatchObject({ windMps: 9, temperatureC: 12 });
    expect(
      withCommands('schedule', standing, [{ do: 'removeSeason', seasonId: 'winter', version: 1 }]).seasons,
    ).toEqual([]);
    expect(
      withCommands('schedule', standing, [
        { do: 'editEvent', eventId: 'open', version: 1, set: { name: 'Masters' } },
      ]).events[0]!.name,
    ).toBe('Masters');
    expect(
      withCommands('schedule', standing, [{ do: 'removeEvent', eventId: 'open', version: 1 }]).events,
    ).toEqual([]);
    // What is no matter of the schedule leaves it alone.
    expect(withCommands('schedule', standing, [{ do: 'removePlan', planId: 'p', version: 1 }])).toBe(
      standing,
    );
  });

  it('one round of an event is changed and no other, in what is said and no more', () => {
    const windy = { ...CALM, windMps: 9 };
    const { rounds } = withCommands('schedule', standing, [
      { do: 'editEventRound', eventId: 'open', version: 1, roundId: 'r2', set: { air: windy } },
    ]).events[0]!;
    expect(rounds).toEqual([round('r1'), { ...round('r2'), air: windy }]);
    expect(
      withCommands('schedule', standing, [
        { do: 'editEventRound', eventId: 'other', version: 1, roundId: 'r2', set: { air: windy } },
      ]).events,
    ).toEqual(standing.events);
  });

  it('what the server says is put over it, in the order it had; what is removed goes', () => {
    const result = (part: Partial<ChangeResult>) =>
      ({
        players: [],
        clubs: [],
        bags: [],
        plans: [],
        sessions: [],
        courses: [],
        seasons: [],
        events: [],
        ...part,
      }) as unknown as ChangeResult;
    const renamed = { ...standing.courses[0]!, version: 2, name: 'Skarvoy' };
    expect(
      withScheduleResult(standing, result({ courses: [course('d', 'Erg Chebka'), renamed] })).courses.map(
        ({ name }) => name,
      ),
    ).toEqual(['Skarvoy', 'Hochfirn', 'Erg Chebka']);
    expect(
      withScheduleResult(standing, result({ courses: [{ ...renamed, removed: true }] })).courses.map(
        ({ id }) => id,
      ),
    ).toEqual(['b']);
    expect(withScheduleResult(standing, result({}))).toEqual(standing);
  });
});

describe('what is done before the schedule is there', () => {
  it('is sent, and stands on what is read, though that is older', async () => {
    localStorage.clear();
    freshPinia();
    const { id: _id, version: _version, removed: _removed, ...details } = course('c', 'Lagoa Funda');
    const result: ChangeResult = {
      changeId: 'x',
      clubs: [],
      bags: [],
      courses: [course('c', 'Lagoa Funda')],
      seasons: [],
      events: [],
    } as unknown as ChangeResult;
    let answerSchedule: (() => void) | undefined;
    let isAdded = false;
    vi.stubGlobal('fetch', (address: string) => {
      const json = (body: unknown) => new Response(JSON.stringify(body));
      if (address.endsWith('/changes')) {
        isAdded = true;
        return Promise.resolve(json(result));
      }
      const now = isAdded ? { ...standing, courses: [...standing.courses, ...result.courses] } : standing;
      if (answerSchedule) return Promise.resolve(json(now));
      return new Promise((resolve) => {
        answerSchedule = () => resolve(json(now));
      });
    });
    const schedule = useSchedule();
    void schedule.load();
    await until(() => expect(answerSchedule).toBeDefined());
    schedule.change([{ do: 'addCourse', course: { id: 'c', ...details } }]);
    await until(() => expect([isAdded, useOutbox().count]).toEqual([true, 0]));
    answerSchedule!();
    await until(() =>
      expect(schedule.courses.map(({ name }) => name)).toEqual(['Hochfirn', 'Lagoa Funda', 'Skarvoy Links']),
    );
    vi.unstubAllGlobals();
  });
});
