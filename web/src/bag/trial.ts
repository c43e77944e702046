import type { Command } from '@tasche/contract';
import type { LadderClub } from '@tasche/core';

/** A change looked at on the ladder and not yet made. */
export interface Trial {
  words: string;
  /** In the air the ladder is read in. */
  clubs: readonly LadderClub[];
  /** What keeping it would do. */
  commands?: readonly Command[];
  /** What keeping it is called, where it makes a ticket or a wish and changes nothing here. */
  keepWords?: string;
  caution?: string;
}
