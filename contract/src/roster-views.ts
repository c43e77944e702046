import type { Severity } from '@tasche/core';
import type { ChangeView, PlayerView } from './views.js';

export interface RosterBench {
  /** Open tickets, and the day the first of them is due. */
  tickets: number;
  dueOn: string | null;
  /** The day the last ticket was done. */
  builtOn: string | null;
  /** The day of the oldest loft reading of the gamer; null where a club of it was never on a gauge. */
  checkedOn: string | null;
  /**
   * Clubs of the gamer whose carry was taken before they were changed, and those whose carry is not known.
   */
  stale: number;
  unknown: number;
  /** The days new grooves are due, of the wedges of the gamer whose grooves have a date. */
  groovesDueOn: readonly string[];
}

/** Changes of a player the roster names. */
export const MAX_LAST_CHANGES = 5;

export interface RosterEntry {
  player: PlayerView;
  gamer: {
    bagId: string;
    clubs: number;
    faults: number;
    looks: number;
    severity: Severity;
    headline: string;
  } | null;
  clubsOwned: number;
  /** What the bench and the range have to say of the gamer. */
  bench: RosterBench;
  nextPlan: {
    id: string;
    name: string;
    course: string;
    startsOn: string;
    endsOn: string;
    swaps: number;
    /** Of an event: how many rounds there are, and how many have their bag. */
    rounds: {
      of: number;
      settled: number;
    } | null;
  } | null;
  /** The newest first, a few of them. */
  lastChanges: readonly ChangeView[];
}
