import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand } from '../define-command.js';
import { withRow } from '../map-rows.js';
import { datesInOrder, planDetails } from './plan-details.js';
import { strategyOfGamer } from './strategy-of-gamer.js';

export const addPlan = defineCommand(
  'addPlan',
  'sheet',
  shape({
    plan: required(
      shape({
        id: required(idSchema),
        bagId: required(idSchema),
        playerId: required(idSchema),
        name: required(planDetails.name),
        course: planDetails.course.defined(),
        startsOn: required(planDetails.startsOn),
        endsOn: required(planDetails.endsOn),
        ground: planDetails.ground.defined(),
        weather: planDetails.weather.defined(),
        eventId: idSchema,
      }).test('dates', '${path}: the week ends before it starts', datesInOrder),
    ),
  }),
  {
    subject: ({ plan }) => ({ kind: 'plan', id: plan.id, playerId: plan.playerId }),
    words: ({ plan }) => `new plan ${plan.name}`,
    apply: (sheet, { plan: { bagId, eventId = null, ...plan } }) => {
      if (sheet.plans.some(({ id }) => id === plan.id)) return sheet;
      const baseClubIds = sheet.bags.find((bag) => bag.gamer)?.clubIds ?? [];
      const fresh = { version: 1, removed: false };
      return {
        ...sheet,
        bags: withRow(sheet.bags, {
          ...fresh,
          id: bagId,
          playerId: plan.playerId,
          name: plan.name,
          note: '',
          ready: false,
          gamer: false,
          strategy: strategyOfGamer(sheet.bags),
          planId: plan.id,
          clubIds: baseClubIds,
        }),
        plans: [
          { ...plan, ...fresh, bagId, baseClubIds, swaps: [], choosing: null, eventId, rounds: [] },
          ...sheet.plans,
        ],
      };
    },
  },
);
