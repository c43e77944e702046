import { expect, it } from 'vitest';
import { byName } from '../../src/app/by-name';

it('a list of names is ordered as it is read', () => {
  const ordered = (...names: string[]) =>
    names
      .map((name) => ({ name }))
      .sort(byName)
      .map(({ name }) => name);
  expect(ordered('Zoe', 'anna', 'Élodie', 'Dag', 'Emil')).toEqual(['anna', 'Dag', 'Élodie', 'Emil', 'Zoe']);
  expect(ordered('Round 10', 'Round 2', 'round 1')).toEqual(['round 1', 'Round 2', 'Round 10']);
});
