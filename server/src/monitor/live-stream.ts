import type { MonitorView, StrikeView } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Response } from 'express';
import { notFound, HttpError } from '../http/http-error.js';
import { Session } from '../sessions/session.js';
import { readArrivals } from '../strikes/read-strikes.js';
import { inWorkspace, type Sight } from '../workspaces/in-workspace.js';
import type { News } from '../news/listen-for-news.js';

/** Streams open at once; each is a phone or a laptop beside the mat. */
const MAX_STREAMS = 200;
let streams = 0;
/** Looks by itself when no news came: news may be lost with a connection, strikes are not. */
const LOOK_MS = 3000;
/** Bytes that may wait for a board; past it nothing more is read for it. */
const MAX_BUFFERED_BYTES = 256_000;
const DRAIN_MS = 10_000;

interface LiveStream {
  orm: MikroORM;
  sight: Sight;
  sessionId: string;
  /** The arrival of the last strike the browser has; everything after it is sent. */
  after: number;
  news: News | undefined;
  monitor: () => MonitorView;
  /** A board that takes nothing for so long is cut off, and catches up when it comes back. */
  drainMs?: number;
}

/**
 * Sends a session's strikes as they come, as server-sent events. An event's id is its strike's arrival, so a
 * browser that comes back says where it was, and gets what it missed.
 */
export async function streamStrikes(response: Response, stream: LiveStream): Promise<void> {
  if (streams >= MAX_STREAMS)
    throw new HttpError(429, {
      error: 'too-many-requests',
      message: 'Too many live boards are open; close one.',
    });
  streams += 1;
  try {
    const { orm, sight, sessionId } = stream;
    if (!(await inWorkspace(orm, sight, (em) => em.findOne(Session, { id: sessionId, removedAt: null }))))
      throw notFound('session');
    await sendStrikes(response, stream);
  } finally {
    streams -= 1;
  }
}

async function sendStrikes(
  response: Response,
  { orm, sight, sessionId, after, news, monitor, drainMs = DRAIN_MS }: LiveStream,
): Promise<void> {
  let wake: (() => void) | undefined;
  let due = true;
  const stop = news?.onStrikes(sessionId, () => {
    due = true;
    wake?.();
  });
  const isOpen = () => !response.destroyed && !response.closed;
  response.on('close', () => {
    wake?.();
  });
  response.writeHead(200, {
    'content-type': 'text/event-stream',
    'cache-control': 'no-store',
    'x-accel-buffering': 'no',
  });
  response.write('retry: 1000\n\n');
  let cursor = after;
  let monitorSent = '';
  try {
    while (isOpen()) {
      due = false;
      const view = JSON.stringify(monitor());
      if (view !== monitorSent) response.write(`event: monitor\ndata: ${(monitorSent = view)}\n\n`);
      const arrivals = await inWorkspace(orm, sight, (em) => readArrivals(em, sessionId, cursor)).catch(
        () => undefined,
      );
      // The database is away: the browser's own retry asks again from where it is.
      if (!arrivals) break;
      for (const { arrival, strike } of arrivals) {
        cursor = arrival;
        response.write(eventOf(arrival, strike));
      }
      // Nothing more is read for a board that does not read; what it misses is still in the database.
      if (!(await drained(response, drainMs))) break;
      if (arrivals.length > 0) continue;
      response.write(': here\n\n');
      if (!due && isOpen())
        await new Promise<void>((resolve) => {
          wake = resolve;
          setTimeout(resolve, LOOK_MS).unref();
        });
      wake = undefined;
    }
  } finally {
    stop?.();
    if (response.writableLength > MAX_BUFFERED_BYTES) response.destroy();
    else response.end('event: catch-up\ndata: {}\n\n');
  }
}

/**
 * Whether what was written has gone out, or fits into a small buffer; false for a board that reads too slowly.
 */
async function drained(response: Response, drainMs: number): Promise<boolean> {
  if (response.writableLength <= MAX_BUFFERED_BYTES) return true;
  return new Promise<boolean>((resolve) => {
    const timer = setTimeout(() => {
      done(false);
    }, drainMs);
    const done = (isDrained: boolean) => {
      clearTimeout(timer);
      response.off('drain', onDrain).off('close', onClose);
      resolve(isDrained);
    };
    const onDrain = () => {
      done(true);
    };
    const onClose = () => {
      done(false);
    };
    response.on('drain', onDrain).on('close', onClose);
  });
}

function eventOf(arrival: number, strike: StrikeView): string {
  return `id: ${arrival}\nevent: strike\ndata: ${JSON.stringify(strike)}\n\n`;
}
