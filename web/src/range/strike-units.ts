import { distanceNumber, smashOf, type DistanceUnit, type Strike, type StrikePart } from '@tasche/core';
import type { WorkedShot } from './worked-shots';

const MPS_PER_MPH = 0.44704;

/** How people who think in yards, or in metres, say speeds and heights. */
export function speedUnit(unit: DistanceUnit): 'mph' | 'm/s' {
  return unit === 'yd' ? 'mph' : 'm/s';
}
export function heightUnit(unit: DistanceUnit): 'ft' | 'm' {
  return unit === 'yd' ? 'ft' : 'm';
}
export function speedNumber(mps: number, unit: DistanceUnit): string {
  return (unit === 'yd' ? mps / MPS_PER_MPH : mps).toFixed(1);
}

/** "4 R", "11 L", "0". */
export function sideWords(metres: number, unit: DistanceUnit): string {
  const text = distanceNumber(Math.abs(metres), unit);
  return Number(text) === 0 ? '0' : `${text} ${metres < 0 ? 'L' : 'R'}`;
}

/**
 * The columns of a strike's row: what is in them, and which part of the strike says whether it was given or
 * worked out.
 */
interface StrikeColumn {
  head: string;
  part: StrikePart;
  show: (whole: WorkedShot, given: Strike) => string;
}

/** What only a device can tell, shown where it told it of any ball. */
export function clubColumns(strikes: readonly { given: Strike }[]): readonly StrikeColumn[] {
  const smash: StrikeColumn = {
    head: 'Smash',
    part: 'clubSpeedMps',
    show: (_whole, given) => smashOf(given)?.toFixed(2) ?? '–',
  };
  const attack: StrikeColumn = {
    head: 'Attack',
    part: 'attackDeg',
    show: (_whole, { attackDeg }) => (attackDeg === undefined ? '–' : `${attackDeg.toFixed(1)}°`),
  };
  return [
    ...(strikes.some(({ given }) => smashOf(given) !== undefined) ? [smash] : []),
    ...(strikes.some(({ given }) => given.attackDeg !== undefined) ? [attack] : []),
  ];
}

export function strikeColumns(unit: DistanceUnit): readonly StrikeColumn[] {
  const height = heightUnit(unit);
  return [
    { head: `Carry ${unit}`, part: 'carryM', show: (whole) => distanceNumber(whole.carryM, unit, 1) },
    { head: `Total ${unit}`, part: 'totalM', show: (whole) => distanceNumber(whole.totalM, unit, 1) },
    {
      head: 'Side',
      part: 'offlineM',
      show: (whole) => (whole.isSideKnown ? sideWords(whole.offlineM, unit) : '–'),
    },
    {
      head: `Ball ${speedUnit(unit)}`,
      part: 'ballSpeedMps',
      show: (whole) => speedNumber(whole.ballSpeedMps, unit),
    },
    { head: 'Launch', part: 'launchDeg', show: (whole) => `${whole.launchDeg.toFixed(1)}°` },
    { head: 'Spin', part: 'spinRpm', show: (whole) => whole.spinRpm.toFixed(0) },
    { head: `Apex ${height}`, part: 'apexM', show: (whole) => distanceNumber(whole.apexM, height) },
    { head: 'Lands', part: 'descentDeg', show: (whole) => `${whole.descentDeg.toFixed(0)}°` },
  ];
}

/** "±2", or nothing where it cannot be told. */
export function plusMinusWords(metres: number | undefined, unit: DistanceUnit): string {
  return metres === undefined ? '' : `±${distanceNumber(metres, unit, 1)}`;
}
