import {
  counted,
  BOUNCE_STRATEGY_WORDS,
  distanceNumber,
  type BagPreferences,
  type DistanceUnit,
} from '@tasche/core';

/** What shows on a folded panel: limit, bounce, changes, kinds. */
export function shortPreferenceWords({
  limit,
  bounce,
  mostChanges,
  kinds,
}: Pick<BagPreferences, 'limit' | 'bounce' | 'mostChanges' | 'kinds'>): string {
  return [
    counted(limit, 'club'),
    BOUNCE_STRATEGY_WORDS[bounce],
    ...(mostChanges === null ? [] : [mostChanges === 0 ? 'frozen' : `${mostChanges} changes at most`]),
    ...kinds.map(({ kind, most }) => `${counted(most, kind)} at most`),
  ].join(', ');
}

/** Everything that is wanted, a phrase each; clubs that are gone are left out. */
export function preferenceWords(
  preferences: BagPreferences,
  nameOf: (clubId: string) => string | undefined,
  unit: DistanceUnit,
): string[] {
  const { always, never, oneOf, mustCover, comfort } = preferences;
  const names = (ids: readonly string[]) => ids.flatMap((id) => nameOf(id) ?? []);
  const listed = (before: string, ids: readonly string[]) =>
    names(ids).length > 0 ? [`${before} ${names(ids).join(', ')}`] : [];
  return [
    shortPreferenceWords(preferences),
    ...listed('always', always),
    ...listed('never', never),
    ...oneOf.flatMap((ids) => (names(ids).length > 1 ? [`one of ${names(ids).join(', ')}`] : [])),
    ...mustCover.map(
      ({ distanceM, withinM }) =>
        `a shot within ${distanceNumber(withinM, unit)} of ${distanceNumber(distanceM, unit)} ${unit}`,
    ),
    ...Object.entries(comfort).flatMap(([id, strokes]) => {
      const name = nameOf(id);
      return name
        ? [`${name} is worth ${strokes > 0 ? '+' : '−'}${Math.abs(strokes).toFixed(2)} strokes`]
        : [];
    }),
  ];
}
