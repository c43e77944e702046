import { ROLES, hasRight, mayDo, mayUse, type Command, type FoundPlayer, type Role } from '@tasche/contract';
import type { Express, IRouter } from 'express';
import request from 'supertest';
import { v4 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import { ROUTES, type RouteName } from '../src/http/route-list.js';
import { signInServer, type Browser, type SignInServer } from './sign-in-server.js';
import { workbench, workbenchIn, type Workbench } from './workbench.js';

/** A row of everything a route may name. */
interface Rows {
  playerId: string;
  clubId: string;
  bagId: string;
  sessionId: string;
  courseId: string;
  changeId: string;
  planId: string;
}

let door: SignInServer;
let mine: Rows;
let theirs: Rows;
const browsers = new Map<Role, Browser>();

async function rowsOf(bench: Workbench): Promise<Rows> {
  const playerId = await bench.player();
  const clubId = await bench.club(playerId, '7 iron');
  const bagId = await bench.bag(playerId, 'Gamer', [clubId]);
  const sessionId = newId();
  const courseId = newId();
  const planId = newId();
  const { change } = await bench.done([
    {
      do: 'addSession',
      session: {
        id: sessionId,
        playerId,
        name: 'Range',
        heldOn: '2026-11-20',
        conditions: BASELINE,
        surface: MEDIUM_FAIRWAY,
        hitOff: 'mat',
        ball: '',
        notes: '',
      },
    },
  ] as Command[]);
  return { playerId, clubId, bagId, sessionId, courseId, changeId: change.id, planId };
}

beforeAll(async () => {
  door = await signInServer();
  mine = await rowsOf(workbenchIn(door.orm, door.workspaceId, 'Jonas Brandl'));
  theirs = await rowsOf(await workbench('Somebody else'));
  browsers.set('owner', door.owner);
  for (const role of ROLES.filter((one) => one !== 'owner'))
    browsers.set(role, (await door.invited(role, role === 'player' ? [mine.playerId] : undefined)).browser);
});
afterAll(() => door.close());

/** Routes that stay open, or that end the session which the other tests go on with. */
const NOT_ASKED: readonly RouteName[] = [
  'GET /news',
  'GET /gauge/live',
  'GET /sessions/:sessionId/live',
  'POST /sign-out',
];
const QUERIES: Partial<Record<RouteName, string>> = {
  'GET /players/:playerId/differences': '?from=2026-01-01&to=2026-02-01',
  'GET /players/:playerId/day': '?day=2026-11-01',
  'GET /courses/:courseId/forecast': '?from=2026-11-25',
  'GET /file-mapping': '?heads=club',
};
const names = Object.keys(ROUTES) as RouteName[];

function pathOf(name: RouteName, rows: Rows): string {
  const path = name.slice(name.indexOf(' ') + 1);
  return (
    path.replace(
      /:(\w+)/g,
      (_all, id: string) => (rows as unknown as Record<string, string>)[id] ?? newId(),
    ) + (QUERIES[name] ?? '')
  );
}

function ask(browser: Browser, name: RouteName, rows: Rows) {
  const path = pathOf(name, rows);
  return name.startsWith('GET') ? browser.get(path) : browser.post(path, {});
}

describe('the list of routes', () => {
  it('holds every route there is, and no other', () => {
    const there = new Set(routesOf(door.app));
    expect([...there].filter((name) => !names.includes(name as RouteName))).toEqual([]);
    expect(names.filter((name) => !there.has(name))).toEqual([]);
  });

  it('refuses what is not in it before authentication', async () => {
    await request(door.app).get('/api/nothing').expect(404);
    await request(door.app).delete('/api/players').expect(404);
  });
});

describe('without being signed in', () => {
  it.each(names.filter((name) => ROUTES[name].wants !== 'anybody'))('%s is refused', async (name) => {
    const { status, body } = await ask(door.browser(), name, mine);
    expect([name, status, body.error]).toEqual([name, 401, 'signed-out']);
  });
});

describe.each(ROLES)('as %s', (role) => {
  it.each(names.filter((name) => !NOT_ASKED.includes(name) && ROUTES[name].wants !== 'anybody'))(
    '%s',
    async (name) => {
      const { wants } = ROUTES[name];
      const may = wants === 'self' || wants === 'signed-in' || wants === 'anybody' || hasRight(role, wants);
      const { status } = await ask(browsers.get(role)!, name, mine);
      if (may) expect([401, 403, 500]).not.toContain(status);
      else expect(status).toBe(403);
    },
  );

  it.each(
    names.filter(
      (name) => name.includes(':') && !NOT_ASKED.includes(name) && ROUTES[name].wants !== 'anybody',
    ),
  )('%s of another workspace finds nothing', async (name) => {
    const answer = await ask(browsers.get(role)!, name, theirs);
    if (answer.status === 200) {
      // Lists of nothing are empty; nothing of another's is in them.
      const text = JSON.stringify(answer.body);
      for (const id of Object.values(theirs)) expect(text).not.toContain(id);
      expect(answer.body.total ?? 0).toBe(0);
    } else expect([400, 403, 404, 415, 422]).toContain(answer.status);
  });
});

describe('players found by name', () => {
  it('are those of one’s own workspace, and of one’s own sight, of whose names a word begins so', async () => {
    const here = workbenchIn(door.orm, door.workspaceId, 'Jonas Brandl');
    for (const name of ['Ana Duarte-Lind', 'Lindis 50% Vik', 'Berta Olind', 'Íñigo Løv-Müller'])
      await here.done([
        { do: 'addPlayer', player: { id: newId(), name, hand: 'right', distanceUnit: 'm' } },
      ] as Command[]);
    const found = async (role: Role, words: string) => {
      const { body } = await browsers
        .get(role)!
        .get(`/players/find?words=${encodeURIComponent(words)}`)
        .expect(200);
      return (body as FoundPlayer[]).map(({ name }) => name);
    };
    expect(await found('rep', 'lind')).toEqual(['Ana Duarte-Lind', 'Lindis 50% Vik']);
    expect(await found('rep', '  ANA  olind ')).toEqual(['Ana Duarte-Lind', 'Berta Olind']);
    for (const written of ['inigo', 'Iñi', 'lov', 'loev', 'MULLER', 'mueller'])
      expect(await found('rep', written)).toEqual(['Íñigo Løv-Müller']);
    expect(await found('rep', '%')).toEqual([]);
    expect(await found('rep', '50%')).toEqual(['Lindis 50% Vik']);
    expect(await found('rep', 'nobody')).toEqual([]);
    expect(await found('rep', '')).toContain('Berta Olind');
    expect(await found('player', 'ana')).toEqual([]);
    expect(await found('player', '')).toEqual(['Davor']);
    expect((await browsers.get('rep')!.get('/players/find').expect(200)).body).toHaveLength(5);
    const { body } = await browsers
      .get('rep')!
      .get(`/players/find?words=${'x'.repeat(81)}`)
      .expect(400);
    expect(body.fields[0].field).toBe('words');
  });
});

describe('a token', () => {
  const made = async (scopes: readonly string[], endsOn = '2027-03-01') =>
    (await door.owner.post('/tokens', { name: 'a script', scopes, endsOn }).expect(200)).body as {
      token: string;
      tokens: { id: string }[];
    };
  const as = (token: string) => ({
    get: (path: string) => request(door.app).get(`/api${path}`).set('authorization', `Bearer ${token}`),
    post: (path: string, body: object = {}) =>
      request(door.app).post(`/api${path}`).set('authorization', `Bearer ${token}`).send(body),
  });
  const change = () => ({
    id: newId(),
    commands: [
      { do: 'addBag', bag: { id: newId(), playerId: mine.playerId, name: 'By a script' }, clubIds: [] },
    ],
  });

  it('reads, writes where it may, and never says who gets in', async () => {
    const reading = as((await made(['read'])).token);
    await reading.get('/players').expect(200);
    expect((await reading.post('/changes', change()).expect(403)).body.message).toContain('only read');
    const writing = as((await made(['read', 'write'])).token);
    await writing.post('/changes', change()).expect(200);
    await writing.get('/people').expect(403);
    await writing.get('/account').expect(403);
    await writing.post('/tokens', { name: 'more', scopes: ['write'], endsOn: '2027-03-01' }).expect(403);
  });

  it('ends: on its day, when it is revoked, and with its person’s place', async () => {
    const { token, tokens } = await made(['read']);
    await as(token).get('/players').expect(200);
    await door.owner.post(`/tokens/${tokens[0]!.id}/revoke`).expect(200);
    await as(token).get('/players').expect(401);
    await as('tasche_nothingofthekindisknownhere').get('/players').expect(401);
    await door.owner.post('/tokens', { name: 'x', scopes: ['read'], endsOn: '2026-01-01' }).expect(400);
    await door.owner.post('/tokens', { name: 'x', scopes: ['read'], endsOn: '2199-01-01' }).expect(400);

    const { browser, personId } = await door.invited('rep');
    const { body } = await browser
      .post('/tokens', { name: 'x', scopes: ['read'], endsOn: '2027-01-01' })
      .expect(200);
    await as(body.token).get('/players').expect(200);
    await door.owner.post('/people/remove', { personId }).expect(200);
    await as(body.token).get('/players').expect(401);
  });
});

describe('what a role may do', () => {
  const commands: Record<string, Command> = {
    notes: { do: 'editPlayer', playerId: newId(), version: 1, set: { notes: 'hits it low' } },
    name: { do: 'editPlayer', playerId: newId(), version: 1, set: { name: 'X' } },
    both: { do: 'editPlayer', playerId: newId(), version: 1, set: { name: 'X', notes: 'y' } },
    loft: {
      do: 'editClub',
      clubId: newId(),
      version: 1,
      readings: [{ key: 'loftSetDeg', value: 32, takenOn: '2026-11-01' }],
    },
    bag: { do: 'addBag', bag: { id: newId(), playerId: newId(), name: 'B' }, clubIds: [] },
    player: { do: 'addPlayer', player: { id: newId(), name: 'New', hand: 'right', distanceUnit: 'yd' } },
    course: { do: 'removeCourse', courseId: newId(), version: 1 },
  };
  it.each<[Role, readonly string[]]>([
    ['owner', ['notes', 'name', 'both', 'loft', 'bag', 'player', 'course']],
    ['rep', ['notes', 'name', 'both', 'loft', 'bag', 'player', 'course']],
    ['assistant', ['loft']],
    ['player', ['notes', 'name', 'both', 'loft', 'bag']],
    ['caddie', ['notes']],
  ])('%s: %s', (role, allowed) => {
    expect(Object.keys(commands).filter((name) => mayDo(role, commands[name]!))).toEqual(allowed);
    // What a browser offers is what is allowed; notes, a caddie's, are fields of their own.
    const offered = Object.keys(commands).filter((name) => mayUse(role, commands[name]!.do));
    expect(offered).toEqual(role === 'caddie' ? [] : allowed);
  });

  it('is what the server goes by, and taking back another’s change is for those who may make any', async () => {
    const caddie = browsers.get('caddie')!;
    const notes = (set: object) => ({
      id: newId(),
      commands: [{ do: 'editPlayer', playerId: mine.playerId, version: 1, set }],
    });
    expect((await caddie.post('/changes', notes({ name: 'Else' })).expect(403)).body.message).toContain(
      'writes notes',
    );
    const done = await caddie.post('/changes', notes({ notes: 'reads greens well' })).expect(200);
    expect(done.body.change.who).toBe('The caddie');
    await caddie.post(`/changes/${mine.changeId}/undo`, { id: newId() }).expect(403);
    await browsers
      .get('assistant')!
      .post(`/changes/${done.body.change.id}/undo`, { id: newId() })
      .expect(403);
    await caddie.post(`/changes/${done.body.change.id}/undo`, { id: newId() }).expect(200);
  });
});

/** "GET /players/:playerId/sheet" of every route of the API. */
function routesOf(app: Express): string[] {
  const found: string[] = [];
  const walk = (router: IRouter) => {
    for (const layer of router.stack) {
      const { route } = layer;
      if (route)
        for (const method of Object.keys((route as unknown as { methods: Record<string, boolean> }).methods))
          found.push(`${method.toUpperCase()} ${route.path}`);
      else if ('stack' in layer.handle) walk(layer.handle as unknown as IRouter);
    }
  };
  walk(app.router as unknown as IRouter);
  return found;
}
