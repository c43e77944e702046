import { whatIf, type TweakEffect } from '../carry/index.js';
import type { Shot } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { InvalidInputError } from '../invalid-input-error.js';

/** Woods and driving irons have sleeves or hollow heads: not bent. */
export function isBendable(club: LadderClub): boolean {
  return (club.kind === 'iron' || club.kind === 'wedge') && club.loftDeg !== undefined;
}

/**
 * The club bent by some degrees (positive is weaker), its full shot as the model expects it and marked as
 * modelled.
 */
export function bentClub(club: LadderClub, byDeg: number): LadderClub {
  if (byDeg === 0) return club;
  const {
    loftDeg,
    shots: { full },
  } = club;
  if (loftDeg === undefined) return club;
  const bent = {
    ...club,
    loftDeg: loftDeg + byDeg,
    ...(club.bounceDeg !== undefined && { bounceDeg: club.bounceDeg + byDeg }),
  };
  if (!full) return bent;
  const effect = bendEffect(club.kind, loftDeg, full, byDeg);
  if (!effect) return bent;
  const { carryM, totalM, apexM, descentDeg, conditions, spreadM } = full;
  return {
    ...bent,
    shots: {
      ...club.shots,
      full: {
        carryM: carryM + effect.carryM,
        source: 'modelled',
        ...(totalM !== undefined && { totalM: totalM + effect.totalM }),
        ...(apexM !== undefined && { apexM: apexM + effect.apexM }),
        ...(descentDeg !== undefined && { descentDeg: descentDeg + effect.descentDeg }),
        ...(spreadM !== undefined && { spreadM }),
        ...(conditions !== undefined && { conditions }),
      },
    },
  };
}

/** The model's word on a bend; none for a carry that no swing of such a club makes. */
function bendEffect(
  kind: LadderClub['kind'],
  loftDeg: number,
  shot: Shot,
  bendDeg: number,
): TweakEffect | undefined {
  try {
    return whatIf({ kind, loftDeg }, shot, { bendDeg });
  } catch (error) {
    if (error instanceof InvalidInputError) return undefined;
    throw error;
  }
}
