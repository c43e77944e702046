import { DEFAULT_PREFERENCES } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { carry, workbench, type Workbench } from './workbench.js';

describe('what a player wants of every choice', () => {
  let bench: Workbench;
  let playerId: string;
  let clubId: string;
  const player = async () => (await bench.sheet(playerId)).player;

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
    clubId = await bench.club(playerId, '5 wood', [carry(195)]);
  });

  it('is empty until it is set, is kept with the player, and undone', async () => {
    expect((await player()).preferences).toBeNull();
    const preferences = { ...DEFAULT_PREFERENCES, limit: 11, never: [clubId], comfort: { [clubId]: -0.2 } };
    const { change } = await bench.done([
      { do: 'editPlayer', playerId, version: (await player()).version, set: { preferences } },
    ]);
    expect(change.summary).toContain('what the player wants is saved');
    expect((await player()).preferences).toEqual(preferences);
    await bench.undo(change.id).expect(200);
    expect((await player()).preferences).toBeNull();
  });

  it.each([
    ['a limit of fifteen', { limit: 15 }, 'limit'],
    ['a club that is no id', { never: ['5 wood'] }, 'never'],
    ['a wish nobody knows', { luck: 1 }, 'luck'],
    ['trust beyond measure', { comfort: { [newId()]: 99 } }, 'comfort'],
  ])('refuses %s by name, and keeps what there was', async (_what, preferences, field) => {
    const { version } = await player();
    const { body } = await bench
      .change([{ do: 'editPlayer', playerId, version, set: { preferences: preferences as never } }])
      .expect(400);
    expect(JSON.stringify(body)).toContain(field);
    expect((await player()).preferences).toBeNull();
  });
});
