import { writeFileSync } from 'node:fs';
import type { Reporter, SerializedError, TestModule } from 'vitest/node';
import { firstLine, UNIT_REPORT, type Outcome } from './test-outcome.js';

/**
 * Writes what the unit tests came to: tests, files and suites that could not begin, errors outside them all.
 */
export default class UnitReporter implements Reporter {
  onTestRunEnd(modules: readonly TestModule[], errors: readonly SerializedError[]): void {
    const file = process.env[UNIT_REPORT];
    if (file) writeFileSync(file, JSON.stringify(unitOutcome(modules, errors)));
  }
}

function unitOutcome(modules: readonly TestModule[], errors: readonly SerializedError[]): Outcome {
  const of = ({ relativeModuleId }: TestModule, what: string) => `${relativeModuleId} ${what}`;
  return {
    passed: modules.reduce((sum, { children }) => sum + [...children.allTests('passed')].length, 0),
    failed: [
      ...modules.flatMap((module) => [
        ...module.errors().map(({ message }) => of(module, firstLine(message))),
        ...[...module.children.allSuites()].flatMap((suite) =>
          suite.errors().map(({ message }) => of(module, `${suite.fullName}: ${firstLine(message)}`)),
        ),
        ...[...module.children.allTests('failed')].map(({ fullName }) => of(module, fullName)),
      ]),
      ...errors.map(({ message }) => `unit: outside every test: ${firstLine(message)}`),
    ],
  };
}
