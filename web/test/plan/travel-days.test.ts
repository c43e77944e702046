import { describe, expect, it } from 'vitest';
import { daysWords, travelDays } from '../../src/plan/travel-days';

const bag = (...ids: string[]) => ({ name: ids.join(), ids, strokes: 0, regret: 0 });

describe('the clubs that travel, day by day', () => {
  it('are told by the days they are carried, in the order of the set', () => {
    const days = travelDays({
      ids: ['driver', 'hybrid', 'low iron', 'spare'],
      bags: [bag('driver', 'hybrid'), bag('low iron', 'driver'), bag('driver', 'hybrid')],
    });
    expect(days).toEqual([
      { id: 'driver', carried: [true, true, true], days: 3 },
      { id: 'hybrid', carried: [true, false, true], days: 2 },
      { id: 'low iron', carried: [false, true, false], days: 1 },
      { id: 'spare', carried: [false, false, false], days: 0 },
    ]);
    expect(days.map(daysWords)).toEqual(['every day', '2 of 3', '1 of 3', 'in reserve']);
  });
});
