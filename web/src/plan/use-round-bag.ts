import type { PlanView } from '@tasche/contract';
import { clubsOfIds, gaps, type GappingStrategyId } from '@tasche/core';
import { computed, type Ref } from 'vue';
import { steady } from '../app/steady';
import { swapsAgainst } from './round-swaps';
import type { AskedRound, useRound } from './use-round';

/**
 * The best bag of a round beside the one that is settled and the gamer: its steps, what changes, what is
 * carried.
 */
export function useRoundBag(
  asked: Ref<AskedRound | null>,
  chosen: ReturnType<typeof useRound>['chosen'],
  of: () => {
    plan: PlanView;
    settled: { clubIds: readonly string[] } | undefined;
    school: GappingStrategyId;
  },
) {
  const locker = steady(() => asked.value?.request.clubs ?? []);
  const best = steady(() => chosen.value?.answer?.best.ids ?? []);
  const gapSettings = steady(() => asked.value?.rules.settings ?? {});
  /** The steps of the best bag: the fewest strokes may open one. */
  const report = computed(() =>
    best.value.length > 0
      ? gaps(clubsOfIds(locker.value, best.value), { school: of().school, settings: gapSettings.value })
      : null,
  );
  const carried = steady(() => clubsOfIds(locker.value, of().settled?.clubIds ?? []));
  /** Whether the best bag is the one that is settled. */
  const isSettledBest = computed(() => {
    const settled = of().settled?.clubIds ?? [];
    return (
      best.value.length > 0 &&
      settled.length === best.value.length &&
      best.value.every((id) => settled.includes(id))
    );
  });
  const swaps = computed(() =>
    chosen.value?.answer && asked.value
      ? swapsAgainst(of().plan.baseClubIds, chosen.value.answer, asked.value.request.clubs, chosen.value.why)
      : [],
  );
  return { locker, best, report, carried, isSettledBest, swaps };
}
