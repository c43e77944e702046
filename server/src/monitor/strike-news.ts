import { EventEmitter } from 'node:events';
import type { EntityManager } from '@mikro-orm/postgresql';
import pg from 'pg';
import type { Logger } from 'pino';

const CHANNEL = 'tasche_strikes';
const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 10_000;

/** Tells who listens here that a session has new strikes, whichever server took them. */
export interface StrikeNews {
  on(sessionId: string, listener: () => void): () => void;
  close(): Promise<void>;
}

/** Called inside the transaction that keeps the strikes; the news goes out when it is committed. */
export async function tellOfStrikes(em: EntityManager, sessionId: string): Promise<void> {
  await em.execute(`select pg_notify('${CHANNEL}', ?)`, [sessionId]);
}

/**
 * Listens to the database on a connection of its own, taken up again when it is lost. News that went by meanwhile is not lost on anybody:
 * listeners also look by themselves now and then, and whoever is connected anew is told to.
 */
export function listenForStrikes(databaseUrl: string, log: Logger): StrikeNews {
  const events = new EventEmitter().setMaxListeners(0);
  let client: pg.Client | undefined;
  let closed = false;
  let wait = FIRST_WAIT_MS;
  let timer: NodeJS.Timeout | undefined;

  const again = () => {
    if (closed || timer) return;
    timer = setTimeout(() => {
      timer = undefined;
      void connect();
    }, wait);
    timer.unref();
    wait = Math.min(wait * 2, LONGEST_WAIT_MS);
  };
  const connect = async () => {
    const fresh = new pg.Client({
      connectionString: databaseUrl,
      application_name: 'tasche news',
      connectionTimeoutMillis: 3000,
    });
    fresh.on('error', () => {
      if (client === fresh) {
        client = undefined;
        again();
      }
    });
    fresh.on('end', () => {
      if (client === fresh) {
        client = undefined;
        again();
      }
    });
    fresh.on('notification', ({ payload }) => {
      if (payload) events.emit(payload);
    });
    try {
      await fresh.connect();
      await fresh.query(`listen ${CHANNEL}`);
      if (closed) {
        await fresh.end();
        return;
      }
      client = fresh;
      wait = FIRST_WAIT_MS;
      for (const name of events.eventNames()) events.emit(name);
    } catch (err) {
      log.warn({ err }, 'no news of strikes yet');
      await fresh.end().catch(() => undefined);
      again();
    }
  };
  void connect();
  return {
    on(sessionId, listener) {
      events.on(sessionId, listener);
      return () => events.off(sessionId, listener);
    },
    async close() {
      closed = true;
      clearTimeout(timer);
      await client?.end().catch(() => undefined);
    },
  };
}
