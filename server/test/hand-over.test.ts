import { randomUUID } from 'node:crypto';
import type { EventView, Page, PlanView } from '@tasche/contract';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Browser, PASSWORD, keyOf } from './sign-in-server.js';
import { DAVOR, DEMO, twoWorkspaces, type TwoWorkspaces } from './two-workspaces.js';
import { everything, sheetOf, withoutIds } from './whole-player.js';

const MAREN = '7a5c4e00-0002-4000-8000-000000000000';
let server: TwoWorkspaces;
let rep: Browser;
let other: Browser;

beforeAll(async () => {
  server = await twoWorkspaces();
  ({ rep, other } = server);
});
afterAll(() => server?.close());

const offered = async (playerId: string, how: 'copy' | 'move') =>
  keyOf(
    ((await rep.post(`/players/${playerId}/hand-over`, { how }).expect(200)).body as { url: string }).url,
  );
const taken = async (key: string, by = other) =>
  ((await by.post('/links/take', { key }).expect(200)).body as { playerId: string }).playerId;
describe('a player who is copied to another workspace', () => {
  it('is there with everything: clubs, readings, bags, plans, sessions, shots, and who did what when', async () => {
    const copy = await taken(await offered(DAVOR, 'copy'));
    expect(copy).not.toBe(DAVOR);
    const [there, here] = [await everything(other, copy), await everything(rep, DAVOR)];
    expect(Object.keys(there).sort()).toEqual(Object.keys(here).sort());
    for (const part of Object.keys(here))
      expect(withoutIds(there[part]), part).toEqual(withoutIds(here[part]));
    expect((here.sessions as unknown[]).length).toBeGreaterThan(0);
    expect((here.changes as unknown[]).length).toBeGreaterThan(3);
  });

  it('goes on by themselves: neither workspace sees what the other does, and old changes are taken back', async () => {
    const copy = await taken(await offered(DAVOR, 'copy'));
    const { player, clubs } = await sheetOf(other, copy);
    const edit = {
      id: randomUUID(),
      commands: [{ do: 'editPlayer', playerId: copy, version: player.version, set: { notes: 'new here' } }],
    };
    await other.post('/changes', edit).expect(200);
    expect((await sheetOf(rep, DAVOR)).player.notes).not.toBe('new here');
    await rep.get(`/players/${copy}/sheet`).expect(404);
    await other.get(`/players/${DAVOR}/sheet`).expect(404);
    const [club] = (await sheetOf(rep, DAVOR)).clubs;
    expect((await other.get(`/clubs/${club!.id}/readings`)).body).toMatchObject({ rows: [], total: 0 });

    // What was done before it came is taken back here, and here alone.
    const { rows } = (await other.get(`/players/${copy}/changes?limit=200`).expect(200)).body as Page<{
      id: string;
      undone: boolean;
      summary: string;
    }>;
    const old = rows.find(({ undone, summary }) => !undone && !/taken over|Davor Kolar/.test(summary))!;
    const before = await sheetOf(rep, DAVOR);
    await other.post(`/changes/${old.id}/undo`, { id: randomUUID() }).expect(200);
    expect(await sheetOf(rep, DAVOR)).toEqual(before);
    expect((await sheetOf(other, copy)).clubs.length).toBeGreaterThan(0);
    expect(clubs.length).toBeGreaterThan(10);
  });

  it('brings nothing of others along: of a change made to several players what was done to this one', async () => {
    const PIM = '7a5c4e00-0004-4000-8000-000000000000';
    const [pim, davor] = [(await sheetOf(rep, PIM)).player, (await sheetOf(rep, DAVOR)).player];
    const set = { notes: 'a note' };
    const both = [pim, davor].map(({ id, version }) => ({ do: 'editPlayer', playerId: id, version, set }));
    await rep.post('/changes', { id: randomUUID(), why: 'of Davor and Pim', commands: both }).expect(200);
    const copy = await taken(await offered(PIM, 'copy'));
    expect((await sheetOf(other, copy)).player.notes).toBe('a note');
    const changes = (await other.get(`/players/${copy}/changes?limit=200`).expect(200)).text;
    expect(changes).not.toContain('Davor');
    expect(changes).toContain('Something done to several players');
  });

  it('brings the events of their plans along once, and uses those that are there', async () => {
    const events = async () =>
      ((await other.get('/schedule').expect(200)).body as { events: EventView[] }).events;
    const first = await taken(await offered(MAREN, 'copy'));
    const names = (await events()).map(({ name }) => name);
    const second = await taken(await offered(MAREN, 'copy'));
    expect((await events()).map(({ name }) => name)).toEqual(names);
    const planOf = async (by: Browser, id: string) =>
      ((await by.get(`/players/${id}/plans`).expect(200)).body as Page<PlanView>).rows.find(
        (one) => one.eventId,
      )!;
    const [theirs, again, ours] = [
      await planOf(other, first),
      await planOf(other, second),
      await planOf(rep, MAREN),
    ];
    expect(theirs.eventId).toBe(again.eventId);
    const event = (await events()).find(({ id }) => id === theirs.eventId)!;
    expect(event.rounds.map(({ name, day }) => [name, day])).toHaveLength(event.rounds.length);
    for (const { roundId } of theirs.rounds) expect(event.rounds.map(({ id }) => id)).toContain(roundId);
    expect(theirs.rounds.length).toBe(ours.rounds.length);
  });
});

describe('a player who is handed over for good', () => {
  it('is gone where they were, for good, and there where they went', async () => {
    // One change to clubs of two players: what was done to the other's stays whole, and can be taken back.
    const [theirs, davors] = [(await sheetOf(rep, MAREN)).clubs[0]!, (await sheetOf(rep, DAVOR)).clubs[0]!];
    const shared = randomUUID();
    const commands = [theirs, davors].map(({ id, version }) => ({
      do: 'editClub',
      clubId: id,
      version,
      readings: [{ key: 'serial', value: 'BOTH', takenOn: '2026-11-01' }],
    }));
    await rep.post('/changes', { id: shared, commands }).expect(200);
    const before = await everything(rep, MAREN);
    const key = await offered(MAREN, 'move');
    const there = await taken(key);
    expect(withoutIds((await everything(other, there)).sheet)).toEqual(withoutIds(before.sheet));
    await other.post('/links/take', { key }).expect(404);

    const client = new pg.Client({ connectionString: server.cluster.backupUrl });
    await client.connect();
    const left: Record<string, number> = {};
    for (const table of [
      'club',
      'bag',
      'plan',
      'session',
      'strike',
      'ticket',
      'wish',
      'round_played',
      'change',
    ])
      left[table] = (
        await client.query<{ n: number }>(
          `select count(*)::int as n from "${table}" where player_id = $1 and workspace_id = $2`,
          [MAREN, DEMO],
        )
      ).rows[0]!.n;
    const { rows: told } = await client.query<{ summary: string; images: unknown[] }>(
      'select summary, images from change where player_id = $1',
      [MAREN],
    );
    await client.end();
    // What is left says that, and to whom.
    expect(left).toEqual({
      club: 0,
      bag: 0,
      plan: 0,
      session: 0,
      strike: 0,
      ticket: 0,
      wish: 0,
      round_played: 0,
      change: 1,
    });
    expect(told).toEqual([{ summary: 'Maren Tveit handed over to Fjord van, with everything', images: [] }]);
    const roster = (await rep.get('/players?limit=50').expect(200)).body as Page<{ player: { id: string } }>;
    expect(roster.rows.map(({ player }) => player.id)).not.toContain(MAREN);
    // Nobody else of the roster lost anything.
    for (const { player } of roster.rows)
      expect((await sheetOf(rep, player.id)).clubs.length).toBeGreaterThan(5);
    const serialOf = async () =>
      (await sheetOf(rep, DAVOR)).clubs.find(({ id }) => id === davors.id)!.spec.serial?.value;
    expect(await serialOf()).toBe('BOTH');
    await rep.post(`/changes/${shared}/undo`, { id: randomUUID() }).expect(200);
    expect(await serialOf()).not.toBe('BOTH');
    const audit = (await rep.get('/audit').expect(200)).body as Page<{ what: string; detail: string }>;
    expect(audit.rows.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['player offered', 'player taken']),
    );
  });
});

describe('an offer', () => {
  it('is an owner’s to make and an owner’s to take, once, and never into the same workspace', async () => {
    await rep.post('/links/take', { key: await offered(DAVOR, 'copy') }).expect(409);
    const { body } = await rep
      .post('/people/invite', { name: 'Per', email: 'per@van.example', role: 'rep' })
      .expect(200);
    const per = new Browser((rep as unknown as { app: never }).app);
    await per.enter('/links/use', {
      key: keyOf((body as { url: string }).url),
      name: 'Per',
      password: PASSWORD,
    });
    await per.post(`/players/${DAVOR}/hand-over`, { how: 'copy' }).expect(403);
    await per.post('/links/take', { key: await offered(DAVOR, 'copy') }).expect(403);
    await rep.post(`/players/${DAVOR}/hand-over`, { how: 'all' }).expect(400);
    await rep.post(`/players/${randomUUID()}/hand-over`, { how: 'copy' }).expect(404);
  });

  it('lets nobody in, and can be withdrawn', async () => {
    const key = await offered(DAVOR, 'copy');
    await other
      .post('/links/use', { key, name: 'Eve', email: 'eve@fjord.example', password: PASSWORD })
      .expect(422);
    await other.post('/links/join', { key }).expect(422);
    const { body } = await rep.get('/people').expect(200);
    const open = (body as { invitations: { id: string; purpose: string }[] }).invitations.filter(
      ({ purpose }) => purpose === 'copy',
    );
    for (const { id } of open) await rep.post('/people/withdraw', { id }).expect(200);
    await other.post('/links/take', { key }).expect(404);
  });
});
