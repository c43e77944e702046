import type { Cover } from './ladder.js';
import type { StepInterval } from './certainty.js';
import type { FlightDifference } from './flight-difference.js';
import type { GappingStrategyId } from './gapping-strategies.js';
import type { GapSettings } from './settings.js';

/** How much a finding matters. 'unknown' is an honest "not known yet". */
export type Severity = 'fine' | 'unknown' | 'warning' | 'error';

/** What a step is called. */
export type StepWord =
  | 'even'
  | 'wide'
  | 'narrow'
  | 'overlap'
  | 'either-or'
  | 'covered'
  | 'at the limit'
  | 'not known yet'
  | 'mixed up';

export type FlagCode =
  | 'wedge-loft-wide'
  | 'wedge-loft-narrow'
  | 'scoring-carry-wide'
  | 'top-carry-wide'
  | 'driver-carry-wide'
  | 'wide-of-target'
  | 'narrow-of-target'
  | 'overlap'
  | 'reversed'
  | 'mixed-up'
  | 'same-loft'
  | 'never-hit';

/** One finding, with its number and its limit; `flagSentence` says it. */
export interface Flag {
  code: FlagCode;
  severity: 'note' | 'warning' | 'error';
  clubIds: readonly string[];
  value: number;
  limit: number;
  unit: 'm' | 'deg' | 'per round';
}

/** The verdict on one space between neighbours of the carry ladder; `stepSentence` says it. */
export interface StepReport {
  upperId: string;
  lowerId: string;
  carryM: number;
  loftDeg?: number;
  /** The strategy's target for this step, in the measure it uses. */
  targetM?: number;
  targetDeg?: number;
  /** Widest stretch no owned shot reaches; differs from carryM when a partial shot lies inside. */
  widestGapM: number;
  word: StepWord;
  severity: Severity;
  /** What its carry is called, whatever its lofts are. */
  carryWord: StepWord;
  /** Of a 'not known yet': what it is called at the size it seems to have. */
  seems?: StepWord;
  /** What its carry is over or under, and by which rule. */
  limitM?: number;
  limitCode?: FlagCode;
  /** Those of its two clubs whose carry is the model's alone. */
  modelledIds: readonly string[];
  /** Clubs without a carry that usually stand between its two; the step is not known until they have one. */
  betweenIds?: readonly string[];
  flags: readonly Flag[];
  cover?: Cover;
  interval?: StepInterval;
  /** More shots with each club that would settle a 'not known yet'; absent when shots alone will not. */
  moreShots?: number;
  flight?: FlightDifference;
}

/** A club on a rail. */
export interface RungReport {
  clubId: string;
  name: string;
  carryM: number;
  loftDeg?: number;
  /** Of a carry that is modelled: half its 95 % interval. */
  plusMinusM?: number;
}

/**
 * How far a bag is from its gapping strategy, one figure: the root mean square of step less target. Zero is
 * even.
 */
export interface Evenness {
  school: GappingStrategyId;
  rms: number;
  unit: 'm' | 'deg';
  /** Steps it was taken over; either-or pairs and steps the strategy does not judge are left out. */
  steps: number;
}

/** What matters most about a bag; `headlineWords` says it. */
export interface Headline {
  code: 'no ladder' | 'flag' | 'steps not known' | 'even';
  severity: Severity;
  /** Whom it is about. */
  clubIds?: readonly string[];
  /** The finding that matters most, and of how many steps something as bad is said. */
  flag?: Flag;
  count: number;
}

/** Codes and numbers alone; the sentences are made by `words`. */
export interface GapReport {
  school: GappingStrategyId;
  settings: GapSettings;
  /** What each club is called, by id. */
  names: ReadonlyMap<string, string>;
  rungs: readonly RungReport[];
  steps: readonly StepReport[];
  loftRungs: readonly { clubId: string; name: string; loftDeg: number }[];
  loftSteps: readonly { upperId: string; lowerId: string; loftDeg: number }[];
  /** Clubs that cannot hang on the carry ladder, for want of a full carry. */
  unplaced: readonly { clubId: string; name: string }[];
  flags: readonly Flag[];
  evenness?: Evenness;
  faults: number;
  looks: number;
  headline: Headline;
}
