import { MAX_EVENTS, dateSchema, seasonOf, writeSeasonCsv, type PlayerSeasonView } from '@tasche/contract';
import { dayPlus } from '@tasche/core';
import { Router, type Request } from 'express';
import * as yup from 'yup';
import { readQuery } from '../http/read-query.js';
import { fileName, idIn, type RouteContext } from '../http/route-context.js';
import { Event, eventView } from '../schedule/schedule-rows.js';
import { readSheet } from '../sheet/read-sheet.js';
import { seasonCalendar } from './season-calendar.js';

const seasonQuery = yup.object({ from: dateSchema, to: dateSchema, today: dateSchema });
/** What a feed holds where nobody says: the last quarter and two years on. */
const DAYS_BACK = 92;
const DAYS_ON = 730;

export function seasonRoutes({ orm, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  async function read(request: Request): Promise<PlayerSeasonView & { name: string }> {
    const playerId = idIn(request, 'playerId');
    const query = readQuery(request, seasonQuery);
    const today = query.today ?? new Date().toISOString().slice(0, 10);
    const sheet = await readSheet(orm, await scopeOf(request), playerId, null);
    const events = await scoped(request, (em) =>
      em.find(Event, { removedAt: null }, { limit: MAX_EVENTS, orderBy: { id: 'asc' } }),
    );
    const season = seasonOf(
      sheet,
      events.map((event) => eventView.of(event)),
      query.from ?? dayPlus(today, -DAYS_BACK),
      query.to ?? dayPlus(today, DAYS_ON),
      today,
    );
    return { ...season, name: sheet.player.name };
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
