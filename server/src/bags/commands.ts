import { counted, DEFAULT_GAP_SETTINGS, clubsTooMany, gappingStrategyOf } from '@tasche/core';
import { MAX_BAGS_A_PLAYER, type Command } from '@tasche/contract';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import type { ChangeRecorder } from '../changes/change-recorder.js';
import type { Club } from '../clubs/club.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { Bag, BagClub } from './bag.js';

/** "renamed": what an edit of a bag did. */
function editWords({ ready, name, strategy }: Extract<Command, { do: 'editBag' }>['set']): string {
  if (ready !== undefined) return ready ? 'marked ready' : 'back to work';
  if (strategy !== undefined) return `spaced by ${gappingStrategyOf(strategy).name.toLowerCase()}`;
  return name === undefined ? 'note changed' : 'renamed';
}

export const bagCommands: Handlers<'addBag' | 'editBag' | 'removeBag' | 'putIn' | 'takeOut' | 'makeGamer'> = {
  async addBag({ bag, clubIds }, { recorder }) {
    const player = await recorder.load('player', bag.playerId);
    if (!player) throw notFound('player');
    if (await recorder.load('bag', bag.id)) throw badInput('bag.id: a bag with that id exists already');
    if (
      (await recorder.em.count(Bag, { playerId: bag.playerId, planId: null, removedAt: null })) +
        recorder.created('bag') >=
      MAX_BAGS_A_PLAYER
    ) {
      throw ruleBroken(
        `${player.name} has ${MAX_BAGS_A_PLAYER} bags, the limit. Delete one that is no longer used.`,
      );
    }
    const first =
      (await recorder.em.count(Bag, { playerId: bag.playerId, removedAt: null })) === 0 &&
      recorder.created('bag') === 0;
    const row = recorder.create('bag', {
      strategy: 'even-carries',
      ...bag,
      planId: null,
      note: '',
      ready: false,
      gamer: first,
    });
    await fill(recorder, row, clubIds);
    return { playerId: bag.playerId, summary: `${bag.name} made, ${counted(clubIds.length, 'club')}` };
  },

  async editBag({ bagId, version, set }, { recorder }) {
    const bag = await loadBag(recorder, bagId);
    requireVersion(
      bag,
      version,
      bag.name,
      Object.entries(set).map(([field, yours]) => ({ field, yours, theirs: bag[field as 'name'] })),
    );
    recorder.edit('bag', bag, set);
    return { playerId: bag.playerId, summary: `${bag.name} ${editWords(set)}` };
  },

  async removeBag({ bagId, version }, { recorder }) {
    const bag = await loadBag(recorder, bagId);
    requireVersion(bag, version, bag.name, []);
    if (bag.gamer) throw ruleBroken(`${bag.name} is the gamer. Make another bag the gamer first.`);
    if (bag.planId) throw ruleBroken(`${bag.name} belongs to a plan. Delete the plan instead.`);
    recorder.edit('bag', bag, { removedAt: new Date() });
    return { playerId: bag.playerId, summary: `${bag.name} deleted` };
  },

  async putIn({ bagId, clubId }, { recorder }) {
    const bag = await loadOwnBag(recorder, bagId);
    const club = await loadClubFor(recorder, bag, clubId);
    const clubIds = await recorder.clubIdsOf(bag);
    if (clubIds.includes(clubId))
      throw ruleBroken(`${club.name} is in ${bag.name} already; a club is in a bag once.`);
    await recorder.setBagClubs(bag, [...clubIds, clubId]);
    return { playerId: bag.playerId, summary: `${club.name} into ${bag.name}` };
  },

  async takeOut({ bagId, clubId }, { recorder }) {
    const bag = await loadOwnBag(recorder, bagId);
    const club = await loadClubFor(recorder, bag, clubId);
    const clubIds = await recorder.clubIdsOf(bag);
    if (!clubIds.includes(clubId)) throw ruleBroken(`${club.name} is not in ${bag.name}.`);
    await recorder.setBagClubs(
      bag,
      clubIds.filter((id) => id !== clubId),
    );
    return { playerId: bag.playerId, summary: `${club.name} out of ${bag.name}` };
  },

  async makeGamer({ bagId }, { recorder }) {
    const bag = await loadBag(recorder, bagId);
    if (bag.gamer) throw ruleBroken(`${bag.name} is the gamer already.`);
    const standing = await recorder.em.findOne(Bag, { playerId: bag.playerId, gamer: true, removedAt: null });
    if (standing) {
      const old = (await recorder.load('bag', standing.id))!;
      recorder.edit('bag', old, { gamer: false });
      // One gamer at a time: the database refuses two, even for a moment.
      await recorder.em.flush();
    }
    recorder.edit('bag', bag, { gamer: true });
    return { playerId: bag.playerId, summary: `${bag.name} is now the gamer` };
  },
};

/** Fills a new bag. */
export async function fill(recorder: ChangeRecorder, bag: Bag, clubIds: readonly string[]): Promise<void> {
  if (new Set(clubIds).size !== clubIds.length)
    throw ruleBroken(`One club is in ${bag.name} twice; a club is in a bag once.`);
  for (const clubId of clubIds) await loadClubFor(recorder, bag, clubId);
  await recorder.setBagClubs(bag, clubIds);
}

/**
 * After a change: a bag that is ready, or the gamer, is within its limit.
 * A bag being worked on may hold more.
 * @throws HttpError 422 saying how many must go
 */
export async function requireWithinLimits(recorder: ChangeRecorder): Promise<void> {
  for (const id of recorder.touched.bag) {
    const bag = (await recorder.load('bag', id))!;
    if (bag.removedAt || !(bag.ready || bag.gamer)) continue;
    const player = (await recorder.load('player', bag.playerId))!;
    const limit = player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit;
    const count = (await recorder.clubIdsOf(bag)).length;
    const tooMany = clubsTooMany(count, limit);
    if (tooMany === 0) continue;
    const what = bag.gamer ? 'the gamer' : 'marked ready';
    throw ruleBroken(
      `${bag.name} is ${what} and would hold ${count} clubs, ${limit} allowed: ${tooMany} must go (Rule 4.1b; the committee decides).`,
    );
  }
}

export async function takeOutOfEveryBag(recorder: ChangeRecorder, club: Club): Promise<void> {
  const rows = await recorder.em.find(BagClub, { clubId: club.id }, { limit: 500 });
  for (const { bagId } of rows) {
    const bag = (await recorder.load('bag', bagId))!;
    await recorder.setBagClubs(
      bag,
      (await recorder.clubIdsOf(bag)).filter((id) => id !== club.id),
    );
  }
}

async function loadBag(recorder: ChangeRecorder, bagId: string): Promise<Bag> {
  const bag = await recorder.load('bag', bagId);
  if (!bag || bag.removedAt) throw notFound('bag');
  return bag;
}

async function loadOwnBag(recorder: ChangeRecorder, bagId: string): Promise<Bag> {
  const bag = await loadBag(recorder, bagId);
  if (bag.planId && !bag.gamer)
    throw ruleBroken(`${bag.name} belongs to a plan; its clubs change by the plan's swaps.`);
  return bag;
}

export async function loadClubFor(
  recorder: ChangeRecorder,
  bag: Pick<Bag, 'playerId'>,
  clubId: string,
): Promise<Club> {
  const club = await recorder.load('club', clubId);
  if (!club || club.removedAt || club.playerId !== bag.playerId) throw notFound('club');
  return club;
}
