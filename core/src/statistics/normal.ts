/** The 97.5 % point of the standard normal distribution: half a 95 % interval in standard deviations. */
export const NORMAL_95 = 1.959963984540054;

/**
 * Standard normal distribution function. G. West, Better approximations to cumulative normal functions,
 * Wilmott Magazine (May 2005), after J. F. Hart, 1968; coefficients from memory, checked against a library.
 */
export function normalCdf(x: number): number {
  const size = Math.abs(x);
  if (size > 37) return x > 0 ? 1 : 0;
  const bell = Math.exp((-size * size) / 2);
  let tail: number;
  if (size < 7.07106781186547) {
    const above = polynomial(
      size,
      [
        3.52624965998911e-2, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871,
        221.213596169931, 220.206867912376,
      ],
    );
    const below = polynomial(
      size,
      [
        8.83883476483184e-2, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674,
        637.333633378831, 793.826512519948, 440.413735824752,
      ],
    );
    tail = (bell * above) / below;
  } else {
    tail = bell / (size + 1 / (size + 2 / (size + 3 / (size + 4 / (size + 0.65))))) / Math.sqrt(2 * Math.PI);
  }
  return x > 0 ? 1 - tail : tail;
}

/** Highest power first. */
function polynomial(x: number, coefficients: readonly number[]): number {
  return coefficients.reduce((sum, coefficient) => sum * x + coefficient, 0);
}
