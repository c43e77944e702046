import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { CliError } from './stop.js';

const SOURCES = [
  'web/src',
  'web/service-worker',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'core/src',
  'contract/src',
  'package-lock.json',
];

/** Builds the web part unless the last build was made from the same sources; answers where it is. */
export async function buildWeb(root: string): Promise<string> {
  const out = path.join(root, 'web/dist');
  const stamp = path.join(out, '.built-from');
  const from = fingerprint(root);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === from) return out;
  console.log('tasche: building the web part');
  // In a process of its own: it takes a gigabyte, which the server that comes after would hold on to.
  const done = await new Promise<number | null>((resolve, reject) => {
    spawn(
      process.execPath,
      [path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
      {
        cwd: path.join(root, 'web'),
        stdio: ['ignore', 'inherit', 'inherit'],
        // Whoever builds it, a test too, builds what is served.
        env: { ...process.env, NODE_ENV: 'production' },
      },
    )
      .once('exit', resolve)
      .once('error', reject);
  });
  if (done !== 0) throw new CliError('the web part could not be built, as above.');
  writeFileSync(stamp, from);
  return out;
}

function fingerprint(root: string): string {
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
  SOURCES.forEach(walk);
  return hash.digest('hex');
}
