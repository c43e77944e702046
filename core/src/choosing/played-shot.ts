import { airOf, type Conditions } from '../conditions/index.js';
import { moveShot, movedShot, swingOf, type PlayingConditions, type SwungShot } from '../plays-like/index.js';
import type { LadderClub } from '../spec/index.js';
import { type Shot, type ShotKind, isFullSwing, shotsIn, usualLoftOf } from '../clubs/index.js';
import type { CourseGround } from '../courses/index.js';
import { fly } from '../flight/index.js';
import { run, groundOf } from '../run-out/index.js';
import { TOUR_HANDICAP } from '../skill/index.js';

/** A shot as it plays on a day: what it runs on a green, and how far a gust moves it. Metres. */
export interface PlayedShot extends Shot {
  /** From where it pitches on the green to rest; negative when it draws back. */
  greenRunM?: number;
  /** Standard deviations, along and across, of what the wind does beside what was expected of it. */
  gustAlongM?: number;
  gustAcrossM?: number;
  /** Strokes by which a swing asked to do less is likelier to go wrong, where its kind does not say it. */
  effortStrokes?: number;
}
export type PlayedClub = Omit<LadderClub, 'shots'> & {
  shots: Partial<Record<ShotKind, PlayedShot>>;
  /** Of the player who swings it; the tour's where it is not given. */
  handicap?: number;
  /** Its loft is not known: it is played with the one usual for its name. */
  isLoftUsual?: boolean;
};

/** The wind a shot meets is within this share of the wind expected, one standard deviation. Our choice. */
const GUST_SHARE = 0.3;
/**
 * A cross wind turns a little as it gusts: this share of it comes across, one standard deviation. Our choice.
 */
const TURN_SHARE = 0.2;

export interface Wind {
  windMps: number;
  windFromDeg: number;
}
export type PlayedIn = (club: LadderClub, wind: Wind) => PlayedClub;

/**
 * A player's shots as they play on a day, in any wind: moved by the flight model from where they are known,
 * with their run on fairway and green and what gusts do to them. A high ball of much spin is moved farther by
 * the same gust than a low one. Flown once a club (the object, not its id) and wind.
 * @param from where the shots are known from
 * @param still the day's air without its wind
 * @param handicap of the player, by which shots scatter where they are not measured (see `skillOf`)
 */
export function playedIn(
  from: PlayingConditions,
  still: Conditions,
  ground: CourseGround,
  handicap = TOUR_HANDICAP,
): PlayedIn {
  const swings = new Map<Shot, SwungShot | null>();
  const played = new WeakMap<LadderClub, Map<string, PlayedClub>>();
  const fairway = { area: 'fairway', firmness: ground.fairways, grass: ground.grass } as const;
  const green = groundOf({ area: 'green', firmness: ground.greens, grass: ground.grass });

  const swingFor = (club: LadderClub, shot: Shot): SwungShot | null => {
    const known = swings.get(shot);
    if (known !== undefined) return known;
    let swung: SwungShot | null = null;
    // A carry no swing makes stays as it was written.
    try {
      swung = swingOf(club, shot, from);
    } catch {
      swung = null;
    }
    swings.set(shot, swung);
    return swung;
  };
  const shotIn = (club: LadderClub, shot: Shot, { windMps, windFromDeg }: Wind): PlayedShot => {
    const swung = swingFor(club, shot);
    if (!swung) return shot;
    const conditions: Conditions = { ...still, windMps, windFromDeg, targetElevationM: 0 };
    const moved = moveShot(swung, { conditions, surface: fairway });
    const there = fly(moved.launch, airOf(conditions));
    const gusty =
      windMps > 0 ? fly(moved.launch, airOf({ ...conditions, windMps: windMps * (1 + GUST_SHARE) })) : there;
    return {
      ...movedShot(shot, moved),
      greenRunM: run(there.landSpeedMps, there.descentDeg, there.landSpinRpm, green).runM,
      gustAlongM: Math.abs(gusty.carryM - there.carryM),
      gustAcrossM: Math.hypot(gusty.lateralM - there.lateralM, TURN_SHARE * wholeShift(gusty, there)),
    };
  };
  return (club, wind) => {
    if (!isFullSwing(club.kind)) return { ...club, handicap };
    const key = `${wind.windMps} ${wind.windFromDeg}`;
    const winds = played.get(club) ?? new Map<string, PlayedClub>();
    played.set(club, winds);
    const known = winds.get(key);
    if (known) return known;
    const usualDeg = club.loftDeg === undefined ? usualLoftOf(club) : undefined;
    const there: PlayedClub = {
      ...club,
      ...(usualDeg !== undefined && { loftDeg: usualDeg, isLoftUsual: true }),
      handicap,
      shots: Object.fromEntries(shotsIn(club.shots).map(([kind, shot]) => [kind, shotIn(club, shot, wind)])),
    };
    winds.set(key, there);
    return there;
  };
}

/** What the whole wind moves the ball, one way or another: in proportion to what a gust does. */
function wholeShift(
  gusty: { carryM: number; lateralM: number },
  there: { carryM: number; lateralM: number },
): number {
  return Math.hypot(gusty.carryM - there.carryM, gusty.lateralM - there.lateralM) / GUST_SHARE;
}
