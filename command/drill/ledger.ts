import pg from 'pg';

/** What was acknowledged to whom, to be held against what the database has. */
export class Ledger {
  /** Serial numbers and heads, written together in one change. */
  readonly readings: { changeId: string; playerId: string; serial: string }[] = [];
  /** Files of so many rows each. */
  readonly imports: { changeId: string; rows: number }[] = [];
  /** Sent, and not known to be acknowledged: may be there or not, but whole and once. */
  readonly sent = new Set<string>();
  /** Moments at which a write was acknowledged, in milliseconds. */
  readonly moments: number[] = [];
  /** What was refused though nothing was wrong with it. */
  readonly refused: string[] = [];
  choices = 0;
  wrongChoices = 0;
  sentAway = 0;

  /** The longest time without an acknowledged write since a moment. */
  longestPause(since: number): number {
    const moments = [since, ...this.moments.filter((at) => at >= since), Date.now()];
    return Math.max(...moments.slice(1).map((at, i) => at - moments[i]!));
  }
}

/** How the database stands beside a ledger. */
export interface Standing {
  acknowledged: number;
  lost: number;
  half: number;
  doubled: number;
  balls: number;
  ballsLost: number;
}

/**
 * Counts what was acknowledged and is missing, what is there by half, and what is there twice.
 * @param url of a role that sees every workspace
 * @param balls of the monitor: those it does not hold on to were acknowledged
 */
export async function standingOf(
  url: string,
  ledger: Ledger,
  device: string,
  { hit, waiting }: { hit: number; waiting: readonly number[] },
): Promise<Standing> {
  const client = new pg.Client({
    connectionString: url,
    connectionTimeoutMillis: 5000,
    query_timeout: 60_000,
  });
  await client.connect();
  try {
    const readings = [...ledger.readings];
    const imports = [...ledger.imports];
    const { rows: serials } = await client.query<{ serial: string; serials: number; heads: number }>(
      `select value #>> '{}' as serial, count(*) filter (where key = 'serial')::int as serials,
         count(*) filter (where key = 'head')::int as heads
       from reading where value #>> '{}' = any($1) group by 1`,
      [[...ledger.sent]],
    );
    const { rows: files } = await client.query<{ id: string; rows: number }>(
      `select change_row.change_id as id, count(*)::int as rows from change_row
         join strike on strike.session_id = change_row.row_id where change_row.change_id = any($1) group by 1`,
      [imports.map(({ changeId }) => changeId)],
    );
    const { rows: changes } = await client.query<{ id: string }>('select id from change where id = any($1)', [
      [...readings, ...imports].map(({ changeId }) => changeId),
    ]);
    const { rows: balls } = await client.query<{ number: number; kept: number }>(
      `select number, count(*)::int as kept from strike where device_key like $1 group by 1`,
      [`monitor:${device}:%`],
    );
    const bySerial = new Map(serials.map((row) => [row.serial, row]));
    const byFile = new Map(files.map((row) => [row.id, row.rows]));
    const known = new Set(changes.map(({ id }) => id));
    const ballNumbers = new Set(balls.map(({ number }) => number));
    return {
      acknowledged: readings.length + imports.length,
      lost:
        readings.filter((one) => !bySerial.has(one.serial) || !known.has(one.changeId)).length +
        imports.filter((one) => !byFile.has(one.changeId) || !known.has(one.changeId)).length,
      half:
        serials.filter((row) => row.serials !== row.heads).length +
        imports.filter((one) => (byFile.get(one.changeId) ?? one.rows) !== one.rows).length,
      doubled:
        serials.filter((row) => row.serials > 1 || row.heads > 1).length +
        balls.filter(({ kept }) => kept > 1).length,
      balls: ballNumbers.size,
      ballsLost: Array.from({ length: hit }, (_one, i) => i + 1).filter(
        (number) => !ballNumbers.has(number) && !waiting.includes(number),
      ).length,
    };
  } finally {
    await client.end();
  }
}
