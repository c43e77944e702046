import type { PlanView } from '../../views.js';
import { planChoosingSchema } from '../../plan-choosing.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';
import { datesInOrder, planDetails } from './plan-details.js';

export const editPlan = defineCommand(
  'editPlan',
  'sheet',
  shape({
    planId: required(idSchema),
    version: versionSchema,
    set: required(
      shape({ ...planDetails, choosing: planChoosingSchema.nullable().default(undefined).optional() }).test(
        'dates',
        '${path}: the week ends before it starts',
        datesInOrder,
      ),
    ),
  }),
  {
    subject: ({ planId }) => ({ kind: 'plan', id: planId }),
    words: ({ set }) => setWords('the plan', set),
    apply: (sheet, { planId, set }) => ({
      ...sheet,
      plans: mapRow(sheet.plans, planId, (plan): PlanView => ({ ...plan, ...set })),
    }),
  },
);
