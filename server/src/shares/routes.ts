import {
  SHARED_PAPER_WORDS,
  shareSchema,
  wholeDocument,
  type MadeLinkView,
  type ShareView,
} from '@tasche/contract';
import { counted } from '@tasche/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Router, type Request, type Response } from 'express';
import { v4 as newId } from 'uuid';
import { HttpError, notFound } from '../http/http-error.js';
import { fileName, hungUp, idIn, jsonBody, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { addressOf, note } from '../people/audit.js';
import { hashOfKey, newKey } from '../people/keys.js';
import { originOf } from '../people/people-routes.js';
import { Player } from '../players/player.js';
import type { Paper } from '../print/print-run.js';
import { readSeason } from '../season/routes.js';
import { seasonCalendar } from '../season/season-calendar.js';
import { runInThread } from '../threads/thread-pool.js';
import { asAsker } from '../workspaces/in-workspace.js';
import { messagePage } from './message-page.js';
import { Share } from './share.js';
import { sharedPaper } from './shared-paper.js';

const DAY_MS = 86_400_000;
const SHARES_SHOWN = 100;
const OPENINGS_SHOWN = 5;
const MAX_AGENT = 200;
const shareBody = wholeDocument(shareSchema);

export const shareAsks: Asks = {
  'POST /players/:playerId/shares': { body: shareBody },
  'GET /shared/:key': { answers: 'application/pdf' },
};

/** Links to a player's papers: who makes them, and who opens them without an account. */
export function shareRoutes({ orm, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/players/:playerId/shares', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    response.json(await scoped(request, (em) => readShares(em, playerId)));
  });

  router.post('/players/:playerId/shares', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { paper, planId, clubId, days } = shareBody.validateSync(jsonBody(request), { strict: true });
    const scope = await scopeOf(request);
    const question = { ...(planId && { planId }), ...(clubId && { clubId }) };
    // What cannot be made is not shared.
    const { name } = await sharedPaper(orm, scope, { playerId, paper, question }, originOf(request));
    const key = newKey();
    const expiresAt = new Date(Date.now() + days * DAY_MS);
    await asAsker(orm, scope, async (em) => {
      if (!(await em.findOne(Player, { id: playerId, removedAt: null }))) throw notFound('player');
      em.create(
        Share,
        {
          id: newId(),
          keyHash: hashOfKey(key),
          workspaceId: scope.workspaceId,
          playerId,
          paper,
          question,
          name,
          madeBy: scope.who,
          expiresAt,
          revokedAt: null,
        },
        { persist: true },
      );
      await note(
        em,
        request,
        scope,
        'shared',
        `${SHARED_PAPER_WORDS[paper]} of ${name}, ${counted(days, 'day')}`,
      );
    });
    response.json({
      url: `${originOf(request)}/shared/${key}`,
      expiresAt: expiresAt.toISOString(),
      mailed: null,
    } satisfies MadeLinkView);
  });

  router.post('/shares/:shareId/revoke', async (request, response) => {
    const id = idIn(request, 'shareId');
    const scope = await scopeOf(request);
    response.json(
      await asAsker(orm, scope, async (em) => {
        const share = await em.findOne(Share, { id });
        // Somebody who sees some players only ends links to those only.
        if (!share || !(await em.findOne(Player, { id: share.playerId }))) throw notFound('link');
        if (!share.revokedAt) {
          share.revokedAt = new Date();
          await note(
            em,
            request,
            scope,
            'share revoked',
            `${SHARED_PAPER_WORDS[share.paper]} of ${share.name}`,
          );
          await em.flush();
        }
        return readShares(em, share.playerId);
      }),
    );
  });

  router.get('/shared/:key', async (request, response) => {
    response.set('x-robots-tag', 'noindex, nofollow, noarchive').set('referrer-policy', 'no-referrer');
    try {
      await sendShared(request, response, String(request.params.key));
    } catch (error) {
      if (!(error instanceof HttpError) || request.accepts(['json', 'html']) !== 'html') throw error;
      response.status(error.status).type('html').send(messagePage(error.message));
    }
  });
  return router;

  async function sendShared(request: Request, response: Response, key: string): Promise<void> {
    const keyHash = hashOfKey(key);
    const share = await asAsker(orm, { key: keyHash }, (em) => em.findOne(Share, { keyHash }));
    if (!share || share.revokedAt || share.expiresAt.getTime() <= Date.now())
      throw new HttpError(404, {
        error: 'not-found',
        message: 'This link has ended. Ask the sender for a new one.',
      });
    const { workspaceId, playerId } = share;
    // The link sees its player and nobody else.
    const sight = { workspaceId, playerIds: [playerId] };
    const { papers, name } = await sharedPaper(orm, sight, share, originOf(request));
    const file =
      share.paper === 'calendar'
        ? seasonCalendar(name, (await readSeason(orm, sight, playerId)).entries, new Date().toISOString())
        : Buffer.from(
            await runInThread<Paper[], Uint8Array>(
              new URL('../print/print-run.ts', import.meta.url),
              papers,
              hungUp(response),
              workspaceId,
            ),
          );
    await asAsker(orm, sight, (em) =>
      em.execute('insert into share_opening (workspace_id, share_id, address, agent) values (?, ?, ?, ?)', [
        workspaceId,
        share.id,
        addressOf(request),
        (request.get('user-agent') ?? '').slice(0, MAX_AGENT),
      ]),
    );
    const [type, ending] =
      share.paper === 'calendar' ? ['text/calendar; charset=utf-8', 'ics'] : ['application/pdf', 'pdf'];
    response
      .type(type!)
      .setHeader('content-disposition', `inline; filename="${fileName(name)}-${share.paper}.${ending}"`);
    response.send(file);
  }
}

/** Links to a player's papers, the newest first, and who opened each last. */
async function readShares(em: EntityManager, playerId: string): Promise<ShareView[]> {
  if (!(await em.findOne(Player, { id: playerId }))) throw notFound('player');
  const shares = await em.find(
    Share,
    { playerId },
    { limit: SHARES_SHOWN, orderBy: { madeAt: 'desc', id: 'asc' } },
  );
  const openings = await em.execute<
    { shareId: string; n: number; at: string; address: string; agent: string }[]
  >(
    `select one.share_id as "shareId", one.n::int, one.address, one.agent,
       to_char(one.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at
     from (select *, count(*) over (partition by share_id) as n,
         row_number() over (partition by share_id order by id desc) as place
       from share_opening where share_id = any(?::uuid[])) one
     where place <= ${OPENINGS_SHOWN} order by one.id desc`,
    [`{${shares.map(({ id }) => id).join(',')}}`],
  );
  return shares.map(({ id, paper, name, madeBy, madeAt, expiresAt, revokedAt }) => {
    const own = openings.filter(({ shareId }) => shareId === id);
    return {
      id,
      paper,
      name,
      madeBy,
      madeAt: madeAt.toISOString(),
      expiresAt: expiresAt.toISOString(),
      revokedAt: revokedAt?.toISOString() ?? null,
      openings: own[0]?.n ?? 0,
      lastOpenings: own.map(({ at, address, agent }) => ({ at, address, agent })),
    };
  });
}
