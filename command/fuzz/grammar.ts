import { randomUUID } from 'node:crypto';
import type { Chance } from './chance.js';
import { changeBody } from './command-grammar.js';
import { playerFileBody, sheetBody, strikesBody } from './file-grammar.js';
import type { KnownIds } from './known-rows.js';
import { NASTY_TEXT, brokenJson } from './nasty.js';

/** One request as it is sent. */
export interface FuzzRequest {
  method: string;
  path: string;
  headers: Record<string, string>;
  body?: string | Buffer;
}

const NASTY_PARAMETERS = [
  '__proto__=1',
  'constructor=1',
  'toString=1',
  'a[b]=1',
  'limit=1&limit=2',
  '=',
  '&&&',
  '%00=1',
  `x=${'y'.repeat(2000)}`,
];

const QUERIES = {
  today: ['2026-11-25'],
  limit: ['1', '50', '200', '201'],
  after: ['a_b', '2026-01-01_x', 'Name_7a5c4e00-0001-4000-8000-000000000000'],
  before: ['2026-11-20_12', '5'],
  asOf: ['2026-01-01', '2199-12-31'],
  words: ['pim', 'a%20%25_', '\\', ''],
  unit: ['m', 'yd', 'cm'],
  from: ['2026-01-01'],
  to: ['2026-11-25'],
  days: ['1', '16', '17'],
  heads: ['club|carry'],
  take: ['none', 'good', 'all'],
  takenOn: ['2026-11-24'],
  papers: ['sheet', 'card,ticket', 'nothing'],
  players: ['7a5c4e00-0001-4000-8000-000000000000', 'x'],
  newest: ['true', 'false', 'perhaps'],
} as const satisfies Record<string, readonly string[]>;

interface Route {
  method: 'GET' | 'POST';
  path: string;
  query?: readonly (keyof typeof QUERIES)[];
  body?: (chance: Chance, ids: KnownIds) => Pick<FuzzRequest, 'body'> & { type: string };
}

const ROUTES: readonly Route[] = [
  { method: 'GET', path: '/health' },
  { method: 'GET', path: '/signed-in' },
  { method: 'GET', path: '/schedule' },
  { method: 'GET', path: '/circuit' },
  { method: 'GET', path: '/players', query: ['today', 'limit', 'after'] },
  { method: 'GET', path: '/players/find', query: ['words'] },
  { method: 'GET', path: '/players/:playerId/sheet', query: ['asOf'] },
  { method: 'GET', path: '/players/:playerId/sheet.csv', query: ['asOf', 'unit'] },
  { method: 'GET', path: '/players/:playerId/locker.json' },
  { method: 'GET', path: '/players/:playerId/plans', query: ['limit', 'after'] },
  { method: 'GET', path: '/players/:playerId/changes', query: ['limit', 'before'] },
  { method: 'GET', path: '/players/:playerId/differences', query: ['from', 'to'] },
  { method: 'GET', path: '/players/:playerId/sessions', query: ['limit', 'after'] },
  { method: 'GET', path: '/players/:playerId/strikes', query: ['limit', 'newest'] },
  { method: 'GET', path: '/clubs/:clubId/readings', query: ['limit', 'before'] },
  { method: 'GET', path: '/courses/:courseId/forecast', query: ['from', 'days'] },
  { method: 'GET', path: '/file-mapping', query: ['heads'] },
  { method: 'GET', path: '/sessions/:sessionId/set-aside', query: ['limit', 'before'] },
  {
    method: 'POST',
    path: '/sessions/:sessionId/hit',
    body: (chance, ids) => brokenJson(chance, { clubId: ids.clubId, shot: 'full', count: 3 }),
  },
  { method: 'POST', path: '/players/:playerId/import', query: ['take', 'takenOn'], body: sheetBody },
  { method: 'POST', path: '/players/:playerId/strikes/import', query: ['take'], body: strikesBody },
  {
    method: 'POST',
    path: '/changes/:changeId/undo',
    body: (chance) => brokenJson(chance, { id: randomUUID() }),
  },
  ...Array.from({ length: 8 }, (): Route => ({ method: 'POST', path: '/changes', body: changeBody })),
  { method: 'GET', path: '/ready' },
  { method: 'GET', path: '/openapi.json' },
  { method: 'GET', path: '/account' },
  { method: 'GET', path: '/people' },
  { method: 'GET', path: '/audit', query: ['limit', 'before'] },
  { method: 'GET', path: '/tokens' },
  { method: 'GET', path: '/players/:playerId/shares' },
  { method: 'GET', path: '/players/:playerId/day', query: ['today'] },
  { method: 'GET', path: '/clubs/:clubId/life' },
  { method: 'GET', path: '/shared/:key' },
  {
    method: 'POST',
    path: '/players/:playerId/shares',
    body: (chance, ids) => brokenJson(chance, { paper: 'card', planId: ids.planId, days: 7 }),
  },
  {
    method: 'POST',
    path: '/people/invite',
    body: (chance, ids) =>
      brokenJson(chance, {
        name: 'Kari',
        email: `${randomUUID()}@van.example`,
        role: 'player',
        playerIds: [ids.playerId],
      }),
  },
  {
    method: 'POST',
    path: '/people/change',
    body: (chance) => brokenJson(chance, { personId: randomUUID(), role: 'rep', playerIds: null }),
  },
  { method: 'POST', path: '/people/withdraw', body: (chance) => brokenJson(chance, { id: randomUUID() }) },
  {
    method: 'POST',
    path: '/sign-in',
    body: (chance) => brokenJson(chance, { email: 'a@van.example', password: 'what it may be', stay: true }),
  },
  {
    method: 'POST',
    path: '/sign-in/passkey/finish',
    body: (chance) => brokenJson(chance, { answer: { id: 'x', type: 'y' } }),
  },
  { method: 'POST', path: '/links/look', body: (chance) => brokenJson(chance, { key: 'x'.repeat(43) }) },
  {
    method: 'POST',
    path: '/links/use',
    body: (chance) =>
      brokenJson(chance, {
        key: 'x'.repeat(43),
        name: 'N',
        email: 'a@van.example',
        password: 'long enough it is',
      }),
  },
  {
    method: 'POST',
    path: '/workspaces/enter',
    body: (chance) => brokenJson(chance, { workspaceId: randomUUID() }),
  },
  ...['/sign-in/passkey/start', '/sign-out', '/account/passkeys/start'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => brokenJson(chance, {}),
  })),
  ...['/links/take', '/links/join'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => brokenJson(chance, { key: 'x'.repeat(43) }),
  })),
  {
    method: 'POST',
    path: '/account/password',
    body: (chance) => brokenJson(chance, { current: 'what it may be', next: 'four words that differ' }),
  },
  ...['/account/code/start', '/account/code/remove'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => brokenJson(chance, { password: 'what it may be' }),
  })),
  { method: 'POST', path: '/account/code/confirm', body: (chance) => brokenJson(chance, { code: '123456' }) },
  {
    method: 'POST',
    path: '/account/passkeys/finish',
    body: (chance) => brokenJson(chance, { name: 'phone', answer: { id: 'x', type: 'y' } }),
  },
  { method: 'POST', path: '/account/passkeys/remove', body: (chance) => brokenJson(chance, { id: 'x' }) },
  {
    method: 'POST',
    path: '/account/sessions/end',
    body: (chance) => brokenJson(chance, { id: randomUUID() }),
  },
  { method: 'POST', path: '/workspaces', body: (chance) => brokenJson(chance, { name: 'Another van' }) },
  {
    method: 'POST',
    path: '/tokens',
    body: (chance) => brokenJson(chance, { name: 'a script', scopes: ['read'], days: 30 }),
  },
  { method: 'POST', path: '/tokens/:tokenId/revoke', body: (chance) => brokenJson(chance, {}) },
  ...['/people/remove', '/people/reset'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => brokenJson(chance, { personId: randomUUID() }),
  })),
  { method: 'GET', path: '/players/:playerId/sheet.pdf', query: ['asOf', 'unit'] },
  { method: 'GET', path: '/players/:playerId/player.jsonl' },
  { method: 'POST', path: '/players/from-file', body: playerFileBody },
  {
    method: 'POST',
    path: '/players/:playerId/hand-over',
    body: (chance) => brokenJson(chance, { how: chance.one(['copy', 'move']) }),
  },
  { method: 'GET', path: '/players/:playerId/review', query: ['from', 'to'] },
  { method: 'GET', path: '/players/:playerId/putters' },
  { method: 'GET', path: '/players/:playerId/gauged-lofts' },
  { method: 'GET', path: '/players/:playerId/card.pdf', query: ['unit'] },
  { method: 'GET', path: '/players/:playerId/season.ics', query: ['from', 'to'] },
  { method: 'GET', path: '/players/:playerId/season.csv', query: ['from', 'to'] },
  { method: 'POST', path: '/shares/:shareId/revoke', body: (chance) => brokenJson(chance, {}) },
  { method: 'GET', path: '/clubs/:clubId/build.pdf', query: ['unit'] },
  { method: 'GET', path: '/plans/:planId/rounds/:roundId/choice' },
  { method: 'GET', path: '/print.pdf', query: ['papers', 'players', 'today'] },
  { method: 'GET', path: '/tickets', query: ['limit', 'after'] },
  { method: 'GET', path: '/calendar', query: ['from', 'to', 'today', 'limit', 'after'] },
  {
    method: 'POST',
    path: '/gauge/measure',
    body: (chance, ids) => brokenJson(chance, { clubId: ids.clubId, loftDeg: 44, lieDeg: 63 }),
  },
  { method: 'GET', path: '/nothing' },
];
/** Every route a request is made of, as the route list names them. */
export const FUZZED_ROUTES: ReadonlySet<string> = new Set(
  ROUTES.map(({ method, path }) => `${method} ${path}`),
);

/**
 * The next request: a route, its ids, parameters and body, some of them replaced by what should not be
 * there.
 */
export function fuzzRequest(chance: Chance, ids: KnownIds): FuzzRequest {
  const route = chance.one(ROUTES);
  const path = route.path.replace(/:(\w+)/g, (_all, name: string) =>
    chance.is(0.75)
      ? (ids[name as keyof KnownIds] ?? randomUUID())
      : chance.is(0.5)
        ? randomUUID()
        : encodeURI(chance.one(NASTY_TEXT)).replace(/%25/g, '%'),
  );
  const parameters = (route.query ?? [])
    .filter(() => chance.is(0.6))
    .map(
      (name) =>
        `${name}=${chance.is(0.75) ? chance.one<string>(QUERIES[name]) : encodeURI(chance.one(NASTY_TEXT)).replace(/%25/g, '%')}`,
    );
  if (/import|from-file/.test(route.path)) parameters.push(`changeId=${randomUUID()}`);
  if (chance.is(0.1)) parameters.push(chance.one(NASTY_PARAMETERS));
  const headers: Record<string, string> = {};
  if (chance.is(0.03)) headers.host = chance.one(['evil.example', '127.0.0.1.evil.example', '[::1']);
  if (chance.is(0.03)) headers.origin = chance.one(['null', 'http://evil.example', 'not an address']);
  if (chance.is(0.03))
    headers['last-event-id'] = chance
      .one(NASTY_TEXT)
      .slice(0, 50)
      .replace(/[^\x20-\x7e]/g, '');
  const method = chance.is(0.03) ? chance.one(['PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD']) : route.method;
  const request: FuzzRequest = {
    method,
    path: `/api${path}${parameters.length > 0 ? `?${parameters.join('&')}` : ''}`.replace(
      /[^\x21-\x7e]/g,
      '',
    ),
    headers,
  };
  if (!route.body) return request;
  const { body, type } = route.body(chance, ids);
  request.headers['content-type'] = chance.is(0.04)
    ? chance.one([
        'text/plain',
        'application/xml',
        'application/json; charset=utf-16',
        'multipart/form-data',
        '',
      ])
    : type;
  return { ...request, ...(body !== undefined && { body }) };
}
