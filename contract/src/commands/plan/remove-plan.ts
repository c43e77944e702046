import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removePlan = defineCommand(
  'removePlan',
  'sheet',
  shape({ planId: required(idSchema), version: versionSchema }),
  {
    subject: ({ planId }) => ({ kind: 'plan', id: planId }),
    words: () => 'delete the plan',
    apply: (sheet, { planId }) => ({
      ...sheet,
      plans: withoutRow(sheet.plans, planId),
      bags: sheet.bags.filter((bag) => bag.planId !== planId),
    }),
  },
);
