import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const read = (path: string) => readFileSync(join(root, path), 'utf8');

/** What drives pages outside the browser tests: a word changed on a page would break it unnoticed. */
const DRIVERS = [
  'command/screenshots.ts',
  'command/bench/bench-browser.ts',
  'command/bench/bench-range.ts',
  'command/drill/screen.ts',
];
const WORDS = /getBy(?:Text|Label)\(\s*'([^']+)'|getByRole\(\s*'[a-z]+',\s*\{ name: '([^']+)'/g;

// What a page puts together out of parts is waited for by a pattern, and not looked for here.
it('pictures, speed figures and drills wait for words that are on the pages', () => {
  const waitedFor = DRIVERS.flatMap((path) =>
    [...read(path).matchAll(WORDS)].map(([, text, name]) => `${path}: ${text ?? name}`),
  );
  expect(waitedFor.length).toBeGreaterThan(20);
  const pages = ['web/src', 'core/src', 'server/src/demo']
    .flatMap((folder) =>
      readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
        .filter((file) => /\.(?:vue|ts)$/.test(file))
        .map((file) => read(join(folder, file))),
    )
    .join('\n');
  expect(waitedFor.filter((one) => !pages.includes(one.slice(one.indexOf(': ') + 2)))).toEqual([]);
});
