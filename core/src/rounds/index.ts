export { type Alternatives, alternatives, clubsOfIds } from './alternatives.js';
export { type DecidingFactor, decidingFactor, decidingFactors } from './deciding-factor.js';
export { type RoundDemands, deriveDemands, playsLikeOf } from './derive-demands.js';
export { middleAir } from './middle-air.js';
export type { RoundDay } from './play-hole.js';
export { partialToLearn } from './partial-to-learn.js';
export { type PlayedRounds, playRounds } from './play-rounds.js';
export { type NoRemedies, noRemediesFor } from './no-remedies.js';
export { remedies, type Remedy } from './remedies.js';
export { REMEDY_KINDS } from './remedy-ways.js';
export { type RoundAir, ROUND_AIR_BOUNDS, CALM, stillAir } from './round-air.js';
export {
  type DemandChanges,
  type CostedRound,
  type RoundChoosing,
  type RoundRequest,
  roundChoosing,
  type RoundRules,
  choosingOfRound,
  stillClubs,
  costOfBag,
} from './round-choosing.js';
export {
  type UsualRoundRequest,
  usualRound,
  type DemandAnswer,
  demandAnswers,
  usualRoundChoosing,
  driverReach,
} from './usual-round.js';
export { type DayTrigger, dayTriggers } from './triggers.js';
export { type BagQuestion, usualCostOf, usualRules, usualRemedies } from './usual-remedies.js';
export { type FaultlessBag, withoutFaults } from './without-faults.js';
