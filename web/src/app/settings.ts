import type { DistanceUnit } from '@tasche/core';
import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';

/** This reader's display settings. Never sent anywhere. */
export const useSettings = defineStore('settings', () => {
  /** Null shows every player in their own unit. */
  const unitOverride = useLocalStorage<DistanceUnit | null>('tasche.unit', null, {
    serializer: {
      read: (text) => (text === 'yd' || text === 'm' ? text : null),
      write: (unit) => unit ?? '',
    },
  });
  /** The unit of the player looked at last: pages that are of no player begin in it. */
  const lastUnit = useLocalStorage<DistanceUnit>('tasche.last-unit', 'm', {
    serializer: { read: (text) => (text === 'yd' ? 'yd' : 'm'), write: (unit) => unit },
  });
  const theme = useLocalStorage<'auto' | 'light' | 'dark'>('tasche.theme', 'auto');
  const prefersDark = usePreferredDark();
  const dark = computed(() => (theme.value === 'auto' ? prefersDark.value : theme.value === 'dark'));

  const unitFor = (own: DistanceUnit): DistanceUnit => unitOverride.value ?? own;
  const flipUnit = (own: DistanceUnit) => {
    const next = unitFor(own) === 'yd' ? 'm' : 'yd';
    unitOverride.value = next === own ? null : next;
  };
  const flipTheme = () => {
    theme.value = dark.value ? 'light' : 'dark';
  };
  return { unitOverride, lastUnit, theme, dark, unitFor, flipUnit, flipTheme };
});
