export {
  type Conditions,
  BASELINE,
  CONDITION_BOUNDS,
  requireConditions,
  type Air,
  airOf,
} from './conditions.js';
