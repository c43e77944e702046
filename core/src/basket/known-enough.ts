import { NORMAL_95, deviationOf } from '../statistics/index.js';

/** A spread that is not measured yet weighs as much as so many shots. Our choice, as in `scatterOf`. */
const USUAL_SHOTS = 8;
/** Fewer shots say too little to be trusted. Our choice. */
const MIN_SHOTS = 3;

/** How far the balls of one shot have come. */
export interface ShotProgress {
  shots: number;
  /** Half the 95 % interval of the mean carry, with what was known before; metres. */
  halfM: number;
  /** It was to be known so closely, or all its balls are hit. */
  isEnough: boolean;
}

/**
 * Whether the balls hit so far with a shot are enough: a player who hits it more
 * evenly than is usual is done sooner.
 * @param carriesM of the balls that count
 * @param usualM usual spread of one ball, standard deviation; until there are eight, what was seen is drawn
 * towards it
 * @param nowM half the 95 % interval before the balls, `thenM` what was wanted after them
 */
export function knownEnough(
  { nowM, thenM, balls }: { nowM: number; thenM: number; balls: number },
  usualM: number,
  carriesM: readonly number[],
): ShotProgress {
  const shots = carriesM.length;
  const freedom = Math.max(0, shots - 1);
  const seen = freedom > 0 ? deviationOf(carriesM) ** 2 * freedom : 0;
  const variance = (seen + USUAL_SHOTS * usualM ** 2) / (freedom + USUAL_SHOTS);
  const halfM = NORMAL_95 / Math.sqrt((NORMAL_95 / nowM) ** 2 + shots / variance);
  return { shots, halfM, isEnough: shots >= balls || (shots >= MIN_SHOTS && halfM <= thenM) };
}
