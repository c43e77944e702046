import type { BagView, PlanView } from '@tasche/contract';
import { gaps, swapEffects, type Swap } from '@tasche/core';
import { computed, type ComputedRef } from 'vue';
import type { useBagLadder } from '../bag/use-bag-ladder';
import { useSheet } from '../sheet/sheet-store';
import { withClubIn, withClubOut } from './edit-swaps';

/** The swaps of a week's plan: what each does, what the bag was before them, and ways to change them. */
export function useWeekSwaps(
  plan: ComputedRef<PlanView | undefined>,
  bag: ComputedRef<BagView | undefined>,
  { inBag, conditions, options }: ReturnType<typeof useBagLadder>,
) {
  const store = useSheet();
  const base = computed(() =>
    (plan.value?.baseClubIds ?? []).flatMap((id) => store.ladderClubs.get(id) ?? []).map(conditions.move),
  );
  const baseReport = computed(() => gaps(base.value, options.value));
  const effects = computed(() => {
    if (!plan.value) return [];
    try {
      return swapEffects(
        plan.value.baseClubIds,
        plan.value.swaps,
        [...store.ladderClubs.values()].map(conditions.move),
        options.value,
      );
    } catch {
      return [];
    }
  });
  /** Clubs that were in before the swaps and are not any more, and those that came in. */
  const gone = computed(() => base.value.filter((club) => !inBag.value.some((one) => one.id === club.id)));
  const fresh = computed(
    () => new Set(inBag.value.map((club) => club.id).filter((id) => !plan.value?.baseClubIds.includes(id))),
  );
  const canEdit = computed(() =>
    Boolean(plan.value && bag.value && !bag.value.gamer && store.may('setSwaps')),
  );

  function setSwaps(swaps: readonly Swap[]): void {
    if (!plan.value) return;
    store.change([{ do: 'setSwaps', planId: plan.value.id, version: plan.value.version, swaps }]);
  }
  function out(clubId: string | null): void {
    if (clubId && canEdit.value && plan.value) setSwaps(withClubOut(plan.value.swaps, clubId));
  }
  function putIn(clubId: string): void {
    if (canEdit.value && plan.value) setSwaps(withClubIn(plan.value.swaps, clubId));
  }
  return { baseReport, effects, gone, fresh, canEdit, setSwaps, out, putIn };
}
