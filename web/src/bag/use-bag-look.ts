import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useIsNarrow } from '../app/is-narrow';
import { COLUMN_SETS } from '../sheet/sheet-columns';

/**
 * How a bag is looked at, which is part of the address: its columns, the ladder as a picture or a table, the
 * club that is open.
 */
export function useBagLook() {
  const route = useRoute();
  const router = useRouter();
  function setQuery(key: string, value: string | undefined): void {
    void router.replace({ query: { ...route.query, [key]: value } });
  }
  const asTable = computed({
    get: () => route.query.ladder === 'table',
    set: (on) => {
      setQuery('ladder', on ? 'table' : undefined);
    },
  });
  const columnSet = computed({
    get: () => COLUMN_SETS.find((set) => set.id === route.query.columns) ?? COLUMN_SETS[0]!,
    set: ({ id }) => {
      setQuery('columns', id === COLUMN_SETS[0]!.id ? undefined : id);
    },
  });
  const isNarrow = useIsNarrow();
  const columns = computed(() => (isNarrow.value && columnSet.value.narrow) || columnSet.value.columns);
  /** A phone has no room for the ladder beside these columns. */
  const isSheetAlone = computed(() => isNarrow.value && !columnSet.value.narrow);
  const openClubId = computed({
    get: () => (typeof route.query.club === 'string' ? route.query.club : null),
    set: (id) => {
      setQuery('club', id ?? undefined);
    },
  });
  return { asTable, columnSet, columns, isSheetAlone, openClubId };
}
