import { playingLoft } from './playing-loft.js';
import type { BuildKey, ReadingKey } from './quantities.js';
import { numberIn, sameValue, type Spec } from './readings.js';

/** How a club has changed since a shot of it was measured or stated. */
export interface BuildChange {
  /** Positive is weaker. */
  bendDeg?: number;
  longerIn?: number;
  shaft?: true;
  setting?: true;
  /** The day of the shot. */
  takenOn: string;
}

/**
 * A setting is held to this, and two readings of a gauge differ by as much without a bend. Degrees; common
 * practice, no source.
 */
const SET_DEG = 0.3;
const GAUGE_DEG = 0.75;

/**
 * What changed about a club since a shot of it was taken; undefined where nothing did that is known. A loft
 * that was only measured for the first time is no change of the club, and neither is a length or a shaft that
 * was not recorded before.
 */
export function changeSince(spec: Spec, key: ReadingKey): BuildChange | undefined {
  const fact = spec[key];
  if (!fact?.build) return undefined;
  const then: Spec = { ...spec };
  for (const [part, was] of Object.entries(fact.build) as [BuildKey, typeof fact.build.shaft][]) {
    if (was) then[part] = was;
    else delete then[part];
  }
  const differs = (part: BuildKey) =>
    then[part] !== undefined && spec[part] !== undefined && !sameValue(then[part].value, spec[part].value);
  const isSet = !sameValue(then.loftSetDeg?.value, spec.loftSetDeg?.value);
  const bendDeg = isSet || differs('loftMeasuredDeg') ? loftOf(spec) - loftOf(then) : 0;
  const longerIn = differs('lengthIn') ? numberIn(spec, 'lengthIn')! - numberIn(then, 'lengthIn')! : 0;
  const change: BuildChange = {
    ...(Math.abs(bendDeg) >= (isSet ? SET_DEG : GAUGE_DEG) && { bendDeg }),
    ...(longerIn !== 0 && { longerIn }),
    ...(differs('shaft') && { shaft: true }),
    ...(differs('setting') && { setting: true }),
    takenOn: fact.takenOn,
  };
  return Object.keys(change).length > 1 ? change : undefined;
}

function loftOf(spec: Spec): number {
  return playingLoft(spec)?.deg ?? NaN;
}
