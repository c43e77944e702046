import {
  counted,
  kindFromName,
  DEFAULT_GAP_SETTINGS,
  shownLoftKey,
  type ClubKind,
  type LoftKey,
} from '@tasche/core';
import {
  clubsOfSet,
  loftByName,
  missingOfSet,
  readTypedClub,
  TableError,
  type BagView,
  type Command,
} from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { useSessionStorage } from '@vueuse/core';
import { computed, ref, type ComputedRef } from 'vue';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import { useUndo } from '../changes/undo-stack';
import { cellChange } from './cell-change';
import { isLoftKey } from './pasted-table';
import type { SheetColumn } from './sheet-columns';
import { useSheet } from './sheet-store';
import { useNamesake } from './use-namesake';
import { usePaste, type PasteTarget } from './use-paste';

/**
 * Lofts written over others without saying which loft they are; taken as `key` by the change of that id,
 * null where some were taken otherwise.
 */
export interface LoftQuestion {
  changeId: string;
  key: LoftKey | null;
  lofts: readonly { clubId: string; name: string; deg: number; takenOn: string }[];
}

type TypedClub = Pick<NonNullable<ReturnType<typeof readTypedClub>>, 'name' | 'kind' | 'readings'>;

/**
 * Turns what is typed and pasted into the sheet into changes, and keeps what could not be taken where it was
 * typed.
 */
export function useSheetEditing(bag: ComputedRef<BagView | undefined>) {
  const store = useSheet();
  const settings = useSettings();
  // What was refused is kept in this tab, so that a reload loses nothing that was typed.
  const rejected = useSessionStorage(
    `tasche.refused/${store.sheet!.player.id}`,
    new Map<string, { text: string; reason: string }>(),
  );
  const undoStack = useUndo();
  /** A club whose name does not say what it is. */
  const kindWanted = ref<string | null>(null);
  const notice = ref('');
  const asked = ref<LoftQuestion | null>(null);
  /** Not asked any more once the change is taken back. */
  const loftQuestion = computed({
    get: () => (asked.value && undoStack.isDone(asked.value.changeId) ? asked.value : null),
    set: (question) => (asked.value = question),
  });

  const namesakes = useNamesake(bag);
  const unit = () => settings.unitFor(store.sheet!.player.distanceUnit);

  function write(clubId: string, column: SheetColumn, text: string): void {
    const club = store.clubsById.get(clubId);
    if (!club) return;
    const key = `${clubId} ${column.id}`;
    const change = cellChange(club, column.writes(club, text), text, unit(), today());
    if (change.ok) {
      rejected.value.delete(key);
      if (column.id === 'loft' && shownLoftKey(club.spec)) writeLofts(change.commands);
      else store.change(change.commands);
    } else rejected.value.set(key, { text, reason: change.reason });
  }

  /** Lofts written over others are taken as what they usually are, and asked about. */
  function writeLofts(commands: readonly Command[], why?: string): void {
    const lofts = commands.flatMap((command) => {
      if (command.do !== 'editClub') return [];
      const name = store.clubsById.get(command.clubId)?.name ?? '';
      return (command.readings ?? []).flatMap(({ key, value, takenOn }) =>
        isLoftKey(key) && typeof value === 'number'
          ? [{ clubId: command.clubId, name, deg: value, takenOn, key }]
          : [],
      );
    });
    const changeId = store.change(commands, why);
    const [first] = lofts;
    const key = lofts.every((one) => one.key === first?.key) ? (first?.key ?? null) : null;
    loftQuestion.value = first ? { changeId, key, lofts } : null;
  }

  /** They were something else: the change is taken back, and done as that. */
  function answerLofts(key: LoftKey): void {
    const question = loftQuestion.value;
    if (!question) return;
    store.undo(question.changeId);
    writeLofts(
      question.lofts.flatMap(({ clubId, deg, takenOn }): Command[] => {
        const club = store.clubsById.get(clubId);
        return club
          ? [{ do: 'editClub', clubId, version: club.version, readings: [{ key, value: deg, takenOn }] }]
          : [];
      }),
    );
  }

  /** "4-PW": every iron of the set that is not there yet, in one change. */
  function addSet(all: readonly string[]): void {
    const names = missingOfSet(all, store.clubs);
    const there = all.filter((name) => !names.includes(name));
    const leftOut: string[] = [];
    const commands = names.flatMap((name, i) => {
      const added = addCommands(newId(), name, kindFromName(name)!, [], i);
      if (added.isLeftOut) leftOut.push(name);
      return added.commands;
    });
    if (names.length > 0) store.change(commands, counted(names.length, 'club'));
    notice.value = [
      there.length > 0 ? `In the locker already, and not added again: ${there.join(', ')}.` : '',
      leftOut.length > 0 ? leftOutWords(leftOut) : '',
    ]
      .join(' ')
      .trim();
  }

  function addOne({ name, kind, readings }: TypedClub): void {
    const { commands, isLeftOut } = addCommands(newId(), name, kind, readings);
    if (isLeftOut) sayLeftOut([name]);
    const others = namesakes.clubsCalled(name);
    namesakes.added(name, store.change(commands), others, isLeftOut);
  }

  /** @param name what was typed as a new club; it may say more of it, or be a set */
  function add(name: string, kind: ClubKind | undefined = kindFromName(name)): void {
    const set = clubsOfSet(name);
    if (set) {
      addSet(set);
      return;
    }
    const typed = readTypedClub(name, { distanceUnit: unit(), takenOn: today() });
    if (typed) {
      kindWanted.value = null;
      addOne(typed);
      return;
    }
    if (!kind) {
      kindWanted.value = name;
      return;
    }
    kindWanted.value = null;
    const loft = loftByName(name, kind, [], today());
    addOne({ name, kind, readings: loft ? [loft] : [] });
  }

  const clubLimit = () => store.sheet!.player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit;
  const leftOutWords = (names: readonly string[]) =>
    `${bag.value!.name} holds ${counted(clubLimit(), 'club')}, the limit: ${names.join(', ')} went into the locker only.`;
  function sayLeftOut(names: readonly string[]): void {
    notice.value = leftOutWords(names);
  }

  /** A new club goes into the bag too, unless the bag is the gamer, or ready, and full. */
  const addCommands: PasteTarget['addCommands'] = (id, name, kind, readings, already = 0) => {
    const player = store.sheet!.player;
    const add: Command = { do: 'addClub', club: { id, playerId: player.id, name, kind }, readings };
    const into = bag.value;
    if (!into || (into.planId && !into.gamer)) return { commands: [add], isLeftOut: false };
    if ((into.gamer || into.ready) && into.clubIds.length + already >= clubLimit())
      return { commands: [add], isLeftOut: true };
    return { commands: [add, { do: 'putIn', bagId: into.id, clubId: id }], isLeftOut: false };
  };

  const pasted = usePaste({
    unit,
    refuse: (key, text, reason) => rejected.value.set(key, { text, reason }),
    addCommands,
    sayLeftOut,
    writeLofts,
  });

  /** Rows pasted into the sheet; a text that is not a table is reported. */
  function paste(...pasting: Parameters<typeof pasted.paste>): void {
    try {
      pasted.paste(...pasting);
    } catch (error) {
      if (!(error instanceof TableError)) throw error;
      notice.value = `That could not be read as a table: ${error.message}`;
    }
  }

  return { rejected, kindWanted, notice, loftQuestion, namesakes, write, answerLofts, add, paste, pasted };
}
