/** PostgreSQL's codes for "not now" (Appendix A of its manual), and the network's for "nobody there". */
const AWAY_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EHOSTUNREACH',
  '57P01',
  '57P02',
  '57P03',
  '53300',
  '08000',
  '08001',
  '08003',
  '08004',
  '08006',
  '25P03',
]);
/** A primary that has become a replica refuses to write. */
const READ_ONLY = '25006';
const AWAY_MESSAGES =
  /timeout expired|Connection terminated|connection timeout|timeout exceeded when trying to connect|Client has encountered a connection error|Query read timeout|Transaction query already complete/i;
const BUSY_MESSAGES = /Timeout acquiring a connection|Unable to acquire a connection/i;
/** Serialisation failure, deadlock, a lock not had in time, a statement that took too long. */
const BUSY_CODES = new Set(['40001', '40P01', '55P03', '57014']);
const FULL_CODES = new Set(['53100', 'ENOSPC']);
const MAX_CAUSES = 5;

/**
 * What an error says of the database, where the database and not the request is at fault: it is away, it is
 * too busy, its disk is full; undefined where it says nothing of the kind.
 */
export function databaseState(error: unknown): 'away' | 'busy' | 'full' | undefined {
  for (const { code, message } of causesOf(error)) {
    if (code !== undefined && FULL_CODES.has(code)) return 'full';
    if (code !== undefined && BUSY_CODES.has(code)) return 'busy';
    if (code !== undefined && (AWAY_CODES.has(code) || code === READ_ONLY)) return 'away';
    if (message !== undefined && BUSY_MESSAGES.test(message)) return 'busy';
    if (message !== undefined && AWAY_MESSAGES.test(message)) return 'away';
  }
  return undefined;
}

/** Whether a transaction met another in a way that goes away when it is done again. */
export function isRetryable(error: unknown): boolean {
  return causesOf(error).some(({ code }) => code === '40001' || code === '40P01');
}

interface Cause {
  code?: string;
  message?: string;
  cause?: unknown;
  errors?: unknown[];
}

function causesOf(error: unknown): Cause[] {
  const causes: Cause[] = [];
  for (
    let next = error as Cause | undefined | null;
    next && causes.length < MAX_CAUSES;
    next = (next.cause ?? next.errors?.[0]) as Cause | undefined
  ) {
    causes.push(next);
  }
  return causes;
}
