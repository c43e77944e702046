import { dateSchema, zoneSchema } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { readQuery } from '../http/read-query.js';
import { idIn, required, type RouteContext } from '../http/route-context.js';
import { readClubLife, readDay } from './read-day.js';

const dayQuery = yup.object({ day: required(dateSchema), zone: zoneSchema });

export function historyRoutes({ scoped }: RouteContext): Router {
  const router = Router();

  router.get('/players/:playerId/day', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { day, zone } = readQuery(request, dayQuery);
    response.json(await scoped(request, (em) => readDay(em, playerId, day, zone ?? 'UTC')));
  });

  router.get('/clubs/:clubId/life', async (request, response) => {
    const clubId = idIn(request, 'clubId');
    response.json(await scoped(request, (em) => readClubLife(em, clubId)));
  });
  return router;
}
