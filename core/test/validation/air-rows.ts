import { ZERO_CELSIUS_K, airDensity, standardAtmosphere } from '../../src/index.js';
import { nearBy, type Row, type Section } from './row.js';

/**
 * Density of humid air by another route than CIPM-2007's: the sum of two gases, the saturation pressure by
 * Hyland and Wexler (ASHRAE Trans. 89, 1983) and the compressibility from their second virial coefficient of
 * dry air; constants from memory.
 */
function densityOtherwise(temperatureK: number, pressurePa: number, humidity: number): number {
  const R = 8.314472;
  const t = temperatureK;
  const saturation = Math.exp(
    -5.8002206e3 / t +
      1.3914993 -
      4.8640239e-2 * t +
      4.1764768e-5 * t ** 2 -
      1.4452093e-8 * t ** 3 +
      6.5459673 * Math.log(t),
  );
  const enhancement = 1.0039 + (pressurePa - 101_325) * 3.2e-8;
  const vapourPa = humidity * saturation * enhancement;
  const virial = 0.349568e-4 - 0.668772e-2 / t - 2.10141 / t ** 2 + 92.4746 / t ** 3;
  const z = 1 + (virial * pressurePa) / (R * t);
  return ((pressurePa - vapourPa) * 28.96546e-3 + vapourPa * 18.01528e-3) / (z * R * t);
}

export function airSection(): Section {
  const rows: Row[] = [];
  for (const celsius of [5, 15, 21, 27, 35]) {
    for (const [hectopascal, humidityPct] of [
      [1013.25, 0],
      [1013.25, 50],
      [1013.25, 90],
      [850, 50],
    ] as const) {
      const k = celsius + ZERO_CELSIUS_K;
      rows.push(
        nearBy(
          `${celsius} C, ${hectopascal} hPa, ${humidityPct} %`,
          airDensity(k, hectopascal * 100, humidityPct / 100),
          densityOtherwise(k, hectopascal * 100, humidityPct / 100),
          0.05,
          'kg/m3',
          5,
        ),
      );
    }
  }
  return {
    title: 'Air density against another route',
    words:
      'CIPM-2007 (Picard et al., Metrologia 45, 2008) against a sum of two real gases with saturation pressure and virial coefficient of Hyland and Wexler 1983.',
    rows,
  };
}

/** Rows of the table of ISO 2533:1975 by geopotential altitude: K, Pa, kg/m3. From memory. */
const ATMOSPHERE = [
  [0, 288.15, 101_325, 1.225],
  [1000, 281.65, 89_874.6, 1.11164],
  [2000, 275.15, 79_495.2, 1.00649],
  [3000, 268.65, 70_108.5, 0.909122],
] as const;
const EARTH_M = 6_356_766;

export function atmosphereSection(): Section {
  return {
    title: 'Standard atmosphere',
    words:
      'ISO 2533:1975 / ICAO Doc 7488, rows by geopotential altitude, values from memory; the last column of each is CIPM-2007’s dry air at that temperature and pressure against the table’s density.',
    rows: ATMOSPHERE.flatMap(([geopotentialM, kelvin, pascal, density]) => {
      const found = standardAtmosphere((EARTH_M * geopotentialM) / (EARTH_M - geopotentialM));
      return [
        nearBy(`${geopotentialM} m: temperature`, found.temperatureK, kelvin, 0.01, 'K'),
        nearBy(`${geopotentialM} m: pressure`, found.pressurePa, pascal, 0.01, 'Pa', 1),
        nearBy(`${geopotentialM} m: density`, found.densityKgM3, density, 0.01, 'kg/m3', 5),
        nearBy(
          `${geopotentialM} m: CIPM-2007, dry`,
          airDensity(kelvin, pascal, 0),
          density,
          0.05,
          'kg/m3',
          5,
        ),
      ];
    }),
  };
}
