import type { BagView } from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { computed, ref, watch, type ComputedRef } from 'vue';
import { useRouter } from 'vue-router';
import { useSheet } from '../sheet/sheet-store';
import type { useBagLadder } from './use-bag-ladder';

/**
 * Clubs in and out of a bag, and what is done with a whole one. A bag that is full asks which club goes out.
 */
export function useBagClubs(
  playerId: () => string,
  bag: ComputedRef<BagView | undefined>,
  { trial, inBag, limit }: ReturnType<typeof useBagLadder>,
) {
  const store = useSheet();
  const router = useRouter();
  /** A club to put in, or the one that goes out for it, is being picked. */
  const picking = ref(false);
  /** The one to put in is known: what is picked is the club that goes out for it. */
  const comesIn = ref<string | null>(null);
  watch(picking, (now) => {
    if (!now) comesIn.value = null;
  });
  const canEdit = computed(() => store.may('putIn') && !trial.value);
  const locked = computed(() => Boolean(bag.value?.gamer || bag.value?.ready));
  const full = computed(() => locked.value && inBag.value.length >= limit.value);

  function takeOut(clubId: string | null): void {
    if (!clubId || !canEdit.value || !bag.value?.clubIds.includes(clubId)) return;
    store.change([{ do: 'takeOut', bagId: bag.value.id, clubId }]);
  }

  function putIn(clubId: string): void {
    if (!canEdit.value || !bag.value || bag.value.clubIds.includes(clubId)) return;
    if (full.value) {
      comesIn.value = clubId;
      picking.value = true;
      return;
    }
    store.change([{ do: 'putIn', bagId: bag.value.id, clubId }]);
  }

  function markReady(): void {
    if (!bag.value) return;
    const { id: bagId, version, ready } = bag.value;
    store.change([{ do: 'editBag', bagId, version, set: { ready: !ready } }]);
  }

  function makeGamer(): void {
    if (bag.value) store.change([{ do: 'makeGamer', bagId: bag.value.id }]);
  }

  function remove(): void {
    if (bag.value) store.change([{ do: 'removeBag', bagId: bag.value.id, version: bag.value.version }]);
  }

  /** A new bag, or a copy of this one; it opens. */
  function make(copy = false): void {
    const id = newId();
    const name = copy ? `${bag.value?.name ?? 'Bag'} copy` : 'Gamer';
    const clubIds = copy ? (bag.value?.clubIds ?? []) : [];
    store.change([{ do: 'addBag', bag: { id, playerId: playerId(), name }, clubIds }]);
    void router.push({ name: 'bag', params: { playerId: playerId(), bagId: id } });
  }

  return { picking, comesIn, canEdit, full, takeOut, putIn, markReady, makeGamer, remove, make };
}
