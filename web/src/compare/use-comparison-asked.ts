import { MAX_BUILDS, QUESTIONS, isShotKind, type Question, type ShotKind } from '@tasche/core';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { shotOptions } from '../clubs/shot-options';
import type { useRangeOf } from '../range/range-store';
import { useSheet } from '../sheet/sheet-store';
import { hitBuilds, type HitBuild } from './builds';
import { marginsIn } from './margins';

/**
 * Which builds are compared, by which swing and question, and how their test is hit: all of it in the address.
 */
export function useComparisonAsked(range: ReturnType<typeof useRangeOf>) {
  const store = useSheet();
  const route = useRoute();
  const router = useRouter();

  const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined);
  const set = (query: Record<string, string | undefined>) =>
    void router.replace({ query: { ...route.query, ...query } });
  const shot = computed<ShotKind>({
    get: () => {
      const asked = text('shot') ?? '';
      return isShotKind(asked) ? asked : 'full';
    },
    // Other builds were hit that way.
    set: (kind) => set({ shot: kind, builds: undefined }),
  });
  /** The usual swings, and every one of the player's own with any club. */
  const swings = computed(() => {
    const specs = store.clubs.map(({ spec }) => spec);
    const options = specs.flatMap((spec) => shotOptions(spec));
    return [...new Map([...shotOptions(undefined), ...options].map((one) => [one.value, one])).values()];
  });
  const all = computed(() =>
    hitBuilds(
      range.sessions,
      range.bySession,
      store.clubsById,
      (strike) => {
        const then = range.specOf(strike);
        return then && Object.keys(then).length > 0 ? then : store.clubsById.get(strike.clubId!)!.spec;
      },
      shot.value,
    ),
  );
  const chosen = computed<HitBuild[]>(() =>
    (text('builds') ?? '')
      .split(',')
      .flatMap((id) => all.value.find((build) => build.id === id) ?? [])
      .slice(0, MAX_BUILDS),
  );
  function choose(id: string): void {
    const ids = chosen.value.map((build) => build.id);
    const next = ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];
    set({ builds: next.length > 0 ? next.join(',') : undefined });
  }
  /** All are compared with the first. */
  const makeFirst = (id: string) =>
    set({ builds: [id, ...chosen.value.map((build) => build.id).filter((one) => one !== id)].join(',') });
  /** Drivers race; everything else is to match. Any task can be asked of anything. */
  const question = computed<Question>(
    () =>
      QUESTIONS.find((one) => one === text('ask')) ??
      (chosen.value.some(({ kind }) => kind === 'driver') ? 'longer' : 'matches'),
  );

  const margins = computed(() => marginsIn(text));
  const number = (key: string, usual: number) => {
    const value = Number(text(key) ?? NaN);
    return Number.isFinite(value) ? value : usual;
  };

  return { shot, swings, all, chosen, question, margins, choose, makeFirst, set, number };
}
