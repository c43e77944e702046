import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeWish = defineCommand(
  'removeWish',
  'sheet',
  shape({ wishId: required(idSchema), version: versionSchema }),
  {
    subject: ({ wishId }) => ({ kind: 'wish', id: wishId }),
    words: ({ wishId }, nameOf) => `delete ${nameOf(wishId) ?? 'a wish'}`,
    apply: (sheet, { wishId }) => ({ ...sheet, wishes: withoutRow(sheet.wishes, wishId) }),
  },
);
