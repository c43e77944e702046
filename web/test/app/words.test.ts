import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { parse } from 'vue/compiler-sfc';
import { describe, expect, it } from 'vitest';

const root = path.resolve(import.meta.dirname, '../../..');
const page = readFileSync(path.join(root, 'docs/words.md'), 'utf8');

/** The cells of the table under a heading. */
function table(text: string): string[][] {
  return text
    .split('\n')
    .filter((line) => line.startsWith('| '))
    .slice(1)
    .map((line) =>
      line
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim()),
    );
}
const [words, not] = page.split('## Not').map(table) as [string[][], string[][]];

/** What a person may read: templates, and the strings of scripts. Comments and names are not. */
function readable(file: string): string {
  const text = readFileSync(file, 'utf8');
  const { template, script } = file.endsWith('.vue')
    ? {
        template: parse(text).descriptor.template!.content,
        script: parse(text).descriptor.scriptSetup?.content ?? '',
      }
    : { template: '', script: text };
  const code = script.replace(/\/\*[\s\S]*?\*\//g, '').replace(/^\s*\/\/.*$/gm, '');
  const strings = code.match(/'(?:[^'\\\n]|\\.)*'|`(?:[^`\\]|\\.)*`/g) ?? [];
  return `${template} ${strings.filter((one) => !/^'[.@]/.test(one)).join(' ')}`
    .replace(/\s+/g, ' ')
    .toLowerCase();
}
const files = ['web/src', 'core/src', 'contract/src', 'server/src'].flatMap((folder) =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(vue|ts)$/.test(file))
    .map((file) => path.join(root, folder, file)),
);
const everything = files.map((file) => ({ file: path.relative(root, file), text: readable(file) }));

describe('the words page', () => {
  it('lists words that are used', () => {
    const unused = words.flatMap(([cell]) =>
      cell!.split(', ').filter((word) => !everything.some(({ text }) => text.includes(word.toLowerCase()))),
    );
    expect(words.length).toBeGreaterThan(25);
    expect(unused).toEqual([]);
  });

  it('and none that it rules out is shown anywhere', () => {
    const found = not
      .map(([phrase]) => phrase!)
      .filter((phrase) => !phrase.includes('('))
      .flatMap((phrase) =>
        everything
          .filter(({ text }) => new RegExp(`(?<![\\w$])${phrase}(?!\\w)`).test(text))
          .map(({ file }) => `${file}: ${phrase}`),
      );
    expect(not.length).toBeGreaterThan(10);
    expect(found).toEqual([]);
  });
});
