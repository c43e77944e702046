import { MAX_FORECAST_DAYS, dateSchema } from '@tasche/contract';
import { Router, type RequestHandler } from 'express';
import * as yup from 'yup';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { hungUp, idIn, required, type RouteContext } from '../http/route-context.js';
import { sendKnownText } from '../http/send-known-text.js';
import { readForecast } from '../weather/read-forecast.js';
import { coursePlace, knownScheduleText } from './schedule-rows.js';

const forecastQuery = yup.object({
  from: required(dateSchema),
  days: yup.number().integer().min(1).max(MAX_FORECAST_DAYS).default(1),
});

export const scheduleAsks: Asks = {
  'GET /courses/:courseId/forecast': { query: forecastQuery },
};

export function scheduleRoutes({ orm, weather, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  const schedule: RequestHandler = async (request, response) => {
    sendKnownText(request, response, await knownScheduleText(orm, await scopeOf(request)));
  };
  router.get('/schedule', schedule);
  // Its address before 0.2: pages that are still open, and scripts.
  router.get('/circuit', schedule);

  router.get('/courses/:courseId/forecast', async (request, response) => {
    const courseId = idIn(request, 'courseId');
    const { from, days } = readQuery(request, forecastQuery);
    const signal = hungUp(response);
    const place = await scoped(request, (em) => coursePlace(em, courseId));
    response.json(await readForecast(weather, place, from, days, signal));
  });
  return router;
}
