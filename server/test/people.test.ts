import { generate } from 'otplib';
import { v4 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import {
  ROLES,
  type AccountView,
  type MadeLinkView,
  type PeopleView,
  type Problem,
  type SignedInView,
} from '@tasche/contract';
import { asTableOwner } from '../src/database/database.js';
import { asAsker, inWorkspace } from '../src/workspaces/in-workspace.js';
import { firstPersonLink } from '../src/workspaces/first-workspace.js';
import { PASSWORD, signInServer, keyOf, type SignInServer } from './sign-in-server.js';
import { workbenchIn } from './workbench.js';

let door: SignInServer;
let davor: string;
let maren: string;
beforeAll(async () => {
  door = await signInServer();
  const bench = workbenchIn(door.orm, door.workspaceId, 'Jonas Brandl');
  davor = await bench.player();
  maren = await bench.player();
});
afterAll(() => door.close());

const account = async (browser = door.owner) =>
  (await browser.get('/account').expect(200)).body as AccountView;

describe('the first person', () => {
  it('makes the owner’s account at an address that works once, and not at all once there is an owner', async () => {
    const second = await asTableOwner(inject('ownerUrl'), (owner) =>
      firstPersonLink(owner, door.workspaceId, 'https://van.example'),
    );
    expect(second).toBeNull();
    const { body } = await door.owner.get('/signed-in').expect(200);
    expect(body).toMatchObject({ who: 'Jonas Brandl', role: 'owner', playerIds: null, means: 'session' });
  });

  it('finds the link of an earlier start dead once a later start made another', async () => {
    const fresh = await signInServer();
    const [early, late] = await asTableOwner(inject('ownerUrl'), async (owner) => {
      const workspaceId = newId();
      await inWorkspace(owner, { workspaceId }, (em) =>
        em.execute(`insert into workspace (id, name, person) values (?, 'Other', 'x')`, [workspaceId]),
      );
      return [
        await firstPersonLink(owner, workspaceId, 'https://van.example'),
        await firstPersonLink(owner, workspaceId, 'https://van.example'),
      ];
    });
    await fresh
      .browser()
      .post('/links/look', { key: keyOf(early!) })
      .expect(404);
    await fresh
      .browser()
      .post('/links/look', { key: keyOf(late!) })
      .expect(200);
    await fresh.close();
  });
});

describe('signing in', () => {
  it('says the same of a wrong password and of an unknown address, and lets neither in', async () => {
    const stranger = door.browser('198.51.100.20');
    const wrong = await stranger.post('/sign-in', { email: door.ownerEmail, password: 'not the password' });
    const nobody = await stranger.post('/sign-in', {
      email: 'nobody@van.example',
      password: 'not the password',
    });
    expect([wrong.status, nobody.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(nobody.body);
    await stranger.get('/players').expect(401);
  });

  it('names the field of what cannot be right', async () => {
    const { body } = await door
      .browser()
      .post('/sign-in', { email: 'no address', password: 'x' })
      .expect(400);
    expect(body.fields).toEqual([{ field: 'email', message: expect.stringContaining('e-mail address') }]);
    const short = await door.owner
      .post('/account/password', { current: PASSWORD, next: 'short' })
      .expect(400);
    expect(short.body.fields[0]).toMatchObject({
      field: 'next',
      message: expect.stringContaining('12 characters'),
    });
  });

  it('takes the address in any case, and starts a session under a new id each time', async () => {
    const browser = door.browser();
    await browser.signIn(door.ownerEmail.toUpperCase());
    const first = browser.cookie;
    expect(first).toMatch(/^__Host-tasche=/);
    await browser.signIn(door.ownerEmail);
    expect(browser.cookie).not.toBe(first);
    // The one before is gone.
    const old = door.browser();
    old.cookie = first;
    await old.get('/players').expect(401);
  });

  it('sets a cookie scripts cannot read, other sites do not send, and plain HTTP does not carry', async () => {
    const { headers } = await door.browser().post('/sign-in', { email: door.ownerEmail, password: PASSWORD });
    const [cookie] = ([] as string[]).concat(headers['set-cookie']!);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/Secure/);
    expect(cookie).toMatch(/SameSite=Strict/);
    expect(cookie).toMatch(/Path=\//);
    expect(cookie).not.toMatch(/Domain/);
    expect(headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
  });

  it('slows down guessing, but not the owner at an address they used before', async () => {
    const { email } = await door.invited('rep');
    const home = door.browser('198.51.100.30');
    await home.signIn(email);
    for (let i = 0; i < 8; i++)
      await door
        .browser('203.0.113.9')
        .post('/sign-in', { email, password: `guess ${i}` })
        .expect(401);
    const over = await door
      .browser('203.0.113.9')
      .post('/sign-in', { email, password: PASSWORD })
      .expect(429);
    expect(over.body.message).toMatch(/Try again in \d+ min/);
    // Many addresses together: the account is held up from anywhere new, and open where it was used before.
    for (let i = 0; i < 40; i++)
      await door.browser(`203.0.113.${100 + i}`).post('/sign-in', { email, password: 'a guess' });
    await door.browser('203.0.113.250').post('/sign-in', { email, password: PASSWORD }).expect(429);
    await door.browser('198.51.100.30').signIn(email);
  });

  it('is not done over plain HTTP from another machine', async () => {
    const { default: request } = await import('supertest');
    const plain = await request(door.app)
      .post('/api/sign-in')
      .set('x-forwarded-for', '198.51.100.7')
      .send({ email: door.ownerEmail, password: PASSWORD })
      .expect(403);
    expect(plain.body.message).toContain('https');
  });
});

describe('a password', () => {
  it.each([
    'password1234',
    'passwordpassword',
    'Qwertyuiop123',
    'p4ssw0rd!p4ssw0rd!',
    'jonas.brandl@van.example',
    'Jonas Brandl 1984',
  ])(
    '%s, which is among those tried first, is refused by name; the link goes on working',
    async (password) => {
      const { body } = await door.owner
        .post('/people/invite', { name: 'Jonas Brandl', email: 'jonas.brandl@van.example', role: 'rep' })
        .expect(200);
      const key = keyOf((body as MadeLinkView).url);
      const refused = await door
        .browser()
        .post('/links/use', { key, name: 'Jonas Brandl', password })
        .expect(400);
      expect((refused.body as Problem).fields).toEqual([
        { field: 'password', message: expect.stringMatching(/guess|different/) as string },
      ]);
      expect((refused.body as Problem).message).not.toContain(password);
      await door.browser().post('/links/look', { key }).expect(200);
    },
  );

  it('applies when it is changed too', async () => {
    const { browser } = await door.invited('rep');
    const asked = { current: PASSWORD, next: 'iloveyou123456' };
    const { body } = await browser.post('/account/password', asked).expect(400);
    expect((body as Problem).fields![0]!.field).toBe('next');
  });
});

describe('sessions', () => {
  it('are seen by their owner and ended one by one; an ended one lets nobody in', async () => {
    const { email, browser: here } = await door.invited('rep');
    const phone = door.browser('198.51.100.44');
    await phone.signIn(email, PASSWORD, { stay: true });
    const { sessions } = await account(here);
    expect(sessions.map(({ current }) => current).sort()).toEqual([false, true]);
    const other = sessions.find(({ current }) => !current)!;
    expect(other.address).toBe('198.51.100.44');
    expect(Date.parse(other.endsAt) - Date.now()).toBeGreaterThan(10 * 86_400_000);
    await here.post('/account/sessions/end', { id: other.id }).expect(200);
    await phone.get('/players').expect(401);
    await here.post('/account/sessions/end', { id: other.id }).expect(404);
    await here.get('/players').expect(200);
  });

  it('end with the password, but for the one that changed it', async () => {
    const { email, browser: here } = await door.invited('rep');
    const phone = door.browser();
    await phone.signIn(email);
    await here.post('/account/password', { current: 'wrong', next: 'a quite new password' }).expect(400);
    await here.enter('/account/password', { current: PASSWORD, next: 'a quite new password' });
    await phone.get('/players').expect(401);
    await here.get('/players').expect(200);
    await door.browser().post('/sign-in', { email, password: PASSWORD }).expect(401);
    await door.browser().signIn(email, 'a quite new password');
  });

  it('end by themselves, however much they are used', async () => {
    const { browser: here, personId } = await door.invited('rep');
    await here.get('/players').expect(200);
    await door.sessions.pool.query(
      `update signed_in set sess = jsonb_set(sess::jsonb, '{signedInAt}', to_jsonb((sess ->> 'signedInAt')::bigint - 13 * 3600000))
       where sess ->> 'personId' = $1`,
      [personId],
    );
    await here.get('/players').expect(401);
  });

  it('end with signing out, and write nothing without what belongs to them', async () => {
    const { browser: here } = await door.invited('rep');
    const csrf = here.csrf;
    here.csrf = null;
    await here.post('/sign-out').expect(403);
    here.csrf = 'not it';
    const change = {
      id: newId(),
      commands: [{ do: 'editPlayer', playerId: davor, version: 1, set: { notes: 'x' } }],
    };
    const { body } = await here.post('/changes', change).expect(403);
    expect(body.error).toBe('page-too-old');
    here.csrf = csrf;
    await here.post('/sign-out').expect(200);
    await here.get('/players').expect(401);
  });
});

describe('a second factor', () => {
  it('is added with a code from it, asked for at every sign-in, and takes each code once', async () => {
    const { email, browser: here } = await door.invited('rep');
    await here.post('/account/code/start', { password: 'wrong' }).expect(400);
    const { body: started } = await here.post('/account/code/start', { password: PASSWORD }).expect(200);
    expect(started.uri).toContain('otpauth://totp/');
    await here.post('/account/code/confirm', { code: '000000' }).expect(400);
    const { body: confirmed } = await here
      .post('/account/code/confirm', { code: await generate({ secret: started.secret }) })
      .expect(200);
    expect(confirmed.recoveryCodes).toHaveLength(10);
    expect(await account(here)).toMatchObject({ code: true, recoveryCodes: 10 });

    const phone = door.browser();
    const without = await phone.post('/sign-in', { email, password: PASSWORD }).expect(401);
    expect(without.body.error).toBe('code-needed');
    // The one that was typed to add it is spent; the next is good once.
    const next = await generate({ secret: started.secret, epoch: Math.floor(Date.now() / 1000) + 30 });
    await phone.signIn(email, PASSWORD, { code: next });
    const again = await door
      .browser()
      .post('/sign-in', { email, password: PASSWORD, code: next })
      .expect(401);
    expect(again.body.message).toContain('used already');

    const [recovery] = confirmed.recoveryCodes as string[];
    await door.browser().signIn(email, PASSWORD, { code: recovery!.toUpperCase() });
    await door.browser().post('/sign-in', { email, password: PASSWORD, code: recovery }).expect(401);
    expect((await account(here)).recoveryCodes).toBe(9);
    await here.post('/account/code/remove', { password: PASSWORD }).expect(200);
    await door.browser().signIn(email);
  });

  it('goes with a reset by an owner’s link, which works once', async () => {
    const { email, personId, browser: here } = await door.invited('rep');
    const { body: started } = await here.post('/account/code/start', { password: PASSWORD }).expect(200);
    await here
      .post('/account/code/confirm', { code: await generate({ secret: started.secret }) })
      .expect(200);
    const { body: link } = await door.owner.post('/people/reset', { personId }).expect(200);
    const key = keyOf(link.url);
    expect((await door.browser().post('/links/look', { key }).expect(200)).body).toMatchObject({
      purpose: 'reset',
    });
    const fresh = door.browser();
    await fresh.enter('/links/use', { key, password: 'another password yet' });
    await here.get('/players').expect(401);
    await door.browser().post('/links/use', { key, password: 'another password yet' }).expect(404);
    await door.browser().signIn(email, 'another password yet');
  });

  it('is not taken away by an owner of one workspace where somebody belongs to another too', async () => {
    const { personId, browser: here } = await door.invited('rep');
    const { body: early } = await door.owner.post('/people/reset', { personId }).expect(200);
    await here.enter('/workspaces', { name: 'A van of my own' });
    // Nor by a link that was made before they did.
    await door
      .browser()
      .post('/links/use', { key: keyOf(early.url), password: 'another password yet' })
      .expect(422);
    await here.get('/players').expect(200);
    const refused = await door.owner.post('/people/reset', { personId }).expect(422);
    expect(refused.body.message).toContain('other workspaces');
  });
});

describe('people', () => {
  it('invited see what is theirs and nothing else, and nothing at all once shut out', async () => {
    const { browser: player, personId } = await door.invited('player', [davor]);
    const roster = await player.get('/players').expect(200);
    expect(roster.body.rows.map((row: { player: { id: string } }) => row.player.id)).toEqual([davor]);
    await player.get(`/players/${davor}/sheet`).expect(200);
    await player.get(`/players/${maren}/sheet`).expect(404);
    await player.get('/people').expect(403);
    const change = (playerId: string, id = newId()) => ({
      id,
      commands: [
        { do: 'addClub', club: { id: newId(), playerId, name: 'Mine', kind: 'iron' }, readings: [] },
      ],
    });
    await player.post('/changes', change(davor)).expect(200);
    await player.post('/changes', change(maren)).expect(404);

    await door.owner.post('/people/change', { personId, role: 'player', playerIds: [maren] }).expect(200);
    await player.get(`/players/${davor}/sheet`).expect(404);
    await player.get(`/players/${maren}/sheet`).expect(200);

    const { body } = await door.owner.post('/people/remove', { personId }).expect(200);
    expect((body as PeopleView).members.some((one) => one.personId === personId)).toBe(false);
    await player.get('/players').expect(401);
  });

  it('an invitation can be withdrawn, is of one role, and names players that are there', async () => {
    const invite = (more: object) =>
      door.owner.post('/people/invite', {
        name: 'X',
        email: `${newId()}@van.example`,
        role: 'caddie',
        ...more,
      });
    await invite({ role: 'admin' }).expect(400);
    await invite({ role: 'player' }).expect(400);
    await invite({ role: 'rep', playerIds: [davor] }).expect(400);
    await invite({ playerIds: [newId()] }).expect(400);
    const { body: link } = await invite({ playerIds: [davor] }).expect(200);
    const { body: people } = await door.owner.get('/people').expect(200);
    const [invitation] = (people as PeopleView).invitations;
    await door.owner.post('/people/withdraw', { id: invitation!.id }).expect(200);
    await door
      .browser()
      .post('/links/look', { key: keyOf(link.url) })
      .expect(404);
  });

  it('keep at least one owner', async () => {
    const { body } = await door.owner.get('/signed-in');
    const { personId } = body as SignedInView;
    await door.owner.post('/people/change', { personId, role: 'rep' }).expect(422);
    await door.owner.post('/people/remove', { personId }).expect(422);
    expect((await door.owner.get('/signed-in')).body.role).toBe('owner');
  });

  it('belong to several workspaces and go from one to the other', async () => {
    const { browser: here, email } = await door.invited('rep');
    const own = await here.enter('/workspaces', { name: 'A van of my own' });
    expect(own.role).toBe('owner');
    expect((await here.get('/players').expect(200)).body.total).toBe(0);
    const back = await here.enter('/workspaces/enter', { workspaceId: door.workspaceId });
    expect(back.workspaces.map(({ name }) => name)).toEqual(['Test van', 'A van of my own']);
    expect((await here.get('/players').expect(200)).body.total).toBeGreaterThan(0);
    await here.post('/workspaces/enter', { workspaceId: newId() }).expect(404);
    // A page that is still open on the other workspace writes nothing into this one.
    const player = { id: newId(), name: 'Stray', hand: 'right', distanceUnit: 'm' };
    here.csrf = own.csrf;
    const stray = await here.post('/changes', { id: newId(), commands: [{ do: 'addPlayer', player }] });
    expect([stray.status, stray.body.error]).toEqual([403, 'page-too-old']);
    here.csrf = back.csrf;

    const another = await signInServer();
    const { body: link } = await another.owner
      .post('/people/invite', { name: 'Same', email, role: 'caddie' })
      .expect(200);
    const key = keyOf(link.url);
    expect((await here.post('/links/look', { key }).expect(200)).body.known).toBe(true);
    // Whoever has the link but no password of theirs does not become them.
    await door.browser().post('/links/use', { key, name: 'Other', password: PASSWORD }).expect(409);
    const joined = await here.enter('/links/join', { key });
    expect(joined).toMatchObject({ role: 'caddie', workspace: { id: another.workspaceId } });
    await another.close();
  });
});

describe('the audit log', () => {
  it('is read by owners, of sign-ins, roles, invitations and refusals', async () => {
    const { email, personId } = await door.invited('assistant');
    await door.browser('203.0.113.77').post('/sign-in', { email, password: 'wrong' }).expect(401);
    await door.owner.post('/people/change', { personId, role: 'rep' }).expect(200);
    const { body } = await door.owner.get('/audit?limit=20').expect(200);
    const said = (body.rows as { what: string; detail: string; address: string }[]).map(
      ({ what, detail, address }) => `${what}: ${detail} ${address}`,
    );
    expect(said).toContainEqual(expect.stringContaining(`invited: The assistant <${email}> as assistant`));
    expect(said).toContainEqual(expect.stringContaining('role changed: The assistant: assistant to rep'));
    expect(said).toContainEqual(`sign-in refused: password for ${email} 203.0.113.77`);
    expect(said).toContainEqual(expect.stringContaining('joined: as assistant'));
  });

  it('cannot be changed or taken away by the application, nor tables be altered', async () => {
    const run = (sql: string) =>
      asAsker(door.orm, { workspaceId: door.workspaceId }, (em) => em.execute(sql));
    await expect(run(`update audit_entry set what = 'nothing'`)).rejects.toThrow(/permission denied/);
    await expect(run('delete from audit_entry')).rejects.toThrow(/permission denied/);
    await expect(run('alter table player disable row level security')).rejects.toThrow(/must be owner/);
    await expect(run('drop table club')).rejects.toThrow(/must be owner/);
    await expect(run('create table mine (a int)')).rejects.toThrow(/permission denied/);
  });
});

describe('row-level security', () => {
  it('holds for workspaces, people and their keys', async () => {
    const count = async (asker: Parameters<typeof asAsker>[1], table: string) =>
      asAsker(door.orm, asker, async (em) => {
        const [row] = await em.execute<{ n: number }[]>(`select count(*)::int as n from ${table}`);
        return row!.n;
      });
    for (const table of [
      'workspace',
      'person',
      'membership',
      'one_time_link',
      'share',
      'access_token',
      'audit_entry',
    ])
      expect([table, await count({}, table)]).toEqual([table, 0]);
    expect(await count({ workspaceId: door.workspaceId }, 'workspace')).toBe(1);
    expect(await count({ key: door.ownerEmail }, 'person')).toBe(1);
  });

  it('holds for every table that hangs on a player, for a person who sees some players only', async () => {
    const tables = await asTableOwner(inject('ownerUrl'), (owner) =>
      owner.em.fork().execute<{ name: string; ofPlayers: boolean }[]>(
        `select c.relname as name, exists (select 1 from pg_policy where polrelid = c.oid and polname = 'own_players') as "ofPlayers"
           from pg_class c where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace
             and exists (select 1 from pg_attribute where attrelid = c.oid and attname = 'player_id' and not attisdropped)`,
      ),
    );
    // A share is found by whoever holds its key; its routes look at the player first.
    expect(tables.filter(({ ofPlayers }) => !ofPlayers).map(({ name }) => name)).toEqual(['share']);
  });

  it('every table of a workspace has it', async () => {
    const open = await asTableOwner(inject('ownerUrl'), (owner) =>
      owner.em
        .fork()
        .execute<{ name: string }[]>(
          `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace and not relrowsecurity order by 1`,
        ),
    );
    expect(open.map(({ name }) => name)).toEqual(
      ['counted_try', 'mikro_orm_migrations', 'place', 'server_secret', 'signed_in'].filter((name) =>
        open.some((one) => one.name === name),
      ),
    );
    expect(ROLES).toHaveLength(5);
  });
});
