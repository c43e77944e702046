import { createRequire } from 'node:module';
import path from 'node:path';
import { openSync, type Font } from 'fontkit';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { inEveryText, withKnownLetters } from './known-letters.js';

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
/** From the edge of the paper to what its font lacks. */
const NOTE_PT = 14;

let regular: Font | undefined;
const font = () => (regular ??= openSync(path.join(fontFolder, 'Roboto-Regular.ttf')) as Font);

/**
 * The bytes of a document. Reads no file but its own fonts, and nothing from a network. Where its font lacks
 * letters, each of its pages says so.
 */
export async function pdfOf(document: TDocumentDefinitions): Promise<Buffer> {
  let lacking = 0;
  const printed = inEveryText(document, (text) => {
    const [known, missing] = withKnownLetters(text, font());
    lacking += missing;
    return known;
  });
  const note = {
    text: 'A “?” may stand for a letter this paper has no font for.',
    fontSize: 6,
    color: QUIET,
  };
  printed.background = (_page, { height }) =>
    lacking > 0 ? { ...note, absolutePosition: { x: NOTE_PT, y: height - NOTE_PT } } : '';
  return maker.createPdf(printed).getBuffer();
}
