import type {
  BagPreferences,
  BagAnswer,
  ClubKind,
  Conditions,
  DistanceUnit,
  Fact,
  GapSettings,
  ShotDemand,
  ReadingKey,
  Severity,
  ShotKind,
  Spec,
  SpinSession,
  Strike,
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
import type { Aim, BasketLine, SessionDetails } from './session-schemas.js';

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

export interface SessionView extends SessionDetails {
  id: string;
  playerId: string;
  version: number;
  /** Where its strikes came from: "by hand", a file's name, a monitor's. */
  source: string;
  /** Takes what the monitor sees. */
  live: boolean;
  aim: Aim | null;
  /** What is to be hit, where it is planned. */
  basket: readonly BasketLine[] | null;
  removed: boolean;
}

/** A session with how many balls were hit in it. */
export interface SessionEntry extends SessionView {
  strikes: number;
  clubs: number;
}

/** One ball of a session, as it was given. */
export interface StrikeView {
  id: string;
  sessionId: string;
  clubId: string | null;
  shot: ShotKind;
  /** Its place in the session. */
  number: number;
  hitAt: string | null;
  /** The day whose build of the club it was hit with. */
  builtOn: string;
  given: Strike;
  /** Why it does not count, or null. */
  leftOut: string | null;
}

/** A player's sessions and what was hit in them, as far as they are here. */
export interface SessionsView {
  sessions: readonly SessionEntry[];
  strikes: readonly StrikeView[];
}

/** A club as it was built on a day. */
export interface BuildView {
  clubId: string;
  builtOn: string;
  spec: Spec;
}

export interface StrikesView {
  strikes: readonly StrikeView[];
  builds: readonly BuildView[];
  /** There are more than one answer holds: the oldest are not in it. */
  more: boolean;
}

/** A line of a monitor, or a ball, that could not be taken, and why. */
export interface SetAsideView {
  at: string;
  text: string;
  reason: string;
}

/** How the launch monitor is. */
export interface MonitorView {
  state: 'none' | 'away' | 'here';
  device: string | null;
  /** It makes its shots up, and can be told to. */
  simulated: boolean;
}

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
