import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setImmediate } from 'node:timers/promises';
import {
  MAX_PLAYERS,
  MAX_PLAYER_FILE_BYTES,
  PlayerFileError,
  PlayerFileReader,
  idSchema,
  type PlayerFile,
} from '@tasche/contract';
import { IsolationLevel, type EntityManager } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import * as yup from 'yup';
import { doneBefore } from '../changes/done-before.js';
import { refreshSpecs } from '../clubs/refresh-specs.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { readQuery } from '../http/read-query.js';
import {
  fileName,
  hungUp,
  idIn,
  stopIfHungUp,
  required,
  wrongType,
  type RouteContext,
} from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { note } from '../people/audit.js';
import type { SignedIn } from '../people/scope.js';
import { receiveFile, tooLarge, type ReceiveLimits, type ReceivedFile } from '../strikes/received-file.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { tellOfPlayer } from './hand-over.js';
import { Player } from './player.js';
import { playerFileText, wholePlayerOf, type WholePlayer } from './player-file.js';
import { readPlayed, readPlayerRows, writePlayerRows } from './player-rows.js';

const takeQuery = yup.object({ changeId: required(idSchema) });

const RECEIVE: ReceiveLimits = {
  bytes: MAX_PLAYER_FILE_BYTES,
  totalMs: 300_000,
  silenceMs: 10_000,
  advice: 'Between workspaces of one server a player is handed over instead.',
};
/** Rows checked before others have a turn. */
const LINES_A_TURN = 50;

export const playerFileAsks: Asks = {
  'GET /players/:playerId/player.jsonl': { answers: 'application/octet-stream' },
  'POST /players/from-file': { query: takeQuery, takes: ['application/octet-stream'] },
};

/** Exports a whole player as a file anyone can read, and imports one. */
export function playerFileRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  router.get('/players/:playerId/player.jsonl', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const whole = await inWorkspace(
      orm,
      await scopeOf(request),
      async (em): Promise<WholePlayer> => {
        if (!(await em.findOne(Player, { id: playerId, removedAt: null }))) throw notFound('player');
        const rows = await readPlayerRows(em, playerId);
        return { rows, played: await readPlayed(em, rows) };
      },
      IsolationLevel.REPEATABLE_READ,
    );
    response
      .attachment(`${fileName(String(whole.rows.player[0]!.name))}.jsonl`)
      .type('application/octet-stream');
    try {
      await pipeline(Readable.from(playerFileText(whole, new Date())), response);
    } catch (error) {
      // A client that disconnected needs no answer.
      if (!response.destroyed) throw error;
    }
  });

  router.post('/players/from-file', async (request, response) => {
    const { changeId } = readQuery(request, takeQuery);
    if (!request.is('application/octet-stream')) throw wrongType('application/octet-stream: a player’s file');
    if (Number(request.headers['content-length'] ?? 0) > RECEIVE.bytes) throw tooLarge(RECEIVE);
    const scope = await scopeOf(request);
    const signal = hungUp(response);
    const received = await receiveFile(request, RECEIVE);
    try {
      const file = await readFile(received, signal);
      response.json({
        playerId: await inWorkspace(orm, scope, async (em) => {
          const playerId = await bringIn(em, request, scope, changeId, file);
          stopIfHungUp(signal);
          return playerId;
        }),
      });
    } finally {
      await received.remove();
    }
  });
  return router;
}

/** @throws HttpError 400 naming the line and the field */
async function readFile(received: Pick<ReceivedFile, 'read'>, signal: AbortSignal): Promise<PlayerFile> {
  const reader = new PlayerFileReader();
  const lines = createInterface({ input: Readable.from(received.read()), crlfDelay: Infinity });
  let count = 0;
  try {
    for await (const line of lines) {
      reader.add(line);
      count += 1;
      if (count % LINES_A_TURN === 0) {
        await setImmediate();
        stopIfHungUp(signal);
      }
    }
    return reader.finish();
  } catch (error) {
    if (!(error instanceof PlayerFileError)) throw error;
    const field = [`line ${error.line}`, error.field].filter(Boolean).join(', ');
    throw badInput(`${error.message}. Nothing was imported.`, [{ field, message: error.reason }]);
  } finally {
    lines.close();
  }
}

/** What a change that brought a player in keeps, to be answered again. */
interface BroughtIn {
  broughtIn: string;
}

/** @returns the player's id; sent again under the same change, that of the first time */
async function bringIn(
  em: EntityManager,
  request: Request,
  scope: SignedIn,
  changeId: string,
  file: PlayerFile,
): Promise<string> {
  await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 5))', [changeId]);
  const done = await doneBefore(em, changeId);
  if (done) {
    const report = done.report as BroughtIn | null;
    if (report?.broughtIn !== undefined) return report.broughtIn;
    throw badInput('That id belongs to another change.', [{ field: 'changeId', message: 'used already' }]);
  }
  if ((await em.count(Player, { removedAt: null })) >= MAX_PLAYERS)
    throw ruleBroken(`A workspace has at most ${MAX_PLAYERS} players.`);
  const { name, takenOutAt } = file.head;
  await note(em, request, scope, 'player taken', `${name}, from a file`);
  const { rows, played } = wholePlayerOf(file.rows);
  const playerId = await writePlayerRows(em, scope.workspaceId, rows, played);
  const clubs = await em.execute<{ id: string }[]>('select id from club where player_id = ?', [playerId]);
  await refreshSpecs(
    em,
    clubs.map(({ id }) => id),
  );
  await tellOfPlayer(
    em,
    scope.workspaceId,
    playerId,
    scope,
    `${name} brought in from a file of ${takenOutAt.slice(0, 10)}, with everything`,
    { id: changeId, report: { broughtIn: playerId } satisfies BroughtIn },
  );
  return playerId;
}
