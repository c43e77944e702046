/**
 * Numbers between 0 and 1 that look random and are the same for the same seed: mulberry32 (T. Ettinger,
 * public domain; from memory).
 */
export function randomFrom(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * Normal deviates from uniform ones: G. E. P. Box and M. E. Muller, Annals of Mathematical Statistics 29
 * (1958) 610-611.
 */
export function normalFrom(uniform: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
}

/** A new order of a list: R. A. Fisher and F. Yates, Statistical Tables (1938), as every textbook has it. */
export function shuffled<T>(list: readonly T[], uniform: () => number): T[] {
  const order = [...list];
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(uniform() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}
