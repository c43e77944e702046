import { demandCosts, type BounceStrategy } from '../choosing/index.js';
import type { CostedRound } from '../rounds/index.js';
import type { LadderClub } from '../spec/index.js';
import type { OpenShot, OpenShots } from './open-shots.js';

/** A shot is costed at so many carries, this many standard deviations to either side of what is known of it. */
const PLACES = 9;
const REACH = 3.5;
/** Nodes and weights of three-point Gauss-Hermite quadrature for a normal variable. */
const NODES = [-Math.sqrt(3), 0, Math.sqrt(3)] as const;
const NODE_WEIGHTS = [1 / 6, 2 / 3, 1 / 6] as const;

/**
 * Expected strokes of the rows of a round with one shot, each row's weight in them, by how far its true carry
 * is from what is known of it.
 */
export interface ShotCosts {
  /** At each of the places, row by row; one place for what is not swung. */
  places: readonly Float64Array[];
  /** How far the outer places are from what is known, as a logarithm of carry. */
  reach: number;
}

/**
 * Flies and costs every open shot at several carries; the long part of choosing a basket.
 * @param weights strokes a round of each row of the demands
 * @param onProgress share of the work done
 */
export function shotCosts(
  round: CostedRound,
  { shots, covariance }: OpenShots,
  weights: readonly number[],
  bounce: BounceStrategy,
  onProgress?: (share: number) => void,
): ShotCosts[] {
  const clubs = new Map(round.clubs.map((club) => [club.id, club]));
  return shots.map((open, i) => {
    const reach = REACH * Math.sqrt(covariance[i]![i]!);
    const club = clubs.get(open.clubId)!;
    const places = Array.from({ length: PLACES }, (_one, place) => {
      const moved = withCarry(club, open, Math.exp(placeShift(place, PLACES, reach)));
      const costs = demandCosts([moved], round.needs, { played: round.played, ground: round.ground, bounce });
      return Float64Array.from(costs, (row, r) => row.get(club.id)!.strokes * weights[r]!);
    });
    onProgress?.((i + 1) / shots.length);
    return { places, reach };
  });
}

/** The club with that shot alone, its carry another. */
function withCarry(club: LadderClub, { shotKind, shot }: OpenShot, share: number): LadderClub {
  return {
    ...club,
    shots: {
      [shotKind]: {
        ...shot,
        carryM: shot.carryM * share,
        ...(shot.totalM !== undefined && { totalM: shot.totalM * share }),
      },
    },
  };
}

/**
 * How much of each place's cost is in the expected one.
 * @param shift of the mean from what is known at first, as a logarithm of carry
 * @param deviation what is still not known of it, one standard deviation
 * @param shares filled; one a place
 */
export function placeShares(shift: number, deviation: number, reach: number, shares: Float64Array): void {
  shares.fill(0);
  const last = shares.length - 1;
  if (last === 0 || reach === 0) {
    shares[0] = 1;
    return;
  }
  for (let i = 0; i < NODES.length; i++) {
    const at = placeAt(shift + NODES[i]! * deviation, shares.length, reach);
    const below = Math.min(last - 1, Math.floor(at));
    shares[below]! += NODE_WEIGHTS[i]! * (1 - (at - below));
    shares[below + 1]! += NODE_WEIGHTS[i]! * (at - below);
  }
}

/** Which place, a fraction too, a shift stands at; beyond the outer ones nothing is costed. */
export function placeAt(shift: number, places: number, reach: number): number {
  return Math.min(places - 1, Math.max(0, ((shift + reach) / (2 * reach)) * (places - 1)));
}

/** The shift a place stands for. */
export function placeShift(place: number, places: number, reach: number): number {
  return places === 1 ? 0 : reach * ((2 * place) / (places - 1) - 1);
}
