import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { ensureDebian } from './debian.js';

const DEBIAN_POSTGRES = '/usr/lib/postgresql';

export function isRoot(): boolean {
  return process.getuid?.() === 0;
}

/** PostgreSQL refuses to run as root, so root runs it as Debian's `postgres` user. */
export function asPostgres(program: string, args: readonly string[], input?: string) {
  const options = { encoding: 'utf8' as const, cwd: '/', ...(input !== undefined && { input }) };
  // pg_ctl's server keeps the pipes it inherits open, so nothing of its output is read through one.
  const stdio = program.endsWith('pg_ctl') ? { stdio: 'ignore' as const } : {};
  return isRoot()
    ? spawnSync('runuser', ['-u', 'postgres', '--', program, ...args], { ...options, ...stdio })
    : spawnSync(program, args, { ...options, ...stdio });
}

/** Where PostgreSQL's own programs are, of the newest version there is. */
export function postgresFolder(): string | undefined {
  if (!existsSync(DEBIAN_POSTGRES)) return undefined;
  const versions = readdirSync(DEBIAN_POSTGRES).filter((name) =>
    existsSync(path.join(DEBIAN_POSTGRES, name, 'bin/initdb')),
  );
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  return newest && path.join(DEBIAN_POSTGRES, newest, 'bin');
}

/** The same, installed where there are none. @throws CliError where it cannot be had */
export function postgresPrograms(): string {
  ensureDebian('PostgreSQL', 'postgresql', () => postgresFolder() !== undefined);
  return postgresFolder()!;
}

export function postgresUser(): { uid: number; gid: number } {
  const home = '/var/lib/postgresql';
  const { uid, gid } = statSync(home);
  return { uid, gid };
}
