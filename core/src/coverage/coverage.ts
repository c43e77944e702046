import type { LadderClub } from '../spec/index.js';
import { shotKindsIn, type ShotKind } from '../clubs/index.js';
import { normalCdf } from '../statistics/index.js';

/** How well a bag covers one distance. */
export interface DistanceCover {
  carryM: number;
  /** The chance that the best shot for it comes down within the window. */
  reliability: number;
  best: { clubId: string; shot: ShotKind } | undefined;
}

/** A shot whose spread is known. */
interface KnownShot {
  clubId: string;
  shot: ShotKind;
  carryM: number;
  spreadM: number;
}

/** Within this of the distance asked for, either way: 5 yd. Our choice. */
export const COVER_WINDOW_M = 5 * 0.9144;

/**
 * What distances a bag covers and with what reliability: for each, the shot most likely to come down within a
 * window about it, its carry taken as normal with the spread known for it. Shots without a known spread cover
 * nothing.
 * @param stepM between the distances looked at
 */
export function coverage(
  clubs: readonly LadderClub[],
  fromM: number,
  toM: number,
  stepM: number,
  windowM = COVER_WINDOW_M,
): DistanceCover[] {
  const shots = clubs.flatMap((club) =>
    shotKindsIn(club.shots).flatMap((kind): KnownShot[] => {
      const shot = club.shots[kind];
      return shot?.spreadM
        ? [{ clubId: club.id, shot: kind, carryM: shot.carryM, spreadM: shot.spreadM }]
        : [];
    }),
  );
  const covers: DistanceCover[] = [];
  for (let carryM = fromM; carryM <= toM + 1e-9; carryM += stepM) {
    let cover: DistanceCover = { carryM, reliability: 0, best: undefined };
    for (const shot of shots) {
      const reliability =
        normalCdf((carryM + windowM - shot.carryM) / shot.spreadM) -
        normalCdf((carryM - windowM - shot.carryM) / shot.spreadM);
      if (reliability > cover.reliability)
        cover = { carryM, reliability, best: { clubId: shot.clubId, shot: shot.shot } };
    }
    covers.push(cover);
  }
  return covers;
}
