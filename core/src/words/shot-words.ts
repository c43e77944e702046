import { ownShotName, usualShotOf, type Shot, type ShotKind } from '../clubs/index.js';
import { changeSince, shotIn, type BuildChange, type ShotKey, type Spec } from '../spec/index.js';
import { distanceNumber, formatDistance, type DistanceUnit } from '../units/index.js';

/** A shot alone: "soft"; of a player's own "soft, into the wind", or "cut" where it is a full one. */
export function shotKindWords(shotKind: ShotKind): string {
  const name = ownShotName(shotKind);
  const usual = usualShotOf(shotKind);
  if (name === undefined) return usual;
  return usual === 'full' ? name : `${usual}, ${name}`;
}

/**
 * A club with a shot: "soft PW", "three-quarter 52"; of a player's own "PW, soft, into the wind", "5 wood,
 * cut".
 */
export function shotName(shotKind: ShotKind, clubName: string): string {
  if (shotKind === 'full') return clubName;
  return ownShotName(shotKind) === undefined
    ? `${shotKind} ${clubName}`
    : `${clubName}, ${shotKindWords(shotKind)}`;
}

/** "24 shots", "stated", "modelled ±4 yd". */
export function sourceWords(shot: Shot, unit: DistanceUnit): string {
  if (shot.source === 'measured') {
    return shot.sampleSize === undefined
      ? 'measured'
      : `${shot.sampleSize} shot${shot.sampleSize === 1 ? '' : 's'}`;
  }
  if (shot.source === 'modelled' && shot.plusMinusM !== undefined) {
    return `modelled ±${formatDistance(shot.plusMinusM, unit)}`;
  }
  return shot.source === 'stated' && shot.plusMinusM !== undefined
    ? `stated ±${distanceNumber(shot.plusMinusM, unit, 1)}`
    : shot.source;
}

/**
 * The same of a shot in a club's spec: one taken before the club was changed says so, for it no longer holds.
 */
export function factSourceWords(spec: Spec, key: ShotKey, unit: DistanceUnit): string {
  const shot = shotIn(spec, key);
  const change = changeSince(spec, key);
  return change ? changeWords(change) : shot ? sourceWords(shot, unit) : '';
}

/** "before the bend": when the shot was measured, for the reader of its carry. */
export function changeWords({ bendDeg, longerIn, shaft, setting }: Omit<BuildChange, 'takenOn'>): string {
  const what = [
    bendDeg !== undefined && 'bend',
    setting && 'sleeve turn',
    shaft && 'new shaft',
    longerIn !== undefined && 'new length',
  ].filter((one) => one !== false && one !== undefined);
  return `before the ${what.slice(0, 2).join(' and ')}`;
}

/** "starts 2° left, curves 6 yd right"; empty where neither is given, or the shot is straight. */
export function shapeWords(
  { startDeg, curveM }: Pick<Shot, 'startDeg' | 'curveM'>,
  unit: DistanceUnit,
): string {
  const way = (value: number) => (value < 0 ? 'left' : 'right');
  const starts = startDeg ? `starts ${Math.abs(startDeg)}° ${way(startDeg)}` : '';
  const curves =
    curveM && distanceNumber(Math.abs(curveM), unit) !== '0'
      ? `curves ${formatDistance(Math.abs(curveM), unit)} ${way(curveM)}`
      : '';
  return [starts, curves].filter(Boolean).join(', ');
}
