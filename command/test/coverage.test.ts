import { expect, it } from 'vitest';
import { coverageWords } from '../coverage.js';

const lines = (total: number, covered: number) => ({
  lines: { total, covered, pct: total === 0 ? 100 : (covered / total) * 100 },
});

it('names every file of which less than half is run, the least first, and each package’s share', () => {
  const words = coverageWords(
    {
      total: lines(400, 200),
      '/repo/core/src/a.ts': lines(100, 97),
      '/repo/web/src/b.vue': lines(200, 40),
      '/repo/web/src/c.ts': lines(50, 5),
      '/repo/web/src/types.ts': lines(0, 0),
      '/repo/web/src/half.ts': lines(50, 25),
    },
    '/repo',
  );
  expect(words.split('\n')).toEqual([
    'Lines run by the unit tests, browser tests not counted: core 97 %, web 23 %.',
    'Under 50 %, 2 of 5 files:',
    '   10 % of 50  web/src/c.ts',
    '   20 % of 200  web/src/b.vue',
  ]);
});

it('says so where there is none', () => {
  expect(coverageWords({ total: lines(1, 1), '/repo/core/src/a.ts': lines(4, 4) }, '/repo')).toContain(
    'No file under 50 %.',
  );
});
