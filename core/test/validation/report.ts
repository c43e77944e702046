import { airSection, atmosphereSection } from './air-rows.js';
import { carryCurveSection, spreadSection } from './carry-rows.js';
import { closedFormSection, integratorSection } from './integrator-rows.js';
import type { Section } from './row.js';
import { rulesSection } from './rules-of-thumb.js';
import { coverageSection, referenceSection, strokesSection } from './statistics-rows.js';
import { HELD_OUT, STOCK, stockSection } from './stock-table.js';

/** What does not come out as the trade says, and why. A row not met and not here fails the tests; so does one here that is met. */
export const MISSES: Readonly<Record<string, string>> = {
  'Held-out table: 3-wood':
    'The carry is met; the spin remembered for this row is 1,800 rpm under the next club’s, and no ball with so little spin comes down at 39° from this launch.',
  'Rules of thumb: driver spin 3,000 against 2,300 rpm at 167 mph and 10.9°':
    'Launched as low as the stock driver, the extra spin still holds the ball up for 2 yd more of carry, and costs more than that in run. At 14° it costs carry too.',
  'Rules of thumb: a step of 5° (46 to 51) at a 7-iron of 90 mph':
    'Half a yard over: wedges are swung by a straight line through few remembered speeds.',
};

export function validation(): readonly Section[] {
  return [
    stockSection('Stock table', 'Men; common trade practice, remembered, no source; calm, 21 C, sea level. One set of coefficients, calibrated on this table’s carries (docs/numbers.md). Deviations are of carry, apex and landing angle.', STOCK),
    stockSection('Held-out table', 'Women; common trade practice, remembered, no source. Nothing was calibrated on it; it shows whether the fit is to the trade or to the first table’s noise.', HELD_OUT),
    rulesSection(), airSection(), atmosphereSection(), integratorSection(), closedFormSection(), carryCurveSection(), spreadSection(),
    referenceSection(), coverageSection(), strokesSection(),
  ];
}

/** docs/validation.md, whole. */
export function validationPage(sections: readonly Section[]): string {
  const rows = sections.flatMap(({ title, rows: lines }) => lines.map((row) => ({ ...row, key: `${title}: ${row.what}` })));
  const missed = rows.filter((row) => !row.met);
  const table = ({ title, words, rows: lines }: Section) => [
    `## ${title}`, '', words, '', '| what | expected | got | deviation | allowed | |', '|---|---|---|---|---|---|',
    ...lines.map((row) => `| ${row.what} | ${row.expected} | ${row.got} | ${row.deviation} | ${row.allowed} | ${row.met ? 'met' : '**missed**'} |`), '',
  ].join('\n');
  return [
    '# Validation', '',
    'Made by `./tasche validate`; the tests compare this page with what the core computes. Deviations carry their sign: + is more than expected.', '',
    `${rows.length - missed.length} of ${rows.length} rows are met.${missed.length > 0 ? ' Not met:' : ''}`, '',
    ...missed.map((row) => `- **${row.key}**: ${row.got}. ${MISSES[row.key] ?? 'No reason is known.'}`), ...(missed.length > 0 ? [''] : []),
    'What holds for any input (energy is never gained in calm air, mirror symmetry, monotonicity, nothing is ever NaN) is in the property tests: `core/test/flight`, `core/test/run-out`, `core/test/carry`.', '',
    ...sections.map(table),
  ].join('\n');
}
