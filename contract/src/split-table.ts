import Papa from 'papaparse';

/** A text that cannot be read as a table at all. */
export class TableError extends Error {
  override readonly name = 'TableError';
}

/** Every column there is, and as many that are not ours. */
const MAX_COLUMNS = 300;
/** Lines of one quoted cell: a note may have some. */
const MAX_CELL_LINES = 100;

/** As many lines are looked at as a table may have. */
const MAX_COLUMN_LINES = 2000;
/** Lines by which the sign between cells is told. */
const LINES_TO_GUESS_BY = 40;

/** What parts the cells of a table, the surest sign first. */
export const DELIMITERS = ['\t', ';', ',', '|'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

export const isBlankRow = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');

/**
 * Cells of a comma-, semicolon- or tab-separated text. Empty lines stay where they are, but for those at the
 * end: what is pasted over rows keeps to its rows.
 * @throws TableError when a quote is not closed, or a row holds too many cells
 */
export function splitTable(text: string): string[][] {
  const clean = text.replace(/^\uFEFF/, '');
  const delimiter = isOneColumn(clean) ? '\t' : guessDelimiter(clean);
  const { data, errors } = Papa.parse<string[]>(clean, { delimiter });
  const broken = errors.find((error) => error.type === 'Quotes');
  if (broken) throw new TableError(`row ${(broken.row ?? 0) + 1}: ${broken.message}`);
  const wide = data.findIndex((row) => row.length > MAX_COLUMNS);
  if (wide !== -1)
    throw new TableError(`row ${wide + 1} holds ${data[wide]!.length} cells, at most ${MAX_COLUMNS}`);
  const long = data.findIndex((row) =>
    row.some((cell) => cell.split('\n', MAX_CELL_LINES + 2).length > MAX_CELL_LINES),
  );
  if (long !== -1)
    throw new TableError(`row ${long + 1}: a quote is opened and not closed within ${MAX_CELL_LINES} lines`);
  return data.slice(0, data.findLastIndex((row) => !isBlankRow(row)) + 1);
}

/** The sign between the cells of a text; a comma where it has one cell a line. */
export function guessDelimiter(text: string): Delimiter {
  // Empty lines would speak against any sign that parts the others: one at the end hides that between two columns.
  const { meta } = Papa.parse<string[]>(text, {
    delimitersToGuess: [...DELIMITERS],
    skipEmptyLines: 'greedy',
    preview: LINES_TO_GUESS_BY,
  });
  return DELIMITERS.find((one) => one === meta.delimiter) ?? ',';
}

/** A column of numbers with decimal commas, "31,5", is not two columns parted by commas. */
function isOneColumn(text: string): boolean {
  const lines = text.split(/\r?\n/, MAX_COLUMN_LINES).filter((line) => line.trim() !== '');
  return lines.length > 0 && lines.every((line) => /^\s*[+-]?\d{1,4}(,\d{1,2})?\s*$/.test(line));
}
