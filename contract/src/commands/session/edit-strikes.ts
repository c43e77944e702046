import { MAX_STRIKES_A_CHANGE, leftOutSchema } from '../../session-schemas.js';
import { idSchema, required, shape, shotKindSchema } from '../../schemas.js';
import type { StrikeView } from '../../session-views.js';
import { defineCommand, idsSchema, setWords } from '../define-command.js';

export const editStrikes = defineCommand(
  'editStrikes',
  'sessions',
  shape({
    sessionId: required(idSchema),
    strikeIds: idsSchema(required(idSchema), MAX_STRIKES_A_CHANGE)
      .min(1, '${path} is empty')
      .required('${path} is missing'),
    // `leftOut` is the reason, or null to count it again.
    set: required(shape({ leftOut: leftOutSchema.nullable(), clubId: idSchema, shot: shotKindSchema })),
  }),
  {
    subject: ({ sessionId }) => ({ kind: 'session', id: sessionId }),
    words: ({ set }) => setWords('shots', set),
    apply: (view, { strikeIds, set }) => {
      const ids = new Set(strikeIds);
      return {
        ...view,
        strikes: view.strikes.map((strike): StrikeView =>
          ids.has(strike.id) ? { ...strike, ...set } : strike,
        ),
      };
    },
  },
);
