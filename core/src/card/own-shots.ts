import { ownShotName, shotKindWords, type Shot } from '../clubs/index.js';
import { distanceNumber, formatDistance, type DistanceUnit } from '../units/index.js';
import type { DistanceCard } from './distance-card.js';

/** "starts 2° left, curves 6 yd right"; empty where nothing is said of it, or it is straight. */
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

/**
 * The shots of a player's own on a card, a line each: "7 iron, choked, into the wind: 142, starts 2° left".
 * Carries are what they are there.
 */
export function ownShotLines({ clubs }: DistanceCard, unit: DistanceUnit): string[] {
  return clubs.flatMap((club) =>
    club.shots
      .filter(({ kind }) => ownShotName(kind) !== undefined)
      .map((shot) =>
        [
          `${club.name}, ${shotKindWords(shot.kind)}: ${distanceNumber(shot.carryM, unit)}`,
          shapeWords(shot, unit),
        ]
          .filter(Boolean)
          .join(', '),
      ),
  );
}
