import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeBag = defineCommand(
  'removeBag',
  'sheet',
  shape({ bagId: required(idSchema), version: versionSchema }),
  {
    subject: ({ bagId }) => ({ kind: 'bag', id: bagId }),
    words: ({ bagId }, nameOf) => `delete ${nameOf(bagId) ?? 'a bag'}`,
    apply: (sheet, { bagId }) => ({ ...sheet, bags: withoutRow(sheet.bags, bagId) }),
  },
);
