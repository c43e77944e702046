import type { Trigger } from '@tasche/contract';
import {
  COMMITTEE_DECIDES,
  distanceCard,
  distanceNumber,
  type CardRequest,
  type DistanceUnit,
} from '@tasche/core';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, QUIET, pdfOf } from '../pdf/pdf-maker.js';

export interface SwapSheet {
  playerName: string;
  eventName: string;
  unit: DistanceUnit;
  rounds: readonly {
    name: string;
    /** YYYY-MM-DD. */
    day: string;
    courseName: string | null;
    /** Null while no bag is settled. */
    bag: {
      swaps: readonly { out: string; in: string; why: string }[];
      triggers: readonly Trigger[];
      request: CardRequest;
    } | null;
  }[];
}

/**
 * What goes out and in, round by round, with why, what would change it on the morning, and the bag with its
 * carries of that day.
 */
export default async function swapSheetPdf({
  playerName,
  eventName,
  unit,
  rounds,
}: SwapSheet): Promise<Buffer> {
  const document: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [42, 36, 42, 40],
    info: { title: `Swap sheet: ${playerName}, ${eventName}`, creator: 'Tasche' },
    defaultStyle: { font: 'Roboto', fontSize: 10, color: INK },
    content: [
      {
        text: [{ text: playerName, bold: true }, `   Swap sheet, ${eventName}`],
        fontSize: 17,
        margin: [0, 0, 0, 6],
      },
      ...rounds.map((round): Content => ({
        unbreakable: true,
        margin: [0, 8, 0, 0],
        stack: [
          {
            text: [
              { text: round.name, bold: true },
              { text: `   ${[round.day, round.courseName].filter(Boolean).join(', ')}`, color: QUIET },
            ],
            fontSize: 12,
            margin: [0, 0, 0, 3],
          },
          ...bagOf(round.bag, unit),
        ],
      })),
      { text: COMMITTEE_DECIDES, color: QUIET, fontSize: 8, margin: [0, 14, 0, 0] },
    ],
  };
  return pdfOf(document);
}

function bagOf(bag: SwapSheet['rounds'][number]['bag'], unit: DistanceUnit): Content[] {
  if (!bag) return [{ text: 'No bag is settled for this round yet.', color: QUIET, italics: true }];
  const { clubs } = distanceCard(bag.request);
  const carries = clubs.map(({ name, shots }, i) => {
    const stock = shots.find(({ kind }) => kind === 'full');
    return {
      text: `${i > 0 ? ', ' : ''}${name}${stock ? ` ${distanceNumber(stock.carryM, unit)}` : ''}`,
      italics: stock?.source === 'modelled',
    };
  });
  const head = (text: string): TableCell => ({ text, color: QUIET, fontSize: 8 });
  return [
    bag.swaps.length === 0
      ? { text: 'The gamer stays as it is.' }
      : {
          table: {
            widths: ['auto', 'auto', '*'],
            body: [
              [head('Out'), head('In'), head('Why')],
              ...bag.swaps.map((swap): TableCell[] => [
                { text: swap.out, decoration: 'lineThrough' },
                { text: swap.in, bold: true },
                swap.why,
              ]),
            ],
          },
          layout: 'lightHorizontalLines',
        },
    ...bag.triggers.map((trigger): Content => ({ text: `If: ${trigger.text}`, margin: [0, 2, 0, 0] })),
    {
      text: [
        ...carries,
        ` (${unit}, stock carry in this round’s air, without its wind`,
        carries.some(({ italics }) => italics) ? '; in italics where modelled)' : ')',
      ],
      color: QUIET,
      fontSize: 9,
      margin: [0, 3, 0, 0],
    },
  ];
}
