import {
  MAX_FILE_BYTES,
  MAX_ORDER_CHARACTERS,
  MAX_STRIKES_ANSWERED,
  idSchema,
  textSchema,
  type KnownMapping,
} from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { hungUp, idIn, required, wrongType, type RouteContext } from '../http/route-context.js';
import { importStrikes } from './import-strikes.js';
import { readStrikesText } from './read-strikes.js';
import { FileMapping } from './strike-rows.js';
import { receiveFile, tooLarge, type ReceiveLimits } from './received-file.js';

const strikesQuery = yup.object({
  session: idSchema,
  /** Only those of the session that was held last. */
  newest: yup.boolean(),
  club: idSchema,
  limit: yup.number().integer().min(1).max(MAX_STRIKES_ANSWERED),
});
const importQuery = yup.object({
  take: required(yup.string().oneOf(['none', 'good'] as const)),
  changeId: required(idSchema),
});
const mappingQuery = yup.object({ heads: required(textSchema(2000)) });

/** A slow line gets three minutes for a file; one that stands still, ten seconds. */
const RECEIVE: ReceiveLimits = {
  bytes: MAX_FILE_BYTES + MAX_ORDER_CHARACTERS,
  totalMs: 180_000,
  silenceMs: 10_000,
  advice: 'Split it, or export fewer sessions at once.',
};

export const strikeAsks: Asks = {
  'GET /players/:playerId/strikes': { query: strikesQuery },
  'GET /file-mapping': { query: mappingQuery },
  'POST /players/:playerId/strikes/import': { query: importQuery, takes: ['application/octet-stream'] },
};

export function strikeImportRoutes({ orm, metrics, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/players/:playerId/strikes', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { session, newest, club, limit } = readQuery(request, strikesQuery);
    response
      .type('json')
      .send(
        await scoped(request, (em) =>
          readStrikesText(em, { playerId, sessionId: session, isNewest: newest, clubId: club, limit }),
        ),
      );
  });

  router.get('/file-mapping', async (request, response) => {
    const { heads } = readQuery(request, mappingQuery);
    const known = await scoped(request, (em) => em.findOne(FileMapping, { headsKey: heads }));
    const answer: KnownMapping | null = known && { mapping: known.mapping, clubs: known.clubs };
    response.json(answer);
  });

  router.post('/players/:playerId/strikes/import', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { take, changeId } = readQuery(request, importQuery);
    if (!request.is('application/octet-stream'))
      throw wrongType('application/octet-stream: the order as one line of JSON, then the file');
    if (Number(request.headers['content-length'] ?? 0) > RECEIVE.bytes) throw tooLarge(RECEIVE);
    const scope = await scopeOf(request);
    const signal = hungUp(response);
    const received = await receiveFile(request, RECEIVE);
    try {
      const report = await importStrikes(orm, scope, { playerId, take, changeId, received, signal });
      if (report.changeId !== null) metrics?.importedRows.inc(report.taken);
      response.json(report);
    } finally {
      await received.remove();
    }
  });
  return router;
}
