export { dayPlus, daysBetween } from './days.js';
export {
  type SeasonRules,
  type SeasonEvent,
  type WindowKind,
  type Freeze,
  type ComingChange,
  type Clash,
  DEFAULT_SEASON_RULES,
  clashesOf,
  freezeOn,
  windowsBefore,
} from './windows.js';
export {
  type ValuedRound,
  type SeasonStrokes,
  type SeasonValue,
  seasonValue,
  type SeasonVerdict,
  seasonVerdict,
} from './season-value.js';
