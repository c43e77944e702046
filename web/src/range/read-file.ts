import {
  guessDelimiter,
  guessMapping,
  guessWithoutHeads,
  isNumberCell,
  strikeFieldOf,
  type Delimiter,
  type FileEncoding,
  type MappingGuess,
} from '@tasche/contract';
import Papa from 'papaparse';
import { textOfBytes } from '../files/text-of-file';
import { shotsByClub } from './shots-by-club';

/** A launch monitor's file as far as its beginning shows it. */
export interface FileLook {
  /** What is sent: the file, or the list made of it. */
  file: Blob;
  /** Its clubs were heads, or had their shots behind them: it was made a list with a row a shot. */
  isListed: boolean;
  encoding: FileEncoding;
  delimiter: Delimiter;
  /** Lines before the one with the heads, or before the first row where there are none. */
  skipLines: number;
  hasHeads: boolean;
  heads: readonly string[];
  /** Rows under the heads, units and all. */
  rows: readonly (readonly string[])[];
  guess: MappingGuess;
}

/** As much of a file as is looked at before it is sent. */
const SAMPLE_BYTES = 300_000;
const SAMPLE_ROWS = 300;
/** Devices write some lines about themselves before the heads; not more than this. */
const MAX_LINES_BEFORE = 20;

/**
 * Reads the beginning of a file: its encoding, its columns, a guess at what they are.
 * @throws Error with what is wrong with it
 */
export async function lookAtFile(file: Blob, distanceUnit: 'yd' | 'm'): Promise<FileLook> {
  const bytes = new Uint8Array(await file.slice(0, SAMPLE_BYTES).arrayBuffer());
  const { text, encoding } = textOfBytes(bytes, bytes.length < file.size);
  const lines = text.replace(/\r\n?/g, '\n');
  const delimiter = guessDelimiter(lines);
  const { data } = Papa.parse<string[]>(lines, { delimiter, newline: '\n', preview: SAMPLE_ROWS });
  const list = bytes.length === file.size ? shotsByClub(data, lines) : undefined;
  if (list) {
    const made = new Blob([Papa.unparse(list)]);
    return { ...(await lookAtFile(made, distanceUnit)), isListed: true };
  }
  const skipLines = headLine(data);
  const first = data[skipLines] ?? [];
  const seen = { file, isListed: false, encoding, delimiter, skipLines };
  if (knownHeads(first) === 0 && first.some(isNumberCell)) {
    const rows = filledRows(data.slice(skipLines));
    const guess = guessWithoutHeads(rows, distanceUnit);
    return { ...seen, hasHeads: false, heads: guess.heads, rows, guess };
  }
  const heads = first.map((head) => head.trim().slice(0, 200));
  const rows = filledRows(data.slice(skipLines + 1));
  if (heads.length === 0 || rows.length === 0) throw new Error('No rows under a header line were found.');
  return {
    ...seen,
    hasHeads: true,
    heads,
    rows,
    guess: guessMapping(heads, rows, distanceUnit, data.slice(0, skipLines)),
  };
}

function filledRows(rows: readonly (readonly string[])[]): (readonly string[])[] {
  return rows.filter((row) => row.some((cell) => cell.trim() !== ''));
}

/** How many cells of a line name a column launch monitors have. */
function knownHeads(row: readonly string[]): number {
  return row.filter((cell) => strikeFieldOf(cell) !== undefined).length;
}

/** The line that names most columns a launch monitor has. */
function headLine(data: readonly (readonly string[])[]): number {
  let best = 0;
  for (let line = 1; line < Math.min(MAX_LINES_BEFORE, data.length); line++)
    if (knownHeads(data[line]!) > knownHeads(data[best]!)) best = line;
  return best;
}
