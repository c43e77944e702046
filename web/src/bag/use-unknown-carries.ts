import type { ClubView } from '@tasche/contract';
import { isFullSwing, shotIn } from '@tasche/core';
import { computed, nextTick, onMounted, watch, type ComputedRef } from 'vue';

/** A spec sheet whose cells can be focused. */
interface Grid {
  focus: () => Promise<void>;
  goTo: (clubId: string, key: string) => Promise<void>;
}

/**
 * The carries of a bag that are not known yet, and the ways to them.
 * @param isEmptyToType the bag is empty and may be typed into: then its cursor stands where one types
 */
export function useUnknownCarries(
  rows: ComputedRef<readonly ClubView[]>,
  grid: () => Grid | null,
  isEmptyToType: () => boolean,
  bagId: () => string | undefined,
) {
  /** Clubs with a carry to know, and those whose carry is not known. */
  const carryClubs = computed(() => rows.value.filter(({ kind }) => isFullSwing(kind)));
  const unknown = computed(() => carryClubs.value.filter(({ spec }) => !shotIn(spec, 'shot.full')));
  function toNext(): void {
    const next = unknown.value[0];
    if (next) void grid()?.goTo(next.id, 'shot.full.carryM');
  }
  /** After clubs came in: to the first carry that is not known. */
  async function toFirst(): Promise<void> {
    await nextTick();
    toNext();
  }
  function focusWhenEmpty(): void {
    if (isEmptyToType()) void grid()?.focus();
  }
  onMounted(focusWhenEmpty);
  watch(bagId, focusWhenEmpty, { flush: 'post' });
  return { carryClubs, unknown, toNext, toFirst };
}
