import { SHOT_KINDS, shotKeysIn, shotKindOf, shotKindWords, type ShotKind, type Spec } from '@tasche/core';

/** The shots that may be meant with a club: the usual ones, and the player's own with it. */
export function shotOptions(spec: Spec | undefined): { value: ShotKind; label: string }[] {
  const own = shotKeysIn(spec ?? {})
    .map((key) => shotKindOf(key)!)
    .filter((kind) => !(SHOT_KINDS as readonly ShotKind[]).includes(kind));
  return [...SHOT_KINDS, ...own].map((kind) => ({ value: kind, label: shotKindWords(kind) }));
}
