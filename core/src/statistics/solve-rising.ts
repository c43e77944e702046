/**
 * Where a rising function takes a value: regula falsi with the Illinois correction (Dowell and Jarratt, BIT
 * 11, 1971, 168-174; from memory).
 * @param low,high an interval; the answer is its end when the value lies outside what the function takes on
 * it
 * @param tolerance in the units of the function's value
 */
export function solveRising(
  f: (x: number) => number,
  value: number,
  low: number,
  high: number,
  tolerance: number,
): number {
  let [a, b] = [low, high];
  let fa = f(a) - value;
  if (fa >= 0) return a;
  let fb = f(b) - value;
  if (fb <= 0) return b;
  let side = 0;
  let x = a;
  for (let i = 0; i < 60; i++) {
    x = (a * fb - b * fa) / (fb - fa);
    const fx = f(x) - value;
    if (Math.abs(fx) <= tolerance) return x;
    if (fx > 0) {
      b = x;
      fb = fx;
      if (side === 1) fa /= 2;
      side = 1;
    } else {
      a = x;
      fa = fx;
      if (side === -1) fb /= 2;
      side = -1;
    }
  }
  return x;
}
