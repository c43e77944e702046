import {
  DEMAND_BOUNDS,
  LIE_NAMES,
  distanceNumber,
  quantileOf,
  type DistanceUnit,
  type Lie,
  type ShotDemand,
} from '@tasche/core';
import * as yup from './yup.js';
import { storedMetres } from './numbers-in-text.js';
import { finite, idSchema, required, shape } from './schemas.js';

/** A recorded shot of a round: as much of it as is known. */
export interface PlayedShot {
  clubId: string;
  /** To the hole, metres. */
  distanceM: number | null;
  lie: Lie | null;
  hole: number | null;
}

/** Of one round; no one hits more. */
export const MAX_PLAYED_SHOTS = 150;

export const playedShotsSchema = yup
  .array(
    required(
      shape({
        clubId: required(idSchema),
        distanceM: finite(...DEMAND_BOUNDS.distanceM, 'm')
          .nullable()
          .defined('${path} is missing'),
        lie: yup.string().strict().oneOf(LIE_NAMES).nullable().defined('${path} is missing'),
        hole: finite(...DEMAND_BOUNDS.hole)
          .integer('${path} must be a whole number')
          .nullable()
          .defined('${path} is missing'),
      }),
    ),
  )
  .max(MAX_PLAYED_SHOTS, `\${path} holds more than ${MAX_PLAYED_SHOTS} shots`);

/** How often each club was hit. */
export function hitsOfShots(shots: readonly PlayedShot[]): Record<string, number> {
  const hits: Record<string, number> = {};
  for (const { clubId } of shots) hits[clubId] = (hits[clubId] ?? 0) + 1;
  return hits;
}

/**
 * From where a club was hit, over the shots whose distance is known: the nearer and the farther end of eight
 * in ten.
 */
export function hitFrom(
  shots: readonly PlayedShot[],
  clubId: string,
): { shots: number; fromM: number; toM: number } | null {
  const distances = shots.flatMap((shot) =>
    shot.clubId === clubId && shot.distanceM !== null ? [shot.distanceM] : [],
  );
  return distances.length === 0
    ? null
    : { shots: distances.length, fromM: quantileOf(distances, 0.1), toM: quantileOf(distances, 0.9) };
}

/** Distances as near as this, from one lie, are one shot a course asks for; in the reader's unit. */
const BIN = 10;
/** What came up less often than this in a round says nothing of the course. */
const LEAST_A_ROUND = 0.4;

/** Where shots were played from: "155 yd from rough". */
export function playedFromWords(
  { distanceM, lie }: Pick<ShotDemand, 'distanceM' | 'lie'>,
  unit: DistanceUnit,
): string {
  return `${distanceNumber(distanceM, unit)} ${unit}${lie === 'fairway' ? '' : ` from ${lie}`}`;
}

/**
 * The shots to a green that rounds on one course asked for, as needs beside what is derived of it: how often
 * a round from each distance and lie. Tee shots whose length is the player's choice are not among them.
 * @param rounds those of which shots were recorded
 */
export function demandsPlayed(
  rounds: readonly { shots: readonly PlayedShot[] }[],
  unit: DistanceUnit,
): ShotDemand[] {
  const bins = new Map<string, { distanceM: number; lie: Lie; times: number }>();
  for (const { shots } of rounds)
    for (const { distanceM, lie } of shots) {
      if (distanceM === null || lie === null || lie === 'tee') continue;
      const shown = Math.round(Number(distanceNumber(distanceM, unit)) / BIN) * BIN;
      if (shown === 0) continue;
      const key = `${shown} ${lie}`;
      const bin = bins.get(key) ?? { distanceM: storedMetres(shown, unit), lie, times: 0 };
      bins.set(key, { ...bin, times: bin.times + 1 });
    }
  return [...bins.values()]
    .map(({ distanceM, lie, times }) => ({
      distanceM,
      lie,
      weight: Math.round((times / rounds.length) * 10) / 10,
    }))
    .filter(({ weight, distanceM }) => weight >= LEAST_A_ROUND && distanceM >= DEMAND_BOUNDS.distanceM[0])
    .sort((a, b) => b.distanceM - a.distanceM || a.lie.localeCompare(b.lie))
    .map(({ distanceM, lie, weight }) => ({
      name: `played: ${playedFromWords({ distanceM, lie }, unit)}`,
      to: 'green' as const,
      distanceM,
      lie,
      mustHold: false,
      weight,
    }));
}
