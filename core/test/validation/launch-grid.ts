import { BASELINE, type Conditions, type Launch } from '../../src/index.js';

/**
 * A grid of launches and airs from lob wedge to driver, the same every time: points of the additive
 * golden-ratio sequence, which fills a box evenly (Roberts' generalised sequence, from memory).
 */
export function launchGrid(count: number): { launch: Launch; conditions: Conditions }[] {
  const dimensions = 9;
  let phi = 2;
  for (let i = 0; i < 50; i++) phi = (1 + phi) ** (1 / (dimensions + 1));
  return Array.from({ length: count }, (_one, n) => {
    const share = Array.from({ length: dimensions }, (_d, d) => (0.5 + (n + 1) * phi ** -(d + 1)) % 1);
    const [a, b, c, d, e, f, g, h, i] = share as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const long = a;
    return {
      launch: {
        ballSpeedMps: 25 + 55 * long,
        launchDeg: 8 + 30 * (1 - long) * (0.6 + 0.4 * b) + 4 * b,
        azimuthDeg: -6 + 12 * c,
        spinRpm: 2000 + 8000 * (1 - long) * (0.5 + 0.5 * d) + 1000 * d,
        spinAxisDeg: -20 + 40 * e,
      },
      conditions: {
        ...BASELINE,
        temperatureC: 40 * f,
        altitudeM: 2000 * g,
        windMps: 14 * h,
        windFromDeg: 360 * i,
      },
    };
  });
}
