import { expect, it } from 'vitest';
import { counted } from '../../src/app/counted';

it('counts in the plural, but for one', () => {
  expect([0, 1, 2, 12000].map((count) => counted(count, 'club'))).toEqual([
    '0 clubs',
    '1 club',
    '2 clubs',
    '12,000 clubs',
  ]);
  expect(counted(2, 'entry', 'entries')).toBe('2 entries');
});
