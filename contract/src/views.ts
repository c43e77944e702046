import type { ClubKind, Conditions, DistanceUnit, Fact, GapSettings, ReadingKey, Severity, Spec, Surface, Swap } from '@tasche/core';
import type { Hand, PlanDetails } from './changes.js';

/** What the server answers with. Days are YYYY-MM-DD, moments ISO 8601 in UTC. */

export interface SessionView {
  workspace: { id: string; name: string };
  who: string;
}

export interface PlayerView {
  id: string;
  version: number;
  name: string;
  hand: Hand;
  distanceUnit: DistanceUnit;
  notes: string;
  gapSettings: Partial<GapSettings>;
  /** The air this player's carries are known in; null is the usual one (calm, 21 C, sea level). */
  baseline: Conditions | null;
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
  /** The plan this bag belongs to; its clubs then change by the plan's swaps alone. */
  planId: string | null;
  clubIds: readonly string[];
  removed: boolean;
}

export interface PlanView extends PlanDetails {
  id: string;
  playerId: string;
  version: number;
  bagId: string;
  /** The gamer's clubs on the day the plan was made. */
  baseClubIds: readonly string[];
  swaps: readonly Swap[];
  removed: boolean;
}

/** A player's whole locker, bags and plans on a day. */
export interface SheetView {
  player: PlayerView;
  clubs: readonly ClubView[];
  bags: readonly BagView[];
  plans: readonly PlanView[];
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
}

export interface RosterEntry {
  player: PlayerView;
  gamer: { bagId: string; clubs: number; faults: number; looks: number; severity: Severity; headline: string } | null;
  clubsOwned: number;
  nextPlan: { id: string; name: string; course: string; startsOn: string; endsOn: string; swaps: number } | null;
  lastChange: ChangeView | null;
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
}

/** A course in a season, whose air and ground a ladder may be read in. */
export interface PlaceView {
  id: string;
  course: string;
  season: string;
  conditions: Conditions;
  surface: Surface;
}
