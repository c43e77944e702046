import { existsSync, readFileSync, readdirSync, readlinkSync, realpathSync, rmSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { asPostgres } from './as-postgres.js';
import { CliError } from './stop.js';

const HELPERS_END_MS = 15_000;

/**
 * Starts a cluster's server on a port of loopback, and waits until it answers.
 * @param isKept whether what it holds must outlive a power cut; a test need not wait for the disk
 * @throws CliError with what its log says
 */
export function startPostmaster(data: string, bin: string, port: number, isKept = true): void {
  const log = path.join(data, 'server.log');
  const settings = [
    'listen_addresses=127.0.0.1',
    "unix_socket_directories=''",
    'shared_buffers=128MB',
    'max_connections=60',
    // See `openDatabase`, which sets it for a database of somebody else's too.
    'jit=off',
    ...(isKept ? [] : ['fsync=off', 'full_page_writes=off']),
  ];
  const options = `-p ${port} ${settings.map((one) => `-c ${one}`).join(' ')}`;
  const started = asPostgres(path.join(bin, 'pg_ctl'), [
    'start',
    '-w',
    '-t',
    '60',
    '-D',
    data,
    '-l',
    log,
    '-o',
    options,
  ]);
  if (started.status === 0) return;
  const said = asPostgres('tail', ['-n', '4', log]).stdout?.trim() ?? '';
  throw new CliError(
    `the database in ${data} did not start: ${said || started.stderr}. If that can't be fixed, --reset makes a new one (and loses its data).`,
  );
}

/** Stops the cluster, where it runs; never a process that is not its own. */
export function stopPostmaster(data: string, bin: string): void {
  if (runningPostmaster(data)) asPostgres(path.join(bin, 'pg_ctl'), ['stop', '-m', 'fast', '-w', '-D', data]);
}

/**
 * The server process of this cluster: one whose working folder is the cluster's, whatever `postmaster.pid`
 * says. After a
 * crash the number in that file may belong to something else.
 */
export function runningPostmaster(data: string): { pid: number; port: number } | undefined {
  const [pidLine, , , portLine] = readPostmasterFile(data);
  const [pid, port] = [Number(pidLine), Number(portLine)];
  if (!Number.isInteger(pid) || pid <= 1 || !Number.isInteger(port)) return undefined;
  return workingFolder(pid) === realpathSync(data) ? { pid, port } : undefined;
}

/** A process that works in the cluster's folder. */
function processIn(data: string): number | undefined {
  const real = realpathSync(data);
  return readdirSync('/proc')
    .map(Number)
    .filter((pid) => pid > 1)
    .find((pid) => workingFolder(pid) === real);
}

function readPostmasterFile(data: string): string[] {
  try {
    return readFileSync(path.join(data, 'postmaster.pid'), 'utf8').split('\n');
  } catch {
    return [];
  }
}

function workingFolder(pid: number): string | undefined {
  try {
    return readlinkSync(`/proc/${pid}/cwd`);
  } catch {
    return undefined;
  }
}

/**
 * Takes away a `postmaster.pid` no process stands behind: PostgreSQL would wait for whoever bears its
 * number now.
 */
export async function forgetStalePostmaster(data: string): Promise<void> {
  const file = path.join(data, 'postmaster.pid');
  if (!existsSync(file)) return;
  // Its helpers end by themselves, a moment after a server that was killed.
  for (const start = Date.now(); processIn(data) !== undefined && Date.now() - start < HELPERS_END_MS;)
    await wait(100);
  const holder = processIn(data);
  if (holder !== undefined)
    throw new CliError(
      `process ${holder} works in ${data}, though its postmaster.pid names another; end that process first.`,
    );
  console.log('tasche: the database was not stopped cleanly; it recovers by itself');
  rmSync(file);
}
