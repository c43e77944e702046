import type { Right } from '@tasche/contract';
import type { Request } from 'express';
import type * as yup from 'yup';

/**
 * What a route requires of its caller, beyond being signed in; "anybody" asks nothing, "self" an account
 * of one's own.
 */
export type Wanted = Right | 'anybody' | 'signed-in' | 'self';

/**
 * How often one person, one token, or one address without a known person, may call routes of that kind in a
 * minute, at one server.
 */
export const CALLS_A_MINUTE = {
  /** Reads that take no longer than a look. */
  read: 1200,
  write: 600,
  /** Takes a worker thread, or a lot of the database. */
  costly: 60,
  /** Before the person is known. */
  door: 60,
} as const;
export type CallKind = keyof typeof CALLS_A_MINUTE;

interface RouteRule {
  wants: Wanted;
  calls: CallKind;
  about: string;
  /** Takes data out: who did so is noted. */
  exports?: true;
}

const read = (about: string): RouteRule => ({ wants: 'read', calls: 'read', about });
const paper = (about: string): RouteRule => ({ wants: 'read', calls: 'costly', about });
const taken = (about: string): RouteRule => ({ ...paper(about), exports: true });
const door = (about: string): RouteRule => ({ wants: 'anybody', calls: 'door', about });
const self = (about: string): RouteRule => ({ wants: 'self', calls: 'write', about });
const owner = (about: string): RouteRule => ({ wants: 'people', calls: 'write', about });

/**
 * Every route there is and who may call it. A route that is not here is not there: the guard refuses it
 * before anything
 * else looks at the request.
 */
export const ROUTES = {
  'GET /health': {
    wants: 'anybody',
    calls: 'read',
    about: 'Whether the server answers and has its database.',
  },
  'GET /ready': { wants: 'anybody', calls: 'read', about: 'Whether the server takes requests now.' },
  'GET /openapi.json': { wants: 'anybody', calls: 'read', about: 'This document.' },

  'POST /sign-in': door('Signs in with e-mail address, password and, where one is used, a code.'),
  'POST /sign-in/passkey/start': door('What a passkey has to answer.'),
  'POST /sign-in/passkey/finish': door('Signs in with what the passkey answered.'),
  'POST /links/look': door('What a one-time link is for.'),
  'POST /links/use': door('Uses a one-time link: makes an account, or sets a new password.'),
  'GET /shared/:key': door('A paper somebody shared, as PDF.'),

  'GET /signed-in': { wants: 'signed-in', calls: 'read', about: 'Who is signed in, where, as what.' },
  'POST /sign-out': { wants: 'signed-in', calls: 'write', about: 'Ends this session.' },
  'POST /links/take': owner('Takes a player another workspace hands over into this one.'),
  'POST /links/join': self('Takes up an invitation as who is signed in.'),
  'GET /account': { wants: 'self', calls: 'read', about: 'One’s own account and its sessions.' },
  'POST /account/password': self('Sets another password; ends every other session.'),
  'POST /account/code/start': self('Begins to add an authenticator.'),
  'POST /account/code/confirm': self('Adds the authenticator; answers recovery codes.'),
  'POST /account/code/remove': self('Takes the authenticator away.'),
  'POST /account/passkeys/start': self('Begins to add a passkey.'),
  'POST /account/passkeys/finish': self('Adds the passkey.'),
  'POST /account/passkeys/remove': self('Takes a passkey away.'),
  'POST /account/sessions/end': self('Ends a session, or all others.'),
  'POST /workspaces': self('Makes a workspace.'),
  'POST /workspaces/enter': self('Goes to another of one’s workspaces.'),
  'GET /tokens': { wants: 'self', calls: 'read', about: 'One’s own tokens for scripts, in this workspace.' },
  'POST /tokens': self('Makes a token.'),
  'POST /tokens/:tokenId/revoke': self('Ends a token.'),

  'GET /people': { wants: 'people', calls: 'read', about: 'Who is in the workspace, and who is invited.' },
  'POST /people/invite': owner('Makes an invitation.'),
  'POST /people/withdraw': owner('Withdraws an invitation or a reset.'),
  'POST /people/change': owner('Changes what somebody is.'),
  'POST /people/remove': owner('Takes somebody out.'),
  'POST /people/reset': owner('Makes a link to set a new password.'),
  'GET /audit': {
    wants: 'people',
    calls: 'read',
    about: 'Sign-ins, roles, shares, tokens and exports, newest first.',
  },

  'GET /players': read('The roster, a page of it.'),
  'GET /players/find': read('Players by what their names begin with, thirty at most.'),
  'GET /players/:playerId/sheet': read('A player’s locker, bags, plans, tickets and wishes.'),
  'GET /players/:playerId/sheet.csv': taken('The spec sheet as CSV.'),
  'GET /players/:playerId/sheet.pdf': paper('The spec sheet as PDF.'),
  'GET /players/:playerId/locker.json': taken('Spec sheets of a player, with their readings.'),
  'GET /players/:playerId/player.jsonl': {
    wants: 'people',
    calls: 'costly',
    exports: true,
    about: 'A player with everything, as a file.',
  },
  'POST /players/from-file': {
    wants: 'people',
    calls: 'costly',
    about: 'A player’s file brought in, as another player.',
  },
  'POST /players/:playerId/import': {
    wants: 'import',
    calls: 'costly',
    about: 'A spec sheet or a locker brought in.',
  },
  'POST /players/:playerId/hand-over': owner('Makes a link that takes a player to another workspace.'),
  'GET /players/:playerId/plans': read('Plans, a page of them.'),
  'GET /players/:playerId/changes': read('Changes, a page of them.'),
  'GET /players/:playerId/differences': read('What differs between two days.'),
  'GET /players/:playerId/day': read('The gamer and its clubs on a day.'),
  'GET /players/:playerId/review': paper('Swaps made in a time, and what was known before each session.'),
  'GET /players/:playerId/sessions': read('Range sessions, a page of them.'),
  'GET /players/:playerId/strikes': read('Balls hit.'),
  'POST /players/:playerId/strikes/import': {
    wants: 'import',
    calls: 'costly',
    about: 'A launch monitor’s file.',
  },
  'GET /players/:playerId/putters': read('Which putter was played when.'),
  'GET /players/:playerId/gauged-lofts': read('Lofts read on a gauge.'),
  'GET /players/:playerId/card.pdf': paper('The card as PDF.'),
  'GET /players/:playerId/season.ics': paper('The season as iCalendar.'),
  'GET /players/:playerId/season.csv': taken('The season as CSV.'),
  'GET /players/:playerId/shares': { wants: 'share', calls: 'read', about: 'Links to a player’s papers.' },
  'POST /players/:playerId/shares': { wants: 'share', calls: 'write', about: 'Makes a link to a paper.' },
  'POST /shares/:shareId/revoke': { wants: 'share', calls: 'write', about: 'Ends a link to a paper.' },
  'GET /clubs/:clubId/readings': read('Readings of a club, a page of them.'),
  'GET /clubs/:clubId/life': read('All that is known of a club’s past.'),
  'GET /clubs/:clubId/build.pdf': paper('The build sheet as PDF.'),
  'GET /plans/:planId/rounds/:roundId/choice': paper('The best bag of a round.'),
  'GET /print.pdf': paper('Papers of several players as one PDF.'),
  'GET /tickets': read('Open jobs of everybody, a page of them.'),
  'GET /calendar': read('Everybody’s season, a page of players.'),
  'GET /schedule': read('Courses, season templates and events.'),
  'GET /circuit': read('The same, at the address it had before 0.2.'),
  'GET /courses/:courseId/forecast': read('The forecast at a course.'),
  'GET /file-mapping': read('How a file with these headers was read last.'),
  'GET /sessions/:sessionId/live': read('Balls as they come, as server-sent events.'),
  'GET /sessions/:sessionId/set-aside': read('What a session could not take.'),
  'POST /sessions/:sessionId/hit': {
    wants: 'bench',
    calls: 'write',
    about: 'Has a simulated monitor hit balls.',
  },
  'GET /gauge/live': read('The gauge’s readings, as server-sent events.'),
  'POST /gauge/measure': { wants: 'bench', calls: 'write', about: 'Has a simulated gauge measure.' },
  'GET /news': read('What others change, as server-sent events.'),
  'POST /changes': {
    wants: 'write',
    calls: 'write',
    about: 'One or more commands, done whole or not at all.',
  },
  'POST /changes/:changeId/undo': { wants: 'undo', calls: 'write', about: 'Takes a change back.' },
} satisfies Record<string, RouteRule>;

export type RouteName = keyof typeof ROUTES;

/** What routes are asked with, by name: kept beside each, for the document about all of them. */
export type Asks = Partial<
  Record<
    RouteName,
    {
      /** What may stand after the question mark. */
      query?: yup.AnyObjectSchema;
      body?: yup.AnyObjectSchema;
      /** Where the body is a file: what it may be. */
      takes?: readonly string[];
      /** Where the answer is no JSON. */
      answers?: string;
    }
  >
>;

const PATTERNS = Object.keys(ROUTES).map((name) => {
  const [method, path] = name.split(' ') as [string, string];
  const pattern = path.replace(/[.]/g, '\\.').replace(/:\w+/g, '[^/]+');
  return { name: name as RouteName, method, pattern: new RegExp(`^${pattern}/?$`, 'i') };
});

/** The route a request calls; undefined where there is none. A HEAD asks what a GET would answer. */
export function routeNameOf({ method, path }: Pick<Request, 'method' | 'path'>): RouteName | undefined {
  const asked = method === 'HEAD' ? 'GET' : method;
  return PATTERNS.find((one) => one.method === asked && one.pattern.test(path))?.name;
}

export function routeOf(request: Pick<Request, 'method' | 'path'>): RouteRule | undefined {
  const name = routeNameOf(request);
  return name && ROUTES[name];
}
