import { MAX_ROUNDS_A_PLAYER, type RoundPlayedDetails } from '@tasche/contract';
import type { ChangeRecorder } from '../changes/change-recorder.js';
import { assertNoConflict } from '../changes/changes-since.js';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { RoundPlayed } from './round-played.js';

type RoundCommand = 'addRoundPlayed' | 'editRoundPlayed' | 'removeRoundPlayed';

export const roundPlayedCommands: Handlers<RoundCommand> = {
  async addRoundPlayed({ round }, { recorder }) {
    const player = await recorder.load('player', round.playerId);
    if (!player) throw notFound('player');
    const count = await recorder.em.count(RoundPlayed, { playerId: round.playerId, removedAt: null });
    if (count + recorder.created('roundPlayed') >= MAX_ROUNDS_A_PLAYER)
      throw ruleBroken(
        `${player.name} has ${MAX_ROUNDS_A_PLAYER} rounds recorded, the limit. Delete old ones.`,
      );
    if (await recorder.load('roundPlayed', round.id))
      throw badInput('round.id: there is one of that id already');
    await requireNamed(recorder, round, round.playerId);
    recorder.create('roundPlayed', round);
    return { playerId: round.playerId, summary: `Round of ${round.playedOn} added` };
  },

  async editRoundPlayed({ roundId, version, set }, { recorder }) {
    const round = await standing(recorder, roundId);
    await assertNoConflict(
      recorder,
      'roundPlayed',
      round,
      version,
      Object.entries(set).map(([field, yours]) => ({ field, yours: yours as unknown, column: field })),
    );
    await requireNamed(recorder, set, round.playerId);
    recorder.edit('roundPlayed', round, set);
    return { playerId: round.playerId, summary: `Round of ${round.playedOn} changed` };
  },

  async removeRoundPlayed({ roundId, version }, { recorder }) {
    const round = await standing(recorder, roundId);
    requireVersion(round, version, 'the round', []);
    recorder.edit('roundPlayed', round, { removedAt: new Date() });
    return { playerId: round.playerId, summary: `Round of ${round.playedOn} deleted` };
  },
};

async function standing(recorder: ChangeRecorder, id: string): Promise<RoundPlayed> {
  const round = await recorder.load('roundPlayed', id);
  if (!round || round.removedAt) throw notFound('round');
  return round;
}

/** The course and the bag it names are here, and the bag is the player's. */
async function requireNamed(
  recorder: ChangeRecorder,
  { courseId, bagId }: Partial<Pick<RoundPlayedDetails, 'courseId' | 'bagId'>>,
  playerId: string,
): Promise<void> {
  const course = courseId ? await recorder.load('course', courseId) : undefined;
  if (courseId && (!course || course.removedAt))
    throw badInput('The course of the round is not here.', [{ field: 'courseId', message: 'is not here' }]);
  const bag = bagId ? await recorder.load('bag', bagId) : undefined;
  if (bagId && bag?.playerId !== playerId)
    throw badInput('The bag of the round is not one of the player’s.', [
      { field: 'bagId', message: 'is not one of the player’s' },
    ]);
}
