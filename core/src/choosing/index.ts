export {
  type BagPreferences,
  DEFAULT_PREFERENCES,
  keepsPreferences,
  withinSwaps,
  type Limits,
  USUAL_LIMITS,
  choosingRulesOf,
  type LockerFinding,
  lockerFindings,
} from './bag-preferences.js';
export { type BagChoosing, bagChoosing } from './bag-choosing.js';
export { type BagAnswer, chooseBag } from './choose-bag.js';
export { type ChoosingRules, DEFAULT_CHOOSING_RULES } from './choosing-rules.js';
export { type ChosenBag, type BagLoss, chosenBag, lossOf, lossOfClubs } from './chosen-bag.js';
export { type DemandCosts, demandCosts } from './demand-costs.js';
export { nextBest } from './next-best.js';
export { type ClubReason, type LeftOut } from './why-chosen.js';
export { choose, chooseIfAny } from './choose.js';
export { CHOOSING_BOUNDS, costOf, type ChoosingModel, type ChoosingRule } from './choosing-model.js';
export { demandRows, hazardsFrom } from './demand-rows.js';
export { type HowSure, drawnClub, howSure } from './how-sure.js';
export { withModelledCarries } from './modelled-carries.js';
export { movedClub } from './moved-club.js';
export { type PlayedShot, type PlayedClub, type PlayedIn, playedIn } from './played-shot.js';
export { PUTTER_STRATEGIES } from './putter.js';
export { type ShotDemand, demandKey, TOUCH_M, MAX_HIT_FROM, DEMAND_BOUNDS } from './shot-demand.js';
export { type TravelSize, type SmallestTravelSet, smallestTravelSet } from './smallest-travel-set.js';
export {
  type BounceStrategy,
  BOUNCE_STRATEGIES,
  playingBounceDeg,
  wantedBounceDeg,
  soleStrokes,
} from './sole.js';
export { type Aimed, type ShotTarget, aimed, outcomeOf, riseLossM } from './aimed-shot.js';
export { leastStrokesOfAim, strokesAfter, strokesOfAim } from './strokes-of-aim.js';
export { partSwingFor, shotsFor, shotsOf, strokesFor, touchStrokes } from './strokes-for.js';
export { TIE_STROKES, isTie } from './tie.js';
export { type Scenario, type TravelSet, searchTravelSets, travelSet } from './travel-set.js';
export { bagStepsCost } from './step-costs.js';
export { chooseWithin } from './within-money.js';
