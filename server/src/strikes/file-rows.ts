import { Readable, pipeline } from 'node:stream';
import { JsonLimitError, MOST_ORDER_CHARACTERS, checkJsonLimits, type FileEncoding } from '@tasche/contract';
import { CsvError, parse } from 'csv-parse';
import { badInput } from '../http/refusal.js';

/** A row that is longer holds a quote that is never closed, or is no table. */
const MAX_ROW_BYTES = 50_000;
/** Rows handed on at once. */
const ROWS_AT_ONCE = 500;
const NEW_LINE = 0x0a;

/**
 * Takes the order off the front of what was sent: its first line.
 * @throws Refusal when there is none, or it is not JSON
 */
export async function splitOrder(body: AsyncIterable<Buffer>): Promise<{ order: unknown; file: AsyncIterable<Buffer> }> {
  const chunks = body[Symbol.asyncIterator]();
  let head = Buffer.alloc(0);
  for (;;) {
    const end = head.indexOf(NEW_LINE);
    if (end !== -1) {
      const rest = head.subarray(end + 1);
      return { order: readOrder(head.subarray(0, end).toString('utf8')), file: restOf(rest, chunks) };
    }
    if (head.length > MOST_ORDER_CHARACTERS) break;
    const next = await chunks.next();
    if (next.done) break;
    head = Buffer.concat([head, next.value]);
  }
  throw badInput('The first line must be the order of the import, as JSON.', [{ field: 'body', message: 'no order in its first line' }]);
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
    order = JSON.parse(text);
  } catch {
    throw badInput('The order in the first line is not JSON.', [{ field: 'body', message: 'first line is not JSON' }]);
  }
  try {
    checkJsonLimits(order);
  } catch (error) {
    if (error instanceof JsonLimitError) throw badInput(error.message, [{ field: error.field, message: error.message }]);
    throw error;
  }
  return order;
}

/**
 * The rows of a file, some at a time; no more of it is held than a row and a piece.
 * @throws Refusal when a row never ends
 */
export async function* fileRows(file: AsyncIterable<Buffer>, encoding: FileEncoding, delimiter: string): AsyncGenerator<string[][]> {
  const parser = parse({
    delimiter,
    record_delimiter: ['\r\n', '\n', '\r'],
    // A stray sign of inches is a sign; rows are as long as they are.
    relax_quotes: true,
    relax_column_count: true,
    max_record_size: MAX_ROW_BYTES,
  });
  // A failure on either side is met where the rows are read.
  pipeline(Readable.from(fileText(file, encoding)), parser, () => undefined);
  let rows: string[][] = [];
  try {
    for await (const row of parser as AsyncIterable<string[]>) {
      rows.push(row);
      if (rows.length < ROWS_AT_ONCE) continue;
      yield rows;
      rows = [];
    }
  } catch (error) {
    const cause = error instanceof CsvError ? error : undefined;
    if (!cause) throw error;
    const where = `near line ${cause.lines ?? '?'}`;
    throw badInput(
      cause.code === 'CSV_MAX_RECORD_SIZE'
        ? `A row of the file does not end (${where}): a quote is opened and never closed, or it is no table.`
        : `The file could not be read as a table (${where}).`,
      [{ field: 'file', message: `a row that cannot be read, ${where}` }]);
  }
  if (rows.length > 0) yield rows;
}

async function* fileText(file: AsyncIterable<Buffer>, encoding: FileEncoding): AsyncGenerator<string> {
  const decoder = new TextDecoder(encoding);
  for await (const chunk of file) {
    const text = decoder.decode(chunk, { stream: true });
    if (text !== '') yield text;
  }
  const rest = decoder.decode();
  if (rest !== '') yield rest;
}
