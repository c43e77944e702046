import {
  DEFAULT_GAP_SETTINGS,
  GAPPING_STRATEGIES,
  bagOrder,
  changedSteps,
  driverReach,
  clubsTooMany,
  gaps,
  skillOf,
  turnedSteps,
  type GapOptions,
  type LadderClub,
  type GappingStrategyId,
} from '@tasche/core';
import type { BagView, ClubView } from '@tasche/contract';
import { computed, shallowRef, watch, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { steadyList } from '../app/steady';
import { useMovedClubs, useSetting, type Moved } from '../conditions/use-conditions';
import { useSheet } from '../sheet/sheet-store';
import type { Trial } from './trial';

/**
 * A bag on its ladder, in the air it is read in: now, as it would be, and as it was when looking began.
 * The air is part of the address, and so is a way of spacing it that is only looked at; the bag's own is kept
 * with it.
 */
export function useBagLadder(bag: ComputedRef<BagView | undefined>) {
  const store = useSheet();
  const settings = useSettings();
  const route = useRoute();
  const router = useRouter();
  const trial = shallowRef<Trial | null>(null);
  const marked = shallowRef<{ bagId: string; clubs: readonly LadderClub[] } | null>(null);

  const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
  const school = computed<GappingStrategyId>({
    get: () => queriedSchool(route.query.school) ?? bag.value?.strategy ?? 'even-carries',
    set: (id) => {
      const of = bag.value;
      if (of && store.may('editBag') && id !== of.strategy)
        store.change([{ do: 'editBag', bagId: of.id, version: of.version, set: { strategy: id } }]);
      const kept = of && store.may('editBag') ? undefined : id;
      if (route.query.school !== kept) void router.replace({ query: { ...route.query, school: kept } });
    },
  });
  const gapSettings = computed(() => store.sheet!.player.gapSettings);
  const options = computed<GapOptions>(() => ({
    school: school.value,
    settings: gapSettings.value,
  }));
  const limit = computed(() => gapSettings.value.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit);

  const { setting, baseline, complaints } = useSetting();
  const conditions = useMovedClubs(
    computed(() => [...store.ladderClubs.values()]),
    setting,
    baseline,
  );
  /** The air and ground the ladder is read in. */
  const playedIn = computed(() => setting.value ?? baseline.value);
  /** As they are known, wherever that was. */
  const known = computed(() => (bag.value?.clubIds ?? []).flatMap((id) => store.ladderClubs.get(id) ?? []));
  const inBag = computed(() => known.value.map(conditions.move));
  const shown = computed(() => trial.value?.clubs ?? inBag.value);
  const report = computed(() => gaps(shown.value, options.value));
  const before = computed(() => {
    if (trial.value) return gaps(inBag.value, options.value);
    return marked.value && marked.value.bagId === bag.value?.id
      ? gaps(marked.value.clubs.map(conditions.move), options.value)
      : report.value;
  });
  const beforeClubs = computed(() =>
    trial.value ? inBag.value : (marked.value?.clubs.map(conditions.move) ?? inBag.value),
  );
  const difference = computed(() => changedSteps(before.value, report.value));
  const freshSteps = computed(
    () => new Set(difference.value.opened.map((step) => `${step.upperId} ${step.lowerId}`)),
  );
  const freshClubs = computed(
    () =>
      new Set(
        shown.value.map((club) => club.id).filter((id) => !beforeClubs.value.some((club) => club.id === id)),
      ),
  );
  const goneClubs = computed(() =>
    beforeClubs.value.filter((club) => !shown.value.some((one) => one.id === club.id)),
  );

  /** The clubs as they are listed beside the ladder. */
  const rows = steadyList<ClubView>(() =>
    bagOrder(shown.value).flatMap(({ id }) => store.clubsById.get(id) ?? []),
  );
  const leftOut = computed(() =>
    store.clubs.filter(
      (club) => !bag.value?.clubIds.includes(club.id) && club.spec.state?.value !== 'retired',
    ),
  );
  const leftOutKnown = computed(() => leftOut.value.flatMap(({ id }) => store.ladderClubs.get(id) ?? []));
  const leftOutClubs = computed(() => leftOutKnown.value.map(conditions.move));
  /**
   * Read in other air, a usual round is played there, its wind coming from every side in turn; the player's
   * skill stays as at home, whatever that wind does to the carries.
   */
  const roundThere = computed(() => {
    if (!setting.value) return {};
    const atHome = [...known.value, ...leftOutKnown.value];
    return {
      in: setting.value,
      handicap: store.sheet!.player.handicap ?? skillOf(atHome).handicap,
      reachM: driverReach(atHome, baseline.value),
    };
  });
  /** What the air did to each stock shot, by club, while the ladder is read in other air. */
  const moved = computed(() =>
    conditions.isElsewhere.value
      ? new Map(
          known.value.flatMap((club): [string, Moved][] => {
            const one = conditions.movedOf(club);
            return one ? [[club.id, one]] : [];
          }),
        )
      : undefined,
  );
  /** Steps that have another verdict in this air than where the carries are known. */
  const turned = computed(() =>
    conditions.isElsewhere.value && !trial.value
      ? turnedSteps(gaps(known.value, options.value), report.value)
      : [],
  );
  const tooMany = computed(() => clubsTooMany(inBag.value.length, limit.value));

  function mark(): void {
    marked.value = bag.value ? { bagId: bag.value.id, clubs: known.value } : null;
  }
  watch(
    () => bag.value?.id,
    () => {
      trial.value = null;
      mark();
    },
    { immediate: true },
  );
  // What is tried is tried in the air it was looked at in.
  watch(setting, () => {
    trial.value = null;
  });

  return {
    unit,
    school,
    options,
    limit,
    playedIn,
    inBag,
    shown,
    report,
    before,
    difference,
    freshSteps,
    freshClubs,
    goneClubs,
    rows,
    leftOut,
    leftOutClubs,
    roundThere,
    tooMany,
    trial,
    mark,
    setting,
    baseline,
    complaints,
    conditions,
    moved,
    turned,
  };
}

/** A way of spacing an address names. */
export function queriedSchool(query: unknown): GappingStrategyId | undefined {
  return GAPPING_STRATEGIES.find(({ id }) => id === query)?.id;
}
