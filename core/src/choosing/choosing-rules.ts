import type { ClubKind } from '../clubs/index.js';
import type { GappingStrategyId } from '../gaps/index.js';

/** What a player wants of the choice, beside the needs. */
export interface ChoosingRules {
  school: GappingStrategyId;
  /** Clubs carried at most, the putter among them. */
  limit: number;
  /** Strokes a round that a step twice its target, or of nothing, costs. */
  unevenStrokes: number;
  /**
   * What having a club costs, in strokes a round: comfort and trust below zero, a change from the gamer or
   * money above it.
   */
  prices: Readonly<Record<string, number>>;
  always: readonly string[];
  never: readonly string[];
  /** So many of these; "one of a pair" is at most one. */
  groups: readonly {
    ids: readonly string[];
    least?: number;
    most?: number;
    /** What it is called, where that is more than its clubs. */
    name?: string;
  }[];
  /** At most so many of a kind. */
  kinds: readonly { kind: ClubKind; most: number }[];
  /** Distances some shot must come within so many metres of. */
  mustCover: readonly { distanceM: number; withinM: number }[];
  /** The player's, by which shots scatter where no day says it; read off the clubs where it is not given. */
  handicap?: number;
  /** Swings of a round the weights are shares of; needs that were counted say their own. */
  swings?: number;
}

/** What one uneven step is worth where a player says nothing. Strokes a round; our choice. */
export const USUAL_UNEVEN_STROKES = 0.04;

export const DEFAULT_CHOOSING_RULES: ChoosingRules = {
  school: 'even-carries',
  limit: 14,
  unevenStrokes: USUAL_UNEVEN_STROKES,
  prices: {},
  always: [],
  never: [],
  groups: [],
  kinds: [],
  mustCover: [],
};
