export { type GappingStrategyId, GAPPING_STRATEGIES, gappingStrategyOf } from './gapping-strategies.js';
export { type GapOptions, gaps } from './gaps.js';
export { type Rung, carryLadder, stepsOf, widestGapOf, ownedShots } from './ladder.js';
export { BENDING_CAUTION, isBendable, bentClub } from './bent-club.js';
export { compareReports } from './compare-reports.js';
export type { Severity, StepReport, GapReport } from './report.js';
export { type GapSettings, DEFAULT_GAP_SETTINGS, GAP_SETTING_BOUNDS } from './settings.js';
export {
  shotName,
  formatDegrees,
  sourceWords,
  factSourceWords,
  unevenWords,
  evennessWords,
} from './words.js';
