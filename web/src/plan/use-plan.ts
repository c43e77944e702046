import { computed, watch } from 'vue';
import { today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';

/** The player's plans by day, and the one the address names; without a name, what is next. */
export function usePlan(props: { planId?: string }) {
  const store = useSheet();
  const plans = computed(() =>
    [...store.sheet!.plans].sort((a, b) => a.startsOn.localeCompare(b.startsOn) || a.id.localeCompare(b.id)),
  );
  const plan = computed(
    () =>
      plans.value.find((one) => one.id === props.planId) ??
      (props.planId ? undefined : (plans.value.find((one) => one.endsOn >= today()) ?? plans.value.at(-1))),
  );
  // An old plan's address: it may be older than what the sheet came with.
  watch(
    [() => props.planId, () => plans.value.length],
    ([id]) => {
      const isMissing = id !== undefined && !plans.value.some((one) => one.id === id);
      if (isMissing && (store.sheet?.planCount ?? 0) > plans.value.length) void store.loadOlderPlans();
    },
    { immediate: true },
  );
  return { plans, plan };
}
