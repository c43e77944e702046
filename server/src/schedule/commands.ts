import { MAX_COURSES, MAX_EVENTS, holesProblem, type EventRound } from '@tasche/contract';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { assertNoConflict } from '../changes/changes-since.js';
import type { EntityKind, EntityOf, ChangeRecorder } from '../changes/change-recorder.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { Plan } from '../plans/plan.js';
import { Course, Event, Season } from './schedule-rows.js';

type ScheduleCommand =
  | 'addCourse'
  | 'editCourse'
  | 'removeCourse'
  | 'addSeason'
  | 'editSeason'
  | 'removeSeason'
  | 'addEvent'
  | 'editEvent'
  | 'editEventRound'
  | 'removeEvent';

const MAX_SEASON_TEMPLATES = 50;
const MAX_PLANS_OF_AN_EVENT = 500;

export const scheduleCommands: Handlers<ScheduleCommand> = {
  async addCourse({ course }, { recorder }) {
    await requireNew(recorder, 'course', course.id);
    if ((await recorder.em.count(Course, { removedAt: null })) >= MAX_COURSES)
      throw ruleBroken(`A workspace holds at most ${MAX_COURSES} courses.`);
    requireHoles(course.holes, course.tees);
    recorder.create('course', {
      ...course,
      tees: [...course.tees],
      holes: [...course.holes],
      seasons: [...course.seasons],
    });
    return { playerId: null, summary: `${course.name} added` };
  },

  async editCourse({ courseId, version, set }, { recorder }) {
    const course = await standing(recorder, 'course', courseId);
    requireVersion(course, version, course.name, fields(course, set));
    requireHoles(set.holes ?? course.holes, set.tees ?? course.tees);
    recorder.edit('course', course, set as never);
    return { playerId: null, summary: `${course.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async removeCourse({ courseId, version }, { recorder }) {
    const course = await standing(recorder, 'course', courseId);
    requireVersion(course, version, course.name, []);
    const [used] = await recorder.em.execute<{ name: string }[]>(
      `select name from event where removed_at is null and rounds @> ?::jsonb limit 1`,
      [JSON.stringify([{ courseId }])],
    );
    if (used) throw ruleBroken(`${course.name} is played at ${used.name}. Take it off that event first.`);
    recorder.edit('course', course, { removedAt: new Date() });
    return { playerId: null, summary: `${course.name} deleted` };
  },

  async addSeason({ season }, { recorder }) {
    await requireNew(recorder, 'season', season.id);
    if ((await recorder.em.count(Season, { removedAt: null })) >= MAX_SEASON_TEMPLATES)
      throw ruleBroken(`A workspace holds at most ${MAX_SEASON_TEMPLATES} season templates.`);
    recorder.create('season', season);
    return { playerId: null, summary: `Season ${season.name} added` };
  },

  async editSeason({ seasonId, version, set }, { recorder }) {
    const season = await standing(recorder, 'season', seasonId);
    requireVersion(season, version, season.name, fields(season, set));
    recorder.edit('season', season, set);
    return { playerId: null, summary: `Season ${season.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async removeSeason({ seasonId, version }, { recorder }) {
    const season = await standing(recorder, 'season', seasonId);
    requireVersion(season, version, season.name, []);
    recorder.edit('season', season, { removedAt: new Date() });
    return { playerId: null, summary: `Season ${season.name} deleted` };
  },

  async addEvent({ event }, { recorder }) {
    await requireNew(recorder, 'event', event.id);
    if ((await recorder.em.count(Event, { removedAt: null })) >= MAX_EVENTS)
      throw ruleBroken(`A workspace holds at most ${MAX_EVENTS} events.`);
    await requireCourses(recorder, event.rounds);
    recorder.create('event', { ...event, zone: event.zone ?? null, rounds: [...event.rounds] });
    return { playerId: null, summary: `${event.name} added` };
  },

  async editEvent({ eventId, version, set }, { recorder }) {
    const event = await standing(recorder, 'event', eventId);
    requireVersion(event, version, event.name, fields(event, set));
    if (set.rounds) await requireCourses(recorder, set.rounds);
    const before = event.name;
    recorder.edit('event', event, set as never);
    if (set.rounds || set.name !== undefined) await carryOver(recorder, event, before);
    return { playerId: null, summary: `${event.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async editEventRound({ eventId, version, roundId, set }, { recorder }) {
    const event = await standing(recorder, 'event', eventId);
    const roundIn = (rounds: unknown) => (rounds as EventRound[]).find(({ id }) => id === roundId);
    const round = roundIn(event.rounds);
    if (!round)
      throw badInput(`${event.name} has no such round.`, [
        { field: 'roundId', message: 'is no round of the event' },
      ]);
    await assertNoConflict(
      recorder,
      'event',
      event,
      version,
      Object.entries(set).map(([field, yours]) => ({
        field,
        yours,
        column: 'rounds',
        part: (rounds) => roundIn(rounds)?.[field as 'air'],
      })),
    );
    recorder.edit('event', event, {
      rounds: event.rounds.map((one) => (one.id === roundId ? { ...one, ...set } : one)),
    });
    return {
      playerId: null,
      summary: `${event.name}, ${round.name}: ${Object.keys(set).join(', ')} changed`,
    };
  },

  async removeEvent({ eventId, version }, { recorder }) {
    const event = await standing(recorder, 'event', eventId);
    requireVersion(event, version, event.name, []);
    const [used] = await recorder.em.execute<{ name: string }[]>(
      'select player.name from plan join player on player.id = plan.player_id where plan.removed_at is null and event_id = ? limit 1',
      [eventId],
    );
    if (used) throw ruleBroken(`${used.name} is planned for ${event.name}. Delete that plan first.`);
    recorder.edit('event', event, { removedAt: new Date() });
    return { playerId: null, summary: `${event.name} deleted` };
  },
};

/** Plans for an event go with it: its days and courses, and its name where the plan still has it. */
async function carryOver(recorder: ChangeRecorder, event: Event, nameBefore: string): Promise<void> {
  const days = event.rounds.map(({ day }) => day).sort();
  const courses: string[] = [];
  for (const id of new Set(event.rounds.map(({ courseId }) => courseId)))
    courses.push((await recorder.load('course', id))?.name ?? '');
  for (const { id } of await recorder.em.find(
    Plan,
    { eventId: event.id, removedAt: null },
    { fields: ['id'], limit: MAX_PLANS_OF_AN_EVENT },
  )) {
    const plan = (await recorder.load('plan', id))!;
    recorder.edit('plan', plan, {
      startsOn: days[0]!,
      endsOn: days.at(-1)!,
      course: courses.filter(Boolean).join(', ').slice(0, 200),
      ...(plan.name === nameBefore && { name: event.name }),
    });
  }
}

type ScheduleKind = Extract<EntityKind, 'course' | 'season' | 'event'>;

async function requireNew(recorder: ChangeRecorder, kind: ScheduleKind, id: string): Promise<void> {
  if (await recorder.load(kind, id)) throw badInput(`${kind}.id: there is one of that id already`);
}

async function standing<K extends ScheduleKind>(
  recorder: ChangeRecorder,
  kind: K,
  id: string,
): Promise<EntityOf[K]> {
  const row = await recorder.load(kind, id);
  if (!row || row.removedAt) throw notFound(kind);
  return row;
}

function fields(row: object, set: object) {
  return Object.entries(set).map(([field, yours]) => ({
    field,
    yours: yours as unknown,
    theirs: row[field as keyof typeof row] as unknown,
  }));
}

function requireHoles(holes: Parameters<typeof holesProblem>[0], tees: readonly string[]): void {
  const problem = holesProblem(holes, tees);
  if (problem) throw badInput(problem, [{ field: 'holes', message: problem }]);
}

/** Every round is on a course that is there, from a tee it has. */
async function requireCourses(recorder: ChangeRecorder, rounds: readonly EventRound[]): Promise<void> {
  for (const [i, { courseId, tee, name }] of rounds.entries()) {
    const course = await recorder.load('course', courseId);
    if (!course || course.removedAt)
      throw badInput(`${name} is on a course that is not here.`, [
        { field: `rounds[${i}].courseId`, message: 'is not here' },
      ]);
    if (tee >= course.tees.length)
      throw badInput(
        `${name}: ${course.name} has ${course.tees.length} ${course.tees.length === 1 ? 'tee' : 'tees'}.`,
        [{ field: `rounds[${i}].tee`, message: 'is not there' }],
      );
  }
}
