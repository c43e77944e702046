import type { Fact, ReadingKey, SpinSession } from '@tasche/core';
import type { TicketView } from './ticket-schemas.js';
import type { ClubView, Page } from './views.js';

/** A loft a gauge read, on a day. Degrees. */
export interface GaugedLoft {
  clubId: string;
  takenOn: string;
  deg: number;
}

/**
 * A time a club was in the gamer bag; `to` is null while it still is, `from` where the start is not recorded.
 * Moments.
 */
export interface ClubStint {
  clubId: string;
  clubName: string;
  from: string | null;
  to: string | null;
}

/** What a player played with at the end of a day: the gamer, every club's spec, the ball. */
export interface DayView {
  /** YYYY-MM-DD. */
  day: string;
  gamer: { bagId: string; name: string; clubIds: readonly string[] } | null;
  /** Clubs that are owned now, and those of the gamer then that were deleted since. */
  clubs: readonly Pick<ClubView, 'id' | 'name' | 'kind' | 'spec' | 'removed'>[];
  ball: string | null;
}

/** Days with balls hit that one review goes back over. */
export const MAX_REVIEW_DAYS = 60;

/** A time looked back on; days are YYYY-MM-DD, moments ISO. */
export interface ReviewView {
  from: string;
  to: string;
  /** Clubs that came into the gamer and went out of it, the newest first. */
  swaps: readonly {
    /** Of the change. */
    id: string;
    at: string;
    who: string;
    why: string;
    summary: string;
    ins: readonly { id: string; name: string }[];
    outs: readonly { id: string; name: string }[];
    /** The gamer's clubs before it, and after. */
    before: readonly string[];
    after: readonly string[];
  }[];
  /**
   * Days on which balls were hit, the newest first, with what was known of each club before: lofts, lengths,
   * full carries.
   */
  days: readonly { day: string; clubs: readonly Pick<ClubView, 'id' | 'name' | 'kind' | 'spec'>[] }[];
  /** There are more days than one review goes back over; the oldest are not in it. */
  more: boolean;
}

/** All that is known of a club's past; moments and days. */
export interface ClubLifeView {
  club: Pick<ClubView, 'id' | 'playerId' | 'name' | 'kind' | 'removed'>;
  /** The newest of them; `total` says how many there are. */
  readings: Page<ReadingView>;
  sessions: readonly {
    id: string;
    name: string;
    day: string;
    shots: number;
    /** Of its full shots whose spin a device measured; null where none was, or one alone. */
    spin: Omit<SpinSession, 'day'> | null;
  }[];
  stints: readonly ClubStint[];
  tickets: readonly TicketView[];
}

export interface ReadingView {
  id: string;
  clubId: string;
  key: ReadingKey;
  value: Fact['value'] | null;
  takenOn: string;
  recordedAt: string;
  who: string;
  why: string;
  undone: boolean;
}

export interface DifferenceView {
  clubId: string;
  clubName: string;
  key: ReadingKey;
  before: Fact | null;
  after: Fact | null;
  /** The change that made it so, where it still stands. */
  by: { at: string; who: string; why: string } | null;
}
