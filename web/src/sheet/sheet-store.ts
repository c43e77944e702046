import {
  bringsNew,
  freezeOf,
  mayWrite,
  subjectOf,
  withCommands,
  type ChangeRequest,
  type Command,
  type Conflict,
  type PlansPage,
  type SheetView,
} from '@tasche/contract';
import { ladderClub, placedClubs, skillOf, type Freeze, type LadderClub } from '@tasche/core';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { keepCopy, useReadAgain } from '../offline/connection';
import { ApiError, request } from '../api/request';
import { signedIn } from '../api/signed-in';
import { today } from '../app/day';
import { useOutbox } from '../changes/outbox';
import { undoLine } from '../changes/undo-line';
import { withResult } from '../changes/with-result';

/** One player's locker, bags and plans, and everything that can be done to them. */
export const useSheet = defineStore('sheet', () => {
  const outbox = useOutbox();
  const sheet = shallowRef<SheetView | null>(null);
  const state = ref<'empty' | 'loading' | 'ready' | 'missing' | 'away'>('empty');
  const conflicted = shallowRef<readonly { request: ChangeRequest; conflicts: readonly Conflict[] }[]>([]);
  /** Something new that waits for a reason, because its player wants nothing new now. */
  const asking = shallowRef<{ id: string; commands: readonly Command[]; freeze: Freeze } | null>(null);
  const line = undoLine((changeId, id) => {
    if (sheet.value) outbox.push({ kind: 'undo', playerId: sheet.value.player.id, changeId, id });
  });
  let wanted: { playerId: string; asOf: string | null } | null = null;

  const clubs = computed(() => sheet.value?.clubs ?? []);
  const clubsById = computed(() => new Map(clubs.value.map((club) => [club.id, club])));
  /** Every club as the ladder knows it; one whose carry nobody knows at its modelled place. */
  const ladderClubs = computed(
    () =>
      new Map(
        placedClubs(clubs.value.map(ladderClub), sheet.value?.player.baseline ?? undefined).map(
          (club): [string, LadderClub] => [club.id, club],
        ),
      ),
  );
  const skill = computed(() => skillOf([...ladderClubs.value.values()], sheet.value?.player.handicap));
  const gamer = computed(() => sheet.value?.bags.find((bag) => bag.gamer));
  const lastChangeId = computed(() => sheet.value?.lastChange?.id);
  /** Another day's sheet, or the reader only writes notes. */
  const readOnly = computed(
    () => isPast.value || (signedIn.value !== null && !mayWrite(signedIn.value.role)),
  );
  const isPast = computed(() => sheet.value?.asOf != null);

  useReadAgain(() => wanted && load(wanted.playerId, wanted.asOf));

  async function load(playerId: string, asOf: string | null = null): Promise<void> {
    if (wanted?.playerId !== playerId) {
      line.open(`player/${playerId}`);
      sheet.value = null;
    }
    wanted = { playerId, asOf };
    if (!sheet.value) state.value = 'loading';
    try {
      const loaded = await outbox.readCurrent(() =>
        request<SheetView>(`/players/${playerId}/sheet${asOf ? `?asOf=${asOf}` : ''}`),
      );
      if (wanted.playerId !== playerId || wanted.asOf !== asOf) return;
      sheet.value = asOf === null ? withCommands('sheet', loaded, outbox.pending(playerId)) : loaded;
      state.value = 'ready';
    } catch (error) {
      if (error instanceof ApiError) state.value = 'missing';
      else if (sheet.value === null) {
        state.value = 'away';
        setTimeout(() => {
          if (state.value === 'away' && wanted?.playerId === playerId) void load(playerId, asOf);
        }, 1500);
      }
    }
  }

  /** Does something: on the screen now, on the server as soon as it can. */
  function change(commands: readonly Command[], why = ''): string {
    const id = newId();
    const current = sheet.value;
    if (!current || commands.length === 0) return id;
    const freeze = why.trim() === '' ? freezeOf(current, today()) : undefined;
    if (freeze && bringsNew(current, commands)) {
      asking.value = { id, commands, freeze };
      return id;
    }
    make(id, commands, why);
    return id;
  }

  /** What waited for a reason in a freeze is done with it; without one it is not done. */
  function answerFreeze(why: string | null): void {
    const asked = asking.value;
    asking.value = null;
    if (asked && why !== null) make(asked.id, asked.commands, why);
  }

  function make(id: string, commands: readonly Command[], why: string): void {
    const current = sheet.value;
    if (!current) return;
    sheet.value = withCommands('sheet', current, commands);
    outbox.push({
      kind: 'change',
      playerId: current.player.id,
      request: { id, commands, ...(why && { why }) },
    });
    line.done(id);
  }

  outbox.onSent((sent) => {
    const current = sheet.value;
    if (!current) return undefined;
    const isOwn = sent.outgoing.playerId === current.player.id;
    // An event that is changed takes its plans with it.
    if (
      !isOwn &&
      !('result' in sent && sent.result.plans.some(({ playerId }) => playerId === current.player.id))
    )
      return undefined;
    if ('result' in sent) {
      // What is still waiting was typed later and stands over the answer.
      sheet.value = withCommands(
        'sheet',
        withResult(current, sent.result),
        outbox.pending(current.player.id),
      );
      keepCopy(`/players/${current.player.id}/sheet`);
      return undefined;
    }
    const failedId = sent.outgoing.kind === 'change' ? sent.outgoing.request.id : sent.outgoing.id;
    line.forget(failedId);
    void load(current.player.id);
    if (
      sent.problem.error !== 'conflict' ||
      !sent.problem.conflicts?.length ||
      sent.outgoing.kind !== 'change'
    )
      return false;
    conflicted.value = [
      ...conflicted.value,
      { request: sent.outgoing.request, conflicts: sent.problem.conflicts },
    ];
    return true;
  });

  /** Saves the refused side of a conflict after all, over what the other person saved. */
  function saveMine(): void {
    const refusedChanges = conflicted.value;
    conflicted.value = [];
    for (const {
      request: { commands, why },
      conflicts,
    } of refusedChanges) {
      const versions = new Map(conflicts.map((one) => [one.id, one.version]));
      change(
        commands.map((command) => {
          const version = versions.get(subjectOf(command).id);
          return version !== undefined && 'version' in command ? { ...command, version } : command;
        }),
        why,
      );
    }
  }

  function keepTheirs(): void {
    conflicted.value = [];
  }

  /** Older plans than the sheet came with, a page at a time. */
  async function loadOlderPlans(): Promise<void> {
    const last = sheet.value?.plans
      .toSorted((a, b) => b.startsOn.localeCompare(a.startsOn) || a.id.localeCompare(b.id))
      .at(-1);
    if (!sheet.value || !last) return;
    const { id } = sheet.value.player;
    const page = await request<PlansPage>(`/players/${id}/plans?after=${last.startsOn}_${last.id}`);
    const current = sheet.value;
    if (current?.player.id !== id) return;
    const isNew =
      <T extends { id: string }>(known: readonly T[]) =>
      ({ id: one }: T) =>
        !known.some((row) => row.id === one);
    sheet.value = {
      ...current,
      planCount: page.total,
      plans: [...current.plans, ...page.rows.filter(isNew(current.plans))],
      bags: [...current.bags, ...page.bags.filter(isNew(current.bags))],
    };
  }

  return {
    sheet,
    state,
    conflicted,
    clubs,
    clubsById,
    ladderClubs,
    skill,
    gamer,
    lastChangeId,
    readOnly,
    isPast,
    load,
    loadOlderPlans,
    change,
    asking,
    answerFreeze,
    saveMine,
    keepTheirs,
    undoable: line.undoable,
    redoable: line.redoable,
    done: line.done,
    undo: line.undo,
    redo: line.redo,
  };
});
