import { randomUUID } from 'node:crypto';
import type { Page, Problem, RosterEntry } from '@tasche/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Browser } from './sign-in-server.js';
import { DAVOR, twoWorkspaces, type TwoWorkspaces } from './two-workspaces.js';
import { everything, sheetOf, withoutIds } from './whole-player.js';

/** She plans for an event. */
const MAREN = '7a5c4e00-0002-4000-8000-000000000000';
let server: TwoWorkspaces;
let rep: Browser;
let other: Browser;
beforeAll(async () => {
  server = await twoWorkspaces();
  ({ rep, other } = server);
});
afterAll(() => server?.close());

const takenOut = async (by: Browser, playerId: string) =>
  ((await by.get(`/players/${playerId}/player.jsonl`).expect(200)).body as Buffer).toString('utf8');
const sent = (file: string, changeId: string = randomUUID()) =>
  other.send(`/players/from-file?changeId=${changeId}`, file);
const broughtIn = async (file: string) =>
  ((await sent(file).expect(200)).body as { playerId: string }).playerId;
const rosterOf = async (by: Browser) =>
  ((await by.get('/players').expect(200)).body as Page<RosterEntry>).rows;
type Line = Record<string, unknown> & { row?: string };
const linesOf = (file: string) =>
  file
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Line);
const fileOf = (lines: readonly Line[]) => lines.map((line) => `${JSON.stringify(line)}\n`).join('');

describe('a player exported as a file and imported elsewhere', () => {
  it('is there with everything, each of the demo', async () => {
    const players = (await rosterOf(rep)).map(({ player }) => player);
    expect(players.length).toBeGreaterThan(3);
    for (const { id, name } of players) {
      const copy = await broughtIn(await takenOut(rep, id));
      const [there, here] = [await everything(other, copy), await everything(rep, id)];
      for (const part of Object.keys(here))
        expect(withoutIds(there[part]), `${name}: ${part}`).toEqual(withoutIds(here[part]));
    }
    const { rows } = (await other.get('/audit').expect(200)).body as Page<{ what: string; about: string }>;
    expect(JSON.stringify(rows)).toContain('Davor Kolar, from a file');
    expect(JSON.stringify((await rep.get('/audit').expect(200)).body)).toContain('player.jsonl');
  });

  it('and exported from there, it is the same file, except for ids and the note that it was imported', async () => {
    const first = await takenOut(rep, DAVOR);
    const copy = await broughtIn(first);
    const plain = (file: string) =>
      linesOf(file)
        .filter((line) => !/brought in from a file/.test(String(line.summary)))
        .map(({ takenOutAt: _at, rows: _rows, ...line }) => line)
        // Rows of one moment have no order but their ids.
        .map((line) => JSON.stringify(withoutIds(line)))
        .sort();
    expect(plain(await takenOut(other, copy))).toEqual(plain(first));
  });

  it('goes on: what was done before is taken back there', async () => {
    const copy = await broughtIn(await takenOut(rep, DAVOR));
    const { rows } = (await other.get(`/players/${copy}/changes?limit=200`).expect(200)).body as Page<{
      id: string;
      undone: boolean;
      summary: string;
    }>;
    const old = rows.find(({ undone, summary }) => !undone && !/brought in|Davor Kolar/.test(summary))!;
    const before = await sheetOf(rep, DAVOR);
    await other.post(`/changes/${old.id}/undo`, { id: randomUUID() }).expect(200);
    expect(await sheetOf(rep, DAVOR)).toEqual(before);
  });

  it('sent twice under one id it is there once; under the id of another change it is refused', async () => {
    const file = await takenOut(rep, DAVOR);
    const id = randomUUID();
    const [first, second] = [await sent(file, id).expect(200), await sent(file, id).expect(200)];
    expect(second.body).toEqual(first.body);
    const { playerId } = first.body as { playerId: string };
    const sheet = await sheetOf(other, playerId);
    expect((await rosterOf(other)).filter(({ player }) => player.id === playerId)).toHaveLength(1);
    expect(sheet.lastChange!.id).toBe(id);
    const set = { notes: 'by hand' };
    const edit = { do: 'editPlayer', playerId, version: sheet.player.version, set };
    const known = randomUUID();
    await other.post('/changes', { id: known, commands: [edit] }).expect(200);
    const { body } = await sent(file, known).expect(400);
    expect((body as Problem).fields![0]!.field).toBe('changeId');
  });

  it('is not there for the owner of another workspace', async () => {
    await other.get(`/players/${DAVOR}/player.jsonl`).expect(404);
  });
});

describe('a file that is not a player, or not a complete one', () => {
  let lines: Line[];
  beforeAll(async () => {
    lines = linesOf(await takenOut(rep, MAREN));
  });

  /** The file with one row of a kind changed. */
  const withRow = (row: string, change: object, where: (line: Line) => boolean = () => true) => {
    const at = lines.findIndex((line) => line.row === row && where(line));
    expect(at, `a row of ${row}`).toBeGreaterThan(0);
    return { at: at + 1, file: fileOf(lines.with(at, { ...lines[at], ...change })) };
  };
  const refused = async (file: string) => {
    const before = await rosterOf(other);
    const { body } = await sent(file).expect(400);
    expect(await rosterOf(other)).toEqual(before);
    return body as Problem;
  };

  it.each([
    ['', 1, 'the file is empty'],
    ['club,loft\n7 iron,31\n', 1, 'this is not a player’s file'],
    ['{"format":"tasche-locker","version":1}', 1, 'this is not a player’s file'],
    ['[1,2]', 1, 'this is not a player’s file'],
    ['{"format":"tasche-player","version":2}', 1, 'read by that one'],
    [`${'['.repeat(5000)}`, 1, 'this is not a player’s file'],
  ])('%j: line %i, %s', async (file, line, says) => {
    const { message, fields } = await refused(file);
    expect(message).toContain(says);
    expect(message).toContain('Nothing was imported.');
    expect(fields![0]!.field).toMatch(new RegExp(`^line ${line}`));
  });

  it.each<[string, object, string, string]>([
    ['club', { kind: 'cannon' }, 'club.kind', 'kind'],
    ['club', { name: '' }, 'club.name', 'must not be empty'],
    ['club', { workspaceId: randomUUID() }, 'club', 'unknown field: workspaceId'],
    ['reading', { key: 'loftSetDeg', value: 400 }, 'reading.value', 'between'],
    ['reading', { clubId: randomUUID() }, 'reading.clubId', 'names a row (club) that is not in the file'],
    ['strike', { carryM: 9000 }, 'strike.carryM', 'between'],
    ['strike', { hitAt: 'noon' }, 'strike.hitAt', 'must be a moment'],
    ['plan', { startsOn: '2026-02-30' }, 'plan.startsOn', 'must be a date'],
    ['change', { diffs: [{ of: 'course', id: randomUUID() }] }, 'change.diffs[0].of', 'one of'],
    [
      'change',
      { diffs: [{ of: 'player', id: randomUUID(), before: null, after: {} }] },
      'change.diffs[0].id',
      'names a row (player) that is not in the file',
    ],
    [
      'change',
      { diffs: [{ of: 'bag', id: randomUUID(), before: { workspaceId: 'x' }, after: {} }] },
      'change.diffs[0].before',
      'unknown field: workspaceId',
    ],
    ['bag', { id: MAREN }, 'bag.id', 'in the file already'],
    ['session', { row: 'invoice' }, 'row', 'row must be one of'],
    ['plan', { startsOn: '2026-12-02', endsOn: '2026-12-01' }, 'plan', 'ends before it starts'],
    ['event', { rounds: [] }, 'event.rounds', 'at least one round'],
  ])('a row of %s with %j is refused at %s: %s', async (row, change, field, says) => {
    const { at, file } = withRow(row, change);
    const { message, fields } = await refused(file);
    expect(fields![0]!.field).toBe(`line ${at}, ${field}`);
    expect(message).toContain(says);
  });

  it('two gamers, a club twice in a bag, a ball twice in a session, rows that are missing', async () => {
    const extra = (line: Line) => {
      const head = lines[0] as unknown as { rows: Record<string, number> };
      const rows = { ...head.rows, [line.row!]: head.rows[line.row!]! + 1 };
      return fileOf([{ ...head, rows }, ...lines.slice(1), line]);
    };
    const of = (row: string, where: (line: Line) => boolean = () => true) =>
      lines.find((line) => line.row === row && where(line))!;
    const gamer = of('bag', ({ gamer: is }) => is === true);
    expect((await refused(extra({ ...gamer, id: randomUUID() }))).message).toContain('two gamer bags');
    expect((await refused(extra(of('bagClub')))).message).toContain('one club twice in a bag');
    const ball = { ...of('strike'), id: randomUUID(), deviceKey: 'monitor 1' };
    const once = withRow('strike', { deviceKey: 'monitor 1' }).file;
    const [head, ...rest] = linesOf(once);
    const rows = head!.rows as Record<string, number>;
    const twice = fileOf([{ ...head, rows: { ...rows, strike: rows.strike! + 1 } }, ...rest, ball]);
    expect((await refused(twice)).message).toContain('one ball twice in a session');
    const cut = await refused(fileOf(lines.slice(0, -1)));
    expect(cut.message).toMatch(/did not come whole/);
    const halved = fileOf(lines).slice(0, -20);
    expect((await refused(halved)).message).toMatch(/not JSON/);
    expect((await refused(fileOf([...lines, lines.find(({ row }) => row === 'player')!]))).message).toMatch(
      /in the file already/,
    );
  });
});
