import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand } from '../define-command.js';

export const makeGamer = defineCommand('makeGamer', 'sheet', shape({ bagId: required(idSchema) }), {
  subject: ({ bagId }) => ({ kind: 'bag', id: bagId }),
  words: ({ bagId }, nameOf) => `${nameOf(bagId) ?? 'a bag'} as the gamer`,
  apply: (sheet, { bagId }) => ({
    ...sheet,
    bags: sheet.bags.map((bag) => ({ ...bag, gamer: bag.id === bagId })),
  }),
});
