import type { ChangeRequest, ChangeResult, Command, Problem } from '@tasche/contract';
import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { Away, Refused, post } from '../api/request';

/** Something to be sent: a change, or the undoing of one. */
export type Outgoing =
  | { kind: 'change'; playerId: string; request: ChangeRequest }
  | { kind: 'undo'; playerId: string; changeId: string; id: string };

/** What became of it. */
export type Sent = { outgoing: Outgoing; result: ChangeResult } | { outgoing: Outgoing; problem: Problem };

const FIRST_WAIT_MS = 400;
const LONGEST_WAIT_MS = 5000;

/**
 * Everything typed goes through here, one after the other, and stays here (and in this browser's storage) until the server
 * has it. Ids are made here, so what was sent twice is done once.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = useLocalStorage<Outgoing[]>('tasche.outbox', []);
  const away = ref<string | null>(null);
  const listeners = new Set<(sent: Sent) => void>();
  let running = false;
  let wake: (() => void) | undefined;

  const onSent = (listener: (sent: Sent) => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };

  function push(outgoing: Outgoing): void {
    waiting.value = [...waiting.value, outgoing];
    void run();
  }

  async function run(): Promise<void> {
    if (running) return;
    running = true;
    let wait = FIRST_WAIT_MS;
    while (waiting.value.length > 0) {
      const outgoing = waiting.value[0]!;
      try {
        const result = await send(outgoing);
        away.value = null;
        wait = FIRST_WAIT_MS;
        waiting.value = waiting.value.slice(1).map((next) => renewed(next, outgoing, result));
        listeners.forEach((listener) => listener({ outgoing, result }));
      } catch (error) {
        if (error instanceof Refused) {
          away.value = null;
          waiting.value = waiting.value.slice(1);
          listeners.forEach((listener) => listener({ outgoing, problem: error.problem }));
        } else {
          away.value = error instanceof Away ? error.message : 'The server does not answer.';
          await new Promise<void>((resolve) => { wake = resolve; setTimeout(resolve, wait); });
          wait = Math.min(wait * 2, LONGEST_WAIT_MS);
        }
      }
    }
    running = false;
  }

  /** What of a player's is still to be sent, as plain as it was: what stands in the storage is watched, and nothing watched can go to a worker. */
  function pending(playerId: string): Command[] {
    const commands = waiting.value.flatMap((one) => (one.kind === 'change' && one.playerId === playerId ? one.request.commands : []));
    return JSON.parse(JSON.stringify(commands)) as Command[];
  }

  /** Tries now rather than at the next turn. */
  function tryNow(): void {
    wake?.();
    void run();
  }

  return { waiting, away, count: computed(() => waiting.value.length), onSent, push, pending, run, tryNow };
});

function send(outgoing: Outgoing): Promise<ChangeResult> {
  return outgoing.kind === 'change'
    ? post<ChangeResult>('/changes', outgoing.request)
    : post<ChangeResult>(`/changes/${outgoing.changeId}/undo`, { id: outgoing.id });
}

/** What was typed after `done` was sent but before it was answered was typed on top of it, so it carries on from its versions. */
function renewed(next: Outgoing, done: Outgoing, result: ChangeResult): Outgoing {
  if (next.kind !== 'change' || done.kind !== 'change') return next;
  const versions = new Map([...result.players, ...result.clubs, ...result.bags, ...result.plans, ...result.sessions, ...result.courses, ...result.seasons, ...result.events].map((row) => [row.id, row.version]));
  const sentOn = new Map(done.request.commands.map((command) => [subjectOf(command), versionIn(command)]));
  const commands = next.request.commands.map((command) => {
    const subject = subjectOf(command);
    const version = subject === undefined ? undefined : versions.get(subject);
    const typedOnTop = subject !== undefined && sentOn.has(subject) && (sentOn.get(subject) ?? 1) <= (versionIn(command) ?? 0);
    return version !== undefined && typedOnTop && 'version' in command ? { ...command, version } : command;
  });
  return { ...next, request: { ...next.request, commands } };
}

function versionIn(command: Command): number | undefined {
  return 'version' in command ? command.version : undefined;
}

/** The id of the row a command is about. */
export function subjectOf(command: Command): string | undefined {
  switch (command.do) {
    case 'addPlayer': return command.player.id;
    case 'editPlayer': return command.playerId;
    case 'addClub': return command.club.id;
    case 'editClub': case 'removeClub': return command.clubId;
    case 'addBag': return command.bag.id;
    case 'editBag': case 'removeBag': case 'putIn': case 'takeOut': case 'makeGamer': return command.bagId;
    case 'addPlan': return command.plan.id;
    case 'editPlan': case 'setSwaps': case 'removePlan': case 'editRound': case 'setRoundBag': return command.planId;
    case 'addCourse': return command.course.id;
    case 'editCourse': case 'removeCourse': return command.courseId;
    case 'addSeason': return command.season.id;
    case 'editSeason': case 'removeSeason': return command.seasonId;
    case 'addEvent': return command.event.id;
    case 'editEvent': case 'editEventRound': case 'removeEvent': return command.eventId;
    case 'addSession': return command.session.id;
    case 'editSession': case 'removeSession': case 'addStrikes': case 'editStrikes': return command.sessionId;
  }
}
