import { PDFDocument } from 'pdf-lib';
import buildSheetPdf, { type BuildSheet } from '../bench/build-sheet-pdf.js';
import cardPdf, { type PrintedCard } from '../card/card-pdf.js';
import specSheetPdf, { type SpecSheet } from '../sheet/spec-sheet-pdf.js';
import swapSheetPdf, { type SwapSheet } from './swap-sheet-pdf.js';
import ticketsPdf, { type TicketSheet } from './tickets-pdf.js';

/** One paper of a print run, with what it is made of. */
export type Paper =
  | { paper: 'sheet'; of: SpecSheet }
  | { paper: 'swaps'; of: SwapSheet }
  | { paper: 'card'; of: PrintedCard }
  | { paper: 'tickets'; of: TicketSheet }
  | { paper: 'build'; of: BuildSheet };

/**
 * Several papers of several players as one document, in order; each keeps its own size. Takes seconds, so it
 * is run in a thread.
 */
export default async function printRun(papers: readonly Paper[]): Promise<Uint8Array> {
  const whole = await PDFDocument.create();
  whole.setTitle('Print run');
  whole.setCreator('Tasche');
  for (const paper of papers) {
    const made = await PDFDocument.load(await pdfOf(paper));
    for (const page of await whole.copyPages(made, made.getPageIndices())) whole.addPage(page);
  }
  return whole.save();
}

function pdfOf(paper: Paper): Promise<Buffer> {
  switch (paper.paper) {
    case 'sheet':
      return specSheetPdf(paper.of);
    case 'swaps':
      return swapSheetPdf(paper.of);
    case 'card':
      return cardPdf(paper.of);
    case 'tickets':
      return ticketsPdf(paper.of);
    case 'build':
      return buildSheetPdf(paper.of);
  }
}
