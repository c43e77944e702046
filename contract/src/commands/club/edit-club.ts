import { clubKindSchema, idSchema, nameSchema, required, shape } from '../../schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';
import { readingsSchema, readingsWords, withReadings } from './readings.js';

export const editClub = defineCommand(
  'editClub',
  'sheet',
  shape({
    clubId: required(idSchema),
    version: versionSchema,
    set: shape({ name: nameSchema, kind: clubKindSchema }).default(undefined).optional(),
    readings: readingsSchema,
  }),
  {
    subject: ({ clubId }) => ({ kind: 'club', id: clubId }),
    words: ({ clubId, set, readings = [] }, nameOf, unit) =>
      readingsWords(setWords(nameOf(clubId) ?? 'a club', set), readings, unit),
    apply: (sheet, { clubId, set, readings = [] }) => ({
      ...sheet,
      clubs: mapRow(sheet.clubs, clubId, (club) => ({
        ...club,
        ...set,
        spec: withReadings(club.spec, readings),
      })),
    }),
  },
);
