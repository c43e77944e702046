import { randomBytes } from 'node:crypto';
import { chownSync, existsSync, mkdirSync, renameSync, rmSync, rmdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { asPostgres, isRoot, postgresUser } from './as-postgres.js';
import { entriesOf, MARK, remember, UNFINISHED, type Remembered } from './data-folder.js';
import { freePort } from './ports.js';
import { CliError } from './stop.js';

/** The roles of a cluster: who owns the tables, who works on them, who reads everything for a backup. */
export const OWNER = 'tasche';
export const APPLICATION = 'tasche_app';
export const BACKUP = 'tasche_backup';

/**
 * Makes a cluster aside and moves it into its place when it is whole, so that a making cut short is seen to
 * be one.
 */
export async function makeCluster(folder: string, data: string, bin: string): Promise<Remembered> {
  const aside = path.join(folder, UNFINISHED);
  const left = entriesOf(aside);
  if (left && left.length > 0 && !left.includes(MARK)) {
    throw new CliError(
      `${aside} holds files Tasche did not make, so it was not touched. Move it away, or choose another folder with --data.`,
    );
  }
  if (left) rmSync(aside, { recursive: true, force: true });
  const making = path.join(aside, 'postgres');
  mkdirSync(aside, { mode: 0o755 });
  writeFileSync(path.join(aside, MARK), 'A database being made; it may be deleted.\n');
  mkdirSync(making, { mode: 0o700 });
  if (isRoot()) {
    const { uid, gid } = postgresUser();
    chownSync(making, uid, gid);
  }
  const remembered: Remembered = { port: await freePort(), password: randomBytes(18).toString('base64url') };
  initialise(aside, making, bin);
  // Ordinary roles: row-level security holds for both.
  runAlone(making, bin, [
    `create role ${OWNER} login password '${remembered.password}'`,
    `create database tasche owner ${OWNER}`,
  ]);
  Object.assign(remembered, addRoles(making, bin));
  remember(folder, remembered);
  if (existsSync(data)) rmdirSync(data);
  renameSync(making, data);
  rmSync(aside, { recursive: true, force: true });
  return remembered;
}

/** Makes the roles the application works and is backed up as, in a cluster that does not run. */
export function addRoles(
  data: string,
  bin: string,
): Required<Pick<Remembered, 'applicationPassword' | 'backupPassword'>> {
  const [applicationPassword, backupPassword] = [0, 1].map(() => randomBytes(18).toString('base64url'));
  const made = (role: string) =>
    `do $$ begin if not exists (select from pg_roles where rolname = '${role}') then create role ${role}; end if; end $$`;
  runAlone(data, bin, [
    made(APPLICATION),
    `alter role ${APPLICATION} login password '${applicationPassword}'`,
    made(BACKUP),
    // A backup is of everybody: it reads past row-level security, and writes nothing.
    `alter role ${BACKUP} login bypassrls password '${backupPassword}'`,
    `grant pg_read_all_data to ${BACKUP}`,
  ]);
  return { applicationPassword: applicationPassword!, backupPassword: backupPassword! };
}

/** Statements run as the cluster's first user, while no server is up. @throws CliError */
function runAlone(data: string, bin: string, statements: readonly string[]): void {
  const done = asPostgres(
    path.join(bin, 'postgres'),
    ['--single', '-D', data, 'postgres'],
    statements.map((statement) => `${statement}\n`).join(''),
  );
  if (done.status !== 0) throw new CliError(`PostgreSQL could not prepare its cluster: ${done.stderr}`);
}

function initialise(aside: string, making: string, bin: string): void {
  const passwordFile = path.join(aside, 'initial-password');
  writeFileSync(passwordFile, randomBytes(18).toString('base64url'), { mode: 0o600 });
  if (isRoot()) chownSync(passwordFile, postgresUser().uid, postgresUser().gid);
  const made = asPostgres(path.join(bin, 'initdb'), [
    '-D',
    making,
    '-U',
    'admin',
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
    '--auth=scram-sha-256',
    `--pwfile=${passwordFile}`,
  ]);
  rmSync(passwordFile, { force: true });
  if (made.status === 0) return;
  rmSync(aside, { recursive: true, force: true });
  throw new CliError(
    `PostgreSQL could not make its cluster in ${making}: ${(made.stderr ?? '').trim().split('\n').slice(-1)[0]}`,
  );
}
