import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { loadDemo } from '../../server/src/demo/load-demo.js';
import { migrate, openDatabase } from '../../server/src/database/database.js';
import { asPostgres, postgresPrograms } from '../as-postgres.js';
import { throwAwayFolder } from '../data-folder.js';
import { freePort } from '../ports.js';
import { ensureDebian } from '../debian.js';
import { CliError } from '../stop.js';

/** pgBackRest's settings; docs/running.md shows the same for a PostgreSQL of one's own. */
function settingsOf(folder: string, port: number): string {
  return `[global]
repo1-path=${folder}/repository
repo1-retention-full=2
log-path=${folder}/log
lock-path=${folder}/lock
start-fast=y

[tasche]
pg1-path=${folder}/postgres
pg1-port=${port}
pg1-socket-path=${folder}/socket
`;
}

/** Every table's rows, in an order of their own, as one hash each. */
async function contentsOf(url: string): Promise<Map<string, string>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1`,
    );
    const found = new Map<string, string>();
    for (const { name } of tables) {
      const { rows } = await client.query<{ row: string }>(
        `select one::text as row from "${name}" one order by 1`,
      );
      found.set(
        name,
        createHash('sha256')
          .update(rows.map(({ row }) => row).join('\n'))
          .digest('hex'),
      );
    }
    return found;
  } finally {
    await client.end();
  }
}

/**
 * Tries point-in-time recovery with pgBackRest once: a full backup, changes after it, a mistake that
 * empties tables, and back to the moment
 * before it. @returns what came of it, in words
 * @throws CliError where what was there at that moment is not there again
 */
export async function pointInTime(): Promise<string> {
  ensureDebian('pgBackRest', 'pgbackrest', () => existsSync('/usr/bin/pgbackrest'));
  const bin = postgresPrograms();
  const folder = throwAwayFolder();
  const port = await freePort();
  const data = path.join(folder, 'postgres');
  const config = path.join(folder, 'pgbackrest.conf');
  for (const name of ['postgres', 'repository', 'log', 'lock', 'socket'])
    mkdirSync(path.join(folder, name), { mode: 0o700 });
  writeFileSync(config, settingsOf(folder, port));
  if (process.getuid?.() === 0) spawnSync('chown', ['-R', 'postgres:postgres', folder]);
  const run = (program: string, ...args: string[]) => {
    const done = asPostgres(program, args);
    if (done.status !== 0)
      throw new CliError(`${path.basename(program)} ${args[0]}: ${done.stderr ?? ''}${done.stdout ?? ''}`);
  };
  const backrest = (...args: string[]) => {
    run('pgbackrest', `--config=${config}`, '--stanza=tasche', ...args);
  };
  const control = (...args: string[]) => {
    run(path.join(bin, 'pg_ctl'), ...args, '-w', '-D', data, '-l', path.join(folder, 'log', 'postgres.log'));
  };
  const urlOf = (role: string) => `postgresql://${role}@127.0.0.1:${port}/tasche`;
  try {
    run(
      path.join(bin, 'initdb'),
      '-D',
      data,
      '-E',
      'UTF8',
      '--locale=C.UTF-8',
      '--auth=trust',
      '-U',
      'postgres',
    );
    writeFileSync(
      path.join(data, 'postgresql.auto.conf'),
      `port = ${port}
listen_addresses = '127.0.0.1'
unix_socket_directories = '${folder}/socket'
archive_mode = on
archive_command = 'pgbackrest --config=${config} --stanza=tasche archive-push %p'
`,
    );
    control('start');
    await makeTasche(
      `postgresql://postgres@127.0.0.1:${port}/postgres`,
      urlOf('tasche'),
      urlOf('tasche_app'),
    );
    backrest('stanza-create');
    backrest('check');
    backrest('backup', '--type=full');

    const admin = new pg.Client({ connectionString: urlOf('postgres') });
    await admin.connect();
    // A day's work after the backup; then the moment before the mistake.
    await admin.query(`update player set notes = 'written after the backup'`);
    const before = await contentsOf(urlOf('postgres'));
    const { rows } = await admin.query<{ moment: string }>('select clock_timestamp()::text as moment');
    await admin.query('select pg_sleep(1)');
    await admin.query('truncate reading, bag_club cascade');
    await admin.query('select pg_switch_wal()');
    await admin.end();
    backrest('check');

    control('stop', '-m', 'fast');
    const started = Date.now();
    backrest('restore', '--delta', '--type=time', `--target=${rows[0]!.moment}`, '--target-action=promote');
    control('start');
    const after = await contentsOf(urlOf('postgres'));
    const differing = [...before].filter(([name, hash]) => after.get(name) !== hash).map(([name]) => name);
    if (differing.length > 0)
      throw new CliError(`after the restore these tables are not as they were: ${differing.join(', ')}.`);
    return (
      `pgBackRest: back at the moment before the mistake in ${((Date.now() - started) / 1000).toFixed(1)} s; ` +
      `${before.size} tables compared, all as they were`
    );
  } finally {
    asPostgres(path.join(bin, 'pg_ctl'), ['stop', '-m', 'immediate', '-D', data]);
    rmSync(folder, { recursive: true, force: true });
  }
}

async function makeTasche(adminUrl: string, ownerUrl: string, url: string): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  for (const sql of [
    'create role tasche login',
    'create role tasche_app login',
    'create database tasche owner tasche',
  ])
    await admin.query(sql);
  await admin.end();
  await migrate(ownerUrl, 'tasche_app');
  const orm = await openDatabase(url);
  await loadDemo(orm);
  await orm.close(true);
}
