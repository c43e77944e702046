import type { CourseView, EventView } from '@tasche/contract';
import { CALM, USUAL_GROUND } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  courseNames,
  draftRounds,
  eventOfDraft,
  firstDayOf,
  nextRound,
  type DraftRound,
} from '../../src/plan/event-draft';

const course = (id: string, tees = ['Back', 'Front']) =>
  ({ id, name: `Course ${id}`, tees, seasons: [], grass: 'bent', sand: 'hard' }) as unknown as CourseView;
const courses = [course('a'), course('b', ['Only'])];
const draft = { name: ' Open ', clubs: 14, lengthIn: 46, zone: '', notes: ' none ' };
const round = (more: Partial<DraftRound> = {}): DraftRound => ({
  id: 'r1',
  day: '2026-12-07',
  teeTime: '',
  courseId: 'a',
  tee: 1,
  ...more,
});
const before: EventView = {
  id: 'e',
  name: 'Open',
  rounds: [
    {
      id: 'r1',
      name: 'Round 1',
      day: '2026-12-07',
      courseId: 'a',
      tee: 0,
      air: { ...CALM, windMps: 9 },
      ground: USUAL_GROUND,
      forecast: null,
    },
  ],
  zone: null,
  limits: { clubs: 14, lengthIn: 48 },
  notes: '',
  version: 3,
  removed: false,
};

describe('an event while it is written', () => {
  it('is kept without stray spaces, its rounds named in order and on tees there are', () => {
    const made = eventOfDraft(
      draft,
      [round({ teeTime: '08:10' }), round({ id: 'r2', courseId: 'b', day: '2026-12-08' })],
      courses,
    );
    expect(made).toMatchObject({
      name: 'Open',
      notes: 'none',
      zone: null,
      limits: { clubs: 14, lengthIn: 46 },
      rounds: [
        { name: 'Round 1', tee: 1, teeTime: '08:10', air: CALM, forecast: null },
        { name: 'Round 2', tee: 0, ground: { grass: 'bent', sand: 'hard' } },
      ],
    });
  });

  it('keeps the air of a round that stays on its day and course, and of no other', () => {
    const windOf = (more: Partial<DraftRound>) => {
      const made = eventOfDraft(draft, [round(more)], courses, before);
      return 'problem' in made ? made.problem : made.rounds[0]!.air.windMps;
    };
    expect(windOf({ tee: 1, teeTime: '09:00' })).toBe(9);
    expect(windOf({ day: '2026-12-09' })).toBe(0);
    expect(windOf({ courseId: 'b' })).toBe(0);
    expect(windOf({ id: 'other' })).toBe(0);
  });

  it.each<[string, DraftRound[], string]>([
    ['no round', [], 'An event needs at least one round.'],
    ['no course', [round({ courseId: 'gone' })], 'Round 1: choose a course.'],
    ['no day', [round(), round({ day: '' })], 'Round 2: give it a day.'],
  ])('%s is named', (_what, rounds, problem) => {
    expect(eventOfDraft(draft, rounds, courses)).toEqual({ problem });
  });

  it('another round is a day later where the last was; the first is on the first course', () => {
    expect(nextRound(round({ day: '2026-12-31' }), 'b')).toMatchObject({
      day: '2027-01-01',
      courseId: 'a',
      tee: 1,
      teeTime: '',
    });
    expect(nextRound(undefined, 'b')).toMatchObject({ courseId: 'b', tee: 0 });
    expect(draftRounds(before)).toEqual([round({ tee: 0 })]);
    expect(draftRounds(undefined)).toEqual([]);
  });

  it('tells its first day and its courses, once each', () => {
    const rounds = [...before.rounds, { ...before.rounds[0]!, day: '2026-12-01', courseId: 'gone' }];
    expect(firstDayOf({ rounds })).toBe('2026-12-01');
    expect(courseNames({ rounds: [...rounds, rounds[0]!] }, courses)).toBe('Course a, a deleted course');
  });
});
