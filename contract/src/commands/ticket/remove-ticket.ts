import { idSchema, required, shape } from '../../schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withoutRow } from '../map-rows.js';

export const removeTicket = defineCommand(
  'removeTicket',
  'sheet',
  shape({ ticketId: required(idSchema), version: versionSchema }),
  {
    subject: ({ ticketId }) => ({ kind: 'ticket', id: ticketId }),
    words: ({ ticketId }, nameOf) => `delete ${nameOf(ticketId) ?? 'a ticket'}`,
    apply: (sheet, { ticketId }) => ({ ...sheet, tickets: withoutRow(sheet.tickets, ticketId) }),
  },
);
