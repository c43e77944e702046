import * as yup from '../../yup.js';
import { idSchema, nameSchema, required, shape, strategySchema, textSchema } from '../../schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editBag = defineCommand(
  'editBag',
  'sheet',
  shape({
    bagId: required(idSchema),
    version: versionSchema,
    set: required(
      shape({
        name: nameSchema,
        note: textSchema(2000),
        ready: yup.boolean().strict(),
        strategy: strategySchema,
      }),
    ),
  }),
  {
    subject: ({ bagId }) => ({ kind: 'bag', id: bagId }),
    words: ({ bagId, set }, nameOf) => setWords(nameOf(bagId) ?? 'a bag', set),
    apply: (sheet, { bagId, set }) => ({
      ...sheet,
      bags: mapRow(sheet.bags, bagId, (bag) => ({ ...bag, ...set })),
    }),
  },
);
