import { seasonDetails } from '../../course-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import type { SeasonView } from '../../views.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editSeason = defineCommand(
  'editSeason',
  'schedule',
  shape({
    seasonId: required(idSchema),
    version: versionSchema,
    set: required(shape({ ...seasonDetails, ground: seasonDetails.ground.default(undefined).optional() })),
  }),
  {
    subject: ({ seasonId }) => ({ kind: 'season', id: seasonId }),
    words: ({ set }) => setWords('the season', set),
    apply: (schedule, { seasonId, set }) => ({
      ...schedule,
      seasons: mapRow(schedule.seasons, seasonId, (season): SeasonView => ({ ...season, ...set })),
    }),
  },
);
