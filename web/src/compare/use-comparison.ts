import type { Conditions, Margins, Question, Surface } from '@tasche/core';
import { shallowRef, watch, type ComputedRef } from 'vue';
import { rangeWorker } from '../range/range-link';
import type { useRangeOf } from '../range/range-store';
import type { ComparisonAnswer } from '../range/range-worker';
import type { HitBuild } from './builds';

/** The chosen builds compared with the first of them, by the range's worker; null while there are not two. */
export function useComparison(
  range: ReturnType<typeof useRangeOf>,
  asked: {
    builds: ComputedRef<readonly HitBuild[]>;
    question: ComputedRef<Question>;
    margins: ComputedRef<Margins>;
    from: ComputedRef<{ conditions: Conditions; surface: Surface }>;
  },
) {
  const answer = shallowRef<ComparisonAnswer | null>(null);
  let lastRequestId = 0;
  watch(
    [asked.builds, asked.question, asked.margins, asked.from],
    async ([builds, question, margins, from]) => {
      const requestId = ++lastRequestId;
      if (builds.length < 2) {
        answer.value = null;
        return;
      }
      const input = builds.map(({ id, name, kind, parts, strikes }) => {
        const ids = new Set(strikes.map((strike) => strike.id));
        return {
          id,
          name,
          kind,
          parts: { ...parts },
          sessions: range.sessions
            .map((session) => range.strikesOf(session, (strike) => ids.has(strike.id)))
            .filter((session) => session.strikes.length > 0),
        };
      });
      const compared = await rangeWorker().compare(input, question, margins, from);
      if (requestId === lastRequestId) answer.value = compared;
    },
    { immediate: true },
  );
  return answer;
}
