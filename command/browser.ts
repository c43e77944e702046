import { existsSync } from 'node:fs';
import { chromium, type Browser } from '@playwright/test';
import { ensureDebian } from './debian.js';

/** Debian's Chromium, headless, talking to nobody but us. */
export async function openBrowser(): Promise<Browser> {
  ensureDebian('Chromium', 'chromium', () => existsSync('/usr/bin/chromium'));
  return chromium.launch({
    executablePath: '/usr/bin/chromium',
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
