import { carryErrorM, type Shot } from '../clubs/index.js';
import { NORMAL_95 } from '../statistics/index.js';
import type { StrikeSummary } from './summary.js';

/**
 * What a tee gives or takes of a carry before one was hit: nothing, within this share of it, one standard
 * deviation. Our choice.
 */
const USUAL_SHARE = 0.03;

/** Fewer balls off a tee say nothing of it. Our choice. */
export const MIN_TEE_BALLS = 4;

/** Metres; `plusMinusM` is half the 95 % interval. */
interface TeeGain {
  gainM: number;
  plusMinusM: number;
  /** No tee makes so much of a difference: the carry off the turf is not what it is said to be. */
  isDoubtful: boolean;
}

/**
 * A difference of more standard deviations than this, of the error and of what tees do, is no tee's. Our
 * choice.
 */
const DOUBTFUL_FROM = 3;

/**
 * How much farther a club carries off a tee than off the turf: the difference of the two means, drawn towards
 * nothing by as much as they leave open (the mean of a normal distribution with a normal prior; Gelman et
 * al., Bayesian Data Analysis, 2.5, from memory).
 * @param offTees full shots off tees, in the baseline's air
 * @param turf the carry that stands for the club
 * @returns undefined for fewer than `MIN_TEE_BALLS`
 */
export function teeGainOf(offTees: Pick<StrikeSummary, 'n' | 'carryM'>, turf: Shot): TeeGain | undefined {
  const { n, carryM } = offTees;
  if (n < MIN_TEE_BALLS) return undefined;
  const errorM = Math.hypot(carryM.spread / Math.sqrt(n), carryErrorM(turf));
  const usualM = USUAL_SHARE * turf.carryM;
  const share = usualM ** 2 / (usualM ** 2 + errorM ** 2);
  const differenceM = carryM.mean - turf.carryM;
  return {
    gainM: share * differenceM,
    plusMinusM: NORMAL_95 * Math.sqrt(share) * errorM,
    isDoubtful: Math.abs(differenceM) > DOUBTFUL_FROM * Math.hypot(errorM, usualM),
  };
}
