import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { oneAtATime } from './one-at-a-time.js';
import { CliError } from './stop.js';

const SHARED = [
  'core/src',
  'core/package.json',
  'contract/src',
  'contract/package.json',
  'package-lock.json',
];
const WEB = [
  'web/src',
  'web/service-worker',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  ...SHARED,
];
const SERVER = ['server/src', 'server/vite.config.ts', ...SHARED];

/** Builds the web part unless the last build was made from the same sources; answers the folder to serve. */
export function buildWeb(root: string): Promise<string> {
  return build(root, 'web', WEB);
}

/** Builds the server likewise; answers the folder of its modules, which keep their names. */
export async function buildServer(root: string): Promise<string> {
  return path.join(await build(root, 'server', SERVER), 'server/src');
}

async function build(root: string, part: 'web' | 'server', sources: readonly string[]): Promise<string> {
  const out = path.join(root, part, 'dist');
  const from = fingerprint(root, sources);
  // A build empties its folder first: two at once would take each other's files away.
  await oneAtATime(path.join(root, 'node_modules', `.tasche-building-${part}`), async () => {
    const stamp = path.join(out, '.built-from');
    if (existsSync(stamp) && readFileSync(stamp, 'utf8') === from) return;
    await buildAnew(root, part);
    writeFileSync(stamp, from);
  });
  return out;
}

async function buildAnew(root: string, part: 'web' | 'server'): Promise<void> {
  console.log(`tasche: building the ${part} part`);
  // In a process of its own: it takes a gigabyte, which the server that comes after would hold on to.
  const done = await new Promise<number | null>((resolve, reject) => {
    spawn(
      process.execPath,
      [path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
      {
        cwd: path.join(root, part),
        stdio: ['ignore', 'inherit', 'inherit'],
        // Every build, also one of a test, builds what is served.
        env: { ...process.env, NODE_ENV: 'production' },
      },
    )
      .once('exit', resolve)
      .once('error', reject);
  });
  if (done !== 0) throw new CliError(`the ${part} part could not be built, as above.`);
}

function fingerprint(root: string, sources: readonly string[]): string {
  const hash = createHash('sha256');
  const walk = (entry: string) => {
    const full = path.join(root, entry);
    if (!statSync(full).isDirectory()) {
      hash.update(entry).update(readFileSync(full));
      return;
    }
    readdirSync(full)
      .sort()
      .forEach((name) => walk(path.join(entry, name)));
  };
  sources.forEach(walk);
  return hash.digest('hex');
}
