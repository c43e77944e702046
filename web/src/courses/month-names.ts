import { format } from 'date-fns';

/** January to December. */
export const MONTH_NAMES: readonly string[] = Array.from({ length: 12 }, (_one, month) =>
  format(new Date(2026, month, 1), 'MMMM'),
);
