import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const SOURCES = ['web/src', 'web/index.html', 'web/vite.config.ts', 'core/src', 'contract/src', 'package-lock.json'];

/** Builds the web part unless the last build was made from the same sources; answers where it is. */
export async function buildWeb(root: string): Promise<string> {
  const out = path.join(root, 'web/dist');
  const stamp = path.join(out, '.built-from');
  const from = fingerprint(root);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === from) return out;
  console.log('tasche: building the web part');
  const { build } = await import('vite');
  await build({ root: path.join(root, 'web'), logLevel: 'warn' });
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
    readdirSync(full).sort().forEach((name) => walk(path.join(entry, name)));
  };
  SOURCES.forEach(walk);
  return hash.digest('hex');
}
