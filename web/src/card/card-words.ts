import {
  SHOT_KINDS,
  distanceNumber,
  signedDistance,
  type CardClub,
  type CardHelpers,
  type CardSteps,
  type DistanceCard,
  type DistanceUnit,
  type UsualShotKind,
} from '@tasche/core';
import { airWords } from '../conditions/air-units';

/**
 * Columns of a card's shots: the stock shot, and what else of the usual ones that are recorded; those of the
 * player's own stand below.
 */
export function shotColumns({ clubs }: DistanceCard): UsualShotKind[] {
  return SHOT_KINDS.filter(
    (kind) => kind === 'full' || clubs.some(({ shots }) => shots.some((shot) => shot.kind === kind)),
  );
}

export const SHOT_HEADS: Record<UsualShotKind, string> = {
  full: 'Stock',
  hard: 'Hard',
  soft: 'Soft',
  choked: 'Choked',
  'three-quarter': '¾',
  half: 'Half',
};

/** Columns of the helpers, each with what it is for. */
export function helperColumns(
  { windMps, elevationChangeM, temperatureC }: CardSteps,
  unit: DistanceUnit,
): { key: keyof CardHelpers; head: string; says: string }[] {
  const wind = airWords('wind', windMps, unit);
  const rise = `${distanceNumber(elevationChangeM, unit)} ${unit}`;
  const warmth = warmthWords(temperatureC, unit);
  return [
    { key: 'into', head: 'Into', says: `${wind} in the face` },
    { key: 'behind', head: 'Behind', says: `${wind} from behind` },
    { key: 'across', head: 'Across', says: `${wind} across: how far it drifts` },
    { key: 'higher', head: 'Up', says: `a target ${rise} higher` },
    { key: 'lower', head: 'Down', says: `a target ${rise} lower` },
    { key: 'colder', head: 'Colder', says: `${warmth} colder` },
    { key: 'warmer', head: 'Warmer', says: `${warmth} warmer` },
  ];
}

/** What a helper says of a club: "−17", "15" across, or a dash where the ball does not get there. */
export function helperNumber(club: CardClub, key: keyof CardHelpers, unit: DistanceUnit): string {
  const value = club.helpers[key];
  if (value === undefined) return '–';
  return key === 'across' ? distanceNumber(Math.abs(value), unit) : signedDistance(value, unit);
}

function warmthWords(temperatureC: number, unit: DistanceUnit): string {
  return unit === 'yd' ? `${Math.round(temperatureC * 1.8)} °F` : `${Math.round(temperatureC)} °C`;
}

/** "10 mph, 10 yd up or down, 20 °F". */
export function stepsWords(
  { windMps, elevationChangeM, temperatureC }: CardSteps,
  unit: DistanceUnit,
): string {
  return `${airWords('wind', windMps, unit)}, ${distanceNumber(elevationChangeM, unit)} ${unit} up or down, ${warmthWords(temperatureC, unit)}`;
}
