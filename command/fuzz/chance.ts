import { randomFrom } from '@tasche/core';

/** A source of chance whose every answer follows from its seed. */
export interface Chance {
  below: (n: number) => number;
  one: <T>(list: readonly T[]) => T;
  is: (probability: number) => boolean;
}

export function chanceFrom(seed: number): Chance {
  const uniform = randomFrom(seed);
  const below = (n: number) => Math.floor(uniform() * n);
  return { below, one: (list) => list[below(list.length)]!, is: (probability) => uniform() < probability };
}
