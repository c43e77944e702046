import type { Ref } from 'vue';
import { isTyping } from '../keys/is-typing';
import { useShortcuts } from '../keys/use-shortcuts';
import type { Trial } from './trial';

/**
 * Enter keeps what is tried on the ladder, Escape leaves it; not from a field, a button, or while a club is
 * picked.
 */
export function useTrialKeys({
  trial,
  picking,
  keep,
  leave,
}: {
  trial: Readonly<Ref<Trial | null>>;
  picking: Readonly<Ref<boolean>>;
  keep: () => void;
  leave: () => void;
}): void {
  useShortcuts('The bag', {
    Esc: () => {
      if (!trial.value) return false;
      leave();
      return true;
    },
    Enter: (event) => {
      const isOnButton = event.target instanceof HTMLButtonElement;
      if (!trial.value?.commands || isTyping(event) || picking.value || isOnButton) return false;
      keep();
      return true;
    },
  });
}
