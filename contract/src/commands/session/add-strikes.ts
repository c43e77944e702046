import * as yup from '../../yup.js';
import { MAX_STRIKES_A_CHANGE, strikeSchema } from '../../session-schemas.js';
import { idSchema, required, shape, shotKindSchema } from '../../schemas.js';
import type { StrikeView } from '../../session-views.js';
import { defineCommand } from '../define-command.js';

export const addStrikes = defineCommand(
  'addStrikes',
  'sessions',
  shape({
    sessionId: required(idSchema),
    strikes: yup
      .array(
        shape({
          id: required(idSchema),
          clubId: required(idSchema),
          shot: required(shotKindSchema),
          given: strikeSchema.required('${path} is missing'),
        }).required('${path} is missing'),
      )
      .min(1, '${path} is empty')
      .max(MAX_STRIKES_A_CHANGE, `\${path} holds more than ${MAX_STRIKES_A_CHANGE} shots`)
      .required('${path} is missing'),
  }),
  {
    subject: ({ sessionId }) => ({ kind: 'session', id: sessionId }),
    words: ({ strikes }) => `${strikes.length} ${strikes.length === 1 ? 'shot' : 'shots'}`,
    apply: (view, { sessionId, strikes }) => {
      const session = view.sessions.find(({ id }) => id === sessionId);
      const known = new Set(view.strikes.map(({ id }) => id));
      const numbers = view.strikes.filter((one) => one.sessionId === sessionId).map(({ number }) => number);
      const first = Math.max(0, ...numbers) + 1;
      const added = strikes
        .filter(({ id }) => !known.has(id))
        .map((strike, i): StrikeView => ({
          ...strike,
          sessionId,
          number: first + i,
          hitAt: null,
          builtOn: session?.heldOn ?? '',
          leftOut: null,
        }));
      return { ...view, strikes: [...view.strikes, ...added] };
    },
  },
);
