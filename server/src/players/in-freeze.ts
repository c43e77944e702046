import { freezesOf, freezeWords } from '@tasche/contract';
import { freezeOn } from '@tasche/core';
import type { ChangeRecorder } from '../changes/change-recorder.js';
import { ruleBroken } from '../http/http-error.js';
import { Bag } from '../bags/bag.js';

/**
 * After a change without a reason: a player who wants nothing new has nothing new in the gamer.
 * @param day YYYY-MM-DD
 * @throws HttpError 422 saying that a reason is needed
 */
export async function requireReasonInFreeze(recorder: ChangeRecorder, day: string): Promise<void> {
  for (const playerId of await playersWithSomethingNew(recorder)) {
    const player = await recorder.load('player', playerId);
    const freeze = player && freezeOn(freezesOf(player.season ?? null, day, day), day);
    if (freeze) throw ruleBroken(`${freezeWords(freeze)} Say why, and it is done.`);
  }
}

async function playersWithSomethingNew(recorder: ChangeRecorder): Promise<Set<string>> {
  const playerIds = new Set<string>();
  for (const diff of recorder.rowDiffs) {
    if (diff.of === 'bag' && diff.before !== null && diff.after.gamer === true) {
      const bag = await recorder.load('bag', diff.id);
      if (bag) playerIds.add(bag.playerId);
    }
    if (diff.of === 'bagClubs' && diff.after.some((id) => !diff.before.includes(id))) {
      const bag = await recorder.load('bag', diff.id);
      // A bag that is made full at once is new itself, and no change of one.
      const isNew = recorder.rowDiffs.some(
        (one) => one.of === 'bag' && one.id === diff.id && one.before === null,
      );
      if (bag?.gamer && !isNew) playerIds.add(bag.playerId);
    }
  }
  for (const clubId of recorder.rebuilt) {
    const club = await recorder.load('club', clubId);
    const gamer =
      club && (await recorder.em.findOne(Bag, { playerId: club.playerId, gamer: true, removedAt: null }));
    if (gamer && (await recorder.clubIdsOf(gamer)).includes(clubId)) playerIds.add(club.playerId);
  }
  return playerIds;
}
