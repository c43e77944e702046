import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeRoundPlayed = defineCommand(
  'removeRoundPlayed',
  'sheet',
  shape({ roundId: required(idSchema), version: versionSchema }),
  {
    subject: ({ roundId }) => ({ kind: 'roundPlayed', id: roundId }),
    words: () => 'delete a round played',
    apply: (sheet, { roundId }) => ({ ...sheet, roundsPlayed: withoutRow(sheet.roundsPlayed, roundId) }),
  },
);
