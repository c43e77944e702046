import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeClub = defineCommand(
  'removeClub',
  'sheet',
  shape({ clubId: required(idSchema), version: versionSchema }),
  {
    subject: ({ clubId }) => ({ kind: 'club', id: clubId }),
    words: ({ clubId }, nameOf) => `delete ${nameOf(clubId) ?? 'a club'}`,
    apply: (sheet, { clubId }) => ({
      ...sheet,
      clubs: withoutRow(sheet.clubs, clubId),
      bags: sheet.bags.map((bag) => ({ ...bag, clubIds: bag.clubIds.filter((id) => id !== clubId) })),
    }),
  },
);
