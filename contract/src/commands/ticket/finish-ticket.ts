import { finishTicket as finished } from '@tasche/core';
import { dateSchema, idSchema, required, shape } from '../../schemas.js';
import { benchValuesSchema } from '../../ticket-schemas.js';
import { defineCommand, versionSchema } from '../define-command.js';
import { withReadings } from '../club/readings.js';
import { mapRow } from '../map-rows.js';

/**
 * A job handed in with what was measured afterwards: the club's sheet gets it, and a miss opens the ticket
 * again.
 */
export const finishTicket = defineCommand(
  'finishTicket',
  'sheet',
  shape({
    ticketId: required(idSchema),
    version: versionSchema,
    takenOn: required(dateSchema),
    became: required(benchValuesSchema),
  }),
  {
    subject: ({ ticketId }) => ({ kind: 'ticket', id: ticketId }),
    words: ({ ticketId, became }, nameOf) =>
      `hand in ${nameOf(ticketId) ?? 'a ticket'}: ${became.map(({ value }) => value).join(', ')}`,
    apply: (sheet, { ticketId, takenOn, became }) => {
      const ticket = sheet.tickets.find(({ id }) => id === ticketId);
      if (!ticket || ticket.state === 'done') return sheet;
      const { readings, misses } = finished(ticket.wanted, became, takenOn);
      const isDone = misses.length === 0;
      return {
        ...sheet,
        tickets: mapRow(sheet.tickets, ticketId, (one) => ({
          ...one,
          became,
          misses,
          state: isDone ? 'done' : 'asked',
          doneOn: isDone ? takenOn : null,
        })),
        clubs: mapRow(sheet.clubs, ticket.clubId, (club) => ({
          ...club,
          spec: withReadings(club.spec, readings),
        })),
      };
    },
  },
);
