import { clubKindSchema, idSchema, nameSchema, required, shape } from '../../schemas.js';
import { defineCommand } from '../define-command.js';
import { withRow } from '../map-rows.js';
import { readingsSchema, readingsWords, withReadings } from './readings.js';

export const addClub = defineCommand(
  'addClub',
  'sheet',
  shape({
    club: required(
      shape({
        id: required(idSchema),
        playerId: required(idSchema),
        name: required(nameSchema),
        kind: required(clubKindSchema),
      }),
    ),
    readings: required(readingsSchema),
  }),
  {
    subject: ({ club }) => ({ kind: 'club', id: club.id, playerId: club.playerId }),
    words: ({ club, readings }, _nameOf, unit) => readingsWords(`new club ${club.name}`, readings, unit),
    apply: (sheet, { club, readings }) => ({
      ...sheet,
      clubs: withRow(sheet.clubs, {
        ...club,
        version: 1,
        removed: false,
        spec: withReadings({}, readings),
      }),
    }),
  },
);
