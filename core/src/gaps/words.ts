import { type Shot, type ShotKind, ownShotName, shotKindWords } from '../clubs/index.js';
import { distanceNumber, formatDistance, fromMetres, type DistanceUnit } from '../units/index.js';
import { changeSince, changeWords, shotIn, type ShotKey, type Spec } from '../spec/index.js';
import type { Cover, Step } from './ladder.js';
import type { FlightDifference } from './flight-difference.js';
import type { Evenness } from './report.js';

/** "8.0°", or "7.75°" where a quarter degree was measured. */
export function formatDegrees(deg: number): string {
  const tenths = deg.toFixed(1);
  return `${Math.abs(Number(tenths) - deg) > 0.02 ? deg.toFixed(2) : tenths}°`;
}

/** "PW to 52". */
export function pairName(step: { upper: { name: string }; lower: { name: string } }): string {
  return `${step.upper.name} to ${step.lower.name}`;
}

/** "8.0° and 24 yd", or the carry alone where a loft is not known. */
export function stepSize(step: Pick<Step, 'carryM' | 'loftDeg'>, unit: DistanceUnit): string {
  const carry = formatDistance(step.carryM, unit);
  return step.loftDeg === undefined ? carry : `${formatDegrees(step.loftDeg)} and ${carry}`;
}

/** A club with a shot: "soft PW", "three-quarter 52"; of a player's own "PW, soft, into the wind", "5 wood, cut". */
export function shotName(shotKind: ShotKind, clubName: string): string {
  if (shotKind === 'full') return clubName;
  return ownShotName(shotKind) === undefined
    ? `${shotKind} ${clubName}`
    : `${clubName}, ${shotKindWords(shotKind)}`;
}

/** "soft PW at 113 covers its middle, leaving 12 and 11 yd". */
export function coverWords(cover: Cover, unit: DistanceUnit): string {
  const [above, below] = cover.leavesM;
  return (
    `${shotName(cover.shotKind, cover.clubName)} at ${distanceNumber(cover.carryM, unit)} covers its middle, ` +
    `leaving ${distanceNumber(above, unit)} and ${formatDistance(below, unit)}`
  );
}

/** "31 ft and 6° apart". */
export function flightWords(flight: FlightDifference, unit: DistanceUnit): string {
  const height = unit === 'yd' ? 'ft' : 'm';
  const parts: string[] = [];
  if (flight.apexM !== undefined) parts.push(`apex ${formatDistance(Math.abs(flight.apexM), height)}`);
  if (flight.descentDeg !== undefined) parts.push(`landing ${Math.abs(flight.descentDeg).toFixed(0)}°`);
  return parts.length > 0 ? `${parts.join(' and ')} apart` : 'flight not recorded';
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

/** The same of a shot in a club's spec: one taken before the club was changed says so, for it no longer holds. */
export function factSourceWords(spec: Spec, key: ShotKey, unit: DistanceUnit): string {
  const shot = shotIn(spec, key);
  const change = changeSince(spec, key);
  return change ? changeWords(change) : shot ? sourceWords(shot, unit) : '';
}

/** "3.4 yd" or "0.8°". */
/** Less than this, once the noise of the shots is taken out, is even as far as anybody can tell: metres or degrees. */
const EVEN = 0.05;

/** "uneven by 4.5 yd", or "even" where the shots can tell no more. */
export function unevenWords(evenness: Pick<Evenness, 'rms' | 'unit'>, unit: DistanceUnit): string {
  return evenness.rms < EVEN ? 'even' : `uneven by ${evennessWords(evenness, unit)}`;
}

export function evennessWords(evenness: Pick<Evenness, 'rms' | 'unit'>, unit: DistanceUnit): string {
  return evenness.unit === 'deg'
    ? `${evenness.rms.toFixed(1)}°`
    : `${fromMetres(evenness.rms, unit).toFixed(1)} ${unit}`;
}
