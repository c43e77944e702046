import { distanceNumber, type DistanceUnit } from '@tasche/core';
import type { DriftRow } from './range-worker';
import { speedNumber, speedUnit } from './strike-units';

const DRIFT_WORDS = {
  'worn grooves': 'spin lost and launch gained against before: what worn grooves do',
  slower: 'slower than before',
  faster: 'faster than before',
  changed: 'changed against before',
} as const;

/** What a club does otherwise than before, in words and numbers; undefined where nothing is shown. */
export function driftWords(
  { drift: { verdict, parts }, before }: DriftRow,
  unit: DistanceUnit,
): { words: string; numbers: string; before: number } | undefined {
  if (verdict === 'as it was' || verdict === 'not known yet') return undefined;
  const shown = parts
    .filter((part) => part.isSignificant)
    .map(({ part, before: then, after }) => {
      const by = after - then;
      if (part === 'spinRpm') return `spin ${Math.round(by)} rpm`;
      if (part === 'launchDeg') return `launch ${by.toFixed(1)}°`;
      if (part === 'carryM') return `carry ${distanceNumber(by, unit, 1)} ${unit}`;
      return `ball ${speedNumber(by, unit)} ${speedUnit(unit)}`;
    });
  return { words: DRIFT_WORDS[verdict], numbers: shown.join(', ').replaceAll('-', '−'), before };
}
