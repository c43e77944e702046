import { describe, expect, it } from 'vitest';
import { MISSES, validation, validationPage } from './validation/report.js';
// @ts-expect-error Vite hands over a file's text; the core has no types of Vite
import page from '../../docs/validation.md?raw';

const sections = validation();

describe('validation', () => {
  it.each(sections.map((section) => [section.title, section] as const))(
    '%s: every row is met, or is a miss that is said and explained',
    (title, { rows }) => {
      expect(rows.length).toBeGreaterThan(0);
      for (const row of rows) {
        const key = `${title}: ${row.what}`;
        expect(row.met, `${key}: ${row.got}, ${row.deviation}`).toBe(MISSES[key] === undefined);
      }
    },
  );

  it('names no false miss', () => {
    const missed = sections.flatMap(({ title, rows }) =>
      rows.filter((row) => !row.met).map((row) => `${title}: ${row.what}`),
    );
    expect(Object.keys(MISSES).sort()).toEqual(missed.sort());
  });

  it('is what docs/validation.md says; ./tasche validate writes it again', () => {
    expect(page).toBe(validationPage(sections));
  });
});
