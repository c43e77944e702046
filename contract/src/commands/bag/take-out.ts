import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const takeOut = defineCommand(
  'takeOut',
  'sheet',
  shape({ bagId: required(idSchema), clubId: required(idSchema) }),
  {
    subject: ({ bagId }) => ({ kind: 'bag', id: bagId }),
    words: ({ bagId, clubId }, nameOf) => `${nameOf(clubId) ?? 'a club'} out of ${nameOf(bagId) ?? 'a bag'}`,
    apply: (sheet, { bagId, clubId }) => ({
      ...sheet,
      bags: mapRow(sheet.bags, bagId, (bag) => ({
        ...bag,
        clubIds: bag.clubIds.filter((id) => id !== clubId),
      })),
    }),
  },
);
