import { idSchema, nameSchema, required, shape, strategySchema } from '../../schemas.js';
import { MAX_CLUBS_A_PLAYER } from '../../limits.js';
import { defineCommand, idsSchema } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addBag = defineCommand(
  'addBag',
  'sheet',
  shape({
    bag: required(
      shape({
        id: required(idSchema),
        playerId: required(idSchema),
        name: required(nameSchema),
        strategy: strategySchema,
      }),
    ),
    clubIds: idsSchema(required(idSchema), MAX_CLUBS_A_PLAYER).defined(),
  }),
  {
    subject: ({ bag }) => ({ kind: 'bag', id: bag.id, playerId: bag.playerId }),
    words: ({ bag }) => `new bag ${bag.name}`,
    apply: (sheet, { bag, clubIds }) => ({
      ...sheet,
      bags: withRow(sheet.bags, {
        strategy: 'even-carries',
        ...bag,
        version: 1,
        note: '',
        ready: false,
        gamer: sheet.bags.length === 0,
        planId: null,
        clubIds,
        removed: false,
      }),
    }),
  },
);
