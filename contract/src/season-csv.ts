import Papa from 'papaparse';
import type { SeasonEntry } from './season-entries.js';

/** A season as a spreadsheet reads it. */
export function writeSeasonCsv(entries: readonly SeasonEntry[]): string {
  return Papa.unparse(
    entries.map(({ kind, name, from, to, tee }) => ({
      what: kind,
      name,
      from,
      to,
      time: tee?.time,
      'time zone': tee?.zone,
    })),
    {
      columns: ['what', 'name', 'from', 'to', 'time', 'time zone'],
      escapeFormulae: true,
      newline: '\n',
    },
  );
}
