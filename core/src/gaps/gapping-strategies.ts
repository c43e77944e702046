import type { LadderClub } from '../spec/index.js';
import { toMetres } from '../units/index.js';
import type { GapSettings } from './settings.js';
import type { Step } from './ladder.js';

/** A way of spacing a bag that good players use. All are supported, none is recommended. */
export type GappingStrategyId =
  | 'even-carries'
  | 'even-lofts-4'
  | 'even-lofts-5'
  | 'even-lofts-6'
  | 'compressed'
  | 'strong-long-end'
  | 'minimal';

export interface GappingStrategy {
  id: GappingStrategyId;
  name: string;
  /** One sentence a player could say. */
  summary: string;
  /** What a step is measured in: its carry, its loft, or the widest gap the partial shots leave in it. */
  measure: 'carry' | 'loft' | 'widest-gap';
  /** The whole target, for a strategy that names one. */
  targetDeg?: number;
  /**
   * How much of the ladder a step may take beside the others, 1 for an ordinary step.
   * The shares are our reading of each strategy's rules; common practice, no source.
   */
  share: (step: Pick<Step, 'upper' | 'lower'>, settings: GapSettings) => number;
}

const evenShare = () => 1;

/** The scoring end compressed to 3.25 degrees where an ordinary step is 4.5. */
const COMPRESSED_SHARE = 3.25 / 4.5;
const COMPRESSED_TO_DEG = 52.5;

/** The long end that "strong at the long end" fills, about 180 to 220 yd. */
const LONG_END_M: readonly [number, number] = [toMetres(180, 'yd'), toMetres(220, 'yd')];
const LONG_END_SHARE = 0.6;
const FEWER_WEDGES_SHARE = 1.3;

function evenLofts(deg: 4 | 5 | 6, summary: string): GappingStrategy {
  return {
    id: `even-lofts-${deg}`,
    name: `Even lofts, ${deg}°`,
    summary,
    measure: 'loft',
    targetDeg: deg,
    share: evenShare,
  };
}

export const GAPPING_STRATEGIES: readonly GappingStrategy[] = [
  {
    id: 'even-carries',
    name: 'Even carries',
    measure: 'carry',
    share: evenShare,
    summary: 'The same distance between neighbours all the way down.',
  },
  evenLofts(4, 'Four degrees between irons and wedges, the traditional wedge set.'),
  evenLofts(5, 'Five degrees: a strong set wedge, then 50, 55, 60.'),
  evenLofts(6, 'Six degrees: fewer wedges, one more club at the top.'),
  {
    id: 'compressed',
    name: 'Compressed where you score',
    measure: 'carry',
    summary: 'Tight from about the 8 iron to the gap wedge, wider elsewhere.',
    share: ({ upper, lower }, settings) =>
      inLoftRange(upper, settings.scoringFromLoftDeg, COMPRESSED_TO_DEG) &&
      inLoftRange(lower, settings.scoringFromLoftDeg, COMPRESSED_TO_DEG)
        ? COMPRESSED_SHARE
        : 1,
  },
  {
    id: 'strong-long-end',
    name: 'Strong at the long end',
    measure: 'carry',
    summary:
      'Overlap between 180 and 220 yd (165 and 200 m), where scores are lost; wedges are played by hand.',
    share: ({ upper, lower }, settings) => {
      const middleM = (upper.carryM + lower.carryM) / 2;
      if (middleM >= LONG_END_M[0] && middleM <= LONG_END_M[1]) return LONG_END_SHARE;
      return inLoftRange(upper, settings.scoringFromLoftDeg + 8, 90) ? FEWER_WEDGES_SHARE : 1;
    },
  },
  {
    id: 'minimal',
    name: 'Minimal',
    measure: 'widest-gap',
    share: evenShare,
    summary: 'Eight to eleven clubs; partial swings bridge the rest.',
  },
];

/** The strategy of that id. */
export function gappingStrategyOf(id: GappingStrategyId): GappingStrategy {
  return GAPPING_STRATEGIES.find((school) => school.id === id)!;
}

function inLoftRange(club: Pick<LadderClub, 'loftDeg'>, from: number, to: number): boolean {
  return club.loftDeg !== undefined && club.loftDeg >= from && club.loftDeg <= to;
}
