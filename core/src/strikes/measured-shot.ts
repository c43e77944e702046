import type { Shot } from '../clubs/index.js';
import type { StrikeSummary } from './summary.js';

/**
 * The shot a summary makes of a club, in the baseline's air; what a player may take into the spec sheet.
 * @param conditions where and in what air, in words
 */
export function measuredShot(summary: StrikeSummary, conditions: string): Shot {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const carryM = tenth(summary.carryM.mean);
  return {
    carryM,
    totalM: Math.max(carryM - 20, tenth(summary.totalM.mean)),
    apexM: tenth(summary.apexM.mean),
    descentDeg: tenth(summary.descentDeg.mean),
    ...(summary.n > 1 && { spreadM: tenth(summary.carryM.spread) }),
    ...(summary.offlineM?.plusMinus !== undefined && { sideSpreadM: tenth(summary.offlineM.spread) }),
    source: 'measured',
    sampleSize: summary.n,
    conditions,
  };
}
