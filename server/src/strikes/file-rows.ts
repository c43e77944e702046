import { MOST_FILE_BYTES, MOST_ORDER_CHARACTERS, type FileEncoding } from '@tasche/contract';
import Papa from 'papaparse';
import { badInput, Refusal } from '../http/refusal.js';

/** More than this without the end of a row is a quote that never closes, or no table. */
const MOST_ROW_CHARACTERS = 1_000_000;
const NEW_LINE = 0x0a;

/**
 * Takes the order off the front of what is sent: its first line.
 * @throws Refusal when there is none
 */
export async function splitOrder(body: AsyncIterable<Buffer>): Promise<{ order: unknown; file: AsyncIterable<Buffer> }> {
  const chunks = body[Symbol.asyncIterator]();
  let head = Buffer.alloc(0);
  for (;;) {
    const end = head.indexOf(NEW_LINE);
    if (end !== -1) {
      const rest = head.subarray(end + 1);
      return { order: readOrder(head.subarray(0, end).toString('utf8')), file: (async function* () { yield rest; yield* { [Symbol.asyncIterator]: () => chunks }; })() };
    }
    if (head.length > MOST_ORDER_CHARACTERS) break;
    const next = await chunks.next();
    if (next.done) break;
    head = Buffer.concat([head, next.value]);
  }
  throw badInput('The first line must be the order of the import, as JSON.', [{ field: 'body', message: 'no order in its first line' }]);
}

function readOrder(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw badInput('The order in the first line is not JSON.', [{ field: 'body', message: 'first line is not JSON' }]);
  }
}

export function tooLarge(): Refusal {
  return new Refusal(413, { error: 'too-large', message: `That file is over ${MOST_FILE_BYTES / 1e6} MB; nothing was taken. Split it, or export fewer sessions at once.` });
}

/**
 * The rows of a file as it arrives, some at a time. No more of it is held than a row and a piece: whoever reads slowly slows the sender.
 * Pieces are cut between rows and then read by the parser whole, which is thirty times as fast as feeding it as a stream, row by row.
 * @throws Refusal when it is too large, or a row never ends
 */
export async function* fileRows(file: AsyncIterable<Buffer>, encoding: FileEncoding, delimiter: string): AsyncGenerator<string[][]> {
  let held = '';
  for await (const piece of fileText(file, encoding)) {
    held += piece;
    const end = lastRowEnd(held);
    if (end > 0) {
      yield rowsOf(held.slice(0, end), delimiter);
      held = held.slice(end);
    } else if (held.length > MOST_ROW_CHARACTERS) {
      throw badInput('A row of the file does not end: a quote is opened and never closed, or it is no table.', [{ field: 'file', message: 'a row of over a million characters' }]);
    }
  }
  if (held !== '') yield rowsOf(held, delimiter);
}

function rowsOf(text: string, delimiter: string): string[][] {
  return Papa.parse<string[]>(text.endsWith('\n') ? text.slice(0, -1) : text, { delimiter, newline: '\n' }).data;
}

/** The file as text with one kind of line end. */
async function* fileText(file: AsyncIterable<Buffer>, encoding: FileEncoding): AsyncGenerator<string> {
  const decoder = new TextDecoder(encoding);
  let bytes = 0;
  let carriage = '';
  for await (const chunk of file) {
    bytes += chunk.length;
    if (bytes > MOST_FILE_BYTES) throw tooLarge();
    const piece = carriage + decoder.decode(chunk, { stream: true });
    // A carriage return at the end may be half of a line end.
    carriage = piece.endsWith('\r') ? '\r' : '';
    yield (carriage ? piece.slice(0, -1) : piece).replace(/\r\n?/g, '\n');
  }
  yield (carriage + decoder.decode()).replace(/\r\n?/g, '\n');
}

/** Where the last whole row of a text ends: after the last line end outside quotes; 0 when there is none. */
function lastRowEnd(text: string): number {
  let before = count(text, 0, text.length);
  let end = text.length;
  for (let at = text.lastIndexOf('\n'); at !== -1; at = at === 0 ? -1 : text.lastIndexOf('\n', at - 1)) {
    before -= count(text, at, end);
    end = at;
    if (before % 2 === 0) return at + 1;
  }
  return 0;
}

function count(text: string, from: number, to: number): number {
  let quotes = 0;
  for (let at = text.indexOf('"', from); at !== -1 && at < to; at = text.indexOf('"', at + 1)) quotes += 1;
  return quotes;
}
