import {
  BUILD_KEYS,
  shotKeysIn,
  typedDistance,
  quantityOf,
  shotKindOf,
  shotKindWords,
  type BuildKey,
  type DistanceUnit,
  type Fact,
  type Reading,
  type ReadingKey,
  type Shot,
  type Spec,
} from '@tasche/core';
import * as yup from '../../yup.js';
import { showQuantity } from '../../cells.js';
import { readingSchema } from '../../schemas.js';

const MAX_READINGS = 200;

export const readingsSchema = yup
  .array(readingSchema.required())
  .max(MAX_READINGS, `\${path} holds more than ${MAX_READINGS} readings`);

/**
 * The facts in force once these readings are in. A reading dated before the one in force changes nothing; of
 * those dated today, wherever on earth today is later, the newest stands, as the server has it.
 */
export function withReadings(spec: Spec, readings: readonly Reading[]): Spec {
  const next: Spec = { ...spec };
  const todayInUtc = new Date().toISOString().slice(0, 10);
  for (const { key, value, takenOn } of readings) {
    const standing = next[key]?.takenOn ?? '';
    if ((standing > todayInUtc ? todayInUtc : standing) > takenOn) continue;
    if (isBuildKey(key)) rememberBuild(next, key, takenOn);
    if (value === null) delete next[key];
    else next[key] = { value, takenOn } satisfies Fact;
  }
  return next;
}

const isBuildKey = (key: ReadingKey): key is BuildKey => (BUILD_KEYS as readonly string[]).includes(key);

/** Shots of an earlier day keep what this part of the build was. */
function rememberBuild(spec: Spec, key: BuildKey, takenOn: string): void {
  for (const shotKey of shotKeysIn(spec)) {
    const shot = spec[shotKey];
    if (shot && shot.takenOn < takenOn && !(shot.build && key in shot.build))
      spec[shotKey] = { ...shot, build: { ...shot.build, [key]: spec[key] ?? null } };
  }
}

/** "7 iron: lie 62°, full carry 161 yd". */
export function readingsWords(what: string, readings: readonly Reading[], unit: DistanceUnit): string {
  const parts = readings.map(({ key, value }) => {
    const quantity = quantityOf(key);
    const label = quantity?.label.toLowerCase() ?? `${shotKindWords(shotKindOf(key)!)} carry`;
    if (value === null) return `${label} cleared`;
    return `${label} ${quantity ? showQuantity(quantity, value) : typedDistance((value as Shot).carryM, unit)}`;
  });
  return parts.length === 0 ? what : `${what}${what.includes(': ') ? ', ' : ': '}${parts.join(', ')}`;
}
