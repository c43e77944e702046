import { applySwaps, swapsBetween, swapsThatApply, type Swap } from '@tasche/core';
import type { PlanRound } from '../../plan-choosing.js';
import type { PlanView } from '../../views.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

/** What changes of a plan that starts from other clubs than it did. */
interface RebasedPlan {
  set: { baseClubIds: string[]; swaps: Swap[]; rounds: PlanRound[] };
  /** The clubs of its own bag. */
  clubIds: string[];
}

/**
 * A plan that starts from the gamer as it is now: its swaps stay as far as they can be made of it; rounds keep the
 * bag that was settled, by other swaps.
 * @param clubsOf the clubs of a settled round's bag
 */
export function rebased(
  { swaps, rounds }: Pick<PlanView, 'swaps' | 'rounds'>,
  gamerIds: readonly string[],
  clubsOf: (bagId: string) => readonly string[] | undefined,
): RebasedPlan {
  const kept = swapsThatApply(gamerIds, swaps);
  return {
    clubIds: applySwaps(gamerIds, kept),
    set: {
      baseClubIds: [...gamerIds],
      swaps: kept,
      rounds: rounds.map((round) => {
        const clubIds = round.bagId === null ? undefined : clubsOf(round.bagId);
        return clubIds ? { ...round, swaps: swapsBetween(gamerIds, clubIds, round.swaps) } : round;
      }),
    },
  };
}

export const rebasePlan = defineCommand(
  'rebasePlan',
  'sheet',
  shape({ planId: required(idSchema), version: versionSchema }),
  {
    subject: ({ planId }) => ({ kind: 'plan', id: planId }),
    words: () => 'plan from the gamer as it is now',
    apply: (sheet, { planId }) => {
      const plan = sheet.plans.find(({ id }) => id === planId);
      const gamer = sheet.bags.find((bag) => bag.gamer);
      if (!plan || !gamer) return sheet;
      const { set, clubIds } = rebased(
        plan,
        gamer.clubIds,
        (bagId) => sheet.bags.find(({ id }) => id === bagId)?.clubIds,
      );
      return {
        ...sheet,
        bags: mapRow(sheet.bags, plan.bagId, (bag) => ({ ...bag, clubIds })),
        plans: mapRow(sheet.plans, planId, (one) => ({ ...one, ...set })),
      };
    },
  },
);
