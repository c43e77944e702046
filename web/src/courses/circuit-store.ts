import type { ChangeResult, CircuitView, Command } from '@tasche/contract';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { Refused, request } from '../api/request';
import { useOutbox } from '../changes/outbox';
import { undoLine } from '../changes/undo-line';

/** Whose changes of courses, seasons and events are, in the outbox: no player's. */
const NOBODY = 'circuit';

/** The courses, seasons and events of the workspace, and everything that can be done to them. */
export const useCircuit = defineStore('circuit', () => {
  const outbox = useOutbox();
  const circuit = shallowRef<CircuitView | null>(null);
  const state = ref<'empty' | 'loading' | 'ready' | 'away'>('empty');
  const line = undoLine((changeId, id) => {
    outbox.push({ kind: 'undo', playerId: NOBODY, changeId, id });
  });

  const courses = computed(() => circuit.value?.courses ?? []);
  const seasons = computed(() => circuit.value?.seasons ?? []);
  const events = computed(() => circuit.value?.events ?? []);

  async function load(again = false): Promise<void> {
    if (state.value === 'loading' || (circuit.value && !again)) return;
    state.value = circuit.value ? 'ready' : 'loading';
    try {
      circuit.value = withCircuitCommands(
        await outbox.readCurrent(() => request<CircuitView>('/circuit')),
        outbox.pending(NOBODY),
      );
      state.value = 'ready';
    } catch (error) {
      if (circuit.value) return;
      state.value = 'away';
      if (!(error instanceof Refused)) setTimeout(() => void load(), 1500);
    }
  }

  /** Does something: on the screen now, on the server as soon as it can. */
  function change(commands: readonly Command[], why = ''): void {
    if (!circuit.value || commands.length === 0) return;
    const id = newId();
    circuit.value = withCircuitCommands(circuit.value, commands);
    outbox.push({ kind: 'change', playerId: NOBODY, request: { id, commands, ...(why && { why }) } });
    line.done(id);
  }

  outbox.onSent((sent) => {
    if (sent.outgoing.playerId !== NOBODY || !circuit.value) return undefined;
    if ('result' in sent) {
      circuit.value = withCircuitCommands(
        withCircuitResult(circuit.value, sent.result),
        outbox.pending(NOBODY),
      );
      return undefined;
    }
    const failed = sent.outgoing.kind === 'change' ? sent.outgoing.request.id : sent.outgoing.id;
    line.forget(failed);
    void load(true);
    return undefined;
  });

  return {
    circuit,
    state,
    courses,
    seasons,
    events,
    load,
    change,
    undoable: line.undoable,
    redoable: line.redoable,
    undo: line.undo,
    redo: line.redo,
  };
});

/** The circuit as it will be when the server has done these commands. */
export function withCircuitCommands(circuit: CircuitView, commands: readonly Command[]): CircuitView {
  return commands.reduce(withCircuitCommand, circuit);
}

function withCircuitCommand(circuit: CircuitView, command: Command): CircuitView {
  const added = <T extends { id: string }>(rows: readonly T[], row: T) =>
    rows.some(({ id }) => id === row.id) ? rows : [...rows, row];
  const edited = <T extends { id: string }>(rows: readonly T[], id: string, set: object) =>
    rows.map((row) => (row.id === id ? { ...row, ...set } : row));
  const fresh = { version: 1, removed: false };
  switch (command.do) {
    case 'addCourse':
      return { ...circuit, courses: added(circuit.courses, { ...command.course, ...fresh }) };
    case 'editCourse':
      return { ...circuit, courses: edited(circuit.courses, command.courseId, command.set) };
    case 'removeCourse':
      return { ...circuit, courses: circuit.courses.filter(({ id }) => id !== command.courseId) };
    case 'addSeason':
      return { ...circuit, seasons: added(circuit.seasons, { ...command.season, ...fresh }) };
    case 'editSeason':
      return { ...circuit, seasons: edited(circuit.seasons, command.seasonId, command.set) };
    case 'removeSeason':
      return { ...circuit, seasons: circuit.seasons.filter(({ id }) => id !== command.seasonId) };
    case 'addEvent':
      return { ...circuit, events: added(circuit.events, { ...command.event, ...fresh }) };
    case 'editEvent':
      return { ...circuit, events: edited(circuit.events, command.eventId, command.set) };
    case 'editEventRound':
      return {
        ...circuit,
        events: circuit.events.map((event) =>
          event.id === command.eventId
            ? {
                ...event,
                rounds: event.rounds.map((round) =>
                  round.id === command.roundId ? { ...round, ...command.set } : round,
                ),
              }
            : event,
        ),
      };
    case 'removeEvent':
      return { ...circuit, events: circuit.events.filter(({ id }) => id !== command.eventId) };
    default:
      return circuit;
  }
}

/** The circuit with what the server says put over it. */
export function withCircuitResult(circuit: CircuitView, result: ChangeResult): CircuitView {
  const merged = <T extends { id: string; removed: boolean }>(
    standing: readonly T[],
    fresh: readonly T[],
  ): readonly T[] =>
    [
      ...standing.filter(({ id }) => !fresh.some((row) => row.id === id)),
      ...fresh.filter(({ removed }) => !removed),
    ].sort((a, b) => orderOf(standing, a) - orderOf(standing, b));
  return {
    courses: merged(circuit.courses, result.courses),
    seasons: merged(circuit.seasons, result.seasons),
    events: merged(circuit.events, result.events),
  };
}

function orderOf(standing: readonly { id: string }[], row: { id: string }): number {
  const at = standing.findIndex(({ id }) => id === row.id);
  return at === -1 ? standing.length : at;
}
