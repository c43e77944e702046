import type { GappingStrategyId } from '@tasche/core';
import type { BagView } from '../../views.js';

/** A plan's bag begins as the gamer is spaced. */
export function strategyOfGamer(bags: readonly BagView[]): GappingStrategyId {
  return bags.find(({ gamer }) => gamer)?.strategy ?? 'even-carries';
}
