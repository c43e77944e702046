import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { JSONReportSpec, JSONReportSuite } from '@playwright/test/reporter';
import { afterAll, describe, expect, it } from 'vitest';
import { browserOutcome, outcomeWords, readOutcome, UNIT_REPORT, type Outcome } from '../test-outcome.js';

const folder = mkdtempSync(path.join(os.tmpdir(), 'tasche-outcome-'));
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

describe('what the unit tests came to', () => {
  it('names each failure: a test, a suite or a file that could not begin, an error outside them all', () => {
    mkdirSync(path.join(folder, 'test'));
    const write = (name: string, text: string) =>
      writeFileSync(path.join(folder, `test/${name}.test.js`), text);
    write(
      'sums',
      "it('adds', () => {}); describe('times', () => { it('is wrong', () => expect(6).toBe(7)); });",
    );
    write('begins', "throw new Error('no such part\\nat line 3');");
    write(
      'suite',
      "describe('a folder', () => { beforeAll(() => { throw new Error('full'); }); it('opens', () => {}); });",
    );
    write('loose', "it('goes on', () => { void Promise.reject(new Error('nobody waited')); });");
    const report = path.join(folder, 'report.json');
    const done = spawnSync(
      path.resolve('node_modules/.bin/vitest'),
      ['run', '--root', folder, '--globals', '--reporter', path.resolve('command/unit-reporter.ts')],
      { env: { ...process.env, [UNIT_REPORT]: report } },
    );
    const { passed, failed } = readOutcome('unit', done.status === 0, report, (read) => read as Outcome);
    expect(passed).toBe(2);
    expect([...failed].sort()).toEqual([
      'test/begins.test.js no such part',
      'test/suite.test.js a folder: full',
      'test/sums.test.js times > is wrong',
      'unit: outside every test: nobody waited',
    ]);
  });

  it('without a report, or ended badly without a failure, is a failure', () => {
    expect(readOutcome('unit', false, path.join(folder, 'nowhere.json'), (read) => read as Outcome)).toEqual({
      passed: 0,
      failed: ['unit: ended without a report, see its output'],
    });
    const file = path.join(folder, 'well.json');
    writeFileSync(file, JSON.stringify({ passed: 3, failed: [] }));
    expect(readOutcome('unit', true, file, (read) => read as Outcome).failed).toEqual([]);
    expect(readOutcome('unit', false, file, (read) => read as Outcome)).toEqual({
      passed: 3,
      failed: ['unit: ended with an error outside its tests, see its output'],
    });
  });
});

describe('what the browser tests came to', () => {
  const spec = (title: string, ...statuses: ('expected' | 'unexpected' | 'flaky' | 'skipped')[]) =>
    ({
      title,
      file: 'bag.spec.ts',
      line: 4,
      tests: statuses.map((status) => ({ status })),
    }) as JSONReportSpec;
  const suite = (specs: JSONReportSpec[], suites: JSONReportSuite[] = []) =>
    ({ specs, suites }) as JSONReportSuite;

  it('counts nested ones, and a pass at the second try is a failure', () => {
    const inner = suite([spec('is typed', 'expected'), spec('is pasted', 'flaky')]);
    const outer = suite([spec('opens', 'unexpected'), spec('prints', 'skipped')], [inner]);
    expect(browserOutcome({ suites: [outer], errors: [{ message: 'no browser\nat all' }] })).toEqual({
      passed: 1,
      failed: ['bag.spec.ts:4 opens', 'bag.spec.ts:4 is pasted', 'browser: no browser'],
    });
  });
});

it('the last words name what failed, and end with the counts', () => {
  expect(outcomeWords({ passed: 5, failed: [] })).toBe('tasche: 5 passed, 0 failed');
  expect(outcomeWords({ passed: 5, failed: ['eslint .', 'bag.spec.ts:4 opens'] })).toBe(
    'Failed:\n  eslint .\n  bag.spec.ts:4 opens\ntasche: 5 passed, 2 failed',
  );
});
