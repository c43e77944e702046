import {
  clubName,
  bringsNew,
  freezeOf,
  type CommandName,
  subjectOf,
  withCommands,
  type ChangeRequest,
  type Command,
  type Conflict,
  type PlansPage,
  type SheetView,
} from '@tasche/contract';
import { ladderClub, placedClubs, skillOf, type Freeze, type LadderClub } from '@tasche/core';
import { hashKey } from '@tanstack/vue-query';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed, shallowRef } from 'vue';
import type { LocationQuery } from 'vue-router';
import { keepCopy } from '../offline/connection';
import { reader, useHeld } from '../api/read';
import { request } from '../api/request';
import { mayDoHere } from '../people/rights';
import { today } from '../app/day';
import { useOutbox } from '../changes/outbox';
import { useUndo } from '../changes/undo-stack';
import { withResult } from '../changes/with-result';

/** The day whose sheet is asked for by an address, YYYY-MM-DD; null for today's. */
export function asOfIn({ asOf }: LocationQuery): string | null {
  return typeof asOf === 'string' && /^\d{4}-\d\d-\d\d$/.test(asOf) ? asOf : null;
}

/** What the server's answer is held under. */
export const sheetKey = (playerId: string, asOf: string | null = null) => ['sheet', playerId, asOf] as const;

/** One player's locker, bags and plans, and everything that can be done to them. */
export const useSheet = defineStore('sheet', () => {
  const outbox = useOutbox();
  const wanted = shallowRef<{ playerId: string; asOf: string | null } | null>(null);
  const answer = useHeld<SheetView>(() => {
    if (!wanted.value) return null;
    const { playerId, asOf } = wanted.value;
    const path = `/players/${playerId}/sheet${asOf ? `?asOf=${asOf}` : ''}`;
    return {
      key: sheetKey(playerId, asOf),
      ask: () => outbox.readCurrent(() => request<SheetView>(path)),
    };
  });
  /** What the server said last, with what still waits to be sent done to it; a past day's as it was. */
  const sheet = computed(() => {
    const held = answer.value.value;
    if (!held) return null;
    return held.asOf === null ? withCommands('sheet', held, outbox.pending(held.player.id)) : held;
  });
  const conflicted = shallowRef<readonly { request: ChangeRequest; conflicts: readonly Conflict[] }[]>([]);
  /** Something new that waits for a reason, because its player wants nothing new now. */
  const asking = shallowRef<{ id: string; commands: readonly Command[]; freeze: Freeze } | null>(null);
  const undoStack = useUndo();
  /** A change is taken back on the pages of its player. */
  const entryOf = (id: string, owner: string) => ({ id, owner, scopes: [`player/${owner}` as const] });

  const clubs = computed(() => sheet.value?.clubs ?? []);
  const clubsById = computed(() => new Map(clubs.value.map((club) => [club.id, club])));
  const nameOf = (id: string): string => clubName(clubsById.value, id);
  /** Every club as the ladder knows it; one whose carry is not known at its modelled place. */
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
  /** Whether such a thing can be done to this sheet: it is today's, and the reader's to change. */
  const may = (name: CommandName): boolean => !isPast.value && mayDoHere(name);
  const isPast = computed(() => sheet.value?.asOf != null);

  /** Shows a player's sheet, or that of an earlier day: what is held of it at once, read again by `load`. */
  function open(playerId: string, asOf: string | null = null): void {
    wanted.value = { playerId, asOf };
  }

  async function load(playerId: string, asOf: string | null = null): Promise<void> {
    open(playerId, asOf);
    const reading = ahead?.key === hashKey(sheetKey(playerId, asOf)) ? ahead.reading : undefined;
    ahead = undefined;
    await reading;
    // What failed before signing in is read now.
    if (!reading || answer.value.value === undefined) await answer.again();
  }

  /** A sheet that is on its way before its page is there; `load` takes it, once. */
  let ahead: { key: string; reading: Promise<void> } | undefined;
  function readAhead(playerId: string, asOf: string | null): void {
    open(playerId, asOf);
    ahead = { key: hashKey(sheetKey(playerId, asOf)), reading: answer.again() };
  }

  /** Reads the sheet again because it was changed elsewhere; another day's does not change by that. */
  async function renew(): Promise<void> {
    if (wanted.value?.asOf === null) await answer.renew();
  }

  /** Does something: on the screen now, on the server as soon as it can. */
  function change(commands: readonly Command[], why = ''): string {
    const id = newId();
    const current = sheet.value;
    if (!current || commands.length === 0) return id;
    const freeze = why.trim() === '' && bringsNew(current, commands) ? freezeOf(current, today()) : undefined;
    if (freeze) {
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
    outbox.push({
      kind: 'change',
      playerId: current.player.id,
      request: { id, commands, ...(why && { why }) },
    });
    undoStack.note(entryOf(id, current.player.id));
  }

  outbox.onSent((sent) => {
    // An event that is changed takes its plans with it.
    const isAbout = (playerId: string) =>
      sent.outgoing.playerId === playerId ||
      ('result' in sent && sent.result.plans.some((plan) => plan.playerId === playerId));
    const current = sheet.value;
    if ('result' in sent) {
      const { result } = sent;
      reader.setQueriesData<SheetView>({ queryKey: ['sheet'] }, (held) =>
        held?.asOf === null && isAbout(held.player.id) ? withResult(held, result) : held,
      );
      if (current && isAbout(current.player.id)) keepCopy(`/players/${current.player.id}/sheet`);
      return undefined;
    }
    if (!current || !isAbout(current.player.id)) return undefined;
    const failedId = sent.outgoing.kind === 'change' ? sent.outgoing.request.id : sent.outgoing.id;
    undoStack.forget(failedId);
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
    const isNew =
      <T extends { id: string }>(known: readonly T[]) =>
      ({ id: one }: T) =>
        !known.some((row) => row.id === one);
    reader.setQueryData<SheetView>(
      sheetKey(id),
      (held) =>
        held && {
          ...held,
          planCount: page.total,
          plans: [...held.plans, ...page.rows.filter(isNew(held.plans))],
          bags: [...held.bags, ...page.bags.filter(isNew(held.bags))],
        },
    );
  }

  return {
    sheet,
    /** Whose sheet is shown, or on its way. */
    playerId: computed(() => wanted.value?.playerId),
    state: answer.state,
    conflicted,
    clubs,
    clubsById,
    nameOf,
    ladderClubs,
    skill,
    gamer,
    lastChangeId,
    may,
    isPast,
    open,
    load,
    readAhead,
    renew,
    loadOlderPlans,
    change,
    asking,
    answerFreeze,
    saveMine,
    keepTheirs,
    /** A change of the player shown was done elsewhere than through this store. */
    done: (id: string) => {
      if (sheet.value) undoStack.note(entryOf(id, sheet.value.player.id));
    },
    /** Takes one change of the player shown back. */
    undo: (id: string) => {
      if (sheet.value) undoStack.undo(entryOf(id, sheet.value.player.id));
    },
  };
});
