import { labelKey, type BagView } from '@tasche/contract';
import { computed, ref, type ComputedRef } from 'vue';
import { useUndo } from '../changes/undo-stack';
import { useSheet } from './sheet-store';

/** A club that was added under the name of another. */
interface Namesake {
  name: string;
  /** The change that added it. */
  changeId: string;
  /** The other, where it is not in the bag shown: it may have been meant. */
  leftOutId?: string;
}

/** Says when a club was added under a name that the locker has already, and takes it back. */
export function useNamesake(bag: ComputedRef<BagView | undefined>) {
  const store = useSheet();
  const undoStack = useUndo();
  const last = ref<Namesake | null>(null);
  /** Not said any more once the change is taken back. */
  const namesake = computed(() => (last.value && undoStack.isDone(last.value.changeId) ? last.value : null));

  /** The clubs called so now; to be asked before another is added. */
  function clubsCalled(name: string): string[] {
    return store.clubs.filter((club) => labelKey(club.name) === labelKey(name)).map(({ id }) => id);
  }
  /** @param others the clubs that were called so before it was added */
  function added(name: string, changeId: string, others: readonly string[], isBagFull: boolean): void {
    if (others.length === 0) return;
    const into = isBagFull ? undefined : bag.value;
    const isLeftOut = into !== undefined && others.every((id) => !into.clubIds.includes(id));
    last.value = { name, changeId, ...(isLeftOut && { leftOutId: others[0]! }) };
  }
  /** The other was meant: the new one goes, and that one comes into the bag. */
  function takeOther(): void {
    if (!namesake.value) return;
    const { changeId, leftOutId } = namesake.value;
    store.undo(changeId);
    if (leftOutId && bag.value) store.change([{ do: 'putIn', bagId: bag.value.id, clubId: leftOutId }]);
  }
  const close = () => (last.value = null);
  return { namesake, clubsCalled, added, takeOther, close };
}
