import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeSeason = defineCommand(
  'removeSeason',
  'schedule',
  shape({ seasonId: required(idSchema), version: versionSchema }),
  {
    subject: ({ seasonId }) => ({ kind: 'season', id: seasonId }),
    words: () => 'delete the season',
    apply: (schedule, { seasonId }) => ({
      ...schedule,
      seasons: withoutRow(schedule.seasons, seasonId),
    }),
  },
);
