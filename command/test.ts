import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { JSONReport } from '@playwright/test/reporter';
import { headlessChromiumProgram } from './browser.js';
import { throwAwayFolder } from './data-folder.js';
import { freePort } from './ports.js';
import { coverageArguments, coverageWords, readCoverage } from './coverage.js';
import { fuzzWords } from './fuzz.js';
import { fuzzRequests } from './fuzz/fuzz-requests.js';
import { CliError } from './stop.js';
import { browserOutcome, outcomeWords, readOutcome, UNIT_REPORT, type Outcome } from './test-outcome.js';

type Part = (withCoverage: boolean) => Promise<Outcome> | Outcome;
type Tool = readonly [name: string, args: readonly string[]];

/** TypeScript 7, which takes a third of the time; views need the one before it, by vue-tsc. */
const NATIVE_TSC = '../typescript-native/bin/tsc';
/** What reads the code without running it, the slowest first. */
const READ: Readonly<Record<string, readonly Tool[]>> = {
  types: [
    ['vue-tsc', ['-p', 'web']],
    [NATIVE_TSC, ['-p', 'tsconfig.node.json']],
    [NATIVE_TSC, ['-p', 'tsconfig.core.json']],
    [NATIVE_TSC, ['-p', 'tsconfig.plain.json']],
    [NATIVE_TSC, ['-p', 'web/service-worker']],
    [NATIVE_TSC, ['-p', 'e2e']],
  ],
  /**
   * Faults a reader would not see (ESLint in views, oxlint in what is TypeScript alone: what a promise comes to
   * is always handled), the layout of every file, and unused exports.
   */
  lint: [
    ['prettier', ['--check', '--log-level', 'warn', '.']],
    ['oxlint', ['--type-aware', '--deny-warnings']],
    ['eslint', ['.', '--max-warnings', '0']],
    ['knip', ['--no-progress']],
  ],
  imports: [
    [
      'depcruise',
      [
        ...['--config', '.dependency-cruiser.cjs'],
        ...['core/src', 'contract/src', 'server/src', 'web/src', 'command'],
        ...['standins/launch-monitor', 'standins/gauge', 'standins/weather', 'standins/mail'],
      ],
    ],
  ],
};
const RUN: Readonly<Record<string, Part>> = { unit, fuzz, browser };

/**
 * `./tasche test`: every check; what failed is named at the end, and the last line counts them. What reads the
 * code shares the cores; what runs it has them to itself.
 * @param withCoverage counts the lines the unit tests run too, which takes them a third longer
 */
export async function test(only: string | undefined, withCoverage = false): Promise<void> {
  const names = [...Object.keys(READ), ...Object.keys(RUN)];
  if (only !== undefined && !names.includes(only))
    throw new CliError(`--only takes one of: ${names.join(', ')}.`, 2);
  const asked = (name: string) => only === undefined || name === only;
  let total: Outcome = { passed: 0, failed: [] };
  const run = async (name: string, part: Part) => {
    const started = Date.now();
    console.log(`\n== ${name}`);
    const { passed, failed } = await part(withCoverage);
    console.log(
      `== ${name}: ${passed} passed, ${failed.length} failed, ${((Date.now() - started) / 1000).toFixed(0)} s`,
    );
    total = { passed: total.passed + passed, failed: [...total.failed, ...failed] };
  };
  const read = Object.keys(READ).filter(asked);
  if (read.length > 0) await run(read.join(', '), () => tools(read.flatMap((name) => READ[name]!)));
  for (const [name, part] of Object.entries(RUN)) if (asked(name)) await run(name, part);
  console.log(`\n${outcomeWords(total)}`);
  process.exitCode = total.failed.length > 0 ? 1 : 0;
}

/** Runs a tool of the packages, its output straight through. */
function tool(name: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): boolean {
  const done = spawnSync(path.resolve('node_modules/.bin', name), args, {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return done.status === 0;
}

/** Several tools, as many at once as there are cores. */
async function tools(all: readonly Tool[]): Promise<Outcome> {
  const failed: string[] = [];
  let next = 0;
  const worker = async () => {
    while (next < all.length) {
      const [name, args] = all[next++]!;
      const isWell = await new Promise<boolean>((resolve) => {
        spawn(path.resolve('node_modules/.bin', name), args, { stdio: ['ignore', 'inherit', 'inherit'] })
          .once('exit', (code) => {
            resolve(code === 0);
          })
          .once('error', () => {
            resolve(false);
          });
      });
      if (!isWell) failed.push([path.basename(name), ...args].join(' '));
    }
  };
  await Promise.all(Array.from({ length: Math.max(1, os.cpus().length) }, worker));
  return { passed: all.length - failed.length, failed };
}

function unit(withCoverage: boolean): Outcome {
  const report = path.join(os.tmpdir(), `tasche-unit-${process.pid}.json`);
  const coverage = path.join(os.tmpdir(), `tasche-coverage-${process.pid}`);
  const isWell = tool(
    'vitest',
    [
      'run',
      '--reporter=default',
      '--reporter=./command/unit-reporter.ts',
      ...(withCoverage ? coverageArguments(coverage) : []),
    ],
    { [UNIT_REPORT]: report },
  );
  if (withCoverage) {
    const summary = readCoverage(coverage);
    console.log(summary ? coverageWords(summary, process.cwd()) : 'The lines that were run are not known.');
    rmSync(coverage, { recursive: true, force: true });
  }
  const outcome = readOutcome('unit', isWell, report, (read) => read as Outcome);
  rmSync(report, { force: true });
  return outcome;
}

const FUZZED_REQUESTS = 1500;

/** A small share of `./tasche fuzz`, always the same. */
async function fuzz(): Promise<Outcome> {
  const result = await fuzzRequests(FUZZED_REQUESTS, 1, { isMeasured: false });
  console.log(fuzzWords(result));
  return { passed: result.failures.length === 0 ? 1 : 0, failed: result.failures };
}

async function browser(): Promise<Outcome> {
  const program = headlessChromiumProgram();
  const data = throwAwayFolder();
  const report = path.join(data, 'report.json');
  const port = await freePort();
  const server = await startDemo(port, data);
  try {
    const isWell = tool('playwright', ['test', '-c', 'e2e/playwright.config.ts'], {
      TASCHE_BROWSER: program,
      TASCHE_URL: `http://127.0.0.1:${port}`,
      TASCHE_DATA: data,
      TASCHE_BROWSER_REPORT: report,
    });
    return readOutcome('browser', isWell, report, (read) => browserOutcome(read as JSONReport));
  } finally {
    await stopServer(server);
    rmSync(data, { recursive: true, force: true });
  }
}

/** A demo of its own, as its users start it. */
export async function startDemo(port: number, data: string): Promise<ChildProcess> {
  // The simulated player of tests and pictures does not stop to think.
  const environment: NodeJS.ProcessEnv = { TASCHE_MONITOR_EVERY: '80', ...process.env };
  delete environment.DATABASE_URL;
  const server = spawn(
    process.execPath,
    [...process.execArgv, 'command/main.ts', 'demo', '--port', String(port), '--data', data],
    { stdio: ['ignore', 'pipe', 'inherit'], env: environment },
  );
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('ready on')) resolve();
    });
    server.once('exit', (code) => {
      reject(new CliError(`the demo did not start (exit ${code}).`));
    });
  });
  return server;
}

export async function stopServer(server: ChildProcess): Promise<void> {
  const gone = new Promise((resolve) => {
    server.once('exit', resolve);
  });
  server.kill('SIGTERM');
  await gone;
}
