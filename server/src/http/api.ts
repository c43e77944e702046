import {
  MOST_FILE_BYTES, MOST_FORECAST_DAYS, MOST_ORDER_CHARACTERS, MOST_STRIKES_ANSWERED, dateSchema, distanceUnitSchema, idSchema, parseChangeRequest, shotKindSchema, wholeDocument, writeSheetCsv,
  type KnownMapping, type SignedInView,
} from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import express, { Router, type Request } from 'express';
import * as yup from 'yup';
import { applyChange } from '../changes/apply-change.js';
import { undoChange } from '../changes/undo-change.js';
import { coursePlace, readCircuit } from '../circuit/circuit.js';
import { readForecast } from '../weather/read-forecast.js';
import { chooseForRound } from '../plans/choose-for-round.js';
import { readRoster } from '../players/read-roster.js';
import { exportLocker } from '../sheet/export-locker.js';
import { importSheet } from '../sheet/import-sheet.js';
import { clubsOf, readChanges, readDifferences, readReadings, readSheet, knownSheetText } from '../sheet/read-sheet.js';
import { specSheetPdf } from '../sheet/spec-sheet-pdf.js';
import { importStrikes } from '../strikes/import-strikes.js';
import { tooLarge } from '../strikes/file-rows.js';
import { readSessions, readSetAside, readStrikesText } from '../strikes/read-strikes.js';
import { streamStrikes } from '../monitor/live-stream.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import type { AppOptions } from './app.js';
import { Refusal, ruleBroken } from './refusal.js';
import { hitOrder } from '../monitor/hit-order.js';

const BODY_LIMIT = '2mb';

const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');
const params = <T extends yup.ObjectShape>(shape: T) => yup.object(shape);
const playerParams = params({ playerId: required(idSchema) });
const sheetQuery = params({ asOf: dateSchema, bag: idSchema, unit: distanceUnitSchema });
const rosterQuery = params({ today: dateSchema });
const pageQuery = params({ limit: yup.number().integer().min(1).max(200).default(50), before: yup.string().max(40).matches(/^\d{4}-\d\d-\d\dT[\d:.]+Z$/) });
const betweenQuery = params({ from: required(dateSchema), to: required(dateSchema) });
const forecastQuery = params({ from: required(dateSchema), days: yup.number().integer().min(1).max(MOST_FORECAST_DAYS).default(1) });
const importQuery = params({
  take: required(yup.string().oneOf(['none', 'good', 'all'] as const)), changeId: required(idSchema), takenOn: required(dateSchema),
});

const strikesQuery = params({ session: idSchema, club: idSchema, limit: yup.number().integer().min(1).max(MOST_STRIKES_ANSWERED) });
const strikeImportQuery = params({ take: required(yup.string().oneOf(['none', 'good'] as const)), changeId: required(idSchema) });
const mappingQuery = params({ heads: required(yup.string().max(2000)) });
const sessionParams = params({ sessionId: required(idSchema) });
const liveQuery = params({ after: yup.number().integer().min(0).default(0) });
const hitSchema = wholeDocument(yup.object({ clubId: required(idSchema), shot: required(shotKindSchema), count: required(yup.number().strict().integer().min(1).max(50)) }).strict().noUnknown('unknown field: ${unknown}'));

/** Every route: thin, checked at the border, scoped to the asker's workspace. */
export function api({ orm, signIn, news, monitor, weather }: Pick<AppOptions, 'orm' | 'signIn'> & Partial<Pick<AppOptions, 'news' | 'monitor' | 'weather'>>): Router {
  const router = Router();
  const scoped = async <T>(request: Request, work: (em: EntityManager) => Promise<T>): Promise<T> =>
    inWorkspace(orm, (await signIn(request)).workspaceId, work);

  router.get('/health', async (_request, response) => {
    await orm.em.fork().execute('select 1');
    response.json({ database: 'here' });
  });

  router.get('/signed-in', async (request, response) => {
    const { workspaceId, workspaceName, who } = await signIn(request);
    response.json({ workspace: { id: workspaceId, name: workspaceName }, who } satisfies SignedInView);
  });

  router.get('/players', async (request, response) => {
    const { today } = rosterQuery.validateSync(request.query);
    response.json(await scoped(request, (em) => readRoster(em, today ?? new Date().toISOString().slice(0, 10))));
  });

  router.get('/circuit', async (request, response) => {
    response.json(await scoped(request, readCircuit));
  });

  router.get('/courses/:courseId/forecast', async (request, response) => {
    const { courseId } = params({ courseId: required(idSchema) }).validateSync(request.params);
    const { from, days } = forecastQuery.validateSync(request.query);
    const gone = new AbortController();
    response.once('close', () => { gone.abort(); });
    response.json(await readForecast(weather, await scoped(request, (em) => coursePlace(em, courseId)), from, days, gone.signal));
  });

  // What the page works out for itself, for scripts: the best bag of a round.
  router.get('/plans/:planId/rounds/:roundId/choice', async (request, response) => {
    const { planId, roundId } = params({ planId: required(idSchema), roundId: required(idSchema) }).validateSync(request.params);
    response.json(await chooseForRound(orm, (await signIn(request)).workspaceId, planId, roundId));
  });

  router.get('/players/:playerId/sheet', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { asOf } = sheetQuery.validateSync(request.query);
    const { text, packed, etag } = await knownSheetText(orm, (await signIn(request)).workspaceId, playerId, asOf ?? null);
    const takesPacked = request.acceptsEncodings('gzip') === 'gzip';
    if (takesPacked) response.set('content-encoding', 'gzip');
    response.set('etag', etag).vary('accept-encoding').type('json').send(takesPacked ? packed : text);
  });

  router.get('/players/:playerId/sheet.csv', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { asOf, bag, unit } = sheetQuery.validateSync(request.query);
    const sheet = await readSheet(orm, (await signIn(request)).workspaceId, playerId, asOf ?? null);
    response.attachment(`${fileName(sheet.player.name)}.csv`).type('text/csv')
      .send(writeSheetCsv(clubsOf(sheet, bag), unit ?? sheet.player.distanceUnit));
  });

  router.get('/players/:playerId/locker.json', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const sheet = await readSheet(orm, (await signIn(request)).workspaceId, playerId, null);
    const document = await scoped(request, (em) => exportLocker(em, sheet));
    response.attachment(`${fileName(document.player.name)}.json`).json(document);
  });

  router.get('/players/:playerId/sheet.pdf', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { asOf, bag, unit } = sheetQuery.validateSync(request.query);
    const sheet = await readSheet(orm, (await signIn(request)).workspaceId, playerId, asOf ?? null);
    const bagId = bag ?? sheet.bags.find((one) => one.gamer)?.id;
    const pdf = await specSheetPdf({
      player: sheet.player, clubs: clubsOf(sheet, bagId), bagName: sheet.bags.find((one) => one.id === bagId)?.name ?? 'Locker',
      unit: unit ?? sheet.player.distanceUnit, day: asOf ?? new Date().toISOString().slice(0, 10),
    });
    response.type('application/pdf').setHeader('content-disposition', `inline; filename="${fileName(sheet.player.name)}.pdf"`);
    response.send(pdf);
  });

  router.get('/players/:playerId/changes', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { limit, before } = pageQuery.validateSync(request.query);
    response.json(await scoped(request, (em) => readChanges(em, playerId, limit, before)));
  });

  router.get('/players/:playerId/differences', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { from, to } = betweenQuery.validateSync(request.query);
    response.json(await scoped(request, (em) => readDifferences(em, playerId, from, to)));
  });

  router.get('/clubs/:clubId/readings', async (request, response) => {
    const { clubId } = params({ clubId: required(idSchema) }).validateSync(request.params);
    const { limit } = pageQuery.validateSync(request.query);
    response.json(await scoped(request, (em) => readReadings(em, clubId, limit)));
  });

  router.post('/players/:playerId/import', express.text({ type: ['text/csv', 'application/json'], limit: BODY_LIMIT }), async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { take, changeId, takenOn } = importQuery.validateSync(request.query);
    const format = request.is('text/csv') ? 'csv' : request.is('application/json') ? 'json' : undefined;
    if (!format || typeof request.body !== 'string') throw wrongType('text/csv or application/json');
    if (request.body.includes('\uFFFD')) throw wrongType('text in UTF-8');
    response.json(await importSheet(orm, await signIn(request), { playerId, format, text: request.body, take, changeId, takenOn }));
  });

  router.get('/players/:playerId/sessions', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    response.json(await scoped(request, (em) => readSessions(em, playerId)));
  });

  router.get('/players/:playerId/strikes', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { session, club, limit } = strikesQuery.validateSync(request.query);
    response.type('json').send(await scoped(request, (em) => readStrikesText(em, { playerId, sessionId: session, clubId: club, limit })));
  });

  router.get('/file-mapping', async (request, response) => {
    const { heads } = mappingQuery.validateSync(request.query);
    const [known] = await scoped(request, (em) => em.execute<KnownMapping[]>('select mapping, clubs from file_mapping where heads_key = ?', [heads]));
    response.json(known ?? null);
  });

  // The body is read as it arrives; nothing before this may touch it.
  router.post('/players/:playerId/strikes/import', async (request, response) => {
    const { playerId } = playerParams.validateSync(request.params);
    const { take, changeId } = strikeImportQuery.validateSync(request.query);
    if (!request.is('application/octet-stream')) throw wrongType('application/octet-stream: the order as one line of JSON, then the file');
    if (Number(request.headers['content-length'] ?? 0) > MOST_FILE_BYTES + MOST_ORDER_CHARACTERS) throw tooLarge();
    response.json(await importStrikes(orm, await signIn(request), { playerId, take, changeId, body: request }));
  });

  router.get('/sessions/:sessionId/live', async (request, response) => {
    const { sessionId } = sessionParams.validateSync(request.params);
    const { after } = liveQuery.validateSync({ after: request.get('last-event-id') ?? request.query.after });
    const { workspaceId } = await signIn(request);
    await streamStrikes(response, { orm, workspaceId, sessionId, after: after, news, monitor: () => monitor?.view() ?? { state: 'none', device: null, simulated: false } });
  });

  router.get('/sessions/:sessionId/set-aside', async (request, response) => {
    const { sessionId } = sessionParams.validateSync(request.params);
    response.json(await scoped(request, (em) => readSetAside(em, sessionId)));
  });

  router.use(express.json({ limit: BODY_LIMIT }));

  router.post('/sessions/:sessionId/hit', async (request, response) => {
    const { sessionId } = sessionParams.validateSync(request.params);
    const { clubId, shot, count } = hitSchema.validateSync(jsonBody(request), { strict: true });
    const order = await scoped(request, (em) => hitOrder(em, sessionId, clubId, shot, count));
    if (!monitor?.hit(order)) throw ruleBroken('No simulated launch monitor is here; a real one sees what is really hit.');
    response.json({ count });
  });

  router.post('/changes', async (request, response) => {
    response.json(await applyChange(orm, await signIn(request), parseChangeRequest(jsonBody(request))));
  });

  router.post('/changes/:changeId/undo', async (request, response) => {
    const { changeId } = params({ changeId: required(idSchema) }).validateSync(request.params);
    const { id } = wholeDocument(yup.object({ id: required(idSchema) }).strict().noUnknown('unknown field: ${unknown}'))
      .validateSync(jsonBody(request), { strict: true });
    response.json(await undoChange(orm, await signIn(request), changeId, id));
  });

  router.use((_request, _response, next) => {
    next(new Refusal(404, { error: 'not-found', message: 'There is nothing at this address.' }));
  });
  return router;
}

function jsonBody(request: Request): unknown {
  if (!request.is('application/json')) throw wrongType('application/json');
  return request.body as unknown;
}

function wrongType(wanted: string): Refusal {
  return new Refusal(415, { error: 'wrong-type', message: `Send ${wanted}.` });
}

function fileName(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'sheet';
}
