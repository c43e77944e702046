import { DEFAULT_GAP_SETTINGS, clubsTooMany } from '@tasche/core';
import { MAX_BAGS_A_PLAYER } from '@tasche/contract';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import type { Trail } from '../changes/trail.js';
import type { Club } from '../clubs/club.js';
import { badInput, notFound, ruleBroken } from '../http/refusal.js';
import { Bag, BagClub } from './bag.js';

export const bagCommands: Handlers<'addBag' | 'editBag' | 'removeBag' | 'putIn' | 'takeOut' | 'makeGamer'> = {
  async addBag({ bag, clubIds }, { trail }) {
    const player = await trail.load('player', bag.playerId);
    if (!player) throw notFound('player');
    if (await trail.load('bag', bag.id)) throw badInput('bag.id: a bag of that id exists already');
    if (
      (await trail.em.count(Bag, { playerId: bag.playerId, planId: null, removedAt: null })) +
        trail.created('bag') >=
      MAX_BAGS_A_PLAYER
    ) {
      throw ruleBroken(
        `${player.name} has ${MAX_BAGS_A_PLAYER} bags, the limit. Delete one that is no longer used.`,
      );
    }
    const first =
      (await trail.em.count(Bag, { playerId: bag.playerId, removedAt: null })) === 0 &&
      trail.created('bag') === 0;
    const row = trail.create('bag', { ...bag, planId: null, note: '', ready: false, gamer: first });
    await fill(trail, row, clubIds);
    return { playerId: bag.playerId, summary: `${bag.name} made, ${clubIds.length} clubs` };
  },

  async editBag({ bagId, version, set }, { trail }) {
    const bag = await loadBag(trail, bagId);
    requireVersion(
      bag,
      version,
      bag.name,
      Object.entries(set).map(([field, yours]) => ({ field, yours, theirs: bag[field as 'name'] })),
    );
    trail.edit('bag', bag, set);
    const what =
      set.ready === undefined
        ? set.name === undefined
          ? 'note changed'
          : 'renamed'
        : set.ready
          ? 'marked ready'
          : 'back to work';
    return { playerId: bag.playerId, summary: `${bag.name} ${what}` };
  },

  async removeBag({ bagId, version }, { trail }) {
    const bag = await loadBag(trail, bagId);
    requireVersion(bag, version, bag.name, []);
    if (bag.gamer) throw ruleBroken(`${bag.name} is the gamer. Make another bag the gamer first.`);
    if (bag.planId) throw ruleBroken(`${bag.name} belongs to a plan. Delete the plan instead.`);
    trail.edit('bag', bag, { removedAt: new Date() });
    return { playerId: bag.playerId, summary: `${bag.name} deleted` };
  },

  async putIn({ bagId, clubId }, { trail }) {
    const bag = await loadOwnBag(trail, bagId);
    const club = await loadClubFor(trail, bag, clubId);
    const clubIds = await trail.clubIdsOf(bag);
    if (clubIds.includes(clubId))
      throw ruleBroken(`${club.name} is in ${bag.name} already; a club is in a bag once.`);
    await trail.setBagClubs(bag, [...clubIds, clubId]);
    return { playerId: bag.playerId, summary: `${club.name} into ${bag.name}` };
  },

  async takeOut({ bagId, clubId }, { trail }) {
    const bag = await loadOwnBag(trail, bagId);
    const club = await loadClubFor(trail, bag, clubId);
    const clubIds = await trail.clubIdsOf(bag);
    if (!clubIds.includes(clubId)) throw ruleBroken(`${club.name} is not in ${bag.name}.`);
    await trail.setBagClubs(
      bag,
      clubIds.filter((id) => id !== clubId),
    );
    return { playerId: bag.playerId, summary: `${club.name} out of ${bag.name}` };
  },

  async makeGamer({ bagId }, { trail }) {
    const bag = await loadBag(trail, bagId);
    if (bag.gamer) throw ruleBroken(`${bag.name} is the gamer already.`);
    const standing = await trail.em.findOne(Bag, { playerId: bag.playerId, gamer: true, removedAt: null });
    if (standing) {
      const old = (await trail.load('bag', standing.id))!;
      trail.edit('bag', old, { gamer: false });
      // One gamer at a time: the database refuses two, even for a moment.
      await trail.em.flush();
    }
    trail.edit('bag', bag, { gamer: true });
    return { playerId: bag.playerId, summary: `${bag.name} is now the gamer` };
  },
};

/** Fills a new bag. */
export async function fill(trail: Trail, bag: Bag, clubIds: readonly string[]): Promise<void> {
  if (new Set(clubIds).size !== clubIds.length)
    throw ruleBroken(`One club stands in ${bag.name} twice; a club is in a bag once.`);
  for (const clubId of clubIds) await loadClubFor(trail, bag, clubId);
  await trail.setBagClubs(bag, clubIds);
}

/**
 * After a change: a bag that is ready, or the gamer, is within its limit.
 * A bag being worked on may hold more.
 * @throws Refusal 422 saying how many must go
 */
export async function requireWithinLimits(trail: Trail): Promise<void> {
  for (const id of trail.touched.bag) {
    const bag = (await trail.load('bag', id))!;
    if (bag.removedAt || !(bag.ready || bag.gamer)) continue;
    const player = (await trail.load('player', bag.playerId))!;
    const limit = player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit;
    const count = (await trail.clubIdsOf(bag)).length;
    const tooMany = clubsTooMany(count, limit);
    if (tooMany === 0) continue;
    const what = bag.gamer ? 'the gamer' : 'marked ready';
    throw ruleBroken(
      `${bag.name} is ${what} and would hold ${count} clubs, ${limit} allowed: ${tooMany} must go (Rule 4.1b; the committee decides).`,
    );
  }
}

export async function takeOutOfEveryBag(trail: Trail, club: Club): Promise<void> {
  const rows = await trail.em.find(BagClub, { clubId: club.id }, { limit: 500 });
  for (const { bagId } of rows) {
    const bag = (await trail.load('bag', bagId))!;
    await trail.setBagClubs(
      bag,
      (await trail.clubIdsOf(bag)).filter((id) => id !== club.id),
    );
  }
}

async function loadBag(trail: Trail, bagId: string): Promise<Bag> {
  const bag = await trail.load('bag', bagId);
  if (!bag || bag.removedAt) throw notFound('bag');
  return bag;
}

async function loadOwnBag(trail: Trail, bagId: string): Promise<Bag> {
  const bag = await loadBag(trail, bagId);
  if (bag.planId && !bag.gamer)
    throw ruleBroken(`${bag.name} belongs to a plan; its clubs change by the plan's swaps.`);
  return bag;
}

export async function loadClubFor(trail: Trail, bag: Pick<Bag, 'playerId'>, clubId: string): Promise<Club> {
  const club = await trail.load('club', clubId);
  if (!club || club.removedAt || club.playerId !== bag.playerId) throw notFound('club');
  return club;
}
