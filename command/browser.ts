import { existsSync } from 'node:fs';
import { chromium, type Browser } from '@playwright/test';
import { ensureDebian } from './debian.js';
import { CliError } from './stop.js';

const WHOLE = '/usr/bin/chromium';
const WITHOUT_WINDOWS = '/usr/bin/chromium-headless-shell';

/** The path of Debian's Chromium as its users have it; installed if need be. */
export function chromiumProgram(): string {
  ensureDebian('Chromium', 'chromium', () => existsSync(WHOLE));
  return WHOLE;
}

/**
 * The path of the same Chromium without windows of its own: pages are the same, for half the computing time.
 * The whole one where that cannot be installed.
 */
export function headlessChromiumProgram(): string {
  try {
    ensureDebian('Chromium', 'chromium-headless-shell', () => existsSync(WITHOUT_WINDOWS));
    return WITHOUT_WINDOWS;
  } catch (error) {
    if (!(error instanceof CliError)) throw error;
    return chromiumProgram();
  }
}

/** Chromium as its users have it, without a screen, connecting only to our server. */
export async function openBrowser(): Promise<Browser> {
  return chromium.launch({
    executablePath: chromiumProgram(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  });
}
