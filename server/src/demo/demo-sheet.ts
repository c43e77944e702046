import { readFileSync } from 'node:fs';

/** The sheet of a player of the demo, CSV. It lies with the contract, because an empty roster offers it too. */
export function demoSheet(file: string): string {
  return readFileSync(new URL(`../../../contract/demo/${file}`, import.meta.url), 'utf8');
}
