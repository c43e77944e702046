import type { CourseGround, Hole, Limits } from '@tasche/core';
import {
  MAX_COURSES,
  MAX_EVENTS,
  type ScheduleView,
  type CourseSeason,
  type CourseView,
  type EventRound,
  type EventView,
  type SeasonDetails,
  type SeasonView,
} from '@tasche/contract';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { knownText, type KnownText } from '../http/known-text.js';
import { notFound, ruleBroken } from '../http/http-error.js';
import type { ForecastPlace } from '../weather/forecast-source.js';
import { callInWorkspace, inWorkspace, sightKey, type Sight } from '../workspaces/in-workspace.js';
import { REMOVED, rowView } from '../database/row-view.js';
import { Workspace, workspaceFilter } from '../workspaces/workspace.js';

/** A course: its holes, and what its seasons do to it. */
export const Course = defineEntity({
  name: 'Course',
  tableName: 'course',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    name: p.text(),
    altitudeM: p.float(),
    latitudeDeg: p.float().nullable(),
    longitudeDeg: p.float().nullable(),
    grass: p.text().$type<CourseGround['grass']>(),
    sand: p.text().$type<CourseGround['sand']>(),
    tees: p.json<string[]>(),
    holes: p.json<Hole[]>(),
    seasons: p.json<CourseSeason[]>(),
    notes: p.text(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Course = InferEntity<typeof Course>;

/** What a season does to any course. */
export const Season = defineEntity({
  name: 'Season',
  tableName: 'season',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    name: p.text(),
    fromMonth: p.integer(),
    temperatureC: p.float(),
    humidityPct: p.float(),
    windMps: p.float(),
    ground: p.json<SeasonDetails['ground']>(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Season = InferEntity<typeof Season>;

/** An event: rounds on courses, and what its committee allows. */
export const Event = defineEntity({
  name: 'Event',
  tableName: 'event',
  filters: workspaceFilter,
  properties: {
    id: p.uuid().primary(),
    workspaceId: p.manyToOne(Workspace).mapToPk(),
    name: p.text(),
    rounds: p.json<EventRound[]>(),
    zone: p.text().nullable(),
    limits: p.json<Limits>(),
    notes: p.text(),
    version: p.integer(),
    removedAt: p.datetime().nullable(),
  },
});
export type Event = InferEntity<typeof Event>;

export const courseView = rowView<CourseView>()(Course, { removed: REMOVED });
export const seasonView = rowView<SeasonView>()(Season, { removed: REMOVED });
export const eventView = rowView<EventView>()(Event, { removed: REMOVED });

/**
 * Which state of what a workspace plays is the newest; made again whenever the tables are brought up to date.
 */
export const SCHEDULE_REVISION_SQL = `
  create or replace function schedule_revision(of_workspace uuid, of_players text) returns text language plpgsql as $$
  begin
    perform set_config('tasche.workspace', of_workspace::text, true), set_config('tasche.players', of_players, true);
    return (select schedule_revision::text from workspace where id = of_workspace);
  end $$`;

/**
 * Everything the workspace plays, as JSON text, packed; read again only when a change of it has been made
 * since.
 */
export async function knownScheduleText(orm: MikroORM, sight: Sight): Promise<KnownText> {
  const revision = await callInWorkspace<string | null>(orm, sight, 'schedule_revision', []);
  return knownText(orm, `schedule ${sightKey(sight)}`, revision ?? '', async () =>
    JSON.stringify(await inWorkspace(orm, sight, readSchedule)),
  );
}

/** Everything the workspace plays. */
async function readSchedule(em: EntityManager): Promise<ScheduleView> {
  const standing = { removedAt: null };
  const courses = await em.find(Course, standing, {
    orderBy: { name: 'asc', id: 'asc' },
    limit: MAX_COURSES,
  });
  const seasons = await em.find(Season, standing, { orderBy: { fromMonth: 'asc', name: 'asc' }, limit: 50 });
  const events = await em.find(Event, standing, { orderBy: { name: 'asc', id: 'asc' }, limit: MAX_EVENTS });
  return {
    courses: courses.map(courseView.of),
    seasons: seasons.map(seasonView.of),
    events: events.map(eventView.of),
  };
}

/** Where a course lies, for the weather service. @throws HttpError 404, or 422 for one without a position */
export async function coursePlace(em: EntityManager, id: string): Promise<ForecastPlace> {
  const course = await em.findOne(Course, { id, removedAt: null });
  if (!course) throw notFound('course');
  const { name, altitudeM, latitudeDeg, longitudeDeg } = course;
  if (latitudeDeg == null || longitudeDeg == null)
    throw ruleBroken(
      `The position of ${name} is not recorded: give it a latitude and a longitude, or enter the air by hand.`,
    );
  return { name, altitudeM, latitudeDeg, longitudeDeg };
}
