import { strToU8, zipSync } from 'fflate';

/** A cell: text, a number, or a number with the format a workbook shows it in. */
export type Cell = string | number | { value: number; format: 'day' | 'time' } | null;

const FORMATS = { day: 1, time: 2 } as const;
// Names the format wants, and no addresses: nothing is fetched.
const NS = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"';
const RELS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

function cellOf(cell: Cell, at: string): string {
  if (cell === null) return '';
  if (typeof cell === 'string') return `<c r="${at}" t="inlineStr"><is><t>${cell}</t></is></c>`;
  if (typeof cell === 'number') return `<c r="${at}"><v>${cell}</v></c>`;
  return `<c r="${at}" s="${FORMATS[cell.format]}"><v>${cell.value}</v></c>`;
}

/** A workbook of these sheets, as little of one as there can be (ECMA-376, part 1: SpreadsheetML). */
export function workbookOf(
  sheets: Readonly<Record<string, readonly (readonly Cell[])[]>>,
  name = 'bags.xlsx',
) {
  const names = Object.keys(sheets);
  const rel = (i: number, type: string, target: string) =>
    `<Relationship Id="rId${i}" Type="${RELS}/${type}" Target="${target}"/>`;
  const row = (cells: readonly Cell[], y: number) =>
    `<row r="${y + 1}">${cells.map((cell, x) => cellOf(cell, `${String.fromCharCode(65 + x)}${y + 1}`)).join('')}</row>`;
  const parts: Record<string, string> = {
    '[Content_Types].xml': `<Types xmlns="${PACKAGE}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/></Types>`,
    '_rels/.rels': `<Relationships xmlns="${PACKAGE}/relationships">${rel(1, 'officeDocument', 'xl/workbook.xml')}</Relationships>`,
    'xl/workbook.xml': `<workbook ${NS} xmlns:r="${RELS}"><sheets>${names.map((sheet, i) => `<sheet name="${sheet}" sheetId="${i + 1}" r:id="rId${i + 1}"/>`).join('')}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${PACKAGE}/relationships">${names.map((_sheet, i) => rel(i + 1, 'worksheet', `worksheets/sheet${i + 1}.xml`)).join('')}${rel(99, 'styles', 'styles.xml')}</Relationships>`,
    // 14 and 20 are a day and a time of day in every workbook.
    'xl/styles.xml': `<styleSheet ${NS}><cellXfs count="3"><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="20"/></cellXfs></styleSheet>`,
    ...Object.fromEntries(
      names.map((sheet, i) => [
        `xl/worksheets/sheet${i + 1}.xml`,
        `<worksheet ${NS}><sheetData>${sheets[sheet]!.map(row).join('')}</sheetData></worksheet>`,
      ]),
    ),
  };
  const bytes = zipSync(Object.fromEntries(Object.entries(parts).map(([path, xml]) => [path, strToU8(xml)])));
  return new File([bytes as BlobPart], name);
}
