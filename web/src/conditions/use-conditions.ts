import {
  movedShot,
  type LadderClub,
  type MovedShot,
  type PlayingConditions,
  type Shot,
  type ShotKind,
  shotsIn,
} from '@tasche/core';
import { computed, shallowRef, watch, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { newestOnly } from '../app/newest-only';
import { useSheet } from '../sheet/sheet-store';
import { baselineOf } from '@tasche/contract';
import { readSetting, settingQuery } from './setting-query';
import { shotKey } from './shot-key';
import { conditionsWorker } from './worker-link';

/** The air and ground the ladder is read in. They are part of the address; null is the player's baseline. */
export function useSetting() {
  const store = useSheet();
  const route = useRoute();
  const router = useRouter();
  const baseline = computed(() => baselineOf(store.sheet!.player));
  const read = computed(() => readSetting(route.query, baseline.value));
  const setting = computed<PlayingConditions | null>({
    get: () => read.value.setting,
    set: (next) => void router.replace({ query: { ...route.query, ...settingQuery(next, baseline.value) } }),
  });
  return { setting, baseline, complaints: computed(() => read.value.complaints) };
}

export type Moved = Omit<MovedShot, 'launch'>;

/**
 * Clubs with their shots moved to a setting by the worker. Until it answers, a club stays where it was last
 * known to be.
 * @param clubs everything that may be asked about; more than is shown does no harm
 */
export function useMovedClubs(
  clubs: ComputedRef<readonly LadderClub[]>,
  setting: ComputedRef<PlayingConditions | null>,
  baseline: ComputedRef<PlayingConditions>,
) {
  const rows = shallowRef<ReadonlyMap<string, Moved>>(new Map());
  /** The setting the clubs are moved to; null is none. */
  const movedFor = shallowRef<PlayingConditions | null>(null);
  const problem = shallowRef('');

  const ask = newestOnly<readonly [readonly LadderClub[], PlayingConditions | null, PlayingConditions]>(
    async ([all, to, from], isNewest) => {
      if (!to) {
        rows.value = new Map();
        movedFor.value = null;
        return;
      }
      try {
        const answer = await conditionsWorker().move(all, from, to);
        if (isNewest()) {
          rows.value = new Map(answer.map(({ key, moved }) => [key, moved]));
          movedFor.value = to;
        }
        problem.value = '';
      } catch (error) {
        if (isNewest()) problem.value = `The flights could not be worked out: ${(error as Error).message}`;
      }
    },
  );
  watch([clubs, setting, baseline], ask, { immediate: true });

  /** From one air to another nothing is drawn before the clubs have moved. */
  const isElsewhere = computed(() => setting.value !== null);
  const movedOf = (club: LadderClub, kind: ShotKind = 'full'): Moved | undefined => {
    const shot = club.shots[kind];
    return shot && isElsewhere.value ? rows.value.get(shotKey(club, shot)) : undefined;
  };
  const move = (club: LadderClub): LadderClub => {
    if (!isElsewhere.value || rows.value.size === 0) return club;
    const shots = Object.fromEntries(
      shotsIn(club.shots).map(([kind, shot]): [string, Shot] => {
        const moved = rows.value.get(shotKey(club, shot));
        return [kind, moved ? movedShot(shot, moved) : shot];
      }),
    );
    return { ...club, shots };
  };
  /** Whether the clubs are where the setting has them, rather than where they were before. */
  const settled = computed(() => movedFor.value === setting.value);
  return { isElsewhere, move, movedOf, settled, problem };
}
