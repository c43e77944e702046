import type { NewsView } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { HttpError } from '../http/http-error.js';
import type { RouteContext } from '../http/route-context.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { reloadSession } from '../people/browser-sessions.js';
import type { Sight } from '../workspaces/in-workspace.js';
import type { ChangeNews } from './listen-for-news.js';

/** Pages that listen at once, to one server: every open page does. */
const MAX_STREAMS = 1000;
/** Of one person, or one machine: a phone, a laptop, some tabs. */
const MAX_STREAMS_EACH = 20;
/** So that a proxy in between does not close it, where nothing else is said. */
const BEAT_MS = 10_000;
/** A page that takes nothing is cut off; it reads everything again when it comes back. */
const MAX_BUFFERED_BYTES = 64_000;

/**
 * How long ago the page began to read, in milliseconds: what was changed since then it may not have seen.
 */
const newsQuery = yup.object({ readForMs: yup.number().integer().min(0) });
/** On its way the question may wait for others of its page. */
const MAX_ON_ITS_WAY_MS = 10_000;

const open = new Map<string, number>();
let streams = 0;

export const newsAsks: Asks = {
  'GET /news': { query: newsQuery, answers: 'text/event-stream' },
};

/**
 * What others change, as server-sent events. Nothing is caught up with: a page that comes back reads again,
 * and so does one that began to read before the last change.
 */
export function newsRoutes({ news, beatMs = BEAT_MS, identify, scopeOf }: RouteContext): Router {
  const router = Router();

  router.get('/news', async (request, response) => {
    const scope = await scopeOf(request);
    const { readForMs } = readQuery(request, newsQuery);
    const asker = scope.personId ?? request.ip ?? '';
    if (streams >= MAX_STREAMS || (open.get(asker) ?? 0) >= MAX_STREAMS_EACH)
      throw new HttpError(429, {
        error: 'too-many-requests',
        message: 'Too many pages are open; close some.',
      });
    streams += 1;
    open.set(asker, (open.get(asker) ?? 0) + 1);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    response.write('retry: 1500\n\nevent: here\ndata: {}\n\n');
    const send = (event: string, data: object) => {
      response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
      if (response.writableLength > MAX_BUFFERED_BYTES) response.destroy();
    };
    const stop = news?.onChanges(scope.workspaceId, (change) => {
      if (change === null) send('missed', {});
      else {
        const view = seenBy(scope, change);
        if (view) send('change', view);
      }
    });
    if (readForMs !== undefined && news?.mayHaveChanged(scope.workspaceId, readForMs + MAX_ON_ITS_WAY_MS))
      send('missed', {});
    // A person whose access was removed hears nothing more.
    const beat = setInterval(() => {
      reloadSession(request)
        .then(() => identify(request))
        .then(
          ({ workspaceId }) => {
            if (workspaceId === scope.workspaceId) response.write(': here\n\n');
            else response.end('event: moved\ndata: {}\n\n');
          },
          (error: unknown) => {
            // A database failure ends no session; the next beat asks again.
            if (error instanceof HttpError && error.problem.error === 'signed-out')
              response.end('event: signed-out\ndata: {}\n\n');
          },
        );
    }, beatMs);
    response.on('close', () => {
      streams -= 1;
      const left = (open.get(asker) ?? 1) - 1;
      if (left > 0) open.set(asker, left);
      else open.delete(asker);
      clearInterval(beat);
      stop?.();
    });
  });
  return router;
}

/** A change as it is announced to a person; nothing where it is of players they do not see. */
function seenBy({ playerIds: seen }: Sight, change: ChangeNews): NewsView | undefined {
  const { changeId, playerIds, who, summary, schedule } = change;
  if (!seen)
    return { changeId, playerIds: playerIds ?? [], many: playerIds === null, who, summary, schedule };
  const theirs = playerIds === null ? seen : playerIds.filter((id) => seen.includes(id));
  if (theirs.length === 0 && !schedule) return undefined;
  // What it says of others is not told.
  const isAllTheirs = playerIds !== null && theirs.length === playerIds.length;
  return { changeId, playerIds: theirs, many: false, who, summary: isAllTheirs ? summary : '', schedule };
}
