import { computed, useAttrs, type ComputedRef } from 'vue';

/**
 * What a field was given beside its properties, in two parts: layout and focus belong to the whole field, the
 * rest (aria, inputmode, title, data, keys) to the element one types in.
 */
export function useFieldAttrs(): {
  outer: ComputedRef<Record<string, unknown>>;
  inner: ComputedRef<Record<string, unknown>>;
} {
  const attrs = useAttrs();
  const isOuter = (name: string) => /^(class|style|onFocus|onBlur)$/.test(name);
  const part = (isWanted: (name: string) => boolean) =>
    computed(() => Object.fromEntries(Object.entries(attrs).filter(([name]) => isWanted(name))));
  return { outer: part(isOuter), inner: part((name) => !isOuter(name)) };
}
