import type { ClubMatch, StrikeImportReport } from '@tasche/contract';

/** How many shots of a file an import would bring. */
interface ImportCount {
  shots: number;
  /** Clubs were changed since the file was read: how many of their shots are known already is not known yet. */
  isAtMost: boolean;
  /** Shots that are here already, or twice in the file; 0 where that is not known yet. */
  known: number;
}

/**
 * @param report of the file as it was read
 * @param clubOf what a label of the file is said to be now
 */
export function importCount(
  { labels, duplicates }: Pick<StrikeImportReport, 'labels' | 'duplicates'>,
  clubOf: (label: string) => ClubMatch,
): ImportCount {
  const rows = labels.reduce((sum, one) => sum + (clubOf(one.label) ? one.rows : 0), 0);
  // A shot is known by what the file calls its club, whichever club that is said to be.
  const isAsRead = labels.every(({ label, match }) => (match === null) === (clubOf(label) === null));
  if (!isAsRead) return { shots: rows, isAtMost: duplicates > 0, known: 0 };
  return { shots: Math.max(0, rows - duplicates), isAtMost: false, known: duplicates };
}
