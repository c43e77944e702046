import { MAX_EVENTS, dateSchema, seasonOf, writeSeasonCsv, type PlayerSeasonView } from '@tasche/contract';
import { dayPlus, daysBetween } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import * as yup from 'yup';
import { nameCursor, nameCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { fileName, idIn, pageQuery, required, type RouteContext } from '../http/route-context.js';
import { sendKnownText } from '../http/send-known-text.js';
import { Event, eventView } from '../schedule/schedule-rows.js';
import { readSheet } from '../sheet/read-sheet.js';
import { inWorkspace, type Sight } from '../workspaces/in-workspace.js';
import { knownCalendarText } from './read-calendar.js';
import { seasonCalendar } from './season-calendar.js';

const seasonQuery = yup.object({ from: dateSchema, to: dateSchema, today: dateSchema });
/** So many days at once: what fits a page, and the year around it. */
const MAX_CALENDAR_DAYS = 400;
const calendarQuery = pageQuery('after', nameCursorSchema).shape({
  from: required(dateSchema),
  to: required(dateSchema).test(
    'span',
    `\${path} must be at most ${MAX_CALENDAR_DAYS} days after from, and not before it`,
    (to: string, context: yup.TestContext) => {
      const { from } = context.parent as { from?: string };
      if (!to || !from) return true;
      const days = daysBetween(from, to);
      return days >= 0 && days <= MAX_CALENDAR_DAYS;
    },
  ),
  today: dateSchema,
});
/** What a feed holds by default: the last quarter and two years on. */
const DAYS_BACK = 92;
const DAYS_ON = 730;

interface NamedSeason extends PlayerSeasonView {
  /** The player's. */
  name: string;
}

/** A player's season from one day to another. @throws HttpError 404 */
export async function readSeason(
  orm: MikroORM,
  sight: Sight,
  playerId: string,
  span: { from?: string | undefined; to?: string | undefined; today?: string | undefined } = {},
): Promise<NamedSeason> {
  const today = span.today ?? new Date().toISOString().slice(0, 10);
  const sheet = await readSheet(orm, sight, playerId, null);
  const events = await inWorkspace(orm, sight, (em) =>
    em.find(Event, { removedAt: null }, { limit: MAX_EVENTS, orderBy: { id: 'asc' } }),
  );
  const season = seasonOf(
    sheet,
    events.map((event) => eventView.of(event)),
    span.from ?? dayPlus(today, -DAYS_BACK),
    span.to ?? dayPlus(today, DAYS_ON),
    today,
  );
  return { ...season, name: sheet.player.name };
}

export const seasonAsks: Asks = {
  'GET /calendar': { query: calendarQuery },
  'GET /players/:playerId/season.ics': { query: seasonQuery, answers: 'text/calendar' },
  'GET /players/:playerId/season.csv': { query: seasonQuery, answers: 'text/csv' },
};

export function seasonRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  // The van's own: everybody's season, a page of players.
  router.get('/calendar', async (request, response) => {
    const { from, to, today, limit, after } = readQuery(request, calendarQuery);
    const span = { from, to, today: today ?? new Date().toISOString().slice(0, 10) };
    sendKnownText(
      request,
      response,
      await knownCalendarText(orm, await scopeOf(request), span, limit, nameCursor(after)),
    );
  });

  async function read(request: Request): Promise<NamedSeason> {
    const playerId = idIn(request, 'playerId');
    return readSeason(orm, await scopeOf(request), playerId, readQuery(request, seasonQuery));
  }

  // The address of a feed, and a file.
  router.get('/players/:playerId/season.ics', async (request, response) => {
    const { name, entries } = await read(request);
    response
      .attachment(`${fileName(name)}-season.ics`)
      .type('text/calendar; charset=utf-8')
      .send(seasonCalendar(name, entries, new Date().toISOString()));
  });

  router.get('/players/:playerId/season.csv', async (request, response) => {
    const { name, entries } = await read(request);
    response
      .attachment(`${fileName(name)}-season.csv`)
      .type('text/csv')
      .send(writeSeasonCsv(entries));
  });
  return router;
}
