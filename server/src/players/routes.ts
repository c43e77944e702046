import { dateSchema, textSchema } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { nameCursor, nameCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { pageQuery, type RouteContext } from '../http/route-context.js';
import { sendKnownText } from '../http/send-known-text.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { findPlayers } from './find-players.js';
import { knownRosterText } from './read-roster.js';

const rosterQuery = pageQuery('after', nameCursorSchema).shape({ today: dateSchema });

const findQuery = yup.object({ words: textSchema(80) });

export const playerAsks: Asks = {
  'GET /players': { query: rosterQuery },
  'GET /players/find': { query: findQuery },
};

export function playerRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  router.get('/players', async (request, response) => {
    const { today, limit, after } = readQuery(request, rosterQuery);
    const day = today ?? new Date().toISOString().slice(0, 10);
    const scope = await scopeOf(request);
    sendKnownText(request, response, await knownRosterText(orm, scope, day, limit, nameCursor(after)));
  });

  router.get('/players/find', async (request, response) => {
    const { words } = readQuery(request, findQuery);
    response.json(await inWorkspace(orm, await scopeOf(request), (em) => findPlayers(em, words ?? '')));
  });
  return router;
}
