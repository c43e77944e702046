import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeSession = defineCommand(
  'removeSession',
  'sessions',
  shape({ sessionId: required(idSchema), version: versionSchema }),
  {
    subject: ({ sessionId }) => ({ kind: 'session', id: sessionId }),
    words: () => 'delete the session',
    apply: (view, { sessionId }) => ({
      sessions: withoutRow(view.sessions, sessionId),
      strikes: view.strikes.filter((strike) => strike.sessionId !== sessionId),
    }),
  },
);
