import {
  DEFAULT_GAP_SETTINGS,
  carryLadder,
  gappingStrategyOf,
  ownedShots,
  stepsOf,
  widestGapOf,
  type GapSettings,
  type Rung,
} from '../gaps/index.js';
import type { LadderClub } from '../spec/index.js';
import type { ChoosingRules } from './choosing-rules.js';

/** The cost of the step between every two rungs, the longer first. */
export function stepMatrix(
  ladder: readonly Rung[],
  costOf: (upper: Rung, lower: Rung) => number,
): number[][] {
  return ladder.map((upper, i) => ladder.map((lower, j) => (j <= i ? 0 : costOf(upper, lower))));
}

/** What a step between two rungs of a ladder costs. */
export function stepCost(
  ladder: readonly Rung[],
  clubs: readonly LadderClub[],
  { school: id, limit, unevenStrokes }: Pick<ChoosingRules, 'school' | 'limit' | 'unevenStrokes'>,
  settings: GapSettings,
): (upper: Rung, lower: Rung) => number {
  const school = gappingStrategyOf(id);
  const putters = clubs.some(({ kind }) => kind === 'putter') ? 1 : 0;
  const count = Math.max(2, Math.min(limit - putters, ladder.length));
  const reachM = ladder.length > 1 ? ladder[0]!.carryM - ladder.at(-1)!.carryM : 1;
  const evenM = settings.targetStepM > 0 ? settings.targetStepM : Math.max(1, reachM / (count - 1));
  return (upper, lower) => {
    const [step] = stepsOf([upper, lower]);
    const owned = school.measure === 'widest-gap' ? ownedShots([upper, lower], settings.reliableShots) : [];
    const [size, target] =
      school.measure === 'loft' && step!.loftDeg !== undefined
        ? [step!.loftDeg, school.targetDeg!]
        : [
            school.measure === 'widest-gap' ? widestGapOf(step!, owned) : step!.carryM,
            evenM * school.share(step!, settings),
          ];
    // With partial shots to bridge them, steps smaller than the target cost a minimal bag nothing.
    const off = school.measure === 'widest-gap' ? Math.max(0, size / target - 1) : size / target - 1;
    return unevenStrokes * off * off;
  };
}

/** What the steps of one bag cost together, every club of it carried. */
export function bagStepsCost(
  clubs: readonly LadderClub[],
  rules: Pick<ChoosingRules, 'school' | 'limit' | 'unevenStrokes'>,
  settings: GapSettings = DEFAULT_GAP_SETTINGS,
): number {
  const ladder = carryLadder(clubs);
  const costOf = stepCost(ladder, clubs, rules, settings);
  return ladder.slice(1).reduce((sum, lower, i) => sum + costOf(ladder[i]!, lower), 0);
}
