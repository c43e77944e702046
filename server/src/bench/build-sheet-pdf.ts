import type { ClubView } from '@tasche/contract';
import { showQuantity } from '@tasche/contract';
import {
  BUILDER_WORDS,
  BUILD_SHEET,
  JOB_CAUTIONS,
  buildOf,
  quantityOf,
  type QuantityKey,
} from '@tasche/core';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, QUIET, pdfOf } from '../pdf/pdf-maker.js';

export interface BuildSheet {
  playerName: string;
  club: Pick<ClubView, 'name' | 'kind' | 'spec'>;
  /** What the code on it opens. */
  address: string;
  /** YYYY-MM-DD. */
  day: string;
}

const LABELS: Partial<Record<QuantityKey, string>> = { loftSetDeg: 'Loft', lieSetDeg: 'Lie' };

/** One page with everything that is needed to build a club again, and a code that opens it. */
export default async function buildSheetPdf({ playerName, club, address, day }: BuildSheet): Promise<Buffer> {
  const parts = new Map(buildOf(club.spec).map((part) => [part.key, part.value]));
  const group = ({ title, keys }: (typeof BUILD_SHEET)[number]): Content => ({
    unbreakable: true,
    stack: [
      { text: title, bold: true, fontSize: 12, margin: [0, 10, 0, 3] },
      {
        table: {
          widths: [130, '*'],
          body: keys.map((key) => {
            const value = parts.get(key);
            const quantity = quantityOf(key)!;
            return [
              { text: LABELS[key] ?? quantity.label, color: QUIET },
              value === undefined
                ? { text: 'not recorded', color: QUIET, italics: true }
                : { text: showQuantity(quantity, value) },
            ];
          }),
        },
        layout: 'lightHorizontalLines',
      },
    ],
  });
  const document: TDocumentDefinitions = {
    pageSize: 'A4',
    pageMargins: [42, 36, 42, 40],
    info: { title: `Build sheet: ${playerName}, ${club.name}`, creator: 'Tasche' },
    defaultStyle: { font: 'Roboto', fontSize: 10, color: INK },
    content: [
      {
        columns: [
          {
            stack: [
              { text: club.name, fontSize: 22, bold: true },
              { text: `${playerName} · ${club.kind} · build sheet as of ${day}`, color: QUIET },
            ],
          },
          { qr: address, fit: 84, width: 90 },
        ],
      },
      ...BUILD_SHEET.map(group),
      {
        text: [...JOB_CAUTIONS.build, BUILDER_WORDS].join(' '),
        color: QUIET,
        fontSize: 8.5,
        margin: [0, 14, 0, 0],
      },
    ],
  };
  return pdfOf(document);
}
