import { eventDetails } from '../../event-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, everyField } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addEvent = defineCommand(
  'addEvent',
  'schedule',
  shape({
    event: required(shape({ id: required(idSchema), ...everyField(eventDetails), zone: eventDetails.zone })),
  }),
  {
    subject: ({ event }) => ({ kind: 'event', id: event.id }),
    words: ({ event }) => `new event ${event.name}`,
    apply: (schedule, { event }) => ({
      ...schedule,
      events: withRow(schedule.events, { ...event, zone: event.zone ?? null, version: 1, removed: false }),
    }),
  },
);
