import { eventRoundSet } from '../../event-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

export const editEventRound = defineCommand(
  'editEventRound',
  'schedule',
  shape({
    eventId: required(idSchema),
    version: versionSchema,
    roundId: required(idSchema),
    set: required(shape(eventRoundSet)),
  }),
  {
    subject: ({ eventId }) => ({ kind: 'event', id: eventId }),
    words: ({ set }) => setWords('a round of the event', set),
    apply: (schedule, { eventId, roundId, set }) => ({
      ...schedule,
      events: mapRow(schedule.events, eventId, (event) => ({
        ...event,
        rounds: mapRow(event.rounds, roundId, (round) => ({ ...round, ...set })),
      })),
    }),
  },
);
