import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue';

const KEY: InjectionKey<() => boolean> = Symbol('read only');

/** Every field below this component only shows, while that is so. */
export function provideReadOnly(isReadOnly: () => boolean): void {
  provide(KEY, isReadOnly);
}

/** Whether a field only shows, for all its page. */
export function useReadOnly(): ComputedRef<boolean> {
  const isReadOnly = inject(KEY, () => false);
  return computed(isReadOnly);
}
