import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  CONDITION_BOUNDS,
  airDensity,
  airOf,
  airViscosity,
  requireConditions,
  standardAtmosphere,
  type Conditions,
} from '../../src/index.js';
import { saturationPressurePa } from '../../src/air/humid-air.js';

const kelvin = fc.double({ min: 253, max: 323, noNaN: true });
const pascal = fc.double({ min: 60_000, max: 105_000, noNaN: true });
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('air', () => {
  it('is thinner the warmer, the damper and the higher it is (property)', () => {
    fc.assert(
      fc.property(
        kelvin,
        pascal,
        share,
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (t, p, humidity, more) => {
          expect(airDensity(t + more, p, humidity)).toBeLessThan(airDensity(t, p, humidity));
          expect(airDensity(t, p + 100 * more, humidity)).toBeGreaterThan(airDensity(t, p, humidity));
          if (humidity < 0.97)
            expect(airDensity(t, p, humidity + 0.02)).toBeLessThan(airDensity(t, p, humidity));
        },
      ),
    );
  });

  it('is within a hair of an ideal gas when it is dry: p M / R T (textbook; M of CIPM-2007)', () => {
    fc.assert(
      fc.property(kelvin, pascal, (t, p) => {
        expect(airDensity(t, p, 0) / ((p * 28.96546e-3) / (8.314472 * t)) - 1).toBeLessThan(0.002);
        expect(airDensity(t, p, 0)).toBeGreaterThan((p * 28.96546e-3) / (8.314472 * t));
      }),
    );
  });

  it('holds as much vapour as the steam tables say: 2,339 Pa at 20 C, 611 Pa at 0 C (from memory)', () => {
    expect(saturationPressurePa(293.15)).toBeCloseTo(2339, -1);
    expect(saturationPressurePa(273.15)).toBeCloseTo(611, -1);
  });

  it('has the viscosity of ISO 2533 at sea level: 1.7894e-5 Pa s (from memory)', () => {
    expect(airViscosity(288.15)).toBeCloseTo(1.7894e-5, 9);
  });

  it('falls by about a sixth from the sea to 5,000 ft, in the standard atmosphere', () => {
    expect(standardAtmosphere(1524).pressurePa / standardAtmosphere(0).pressurePa).toBeCloseTo(0.832, 2);
  });
});

describe('conditions', () => {
  it('take a pressure over an altitude, and the wind apart into along and across', () => {
    expect(airOf({ ...BASELINE, altitudeM: 2000, pressureHpa: 1013.25 }).densityKgM3).toBeCloseTo(
      airOf({ ...BASELINE, pressureHpa: 1013.25 }).densityKgM3,
      12,
    );
    expect(airOf({ ...BASELINE, windMps: 5, windFromDeg: 0 })).toMatchObject({ windAlongMps: -5 });
    const right = airOf({ ...BASELINE, windMps: 5, windFromDeg: 90 });
    expect(right.windAcrossMps).toBeCloseTo(-5, 12);
    expect(right.windAlongMps).toBeCloseTo(0, 12);
  });

  it('turned by a whole turn are the same (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: -360, max: 0, noNaN: true }),
        (windMps, windFromDeg) => {
          const [one, other] = [
            airOf({ ...BASELINE, windMps, windFromDeg }),
            airOf({ ...BASELINE, windMps, windFromDeg: windFromDeg + 360 }),
          ];
          expect(one.windAlongMps).toBeCloseTo(other.windAlongMps, 9);
          expect(one.windAcrossMps).toBeCloseTo(other.windAcrossMps, 9);
          expect(Math.hypot(one.windAlongMps, one.windAcrossMps)).toBeCloseTo(windMps, 9);
        },
      ),
    );
  });

  it.each(Object.entries(CONDITION_BOUNDS))('refuse %s outside its bounds by name', (field, [min, max]) => {
    for (const value of [min - 1, max + 1, Number.NaN, Number.POSITIVE_INFINITY, '5']) {
      expect(() => requireConditions({ ...BASELINE, [field]: value } as Conditions)).toThrowError(
        new RegExp(`^${field} must be`),
      );
    }
    expect(() => requireConditions({ ...BASELINE, [field]: min } as Conditions)).not.toThrow();
    expect(() => requireConditions({ ...BASELINE, [field]: max } as Conditions)).not.toThrow();
  });
});
