import { idSchema, required, shape } from '../../schemas.js';
import { ticketDetails, ticketStateSchema } from '../../ticket-schemas.js';
import { defineCommand, setWords, versionSchema } from '../define-command.js';
import { mapRow } from '../map-rows.js';

const { clubId: _clubId, ...editable } = ticketDetails;

export const editTicket = defineCommand(
  'editTicket',
  'sheet',
  shape({
    ticketId: required(idSchema),
    version: versionSchema,
    set: required(shape({ ...editable, state: ticketStateSchema })),
  }),
  {
    subject: ({ ticketId }) => ({ kind: 'ticket', id: ticketId }),
    words: ({ ticketId, set }, nameOf) => setWords(nameOf(ticketId) ?? 'a ticket', set),
    apply: (sheet, { ticketId, set }) => ({
      ...sheet,
      tickets: mapRow(sheet.tickets, ticketId, (ticket) => ({ ...ticket, ...set })),
    }),
  },
);
