import { defineConfig } from '@playwright/test';

/** Drives the real thing: `./tasche test` starts a demo and says where it is in TASCHE_URL. */
export default defineConfig({
  testDir: './test',
  // A guard against a test that hangs, not a figure: what must come soon has its own limit in the test, speed
  // is the bench's.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  workers: 2,
  // What takes the database away from everybody runs when everybody is done.
  projects: [
    { name: 'jobs', testIgnore: /faults/ },
    { name: 'faults', testMatch: /faults/, dependencies: ['jobs'] },
  ],
  fullyParallel: false,
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.TASCHE_BROWSER_REPORT ?? '../test-results/report.json' }],
  ],
  outputDir: '../test-results',
  use: {
    baseURL: process.env.TASCHE_URL ?? 'http://127.0.0.1:4310',
    viewport: { width: 1280, height: 800 },
    // Every step of a transition would be drawn by the processor here.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.TASCHE_BROWSER ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
    // Answers that a test makes up or takes away are the network's; offline.spec.ts lets the worker in.
    serviceWorkers: 'block',
    permissions: ['clipboard-read', 'clipboard-write'],
    screenshot: 'only-on-failure',
  },
});
