import type { ChoosingModel } from './choosing-model.js';

/** Each need's clubs and what they cost, cheapest first; a row of n each. */
export function cheapestFirst(
  needs: ChoosingModel['needs'],
  n: number,
): { costs: Float64Array; clubs: Int16Array } {
  const costs = new Float64Array(needs.length * n);
  const clubs = new Int16Array(needs.length * n);
  needs.forEach((row, i) => {
    const order = Array.from(row.keys()).sort((a, b) => row[a]! - row[b]!);
    order.forEach((c, k) => {
      costs[i * n + k] = row[c]!;
      clubs[i * n + k] = c;
    });
  });
  return { costs, clubs };
}

/** A need's price begins at its second cheapest club: what having one of its own would be worth. */
export function firstPrices(costs: Float64Array, m: number, n: number): Float64Array {
  return Float64Array.from({ length: m }, (_one, i) => costs[i * n + Math.min(1, n - 1)]!);
}
