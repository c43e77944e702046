import { SUMMARY_ROW, type StrikeImportReport } from '@tasche/contract';

type Refused = Pick<StrikeImportReport, 'refused' | 'reasons' | 'refusals'>;

/**
 * The rows of a file that cannot be imported, apart from the lines a device adds about its shots, such as their
 * average: those are in nearly every file and need no attention.
 * @returns `summaryRows` counts the latter; the rest is the report without them
 */
export function refusedRows({ refused, reasons, refusals }: Refused): Refused & { summaryRows: number } {
  const summaryRows = reasons.find(({ reason }) => reason === SUMMARY_ROW)?.count ?? 0;
  return {
    summaryRows,
    refused: refused - summaryRows,
    reasons: reasons.filter(({ reason }) => reason !== SUMMARY_ROW),
    refusals: refusals.filter(({ reason }) => reason !== SUMMARY_ROW),
  };
}
