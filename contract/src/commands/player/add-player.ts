import {
  distanceUnitSchema,
  handSchema,
  idSchema,
  nameSchema,
  required,
  shape,
  textSchema,
} from '../../schemas.js';
import { defineCommand } from '../define-command.js';

export const addPlayer = defineCommand(
  'addPlayer',
  'sheet',
  shape({
    player: required(
      shape({
        id: required(idSchema),
        name: required(nameSchema),
        hand: required(handSchema),
        distanceUnit: required(distanceUnitSchema),
        notes: textSchema(4000),
      }),
    ),
  }),
  {
    subject: ({ player }) => ({ kind: 'player', id: player.id }),
    words: ({ player }) => `new player ${player.name}`,
    // A sheet is one player's; a new one has a sheet of their own.
    apply: (sheet) => sheet,
  },
);
