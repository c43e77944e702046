import { Router } from 'express';
import { idCursor, idCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { fileName, hungUp, idIn, pageQuery, type RouteContext } from '../http/route-context.js';
import { Club } from '../clubs/club.js';
import { notFound } from '../http/http-error.js';
import { Player } from '../players/player.js';
import { runInThread } from '../threads/thread-pool.js';
import type { BuildSheet } from './build-sheet-pdf.js';
import { readGaugedLofts } from './read-gauge.js';
import { readPutters, readTickets } from './read-tickets.js';

const ticketsQuery = pageQuery('after', idCursorSchema, 100);

export const benchAsks: Asks = {
  'GET /tickets': { query: ticketsQuery },
  'GET /clubs/:clubId/build.pdf': { answers: 'application/pdf' },
};

export function benchRoutes({ scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/tickets', async (request, response) => {
    const { limit, after } = readQuery(request, ticketsQuery);
    response.json(await scoped(request, (em) => readTickets(em, limit, idCursor(after))));
  });

  router.get('/players/:playerId/putters', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    response.json(await scoped(request, (em) => readPutters(em, playerId)));
  });
  router.get('/players/:playerId/gauged-lofts', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    response.json(await scoped(request, (em) => readGaugedLofts(em, playerId)));
  });

  router.get('/clubs/:clubId/build.pdf', async (request, response) => {
    const clubId = idIn(request, 'clubId');
    const { club, player } = await scoped(request, async (em) => {
      const found = await em.findOne(Club, { id: clubId, removedAt: null });
      if (!found) throw notFound('club');
      return { club: found, player: await em.findOneOrFail(Player, { id: found.playerId }) };
    });
    const { name, kind, spec, playerId } = club;
    const pdf = await runInThread<BuildSheet, Uint8Array>(
      new URL('./build-sheet-pdf.ts', import.meta.url),
      {
        playerName: player.name,
        club: { name, kind, spec },
        address: `${request.protocol}://${request.get('host')}/players/${playerId}/clubs/${clubId}/build`,
        day: new Date().toISOString().slice(0, 10),
      },
      hungUp(response),
      (await scopeOf(request)).workspaceId,
    );
    response
      .type('application/pdf')
      .setHeader('content-disposition', `inline; filename="${fileName(name)}-build.pdf"`);
    response.send(Buffer.from(pdf));
  });
  return router;
}
