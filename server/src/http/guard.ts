import { ROLE_WORDS, hasRight } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Request, RequestHandler, Response } from 'express';
import { rateLimit, ipKeyGenerator } from 'express-rate-limit';
import { asAsker } from '../workspaces/in-workspace.js';
import { note } from '../people/audit.js';
import { isSameText } from '../people/keys.js';
import type { Identify, SignedIn } from '../people/scope.js';
import { HttpError, forbidden, notFound } from './http-error.js';
import { CALLS_A_MINUTE, routeOf, type CallKind, type Wanted } from './route-list.js';

const asked = new WeakMap<Request, SignedIn>();

/** Who asks, as the guard found out. @throws HttpError 401 where it let through an unidentified request */
export function scopeOf(request: Request): SignedIn {
  const scope = asked.get(request);
  if (!scope) throw new HttpError(401, { error: 'signed-out', message: 'Sign in first.' });
  return scope;
}

/**
 * Stands before every route: finds the route in the list, finds out who asks, and refuses what they may
 * not. Nothing
 * behind it looks at a request that did not come through.
 */
export function guard(orm: MikroORM, identify: Identify): RequestHandler[] {
  const limiters = Object.fromEntries(
    Object.entries(CALLS_A_MINUTE).map(([kind, limit]) => [kind, limiter(limit)]),
  ) as unknown as Record<CallKind, RequestHandler>;
  return [
    async (request, response, next) => {
      const rule = routeOf(request);
      if (!rule)
        throw new HttpError(404, {
          ...notFound('address').problem,
          message: 'There is nothing at this address.',
        });
      if (rule.wants !== 'anybody') {
        const signedIn = await identify(request);
        requireMay(signedIn, rule.wants, request.method);
        requireToken(signedIn, request);
        asked.set(request, signedIn);
        if (rule.exports) noteOnceSent(orm, request, response, signedIn);
      }
      next();
    },
    (request, response, next) => {
      // A demo or a benchmark on this machine has no rate limits.
      if (asked.get(request)?.means === 'machine') next();
      else return limiters[routeOf(request)!.calls](request, response, next);
    },
  ];
}

/** Records that a person exported data, once it is sent. */
function noteOnceSent(orm: MikroORM, request: Request, response: Response, signedIn: SignedIn): void {
  const { path } = request;
  response.once('finish', () => {
    if (response.statusCode !== 200) return;
    // It was sent; that the database went away just then takes nothing back.
    asAsker(orm, signedIn, (em) => note(em, request, signedIn, 'exported', path)).catch(() => undefined);
  });
}

function limiter(limit: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: (request) => {
      const signedIn = asked.get(request);
      return signedIn?.tokenId ?? signedIn?.personId ?? ipKeyGenerator(request.ip ?? '');
    },
    handler: (_request, _response, next) => {
      next(
        new HttpError(429, {
          error: 'too-many-requests',
          message: 'Too many requests; wait a minute.',
        }),
      );
    },
  });
}

/** @throws HttpError 403 */
function requireMay({ role, means, personId, mayWrite }: SignedIn, wants: Wanted, method: string): void {
  const isRead = method === 'GET' || method === 'HEAD';
  if (!isRead && !mayWrite) throw forbidden('This token may only read.');
  if (wants === 'anybody' || wants === 'signed-in') return;
  if (wants === 'self' || wants === 'people') {
    // What decides who gets in is asked of a person at a browser, not of a script.
    if (means === 'token') throw forbidden('A token cannot do this; sign in.');
    if (wants === 'self' && personId === null) throw forbidden('No account is signed in here.');
    if (wants === 'self') return;
  }
  if (!hasRight(role, wants)) throw forbidden(`${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].may}. Not this.`);
}

/** Another site's page cannot know what goes back with everything a session writes. @throws HttpError 403 */
function requireToken({ means, csrf }: SignedIn, request: Request): void {
  if (means !== 'session' || request.method === 'GET' || request.method === 'HEAD') return;
  if (csrf !== null && isSameText(request.get('x-csrf-token') ?? '', csrf)) return;
  throw new HttpError(403, {
    error: 'page-too-old',
    message: 'This page is from an earlier session. Reload it.',
  });
}
