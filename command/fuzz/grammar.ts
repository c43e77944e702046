import { randomUUID } from 'node:crypto';
import { BASELINE, MEDIUM_FAIRWAY, randomFrom } from '@tasche/core';

/** One request as it is sent. */
export interface FuzzRequest {
  method: string;
  path: string;
  headers: Record<string, string>;
  body?: string | Buffer;
}

/** Rows there are, by what they are. */
export interface KnownIds {
  playerId: string;
  clubId: string;
  bagId: string;
  planId: string;
  sessionId: string;
  courseId: string;
  eventId: string;
  roundId: string;
  changeId: string;
}

/** A source of chance whose every answer follows from its seed. */
export interface Chance {
  below: (n: number) => number;
  one: <T>(list: readonly T[]) => T;
  is: (probability: number) => boolean;
}

export function chanceFrom(seed: number): Chance {
  const uniform = randomFrom(seed);
  const below = (n: number) => Math.floor(uniform() * n);
  return { below, one: (list) => list[below(list.length)]!, is: (probability) => uniform() < probability };
}

const DEEP = `${'['.repeat(300)}${']'.repeat(300)}`;
/** What stands where something sensible should. As JSON text. */
const NASTY_JSON = [
  'null',
  'true',
  '[]',
  '{}',
  '""',
  '0',
  '-1',
  '1e400',
  '-0',
  '1e-320',
  '9007199254740993',
  '"\\u0000"',
  '"\\ud800"',
  '"\\uffff"',
  '{"toString":1}',
  '{"toString":250}',
  '{"__proto__":{"x":1}}',
  '{"constructor":{"prototype":1}}',
  '{"length":1e9}',
  '[[[[1]]]]',
  DEEP,
  `"${'x'.repeat(5000)}"`,
  '"2026-13-45"',
  '"9999-99-99"',
  '"=1+1"',
  `"'); drop table club; --"`,
  '"${7*7}"',
  '"../../etc/passwd"',
  '[null,null]',
  `{"${'k'.repeat(300)}":1}`,
  '"\\u202e"',
  '1.7976931348623157e308',
  '"NaN"',
  '"Infinity"',
];
const NASTY_TEXT = [
  '',
  ' ',
  '%00',
  '%ff',
  '%2e%2e',
  '../..',
  '1 or 1=1',
  '__proto__',
  'constructor',
  'undefined',
  'null',
  '-1',
  '0',
  '1e400',
  'NaN',
  '%F0%9F%8F%8C',
  '2026-02-30',
  '9999-99-99T99:99:99Z',
  'x'.repeat(3000),
  '{"a":1}',
  '[object Object]',
  '*',
  '%E0%A4%A',
  '00000000-0000-0000-0000-000000000000',
];
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

const QUERIES: Record<string, readonly string[]> = {
  today: ['2026-11-25'],
  limit: ['1', '50', '200', '201'],
  after: ['a_b', '2026-01-01_x', 'Name_7a5c4e00-0001-4000-8000-000000000000'],
  before: ['2026-11-20_12', '5'],
  asOf: ['2026-01-01', '2199-12-31'],
  unit: ['m', 'yd', 'cm'],
  from: ['2026-01-01'],
  to: ['2026-11-25'],
  days: ['1', '16', '17'],
  heads: ['club|carry'],
  take: ['none', 'good', 'all'],
  takenOn: ['2026-11-24'],
  papers: ['sheet', 'card,ticket', 'nothing'],
  players: ['7a5c4e00-0001-4000-8000-000000000000', 'x'],
};

interface Route {
  method: 'GET' | 'POST';
  path: string;
  query?: readonly string[];
  body?: (chance: Chance, ids: KnownIds) => Pick<FuzzRequest, 'body'> & { type: string };
}

const ROUTES: readonly Route[] = [
  { method: 'GET', path: '/health' },
  { method: 'GET', path: '/signed-in' },
  { method: 'GET', path: '/schedule' },
  { method: 'GET', path: '/circuit' },
  { method: 'GET', path: '/players', query: ['today', 'limit', 'after'] },
  { method: 'GET', path: '/players/:playerId/sheet', query: ['asOf'] },
  { method: 'GET', path: '/players/:playerId/sheet.csv', query: ['asOf', 'unit'] },
  { method: 'GET', path: '/players/:playerId/locker.json' },
  { method: 'GET', path: '/players/:playerId/plans', query: ['limit', 'after'] },
  { method: 'GET', path: '/players/:playerId/changes', query: ['limit', 'before'] },
  { method: 'GET', path: '/players/:playerId/differences', query: ['from', 'to'] },
  { method: 'GET', path: '/players/:playerId/sessions', query: ['limit', 'after'] },
  { method: 'GET', path: '/players/:playerId/strikes', query: ['limit'] },
  { method: 'GET', path: '/clubs/:clubId/readings', query: ['limit', 'before'] },
  { method: 'GET', path: '/courses/:courseId/forecast', query: ['from', 'days'] },
  { method: 'GET', path: '/file-mapping', query: ['heads'] },
  { method: 'GET', path: '/sessions/:sessionId/set-aside', query: ['limit', 'before'] },
  {
    method: 'POST',
    path: '/sessions/:sessionId/hit',
    body: (chance, ids) => json(chance, { clubId: ids.clubId, shot: 'full', count: 3 }),
  },
  { method: 'POST', path: '/players/:playerId/import', query: ['take', 'takenOn'], body: sheetBody },
  { method: 'POST', path: '/players/:playerId/strikes/import', query: ['take'], body: strikesBody },
  { method: 'POST', path: '/changes/:changeId/undo', body: (chance) => json(chance, { id: randomUUID() }) },
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
    body: (chance, ids) => json(chance, { paper: 'card', planId: ids.planId, days: 7 }),
  },
  {
    method: 'POST',
    path: '/people/invite',
    body: (chance, ids) =>
      json(chance, {
        name: 'Kari',
        email: `${randomUUID()}@van.example`,
        role: 'player',
        playerIds: [ids.playerId],
      }),
  },
  {
    method: 'POST',
    path: '/people/change',
    body: (chance) => json(chance, { personId: randomUUID(), role: 'rep', playerIds: null }),
  },
  { method: 'POST', path: '/people/withdraw', body: (chance) => json(chance, { id: randomUUID() }) },
  {
    method: 'POST',
    path: '/sign-in',
    body: (chance) => json(chance, { email: 'a@van.example', password: 'what it may be', stay: true }),
  },
  {
    method: 'POST',
    path: '/sign-in/passkey/finish',
    body: (chance) => json(chance, { answer: { id: 'x', type: 'y' } }),
  },
  { method: 'POST', path: '/links/look', body: (chance) => json(chance, { key: 'x'.repeat(43) }) },
  {
    method: 'POST',
    path: '/links/use',
    body: (chance) =>
      json(chance, { key: 'x'.repeat(43), name: 'N', email: 'a@van.example', password: 'long enough it is' }),
  },
  {
    method: 'POST',
    path: '/workspaces/enter',
    body: (chance) => json(chance, { workspaceId: randomUUID() }),
  },
  ...['/sign-in/passkey/start', '/sign-out', '/account/passkeys/start'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => json(chance, {}),
  })),
  ...['/links/take', '/links/join'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => json(chance, { key: 'x'.repeat(43) }),
  })),
  {
    method: 'POST',
    path: '/account/password',
    body: (chance) => json(chance, { current: 'what it may be', next: 'four words that differ' }),
  },
  ...['/account/code/start', '/account/code/remove'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => json(chance, { password: 'what it may be' }),
  })),
  { method: 'POST', path: '/account/code/confirm', body: (chance) => json(chance, { code: '123456' }) },
  {
    method: 'POST',
    path: '/account/passkeys/finish',
    body: (chance) => json(chance, { name: 'phone', answer: { id: 'x', type: 'y' } }),
  },
  { method: 'POST', path: '/account/passkeys/remove', body: (chance) => json(chance, { id: 'x' }) },
  { method: 'POST', path: '/account/sessions/end', body: (chance) => json(chance, { id: randomUUID() }) },
  { method: 'POST', path: '/workspaces', body: (chance) => json(chance, { name: 'Another van' }) },
  {
    method: 'POST',
    path: '/tokens',
    body: (chance) => json(chance, { name: 'a script', scopes: ['read'], days: 30 }),
  },
  { method: 'POST', path: '/tokens/:tokenId/revoke', body: (chance) => json(chance, {}) },
  ...['/people/remove', '/people/reset'].map((path): Route => ({
    method: 'POST',
    path,
    body: (chance) => json(chance, { personId: randomUUID() }),
  })),
  { method: 'GET', path: '/players/:playerId/sheet.pdf', query: ['asOf', 'unit'] },
  { method: 'GET', path: '/players/:playerId/player.jsonl' },
  { method: 'POST', path: '/players/from-file', body: playerFileBody },
  {
    method: 'POST',
    path: '/players/:playerId/hand-over',
    body: (chance) => json(chance, { how: chance.one(['copy', 'move']) }),
  },
  { method: 'GET', path: '/players/:playerId/review', query: ['from', 'to'] },
  { method: 'GET', path: '/players/:playerId/putters' },
  { method: 'GET', path: '/players/:playerId/gauged-lofts' },
  { method: 'GET', path: '/players/:playerId/card.pdf', query: ['unit'] },
  { method: 'GET', path: '/players/:playerId/season.ics', query: ['from', 'to'] },
  { method: 'GET', path: '/players/:playerId/season.csv', query: ['from', 'to'] },
  { method: 'POST', path: '/shares/:shareId/revoke', body: (chance) => json(chance, {}) },
  { method: 'GET', path: '/clubs/:clubId/build.pdf', query: ['unit'] },
  { method: 'GET', path: '/plans/:planId/rounds/:roundId/choice' },
  { method: 'GET', path: '/print.pdf', query: ['papers', 'players', 'today'] },
  { method: 'GET', path: '/tickets', query: ['limit', 'after'] },
  { method: 'GET', path: '/calendar', query: ['from', 'to', 'today', 'limit', 'after'] },
  {
    method: 'POST',
    path: '/gauge/measure',
    body: (chance, ids) => json(chance, { clubId: ids.clubId, loftDeg: 44, lieDeg: 63 }),
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
        `${name}=${chance.is(0.75) ? chance.one(QUERIES[name]!) : encodeURI(chance.one(NASTY_TEXT)).replace(/%25/g, '%')}`,
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

/** A document as JSON text, with some of its values, or its text itself, spoilt. */
function json(chance: Chance, document: unknown): { body: string; type: string } {
  const slots: string[] = [];
  const text = JSON.stringify(document, (_key, value: unknown) => {
    if (value !== null && typeof value !== 'object' && chance.is(0.06)) {
      slots.push(chance.one(NASTY_JSON));
      return `\u0001${slots.length - 1}\u0001`;
    }
    return value;
  }).replace(/"\\u0001(\d+)\\u0001"/g, (_all, at: string) => slots[Number(at)]!);
  if (chance.is(0.03)) return { body: text.slice(0, chance.below(text.length)), type: 'application/json' };
  if (chance.is(0.03))
    return {
      body: text.replace(
        '{',
        `{"${chance.one(['__proto__', 'toString', 'extra'])}":${chance.one(NASTY_JSON)},`,
      ),
      type: 'application/json',
    };
  return { body: chance.is(0.02) ? chance.one(NASTY_JSON) : text, type: 'application/json' };
}

/** A player's file, cut, or with some of its values spoilt. */
function playerFileBody(chance: Chance, ids: KnownIds): { body: string; type: string } {
  const rows = [
    {
      row: 'player',
      id: ids.playerId,
      version: 1,
      name: 'Fuzz',
      hand: 'left',
      distanceUnit: 'm',
      notes: '',
      gapSettings: {},
      balls: [],
      archived: false,
    },
    { row: 'club', id: ids.clubId, version: 1, name: '7 iron', kind: 'iron' },
    {
      row: 'change',
      id: randomUUID(),
      at: '2026-11-01T09:00:00Z',
      who: 'Fuzz',
      why: '',
      summary: 'added',
      diffs: [{ of: 'club', id: ids.clubId, before: null, after: {} }],
    },
  ];
  const head = {
    format: 'tasche-player',
    version: 1,
    name: 'Fuzz',
    takenOutAt: '2026-11-27T09:00:00Z',
    rows: { player: 1, club: 1, change: 1 },
  };
  const text = [head, ...rows].map((one) => json(chance, one).body).join('\n');
  return {
    body: chance.is(0.1) ? text.slice(0, chance.below(text.length)) : text,
    type: 'application/octet-stream',
  };
}

function changeBody(chance: Chance, ids: KnownIds) {
  const count = 1 + chance.below(3);
  return json(chance, {
    id: randomUUID(),
    ...(chance.is(0.3) && { why: 'fuzzed' }),
    commands: Array.from({ length: count }, () => command(chance, ids)),
  });
}

function command(chance: Chance, ids: KnownIds): object {
  const version = 1 + chance.below(4);
  const reading = () =>
    chance.one([
      { key: 'lieDeg', value: 55 + chance.below(40) / 4, takenOn: '2026-11-01' },
      { key: 'swingWeight', value: 'D3', takenOn: '2026-11-02' },
      {
        key: 'shot.full',
        value: { carryM: 100 + chance.below(100), source: 'stated' },
        takenOn: '2026-11-03',
      },
      { key: 'lieDeg', value: null, takenOn: '2026-11-26' },
    ]);
  const { playerId, clubId, bagId, planId, sessionId, courseId, eventId, roundId } = ids;
  return chance.one<() => object>([
    () => ({ do: 'addPlayer', player: { id: randomUUID(), name: 'Fuzz', hand: 'left', distanceUnit: 'm' } }),
    () => ({
      do: 'editPlayer',
      playerId,
      version,
      set: chance.one<object>([
        { notes: 'x' },
        { gapSettings: { clubLimit: 13 } },
        { baseline: BASELINE },
        { baseline: null },
      ]),
    }),
    () => ({
      do: 'addClub',
      club: { id: randomUUID(), playerId, name: '7 iron', kind: 'iron' },
      readings: [reading()],
    }),
    () => ({ do: 'editClub', clubId, version, readings: [reading(), reading()] }),
    () => ({ do: 'editClub', clubId, version, set: { name: '8 iron' } }),
    () => ({ do: 'addBag', bag: { id: randomUUID(), playerId, name: 'Bag' }, clubIds: [clubId] }),
    () => ({ do: 'editBag', bagId, version, set: { ready: true } }),
    () => ({ do: 'putIn', bagId, clubId }),
    () => ({ do: 'takeOut', bagId, clubId }),
    () => ({ do: 'makeGamer', bagId }),
    () => ({ do: 'removeBag', bagId, version }),
    () => ({
      do: 'addPlan',
      plan: {
        id: randomUUID(),
        bagId: randomUUID(),
        playerId,
        name: 'Week',
        course: '',
        startsOn: '2026-12-01',
        endsOn: '2026-12-03',
        ground: '',
        weather: '',
        eventId,
      },
    }),
    () => ({ do: 'editPlan', planId, version, set: { ground: 'firm', endsOn: '2026-12-09' } }),
    () => ({ do: 'setSwaps', planId, version, swaps: [{ outId: clubId, why: '' }] }),
    () => ({ do: 'editRound', planId, version, roundId, set: { notes: [] } }),
    () => ({
      do: 'setRoundBag',
      planId,
      version,
      roundId,
      bagId: randomUUID(),
      clubIds: [clubId],
      swaps: [],
      triggers: [],
    }),
    () => ({ do: 'editCourse', courseId, version, set: { notes: 'y' } }),
    () => ({
      do: 'editEvent',
      eventId,
      version,
      set: chance.one<object>([{ notes: 'z' }, { zone: 'Europe/Oslo' }, { zone: 'Mars' }]),
    }),
    () => ({ do: 'editEventRound', eventId, version, roundId, set: { day: '2026-12-05' } }),
    () => ({
      do: 'addSession',
      session: {
        id: randomUUID(),
        playerId,
        name: 'Range',
        heldOn: '2026-11-20',
        conditions: BASELINE,
        surface: MEDIUM_FAIRWAY,
        hitOff: 'mat',
        ball: '',
        notes: '',
      },
    }),
    () => ({
      do: 'addRoundPlayed',
      round: {
        id: randomUUID(),
        playerId,
        playedOn: '2026-11-21',
        name: '',
        courseId: chance.one([courseId, null]),
        bagId: chance.one([bagId, null]),
        after: { hits: { [clubId]: chance.below(9) }, says: '', keep: '' },
      },
    }),
    () => ({ do: 'editRoundPlayed', roundId, version, set: { name: 'Medal' } }),
    () => ({ do: 'editSession', sessionId, version, set: { live: true } }),
    () => ({
      do: 'addStrikes',
      sessionId,
      strikes: [{ id: randomUUID(), clubId, shot: 'full', given: { carryM: 150 } }],
    }),
    () => ({ do: chance.one(['toString', 'nothing', '__proto__']) }),
  ])();
}

function sheetBody(chance: Chance): { body: string; type: string } {
  const cell = () =>
    chance.is(0.7)
      ? chance.one(['7 iron', '32', '161', 'D3', '37 1/4', '250-255', '2 flat'])
      : chance.one(NASTY_TEXT.concat(['"', '""', "'=1", `1${' '.repeat(2000)}x`, '\u0000']));
  const rows = Array.from({ length: chance.below(8) }, () =>
    Array.from({ length: 4 }, cell).join(chance.is(0.9) ? ',' : ';'),
  );
  const head = chance.is(0.8) ? 'club,loft,carry [yd],swing weight' : `${'a('.repeat(200)},club`;
  if (chance.is(0.2))
    return json(chance, {
      format: 'tasche-locker',
      version: 1,
      player: { name: 'A', hand: 'right', distanceUnit: 'm', notes: '', gapSettings: {} },
      clubs: [{ id: randomUUID(), name: '7', kind: 'iron', readings: [] }],
      bags: [],
    });
  return { body: [head, ...rows].join('\n'), type: 'text/csv' };
}

function strikesBody(chance: Chance): { body: string; type: string } {
  const order = json(chance, {
    source: 'fuzz.csv',
    encoding: 'utf-8',
    delimiter: ',',
    heads: ['club', 'carry'],
    skipLines: 0,
    zoneMinutes: 0,
    clubs: {},
    mapping: {
      columns: [
        { column: 0, field: 'club' },
        { column: 1, field: 'carryM', unit: 'm' },
      ],
      decimal: '.',
      dates: 'day first',
      unitRows: 0,
      leftIsPositive: false,
    },
    session: {
      name: 'Range',
      heldOn: '2026-11-20',
      conditions: BASELINE,
      surface: MEDIUM_FAIRWAY,
      hitOff: 'grass',
      ball: '',
      notes: '',
    },
  }).body;
  const rows = Array.from(
    { length: chance.below(30) },
    () =>
      `${chance.one(['7 iron', '8 iron', '"', 'x'])},${chance.one(['150', '1e9', '45"', '', '-1', '150,0'])}`,
  );
  return { body: `${order}\nclub,carry\n${rows.join('\n')}`, type: 'application/octet-stream' };
}
