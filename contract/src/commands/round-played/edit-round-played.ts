import { idSchema, required, shape } from '../../schemas.js';
import { roundPlayedDetails } from '../../round-played-schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editRoundPlayed = defineCommand(
  'editRoundPlayed',
  'sheet',
  shape({
    roundId: required(idSchema),
    version: versionSchema,
    set: required(
      shape({ ...roundPlayedDetails, after: roundPlayedDetails.after.default(undefined).optional() }),
    ),
  }),
  {
    subject: ({ roundId }) => ({ kind: 'roundPlayed', id: roundId }),
    words: ({ set }) => setWords('a round played', set),
    apply: (sheet, { roundId, set }) => ({
      ...sheet,
      roundsPlayed: mapRow(sheet.roundsPlayed, roundId, (round) => ({ ...round, ...set })),
    }),
  },
);
