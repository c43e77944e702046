import { spawnSync } from 'node:child_process';

/** A PDF's words, by Debian's pdftotext. */
export function textOf(pdf: Buffer): string {
  return spawnSync('pdftotext', ['-layout', '-', '-'], { input: pdf }).stdout.toString('utf8');
}
