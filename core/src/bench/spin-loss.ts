import { welchInterval } from '../statistics/index.js';

/** The spin of a club's full shots in one session, as a device measured it. */
export interface SpinSession {
  /** YYYY-MM-DD. */
  day: string;
  shots: number;
  meanRpm: number;
  deviationRpm: number;
}

/**
 * Spin between the first session with new grooves and the newest; positive where some was lost. 95 in 100 lie
 * between `lowRpm` and `highRpm`.
 */
interface SpinLoss {
  from: string;
  to: string;
  thenRpm: number;
  nowRpm: number;
  lostRpm: number;
  lowRpm: number;
  highRpm: number;
  /** Whether the shots tell that any was lost. */
  isSignificant: boolean;
}

/** Fewer shots of a session say too little of its spin. Our choice. */
const MIN_SPIN_SHOTS = 5;

/**
 * What a wedge's full shots lost of their spin since its grooves were new, by Welch's interval; undefined
 * until two sessions of enough shots were measured since. Balls, mats and wet grass move spin as much as worn
 * grooves: it is a hint, not a proof.
 * @param newOn the day the grooves were new, YYYY-MM-DD
 */
export function spinLoss(sessions: readonly SpinSession[], newOn: string): SpinLoss | undefined {
  const since = sessions
    .filter(({ day, shots }) => day >= newOn && shots >= MIN_SPIN_SHOTS)
    .toSorted((a, b) => a.day.localeCompare(b.day));
  const [first, last] = [since[0], since.at(-1)];
  if (!first || !last || first.day === last.day) return undefined;
  const known = ({ meanRpm, deviationRpm, shots }: SpinSession) => ({
    mean: meanRpm,
    standardError: deviationRpm / Math.sqrt(shots),
    n: shots,
  });
  const { low, high } = welchInterval(known(first), known(last), 0.95);
  return {
    from: first.day,
    to: last.day,
    thenRpm: first.meanRpm,
    nowRpm: last.meanRpm,
    lostRpm: first.meanRpm - last.meanRpm,
    lowRpm: low,
    highRpm: high,
    isSignificant: low > 0,
  };
}
