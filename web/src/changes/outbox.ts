import {
  mayDo,
  roleReminder,
  subjectOf,
  type ChangeRequest,
  type ChangeResult,
  type Command,
  type Problem,
} from '@tasche/contract';
import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref } from 'vue';
import { readShownAgain } from '../api/read';
import { NetworkError, ApiError, SignedOutError, post } from '../api/request';
import { placeKey, signedIn } from '../api/signed-in';
import { keptList } from './kept-list';

/** Something to be sent: a change, or the undoing of one. */
export type Outgoing = (
  | { kind: 'change'; playerId: string; request: ChangeRequest }
  | { kind: 'undo'; playerId: string; changeId: string; id: string }
) & {
  /** Who typed it, and in which workspace: it is sent only as theirs, and only there. */
  by?: string;
};

/** The outcome. */
export type Sent = { outgoing: Outgoing; result: ChangeResult } | { outgoing: Outgoing; problem: Problem };

/** What the server refused, with its reason; kept until it is fixed or discarded. */
interface Returned {
  outgoing: Outgoing;
  problem: Problem;
}

/** Called with an outcome; true where it shows what was refused, so that no other listener has to. */
type SentListener = (sent: Sent) => unknown;

/** A user who types without a pause gets the answer there is. */
const MAX_READS = 4;
/** A change shows on the screen before it is sent; until then it is kept in this browser's storage. */
const SHOWN_FIRST_MS = 60;
const FIRST_WAIT_MS = 400;
const MAX_WAIT_MS = 5000;

/** The id under which the server knows it. */
export function idOfOutgoing(outgoing: Outgoing): string {
  return outgoing.kind === 'change' ? outgoing.request.id : outgoing.id;
}

/**
 * Everything typed goes through here, one after the other, and stays here (and in this browser's storage)
 * until the server has it. Ids are made here, so what was sent twice is done once. Only a refusal that says
 * what is wrong ends an item, and what was refused is kept to be fixed; whatever else goes wrong, it is sent
 * again. Of several tabs one sends at a time.
 */
export const useOutbox = defineStore('outbox', () => {
  const list = keptList<Outgoing>('tasche.outbox', idOfOutgoing);
  const returnedList = keptList<Returned>('tasche.returned', ({ outgoing }) => idOfOutgoing(outgoing));
  /** What another person typed in this browser waits until they are back. */
  const isOurs = ({ by }: Outgoing) => by === undefined || by === placeKey();
  const waiting = computed(() => list.entries.value.filter(isOurs));
  const away = ref<string | null>(null);
  const listeners = new Set<SentListener>();
  let settled = 0;
  const otherTabs =
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('tasche.outbox');
  let running = false;
  let isSignedOut = false;
  let isClosed = false;
  let wake: (() => void) | undefined;
  onScopeDispose(() => {
    isClosed = true;
    otherTabs?.close();
    wake?.();
  });

  const onSent = (listener: SentListener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  const tell = (sent: Sent): boolean => [...listeners].map((listener) => listener(sent)).includes(true);
  otherTabs?.addEventListener('message', ({ data }: MessageEvent<Sent>) => {
    list.refresh();
    returnedList.refresh();
    settled += 1;
    tell(data);
    if ('result' in data) readShownAgain();
  });

  function push(outgoing: Outgoing): void {
    const by = placeKey();
    const refused = refusalOf(outgoing);
    const kept = by === undefined ? outgoing : { ...outgoing, by };
    list.add(kept);
    // What the page shows already goes back first.
    if (refused) queueMicrotask(() => settle({ outgoing: kept, problem: refused }));
    else setTimeout(() => void run(), SHOWN_FIRST_MS);
  }

  async function run(): Promise<void> {
    if (running || isClosed) return;
    running = true;
    try {
      await oneTabAtATime(drain);
    } finally {
      running = false;
    }
    // What was pushed while the last of it was leaving.
    if (waiting.value.length > 0 && !isSignedOut) void run();
  }

  async function drain(): Promise<void> {
    let wait = FIRST_WAIT_MS;
    list.refresh();
    isSignedOut = false;
    for (let outgoing = waiting.value[0]; outgoing && !isClosed; outgoing = waiting.value[0]) {
      const sent = await sendOnce(outgoing);
      // Each person sends only what is theirs.
      if (isSignedOut || isClosed) return;
      if (sent) {
        away.value = null;
        wait = FIRST_WAIT_MS;
        settle(sent);
        continue;
      }
      await new Promise<void>((resolve) => {
        wake = resolve;
        setTimeout(resolve, wait);
      });
      wait = Math.min(wait * 2, MAX_WAIT_MS);
      list.refresh();
    }
  }

  /** The outcome of sending; undefined where it must be sent again. */
  async function sendOnce(outgoing: Outgoing): Promise<Sent | undefined> {
    try {
      return { outgoing, result: await send(outgoing) };
    } catch (error) {
      if (error instanceof ApiError) return { outgoing, problem: error.problem };
      isSignedOut = error instanceof SignedOutError;
      away.value = error instanceof NetworkError ? error.message : 'The server does not answer.';
      return undefined;
    }
  }

  function settle(sent: Sent): void {
    otherTabs?.postMessage(JSON.parse(JSON.stringify(sent)));
    list.remove(idOfOutgoing(sent.outgoing));
    settled += 1;
    if ('result' in sent) {
      for (const next of waiting.value) {
        const fresh = renewed(next, sent.outgoing, sent.result);
        if (fresh !== next) list.replace(fresh);
      }
    }
    if ('result' in sent) readShownAgain();
    // What no page shows for fixing is shown by every page.
    if (!tell(sent) && 'problem' in sent) returnedList.add(sent);
  }

  /**
   * Reads something of the server's, again where a change was answered meanwhile: what was read may be older
   * than the answer.
   */
  async function readCurrent<T>(read: () => Promise<T>): Promise<T> {
    for (let left = MAX_READS; ; left--) {
      const before = settled;
      const found = await read();
      if (settled === before || left <= 1) return found;
    }
  }

  /**
   * How many changes were answered so far: what was read at another count may be older than the last answer.
   */
  const answered = (): number => settled;

  /** What of a player's is still to be sent. */
  function pending(playerId: string): Command[] {
    return waiting.value.flatMap((one) =>
      one.kind === 'change' && one.playerId === playerId ? one.request.commands : [],
    );
  }

  /** Tries now instead of waiting for the next turn. */
  function tryNow(): void {
    wake?.();
    void run();
  }

  /** Discards something that was refused. */
  function discard(id: string): void {
    returnedList.remove(id);
  }

  return {
    waiting,
    away,
    returned: computed(() => returnedList.entries.value.filter(({ outgoing }) => isOurs(outgoing))),
    count: computed(() => waiting.value.length),
    onSent,
    push,
    pending,
    readCurrent,
    answered,
    run,
    tryNow,
    discard,
  };
});

/** Why the server would refuse it from that role: it is not sent. */
function refusalOf(outgoing: Outgoing): Problem | undefined {
  const role = signedIn.value?.role;
  if (role === undefined || outgoing.kind !== 'change') return undefined;
  if (outgoing.request.commands.every((command) => mayDo(role, command))) return undefined;
  return { error: 'forbidden', message: roleReminder(role) };
}

/** Runs it while no other tab of this browser runs the same. */
async function oneTabAtATime(work: () => Promise<void>): Promise<void> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work();
  await navigator.locks.request('tasche.outbox', work);
}

function send(outgoing: Outgoing): Promise<ChangeResult> {
  return outgoing.kind === 'change'
    ? post<ChangeResult>('/changes', outgoing.request)
    : post<ChangeResult>(`/changes/${outgoing.changeId}/undo`, { id: outgoing.id });
}

/**
 * What was typed after `done` was sent but before it was answered was typed on top of it, so it carries on
 * from its versions.
 */
function renewed(next: Outgoing, done: Outgoing, result: ChangeResult): Outgoing {
  if (next.kind !== 'change' || done.kind !== 'change') return next;
  const { change: _change, ...kinds } = result;
  const rows: readonly { id: string; version: number }[] = Object.values(kinds).flat();
  const versions = new Map(rows.map((row) => [row.id, row.version]));
  const sentOn = new Map(done.request.commands.map((command) => [subjectOf(command).id, versionIn(command)]));
  const commands = next.request.commands.map((command) => {
    const { id } = subjectOf(command);
    const version = versions.get(id);
    const typedOnTop = sentOn.has(id) && (sentOn.get(id) ?? 1) <= (versionIn(command) ?? 0);
    return version !== undefined && typedOnTop && 'version' in command ? { ...command, version } : command;
  });
  return commands.every((command, i) => command === next.request.commands[i])
    ? next
    : { ...next, request: { ...next.request, commands } };
}

function versionIn(command: Command): number | undefined {
  return 'version' in command ? command.version : undefined;
}
