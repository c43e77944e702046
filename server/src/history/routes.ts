import { dateSchema, zoneSchema } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { idIn, required, type RouteContext } from '../http/route-context.js';
import { answerOfClub, answerOfPlayer } from '../sheet/read-sheet.js';
import { readClubLife, readDay } from './read-day.js';
import { readReview } from './read-review.js';

const reviewQuery = yup.object({
  from: required(dateSchema),
  to: required(dateSchema).test('order', '${path} is before from', (to: string, context: yup.TestContext) => {
    const { from } = context.parent as { from?: string };
    return !to || !from || from <= to;
  }),
});
const dayQuery = yup.object({ day: required(dateSchema), zone: zoneSchema });

export const historyAsks: Asks = {
  'GET /players/:playerId/day': { query: dayQuery },
  'GET /players/:playerId/review': { query: reviewQuery },
};

export function historyRoutes({ orm, scopeOf, scoped }: RouteContext): Router {
  const router = Router();
  const sendOfPlayer = answerOfPlayer({ orm, scopeOf });
  const sendOfClub = answerOfClub({ orm, scopeOf });

  router.get('/players/:playerId/day', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { day, zone } = readQuery(request, dayQuery);
    const inZone = zone ?? 'UTC';
    await sendOfPlayer(request, response, playerId, `day ${day} ${inZone}`, (em) =>
      readDay(em, playerId, day, inZone),
    );
  });

  router.get('/players/:playerId/review', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { from, to } = readQuery(request, reviewQuery);
    response.json(await scoped(request, (em) => readReview(em, playerId, from, to)));
  });

  router.get('/clubs/:clubId/life', async (request, response) => {
    const clubId = idIn(request, 'clubId');
    await sendOfClub(request, response, clubId, 'life', (em) => readClubLife(em, clubId));
  });
  return router;
}
