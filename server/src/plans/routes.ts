import { Router } from 'express';
import { idCursor, idCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { hungUp, idIn, pageQuery, type RouteContext } from '../http/route-context.js';
import { answerOfPlayer, readPlans } from '../sheet/read-sheet.js';
import { chooseForRound } from './choose-for-round.js';

const plansQuery = pageQuery('after', idCursorSchema);

export const planAsks: Asks = {
  'GET /players/:playerId/plans': { query: plansQuery },
};

export function planRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();
  const sendOfPlayer = answerOfPlayer({ orm, scopeOf });

  router.get('/players/:playerId/plans', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { limit, after } = readQuery(request, plansQuery);
    await sendOfPlayer(request, response, playerId, `plans ${limit} ${after ?? ''}`, (em) =>
      readPlans(em, playerId, limit, idCursor(after)),
    );
  });

  // What the page works out for itself, for scripts: the best bag of a round.
  router.get('/plans/:planId/rounds/:roundId/choice', async (request, response) => {
    const [planId, roundId] = [idIn(request, 'planId'), idIn(request, 'roundId')];
    const signal = hungUp(response);
    response.json(await chooseForRound(orm, await scopeOf(request), planId, roundId, signal));
  });
  return router;
}
