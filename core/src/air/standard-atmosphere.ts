/** Standard gravity, m/s2 (3rd CGPM, 1901). */
export const GRAVITY = 9.80665;

const SEA_LEVEL_K = 288.15;
const SEA_LEVEL_PA = 101_325;
const LAPSE_K_PER_M = 0.0065;
const GAS_CONSTANT = 287.05287;
/** Nominal radius of the earth for the geopotential altitude, m. */
const EARTH_M = 6_356_766;

/**
 * The standard atmosphere's lowest layer, from 2 km under the sea to 11 km above it.
 * Source: ISO 2533:1975, ICAO Doc 7488; constants from memory.
 * @param altitudeM geometric altitude above sea level, m
 * @returns temperature (K), pressure (Pa) and density (kg/m3) of dry air
 */
export function standardAtmosphere(altitudeM: number): {
  temperatureK: number;
  pressurePa: number;
  densityKgM3: number;
} {
  const geopotentialM = (EARTH_M * altitudeM) / (EARTH_M + altitudeM);
  const temperatureK = SEA_LEVEL_K - LAPSE_K_PER_M * geopotentialM;
  const pressurePa =
    SEA_LEVEL_PA * (temperatureK / SEA_LEVEL_K) ** (GRAVITY / (LAPSE_K_PER_M * GAS_CONSTANT));
  return { temperatureK, pressurePa, densityKgM3: pressurePa / (GAS_CONSTANT * temperatureK) };
}
