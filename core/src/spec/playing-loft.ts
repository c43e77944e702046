import { numberIn, type Spec } from './readings.js';

/** The loft a club is really at, and how that is known. */
interface PlayingLoft {
  deg: number;
  from: 'measured' | 'set' | 'stamped';
  takenOn: string;
  stampedDeg?: number;
}

/**
 * A gauge beats a setting and a setting beats the stamp, unless the setting is newer than the gauge reading:
 * a club bent after it was measured is at what it was bent to until it is measured again.
 */
export function playingLoft(spec: Spec): PlayingLoft | undefined {
  const stampedDeg = numberIn(spec, 'loftStampedDeg');
  const setDeg = numberIn(spec, 'loftSetDeg');
  const measuredDeg = numberIn(spec, 'loftMeasuredDeg');
  const measuredOn = spec.loftMeasuredDeg?.takenOn ?? '';
  const setOn = spec.loftSetDeg?.takenOn ?? '';
  const stamp = stampedDeg === undefined ? {} : { stampedDeg };
  if (measuredDeg !== undefined && measuredOn >= setOn) {
    return { deg: measuredDeg, from: 'measured', takenOn: measuredOn, ...stamp };
  }
  if (setDeg !== undefined) return { deg: setDeg, from: 'set', takenOn: setOn, ...stamp };
  if (stampedDeg !== undefined) {
    return { deg: stampedDeg, from: 'stamped', takenOn: spec.loftStampedDeg!.takenOn, stampedDeg };
  }
  return undefined;
}
