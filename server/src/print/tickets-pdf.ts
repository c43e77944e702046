import { showQuantity, type TicketView } from '@tasche/contract';
import { BUILDER_WORDS, JOB_CAUTIONS, quantityOf } from '@tasche/core';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, QUIET, pdfOf } from '../pdf/pdf-maker.js';

export interface TicketSheet {
  playerName: string;
  tickets: readonly (Pick<TicketView, 'name' | 'job' | 'wanted' | 'why' | 'dueOn'> & { clubName: string })[];
}

/** A player's open jobs for the bench, with a line to write what each became. */
export default async function ticketsPdf({ playerName, tickets }: TicketSheet): Promise<Buffer> {
  const cautions = [...new Set(tickets.flatMap(({ job }) => JOB_CAUTIONS[job]))];
  const document: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [42, 36, 42, 40],
    info: { title: `Tickets: ${playerName}`, creator: 'Tasche' },
    defaultStyle: { font: 'Roboto', fontSize: 10.5, color: INK },
    content: [
      { text: [{ text: playerName, bold: true }, '   Tickets'], fontSize: 17, margin: [0, 0, 0, 8] },
      ...(tickets.length === 0 ? [{ text: 'Nothing is waiting on the bench.', color: QUIET }] : []),
      ...tickets.map(({ name, clubName, wanted, why, dueOn }): Content => ({
        unbreakable: true,
        margin: [0, 6, 0, 0],
        stack: [
          {
            columns: [
              {
                text: [
                  { text: '[   ]  ', color: QUIET },
                  { text: name, bold: true },
                ],
              },
              { text: dueOn === null ? '' : `by ${dueOn}`, alignment: 'right', width: 90, color: QUIET },
            ],
          },
          {
            text: [
              clubName,
              ...wanted.map(({ key, value }) => {
                const quantity = quantityOf(key)!;
                return `${quantity.label} ${showQuantity(quantity, value)}`;
              }),
              why,
            ]
              .filter(Boolean)
              .join(' · '),
            color: QUIET,
            margin: [16, 1, 0, 2],
          },
          {
            text: 'became: ______________________   by: __________',
            color: QUIET,
            fontSize: 9,
            margin: [16, 2, 0, 0],
          },
        ],
      })),
      {
        text: [...cautions, BUILDER_WORDS].join(' '),
        color: QUIET,
        fontSize: 8.5,
        margin: [0, 16, 0, 0],
      },
    ],
  };
  return pdfOf(document);
}
