import { seasonDetails } from '../../course-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, everyField } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addSeason = defineCommand(
  'addSeason',
  'schedule',
  shape({ season: required(shape({ id: required(idSchema), ...everyField(seasonDetails) })) }),
  {
    subject: ({ season }) => ({ kind: 'season', id: season.id }),
    words: ({ season }) => `new season ${season.name}`,
    apply: (schedule, { season }) => ({
      ...schedule,
      seasons: withRow(schedule.seasons, { ...season, version: 1, removed: false }),
    }),
  },
);
