import { idSchema, required, shape } from '../../schemas.js';
import { roundPlayedDetails } from '../../round-played-schemas.js';
import { defineCommand, everyField } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addRoundPlayed = defineCommand(
  'addRoundPlayed',
  'sheet',
  shape({
    round: required(
      shape({ id: required(idSchema), playerId: required(idSchema), ...everyField(roundPlayedDetails) }),
    ),
  }),
  {
    subject: ({ round }) => ({ kind: 'roundPlayed', id: round.id, playerId: round.playerId }),
    words: ({ round }) => `round of ${round.playedOn}`,
    apply: (sheet, { round }) => ({
      ...sheet,
      roundsPlayed: withRow(sheet.roundsPlayed, { ...round, version: 1, removed: false }),
    }),
  },
);
