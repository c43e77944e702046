import { HAND_OVER_WORDS, MAX_PLAYERS, handOverSchema, linkKeySchema, wholeDocument } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Router, type Request } from 'express';
import { v4 as newId } from 'uuid';
import { finish } from '../changes/apply-change.js';
import { ChangeRecorder } from '../changes/change-recorder.js';
import { conflict, notFound, ruleBroken } from '../http/http-error.js';
import { idIn, jsonBody, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { note } from '../people/audit.js';
import { makeLink, withLink } from '../people/one-time-links.js';
import { originOf } from '../people/people-routes.js';
import type { OneTimeLink } from '../people/person.js';
import type { SignedIn } from '../people/scope.js';
import { asAsker, tellOf } from '../workspaces/in-workspace.js';
import { Workspace } from '../workspaces/workspace.js';
import { Player } from './player.js';
import { deletePlayerRows, readPlayed, readPlayerRows, writePlayerRows } from './player-rows.js';

const offer = wholeDocument(handOverSchema);
const keyBody = wholeDocument(linkKeySchema);

export const handOverAsks: Asks = {
  'POST /players/:playerId/hand-over': { body: offer },
  'POST /links/take': { body: keyBody },
};

/** A player goes to another workspace, whole: its owner offers, the other's owner takes. */
export function handOverRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  router.post('/players/:playerId/hand-over', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { how } = offer.validateSync(jsonBody(request), { strict: true });
    const here = await scopeOf(request);
    response.json(
      await asAsker(orm, here, async (em) => {
        const player = await em.findOne(Player, { id: playerId, removedAt: null });
        if (!player) throw notFound('player');
        await note(em, request, here, 'player offered', `${player.name}, ${HAND_OVER_WORDS[how]}`);
        return makeLink(em, originOf(request), {
          purpose: how,
          workspaceId: here.workspaceId,
          name: player.name,
          email: '',
          playerIds: [playerId],
          madeBy: here.who,
        });
      }),
    );
  });

  router.post('/links/take', async (request, response) => {
    const { key } = keyBody.validateSync(jsonBody(request), { strict: true });
    const taker = await scopeOf(request);
    response.json({
      playerId: await withLink(orm, key, (em, link) => take(em, request, link, taker)),
    });
  });
  return router;
}

/**
 * In one transaction: read where the player is, deleted there where it is for good, written where it goes.
 */
async function take(
  em: EntityManager,
  request: Request,
  link: OneTimeLink,
  taker: SignedIn,
): Promise<string> {
  if (link.purpose !== 'copy' && link.purpose !== 'move')
    throw ruleBroken('That link does not hand over a player.');
  const [from, playerId] = [link.workspaceId!, link.playerIds![0]!];
  if (from === taker.workspaceId)
    throw conflict(
      `${link.name} is in this workspace already. Go to the one they should move to, then open the link again.`,
    );
  link.usedAt = new Date();
  await em.flush();

  await tellOf(em, { workspaceId: from });
  await em.execute('select id from player where id = ? for update', [playerId]);
  const player = await em.findOne(Player, { id: playerId, removedAt: null });
  if (!player) throw notFound('player');
  const rows = await readPlayerRows(em, playerId);
  const played = await readPlayed(em, rows);
  const { name: fromName } = await em.findOneOrFail(Workspace, { id: from });
  if (link.purpose === 'move') {
    await deletePlayerRows(em, rows);
    await tellOfPlayer(
      em,
      from,
      playerId,
      taker,
      `${link.name} handed over to ${taker.workspaceName}, with everything`,
    );
  }
  await note(
    em,
    request,
    { workspaceId: from, who: taker.who },
    'player taken',
    `${link.name}, ${HAND_OVER_WORDS[link.purpose]}, by ${taker.workspaceName}`,
  );

  em.clear();
  await tellOf(em, taker);
  if ((await em.count(Player, { removedAt: null })) >= MAX_PLAYERS)
    throw ruleBroken(`A workspace has at most ${MAX_PLAYERS} players.`);
  const newPlayerId = await writePlayerRows(em, taker.workspaceId, rows, played);
  await tellOfPlayer(
    em,
    taker.workspaceId,
    newPlayerId,
    taker,
    `${link.name} taken over from ${fromName}, with everything`,
  );
  await note(
    em,
    request,
    taker,
    'player taken',
    `${link.name}, ${HAND_OVER_WORDS[link.purpose]}, from ${fromName}`,
  );
  return newPlayerId;
}

/** A change that says what happened; it does nothing itself, and there is nothing of it to take back. */
export async function tellOfPlayer(
  em: EntityManager,
  workspaceId: string,
  playerId: string,
  { who, personId, workspaceId: own }: SignedIn,
  summary: string,
  { id = newId(), report = null }: { id?: string; report?: object | null } = {},
): Promise<void> {
  const recorder = new ChangeRecorder(em, workspaceId);
  await recorder.load('player', playerId);
  await finish(recorder, {
    id,
    who,
    personId: workspaceId === own ? personId : null,
    why: '',
    summary,
    playerId,
    undoesId: null,
    report,
  });
}
