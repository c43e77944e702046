import type { ShotKind, Spec, Strike } from '@tasche/core';
import type { Aim, BasketLine, SessionDetails } from './session-schemas.js';

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
