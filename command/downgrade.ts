import pg from 'pg';
import { backup } from './backup.js';
import { reaching } from './cluster.js';
import { dataFolder } from './data-folder.js';
import { CliError } from './stop.js';

/**
 * `./tasche downgrade MIGRATION FILE`: the database as an earlier version of Tasche knows it, so that one can
 * go back to that version without giving up what was written since. What that version does not know is
 * dropped; everything is in FILE first, a backup.
 * @param to the newest migration that version knows: "013", or its whole name
 * @throws CliError
 */
export async function downgrade(
  to: string | undefined,
  file: string | undefined,
  data: string | undefined,
): Promise<void> {
  if (to === undefined || file === undefined)
    throw new CliError(
      'say to which migration, and where the backup goes first: ./tasche downgrade 013 FILE',
      2,
    );
  const { MIGRATION_NAMES, EARLIEST_TO_GO_BACK_TO } = await import('../server/src/database/database.js');
  const name = MIGRATION_NAMES.find((one) => one === to || one.startsWith(`migration-${to}-`));
  if (name === undefined)
    throw new CliError(
      `there is no migration "${to}". There are ${MIGRATION_NAMES.map((one) => one.slice(10)).join(', ')}.`,
      2,
    );
  if (name < EARLIEST_TO_GO_BACK_TO)
    throw new CliError(
      `${name} cannot be gone back to: ${EARLIEST_TO_GO_BACK_TO} changed what was there. Restore a backup made before it.`,
    );
  const given = process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL;
  const work = async (url: string) => {
    await nobodyElse(url);
    const { rows, migration } = await backup(file, data);
    if (migration <= name)
      throw new CliError(`the database is as ${migration} left it already; nothing was taken back.`);
    return goDown(url, name, rows);
  };
  const dropped = given
    ? await work(given)
    : await reaching(dataFolder(data), ({ ownerUrl }) => work(ownerUrl));
  console.log(
    `tasche: the database is as ${name} left it. Start the version of Tasche that made it, and no later one.`,
  );
  if (dropped.length > 0) console.log(`  dropped, and in the backup only: ${dropped.join(', ')}`);
}

/** @throws CliError while a server works with the database: it would not know its tables any more */
async function nobodyElse(url: string): Promise<void> {
  const [row] = await ask<{ n: number }>(
    url,
    `select count(*)::int as n from pg_stat_activity where application_name = 'tasche' and datname = current_database()`,
  );
  if (row!.n > 0) throw new CliError('Tasche is running on this database. Stop it first.');
}

/** @returns what is no longer there: tables with their rows, columns of those that stayed */
async function goDown(url: string, to: string, rows: Readonly<Record<string, number>>): Promise<string[]> {
  const { migrateDown } = await import('../server/src/database/database.js');
  const before = await columns(url);
  await migrateDown(url, to);
  const after = await columns(url);
  return [...before].flatMap(([table, names]) => {
    const left = after.get(table);
    if (!left) return [`${table} (${rows[table] ?? 0} rows)`];
    return names.filter((column) => !left.includes(column)).map((column) => `${table}.${column}`);
  });
}

async function columns(url: string): Promise<Map<string, string[]>> {
  const rows = await ask<{ table: string; columns: string[] }>(
    url,
    `select table_name as table, array_agg(column_name::text order by 1) as columns from information_schema.columns
     where table_schema = 'public' group by 1 order by 1`,
  );
  return new Map(rows.map(({ table, columns: names }) => [table, names]));
}

async function ask<Row extends object>(url: string, sql: string): Promise<Row[]> {
  const client = new pg.Client({ connectionString: url, application_name: 'tasche downgrade' });
  await client.connect();
  try {
    return (await client.query<Row>(sql)).rows;
  } finally {
    await client.end();
  }
}
