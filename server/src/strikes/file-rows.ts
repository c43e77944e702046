import {
  JsonLimitError,
  MAX_ORDER_CHARACTERS,
  checkJsonLimits,
  withRenamedFields,
  type FileEncoding,
} from '@tasche/contract';
import Papa from 'papaparse';
import { badInput } from '../http/http-error.js';

/** A row that is longer holds a quote that is never closed, or is no table. */
const MAX_ROW_CHARACTERS = 50_000;
const NEW_LINE = 0x0a;

/**
 * Takes the order off the front of what was sent: its first line.
 * @throws HttpError when there is none, or it is not JSON
 */
export async function splitOrder(
  body: AsyncIterable<Buffer>,
): Promise<{ order: unknown; file: AsyncIterable<Buffer> }> {
  const chunks = body[Symbol.asyncIterator]();
  let head = Buffer.alloc(0);
  for (;;) {
    const end = head.indexOf(NEW_LINE);
    if (end !== -1) {
      const rest = head.subarray(end + 1);
      return { order: readOrder(head.subarray(0, end).toString('utf8')), file: restOf(rest, chunks) };
    }
    if (head.length > MAX_ORDER_CHARACTERS) break;
    const next = await chunks.next();
    if (next.done) break;
    head = Buffer.concat([head, next.value]);
  }
  throw badInput('The first line must be the order of the import, as JSON.', [
    { field: 'body', message: 'no order in its first line' },
  ]);
}

async function* restOf(rest: Buffer, chunks: AsyncIterator<Buffer>): AsyncGenerator<Buffer> {
  try {
    yield rest;
    yield* { [Symbol.asyncIterator]: () => chunks };
  } finally {
    await chunks.return?.();
  }
}

function readOrder(text: string): unknown {
  let order: unknown;
  try {
    order = withRenamedFields(JSON.parse(text));
  } catch {
    throw badInput('The order in the first line is not JSON.', [
      { field: 'body', message: 'first line is not JSON' },
    ]);
  }
  try {
    checkJsonLimits(order);
  } catch (error) {
    if (error instanceof JsonLimitError)
      throw badInput(error.message, [{ field: error.field, message: error.message }]);
    throw error;
  }
  return order;
}

/**
 * The rows of a file, some at a time; no more of it is held than a row and a piece.
 * @throws HttpError when a row never ends
 */
export async function* fileRows(
  file: AsyncIterable<Buffer>,
  encoding: FileEncoding,
  delimiter: string,
): AsyncGenerator<string[][]> {
  const cut = rowCutter(delimiter);
  let line = 0;
  for await (const piece of fileText(file, encoding)) {
    const { rows, heldLength } = cut(piece);
    if (rows !== '') {
      const read = rowsOf(rows, delimiter);
      line += read.length;
      yield read;
    }
    if (heldLength > MAX_ROW_CHARACTERS) {
      throw badInput(
        `Row ${line + 1} of the file does not end: a quote is opened and never closed, or it is no table.`,
        [{ field: 'file', message: `row ${line + 1} has more than ${MAX_ROW_CHARACTERS} characters` }],
      );
    }
  }
  const { rows, held } = cut('\n');
  if (rows + held !== '') yield rowsOf(rows + held, delimiter);
}

function rowsOf(text: string, delimiter: string): string[][] {
  return Papa.parse<string[]>(text.endsWith('\n') ? text.slice(0, -1) : text, { delimiter, newline: '\n' })
    .data;
}

/**
 * Cuts text that comes in pieces between rows, so that a parser may read each part whole. A quote opens a
 * cell only at its start; a stray sign of inches is a sign. Every character is looked at once.
 */
function rowCutter(delimiter: string): (piece: string) => { rows: string; held: string; heldLength: number } {
  let held = '';
  let at = 0;
  let isQuoted = false;
  return (piece) => {
    const text = held + piece;
    let end = 0;
    while (at < text.length) {
      const quote = text.indexOf('"', at);
      if (isQuoted) {
        // The second of two may be in the next piece.
        if (quote === -1 || quote === text.length - 1) {
          at = quote === -1 ? text.length : quote;
          break;
        }
        isQuoted = text[quote + 1] === '"';
        at = quote + (isQuoted ? 2 : 1);
        if (isQuoted) continue;
      } else {
        const until = quote === -1 ? text.length : quote;
        const newLine = text.lastIndexOf('\n', until - 1);
        if (newLine >= at) end = newLine + 1;
        if (quote === -1) {
          at = text.length;
          break;
        }
        isQuoted = quote === 0 || text[quote - 1] === '\n' || text[quote - 1] === delimiter;
        at = quote + 1;
      }
    }
    held = text.slice(end);
    at -= end;
    return { rows: text.slice(0, end), held, heldLength: held.length };
  };
}

/** The file as text with one kind of line end. */
async function* fileText(file: AsyncIterable<Buffer>, encoding: FileEncoding): AsyncGenerator<string> {
  const decoder = new TextDecoder(encoding);
  let carriage = '';
  for await (const chunk of file) {
    const piece = carriage + decoder.decode(chunk, { stream: true });
    // A carriage return at the end may be half of a line end.
    carriage = piece.endsWith('\r') ? '\r' : '';
    yield (carriage ? piece.slice(0, -1) : piece).replace(/\r\n?/g, '\n');
  }
  yield (carriage + decoder.decode()).replace(/\r\n?/g, '\n');
}
