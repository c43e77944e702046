import type { Remedy } from '@tasche/core';

/** What a remedy is worth, in words. */
export function gainWords({ gain }: Pick<Remedy, 'gain'>): string {
  return gain < 0.01 ? 'costs nothing elsewhere' : `saves ${gain.toFixed(2)} strokes a round`;
}
