import { baselineOf } from '@tasche/contract';
import { DEFAULT_GAP_SETTINGS } from '@tasche/core';
import type { useSheet } from '../sheet/sheet-store';
import type { UsualQuestion } from './usual-round-worker';

/**
 * The gamer and the locker it is from, for a usual round; null where there is no gamer.
 * @param retired whether clubs that are retired are asked about too
 */
export function gamerQuestion(store: ReturnType<typeof useSheet>, retired = false): UsualQuestion | null {
  const { gamer } = store;
  if (!gamer) return null;
  const { player } = store.sheet!;
  const others = store.clubs
    .filter(({ id, spec }) => !gamer.clubIds.includes(id) && (retired || spec.state?.value !== 'retired'))
    .map(({ id }) => id);
  return {
    request: {
      clubs: [...gamer.clubIds, ...others].flatMap((id) => store.ladderClubs.get(id) ?? []),
      from: baselineOf(player),
      ...(player.handicap !== null && { handicap: player.handicap }),
    },
    bagIds: gamer.clubIds,
    options: { school: gamer.strategy, settings: player.gapSettings },
    limit: player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit,
    ...(player.preferences && { preferences: player.preferences }),
  };
}
