import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { airUnits, airWords, windWords, type AirPart } from '../../src/conditions/air-units';

const PARTS: readonly AirPart[] = ['temperature', 'altitude', 'humidity', 'wind', 'from', 'rise'];

describe('the air as people say it', () => {
  it('comes back from either way of saying it (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PARTS),
        fc.constantFrom('yd' as const, 'm' as const),
        fc.double({ min: -400, max: 4000, noNaN: true }),
        (part, unit, si) => {
          const { show, read } = airUnits(unit)[part];
          expect(read(show(si))).toBeCloseTo(si, 9);
        },
      ),
    );
  });

  it.each([
    ['temperature', 21, 'yd', '70 °F'],
    ['temperature', -5, 'm', '−5 °C'],
    ['wind', 8, 'yd', '18 mph'],
    ['wind', 8.5, 'm', '8.5 m/s'],
    ['altitude', 1520, 'yd', '4987 ft'],
    ['humidity', 40, 'm', '40 %'],
    ['from', 270, 'yd', '270°'],
    ['rise', 9.144, 'yd', '10 yd'],
  ] as const)('%s of %f for %s: %s', (part, si, unit, words) => expect(airWords(part, si, unit)).toBe(words));

  it.each([
    [0, 'in the face'],
    [359, 'in the face'],
    [-10, 'in the face'],
    [90, 'from the right'],
    [180, 'from behind'],
    [-90, 'from the left'],
    [225, 'from behind, from the left'],
    [315, 'in the face, from the left'],
  ])('a wind from %i is %s', (from, words) => expect(windWords(from)).toBe(words));
});
