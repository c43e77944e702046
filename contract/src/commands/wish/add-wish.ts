import { idSchema, required, shape } from '../../schemas.js';
import { newerWishFields, wishDetails } from '../../wish-schemas.js';
import { defineCommand, everyField } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addWish = defineCommand(
  'addWish',
  'sheet',
  shape({
    wish: required(
      shape({
        id: required(idSchema),
        playerId: required(idSchema),
        ...everyField(wishDetails),
        ...newerWishFields,
      }),
    ),
  }),
  {
    subject: ({ wish }) => ({ kind: 'wish', id: wish.id, playerId: wish.playerId }),
    words: ({ wish }) => `new wish: ${wish.name}`,
    apply: (sheet, { wish }) => ({
      ...sheet,
      wishes: withRow(sheet.wishes, {
        ...wish,
        expected: wish.expected ?? null,
        boughtOn: wish.boughtOn ?? null,
        version: 1,
        removed: false,
      }),
    }),
  },
);
