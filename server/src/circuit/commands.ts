import { MOST_COURSES, MOST_EVENTS, holesProblem, type EventRound } from '@tasche/contract';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { requireUntouched } from '../changes/since-seen.js';
import type { EntityKind, EntityOf, Trail } from '../changes/trail.js';
import { badInput, notFound, ruleBroken } from '../http/refusal.js';
import { Plan } from '../plans/plan.js';
import { Course, Event, Season } from './circuit.js';

type CircuitCommand =
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

const MOST_SEASON_TEMPLATES = 50;
const MOST_PLANS_OF_AN_EVENT = 500;

export const circuitCommands: Handlers<CircuitCommand> = {
  async addCourse({ course }, { trail }) {
    await requireNew(trail, 'course', course.id);
    if ((await trail.em.count(Course, { removedAt: null })) >= MOST_COURSES)
      throw ruleBroken(`A workspace holds at most ${MOST_COURSES} courses.`);
    requireHoles(course.holes, course.tees);
    trail.create('course', {
      ...course,
      tees: [...course.tees],
      holes: [...course.holes],
      seasons: [...course.seasons],
    });
    return { playerId: null, summary: `${course.name} added` };
  },

  async editCourse({ courseId, version, set }, { trail }) {
    const course = await standing(trail, 'course', courseId);
    requireVersion(course, version, course.name, fields(course, set));
    requireHoles(set.holes ?? course.holes, set.tees ?? course.tees);
    trail.edit('course', course, set as never);
    return { playerId: null, summary: `${course.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async removeCourse({ courseId, version }, { trail }) {
    const course = await standing(trail, 'course', courseId);
    requireVersion(course, version, course.name, []);
    const [used] = await trail.em.execute<{ name: string }[]>(
      `select name from event where removed_at is null and rounds @> ?::jsonb limit 1`,
      [JSON.stringify([{ courseId }])],
    );
    if (used) throw ruleBroken(`${course.name} is played at ${used.name}. Take it off that event first.`);
    trail.edit('course', course, { removedAt: new Date() });
    return { playerId: null, summary: `${course.name} deleted` };
  },

  async addSeason({ season }, { trail }) {
    await requireNew(trail, 'season', season.id);
    if ((await trail.em.count(Season, { removedAt: null })) >= MOST_SEASON_TEMPLATES)
      throw ruleBroken(`A workspace holds at most ${MOST_SEASON_TEMPLATES} season templates.`);
    trail.create('season', season);
    return { playerId: null, summary: `Season ${season.name} added` };
  },

  async editSeason({ seasonId, version, set }, { trail }) {
    const season = await standing(trail, 'season', seasonId);
    requireVersion(season, version, season.name, fields(season, set));
    trail.edit('season', season, set);
    return { playerId: null, summary: `Season ${season.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async removeSeason({ seasonId, version }, { trail }) {
    const season = await standing(trail, 'season', seasonId);
    requireVersion(season, version, season.name, []);
    trail.edit('season', season, { removedAt: new Date() });
    return { playerId: null, summary: `Season ${season.name} deleted` };
  },

  async addEvent({ event }, { trail }) {
    await requireNew(trail, 'event', event.id);
    if ((await trail.em.count(Event, { removedAt: null })) >= MOST_EVENTS)
      throw ruleBroken(`A workspace holds at most ${MOST_EVENTS} events.`);
    await requireCourses(trail, event.rounds);
    trail.create('event', { ...event, rounds: [...event.rounds] });
    return { playerId: null, summary: `${event.name} added` };
  },

  async editEvent({ eventId, version, set }, { trail }) {
    const event = await standing(trail, 'event', eventId);
    requireVersion(event, version, event.name, fields(event, set));
    if (set.rounds) await requireCourses(trail, set.rounds);
    const before = event.name;
    trail.edit('event', event, set as never);
    if (set.rounds || set.name !== undefined) await carryOver(trail, event, before);
    return { playerId: null, summary: `${event.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async editEventRound({ eventId, version, roundId, set }, { trail }) {
    const event = await standing(trail, 'event', eventId);
    const roundIn = (rounds: unknown) => (rounds as EventRound[]).find(({ id }) => id === roundId);
    const round = roundIn(event.rounds);
    if (!round)
      throw badInput(`${event.name} has no such round.`, [
        { field: 'roundId', message: 'is no round of the event' },
      ]);
    await requireUntouched(
      trail,
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
    trail.edit('event', event, {
      rounds: event.rounds.map((one) => (one.id === roundId ? { ...one, ...set } : one)),
    });
    return {
      playerId: null,
      summary: `${event.name}, ${round.name}: ${Object.keys(set).join(', ')} changed`,
    };
  },

  async removeEvent({ eventId, version }, { trail }) {
    const event = await standing(trail, 'event', eventId);
    requireVersion(event, version, event.name, []);
    const [used] = await trail.em.execute<{ name: string }[]>(
      'select player.name from plan join player on player.id = plan.player_id where plan.removed_at is null and event_id = ? limit 1',
      [eventId],
    );
    if (used) throw ruleBroken(`${used.name} is planned for ${event.name}. Delete that plan first.`);
    trail.edit('event', event, { removedAt: new Date() });
    return { playerId: null, summary: `${event.name} deleted` };
  },
};

/** Plans for an event go with it: its days and courses, and its name where the plan still has it. */
async function carryOver(trail: Trail, event: Event, nameBefore: string): Promise<void> {
  const days = event.rounds.map(({ day }) => day).sort();
  const courses: string[] = [];
  for (const id of new Set(event.rounds.map(({ courseId }) => courseId)))
    courses.push((await trail.load('course', id))?.name ?? '');
  for (const { id } of await trail.em.find(
    Plan,
    { eventId: event.id, removedAt: null },
    { fields: ['id'], limit: MOST_PLANS_OF_AN_EVENT },
  )) {
    const plan = (await trail.load('plan', id))!;
    trail.edit('plan', plan, {
      startsOn: days[0]!,
      endsOn: days.at(-1)!,
      course: courses.filter(Boolean).join(', ').slice(0, 200),
      ...(plan.name === nameBefore && { name: event.name }),
    });
  }
}

type Circuit = Extract<EntityKind, 'course' | 'season' | 'event'>;

async function requireNew(trail: Trail, kind: Circuit, id: string): Promise<void> {
  if (await trail.load(kind, id)) throw badInput(`${kind}.id: there is one of that id already`);
}

async function standing<K extends Circuit>(trail: Trail, kind: K, id: string): Promise<EntityOf[K]> {
  const row = await trail.load(kind, id);
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
async function requireCourses(trail: Trail, rounds: readonly EventRound[]): Promise<void> {
  for (const [i, { courseId, tee, name }] of rounds.entries()) {
    const course = await trail.load('course', courseId);
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
