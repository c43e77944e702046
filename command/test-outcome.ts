import { existsSync, readFileSync } from 'node:fs';
import type { JSONReport, JSONReportSuite, JSONReportTest } from '@playwright/test/reporter';

/** What a part of `./tasche test` came to; what failed by the name under which it is found again. */
export interface Outcome {
  passed: number;
  failed: readonly string[];
}

/** Where the unit tests leave what they came to (`unit-reporter.ts`). */
export const UNIT_REPORT = 'TASCHE_UNIT_REPORT';

/**
 * What a tool of tests wrote of its run.
 * @param isWell whether the tool itself ended well: if not, something failed, whatever the report says
 * @param read what its report says
 */
export function readOutcome(
  name: string,
  isWell: boolean,
  file: string,
  read: (report: unknown) => Outcome,
): Outcome {
  if (!existsSync(file)) return { passed: 0, failed: [`${name}: ended without a report, see its output`] };
  const outcome = read(JSON.parse(readFileSync(file, 'utf8')));
  return isWell || outcome.failed.length > 0
    ? outcome
    : { ...outcome, failed: [`${name}: ended with an error outside its tests, see its output`] };
}

/** What Playwright's report says; a pass that took two tries is a failure. */
export function browserOutcome(report: Pick<JSONReport, 'suites' | 'errors'>): Outcome {
  const specs = report.suites.flatMap(specsOf);
  return {
    passed: specs.filter(({ statuses }) => statuses.every((status) => status === 'expected')).length,
    failed: [
      ...specs.filter(({ statuses }) => statuses.some(isFailure)).map(({ name }) => name),
      ...report.errors.map(({ message }) => `browser: ${firstLine(message ?? 'an error without words')}`),
    ],
  };
}

type Status = JSONReportTest['status'];
const isFailure = (status: Status) => status === 'unexpected' || status === 'flaky';

function specsOf({ specs, suites }: JSONReportSuite): { name: string; statuses: Status[] }[] {
  return [
    ...specs.map(({ file, line, title, tests }) => ({
      name: `${file}:${line} ${title}`,
      statuses: tests.map(({ status }) => status),
    })),
    ...(suites ?? []).flatMap(specsOf),
  ];
}

export function firstLine(text: string): string {
  return text.split('\n', 1)[0]!;
}

/** The last words of `./tasche test`: what failed by name, then the counts. */
export function outcomeWords({ passed, failed }: Outcome): string {
  return [
    ...(failed.length > 0 ? ['Failed:', ...failed.map((name) => `  ${name}`)] : []),
    `tasche: ${passed} passed, ${failed.length} failed`,
  ].join('\n');
}
