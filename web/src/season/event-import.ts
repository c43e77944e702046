import { isSameName, type Command, type CourseView, type EventRound, type EventView } from '@tasche/contract';
import { USUAL_LIMITS, dayPlus, daysBetween } from '@tasche/core';
import { freshRound } from '../courses/fresh-round';
import { emptyCourse } from '../courses/new-course';
import { firstDayOf, lastDayOf } from '../plan/event-draft';
import { planOfEvent } from '../plan/plan-of-event';
import { courseNamed } from './course-named';
import type { EventRow } from './event-row';

/** What a list that is half written is kept under. */
export const IMPORT_FORM = 'events/import';

/**
 * What is done with an event of a file or a list: made, moved, left because it is here already, or because
 * something is wrong with it.
 */
export interface ImportedEvent {
  row: EventRow;
  does: 'make' | 'move' | 'same' | 'no';
  event?: EventView;
  /** Of one that is made: the course here that its place means. */
  course?: CourseView;
}

/**
 * An event that is here already is known by the id we gave it, else by its name where neither is over: last
 * year's event of the same name is another. Each is taken for one row at most.
 * @param today YYYY-MM-DD
 */
export function importedEvents(
  rows: readonly EventRow[],
  events: readonly EventView[],
  courses: readonly CourseView[],
  today: string,
): ImportedEvent[] {
  const taken = new Set<string>();
  return rows.map((row) => {
    if (row.problem !== null) return { row, does: 'no' };
    const free = events.filter(({ id }) => !taken.has(id));
    const event =
      free.find(({ id }) => row.uid === `event-${id}@tasche`) ??
      free.find((one) => row.to >= today && lastDayOf(one) >= today && isSameName(one.name, row.name));
    if (!event) {
      const name = courseNamed(
        row.place,
        courses.map((course) => course.name),
      );
      const course = courses.find((one) => one.name === name);
      return { row, does: 'make', ...(course && { course }) };
    }
    taken.add(event.id);
    return { row, event, does: firstDayOf(event) === row.from ? 'same' : 'move' };
  });
}

/** Where events are to be played that are at no course there is: each place once. */
export function newPlaces(plans: readonly ImportedEvent[]): string[] {
  const places: string[] = [];
  for (const { does, course, row } of plans)
    if (
      does === 'make' &&
      !course &&
      row.place !== '' &&
      !places.some((place) => isSameName(place, row.place))
    )
      places.push(row.place);
  return places;
}

/**
 * @param newCourses places of which a course of that name is added, its holes to come
 * @param other where events are played whose place is neither a course nor among those
 */
export function importCommands(
  plans: readonly ImportedEvent[],
  newCourses: readonly string[],
  other: CourseView | undefined,
  newId: () => string,
): Command[] {
  const added = newCourses.map((name) => ({ id: newId(), ...emptyCourse(name) }));
  const made = plans.flatMap(({ row, does, event, course }): Command[] => {
    if (event && does === 'move') return [moved(event, row)];
    const on = course ?? added.find(({ name }) => isSameName(name, row.place)) ?? other;
    return does === 'make' && on ? [newEvent(row, on, newId)] : [];
  });
  return [...added.map((course): Command => ({ do: 'addCourse', course })), ...made];
}

/** A plan for each event that was made, from the player's gamer bag. */
export function plansOfImport(
  commands: readonly Command[],
  playerId: string,
  courses: readonly CourseView[],
  newId: () => string,
): Command[] {
  return commands.flatMap((command) => {
    if (command.do !== 'addEvent') return [];
    const event: EventView = { zone: null, ...command.event, version: 1, removed: false };
    return [planOfEvent(event, playerId, courses, { plan: newId(), bag: newId() })];
  });
}

function moved(event: EventView, row: EventRow): Command {
  const by = daysBetween(firstDayOf(event), row.from);
  const rounds = event.rounds.map((round) => ({ ...round, day: dayPlus(round.day, by) }));
  const set = { rounds, ...(row.zone !== null && { zone: row.zone }) };
  return { do: 'editEvent', eventId: event.id, version: event.version, set };
}

function newEvent(
  { name, from, to, time, zone }: EventRow,
  course: Pick<CourseView, 'id' | 'seasons' | 'grass' | 'sand'>,
  newId: () => string,
): Command {
  const days = Array.from({ length: daysBetween(from, to) + 1 }, (_one, i) => dayPlus(from, i));
  const rounds = days.map((day, i): EventRound => {
    // An hour on a single day is when one tees off; of several days it is when the first begins, whoever plays
    // then.
    const teeTime = (days.length === 1 && time) || undefined;
    return freshRound(
      { id: newId(), name: `Round ${i + 1}`, day, teeTime, courseId: course.id, tee: 0 },
      course,
    );
  });
  return { do: 'addEvent', event: { id: newId(), name, rounds, zone, limits: USUAL_LIMITS, notes: '' } };
}
