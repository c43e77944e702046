import {
  subjectOf,
  withCommands,
  type ChangeResult,
  type Command,
  type ScheduleView,
} from '@tasche/contract';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed, ref } from 'vue';
import { useHeld } from '../api/read';
import { request } from '../api/request';
import { byName } from '../app/by-name';
import { useOutbox } from '../changes/outbox';
import { useUndo, type UndoScope } from '../changes/undo-stack';

/**
 * Whose changes of courses, seasons and events are, in the outbox: no player's. The word is in what browsers
 * keep.
 */
const NOBODY = 'circuit';
/** What the server's answer is held under. */
export const SCHEDULE_KEY = ['schedule'] as const;

/** The courses, seasons and events of the workspace, and everything that can be done to them. */
export const useSchedule = defineStore('schedule', () => {
  const outbox = useOutbox();
  const isOpen = ref(false);
  const answer = useHeld<ScheduleView>(() =>
    isOpen.value
      ? { key: SCHEDULE_KEY, ask: () => outbox.readCurrent(() => request<ScheduleView>('/schedule')) }
      : null,
  );
  /** What the server said last, with what still waits to be sent done to it. */
  const schedule = computed(() =>
    answer.value.value ? withCommands('schedule', answer.value.value, outbox.pending(NOBODY)) : null,
  );
  const undoStack = useUndo();

  const courses = computed(() => (schedule.value?.courses ?? []).toSorted(byName));
  const seasons = computed(() => schedule.value?.seasons ?? []);
  const events = computed(() => schedule.value?.events ?? []);

  async function load(again = false): Promise<void> {
    isOpen.value = true;
    if (again) await answer.renew();
    else if (answer.value.value === undefined) await answer.again();
  }

  /** Does something: on the screen now, or once there is a schedule; on the server as soon as it can. */
  function change(commands: readonly Command[], why = ''): void {
    if (commands.length === 0) return;
    const id = newId();
    outbox.push({ kind: 'change', playerId: NOBODY, request: { id, commands, ...(why && { why }) } });
    const events = commands.map(subjectOf).filter(({ kind }) => kind === 'event');
    const scopes: UndoScope[] = ['schedule', ...events.map((event) => `event/${event.id}` as const)];
    undoStack.note({ id, owner: NOBODY, scopes });
  }

  outbox.onSent((sent) => {
    if (sent.outgoing.playerId !== NOBODY || !isOpen.value) return undefined;
    if ('result' in sent) {
      const { result } = sent;
      answer.change((standing) => withScheduleResult(standing, result));
      return undefined;
    }
    const failed = sent.outgoing.kind === 'change' ? sent.outgoing.request.id : sent.outgoing.id;
    undoStack.forget(failed);
    void load(true);
    return undefined;
  });

  return {
    schedule,
    state: answer.state,
    courses,
    seasons,
    events,
    load,
    change,
  };
});

/** The schedule with what the server says put over it. */
export function withScheduleResult(schedule: ScheduleView, result: ChangeResult): ScheduleView {
  const merged = <T extends { id: string; removed: boolean }>(
    standing: readonly T[],
    fresh: readonly T[],
  ): readonly T[] =>
    [
      ...standing.filter(({ id }) => !fresh.some((row) => row.id === id)),
      ...fresh.filter(({ removed }) => !removed),
    ].sort((a, b) => orderOf(standing, a) - orderOf(standing, b));
  return {
    courses: merged(schedule.courses, result.courses),
    seasons: merged(schedule.seasons, result.seasons),
    events: merged(schedule.events, result.events),
  };
}

function orderOf(standing: readonly { id: string }[], row: { id: string }): number {
  const at = standing.findIndex(({ id }) => id === row.id);
  return at === -1 ? standing.length : at;
}
