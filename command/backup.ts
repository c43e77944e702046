import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  createReadStream,
  existsSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { postgresPrograms } from './as-postgres.js';
import { reaching, resetCluster, startCluster } from './cluster.js';
import { dataFolder } from './data-folder.js';
import { CliError } from './stop.js';

/** What a backup says of itself: `manifest.json` in its tar, beside `database.dump`. */
interface Manifest {
  format: 'tasche-backup';
  version: 1;
  /** ISO 8601, UTC. */
  madeAt: string;
  /** The newest migration of the database: a version that knows it, and every later one, restores it. */
  migration: string;
  postgres: string;
  /** Of `database.dump`, hexadecimal. */
  sha256: string;
  /** Rows by table, as they were when the dump was begun or a little later. */
  rows: Record<string, number>;
}

const MANIFEST = 'manifest.json';
const DUMP = 'database.dump';

function fromHere(file: string): string {
  return path.resolve(process.env.TASCHE_FROM ?? process.cwd(), file);
}

/**
 * `./tasche backup FILE`: the database as it is at one moment, however much is written meanwhile, with a
 * manifest and a
 * checksum, in one file that is there whole or not at all.
 * @returns what the backup says of itself
 * @throws CliError
 */
export async function backup(
  file: string | undefined,
  data: string | undefined,
): Promise<Pick<Manifest, 'rows' | 'migration'>> {
  if (file === undefined) throw new CliError('say which file: ./tasche backup FILE', 2);
  const target = fromHere(file);
  const given = process.env.DATABASE_BACKUP_URL || process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL;
  const write = (url: string) => writeBackup(url, target);
  const manifest = given
    ? await write(given)
    : await reaching(dataFolder(data), ({ backupUrl }) => write(backupUrl));
  const rows = Object.values(manifest.rows).reduce((sum, n) => sum + n, 0);
  console.log(
    `tasche: ${target}: ${rows.toLocaleString('en')} rows, ${(statSync(target).size / 1e6).toFixed(1)} MB, as of ${manifest.madeAt}`,
  );
  return manifest;
}

async function writeBackup(url: string, target: string): Promise<Manifest> {
  const aside = folderBeside(target);
  try {
    const dump = path.join(aside, DUMP);
    const done = spawnSync(
      path.join(postgresPrograms(), 'pg_dump'),
      ['--format=custom', '--no-owner', '--no-privileges', '--no-comments', '--file', dump, url],
      { encoding: 'utf8' },
    );
    if (done.status !== 0) throw new CliError(`the database could not be dumped: ${reason(done.stderr)}`);
    const manifest: Manifest = { ...(await about(url)), sha256: await hashOf(dump) };
    writeFileSync(path.join(aside, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`);
    const packed = path.join(aside, 'packed.tar');
    run('tar', ['-cf', packed, '-C', aside, MANIFEST, DUMP]);
    renameSync(packed, target);
    return manifest;
  } finally {
    rmSync(aside, { recursive: true, force: true });
  }
}

/** Beside the file, so that it is moved into its place at once. @throws CliError */
function folderBeside(target: string): string {
  try {
    return mkdtempSync(path.join(path.dirname(target), '.tasche-backup-'));
  } catch {
    throw new CliError(`${path.dirname(target)} is not a folder that can be written to.`);
  }
}

async function about(url: string): Promise<Omit<Manifest, 'sha256'>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1`,
    );
    const counts: Record<string, number> = {};
    for (const { name } of tables) {
      const { rows } = await client.query<{ n: string }>(`select count(*)::text as n from "${name}"`);
      counts[name] = Number(rows[0]!.n);
    }
    const { rows: newest } = await client.query<{ name: string; postgres: string }>(
      `select name, current_setting('server_version') as postgres from mikro_orm_migrations order by id desc limit 1`,
    );
    return {
      format: 'tasche-backup',
      version: 1,
      madeAt: new Date().toISOString(),
      migration: newest[0]!.name,
      postgres: newest[0]!.postgres,
      rows: counts,
    };
  } finally {
    await client.end();
  }
}

/**
 * `./tasche restore FILE`: a backup into a data folder that is empty, or emptied first. What was in the
 * file is checked
 * against its checksum before anything is touched; the next start brings the tables up to date.
 * @throws CliError
 */
export async function restore(
  file: string | undefined,
  data: string | undefined,
  reset: boolean,
): Promise<void> {
  if (file === undefined) throw new CliError('say which file: ./tasche restore FILE', 2);
  if (process.env.DATABASE_URL)
    throw new CliError(
      'restore makes a database of its own; for another server use PostgreSQL’s pg_restore on database.dump (docs/running.md).',
      2,
    );
  const source = fromHere(file);
  if (!existsSync(source)) throw new CliError(`there is no file ${source}.`);
  const aside = mkdtempSync(path.join(os.tmpdir(), 'tasche-restore-'));
  try {
    const manifest = await unpack(source, aside);
    const folder = dataFolder(data);
    if (existsSync(path.join(folder, 'postgres'))) {
      if (!reset)
        throw new CliError(
          `${folder} holds a database already. Restore into another folder with --data, or replace it with --reset (and lose what is in it).`,
        );
      resetCluster(folder);
    }
    const cluster = await startCluster(folder);
    try {
      const done = spawnSync(
        path.join(postgresPrograms(), 'pg_restore'),
        [
          '--no-owner',
          '--no-privileges',
          '--exit-on-error',
          '--single-transaction',
          '--dbname',
          cluster.ownerUrl,
          path.join(aside, DUMP),
        ],
        { encoding: 'utf8' },
      );
      if (done.status !== 0) {
        cluster.stop();
        resetCluster(folder);
        throw new CliError(`the backup could not be put back: ${reason(done.stderr)}`);
      }
    } finally {
      cluster.stop();
    }
    console.log(`tasche: ${folder} is as it was at ${manifest.madeAt}. ./tasche start opens it.`);
  } finally {
    rmSync(aside, { recursive: true, force: true });
  }
}

/** Takes a backup apart and looks whether it is whole. @throws CliError */
async function unpack(source: string, into: string): Promise<Manifest> {
  const broken = (what: string) => new CliError(`${source} ${what}; nothing was touched.`);
  const done = spawnSync('tar', ['-xf', source, '-C', into, MANIFEST, DUMP], { encoding: 'utf8' });
  if (done.status !== 0) throw broken('is not a backup of Tasche, or is incomplete');
  let manifest: Partial<Manifest>;
  try {
    manifest = JSON.parse(readFileSync(path.join(into, MANIFEST), 'utf8')) as Partial<Manifest>;
  } catch {
    throw broken('has a manifest that cannot be read');
  }
  if (manifest.format !== 'tasche-backup' || manifest.version !== 1)
    throw broken('is of a kind this version does not know');
  const { MIGRATION_NAMES } = await import('../server/src/database/database.js');
  if (!MIGRATION_NAMES.includes(manifest.migration ?? ''))
    throw broken(`was made by a later version (${manifest.migration}); restore it with that one`);
  if ((await hashOf(path.join(into, DUMP))) !== manifest.sha256)
    throw broken('is damaged: its checksum is not the one it was written with');
  return manifest as Manifest;
}

async function hashOf(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(file)) hash.update(chunk as Buffer);
  return hash.digest('hex');
}

function run(program: string, args: readonly string[]): void {
  const done = spawnSync(program, args, { encoding: 'utf8' });
  if (done.status !== 0)
    throw new CliError(`${program} failed: ${reason(done.stderr || String(done.error))}`);
}

/** The last line a program said: what went wrong, without its passwords. */
function reason(stderr: string): string {
  const line = stderr.trim().split('\n').at(-1) ?? '';
  return line.replace(/postgres(ql)?:\/\/[^@\s]*@/g, 'postgresql://…@');
}

/**
 * What has systemd make a backup every night, and keep a month of them; for its administrator to put in
 * place.
 */
export function scheduleWords(folder: string | undefined, data: string | undefined): string {
  const target = fromHere(folder ?? 'backups');
  const command = path.resolve('tasche');
  const options = data === undefined ? '' : ` --data ${fromHere(data)}`;
  return `# /etc/systemd/system/tasche-backup.service
[Unit]
Description=Backup of Tasche

[Service]
Type=oneshot
ExecStartPre=/bin/mkdir -p ${target}
ExecStart=/bin/sh -c '${command} backup ${target}/$$(date -u +%%Y-%%m-%%dT%%H%%M%%SZ).tar${options}'
ExecStartPost=/usr/bin/find ${target} -name '*.tar' -mtime +31 -delete

# /etc/systemd/system/tasche-backup.timer
[Unit]
Description=Backup of Tasche, every night

[Timer]
OnCalendar=*-*-* 03:30:00
Persistent=true

[Install]
WantedBy=timers.target

# Then: systemctl daemon-reload && systemctl enable --now tasche-backup.timer
# Keep a copy on another machine: a backup beside its database is lost with its disk.`;
}
