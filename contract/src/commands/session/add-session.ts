import { basketSchema, sessionDetails } from '../../session-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand } from '../define-command.js';

export const addSession = defineCommand(
  'addSession',
  'sessions',
  shape({
    session: required(
      shape({
        id: required(idSchema),
        playerId: required(idSchema),
        name: required(sessionDetails.name),
        heldOn: required(sessionDetails.heldOn),
        conditions: required(sessionDetails.conditions),
        surface: required(sessionDetails.surface),
        hitOff: required(sessionDetails.hitOff),
        ball: sessionDetails.ball.defined(),
        notes: sessionDetails.notes.defined(),
        basket: basketSchema.nullable().default(undefined).optional(),
      }),
    ),
  }),
  {
    subject: ({ session }) => ({ kind: 'session', id: session.id, playerId: session.playerId }),
    words: ({ session }) => `new session ${session.name}`,
    apply: (view, { session }) =>
      view.sessions.some(({ id }) => id === session.id)
        ? view
        : {
            ...view,
            sessions: [
              {
                ...session,
                version: 1,
                source: 'by hand',
                live: false,
                aim: null,
                basket: session.basket ?? null,
                removed: false,
                strikes: 0,
                clubs: 0,
              },
              ...view.sessions,
            ],
          },
  },
);
