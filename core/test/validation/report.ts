import { airSection, atmosphereSection } from './air-rows.js';
import { carryByNameSection, carryCurveSection, spreadSection } from './carry-rows.js';
import { closedFormSection, integratorSection } from './integrator-rows.js';
import type { Section } from './row.js';
import { rulesSection } from './rules-of-thumb.js';
import { coverageSection, referenceSection, strokesSection } from './statistics-rows.js';
import { runOutSection } from './run-out-rows.js';
import { roundSection } from './round-rows.js';
import { STOCK, STOCK_WOMEN, stockSection } from './stock-table.js';

/**
 * What does not come out as the trade says, and why. A row not met and not here fails the tests; so does one
 * here that is met.
 */
export const MISSES: Readonly<Record<string, string>> = {
  'Rules of thumb: driver spin 3,000 against 2,300 rpm at 167 mph and 10.9°':
    'Launched as low as the stock driver, the extra spin still holds the ball up for 4 yd more of carry, and costs 14 yd of run. At 14° it costs carry too.',
};

export function validation(): readonly Section[] {
  return [
    stockSection(
      'Stock table, men',
      'Common trade practice, remembered, no source; calm, 21 C, sea level. One set of coefficients for every club, fitted to the carries, apexes and landing angles of both tables together, to the altitude rule and to the launch of the best drive (`./tasche fit`, docs/numbers.md).',
      STOCK,
    ),
    stockSection('Stock table, women', 'Common trade practice, remembered, no source.', STOCK_WOMEN),
    rulesSection(),
    runOutSection(),
    airSection(),
    atmosphereSection(),
    integratorSection(),
    closedFormSection(),
    carryCurveSection(),
    carryByNameSection(),
    spreadSection(),
    referenceSection(),
    coverageSection(),
    strokesSection(),
    roundSection(),
  ];
}

/** docs/validation.md, whole. */
export function validationPage(sections: readonly Section[]): string {
  const rows = sections.flatMap(({ title, rows: lines }) =>
    lines.map((row) => ({ ...row, key: `${title}: ${row.what}` })),
  );
  const missed = rows.filter((row) => !row.met);
  const table = ({ title, words, rows: lines }: Section) =>
    [
      `## ${title}`,
      '',
      words,
      '',
      '| what | expected | got | deviation | allowed | |',
      '|---|---|---|---|---|---|',
      ...lines.map(
        (row) =>
          `| ${row.what} | ${row.expected} | ${row.got} | ${row.deviation} | ${row.allowed} | ${row.met ? 'met' : '**missed**'} |`,
      ),
      '',
    ].join('\n');
  return [
    '# Validation',
    '',
    'Made by `./tasche validate`; the tests compare this page with what the core computes. Deviations carry their sign: + is more than expected.',
    '',
    `${rows.length - missed.length} of ${rows.length} rows are met.${missed.length > 0 ? ' Not met:' : ''}`,
    '',
    ...missed.map((row) => `- **${row.key}**: ${row.got}. ${MISSES[row.key] ?? 'No reason is known.'}`),
    ...(missed.length > 0 ? [''] : []),
    'What holds for any input (energy is never gained in calm air, mirror symmetry, monotonicity, nothing is ever NaN) is in the property tests: `core/test/flight`, `core/test/run-out`, `core/test/carry`.',
    '',
    ...sections.map(table),
  ].join('\n');
}
