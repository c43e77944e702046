import { expect, it } from 'vitest';
import { counted, digits } from '../../src/index.js';

it('counts in the plural, but for one', () => {
  expect([0, 1, 2, 12000].map((count) => counted(count, 'club'))).toEqual([
    '0 clubs',
    '1 club',
    '2 clubs',
    '12,000 clubs',
  ]);
  expect(counted(2, 'entry', 'entries')).toBe('2 entries');
});

it('writes whole numbers as English does', () => {
  for (const count of [0, 7, 999, 1000, 12_345, 999_999, 1_000_000, -4200])
    expect(digits(count)).toBe(count.toLocaleString('en'));
});
