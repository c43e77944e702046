import type { StrikesView } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY, type Shot, type ShotKind } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { carry, workbench, type Workbench } from './workbench.js';

const ON = '2026-10-01';
let bench: Workbench;
let playerId: string;
beforeAll(async () => {
  bench = await workbench();
  playerId = await bench.player();
});

const clubOf = async (clubId: string) => (await bench.sheet(playerId)).clubs.find(({ id }) => id === clubId)!;
const own = (kind: ShotKind, value: Shot | null = { carryM: 140, source: 'stated' }) => ({
  key: `shot.${kind}` as const,
  value,
  takenOn: ON,
});
const write = async (clubId: string, readings: ReturnType<typeof own>[]) =>
  bench.change([{ do: 'editClub', clubId, version: (await clubOf(clubId)).version, readings }]);

describe('a shot of a player’s own', () => {
  it('is kept with its shape, said in the history by its name, undone, and goes out and in with the player', async () => {
    const clubId = await bench.club(playerId, '7 iron', [carry(157)]);
    const shot: Shot = { carryM: 141, source: 'stated', startDeg: -2, curveM: 5.5 };
    const { body } = await write(clubId, [own('choked: into the wind', shot)]);
    const change = (body as { change: { id: string; summary: string } }).change;
    expect(change.summary).toContain('choked, into the wind carry 154.2 yd, stated');
    expect((await clubOf(clubId)).spec['shot.choked: into the wind']!.value).toEqual(shot);

    const file = (await bench.http.get(`/api/players/${playerId}/player.jsonl`).expect(200)).body as Buffer;
    const copied = await bench.http
      .post(`/api/players/from-file?changeId=${newId()}`)
      .set('content-type', 'application/octet-stream')
      .send(file)
      .expect(200);
    const copy = await bench.sheet((copied.body as { playerId: string }).playerId);
    expect(copy.clubs[0]!.spec['shot.choked: into the wind']!.value).toEqual(shot);

    await bench.undo(change.id).expect(200);
    expect((await clubOf(clubId)).spec['shot.choked: into the wind']).toBeUndefined();
  });

  it('is one of six with a club at most; one may be changed, or go for another', async () => {
    const clubId = await bench.club(playerId, '8 iron', [carry(146)]);
    const kinds = Array.from({ length: 6 }, (_one, i): ShotKind => `half: number ${i}`);
    expect(
      (
        await write(
          clubId,
          kinds.map((kind) => own(kind)),
        )
      ).status,
    ).toBe(200);
    const refused = await write(clubId, [own('half: one more')]);
    expect(refused.status).toBe(422);
    expect((refused.body as { message: string }).message).toContain("has 6 shots of the player's own");
    expect((await write(clubId, [own(kinds[0]!, { carryM: 99, source: 'stated' })])).status).toBe(200);
    expect((await write(clubId, [own(kinds[0]!, null), own('half: one more')])).status).toBe(200);
    expect(Object.keys((await clubOf(clubId)).spec).filter((key) => key.includes(': '))).toHaveLength(6);
  });

  it('is what balls of a session may be meant as', async () => {
    const clubId = await bench.club(playerId, '9 iron', [carry(135)]);
    const sessionId = newId();
    await bench.done([
      {
        do: 'addSession',
        session: {
          id: sessionId,
          playerId,
          name: 'Barn',
          heldOn: ON,
          conditions: BASELINE,
          surface: MEDIUM_FAIRWAY,
          hitOff: 'grass',
          ball: '',
          notes: '',
        },
      },
      {
        do: 'addStrikes',
        sessionId,
        strikes: [{ id: newId(), clubId, shot: 'full: cut', given: { carryM: 131 } }],
      },
    ]);
    const { strikes } = (
      await bench.http.get(`/api/players/${playerId}/strikes?session=${sessionId}`).expect(200)
    ).body as StrikesView;
    expect(strikes.map(({ shot }) => shot)).toEqual(['full: cut']);
  });
});
