import {
  counted,
  kindFromName,
  DEFAULT_GAP_SETTINGS,
  LOFT_KEYS,
  shownLoftKey,
  type ClubKind,
  type LoftKey,
} from '@tasche/core';
import {
  columnOf,
  planImport,
  readClubTable,
  readHeads,
  splitTable,
  type BagView,
  type ClubView,
  type Command,
  type RecognisedColumn,
  type RejectedCell,
} from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { StorageSerializers, useSessionStorage } from '@vueuse/core';
import { computed, ref, type ComputedRef } from 'vue';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import { useUndo } from '../changes/undo-stack';
import { cellChange } from './cell-change';
import type { SheetColumn } from './sheet-columns';
import { useSheet } from './sheet-store';

/** What a paste did, and what it could not take. */
export interface PasteReport {
  added: number;
  changed: number;
  same: number;
  unknownColumns: readonly string[];
  /** Rows that stand in no club's row on screen. */
  left: readonly { row: number; reason: string }[];
  inPlace: number;
}

/**
 * Lofts somebody wrote over others without saying what they are; taken as `key` by the change of that id,
 * null where some were taken otherwise.
 */
export interface LoftQuestion {
  changeId: string;
  key: LoftKey | null;
  lofts: readonly { clubId: string; name: string; deg: number; takenOn: string }[];
}

/** Turns what is typed and pasted into the sheet into changes, and keeps what could not be taken where it was typed. */
export function useSheetEditing(bag: ComputedRef<BagView | undefined>) {
  const store = useSheet();
  const settings = useSettings();
  // What was refused is kept in this tab, so that a reload loses nothing that was typed.
  const kept = (what: string) => `tasche.${what}/${store.sheet!.player.id}`;
  const rejected = useSessionStorage(kept('refused'), new Map<string, { text: string; reason: string }>());
  const pasteReport = useSessionStorage<PasteReport | null>(kept('pasted'), null, {
    serializer: StorageSerializers.object,
    shallow: true,
  });
  /** A club whose name does not say what it is. */
  const undoStack = useUndo();
  const kindWanted = ref<string | null>(null);
  const notice = ref('');
  const asked = ref<LoftQuestion | null>(null);
  /** Not asked any more once the change is taken back. */
  const loftQuestion = computed({
    get: () => (asked.value && undoStack.isDone(asked.value.changeId) ? asked.value : null),
    set: (question) => (asked.value = question),
  });

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

  function add(name: string, kind: ClubKind | undefined = kindFromName(name)): void {
    if (!kind) {
      kindWanted.value = name;
      return;
    }
    kindWanted.value = null;
    store.change(addCommands(newId(), name, kind, []));
  }

  /** A new club goes into the bag too, unless the bag is the gamer, or ready, and full. */
  function addCommands(
    id: string,
    name: string,
    kind: ClubKind,
    readings: readonly Extract<Command, { do: 'addClub' }>['readings'][number][],
    already = 0,
  ): Command[] {
    const player = store.sheet!.player;
    const commands: Command[] = [{ do: 'addClub', club: { id, playerId: player.id, name, kind }, readings }];
    const into = bag.value;
    if (!into || (into.planId && !into.gamer)) return commands;
    const limit = player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit;
    if ((into.gamer || into.ready) && into.clubIds.length + already >= limit) {
      notice.value = `${into.name} holds ${counted(limit, 'club')}, the limit: ${name} went into the locker only.`;
      return commands;
    }
    return [...commands, { do: 'putIn', bagId: into.id, clubId: id }];
  }

  /** Rows with heads fill the columns they name; rows without fill the sheet from the active cell on. */
  function paste(
    text: string,
    row: number,
    column: number,
    rows: readonly ClubView[],
    columns: readonly SheetColumn[],
    why = 'pasted from a spreadsheet',
  ): void {
    const cells = splitTable(text);
    const heads = readHeads(cells[0] ?? []);
    const options = { distanceUnit: unit(), takenOn: today() };
    const table = heads
      ? readClubTable(cells.slice(1), heads, cells[0]!, options)
      : readClubTable(...withoutHeads(cells, row, column, rows, columns), options);
    const looseLofts = !heads || namesLoftOnly(cells[0]!, heads);
    const plan = planImport(table, store.clubs, { looseLofts });
    const clubOfRow = new Map<number, string>();
    const commands: Command[] = [];
    const lofts: Command[] = [];
    let into = 0;
    for (const { row: at, name, kind, readings } of plan.adds) {
      const id = newId();
      clubOfRow.set(at, id);
      const added = addCommands(id, name, kind, readings, into);
      into += added.length - 1;
      commands.push(...added);
    }
    for (const { row: at, club, readings } of plan.edits) {
      clubOfRow.set(at, club.id);
      const isLoose = ({ key }: (typeof readings)[number]) =>
        looseLofts && isLoftKey(key) && shownLoftKey(club.spec) !== undefined;
      for (const [into, some] of [
        [commands, readings.filter((one) => !isLoose(one))],
        [lofts, readings.filter(isLoose)],
      ] as const)
        if (some.length > 0)
          into.push({
            do: 'editClub',
            clubId: club.id,
            version: club.version,
            readings: some.map(({ key, value, takenOn }) => ({ key, value, takenOn })),
          });
    }
    plan.same.forEach(({ row: at, club }) => clubOfRow.set(at, club.id));
    store.change(commands, why);
    if (lofts.length > 0) writeLofts(lofts, why);
    const left: { row: number; reason: string }[] = [];
    let inPlace = 0;
    for (const cell of plan.rejected) {
      if (markInPlace(cell, clubOfRow.get(cell.row))) inPlace += 1;
      else left.push({ row: cell.row + (heads ? 2 : 1), reason: `${cell.head}: ${cell.reason}` });
    }
    pasteReport.value = {
      added: plan.adds.length,
      changed: plan.edits.length,
      same: plan.same.length,
      unknownColumns: plan.unknownColumns,
      left,
      inPlace,
    };
  }

  function markInPlace(cell: RejectedCell, clubId: string | undefined): boolean {
    if (!clubId || !cell.columnId) return false;
    const club = store.clubsById.get(clubId);
    const loftCell =
      club && (cell.columnId === 'loftStampedDeg' || cell.columnId === 'loftSetDeg')
        ? [`${clubId} loft`]
        : [];
    for (const key of [`${clubId} ${cell.columnId}`, ...loftCell])
      rejected.value.set(key, { text: cell.text, reason: cell.reason });
    return true;
  }

  return { rejected, pasteReport, kindWanted, notice, loftQuestion, write, answerLofts, add, paste };
}

function isLoftKey(key: string): key is LoftKey {
  return (LOFT_KEYS as readonly string[]).includes(key);
}

/** Whether a table has one column of lofts, which does not say what they are. */
function namesLoftOnly(names: readonly string[], heads: readonly (RecognisedColumn | undefined)[]): boolean {
  const lofts = heads.flatMap((head, i) => (head && isLoftKey(head.column.id) ? [names[i]!] : []));
  return lofts.length === 1 && /^lofts?\b(?!.*stamp)/i.test(lofts[0]!.trim());
}

type TableArguments = [string[][], (RecognisedColumn | undefined)[], string[]];

/** Lines up bare cells with the columns on screen; rows that name no club belong to the clubs they were pasted over. */
function withoutHeads(
  cells: string[][],
  row: number,
  column: number,
  rows: readonly ClubView[],
  columns: readonly SheetColumn[],
): TableArguments {
  const shown = columns.slice(column);
  const club = rows[row] ?? rows[0];
  const pasted = shown.map((one): RecognisedColumn | undefined => {
    const written =
      one.id === 'loft' ? columnOf('loftStampedDeg') : club ? one.writes(club, '') : columnOf(one.id);
    return written && { column: written, units: {} };
  });
  const heads = shown.map((one) => one.head);
  if (pasted[0]?.column.id === 'name') return [cells, pasted, heads];
  const target = cells.map((line, i) => [rows[row + i]?.id ?? '', ...line]).filter((line) => line[0] !== '');
  return [target, [{ column: columnOf('clubId')!, units: {} }, ...pasted], ['club', ...heads]];
}
