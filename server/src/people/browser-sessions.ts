import type { BrowserSessionView } from '@tasche/contract';
import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session, { type SessionData, type Store } from 'express-session';
import { LRUCache } from 'lru-cache';
import pg from 'pg';
import { HttpError } from '../http/http-error.js';
import { addressOf } from './audit.js';
import { hashOfKey, newKey } from './keys.js';
import { serverSecret } from './server-secret.js';

declare module 'express-session' {
  interface SessionData {
    personId: string;
    workspaceId: string;
    /** Milliseconds since 1970. */
    signedInAt: number;
    /** On a device of one's own. */
    stay: boolean;
    csrf: string;
    address: string;
    agent: string;
    /** Of an authenticator that is being added, until a code from it was typed. */
    codeSecret?: string;
    /** What a passkey has to answer, while one is asked. */
    challenge?: string;
  }
}

const HOUR_MS = 3_600_000;
/**
 * How long a session may stand still, and stand at all; longer on a device of one's own (OWASP ASVS 4.0.3,
 * 3.3.2).
 */
const LIMITS = {
  usual: { idleMs: 2 * HOUR_MS, allMs: 12 * HOUR_MS },
  stay: { idleMs: 14 * 24 * HOUR_MS, allMs: 30 * 24 * HOUR_MS },
};
/** Over TLS, or within this machine. */
const SECURE_NAME = '__Host-tasche';
const PLAIN_NAME = 'tasche';
/** How often at most it is recorded that a session is in use. */
const TOUCH_MS = 60_000;
const MAX_CONNECTIONS = 4;
const MAX_AGENT = 200;
const SESSIONS_SHOWN = 100;

/** Sessions of browsers: in the database, so that every server knows them and each can be ended at once. */
export interface BrowserSessions {
  /** Reads the session a request belongs to, where there is one. */
  middleware: RequestHandler;
  /** A connection pool of the sessions' own, for other queries before the person is known. */
  pool: pg.Pool;
  listOf(personId: string, current: string): Promise<BrowserSessionView[]>;
  /** Ends one by the id its view has, or all but the current one. @returns how many were ended */
  end(personId: string, which: { id: string } | { allBut: string | null }): Promise<number>;
  close(): Promise<void>;
}

/**
 * @param given signs the cookies, where one is given; all servers share it. Else it is one the database
 * keeps.
 */
export async function browserSessions(databaseUrl: string, given?: string): Promise<BrowserSessions> {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    max: MAX_CONNECTIONS,
    connectionTimeoutMillis: 2000,
    query_timeout: 10_000,
    application_name: 'tasche sessions',
    allowExitOnIdle: true,
  });
  // A connection the database ends while it is idle is made again.
  pool.on('error', () => undefined);
  const secret = given ?? (await serverSecret(pool));
  const stores: { close: () => void }[] = [];
  const reading = (name: string, secure: boolean) => {
    // One each: a store makes new sessions as its middleware told it last.
    const store = sparing(
      new (connectPgSimple(session))({
        pool,
        tableName: 'signed_in',
        createTableIfMissing: false,
        errorLog: () => undefined,
      }),
    );
    stores.push(store);
    return session({
      name,
      secret,
      store,
      resave: false,
      saveUninitialized: false,
      rolling: true,
      proxy: undefined,
      cookie: { httpOnly: true, sameSite: 'strict', path: '/', secure },
    });
  };
  const [secured, plain] = [reading(SECURE_NAME, true), reading(PLAIN_NAME, false)];
  return {
    pool,
    middleware: (request, response, next) => {
      if (request.secure) secured(request, response, next);
      else if (isOnThisMachine(request)) plain(request, response, next);
      else next();
    },
    async listOf(personId, current) {
      const { rows } = await pool.query<{ sid: string; sess: SessionData; expire: Date }>(
        `select sid, sess, expire from signed_in where sess ->> 'personId' = $1 and expire > now()
         order by sess ->> 'signedInAt' desc limit ${SESSIONS_SHOWN}`,
        [personId],
      );
      return rows
        .filter(({ sess }) => Date.now() < endOf(sess))
        .map(({ sid, sess, expire }) => ({
          id: hashOfKey(sid),
          current: sid === current,
          signedInAt: new Date(sess.signedInAt).toISOString(),
          endsAt: new Date(Math.min(expire.getTime(), endOf(sess))).toISOString(),
          address: sess.address,
          agent: sess.agent,
        }));
    },
    async end(personId, which) {
      const { rows } = await pool.query<{ sid: string }>(
        `select sid from signed_in where sess ->> 'personId' = $1`,
        [personId],
      );
      const ended = rows
        .map(({ sid }) => sid)
        .filter((sid) => ('id' in which ? hashOfKey(sid) === which.id : sid !== which.allBut));
      await pool.query('delete from signed_in where sid = any($1)', [ended]);
      return ended.length;
    },
    async close() {
      for (const store of stores) store.close();
      await pool.end();
    },
  };
}

/** When a session ends whatever is done in it. Milliseconds since 1970. */
export function endOf({ signedInAt, stay }: Pick<SessionData, 'signedInAt' | 'stay'>): number {
  return signedInAt + LIMITS[stay ? 'stay' : 'usual'].allMs;
}

/** Starts a session again, under another id than any there was before. */
export async function beginSession(
  request: Request,
  { personId, workspaceId, stay }: Pick<SessionData, 'personId' | 'workspaceId' | 'stay'>,
): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error?: Error) => {
      if (error) reject(error);
      else resolve();
    });
  });
  Object.assign(request.session, {
    personId,
    workspaceId,
    stay,
    signedInAt: Date.now(),
    csrf: newKey(),
    address: addressOf(request),
    agent: (request.get('user-agent') ?? '').slice(0, MAX_AGENT),
  });
  request.session.cookie.maxAge = LIMITS[stay ? 'stay' : 'usual'].idleMs;
}

export async function endSession(request: Request): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.destroy((error?: Error) => {
      if (error) reject(error);
      else resolve();
    });
  });
}

/** For a request that stays open: its session as it is now. @throws where it was ended */
export async function reloadSession(request: Request): Promise<void> {
  const session = (request as Partial<Request>).session;
  if (session?.personId === undefined) return;
  await new Promise<void>((resolve, reject) => {
    request.sessionStore.get(request.sessionID, (error: unknown, data) => {
      if (error) reject(error as Error);
      else if (!data) reject(new HttpError(401, { error: 'signed-out', message: 'This session was ended.' }));
      else {
        request.sessionStore.createSession(request, data);
        resolve();
      }
    });
  });
}

/** Whether a request bears a session's cookie, good or not. */
export function bearsSession(request: Request): boolean {
  return /(?:^|;\s*)(?:__Host-)?tasche=/.test(request.headers.cookie ?? '');
}

/** Whether it comes from this machine, by one of its own names, and through no proxy. */
export function isOnThisMachine(request: Request): boolean {
  const { host, forwarded } = request.headers;
  return (
    /^(127\.0\.0\.1|::1|::ffff:127\.0\.0\.1)$/.test(request.socket.remoteAddress ?? '') &&
    /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/i.test(host ?? '') &&
    forwarded === undefined &&
    request.headers['x-forwarded-for'] === undefined
  );
}

/** A store that records at most once a minute that a session is in use. */
function sparing<S extends Store>(store: S): S {
  const touched = new LRUCache<string, true>({ max: 10_000, ttl: TOUCH_MS });
  const touch = store.touch?.bind(store);
  store.touch = (sid, data, callback) => {
    if (touched.has(sid)) {
      callback?.();
      return;
    }
    touched.set(sid, true);
    touch?.(sid, data, callback);
  };
  return store;
}
