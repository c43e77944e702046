import { toMetres } from '../units/index.js';

/**
 * The limits beyond which a step is reported. Every figure can be set per player; the defaults are common
 * practice, no source. Distances in metres, angles in degrees.
 */
export interface GapSettings {
  wedgeLoftStepMaxDeg: number;
  wedgeLoftStepMinDeg: number;
  /**
   * Widest carry step where both clubs are at or past `scoringFromLoftDeg`, of a bag too small to have a
   * target of its own.
   */
  scoringStepMaxM: number;
  scoringFromLoftDeg: number;
  /** The same anywhere above the scoring end. */
  topStepMaxM: number;
  /** Widest carry step from a driver to the next club; it is judged apart from the others. */
  driverStepMaxM: number;
  /** A carry step below this is an overlap, unless the flights differ. */
  overlapBelowM: number;
  eitherOrApexM: number;
  eitherOrDescentDeg: number;
  /** The step wanted between two clubs; 0 lets the bag's own reach say it. */
  targetStepM: number;
  /** A step beyond this many times its target is worth a look. */
  wideOfTarget: number;
  /** A step beyond this many times its target is a fault, unless the limits in yards allow it. */
  faultOfTarget: number;
  /** A step below this share of its target is worth a look. */
  narrowOfTarget: number;
  /** How sure a verdict must be, 0.5 to 0.99. */
  confidence: number;
  /** Nearer to a limit than this a step that shots can't settle is at the limit, either way. */
  indifferenceM: number;
  /**
   * Measured shots from which on a partial shot counts as owned however it spreads; fewer do where they lie
   * close together.
   */
  reliableShots: number;
  clubLimit: number;
  /** The committee's length limit in force, inches; 48 unless the 46 in local rule is used. */
  lengthMaxIn: number;
}

export const DEFAULT_GAP_SETTINGS: GapSettings = {
  wedgeLoftStepMaxDeg: 6,
  wedgeLoftStepMinDeg: 3,
  scoringStepMaxM: toMetres(15, 'yd'),
  scoringFromLoftDeg: 34,
  topStepMaxM: toMetres(25, 'yd'),
  driverStepMaxM: toMetres(40, 'yd'),
  overlapBelowM: toMetres(6, 'yd'),
  eitherOrApexM: toMetres(30, 'ft'),
  eitherOrDescentDeg: 5,
  targetStepM: 0,
  wideOfTarget: 1.3,
  faultOfTarget: 1.5,
  narrowOfTarget: 0.5,
  confidence: 0.8,
  indifferenceM: toMetres(2, 'yd'),
  reliableShots: 8,
  clubLimit: 14,
  lengthMaxIn: 48,
};

/** The least and most each setting may be; a border checks them. */
export const GAP_SETTING_BOUNDS: Record<keyof GapSettings, readonly [number, number]> = {
  wedgeLoftStepMaxDeg: [2, 15],
  wedgeLoftStepMinDeg: [0, 6],
  scoringStepMaxM: [4, 60],
  scoringFromLoftDeg: [20, 60],
  topStepMaxM: [6, 100],
  driverStepMaxM: [6, 150],
  overlapBelowM: [0, 20],
  eitherOrApexM: [1, 40],
  eitherOrDescentDeg: [0.5, 30],
  targetStepM: [0, 60],
  wideOfTarget: [1, 4],
  faultOfTarget: [1, 6],
  narrowOfTarget: [0, 1],
  confidence: [0.5, 0.99],
  indifferenceM: [0, 10],
  reliableShots: [1, 200],
  clubLimit: [1, 14],
  lengthMaxIn: [40, 48],
};
