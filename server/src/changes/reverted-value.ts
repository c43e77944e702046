import { emptyRound } from '@tasche/contract';
import { isDeepStrictEqual } from 'node:util';
import type { EntityKind } from './change-recorder.js';

type Part = Record<string, unknown>;
/**
 * A column that is a list of parts, each known by a key; a part that is not written yet may stand for one that
 * is not there.
 */
interface Parts {
  key: string;
  empty?: (key: string) => Part;
}
const PARTS: Partial<Record<`${EntityKind}.${string}`, Parts>> = {
  'plan.rounds': { key: 'roundId', empty: (roundId) => ({ ...emptyRound(roundId) }) },
  'event.rounds': { key: 'id' },
};

/**
 * What a field is when a change of it is taken back. Of a list of parts only what the change touched goes
 * back, part by part and field by field, so that what others did to other parts since stays.
 * @param now as it stands
 * @returns null where what the change wrote is not what stands there any more
 */
export function revertedValue(
  kind: EntityKind,
  field: string,
  before: unknown,
  after: unknown,
  now: unknown,
): { value: unknown } | null {
  if (isDeepStrictEqual(now, after)) return { value: before };
  const parts = PARTS[`${kind}.${field}`];
  return parts && [before, after, now].every(Array.isArray)
    ? partsTakenBack(parts, before as Part[], after as Part[], now as Part[])
    : null;
}

function partsTakenBack(
  { key, empty }: Parts,
  before: readonly Part[],
  after: readonly Part[],
  now: readonly Part[],
): { value: Part[] } | null {
  const of = (list: readonly Part[], id: unknown) => list.find((part) => part[key] === id);
  let value = [...now];
  for (const id of new Set([...before, ...after].map((part) => part[key]))) {
    const [was, became, stands] = [of(before, id), of(after, id), of(now, id)];
    if (isDeepStrictEqual(was, became)) continue;
    if (was && !became) {
      if (stands) return null;
      value = value.toSpliced(before.indexOf(was), 0, was);
      continue;
    }
    if (!stands) return null;
    if (!was && isDeepStrictEqual(stands, became)) {
      value = value.filter((part) => part !== stands);
      continue;
    }
    const from = was ?? empty?.(id as string);
    if (!from) return null;
    const touched = Object.keys(became!).filter((field) => !isDeepStrictEqual(from[field], became![field]));
    if (touched.some((field) => !isDeepStrictEqual(stands[field], became![field]))) return null;
    value = value.map((part) =>
      part === stands
        ? { ...part, ...Object.fromEntries(touched.map((field) => [field, from[field] ?? null])) }
        : part,
    );
  }
  return { value };
}
