import { usualLoftOf, type ClubKind } from '../clubs/index.js';
import { numberIn, type Spec } from './readings.js';

/** The loft a club is really at, and how that is known. */
interface PlayingLoft {
  deg: number;
  from: 'measured' | 'set' | 'stamped';
  takenOn: string;
  stampedDeg?: number;
}

/**
 * A gauge beats a setting and a setting beats the stamp, unless the setting is newer than the gauge reading:
 * a club bent after it was measured is at what it was bent to until it is measured again.
 */
export function playingLoft(spec: Spec): PlayingLoft | undefined {
  const stampedDeg = numberIn(spec, 'loftStampedDeg');
  const setDeg = numberIn(spec, 'loftSetDeg');
  const measuredDeg = numberIn(spec, 'loftMeasuredDeg');
  const measuredOn = spec.loftMeasuredDeg?.takenOn ?? '';
  const setOn = spec.loftSetDeg?.takenOn ?? '';
  const stamp = stampedDeg === undefined ? {} : { stampedDeg };
  if (measuredDeg !== undefined && measuredOn >= setOn) {
    return { deg: measuredDeg, from: 'measured', takenOn: measuredOn, ...stamp };
  }
  if (setDeg !== undefined) return { deg: setDeg, from: 'set', takenOn: setOn, ...stamp };
  if (stampedDeg !== undefined) {
    return { deg: stampedDeg, from: 'stamped', takenOn: spec.loftStampedDeg!.takenOn, stampedDeg };
  }
  return undefined;
}

/**
 * Where a club stands in a list from the least loft to the most: by its own, else by the one usual for its name;
 * behind them what has neither, and putters last.
 */
export function loftPlace(club: { kind: ClubKind; name: string; spec: Spec }): number {
  if (club.kind === 'putter') return 99;
  return playingLoft(club.spec)?.deg ?? usualLoftOf(club) ?? 98;
}

/**
 * The three things a loft may be: what the head says, what the club was bent or turned to, what a gauge read.
 */
export const LOFT_KEYS = ['loftStampedDeg', 'loftSetDeg', 'loftMeasuredDeg'] as const;
export type LoftKey = (typeof LOFT_KEYS)[number];
const KEY_OF = { stamped: 'loftStampedDeg', set: 'loftSetDeg', measured: 'loftMeasuredDeg' } as const;

/** No club is bent or turned further from its stamp: another loft is another stamp. Degrees; our choice. */
const FARTHEST_BEND_DEG = 6;

/** Which of the three the loft is that a club is shown with; undefined where it has none. */
export function shownLoftKey(spec: Spec): LoftKey | undefined {
  const shown = playingLoft(spec);
  return shown && KEY_OF[shown.from];
}

/**
 * What an entered loft is when its kind is not said: the first one the stamp; later what is shown, corrected;
 * beside a stamp alone what the club was bent to, or, too far away for that, the stamp corrected.
 */
export function usualLoftKey(spec: Spec, deg: number): LoftKey {
  const shown = playingLoft(spec);
  if (!shown) return 'loftStampedDeg';
  if (shown.from !== 'stamped') return KEY_OF[shown.from];
  return Math.abs(deg - shown.deg) <= FARTHEST_BEND_DEG ? 'loftSetDeg' : 'loftStampedDeg';
}
