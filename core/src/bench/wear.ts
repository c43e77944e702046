import { isWedge, type ClubKind } from '../clubs/index.js';
import { numberIn, playingLoft, textIn, type Spec } from '../spec/index.js';

/** How worn a wedge's grooves may be. */
interface GrooveWear {
  weeks: number;
  /** Shots it is taken to have been hit since, in rounds and in practice. */
  shots: number;
  /** It is not recorded how often it is hit in a round. */
  assumed: boolean;
  /** Weeks in which it is due, from the day the grooves were new. */
  dueWeeks: number;
  /** YYYY-MM-DD. */
  dueOn: string;
  due: boolean;
}

const DAY_MS = 86_400_000;
/**
 * A professional's most used wedge is renewed after 6 to 10 weeks (common practice, no source): eight of
 * about five rounds a week, four shots a round and as many again in practice. Others last by use.
 */
const TOUR_WEEKS = 8;
const TOUR_SHOTS = TOUR_WEEKS * 5 * 4 * 2;
/** Played or not, steel rusts and sand blunts: a wedge is due after two years at the latest. Our choice. */
const MOST_WEEKS = 104;
const FEWEST_WEEKS = 6;
/** Rounds a week where it is not said: one. A tour player's five are said in the settings. */
const USUAL_ROUNDS_A_WEEK = 1;
const PRACTICE_SHARE = 2;
/** Shots a round with a wedge when they were not counted. Our choice. */
const USUAL_HITS = 3;

/**
 * How long a wedge's grooves have been in use, and when they are due; undefined for a club that is not a wedge
 * or whose grooves have no date.
 * @param today YYYY-MM-DD
 */
export function grooveWear(
  { kind, spec }: { kind: ClubKind; spec: Spec },
  today: string,
  roundsAWeek = USUAL_ROUNDS_A_WEEK,
): GrooveWear | undefined {
  const since = textIn(spec, 'grooveDate');
  const loftDeg = playingLoft(spec)?.deg;
  if (since === undefined || !isWedge({ kind, ...(loftDeg !== undefined && { loftDeg }) })) return undefined;
  const newOn = Date.parse(`${since}T00:00:00Z`);
  const weeks = Math.max(0, (Date.parse(`${today}T00:00:00Z`) - newOn) / DAY_MS / 7);
  const hits = numberIn(spec, 'hitsPerRound');
  const aWeek = (hits ?? USUAL_HITS) * roundsAWeek * PRACTICE_SHARE;
  const dueWeeks =
    aWeek === 0 ? MOST_WEEKS : Math.min(MOST_WEEKS, Math.max(FEWEST_WEEKS, TOUR_SHOTS / aWeek));
  const dueOn = new Date(newOn + Math.round(dueWeeks * 7) * DAY_MS).toISOString().slice(0, 10);
  return {
    weeks,
    dueWeeks,
    dueOn,
    due: dueOn <= today,
    shots: Math.round(aWeek * weeks),
    assumed: hits === undefined,
  };
}

/** How long a grip has been on. */
interface GripWear {
  /** YYYY-MM-DD: the day it was recorded. */
  since: string;
  dueOn: string;
  due: boolean;
}

/** Grips harden in about a year, or forty rounds; common practice, no source. */
const GRIP_ROUNDS = 40;
const GRIP_WEEKS_AT_MOST = 52;

/** When a club's grip is due; undefined where none is recorded. @param today YYYY-MM-DD */
export function gripWear(
  { spec }: { spec: Spec },
  today: string,
  roundsAWeek = USUAL_ROUNDS_A_WEEK,
): GripWear | undefined {
  const grip = spec.grip;
  if (!grip) return undefined;
  const weeks = Math.min(GRIP_WEEKS_AT_MOST, GRIP_ROUNDS / Math.max(0.1, roundsAWeek));
  const from = Date.parse(`${grip.takenOn}T00:00:00Z`);
  const dueOn = new Date(from + Math.round(weeks * 7) * DAY_MS).toISOString().slice(0, 10);
  return { since: grip.takenOn, dueOn, due: dueOn <= today };
}
