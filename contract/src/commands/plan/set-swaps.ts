import { applySwaps } from '@tasche/core';
import { swapsSchema } from '../../plan-choosing.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

const MAX_SWAPS = 40;

export const setSwaps = defineCommand(
  'setSwaps',
  'sheet',
  shape({
    planId: required(idSchema),
    version: versionSchema,
    swaps: swapsSchema.max(MAX_SWAPS).defined('${path} is missing'),
  }),
  {
    subject: ({ planId }) => ({ kind: 'plan', id: planId }),
    words: () => 'swaps',
    apply: (sheet, { planId, swaps }) => {
      const plan = sheet.plans.find(({ id }) => id === planId);
      if (!plan) return sheet;
      const clubIds = applySwaps(plan.baseClubIds, swaps);
      return {
        ...sheet,
        bags: mapRow(sheet.bags, plan.bagId, (bag) => ({ ...bag, clubIds })),
        plans: mapRow(sheet.plans, planId, (one) => ({ ...one, swaps })),
      };
    },
  },
);
