export { type GappingStrategyId, GAPPING_STRATEGIES, gappingStrategyOf } from './gapping-strategies.js';
export { type GapOptions, gaps } from './gaps.js';
export { type Rung, type Cover, carryLadder, stepsOf, widestGapOf, ownedShots } from './ladder.js';
export { isBendable, bentClub } from './bent-club.js';
export { compareReports } from './compare-reports.js';
export type { Severity, StepReport, GapReport, Flag } from './report.js';
export type { FlightDifference } from './flight-difference.js';
export { MAX_MORE_SHOTS } from './certainty.js';
export { type GapSettings, DEFAULT_GAP_SETTINGS, GAP_SETTING_BOUNDS } from './settings.js';
