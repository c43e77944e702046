import type { ReadingKey } from './quantities.js';
import { sameValue, specAsOf, type Fact, type Reading, type Spec } from './readings.js';

/** One quantity that is not what it was. */
interface SpecDifference {
  key: ReadingKey;
  before?: Fact;
  after?: Fact;
}

/** What differs between two specs of one club, in no particular order. */
export function specDifferences(before: Spec, after: Spec): SpecDifference[] {
  const keys = new Set([...Object.keys(before), ...Object.keys(after)] as ReadingKey[]);
  return [...keys]
    .filter((key) => !sameValue(before[key]?.value, after[key]?.value))
    .map((key) => ({
      key,
      ...(before[key] && { before: before[key] }),
      ...(after[key] && { after: after[key] }),
    }));
}

/** What readings changed between the ends of two days. */
export function changedBetween(readings: readonly Reading[], from: string, to: string): SpecDifference[] {
  return specDifferences(specAsOf(readings, from), specAsOf(readings, to));
}
