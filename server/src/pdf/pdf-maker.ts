import { createRequire } from 'node:module';
import path from 'node:path';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';

interface PdfMaker {
  setFonts(fonts: object): void;
  setUrlAccessPolicy(allow: (url: string) => boolean): void;
  setLocalAccessPolicy(allow: (file: string) => boolean): void;
  createPdf(document: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}

const require = createRequire(import.meta.url);
const fontFolder = path.join(path.dirname(require.resolve('pdfmake/package.json')), 'fonts/Roboto');
const maker = require('pdfmake') as PdfMaker;
maker.setUrlAccessPolicy(() => false);
maker.setLocalAccessPolicy((file) => path.resolve(file).startsWith(fontFolder));
maker.setFonts({
  Roboto: {
    normal: path.join(fontFolder, 'Roboto-Regular.ttf'),
    bold: path.join(fontFolder, 'Roboto-Medium.ttf'),
    italics: path.join(fontFolder, 'Roboto-Italic.ttf'),
    bolditalics: path.join(fontFolder, 'Roboto-MediumItalic.ttf'),
  },
});

export const INK = '#20282b';
export const QUIET = '#6b6558';

/** The bytes of a document. Reads no file but its own fonts, and nothing from a network. */
export async function pdfOf(document: TDocumentDefinitions): Promise<Buffer> {
  return maker.createPdf(document).getBuffer();
}
