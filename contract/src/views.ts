import type {
  BagPreferences,
  BagAnswer,
  ClubKind,
  Conditions,
  DistanceUnit,
  GapSettings,
  ShotDemand,
  Spec,
  Swap,
  GappingStrategyId,
} from '@tasche/core';
import type { Hand } from './schemas.js';
import type { CourseDetails, SeasonDetails } from './course-schemas.js';
import type { EventDetails } from './event-schemas.js';
import type { PlanChoosing, PlanRound } from './plan-choosing.js';
import type { BallInPlay } from './ball-schemas.js';
import type { PlayerSeason } from './player-season.js';
import type { TicketView } from './ticket-schemas.js';
import type { RoundPlayedView } from './round-played-schemas.js';
import type { WishView } from './wish-schemas.js';
import type { SessionView } from './session-views.js';

/** What the server answers with. Days are YYYY-MM-DD, moments ISO 8601 in UTC. */

/** Part of a list. */
export interface Page<T> {
  rows: readonly T[];
  /** Rows of the whole list. */
  total: number;
  /** What to ask for the rows after these with; null where there are none. */
  next: string | null;
}

/** Older plans of a player, with the bags that belong to them. */
export interface PlansPage extends Page<PlanView> {
  bags: readonly BagView[];
}

/** A player, as one is found by name. */
export interface FoundPlayer {
  id: string;
  name: string;
  archived: boolean;
}

export interface PlayerView {
  id: string;
  version: number;
  name: string;
  hand: Hand;
  distanceUnit: DistanceUnit;
  notes: string;
  /**
   * Stated by the player or rep; a plus handicap is negative. Null where not given: it is then estimated from
   * the clubs.
   */
  handicap: number | null;
  gapSettings: Partial<GapSettings>;
  /** The air this player's carries are known in; null is the usual one (calm, 21 C, sea level). */
  baseline: Conditions | null;
  /** What the player wants of every choice, as far as it is recorded; a plan may say otherwise. */
  preferences: Partial<BagPreferences> | null;
  /** Balls the player took up, each until the next. */
  balls: readonly BallInPlay[];
  /** Windows, freezes, trials; null while nothing was said. */
  season: PlayerSeason | null;
  archived: boolean;
}

export interface ClubView {
  id: string;
  playerId: string;
  version: number;
  name: string;
  kind: ClubKind;
  spec: Spec;
  removed: boolean;
}

export interface BagView {
  id: string;
  playerId: string;
  version: number;
  name: string;
  note: string;
  ready: boolean;
  gamer: boolean;
  /** How its steps are to be spaced. */
  strategy: GappingStrategyId;
  /** The plan this bag belongs to; its clubs then change by the plan's swaps alone. */
  planId: string | null;
  clubIds: readonly string[];
  removed: boolean;
}

/** What is recorded of a plan; days are YYYY-MM-DD. */
export interface PlanDetails {
  name: string;
  course: string;
  startsOn: string;
  endsOn: string;
  ground: string;
  weather: string;
}

export interface PlanView extends PlanDetails {
  id: string;
  playerId: string;
  version: number;
  bagId: string;
  /** The gamer's clubs on the day the plan was made. */
  baseClubIds: readonly string[];
  swaps: readonly Swap[];
  /** What its bag is chosen for; null until it is set. */
  choosing: PlanChoosing | null;
  /** The event it is for, where it is for one; then it has rounds of its own. */
  eventId: string | null;
  rounds: readonly PlanRound[];
  removed: boolean;
}

/** A player's whole locker, bags and plans on a day. */
export interface SheetView {
  player: PlayerView;
  clubs: readonly ClubView[];
  bags: readonly BagView[];
  plans: readonly PlanView[];
  /** Plans there are; the sheet holds the newest of them. */
  planCount: number;
  /** Open jobs for the bench, and those done last. */
  tickets: readonly TicketView[];
  wishes: readonly WishView[];
  /** Those outside any event, the newest first. */
  roundsPlayed: readonly RoundPlayedView[];
  /** The day the specs are shown as of; null is now. */
  asOf: string | null;
  lastChange: ChangeView | null;
}

export interface ChangeView {
  id: string;
  playerId: string | null;
  at: string;
  who: string;
  why: string;
  summary: string;
  undoes: string | null;
  undone: boolean;
}

/** The answer to a change: what it was, and all it touched as it is now. */
export interface ChangeResult {
  change: ChangeView;
  players: readonly PlayerView[];
  clubs: readonly ClubView[];
  bags: readonly BagView[];
  plans: readonly PlanView[];
  sessions: readonly SessionView[];
  courses: readonly CourseView[];
  seasons: readonly SeasonView[];
  events: readonly EventView[];
  tickets: readonly TicketView[];
  wishes: readonly WishView[];
  roundsPlayed: readonly RoundPlayedView[];
}

interface Kept {
  id: string;
  version: number;
  removed: boolean;
}
export interface CourseView extends CourseDetails, Kept {}
export interface SeasonView extends SeasonDetails, Kept {}
export interface EventView extends EventDetails, Kept {}

/** What a workspace plays: its courses, what seasons do to them, its events. */
export interface ScheduleView {
  courses: readonly CourseView[];
  seasons: readonly SeasonView[];
  events: readonly EventView[];
}

/** A round's bag, as the server works it out for scripts. */
export interface RoundChoiceView {
  /** Null where the locks together allow no bag. */
  answer: BagAnswer | null;
  needs: readonly ShotDemand[];
  /** Strokes a round that were counted, and those too rare to be listed. */
  strokes: number;
  rareStrokes: number;
  why: readonly string[];
}
