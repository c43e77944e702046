import { expect, it } from 'vitest';
import { listed } from '../../src/index.js';

it('lists words with an "and" before the last', () => {
  expect([[], ['PW'], ['PW', 'SW'], ['PW', 'SW', 'LW']].map(listed)).toEqual([
    '',
    'PW',
    'PW and SW',
    'PW, SW and LW',
  ]);
});
