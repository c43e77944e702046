import { MAX_STRIKES_ANSWERED, type SessionEntry, type StrikeView } from '@tasche/contract';
import { digits, type PlayingConditions } from '@tasche/core';
import { transfer } from 'comlink';
import { differenceInCalendarDays } from 'date-fns';
import { computed, ref, shallowRef, watch, type ComputedRef } from 'vue';
import { useRoute } from 'vue-router';
import { whenIdle } from '../app/when-idle';
import { playingConditionsOf, useRange } from './range-store';
import { packStrikes } from './packed-strikes';
import { rangeWorker } from './range-link';
import type { DriftRow, GroupSummary } from './range-worker';
import { WorkedShots } from './worked-shots';

/** What a session is compared with: how many days before it, from and to. */
export const DRIFT_SPANS = {
  'all before': [1, Infinity],
  'the month before': [1, 31],
  'a year before': [300, 430],
} as const;
export type DriftSpan = keyof typeof DRIFT_SPANS;

const idle = () => new Promise<void>((resolve) => void whenIdle(resolve));
/** Until what changed is drawn: too much at once blocks the page. */
const drawnFirst = () => new Promise<void>((resolve) => setTimeout(resolve));

/** One session filled in and summed up by the worker, and its clubs against what they did before. */
export function useSession(
  session: ComputedRef<SessionEntry | undefined>,
  baseline: ComputedRef<PlayingConditions>,
) {
  const range = useRange();
  const route = useRoute();
  /** What each club is compared with: itself before. Part of the address. */
  const span = computed<DriftSpan>(
    () =>
      (Object.keys(DRIFT_SPANS) as DriftSpan[]).find((one) => one === route.query.against) ?? 'all before',
  );
  const strikes = computed<readonly StrikeView[]>(() =>
    session.value ? (range.bySession.get(session.value.id) ?? []) : [],
  );
  const rows = shallowRef(WorkedShots.none);
  const groups = shallowRef<readonly GroupSummary[]>([]);
  const drifts = shallowRef<readonly DriftRow[]>([]);
  const problem = ref('');
  /** What is to be known of the sessions the clubs are compared with; empty where all is well. */
  const earlierSays = ref('');
  let lastRequestId = 0;
  let shownId: string | undefined;

  watch(
    [session, strikes, baseline, span],
    async ([current, , from, against]) => {
      const requestId = ++lastRequestId;
      // Another session's numbers are not shown, or taken, under this one's name while the worker works.
      if (current?.id !== shownId) {
        shownId = current?.id;
        rows.value = WorkedShots.none;
        groups.value = [];
        drifts.value = [];
      }
      if (!current) return;
      await drawnFirst();
      if (requestId !== lastRequestId) return;
      try {
        const packed = packStrikes(range.strikesOf(current));
        const answer = await rangeWorker().read(
          transfer(packed, [packed.given.buffer, packed.sortOf.buffer]),
          from,
        );
        if (requestId !== lastRequestId) return;
        groups.value = answer.groups;
        problem.value = '';
        await drawnFirst();
        if (requestId !== lastRequestId) return;
        rows.value = new WorkedShots(answer.shots);
      } catch (error) {
        if (requestId === lastRequestId)
          problem.value = `The shots could not be worked out: ${(error as Error).message}`;
        return;
      }
      // What was hit today is drawn first: the earlier shots are many.
      await idle();
      if (requestId === lastRequestId) await holdAgainstEarlier(current, against, requestId);
    },
    { immediate: true },
  );

  /** The session is shown without it, where earlier shots cannot be read. */
  async function holdAgainstEarlier(
    current: SessionEntry,
    against: DriftSpan,
    requestId: number,
  ): Promise<void> {
    const [near, far] = DRIFT_SPANS[against];
    const sessions = range.sessions
      .filter(({ heldOn }) => {
        const days = differenceInCalendarDays(current.heldOn, heldOn);
        return days >= near && days <= far;
      })
      .map((one) => ({ id: one.id, setting: playingConditionsOf(one), hitOff: one.hitOff }));
    const { playerId, hitOff } = current;
    const earlier = { playerId, edition: range.edition, sessions, hitOff, clubs: range.todaysClubs };
    try {
      const answer = await rangeWorker().drift(earlier);
      if (requestId !== lastRequestId) return;
      drifts.value = answer.drifts;
      earlierSays.value = answer.isPart
        ? `Compared with the newest ${digits(MAX_STRIKES_ANSWERED)} shots only.`
        : '';
    } catch {
      if (requestId !== lastRequestId) return;
      drifts.value = [];
      earlierSays.value = 'Earlier shots could not be read, so no club is compared with its own past.';
    }
  }

  return { span, strikes, rows, groups, drifts, problem, earlierSays };
}
