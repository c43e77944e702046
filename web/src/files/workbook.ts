import Papa from 'papaparse';
import readWorkbook from 'read-excel-file/universal';

/** A sheet of a workbook as a table in text, tabs between its cells. */
export interface WorkbookSheet {
  name: string;
  text: string;
}

/** A workbook unpacks to some ten times its size. */
export const MAX_WORKBOOK_BYTES = 20_000_000;

/** Whether a file is a workbook of a spreadsheet that can be read: an `.xlsx`. */
export const isWorkbook = ({ name }: Pick<File, 'name'>): boolean => /\.xls[xm]$/i.test(name);

/**
 * The sheets of a workbook that have cells. Rows stay where they are, so that what cannot be read is named by its
 * row; numbers, days and times of day are written in full, whatever they look like in the workbook.
 * @throws Error saying why it cannot be read
 */
export async function sheetsOf(file: ArrayBuffer): Promise<WorkbookSheet[]> {
  const sheets = await readWorkbook(file).catch(() => {
    throw new Error('This workbook could not be read; save it again as .xlsx, or the sheet as CSV.');
  });
  return sheets.flatMap(({ sheet, data }) => {
    const rows = data.map((row) => row.map(textOfCell));
    const first = Math.min(
      ...rows.map((row) => row.findIndex((cell) => cell !== '')).filter((at) => at >= 0),
    );
    if (!Number.isFinite(first)) return [];
    return [
      {
        name: sheet,
        text: Papa.unparse(
          rows.map((row) => row.slice(first)),
          { delimiter: '\t', newline: '\n' },
        ),
      },
    ];
  });
}

/** Time of day alone is a day before workbooks begin to count them. */
const FIRST_YEAR = 1900;
/** Sums of decimals end in noise: 165.30000000000001. */
const DIGITS = 12;

function textOfCell(cell: unknown): string {
  if (typeof cell === 'number') return String(Number(cell.toPrecision(DIGITS)));
  if (typeof cell === 'boolean') return cell ? 'yes' : 'no';
  if (!(cell instanceof Date)) return typeof cell === 'string' ? cell.trim() : '';
  const [day, time] = [cell.toISOString().slice(0, 10), cell.toISOString().slice(11, 19)];
  if (cell.getUTCFullYear() < FIRST_YEAR) return time;
  return time === '00:00:00' ? day : `${day} ${time}`;
}
