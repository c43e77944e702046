import { useEventListener } from '@vueuse/core';
import type { Ref } from 'vue';
import { isTyping } from '../keys/is-typing';
import { COLUMN_SETS, type ColumnSet } from '../sheet/sheet-columns';
import type { Trial } from './trial';

interface BagKeys {
  trial: Readonly<Ref<Trial | null>>;
  picking: Readonly<Ref<boolean>>;
  keep: () => void;
  leave: () => void;
  /** By the letter that is pressed with Alt. */
  actions: Readonly<Record<string, () => void>>;
  show: (set: ColumnSet) => void;
}

/** The bag's keys: Alt and a letter; Alt and a number for columns; Enter keeps what is tried, Escape leaves it. */
export function useBagKeys({ trial, picking, keep, leave, actions, show }: BagKeys): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.key === 'Escape' && trial.value) {
      leave();
      return;
    }
    const isOnButton = event.target instanceof HTMLButtonElement;
    if (event.key === 'Enter' && trial.value?.commands && !isTyping(event) && !picking.value && !isOnButton) {
      event.preventDefault();
      keep();
      return;
    }
    if (!event.altKey || event.ctrlKey || event.metaKey) return;
    const key = event.key.toLowerCase();
    const set = COLUMN_SETS[Number(key) - 1];
    const action = set
      ? () => {
          show(set);
        }
      : actions[key];
    if (!action) return;
    event.preventDefault();
    action();
  });
}
