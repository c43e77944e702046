import { idSchema, required, shape } from '../../schemas.js';
import { newerWishFields, wishDetails } from '../../wish-schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editWish = defineCommand(
  'editWish',
  'sheet',
  shape({
    wishId: required(idSchema),
    version: versionSchema,
    set: required(
      shape({ ...wishDetails, ...newerWishFields, club: wishDetails.club.default(undefined).optional() }),
    ),
  }),
  {
    subject: ({ wishId }) => ({ kind: 'wish', id: wishId }),
    words: ({ wishId, set }, nameOf) => setWords(nameOf(wishId) ?? 'a wish', set),
    apply: (sheet, { wishId, set }) => ({
      ...sheet,
      wishes: mapRow(sheet.wishes, wishId, (wish) => ({ ...wish, ...set })),
    }),
  },
);
