import { idSchema, required, shape } from '../../schemas.js';
import { ticketDetails } from '../../ticket-schemas.js';
import { defineCommand, everyField } from '../define-command.js';
import { withRow } from '../map-rows.js';

export const addTicket = defineCommand(
  'addTicket',
  'sheet',
  shape({
    ticket: required(
      shape({ id: required(idSchema), playerId: required(idSchema), ...everyField(ticketDetails) }),
    ),
  }),
  {
    subject: ({ ticket }) => ({ kind: 'ticket', id: ticket.id, playerId: ticket.playerId }),
    words: ({ ticket }) => `new ticket: ${ticket.name}`,
    apply: (sheet, { ticket }) => ({
      ...sheet,
      tickets: withRow(sheet.tickets, {
        ...ticket,
        version: 1,
        state: 'asked',
        became: [],
        misses: [],
        doneOn: null,
        removed: false,
      }),
    }),
  },
);
