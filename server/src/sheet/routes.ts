import { dateSchema, distanceUnitSchema, idSchema, writeSheetCsv } from '@tasche/contract';
import express, { Router } from 'express';
import * as yup from 'yup';
import { dayCursor, dayCursorSchema, momentCursor, momentCursorSchema } from '../http/cursors.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import {
  BODY_LIMIT,
  fileName,
  hungUp,
  idIn,
  pageQuery,
  required,
  wrongType,
  type RouteContext,
} from '../http/route-context.js';
import { sendKnownText } from '../http/send-known-text.js';
import { runInThread } from '../threads/thread-pool.js';
import { streamLocker } from './export-locker.js';
import { importSheet } from './import-sheet.js';
import {
  clubsOf,
  answerOfClub,
  answerOfPlayer,
  knownSheetText,
  readChanges,
  readDifferences,
  readReadings,
  readSheet,
} from './read-sheet.js';
import type { SpecSheet } from './spec-sheet-pdf.js';

const sheetQuery = yup.object({ asOf: dateSchema });
const printQuery = yup.object({
  asOf: dateSchema,
  bag: idSchema,
  unit: distanceUnitSchema,
  builder: yup.boolean(),
});
const changesQuery = pageQuery('before', momentCursorSchema);
const readingsQuery = pageQuery('before', dayCursorSchema);
const betweenQuery = yup.object({ from: required(dateSchema), to: required(dateSchema) });
const importQuery = yup.object({
  take: required(yup.string().oneOf(['none', 'good', 'all'] as const)),
  changeId: required(idSchema),
  takenOn: required(dateSchema),
});

export const sheetAsks: Asks = {
  'GET /players/:playerId/sheet': { query: sheetQuery },
  'GET /players/:playerId/sheet.csv': { query: printQuery, answers: 'text/csv' },
  'GET /players/:playerId/sheet.pdf': { query: printQuery, answers: 'application/pdf' },
  'GET /players/:playerId/changes': { query: changesQuery },
  'GET /players/:playerId/differences': { query: betweenQuery },
  'GET /clubs/:clubId/readings': { query: readingsQuery },
  'POST /players/:playerId/import': { query: importQuery, takes: ['text/csv', 'application/json'] },
};

export function sheetRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();
  const sendOfPlayer = answerOfPlayer({ orm, scopeOf });
  const sendOfClub = answerOfClub({ orm, scopeOf });

  router.get('/players/:playerId/sheet', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { asOf } = readQuery(request, sheetQuery);
    sendKnownText(
      request,
      response,
      await knownSheetText(orm, await scopeOf(request), playerId, asOf ?? null),
    );
  });

  router.get('/players/:playerId/sheet.csv', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { asOf, bag, unit } = readQuery(request, printQuery);
    const sheet = await readSheet(orm, await scopeOf(request), playerId, asOf ?? null);
    response
      .attachment(`${fileName(sheet.player.name)}.csv`)
      .type('text/csv')
      .send(writeSheetCsv(clubsOf(sheet, bag), unit ?? sheet.player.distanceUnit));
  });

  router.get('/players/:playerId/locker.json', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const scope = await scopeOf(request);
    const sheet = await readSheet(orm, scope, playerId, null);
    response.attachment(`${fileName(sheet.player.name)}.json`).type('json');
    await streamLocker(orm, scope, sheet, response);
  });

  router.get('/players/:playerId/sheet.pdf', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { asOf, bag, unit, builder } = readQuery(request, printQuery);
    const scope = await scopeOf(request);
    const sheet = await readSheet(orm, scope, playerId, asOf ?? null);
    const bagId = bag ?? sheet.bags.find((one) => one.gamer)?.id;
    const spec: SpecSheet = {
      player: sheet.player,
      clubs: clubsOf(sheet, bagId),
      bagName: sheet.bags.find((one) => one.id === bagId)?.name ?? 'Locker',
      strategy:
        (sheet.bags.find((one) => one.id === bagId) ?? sheet.bags.find((one) => one.gamer))?.strategy ??
        'even-carries',
      unit: unit ?? sheet.player.distanceUnit,
      day: asOf ?? new Date().toISOString().slice(0, 10),
      builder: builder ?? false,
    };
    const pdf = await runInThread<SpecSheet, Uint8Array>(
      new URL('./spec-sheet-pdf.ts', import.meta.url),
      spec,
      hungUp(response),
      scope.workspaceId,
    );
    response
      .type('application/pdf')
      .setHeader('content-disposition', `inline; filename="${fileName(sheet.player.name)}.pdf"`);
    response.send(Buffer.from(pdf));
  });

  router.get('/players/:playerId/changes', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { limit, before } = readQuery(request, changesQuery);
    await sendOfPlayer(request, response, playerId, `changes ${limit} ${before ?? ''}`, (em) =>
      readChanges(em, playerId, limit, momentCursor(before)),
    );
  });

  router.get('/players/:playerId/differences', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { from, to } = readQuery(request, betweenQuery);
    await sendOfPlayer(request, response, playerId, `differences ${from} ${to}`, (em) =>
      readDifferences(em, playerId, from, to),
    );
  });

  router.get('/clubs/:clubId/readings', async (request, response) => {
    const clubId = idIn(request, 'clubId');
    const { limit, before } = readQuery(request, readingsQuery);
    // Of a club just typed, which the server has not heard of, there are none yet.
    await sendOfClub(
      request,
      response,
      clubId,
      `readings ${limit} ${before ?? ''}`,
      (em) => readReadings(em, clubId, limit, dayCursor(before)),
      { rows: [], total: 0, next: null },
    );
  });

  const sheetBody = express.text({ type: ['text/csv', 'application/json'], limit: BODY_LIMIT });
  router.post('/players/:playerId/import', sheetBody, async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { take, changeId, takenOn } = readQuery(request, importQuery);
    const format = request.is('text/csv') ? 'csv' : request.is('application/json') ? 'json' : undefined;
    if (!format || typeof request.body !== 'string') throw wrongType('text/csv or application/json');
    if (request.body.includes('\uFFFD')) throw wrongType('text in UTF-8');
    response.json(
      await importSheet(orm, await scopeOf(request), {
        playerId,
        format,
        text: request.body,
        take,
        changeId,
        takenOn,
      }),
    );
  });
  return router;
}
