import type { Socket } from 'node:net';
import {
  MAX_LINE_CHARACTERS,
  readMonitorLine,
  writeLine,
  type HitRequest,
  type MonitorView,
  type ServerLine,
} from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { databaseState } from '../database/database-state.js';
import { Session } from '../sessions/session.js';
import { keptLine } from '../devices/kept-line.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { monitorKey, type DeviceInSession } from './device-key.js';
import { knownUpTo, noteBall, setAside, takeStrike } from './take-strike.js';

/** The moment of a ball whose own cannot be read. */
const NO_MOMENT = '1970-01-01T00:00:00Z';

interface MonitorLinkOptions {
  orm: MikroORM;
  workspaceId: string;
  host: string;
  port: number;
  log: Logger;
  silenceMs?: number;
}

/** The server's side of a launch monitor. */
export interface MonitorLink {
  view(): MonitorView;
  /** Tells a simulated monitor to have balls hit; false when there is none here. */
  hit(order: HitRequest): boolean;
  close(): Promise<void>;
}

/** The session of a device that names none. */
const ONLY_SESSION = 'only';
/** Lines waiting for the database; past it the monitor is left to wait. */
const MAX_WAITING = 200;

/**
 * Keeps a connection to a launch monitor for as long as the server runs: reconnects when it breaks or falls
 * silent, keeps each ball in a transaction of its own, and acknowledges it only then. Whatever happens in
 * between, the monitor sends it again, and nothing is kept twice.
 */
export function linkMonitor({
  orm,
  workspaceId,
  host,
  port,
  log,
  silenceMs,
}: MonitorLinkOptions): MonitorLink {
  let here: DeviceInSession | null = null;
  let simulated = false;
  let work: Promise<void> = Promise.resolve();
  let waiting = 0;

  /**
   * One line after the other, in the order they came. Once one could not be kept, those that came after it on
   * the same connection are dropped too: the monitor has no answer to any of them, and sends them again.
   */
  const queue = (of: Socket, job: () => Promise<void>) => {
    waiting += 1;
    if (waiting > MAX_WAITING) of.pause();
    work = work
      .then(() => (of.destroyed ? undefined : job()))
      .catch((err: unknown) => {
        log.warn({ err }, 'a line of the monitor could not be kept');
        of.destroy();
      })
      .finally(() => {
        waiting -= 1;
        if (waiting <= MAX_WAITING / 2) of.resume();
      });
  };

  const send = (to: Socket, line: ServerLine) => {
    if (!to.destroyed) to.write(writeLine(line));
  };

  const onLine = (from: Socket, text: string) => {
    let line;
    try {
      line = readMonitorLine(text);
    } catch (error) {
      const reason = (error as Error).message;
      const of = here;
      const number = numberIn(text);
      queue(from, async () => {
        await inWorkspace(orm, { workspaceId }, async (em) => {
          // Sent again before its answer arrived: it lies aside already.
          if (of && number !== undefined && !(await noteBall(em, workspaceId, of, number, NO_MOMENT))) return;
          const session = await em.findOne(Session, { live: true, removedAt: null });
          await setAside(em, workspaceId, session?.id ?? null, text, reason);
        });
        if (number !== undefined) send(from, { type: 'ack', number });
      });
      return;
    }
    if (line.type === 'beat') return;
    if (line.type === 'hello') {
      const of: DeviceInSession = { device: line.device, deviceSession: line.session?.id ?? ONLY_SESSION };
      here = of;
      ({ simulated } = line);
      kept.heard();
      queue(from, async () => {
        send(from, {
          type: 'resume',
          after: await inWorkspace(orm, { workspaceId }, (em) => knownUpTo(em, of)),
        });
      });
      return;
    }
    if (here === null) return;
    const [of, strike] = [here, line];
    queue(from, async () => {
      try {
        await inWorkspace(orm, { workspaceId }, (em) => takeStrike(em, workspaceId, of, strike));
      } catch (err) {
        if (databaseState(err)) throw err;
        log.error({ err, number: strike.number }, 'a ball the database refuses');
        await inWorkspace(orm, { workspaceId }, async (em) => {
          await noteBall(em, workspaceId, of, strike.number, strike.at);
          await setAside(
            em,
            workspaceId,
            null,
            text,
            'the database refused it',
            monitorKey(of, strike.number, strike.at),
          );
        });
      }
      send(from, { type: 'ack', number: strike.number });
    });
  };

  const kept = keptLine({
    host,
    port,
    silenceMs,
    onLine,
    onTooLong: (from, start) => {
      queue(from, () =>
        inWorkspace(orm, { workspaceId }, async (em) => {
          const session = await em.findOne(Session, { live: true, removedAt: null });
          await setAside(
            em,
            workspaceId,
            session?.id ?? null,
            start,
            `a line of more than ${MAX_LINE_CHARACTERS} characters`,
          );
        }),
      );
    },
    onGone: () => {
      here = null;
    },
  });

  return {
    view: () => ({ state: here === null ? 'away' : 'here', device: here?.device ?? null, simulated }),
    hit(order) {
      const socket = kept.socket();
      if (!socket || here === null || !simulated) return false;
      send(socket, { type: 'hit', ...order });
      return true;
    },
    async close() {
      kept.close();
      await work;
    },
  };
}

/** The number of a strike that cannot be taken otherwise, so that it is answered all the same. */
function numberIn(text: string): number | undefined {
  try {
    const { type, number } = JSON.parse(text) as { type?: unknown; number?: unknown };
    return type === 'strike' &&
      Number.isInteger(number) &&
      (number as number) >= 1 &&
      (number as number) < 2 ** 31
      ? (number as number)
      : undefined;
  } catch {
    return undefined;
  }
}
