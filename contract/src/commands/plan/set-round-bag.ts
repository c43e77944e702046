import { planRoundOf, roundBagSchema, withPlanRound } from '../../plan-choosing.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { mapRow, withRow } from '../map-rows.js';
import { strategyOfGamer } from './strategy-of-gamer.js';

export const setRoundBag = defineCommand(
  'setRoundBag',
  'sheet',
  shape({
    planId: required(idSchema),
    version: versionSchema,
    roundId: required(idSchema),
    bagId: required(idSchema),
    ...roundBagSchema,
  }),
  {
    subject: ({ planId }) => ({ kind: 'plan', id: planId }),
    words: () => 'the bag of a round',
    apply: (sheet, { planId, roundId, bagId, clubIds, swaps, triggers }) => {
      const plan = sheet.plans.find(({ id }) => id === planId);
      if (!plan) return sheet;
      const bags = withRow(sheet.bags, {
        id: bagId,
        playerId: plan.playerId,
        version: 1,
        name: plan.name,
        note: '',
        ready: false,
        gamer: false,
        strategy: strategyOfGamer(sheet.bags),
        planId,
        clubIds,
        removed: false,
      });
      return {
        ...sheet,
        bags: mapRow(bags, bagId, (bag) => ({ ...bag, clubIds })),
        plans: mapRow(sheet.plans, planId, (one) => ({
          ...one,
          rounds: withPlanRound(one.rounds, { ...planRoundOf(one, roundId), bagId, swaps, triggers }),
        })),
      };
    },
  },
);
