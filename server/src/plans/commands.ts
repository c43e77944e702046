import { MAX_PLANS_A_PLAYER, emptyRound, rebased, type CommandOf, type PlanRound } from '@tasche/contract';
import { counted, SwapError, applySwaps } from '@tasche/core';
import { Bag } from '../bags/bag.js';
import { fill, loadClubFor } from '../bags/commands.js';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { assertNoConflict } from '../changes/changes-since.js';
import type { ChangeRecorder } from '../changes/change-recorder.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { Plan } from './plan.js';

/** What may be recorded of a round. */
const PART_WORDS: Readonly<Record<keyof CommandOf<'editRound'>['set'], string>> = {
  changes: 'needs',
  notes: 'practice notes',
  after: 'notes after it',
};

export const planCommands: Handlers<
  'addPlan' | 'editPlan' | 'setSwaps' | 'rebasePlan' | 'removePlan' | 'editRound' | 'setRoundBag'
> = {
  async addPlan({ plan: { bagId, eventId = null, ...plan } }, { recorder }) {
    const player = await recorder.load('player', plan.playerId);
    if (!player) throw notFound('player');
    if (
      (await recorder.em.count(Plan, { playerId: plan.playerId, removedAt: null })) +
        recorder.created('plan') >=
      MAX_PLANS_A_PLAYER
    ) {
      throw ruleBroken(`${player.name} has ${MAX_PLANS_A_PLAYER} plans, the limit. Delete old ones.`);
    }
    if (await recorder.load('plan', plan.id)) throw badInput('plan.id: a plan with that id exists already');
    if (await recorder.load('bag', bagId)) throw badInput('plan.bagId: a bag with that id exists already');
    if (eventId !== null) {
      const event = await recorder.load('event', eventId);
      if (!event || event.removedAt) throw notFound('event');
    }
    // The gamer may have been made by the same change.
    await recorder.em.flush();
    const gamer = await recorder.em.findOne(Bag, { playerId: plan.playerId, gamer: true, removedAt: null });
    if (!gamer) throw ruleBroken(`${player.name} has no gamer bag to plan from.`);
    const baseClubIds = await recorder.clubIdsOf(gamer);
    const bag = recorder.create('bag', {
      id: bagId,
      playerId: plan.playerId,
      planId: plan.id,
      name: plan.name,
      note: '',
      ready: false,
      gamer: false,
      strategy: gamer.strategy,
    });
    recorder.create('plan', { ...plan, bagId, baseClubIds, swaps: [], choosing: null, eventId, rounds: [] });
    await fill(recorder, bag, baseClubIds);
    return { playerId: plan.playerId, summary: `${plan.name} planned` };
  },

  async editPlan({ planId, version, set }, { recorder }) {
    const plan = await loadPlan(recorder, planId);
    await assertNoConflict(
      recorder,
      'plan',
      plan,
      version,
      Object.entries(set).map(([field, yours]) => ({ field, yours, column: field })),
    );
    const { startsOn, endsOn } = { ...plan, ...set };
    if (startsOn > endsOn)
      throw badInput('The week ends before it starts.', [{ field: 'endsOn', message: 'before startsOn' }]);
    if (set.name !== undefined)
      recorder.edit('bag', (await recorder.load('bag', plan.bagId))!, { name: set.name });
    recorder.edit('plan', plan, set);
    return { playerId: plan.playerId, summary: `${plan.name}: ${Object.keys(set).join(', ')} changed` };
  },

  async setSwaps({ planId, version, swaps }, { recorder }) {
    const plan = await loadPlan(recorder, planId);
    requireVersion(plan, version, plan.name, [{ field: 'swaps', yours: swaps, theirs: plan.swaps }]);
    const bag = (await recorder.load('bag', plan.bagId))!;
    for (const { inId } of swaps) if (inId !== undefined) await loadClubFor(recorder, bag, inId);
    try {
      const clubIds = applySwaps(plan.baseClubIds, swaps);
      recorder.edit('plan', plan, { swaps: [...swaps] });
      await recorder.setBagClubs(bag, await stillOwned(recorder, clubIds));
    } catch (error) {
      if (error instanceof SwapError)
        throw badInput(error.message, [{ field: `swaps[${error.index}]`, message: error.message }]);
      throw error;
    }
    return {
      playerId: plan.playerId,
      summary: `${plan.name}: ${swaps.length} swap${swaps.length === 1 ? '' : 's'}`,
    };
  },

  async rebasePlan({ planId, version }, { recorder }) {
    const plan = await loadPlan(recorder, planId);
    requireVersion(plan, version, plan.name, []);
    const bag = (await recorder.load('bag', plan.bagId))!;
    const gamer = await recorder.em.findOne(Bag, { playerId: plan.playerId, gamer: true, removedAt: null });
    if (!gamer) throw ruleBroken('There is no gamer bag to plan from.');
    if (gamer.planId === plan.id) throw ruleBroken(`${gamer.name} is the gamer itself.`);
    const clubsOf = new Map<string, readonly string[]>();
    for (const { bagId } of plan.rounds) {
      const own = bagId === null ? undefined : await recorder.load('bag', bagId);
      if (own && !own.removedAt) clubsOf.set(own.id, await recorder.clubIdsOf(own));
    }
    const { set, clubIds } = rebased(plan, await recorder.clubIdsOf(gamer), (id) => clubsOf.get(id));
    recorder.edit('plan', plan, set);
    await recorder.setBagClubs(bag, await stillOwned(recorder, clubIds));
    return { playerId: plan.playerId, summary: `${plan.name}: planned from the gamer as it is now` };
  },

  async editRound({ planId, version, roundId, set }, { recorder }) {
    const plan = await loadPlan(recorder, planId);
    await assertNoConflict(
      recorder,
      'plan',
      plan,
      version,
      Object.entries(set).map(([field, yours]) => ({
        field,
        yours,
        column: 'rounds',
        part: (rounds) => roundIn(rounds, roundId)[field as keyof PlanRound],
      })),
    );
    await requireRound(recorder, plan, roundId);
    recorder.edit('plan', plan, { rounds: withRound(plan, { ...roundOf(plan, roundId), ...set }) });
    return {
      playerId: plan.playerId,
      summary: `${plan.name}: ${Object.keys(set)
        .map((field) => PART_WORDS[field as keyof typeof PART_WORDS])
        .join(', ')} of a round recorded`,
    };
  },

  async setRoundBag({ planId, version, roundId, bagId, clubIds, swaps, triggers }, { recorder }) {
    const plan = await loadPlan(recorder, planId);
    await assertNoConflict(
      recorder,
      'plan',
      plan,
      version,
      (['bagId', 'swaps', 'triggers'] as const).map((field) => ({
        field,
        yours: { bagId, swaps, triggers }[field],
        column: 'rounds',
        part: (rounds) => roundIn(rounds, roundId)[field],
      })),
    );
    const name = await requireRound(recorder, plan, roundId);
    const round = roundOf(plan, roundId);
    if (round.bagId !== null && round.bagId !== bagId)
      throw badInput(`${name} has a bag already, of another id.`, [
        { field: 'bagId', message: 'is not the round\u2019s bag' },
      ]);
    if (new Set(clubIds).size !== clubIds.length)
      throw badInput('A club is in the bag twice.', [{ field: 'clubIds', message: 'holds one twice' }]);
    const gamer = await recorder.em.findOne(Bag, { playerId: plan.playerId, gamer: true, removedAt: null });
    const standing = await recorder.load('bag', bagId);
    if (standing && (standing.planId !== plan.id || standing.removedAt))
      throw badInput('bagId: a bag of that id is something else');
    const bag =
      standing ??
      recorder.create('bag', {
        id: bagId,
        playerId: plan.playerId,
        planId: plan.id,
        name: `${plan.name}, ${name}`.slice(0, 80),
        note: '',
        ready: false,
        gamer: false,
        strategy: gamer?.strategy ?? 'even-carries',
      });
    for (const id of clubIds) await loadClubFor(recorder, bag, id);
    await recorder.setBagClubs(bag, clubIds);
    recorder.edit('plan', plan, { rounds: withRound(plan, { ...round, bagId, swaps, triggers }) });
    return {
      playerId: plan.playerId,
      summary: `${plan.name}: the bag of ${name}, ${counted(clubIds.length, 'club')}`,
    };
  },

  async removePlan({ planId, version }, { recorder }) {
    const plan = await loadPlan(recorder, planId);
    requireVersion(plan, version, plan.name, []);
    const bag = (await recorder.load('bag', plan.bagId))!;
    if (bag.gamer) throw ruleBroken(`${bag.name} is the gamer. Make another bag the gamer first.`);
    recorder.edit('bag', bag, { removedAt: new Date() });
    for (const { bagId } of plan.rounds) {
      const own = bagId === null ? undefined : await recorder.load('bag', bagId);
      if (own?.gamer) throw ruleBroken(`${own.name} is the gamer. Make another bag the gamer first.`);
      if (own && !own.removedAt) recorder.edit('bag', own, { removedAt: new Date() });
    }
    recorder.edit('plan', plan, { removedAt: new Date() });
    return { playerId: plan.playerId, summary: `${plan.name} deleted` };
  },
};

async function loadPlan(recorder: ChangeRecorder, planId: string): Promise<Plan> {
  const plan = await recorder.load('plan', planId);
  if (!plan || plan.removedAt) throw notFound('plan');
  return plan;
}

/** A club deleted since the plan was made is no longer there to carry. */
async function stillOwned(recorder: ChangeRecorder, clubIds: readonly string[]): Promise<string[]> {
  const owned: string[] = [];
  for (const id of clubIds) {
    const club = await recorder.load('club', id);
    if (club && !club.removedAt) owned.push(id);
  }
  return owned;
}

function roundIn(rounds: unknown, roundId: string): PlanRound {
  return (rounds as PlanRound[]).find((round) => round.roundId === roundId) ?? emptyRound(roundId);
}

function roundOf(plan: Plan, roundId: string): PlanRound {
  return roundIn(plan.rounds, roundId);
}

function withRound(plan: Plan, round: PlanRound): PlanRound[] {
  return plan.rounds.some(({ roundId }) => roundId === round.roundId)
    ? plan.rounds.map((one) => (one.roundId === round.roundId ? round : one))
    : [...plan.rounds, round];
}

/** The round is one of the plan's event. @returns its name */
async function requireRound(recorder: ChangeRecorder, plan: Plan, roundId: string): Promise<string> {
  const event = plan.eventId ? await recorder.load('event', plan.eventId) : undefined;
  const round = event?.rounds.find(({ id }) => id === roundId);
  if (!round)
    throw badInput(`${plan.name} has no such round.`, [
      { field: 'roundId', message: 'is no round of the event' },
    ]);
  return round.name;
}
