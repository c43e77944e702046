import { expect, it } from 'vitest';
import { counted, decimals, digits } from '../../src/index.js';

it('counts in the plural, but for one', () => {
  expect([0, 1, 2, 12000].map((count) => counted(count, 'club'))).toEqual([
    '0 clubs',
    '1 club',
    '2 clubs',
    '12,000 clubs',
  ]);
  expect(counted(2, 'entry', 'entries')).toBe('2 entries');
});

it('writes a number with its places, and no zero with a sign', () => {
  expect([0.44, -0.44, -0.04, 0].map((value) => decimals(value, 1))).toEqual(['0.4', '−0.4', '0.0', '0.0']);
});

it('writes whole numbers as English does', () => {
  for (const count of [0, 7, 999, 1000, 12_345, 999_999, 1_000_000, -4200])
    expect(digits(count)).toBe(count.toLocaleString('en'));
});
