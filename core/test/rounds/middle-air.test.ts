import { describe, expect, it } from 'vitest';
import { middleAir, type RoundAir } from '../../src/index.js';
import { requireRoundAir } from '../../src/rounds/round-air.js';

const air = (windMps: number, windFromDeg: number, temperatureC = 12.34): RoundAir => ({
  temperatureC,
  humidityPct: 70.4,
  windMps,
  windFromDeg,
});

describe('the middle of the ways a day may turn out', () => {
  it('is the median of each figure, and the mean arrow of the wind', () => {
    expect(middleAir([air(4, 315), air(4, 45), air(9, 0)])).toEqual({
      temperatureC: 12.3,
      humidityPct: 70,
      windMps: 4,
      windFromDeg: 0,
    });
    expect(middleAir([air(5, 350), air(5, 20), air(5, 5)]).windFromDeg).toBe(5);
    expect(middleAir([air(2, 90), air(8, 180)]).windFromDeg).toBe(166);
    expect(middleAir([air(3, 200, -4), air(3, 200, 30), air(3, 200, 6)])).toMatchObject({
      temperatureC: 6,
      windFromDeg: 200,
    });
  });

  it('is air like any other, of one member itself, and refuses none', () => {
    const one = middleAir([air(6.2, 359.7)]);
    expect(one).toMatchObject({ windMps: 6.2, windFromDeg: 0 });
    expect(() => {
      requireRoundAir(one);
    }).not.toThrow();
    expect(() => middleAir([])).toThrow('members are none');
  });
});
