import { randomBytes } from 'node:crypto';
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  statfsSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { asPostgres, isRoot } from './as-postgres.js';
import { CliError } from './stop.js';

const MIN_FREE_MB = 200;
/** What a cluster is made in before it is one; it never holds user data. */
export const UNFINISHED = 'unfinished';
export const MARK = 'made-by-tasche';

/** How the cluster of a data folder is reached. */
export interface Remembered {
  port: number;
  /** Of the role that owns the tables. */
  password: string;
  /** Of the roles the application works and is backed up as; a folder of an earlier version has none yet. */
  applicationPassword?: string;
  backupPassword?: string;
}

/**
 * The data folder given on the command line, relative to the user's folder; the usual one where they named
 * none.
 */
export function dataFolder(data: string | undefined): string {
  const root = process.cwd();
  return data === undefined ? defaultDataFolder(root) : path.resolve(process.env.TASCHE_FROM ?? root, data);
}

/** The usual one: beside the command, unless root's `postgres` user can't get there. */
function defaultDataFolder(root: string): string {
  const beside = path.join(root, '.tasche');
  if (!isRoot() || asPostgres('test', ['-x', root]).status === 0) return beside;
  return path.join('/var/lib/tasche', path.basename(root));
}

/** Makes a data folder ready to be written to. @throws CliError where it cannot be, or its disk is full */
export function prepareFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o755 });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new CliError(
      `the data folder ${folder} can't be written (${(error as NodeJS.ErrnoException).code}); choose another with --data.`,
    );
  }
  const { bavail, bsize } = statfsSync(folder);
  const freeMb = Math.floor((bavail * bsize) / 1024 / 1024);
  if (freeMb < MIN_FREE_MB)
    throw new CliError(
      `the disk under ${folder} has ${freeMb} MB left and the database needs ${MIN_FREE_MB}; free some, or choose another with --data.`,
    );
  if (isRoot() && asPostgres('test', ['-x', folder]).status !== 0) {
    throw new CliError(
      `the postgres user can't enter ${folder}; choose a folder it can reach with --data, such as /var/lib/tasche.`,
    );
  }
}

/** Which process of Tasche uses a data folder. */
export function ownerFile(folder: string): string {
  return path.join(folder, 'owner.pid');
}

/** @throws CliError while another Tasche uses the folder */
export function requireNoOther(folder: string): void {
  if (!existsSync(ownerFile(folder))) return;
  const pid = Number(readFileSync(ownerFile(folder), 'utf8'));
  if (pid !== process.pid && isTasche(pid)) {
    throw new CliError(
      `another Tasche (process ${pid}) is using ${folder}; stop it, or choose another folder with --data.`,
    );
  }
}

/** Process ids are reused: after a crash the number may belong to something else. */
function isTasche(pid: number): boolean {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('command/main.ts');
  } catch {
    return false;
  }
}

/**
 * What is in a data folder: a whole cluster of ours, or nothing yet. A making that was cut short counts as
 * nothing, for
 * nobody has written to it. Everything else is left alone.
 * @throws CliError saying what was found and the way out
 */
export function clusterIn(folder: string): 'whole' | 'nothing' {
  const data = path.join(folder, 'postgres');
  const found = entriesOf(data);
  const isRemembered = existsSync(path.join(folder, 'cluster.json'));
  const untouched =
    'Nothing was touched. --reset empties the folder and makes a new one (and loses its data).';
  if (found === undefined || found.length === 0) {
    const cutShort = entriesOf(path.join(folder, UNFINISHED))?.includes(MARK) === true;
    if (!isRemembered || cutShort) return 'nothing';
    throw new CliError(
      `${path.join(folder, 'cluster.json')} tells of a database, but ${data} is ${found ? 'empty' : 'missing'}. Is a disk not mounted? Put it back. ${untouched}`,
    );
  }
  if (!found.includes('PG_VERSION')) {
    throw new CliError(
      `${data} holds files, but no PG_VERSION, so it is not a complete database. If only that file is lost, write the number of PostgreSQL's version into it (15); else put a backup back. ${untouched}`,
    );
  }
  if (!isRemembered) {
    throw new CliError(
      `${data} holds a database, but ${path.join(folder, 'cluster.json')}, which says how to reach it, is missing. Put it back, or choose another folder with --data. ${untouched}`,
    );
  }
  return 'whole';
}

/**
 * The names in a folder; undefined where there is no such folder. @throws CliError where it cannot be read
 */
export function entriesOf(folder: string): string[] | undefined {
  try {
    return readdirSync(folder);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOENT') return undefined;
    throw new CliError(
      `${folder} can't be read (${code}), so nothing in it was touched. Make it readable, or choose another folder with --data.`,
    );
  }
}

/** How the folder's cluster is reached. @throws CliError where the file that says so can't be read */
export function recall(folder: string): Remembered {
  const file = path.join(folder, 'cluster.json');
  try {
    const { port, password, applicationPassword, backupPassword } = JSON.parse(
      readFileSync(file, 'utf8'),
    ) as Partial<Remembered>;
    const isPassword = (text: unknown) => typeof text === 'string' && /^[\w-]{8,200}$/.test(text);
    if (
      Number.isInteger(port) &&
      port! > 0 &&
      port! <= 65_535 &&
      isPassword(password) &&
      [applicationPassword, backupPassword].every((one) => one === undefined || isPassword(one))
    ) {
      return {
        port: port!,
        password: password!,
        ...(applicationPassword && { applicationPassword }),
        ...(backupPassword && { backupPassword }),
      };
    }
  } catch {
    // Said below, in the same words.
  }
  throw new CliError(
    `${file}, which says how to reach the database, can't be read; put it back from a backup, or use --reset (which loses the data).`,
  );
}

/** Writes down how the folder's cluster is reached, whole or not at all. */
export function remember(folder: string, remembered: Remembered): void {
  const file = path.join(folder, 'cluster.json');
  writeFileSync(`${file}.new`, JSON.stringify(remembered), { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

/**
 * A new folder for one run's data that root's `postgres` user can enter too, which mkdtemp's would not let
 * it.
 */
export function throwAwayFolder(): string {
  const folder = path.join(os.tmpdir(), `tasche-${process.pid}-${randomBytes(4).toString('hex')}`);
  mkdirSync(folder, { mode: 0o755 });
  return folder;
}
