import { connect, type Socket } from 'node:net';
import { MOST_LINE_CHARACTERS, SILENCE_MS, readMonitorLine, writeLine, type HitOrder, type MonitorView, type ServerLine } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { isAway } from '../http/problems.js';
import { Session } from '../sessions/session.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { lineSplitter } from './line-splitter.js';
import { monitorKey, monitorPrefix, setAside, takeStrike } from './take-strike.js';

export interface MonitorLinkOptions { orm: MikroORM; workspaceId: string; host: string; port: number; log: Logger; silenceMs?: number }

/** The server's side of a launch monitor. */
export interface MonitorLink {
  view(): MonitorView;
  /** Tells a simulated monitor to have balls hit; false when there is none here. */
  hit(order: HitOrder): boolean;
  close(): Promise<void>;
}

const FIRST_WAIT_MS = 300;
const LONGEST_WAIT_MS = 5000;
/** Asked for again on every new connection: balls that came late, or out of order, when the last one broke. Those that are known are not kept twice. */
const REPLAY = 100;
/** Lines waiting for the database; past it the monitor is left to wait. */
const MOST_WAITING = 200;

/**
 * Holds a line to a launch monitor for as long as the server runs: takes it up again when it breaks or falls silent, keeps each ball in a
 * transaction of its own, and acknowledges it only then. Whatever happens in between, the monitor sends it again, and nothing is kept twice.
 */
export function linkMonitor({ orm, workspaceId, host, port, log, silenceMs = SILENCE_MS }: MonitorLinkOptions): MonitorLink {
  let socket: Socket | undefined;
  let device: string | null = null;
  let simulated = false;
  let closed = false;
  let wait = FIRST_WAIT_MS;
  let timer: NodeJS.Timeout | undefined;
  let work: Promise<void> = Promise.resolve();
  let waiting = 0;

  const again = () => {
    socket = undefined;
    device = null;
    if (closed || timer) return;
    timer = setTimeout(() => { timer = undefined; open(); }, wait);
    timer.unref();
    wait = Math.min(wait * 2, LONGEST_WAIT_MS);
  };

  /** One line after the other, in the order they came. */
  const queue = (of: Socket, job: () => Promise<void>) => {
    waiting += 1;
    if (waiting > MOST_WAITING) of.pause();
    work = work.then(job).catch((error: unknown) => {
      // The database is away: the line is dropped, and the monitor sends again what it has no answer to.
      log.warn({ error }, 'a line of the monitor could not be kept');
      of.destroy();
    }).finally(() => {
      waiting -= 1;
      if (waiting <= MOST_WAITING / 2) of.resume();
    });
  };

  const send = (to: Socket, line: ServerLine) => { if (!to.destroyed) to.write(writeLine(line)); };

  const onLine = (from: Socket, text: string) => {
    let line;
    try {
      line = readMonitorLine(text);
    } catch (error) {
      const reason = (error as Error).message;
      queue(from, () => inWorkspace(orm, workspaceId, async (em) => {
        const session = await em.findOne(Session, { live: true, removedAt: null });
        await setAside(em, workspaceId, session?.id ?? null, text, reason);
      }));
      return;
    }
    if (line.type === 'beat') return;
    if (line.type === 'hello') {
      const name = line.device;
      ({ device, simulated } = line);
      wait = FIRST_WAIT_MS;
      queue(from, async () => {
        const [row] = await inWorkspace(orm, workspaceId, (em) => em.execute<{ last: number | null }[]>(
          `select max(split_part(device_key, ':', 3)::int) as last from (
             select device_key from strike where starts_with(device_key, ?) union all select device_key from set_aside where starts_with(device_key, ?)) known`, [monitorPrefix(name), monitorPrefix(name)]));
        send(from, { type: 'resume', after: Math.max(0, (row?.last ?? 0) - REPLAY) });
      });
      return;
    }
    if (device === null) return;
    const [name, strike] = [device, line];
    queue(from, async () => {
      try {
        await inWorkspace(orm, workspaceId, (em) => takeStrike(em, workspaceId, name, strike));
      } catch (error) {
        if (isAway(error)) throw error;
        log.error({ error, number: strike.number }, 'a ball the database refuses');
        await inWorkspace(orm, workspaceId, (em) => setAside(em, workspaceId, null, text, 'the database refused it', monitorKey(name, strike.number)));
      }
      send(from, { type: 'ack', number: strike.number });
    });
  };

  function open(): void {
    const fresh = connect({ host, port });
    socket = fresh;
    fresh.setEncoding('utf8').setKeepAlive(true).setTimeout(silenceMs);
    const split = lineSplitter(MOST_LINE_CHARACTERS, (line) => { onLine(fresh, line); }, (start) => {
      queue(fresh, () => inWorkspace(orm, workspaceId, async (em) => {
        const session = await em.findOne(Session, { live: true, removedAt: null });
        await setAside(em, workspaceId, session?.id ?? null, start, `a line of more than ${MOST_LINE_CHARACTERS} characters`);
      }));
    });
    fresh.on('data', (piece: Buffer | string) => { split(String(piece)); });
    fresh.on('timeout', () => { fresh.destroy(); });
    fresh.on('error', () => undefined);
    fresh.on('close', () => { if (socket === fresh) again(); });
  }
  open();

  return {
    view: () => ({ state: device === null ? 'away' : 'here', device, simulated }),
    hit(order) {
      if (!socket || device === null || !simulated) return false;
      send(socket, { type: 'hit', ...order });
      return true;
    },
    async close() {
      closed = true;
      clearTimeout(timer);
      socket?.destroy();
      await work;
    },
  };
}
