import { Router } from 'express';
import { idCursor, idCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import { idIn, pageQuery, type RouteContext } from '../http/route-context.js';
import { readPutters, readTickets } from './read-tickets.js';

const ticketsQuery = pageQuery('after', idCursorSchema, 100);

export function benchRoutes({ scoped }: RouteContext): Router {
  const router = Router();

  router.get('/tickets', async (request, response) => {
    const { limit, after } = readQuery(request, ticketsQuery);
    response.json(await scoped(request, (em) => readTickets(em, limit, idCursor(after))));
  });

  router.get('/players/:playerId/putters', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    response.json(await scoped(request, (em) => readPutters(em, playerId)));
  });
  return router;
}
