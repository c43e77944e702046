import { planRoundOf, planRoundSet, withPlanRound } from '../../plan-choosing.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editRound = defineCommand(
  'editRound',
  'sheet',
  shape({
    planId: required(idSchema),
    version: versionSchema,
    roundId: required(idSchema),
    set: required(shape(planRoundSet)),
  }),
  {
    subject: ({ planId }) => ({ kind: 'plan', id: planId }),
    words: ({ set }) => setWords('a round', set),
    apply: (sheet, { planId, roundId, set }) => ({
      ...sheet,
      plans: mapRow(sheet.plans, planId, (plan) => ({
        ...plan,
        rounds: withPlanRound(plan.rounds, { ...planRoundOf(plan, roundId), ...set }),
      })),
    }),
  },
);
