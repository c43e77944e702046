import { idSchema, shotKindSchema, wholeDocument } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { idCursor, idCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { idIn, jsonBody, pageQuery, required, type RouteContext } from '../http/route-context.js';
import { ruleBroken } from '../http/http-error.js';
import { hitRequest } from '../monitor/hit-request.js';
import { streamStrikes } from '../monitor/live-stream.js';
import { readSessions, readSetAside } from '../strikes/read-strikes.js';

const sessionsQuery = pageQuery('after', idCursorSchema, 100);
const setAsideQuery = yup.object({
  limit: yup.number().integer().min(1).max(200).default(100),
  before: yup.number().integer().min(1).max(Number.MAX_SAFE_INTEGER),
});
const liveQuery = yup.object({
  after: yup.number().integer().min(0).max(Number.MAX_SAFE_INTEGER).default(0),
});
const hitSchema = wholeDocument(
  yup
    .object({
      clubId: required(idSchema),
      shot: required(shotKindSchema),
      count: required(yup.number().strict().integer().min(1).max(50)),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

export const sessionAsks: Asks = {
  'GET /players/:playerId/sessions': { query: sessionsQuery },
  'GET /sessions/:sessionId/live': { query: liveQuery, answers: 'text/event-stream' },
  'GET /sessions/:sessionId/set-aside': { query: setAsideQuery },
  'POST /sessions/:sessionId/hit': { body: hitSchema },
};

export function sessionRoutes({ orm, news, devicesOf, monitor, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/players/:playerId/sessions', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { limit, after } = readQuery(request, sessionsQuery);
    response.json(await scoped(request, (em) => readSessions(em, playerId, limit, idCursor(after))));
  });

  router.get('/sessions/:sessionId/live', async (request, response) => {
    const sessionId = idIn(request, 'sessionId');
    const { after: asked } = readQuery(request, liveQuery);
    // A browser that comes back says where it was by the header.
    const { after } = liveQuery.validateSync({ after: request.get('last-event-id') ?? asked });
    const sight = await scopeOf(request);
    const own = devicesOf === undefined || devicesOf === sight.workspaceId ? monitor : undefined;
    const view = () => own?.view() ?? { state: 'none' as const, device: null, simulated: false };
    await streamStrikes(response, { orm, sight, sessionId, after, news, monitor: view });
  });

  router.get('/sessions/:sessionId/set-aside', async (request, response) => {
    const sessionId = idIn(request, 'sessionId');
    const { limit, before } = readQuery(request, setAsideQuery);
    response.json(await scoped(request, (em) => readSetAside(em, sessionId, limit, before)));
  });

  router.post('/sessions/:sessionId/hit', async (request, response) => {
    const sessionId = idIn(request, 'sessionId');
    const { clubId, shot, count } = hitSchema.validateSync(jsonBody(request), { strict: true });
    const order = await scoped(request, (em) => hitRequest(em, sessionId, clubId, shot, count));
    const { workspaceId } = await scopeOf(request);
    const own = devicesOf === undefined || devicesOf === workspaceId ? monitor : undefined;
    if (!own?.hit(order))
      throw ruleBroken('No simulated launch monitor is here; a real one sees what is really hit.');
    response.json({ count });
  });
  return router;
}
