import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { runInNewContext } from 'node:vm';
import { describe, expect, it } from 'vitest';
import * as contract from '../src/index.js';

/** What a doc comment shows: `@example`, the call, and behind `//` what it gives. */
const EXAMPLE = / \* @example\n((?: \* .*\n)+?) \* \/\/ (.+)\n \*\/\nexport (?:async )?function (\w+)/g;
const SOURCE = path.join(import.meta.dirname, '../src');

const examples = readdirSync(SOURCE)
  .filter((name) => name.endsWith('-document.ts'))
  .flatMap((name) => [...readFileSync(path.join(SOURCE, name), 'utf8').matchAll(EXAMPLE)])
  .map(([, lines, expected, name]) => ({
    name: name!,
    call: lines!.replace(/^ \* /gm, ''),
    expected: expected!,
  }));

/** As JSON, so that what comes out of another context is compared by what it says. */
const said = async (code: string): Promise<unknown> =>
  JSON.parse(JSON.stringify(await runInNewContext(`(async () => (${code}))()`, { ...contract })));

describe('the example of every calculation', () => {
  it('is there', () => {
    const calculations = Object.keys(contract).filter((name) => /^calc[A-Z]/.test(name));
    expect(calculations.length).toBeGreaterThan(8);
    expect(examples.map(({ name }) => name).sort()).toEqual(calculations.sort());
  });

  it.each(examples)('$name gives what it says', async ({ call, expected }) => {
    expect(await said(call)).toEqual(await said(expected));
  });
});

/** The calls of the page, as they are typed in a terminal. */
const TYPED = /echo '([^']+)' \| \.\/tasche calc (\w+)/g;
describe('what the page of the calculations shows', () => {
  const page = readFileSync(path.join(import.meta.dirname, '../../docs/calc.md'), 'utf8');
  const typed = [...page.matchAll(TYPED)].map(([, document, name]) => ({ name: name!, document: document! }));

  it('is several calls', () => {
    expect(typed.length).toBeGreaterThan(4);
  });

  it.each(typed)('calc $name is answered', async ({ name, document }) => {
    const calculate = (contract as unknown as Record<string, (document: unknown) => unknown>)[
      `calc${name[0]!.toUpperCase()}${name.slice(1)}`
    ]!;
    expect(await calculate(JSON.parse(document))).toBeTypeOf('object');
  });
});
