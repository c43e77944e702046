import { dateSchema } from '@tasche/contract';
import { Router } from 'express';
import { nameCursor, nameCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { pageQuery, type RouteContext } from '../http/route-context.js';
import { sendKnownText } from '../http/send-known-text.js';
import { knownRosterText } from './read-roster.js';

const rosterQuery = pageQuery('after', nameCursorSchema).shape({ today: dateSchema });

export const playerAsks: Asks = {
  'GET /players': { query: rosterQuery },
};

export function playerRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  router.get('/players', async (request, response) => {
    const { today, limit, after } = readQuery(request, rosterQuery);
    const day = today ?? new Date().toISOString().slice(0, 10);
    const scope = await scopeOf(request);
    sendKnownText(request, response, await knownRosterText(orm, scope, day, limit, nameCursor(after)));
  });
  return router;
}
