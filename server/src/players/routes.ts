import { dateSchema } from '@tasche/contract';
import { Router } from 'express';
import { nameCursor, nameCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import { pageQuery, type RouteContext } from '../http/route-context.js';
import { readRoster } from './read-roster.js';

const rosterQuery = pageQuery('after', nameCursorSchema).shape({ today: dateSchema });

export function playerRoutes({ scoped }: RouteContext): Router {
  const router = Router();

  router.get('/players', async (request, response) => {
    const { today, limit, after } = readQuery(request, rosterQuery);
    const day = today ?? new Date().toISOString().slice(0, 10);
    response.json(await scoped(request, (em) => readRoster(em, day, limit, nameCursor(after))));
  });
  return router;
}
