/** 0 C in kelvin. */
export const ZERO_CELSIUS_K = 273.15;

/**
 * Density of humid air, kg/m3, by the CIPM-2007 formula. Source: Picard, Davis, Glaeser, Fujii, Metrologia 45
 * (2008) 149-155; its constants are written here from memory and checked against two other routes
 * (docs/validation.md). The formula is stated for 15 to 27 C and 600 to 1100 hPa; outside it is extrapolated.
 * @param temperatureK kelvin
 * @param pressurePa pascal
 * @param humidity relative humidity, 0 to 1
 */
export function airDensity(temperatureK: number, pressurePa: number, humidity: number): number {
  const t = temperatureK - ZERO_CELSIUS_K;
  const vapour =
    (humidity * enhancementFactor(t, pressurePa) * saturationPressurePa(temperatureK)) / pressurePa;
  const z = compressibility(temperatureK, pressurePa, vapour);
  return (3.48374e-3 * pressurePa * (1 - 0.378 * vapour)) / (z * temperatureK);
}

/** Pressure of saturated water vapour, Pa: CIPM-2007, equation A1.1. */
export function saturationPressurePa(temperatureK: number): number {
  return Math.exp(
    1.2378847e-5 * temperatureK ** 2 - 1.9121316e-2 * temperatureK + 33.93711047 - 6.3431645e3 / temperatureK,
  );
}

/** How much more vapour air holds than empty space would: CIPM-2007, equation A1.2. `t` in C. */
function enhancementFactor(t: number, pressurePa: number): number {
  return 1.00062 + 3.14e-8 * pressurePa + 5.6e-7 * t ** 2;
}

/** Compressibility of humid air: CIPM-2007, equation A1.4. */
function compressibility(temperatureK: number, pressurePa: number, vapour: number): number {
  const t = temperatureK - ZERO_CELSIUS_K;
  const ratio = pressurePa / temperatureK;
  return (
    1 -
    ratio *
      (1.58123e-6 -
        2.9331e-8 * t +
        1.1043e-10 * t ** 2 +
        (5.707e-6 - 2.051e-8 * t) * vapour +
        (1.9898e-4 - 2.376e-6 * t) * vapour ** 2) +
    ratio ** 2 * (1.83e-11 - 0.765e-8 * vapour ** 2)
  );
}

/**
 * Dynamic viscosity of air, Pa s, by Sutherland's formula as ISO 2533 gives it. Humidity changes it by less
 * than 1 %.
 */
export function airViscosity(temperatureK: number): number {
  return (1.458e-6 * temperatureK ** 1.5) / (temperatureK + 110.4);
}
