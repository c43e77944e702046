import type { CourseView, EventDetails, EventRound, EventView } from '@tasche/contract';
import { addDays, format, parseISO } from 'date-fns';
import { v4 as newId } from 'uuid';
import { freshRound } from '../courses/fresh-round';

/** A round of an event while it is written. */
export interface DraftRound {
  id: string;
  day: string;
  /** Empty while not known. */
  teeTime: string;
  courseId: string;
  tee: number;
}

/** An event while it is written. */
interface DraftEvent {
  name: string;
  clubs: number | null;
  lengthIn: number;
  zone: string;
  notes: string;
}

const DAY = 'yyyy-MM-dd';

export function draftRounds(event: EventView | undefined): DraftRound[] {
  return (event?.rounds ?? []).map(({ id, day, teeTime, courseId, tee }) => ({
    id,
    day,
    teeTime: teeTime ?? '',
    courseId,
    tee,
  }));
}

/** The round after the last, a day later on the same course; the first is in a week. */
export function nextRound(last: DraftRound | undefined, firstCourseId: string): DraftRound {
  return {
    id: newId(),
    day: format(last ? addDays(parseISO(last.day), 1) : addDays(new Date(), 7), DAY),
    teeTime: '',
    courseId: last?.courseId ?? firstCourseId,
    tee: last?.tee ?? 0,
  };
}

/**
 * What is written, as it is kept, or what is wrong with it. A round that was there and stays on its day and
 * course keeps its air, ground and forecast; any other is what the course's season says of that day.
 */
export function eventOfDraft(
  draft: DraftEvent,
  rounds: readonly DraftRound[],
  courses: readonly CourseView[],
  before?: EventView,
): EventDetails | { problem: string } {
  if (rounds.length === 0) return { problem: 'An event needs at least one round.' };
  const made: EventRound[] = [];
  for (const [i, { teeTime, ...where }] of rounds.entries()) {
    const course = courses.find(({ id }) => id === where.courseId);
    if (!course) return { problem: `Round ${i + 1}: choose a course.` };
    if (!/^\d{4}-\d\d-\d\d$/.test(where.day)) return { problem: `Round ${i + 1}: give it a day.` };
    const tee = Math.min(where.tee, course.tees.length - 1);
    const given = { ...where, tee, name: `Round ${i + 1}`, teeTime: teeTime || undefined };
    const kept = before?.rounds.find(
      ({ id, courseId, day }) => id === where.id && courseId === where.courseId && day === where.day,
    );
    made.push(kept ? { ...kept, ...given } : freshRound(given, course));
  }
  return {
    name: draft.name.trim(),
    rounds: made,
    zone: draft.zone || null,
    limits: { clubs: draft.clubs!, lengthIn: draft.lengthIn },
    notes: draft.notes.trim(),
  };
}

export const firstDayOf = ({ rounds }: Pick<EventDetails, 'rounds'>): string =>
  rounds.map(({ day }) => day).sort()[0]!;

export const lastDayOf = ({ rounds }: Pick<EventDetails, 'rounds'>): string =>
  rounds
    .map(({ day }) => day)
    .sort()
    .at(-1)!;

/** "Skarvoy Links, Two Lagoons": where an event is played. */
export function courseNames(
  { rounds }: Pick<EventDetails, 'rounds'>,
  courses: readonly CourseView[],
): string {
  const names = rounds.map(
    ({ courseId }) => courses.find(({ id }) => id === courseId)?.name ?? 'a deleted course',
  );
  return [...new Set(names)].join(', ');
}
