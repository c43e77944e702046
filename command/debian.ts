import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { CliError } from './stop.js';

/** Debian's programs that Tasche uses, and the packages they come in. */
export function ensureDebian(what: string, packageName: string, isThere: () => boolean): void {
  if (isThere()) return;
  console.log(`tasche: installing Debian's ${packageName} (once)`);
  if (!existsSync('/usr/bin/apt-get')) {
    throw new CliError(`${what} is missing and this is no Debian; install ${what} by hand, then try again.`);
  }
  const isRoot = process.getuid?.() === 0;
  if (!isRoot && spawnSync('sudo', ['-n', 'true']).status !== 0) {
    throw new CliError(
      `${what} is missing and only root can install it; run once: sudo apt-get install ${packageName}`,
    );
  }
  const run = (...args: string[]) =>
    spawnSync(isRoot ? 'apt-get' : 'sudo', isRoot ? args : ['-n', 'apt-get', ...args], {
      encoding: 'utf8',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      maxBuffer: 64 * 1024 * 1024,
    });
  // Another may be installing just now, and a package server may be gone for a moment.
  const patience = ['-o', 'DPkg::Lock::Timeout=300', '-o', 'Acquire::Retries=5'];
  const install = [...patience, 'install', '-y', '--no-install-recommends', packageName];
  let done = run(...install);
  if (done.status !== 0) {
    run(...patience, 'update');
    done = run(...install);
  }
  if (done.status !== 0 || !isThere()) {
    const last = (done.stderr ?? '').trim().split('\n').slice(-2).join(' ');
    throw new CliError(
      `apt-get could not install ${packageName}: ${last}. Install it by hand, then try again.`,
    );
  }
}
