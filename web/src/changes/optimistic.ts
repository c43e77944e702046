import {
  planRoundOf,
  type BagView,
  type ChangeResult,
  type ClubView,
  type Command,
  type PlanRound,
  type PlanView,
  type SheetView,
} from '@tasche/contract';
import { applySwaps, type Fact, type Reading, type Spec } from '@tasche/core';

/**
 * The sheet as it will be when the server has done these commands; the screen does not wait for it.
 * Commands that the sheet shows already change nothing, so what is still waiting can be laid over a fresh answer.
 */
export function withCommands(sheet: SheetView, commands: readonly Command[]): SheetView {
  return commands.reduce(withCommand, sheet);
}

function withCommand(sheet: SheetView, command: Command): SheetView {
  switch (command.do) {
    case 'addPlayer':
      return sheet;
    case 'editPlayer':
      return { ...sheet, player: { ...sheet.player, ...command.set } };
    case 'addClub':
      return sheet.clubs.some((club) => club.id === command.club.id)
        ? sheet
        : {
            ...sheet,
            clubs: [
              ...sheet.clubs,
              { ...command.club, version: 1, removed: false, spec: withReadings({}, command.readings) },
            ],
          };
    case 'editClub':
      return mapClub(sheet, command.clubId, (club) => ({
        ...club,
        ...command.set,
        spec: withReadings(club.spec, command.readings ?? []),
      }));
    case 'removeClub':
      return {
        ...sheet,
        clubs: sheet.clubs.filter((club) => club.id !== command.clubId),
        bags: sheet.bags.map((bag) => ({
          ...bag,
          clubIds: bag.clubIds.filter((id) => id !== command.clubId),
        })),
      };
    case 'addBag':
      return sheet.bags.some((bag) => bag.id === command.bag.id)
        ? sheet
        : {
            ...sheet,
            bags: [
              ...sheet.bags,
              {
                ...command.bag,
                version: 1,
                note: '',
                ready: false,
                gamer: sheet.bags.length === 0,
                planId: null,
                clubIds: command.clubIds,
                removed: false,
              },
            ],
          };
    case 'editBag':
      return mapBag(sheet, command.bagId, (bag) => ({ ...bag, ...command.set }));
    case 'removeBag':
      return { ...sheet, bags: sheet.bags.filter((bag) => bag.id !== command.bagId) };
    case 'putIn':
      return mapBag(sheet, command.bagId, (bag) => ({
        ...bag,
        clubIds: [...bag.clubIds.filter((id) => id !== command.clubId), command.clubId],
      }));
    case 'takeOut':
      return mapBag(sheet, command.bagId, (bag) => ({
        ...bag,
        clubIds: bag.clubIds.filter((id) => id !== command.clubId),
      }));
    case 'makeGamer':
      return { ...sheet, bags: sheet.bags.map((bag) => ({ ...bag, gamer: bag.id === command.bagId })) };
    case 'addPlan': {
      const { bagId, eventId = null, ...plan } = command.plan;
      if (sheet.plans.some((one) => one.id === plan.id)) return sheet;
      const baseClubIds = sheet.bags.find((bag) => bag.gamer)?.clubIds ?? [];
      const bag: BagView = {
        id: bagId,
        playerId: plan.playerId,
        version: 1,
        name: plan.name,
        note: '',
        ready: false,
        gamer: false,
        planId: plan.id,
        clubIds: baseClubIds,
        removed: false,
      };
      return {
        ...sheet,
        bags: [...sheet.bags, bag],
        plans: [
          {
            ...plan,
            bagId,
            baseClubIds,
            swaps: [],
            choosing: null,
            eventId,
            rounds: [],
            version: 1,
            removed: false,
          },
          ...sheet.plans,
        ],
      };
    }
    case 'editPlan':
      return mapPlan(sheet, command.planId, (plan) => ({ ...plan, ...command.set }));
    case 'setSwaps': {
      const plan = sheet.plans.find((one) => one.id === command.planId);
      if (!plan) return sheet;
      const clubIds = applySwaps(plan.baseClubIds, command.swaps);
      return mapBag(
        mapPlan(sheet, plan.id, (one) => ({ ...one, swaps: command.swaps })),
        plan.bagId,
        (bag) => ({ ...bag, clubIds }),
      );
    }
    case 'removePlan': {
      const plan = sheet.plans.find((one) => one.id === command.planId);
      return {
        ...sheet,
        plans: sheet.plans.filter((one) => one !== plan),
        bags: sheet.bags.filter((bag) => bag.planId === null || bag.planId !== plan?.id),
      };
    }
    case 'editRound':
      return mapPlan(sheet, command.planId, (plan) =>
        withRound(plan, { ...planRoundOf(plan, command.roundId), ...command.set }),
      );
    case 'setRoundBag': {
      const plan = sheet.plans.find((one) => one.id === command.planId);
      if (!plan) return sheet;
      const { bagId, clubIds, swaps, triggers, roundId } = command;
      const bag: BagView = {
        id: bagId,
        playerId: plan.playerId,
        version: 1,
        name: plan.name,
        note: '',
        ready: false,
        gamer: false,
        planId: plan.id,
        clubIds,
        removed: false,
      };
      const bags = sheet.bags.some((one) => one.id === bagId)
        ? sheet.bags.map((one) => (one.id === bagId ? { ...one, clubIds } : one))
        : [...sheet.bags, bag];
      return mapPlan({ ...sheet, bags }, plan.id, (one) =>
        withRound(one, { ...planRoundOf(one, roundId), bagId, swaps, triggers }),
      );
    }
    // Sessions, and what a whole workspace plays, stand beside the sheet, not on it.
    case 'addCourse':
    case 'editCourse':
    case 'removeCourse':
    case 'addSeason':
    case 'editSeason':
    case 'removeSeason':
    case 'addEvent':
    case 'editEvent':
    case 'editEventRound':
    case 'removeEvent':
    case 'addSession':
    case 'editSession':
    case 'removeSession':
    case 'addStrikes':
    case 'editStrikes':
      return sheet;
  }
}

/**
 * The facts in force once these readings are in. A reading dated before the one in force changes nothing; of those dated
 * today, wherever on earth today is later, the newest stands, as the server has it.
 */
function withReadings(spec: Spec, readings: readonly Reading[]): Spec {
  const next: Spec = { ...spec };
  const todayInUtc = new Date().toISOString().slice(0, 10);
  for (const { key, value, takenOn } of readings) {
    const standing = next[key]?.takenOn ?? '';
    if ((standing > todayInUtc ? todayInUtc : standing) > takenOn) continue;
    if (value === null) delete next[key];
    else next[key] = { value, takenOn } satisfies Fact;
  }
  return next;
}

/** The sheet with what the server says put over it. */
export function withResult(sheet: SheetView, result: ChangeResult): SheetView {
  return {
    ...sheet,
    player: result.players.find((player) => player.id === sheet.player.id) ?? sheet.player,
    clubs: merged(
      sheet.clubs,
      result.clubs.filter((club) => club.playerId === sheet.player.id),
    ),
    bags: merged(
      sheet.bags,
      result.bags.filter((bag) => bag.playerId === sheet.player.id),
    ),
    plans: merged(
      sheet.plans,
      result.plans.filter((plan) => plan.playerId === sheet.player.id),
    ),
    lastChange:
      result.change.undoes || result.change.playerId !== sheet.player.id ? sheet.lastChange : result.change,
  };
}

function merged<T extends { id: string; removed: boolean }>(
  standing: readonly T[],
  fresh: readonly T[],
): T[] {
  const byId = new Map(fresh.map((row) => [row.id, row]));
  const kept = standing.map((row) => byId.get(row.id) ?? row);
  const added = fresh.filter((row) => !standing.some((one) => one.id === row.id));
  return [...kept, ...added].filter((row) => !row.removed);
}

function mapClub(sheet: SheetView, id: string, change: (club: ClubView) => ClubView): SheetView {
  return { ...sheet, clubs: sheet.clubs.map((club) => (club.id === id ? change(club) : club)) };
}

function mapBag(sheet: SheetView, id: string, change: (bag: BagView) => BagView): SheetView {
  return { ...sheet, bags: sheet.bags.map((bag) => (bag.id === id ? change(bag) : bag)) };
}

function withRound(plan: PlanView, round: PlanRound): PlanView {
  return {
    ...plan,
    rounds: plan.rounds.some(({ roundId }) => roundId === round.roundId)
      ? plan.rounds.map((one) => (one.roundId === round.roundId ? round : one))
      : [...plan.rounds, round],
  };
}

function mapPlan(sheet: SheetView, id: string, change: (plan: PlanView) => PlanView): SheetView {
  return { ...sheet, plans: sheet.plans.map((plan) => (plan.id === id ? change(plan) : plan)) };
}
