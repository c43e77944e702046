import * as yup from '../../yup.js';
import { aimSchema, basketSchema, sessionDetails } from '../../session-schemas.js';
import { idSchema, required, shape } from '../../schemas.js';
import type { SessionEntry } from '../../session-views.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';

export const editSession = defineCommand(
  'editSession',
  'sessions',
  shape({
    sessionId: required(idSchema),
    version: versionSchema,
    set: required(
      shape({
        ...sessionDetails,
        conditions: sessionDetails.conditions.default(undefined).optional(),
        surface: sessionDetails.surface.default(undefined).optional(),
        // A live session takes what the monitor sees; its aim is the club in hand.
        live: yup.boolean().strict(),
        aim: aimSchema.nullable().default(undefined).optional(),
        basket: basketSchema.nullable().default(undefined).optional(),
      }),
    ),
  }),
  {
    subject: ({ sessionId }) => ({ kind: 'session', id: sessionId }),
    words: ({ set }) => setWords('the session', set),
    apply: (view, { sessionId, set }) => ({
      ...view,
      sessions: view.sessions.map((session): SessionEntry => {
        if (session.id === sessionId) return { ...session, ...set };
        // One session at a time is live.
        return set.live ? { ...session, live: false } : session;
      }),
    }),
  },
);
