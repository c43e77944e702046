import {
  columnOf,
  findClubLines,
  findHeads,
  headUnits,
  ofPlayer,
  splitTable,
  type ClubView,
  type Column,
  type Command,
  type RecognisedColumn,
} from '@tasche/contract';
import { shownLoftKey, type ClubKind, type DistanceUnit } from '@tasche/core';
import { StorageSerializers, useSessionStorage } from '@vueuse/core';
import { v4 as newId } from 'uuid';
import { today } from '../app/day';
import { isLoftKey, planOf, withHeads, withoutHeads, type PastedTable } from './pasted-table';
import type { SheetColumn } from './sheet-columns';
import { useSheet } from './sheet-store';

/** A row for which no club could be made or found, with what is wrong with it. */
export interface LeftRow {
  line: number;
  reasons: readonly string[];
  /** One for each head. */
  cells: readonly string[];
  /** The name does not say what kind of club it is. */
  asksKind: boolean;
  /** The kind that was chosen. */
  kind: ClubKind | null;
}

/** A column with an unknown header, and what it says of each club. */
export interface LeftColumn {
  head: string;
  cells: readonly { clubId: string; text: string }[];
}

/** What a paste or a file did, and what of it is still to be fixed. It outlives a reload. */
export interface PasteReport {
  /** The file it came from; empty where it was pasted. */
  from: string;
  /** Of distances that name no unit. */
  unit: DistanceUnit;
  added: number;
  changed: number;
  same: number;
  /** Cells that are marked in the sheet. */
  inPlace: number;
  heads: readonly string[];
  looseLofts: boolean;
  /** What the columns are, as far as they are known. */
  columns: readonly ({ id: Column['id']; units: RecognisedColumn['units'] } | null)[];
  rows: readonly LeftRow[];
  unknown: readonly LeftColumn[];
  /** What was said around the clubs, and left out. */
  remarks?: readonly string[];
}

export interface PasteTarget {
  unit: () => DistanceUnit;
  /** Marks a cell of the sheet with what was written and why it was refused. */
  refuse: (key: string, text: string, reason: string) => void;
  /** The commands that add a club, and whether it goes into the bag beside so many that go there too. */
  addCommands: (
    id: string,
    name: string,
    kind: ClubKind,
    readings: Extract<Command, { do: 'addClub' }>['readings'],
    already?: number,
  ) => { commands: Command[]; isLeftOut: boolean };
  /** Says that the bag had no place for these. */
  sayLeftOut: (names: readonly string[]) => void;
  writeLofts: (commands: readonly Command[], why?: string) => void;
}

/** Takes rows of clubs into the sheet, and keeps what could not be taken until it is fixed or let go. */
export function usePaste({ unit, refuse, addCommands, sayLeftOut, writeLofts }: PasteTarget) {
  const store = useSheet();
  /** The newest first; those before it for as long as something of them is to be fixed. */
  const reports = useSessionStorage<readonly PasteReport[]>(`tasche.trays/${store.sheet!.player.id}`, [], {
    serializer: StorageSerializers.object,
    shallow: true,
  });
  const add = (report: PasteReport): void => {
    reports.value = [report, ...reports.value.filter(hasLeft)];
  };
  const replace = (before: PasteReport, after: PasteReport): void => {
    reports.value = reports.value.map((one) => (one === before ? after : one));
  };
  const close = (report: PasteReport): void => {
    reports.value = reports.value.filter((one) => one !== report);
  };

  /**
   * Rows with heads fill the columns they name; rows without fill the sheet from the active cell on.
   * @throws TableError where the text is no table, or one of other players
   */
  function paste(
    text: string,
    row: number,
    column: number,
    clubs: readonly ClubView[],
    columns: readonly SheetColumn[],
    why = 'pasted from a spreadsheet',
  ): void {
    const cells = splitTable(text);
    // Numbers pasted over lofts or carries may look like clubs too.
    const isAtNames = columns[column]?.id === 'name';
    const headed = findHeads(cells) ?? (isAtNames ? findClubLines(cells) : undefined);
    const table = headed
      ? withHeads(ofPlayer(headed, store.sheet!.player.name))
      : withoutHeads(cells, row, column, clubs, columns);
    add(take(table, '', unit(), why));
  }

  /** A table of a file that was looked at before. */
  function takeFile(table: PastedTable, from: string, distanceUnit: DistanceUnit): void {
    add(take(table, from, distanceUnit, `from ${from}`));
  }

  function take(table: PastedTable, from: string, distanceUnit: DistanceUnit, why: string): PasteReport {
    const plan = planOf(table, store.clubs, { distanceUnit, takenOn: today() });
    const clubOfRow = new Map<number, string>();
    const commands: Command[] = [];
    const lofts: Command[] = [];
    const leftOut: string[] = [];
    let into = 0;
    const mayAdd = store.may('addClub');
    const adds = mayAdd ? plan.adds : [];
    for (const { row, name, kind, readings } of adds) {
      const id = newId();
      clubOfRow.set(row, id);
      const added = addCommands(id, name, kind, readings, into);
      if (added.isLeftOut) leftOut.push(name);
      into += added.commands.length - 1;
      commands.push(...added.commands);
    }
    for (const { row, club, readings } of plan.edits) {
      clubOfRow.set(row, club.id);
      const isLoose = ({ key }: (typeof readings)[number]) =>
        table.looseLofts && isLoftKey(key) && shownLoftKey(club.spec) !== undefined;
      for (const [list, some] of [
        [commands, readings.filter((one) => !isLoose(one))],
        [lofts, readings.filter(isLoose)],
      ] as const)
        if (some.length > 0)
          list.push({
            do: 'editClub',
            clubId: club.id,
            version: club.version,
            readings: some.map(({ key, value, takenOn }) => ({ key, value, takenOn })),
          });
    }
    plan.same.forEach(({ row, club }) => clubOfRow.set(row, club.id));
    store.change(commands, why);
    if (leftOut.length > 0) sayLeftOut(leftOut);
    if (lofts.length > 0) writeLofts(lofts, why);

    const left = new Map<number, LeftRow>();
    let inPlace = 0;
    const notAdded = (mayAdd ? [] : plan.adds).map(({ row, name }) => ({
      row,
      columnId: undefined,
      head: 'club',
      text: name,
      asks: undefined,
      reason: `${name} is not in the locker, and adding clubs is for a rep or the player`,
    }));
    for (const { row, columnId, head, text, reason, asks } of [...plan.rejected, ...notAdded]) {
      const clubId = clubOfRow.get(row);
      if (clubId && columnId) {
        refuse(`${clubId} ${columnId}`, text, reason);
        if (isLoftKey(columnId)) refuse(`${clubId} loft`, text, reason);
        inPlace += 1;
        continue;
      }
      const { cells, line } = table.rows[row]!;
      const { reasons = [], asksKind = false } = left.get(row) ?? {};
      left.set(row, {
        line,
        kind: null,
        cells: table.heads.map((_head, i) => cells[i] ?? ''),
        reasons: [...reasons, head === 'club' ? reason : `${head}: ${reason}`],
        asksKind: asksKind || asks === 'kind',
      });
    }
    return {
      from,
      unit: distanceUnit,
      added: adds.length,
      changed: plan.edits.length,
      same: plan.same.length,
      inPlace,
      heads: table.heads,
      looseLofts: table.looseLofts,
      columns: table.columns.map((found) => (found ? { id: found.column.id, units: found.units } : null)),
      rows: [...left.values()],
      unknown: unknownOf(table, clubOfRow),
      remarks: table.remarks ?? [],
    };
  }

  /** What is being fixed, kept with every letter. */
  function edit(report: PasteReport, rows: readonly LeftRow[]): void {
    replace(report, { ...report, rows });
  }

  /** Takes rows that were refused, as they are fixed now; what is still refused stays. */
  function fix(before: PasteReport): void {
    const columns = before.columns.map((one) => one && { column: columnOf(one.id)!, units: one.units });
    const kindAt = before.columns.findIndex((one) => one?.id === 'kind');
    const at = kindAt === -1 ? before.heads.length : kindAt;
    const withKind = <T>(list: readonly T[], value: T) => Object.assign([...list], { [at]: value });
    const table: PastedTable = {
      heads: withKind(before.heads, before.heads[at] ?? 'kind'),
      columns: withKind(
        columns.map((one) => one ?? undefined),
        { column: columnOf('kind')!, units: {} },
      ),
      rows: before.rows.map(({ cells, line, kind }) => ({
        line,
        cells: withKind(cells, kind ?? cells[at] ?? ''),
      })),
      looseLofts: before.looseLofts,
    };
    const after = take(table, before.from, before.unit, 'fixed after a paste');
    replace(before, {
      ...after,
      added: before.added + after.added,
      changed: before.changed + after.changed,
      same: before.same + after.same,
      inPlace: before.inPlace + after.inPlace,
      unknown: joined(before.unknown, after.unknown),
    });
  }

  /** Sets what an unknown column is, and imports its values. */
  function takeColumn(before: PasteReport, head: string, id: string): void {
    const column = columnOf(id);
    const left = before.unknown.find((one) => one.head === head);
    if (!left || !column) return;
    const after = take(
      {
        heads: ['club id', head],
        columns: [
          { column: columnOf('clubId')!, units: {} },
          { column, units: headUnits(head) },
        ],
        rows: left.cells.map(({ clubId, text }, i) => ({ cells: [clubId, text], line: i + 1 })),
        looseLofts: false,
      },
      before.from,
      before.unit,
      `pasted as ${column.label}`,
    );
    replace(before, {
      ...before,
      columns: before.columns.map((one, i) =>
        before.heads[i] === head ? { id: column.id, units: headUnits(head) } : one,
      ),
      changed: before.changed + after.changed,
      inPlace: before.inPlace + after.inPlace,
      unknown: before.unknown.filter((one) => one !== left),
    });
  }

  return { reports, paste, takeFile, edit, fix, takeColumn, close };
}

function hasLeft({ rows, unknown }: PasteReport): boolean {
  return rows.length > 0 || unknown.some(({ cells }) => cells.length > 0);
}

function unknownOf(
  { heads, columns, rows }: PastedTable,
  clubOfRow: ReadonlyMap<number, string>,
): LeftColumn[] {
  return heads.flatMap((head, column) => {
    if (head.trim() === '' || columns[column]) return [];
    const cells = rows.flatMap((row, i) => {
      const [clubId, text] = [clubOfRow.get(i), row.cells[column]?.trim() ?? ''];
      return clubId && text !== '' ? [{ clubId, text }] : [];
    });
    return [{ head, cells }];
  });
}

function joined(before: readonly LeftColumn[], after: readonly LeftColumn[]): LeftColumn[] {
  return before.map(({ head, cells }) => ({
    head,
    cells: [...cells, ...(after.find((one) => one.head === head)?.cells ?? [])],
  }));
}
