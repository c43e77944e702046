import { eventDetails } from '../../event-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import type { EventView } from '../../views.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editEvent = defineCommand(
  'editEvent',
  'schedule',
  shape({
    eventId: required(idSchema),
    version: versionSchema,
    set: required(shape({ ...eventDetails, limits: eventDetails.limits.default(undefined).optional() })),
  }),
  {
    subject: ({ eventId }) => ({ kind: 'event', id: eventId }),
    words: ({ set }) => setWords('the event', set),
    apply: (schedule, { eventId, set }) => ({
      ...schedule,
      events: mapRow(schedule.events, eventId, (event): EventView => ({ ...event, ...set })),
    }),
  },
);
