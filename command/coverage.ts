import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

/** What the coverage reporter writes of one file, as far as it is read. */
interface FileCoverage {
  lines: { total: number; covered: number; pct: number };
}
type CoverageSummary = Readonly<Record<string, FileCoverage>>;

/** Files with a smaller share of their lines run are named. */
const FEW_PERCENT = 50;

/** What the unit tests are run with to count the lines they run; the summary is written into `folder`. */
export function coverageArguments(folder: string): string[] {
  return [
    '--coverage.enabled',
    '--coverage.provider=v8',
    '--coverage.reportOnFailure',
    '--coverage.reporter=json-summary',
    `--coverage.reportsDirectory=${folder}`,
    '--coverage.include={core,contract,server,web}/src/**/*.{ts,vue}',
  ];
}

/** The summary of a run; undefined where it ended without one. */
export function readCoverage(folder: string): CoverageSummary | undefined {
  const file = path.join(folder, 'coverage-summary.json');
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as CoverageSummary) : undefined;
}

/** The share of each package, and every file of which less than half is run, the least first. */
export function coverageWords(summary: CoverageSummary, root: string): string {
  const files = Object.entries(summary)
    .filter(([file]) => file !== 'total')
    .map(([file, { lines }]) => ({ file: path.relative(root, file), ...lines }));
  const packages = [...new Set(files.map(({ file }) => file.split(path.sep)[0]!))].sort();
  const shares = packages.map((name) => {
    const own = files.filter(({ file }) => file.startsWith(name + path.sep));
    const sum = (part: 'total' | 'covered') => own.reduce((lines, one) => lines + one[part], 0);
    return `${name} ${sum('total') === 0 ? 100 : Math.round((sum('covered') / sum('total')) * 100)} %`;
  });
  const few = files
    .filter(({ pct, total }) => total > 0 && pct < FEW_PERCENT)
    .sort((a, b) => a.pct - b.pct || a.file.localeCompare(b.file));
  return [
    `Lines run by the unit tests, browser tests not counted: ${shares.join(', ')}.`,
    few.length === 0
      ? `No file under ${FEW_PERCENT} %.`
      : `Under ${FEW_PERCENT} %, ${few.length} of ${files.length} files:`,
    ...few.map(({ file, pct, total }) => `  ${pct.toFixed(0).padStart(3)} % of ${total}  ${file}`),
  ].join('\n');
}
