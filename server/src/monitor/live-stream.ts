import type { MonitorView, StrikeView } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Response } from 'express';
import { notFound, Refusal } from '../http/refusal.js';
import { Session } from '../sessions/session.js';
import { readArrivals } from '../strikes/read-strikes.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import type { StrikeNews } from './strike-news.js';

/** Streams open at once; each is a phone or a laptop beside the mat. */
const MOST_STREAMS = 200;
let streams = 0;
/** Looks by itself when no news came: news may be lost with a connection, strikes are not. */
const LOOK_MS = 3000;

export interface LiveStream {
  orm: MikroORM;
  workspaceId: string;
  sessionId: string;
  /** The arrival of the last strike the browser has; everything after it is sent. */
  after: number;
  news: StrikeNews | undefined;
  monitor: () => MonitorView;
}

/**
 * Sends a session's strikes as they come, as server-sent events. An event's id is its strike's arrival, so a browser that comes back says
 * where it was, and gets what it missed.
 */
export async function streamStrikes(response: Response, { orm, workspaceId, sessionId, after, news, monitor }: LiveStream): Promise<void> {
  if (streams >= MOST_STREAMS) throw new Refusal(429, { error: 'too-many-requests', message: 'Too many live boards are open; close one.' });
  if (!await inWorkspace(orm, workspaceId, (em) => em.findOne(Session, { id: sessionId, removedAt: null }))) throw notFound('session');
  streams += 1;
  let open = true;
  let wake: (() => void) | undefined;
  let due = true;
  const stop = news?.on(sessionId, () => { due = true; wake?.(); });
  response.on('close', () => { open = false; wake?.(); });
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' });
  response.write('retry: 1000\n\n');
  let cursor = after;
  let told = '';
  try {
    while (open) {
      due = false;
      const view = JSON.stringify(monitor());
      if (view !== told) response.write(`event: monitor\ndata: ${told = view}\n\n`);
      const arrivals = await inWorkspace(orm, workspaceId, (em) => readArrivals(em, sessionId, cursor)).catch(() => undefined);
      // The database is away: the browser's own retry asks again from where it is.
      if (!arrivals) break;
      for (const { arrival, strike } of arrivals) {
        cursor = arrival;
        response.write(eventOf(arrival, strike));
      }
      if (arrivals.length > 0) continue;
      response.write(': here\n\n');
      if (!due && open) await new Promise<void>((resolve) => { wake = resolve; setTimeout(resolve, LOOK_MS); });
      wake = undefined;
    }
  } finally {
    streams -= 1;
    stop?.();
    response.end();
  }
}

function eventOf(arrival: number, strike: StrikeView): string {
  return `id: ${arrival}\nevent: strike\ndata: ${JSON.stringify(strike)}\n\n`;
}
