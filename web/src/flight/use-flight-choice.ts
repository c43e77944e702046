import { LIE_NAMES, type Lie } from '@tasche/core';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';

/** Which clubs' flights are looked at, and off what lie: both part of the address. */
export function useFlightChoice(clubs: () => readonly { id: string }[]) {
  const route = useRoute();
  const router = useRouter();
  const put = (part: Record<string, string | undefined>) =>
    void router.replace({ query: { ...route.query, ...part } });
  /** By id; all of them where the address names none that is here. */
  const chosen = computed<readonly string[]>({
    get: () => {
      const ids = typeof route.query.clubs === 'string' ? route.query.clubs.split(',') : [];
      const here = ids.filter((id) => clubs().some((club) => club.id === id));
      return here.length > 0 ? here : clubs().map(({ id }) => id);
    },
    set: (ids) => {
      const isWhole = ids.length === 0 || ids.length === clubs().length;
      put({ clubs: isWhole ? undefined : ids.join(',') });
    },
  });
  const lie = computed<Lie>({
    get: () => LIE_NAMES.find((one) => one === route.query.lie) ?? 'fairway',
    set: (next) => put({ lie: next === 'fairway' ? undefined : next }),
  });
  return { chosen, lie };
}
