import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeEvent = defineCommand(
  'removeEvent',
  'schedule',
  shape({ eventId: required(idSchema), version: versionSchema }),
  {
    subject: ({ eventId }) => ({ kind: 'event', id: eventId }),
    words: () => 'delete the event',
    apply: (schedule, { eventId }) => ({
      ...schedule,
      events: withoutRow(schedule.events, eventId),
    }),
  },
);
