import { isWedge, type Shot, type ShotKind } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';

/** A partial carries this share of the full shot where no step says what it is for. Our choice. */
const USUAL_SHARE = { 'three-quarter': 0.86, soft: 0.95 } as const;
/** A partial closer than this to the full shot, or farther from it, is not one to learn. Our choice. */
const SHARES = { 'three-quarter': [0.72, 0.95], soft: [0.88, 0.97] } as const;

/**
 * A shot the player does not own yet with a club, as it would carry: a three-quarter wedge, a soft swing of
 * anything else but a driver.
 * @param carryM wanted; the usual share of the full shot where it is not given
 * @returns undefined where the club has such a shot, or such a swing is unlikely
 */
export function partialToLearn(
  { kind, loftDeg, shots }: LadderClub,
  carryM?: number,
): { shotKind: ShotKind; shot: Shot } | undefined {
  const shotKind = isWedge({ kind, ...(loftDeg !== undefined && { loftDeg }) }) ? 'three-quarter' : 'soft';
  const { full } = shots;
  if (!full || kind === 'driver' || shots[shotKind]) return undefined;
  const { totalM, spreadM: _spread, sideSpreadM: _side, sampleSize: _sampleSize, ...shot } = full;
  const share = carryM === undefined ? USUAL_SHARE[shotKind] : carryM / full.carryM;
  const [min, max] = SHARES[shotKind];
  if (share < min || share > max) return undefined;
  return {
    shotKind,
    // Once it is owned it is as good as a stated one.
    shot: {
      ...shot,
      carryM: full.carryM * share,
      source: 'stated',
      ...(totalM !== undefined && { totalM: totalM * share }),
    },
  };
}
