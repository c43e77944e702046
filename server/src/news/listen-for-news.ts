import { EventEmitter } from 'node:events';
import { setTimeout as wait } from 'node:timers/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import pg from 'pg';
import type { Logger } from 'pino';

const STRIKES = 'tasche_strikes';
const CHANGES = 'tasche_changes';
/** PostgreSQL takes 8,000 bytes; a change of more players than this is announced without naming players. */
const MAX_NAMED_PLAYERS = 60;
const MAX_SUMMARY = 400;
/** Of so many workspaces it is known when each changed last; more are taken to have changed. */
const MAX_WORKSPACES = 10_000;
const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 10_000;
/**
 * A connection that was cut says nothing, as one where nothing happens does: it is asked so often, and has
 * so long to answer.
 */
const PACE = { askedEveryMs: 4000, answersWithinMs: 3000 };

/** A change, as it is announced. */
export interface ChangeNews {
  workspaceId: string;
  changeId: string;
  /** Null where it is of too many to be named. */
  playerIds: readonly string[] | null;
  who: string;
  summary: string;
  schedule: boolean;
}

/** Tells this server's listeners what happened at any server. */
export interface News {
  /** A session has new strikes; also told when some may have gone by unheard. */
  onStrikes(sessionId: string, listener: () => void): () => void;
  /** Something was changed in a workspace; null when some changes may have gone by unheard. */
  onChanges(workspaceId: string, listener: (news: ChangeNews | null) => void): () => void;
  /** Whether something may have been changed in a workspace within this time: it was, or it is not known. */
  mayHaveChanged(workspaceId: string, withinMs: number): boolean;
  close(): Promise<void>;
}

/** Called inside the transaction that keeps the strikes; the news goes out when it is committed. */
export async function tellOfStrikes(em: EntityManager, sessionId: string): Promise<void> {
  await em.execute(`select pg_notify('${STRIKES}', ?)`, [sessionId]);
}

/** Called inside the transaction of a change; the news goes out when it is committed. */
export async function tellOfChange(
  em: EntityManager,
  news: ChangeNews & { playerIds: readonly string[] },
): Promise<void> {
  const message: ChangeNews = {
    ...news,
    playerIds: news.playerIds.length > MAX_NAMED_PLAYERS ? null : news.playerIds,
    summary: news.summary.slice(0, MAX_SUMMARY),
    who: news.who.slice(0, 80),
  };
  await em.execute(`select pg_notify('${CHANGES}', ?)`, [JSON.stringify(message)]);
}

/**
 * Listens to the database on a connection of its own, taken up again when it is lost. News that went by
 * meanwhile is not lost on anybody:
 * listeners also look by themselves now and then, and whoever is connected again is told to.
 */
export function listenForNews(
  databaseUrl: string,
  log: Logger,
  { askedEveryMs, answersWithinMs } = PACE,
): News {
  const events = new EventEmitter().setMaxListeners(0);
  const changedAt = recentTimes(MAX_WORKSPACES);
  let client: pg.Client | undefined;
  let closed = false;
  let pause = FIRST_WAIT_MS;
  let timer: NodeJS.Timeout | undefined;

  const again = () => {
    if (closed || timer) return;
    timer = setTimeout(() => {
      timer = undefined;
      void connect();
    }, pause);
    timer.unref();
    pause = Math.min(pause * 2, LONGEST_WAIT_MS);
  };
  const connect = async () => {
    const fresh = new pg.Client({
      connectionString: databaseUrl,
      application_name: 'tasche news',
      connectionTimeoutMillis: 3000,
      query_timeout: answersWithinMs,
    });
    const lost = () => {
      if (client !== fresh) return;
      client = undefined;
      again();
    };
    fresh.on('error', lost);
    fresh.on('end', lost);
    fresh.on('notification', ({ channel, payload }) => {
      if (!payload) return;
      if (channel === STRIKES) events.emit(`strikes ${payload}`);
      else {
        const change = JSON.parse(payload) as ChangeNews;
        changedAt.note(change.workspaceId);
        events.emit(`changes ${change.workspaceId}`, change);
      }
    });
    try {
      await fresh.connect();
      await fresh.query(`listen ${STRIKES}; listen ${CHANGES}`);
      if (closed) {
        await fresh.end();
        return;
      }
      client = fresh;
      pause = FIRST_WAIT_MS;
      changedAt.startOver();
      for (const name of events.eventNames()) events.emit(name, null);
      askNowAndThen(fresh, askedEveryMs, () => client === fresh && !closed).catch(() => {
        lost();
        // With a question still open it hangs up at once; there may be no answer to wait for.
        fresh.end().catch(() => undefined);
      });
    } catch (err) {
      log.warn({ err }, 'no news yet');
      fresh.end().catch(() => undefined);
      again();
    }
  };
  void connect();
  const heard = (name: string, listener: (news: ChangeNews | null) => void) => {
    events.on(name, listener);
    return () => events.off(name, listener);
  };
  return {
    onStrikes: (sessionId, listener) => heard(`strikes ${sessionId}`, listener),
    onChanges: (workspaceId, listener) => heard(`changes ${workspaceId}`, listener),
    mayHaveChanged: changedAt.mayBeWithin,
    async close() {
      closed = true;
      clearTimeout(timer);
      await client?.end().catch(() => undefined);
    },
  };
}

/** When something was last heard of, by key: of the newest `max` keys, since it last started over. */
export function recentTimes(max: number, now = () => performance.now()) {
  const times = new Map<string, number>();
  /** What was heard before this is not known. */
  let knownSince = now();
  return {
    note(key: string): void {
      // The oldest stands first.
      times.delete(key);
      times.set(key, now());
      if (times.size <= max) return;
      const [oldest, at] = times.entries().next().value!;
      times.delete(oldest);
      knownSince = Math.max(knownSince, at);
    },
    startOver(): void {
      times.clear();
      knownSince = now();
    },
    mayBeWithin(key: string, ms: number): boolean {
      const since = now() - ms;
      return since <= knownSince || (times.get(key) ?? -Infinity) >= since;
    },
  };
}

/** Asks for nothing again and again. @throws when no answer came in time */
async function askNowAndThen(client: pg.Client, everyMs: number, isWanted: () => boolean): Promise<void> {
  for (;;) {
    await wait(everyMs, undefined, { ref: false });
    if (!isWanted()) return;
    await client.query('select');
  }
}
