import { MAX_ROUNDS_A_PLAYER, type Command, type RoundPlayedDetails } from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { workbench, type Workbench } from './workbench.js';

describe('rounds outside any event', () => {
  let bench: Workbench;
  let playerId: string;
  let seven: string;
  let gamer: string;
  const round = (more: Partial<RoundPlayedDetails> = {}): Extract<Command, { do: 'addRoundPlayed' }> => ({
    do: 'addRoundPlayed',
    round: {
      id: newId(),
      playerId,
      playedOn: '2026-11-21',
      name: 'Medal',
      courseId: null,
      bagId: gamer,
      after: {
        hits: { [seven]: 3 },
        says: 'windy',
        keep: '',
        shots: [{ clubId: seven, distanceM: 140, lie: 'light rough', hole: 4 }],
      },
      ...more,
    },
  });
  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
    seven = await bench.club(playerId, '7 iron');
    gamer = await bench.bag(playerId, 'Gamer', [seven]);
  });

  it('are kept with the player, changed, deleted, and each of it is taken back', async () => {
    const add = round();
    const { id, playerId: _player, ...details } = add.round;
    await bench.done([add]);
    const kept = async () => (await bench.sheet(playerId)).roundsPlayed;
    expect(await kept()).toEqual([{ ...details, id, playerId, version: 1, removed: false }]);
    const edited = await bench.done([
      { do: 'editRoundPlayed', roundId: id, version: 1, set: { name: 'Cup', bagId: null } },
    ]);
    expect(edited.roundsPlayed).toMatchObject([{ id, name: 'Cup', bagId: null, version: 2 }]);
    await bench.undo(edited.change.id).expect(200);
    expect(await kept()).toMatchObject([{ name: 'Medal', bagId: gamer }]);
    const gone = await bench.done([{ do: 'removeRoundPlayed', roundId: id, version: 3 }]);
    expect(await kept()).toEqual([]);
    await bench.undo(gone.change.id).expect(200);
    expect(await kept()).toHaveLength(1);
  });

  it('says whose change it is where two write the same, and lets both stand where they do not', async () => {
    const add = round();
    await bench.done([add]);
    const set = (more: object) =>
      bench.change([{ do: 'editRoundPlayed', roundId: add.round.id, version: 1, set: more }]);
    await set({ name: 'Cup' }).expect(200);
    await set({ playedOn: '2026-11-20' }).expect(200);
    const { body } = await set({ name: 'Shield' }).expect(409);
    expect(JSON.stringify(body)).toContain('Cup');
  });

  it('refuses what is not there, by its field, and what is another workspace’s', async () => {
    const refused = async (more: Partial<RoundPlayedDetails>) =>
      JSON.stringify((await bench.change([round(more)]).expect(400)).body);
    expect(await refused({ courseId: newId() })).toContain('The course of the round is not here');
    expect(await refused({ bagId: newId() })).toContain('The bag of the round is not one of the player');
    expect(await refused({ playedOn: '2026-02-30' })).toContain('playedOn');
    expect(await refused({ after: { hits: { [seven]: -1 }, says: '', keep: '' } })).toContain('hits');
    const other = await workbench();
    await other.change([round()]).expect(404);
  });

  it('has a limit that says what to do', async () => {
    const { roundsPlayed } = await bench.sheet(playerId);
    const many = Array.from({ length: MAX_ROUNDS_A_PLAYER - roundsPlayed.length }, () => round());
    await bench.done(many);
    const { body } = await bench.change([round()]).expect(422);
    expect(JSON.stringify(body)).toContain('rounds recorded, the limit. Delete old ones.');
  });
});
