import {
  SHOT_KINDS,
  kindFromName,
  LOFT_KEYS,
  loftFromName,
  playingLoft,
  sameValue,
  usualLoftKey,
  type ClubKind,
  type DistanceUnit,
  type Reading,
  type Shot,
  type ShotKind,
  type Spec,
} from '@tasche/core';
import { readCell, type CellValue, readShotCell } from './cells.js';
import { clubsOfSet } from './club-set.js';
import { recogniseHead, type Column, type RecognisedColumn, type ShotPart } from './columns.js';
import { matchClub } from './match-club.js';
import { readingSchema } from './schemas.js';
import { lostOfSet, withSets } from './set-rows.js';
import type { ClubView } from './views.js';

/** A cell that could not be taken, in place. Rows and columns count from 0 in the pasted or read table. */
export interface RejectedCell {
  row: number;
  column: number;
  head: string;
  columnId?: Column['id'];
  text: string;
  reason: string;
  /** What would fix it: the kind of a club whose name does not say it. */
  asks?: 'kind';
}

/** One row of a table, read. */
export interface ClubRow {
  row: number;
  clubId?: string;
  name?: string;
  kind?: ClubKind;
  readings: readonly Reading[];
  /** Of a wedge that is called by its loft, where no cell gives one: a new club is stamped with it. */
  loftByName?: Reading;
  /** The day its readings without a date of their own were taken. */
  takenOn?: string;
  rejected: readonly RejectedCell[];
}

export interface ClubTable {
  rows: readonly ClubRow[];
  /** Heads that name no column of ours; their cells are left out, and said to be. */
  unknownColumns: readonly string[];
  /** The line of the text its first row stands in, from 1. */
  firstLine?: number;
  /** That of each row, where some stand in one. */
  lines?: readonly number[];
}

/** The line of the text a row stands in, from 1. */
export function lineOfRow(
  { firstLine, lines }: { firstLine: number; lines?: readonly number[] },
  row: number,
): number {
  return lines?.[row] ?? row + firstLine;
}

export interface TableOptions {
  distanceUnit: DistanceUnit;
  /** The day readings without a date of their own were taken. */
  takenOn: string;
}

/** The columns a first row names; undefined when it is not a row of heads. */
export function readHeads(cells: readonly string[]): (RecognisedColumn | undefined)[] | undefined {
  const columns = cells.map((cell) => (cell.trim() === '' ? undefined : recogniseHead(cell)));
  const known = columns.filter(Boolean).length;
  return known >= 2 || (known === 1 && columns.some((found) => found?.column.id === 'name'))
    ? columns
    : undefined;
}

/**
 * Reads a table of cells into club rows.
 * @param cells the rows without the heads
 * @param columns what each column is; undefined columns are left out
 */
export function readClubTable(
  cells: readonly (readonly string[])[],
  columns: readonly (RecognisedColumn | undefined)[],
  heads: readonly string[],
  options: TableOptions,
): ClubTable {
  const rows = cells.flatMap((line, row) =>
    line.every((cell) => cell.trim() === '') ? [] : [readRow(line, row, columns, heads, options)],
  );
  const unknownColumns = heads.filter((head, i) => head.trim() !== '' && !columns[i]);
  return { rows, unknownColumns };
}

/** What people write into a cell that has no value. */
export const SAYS_NOTHING = /^(n\/?a|[-–—.?]+|tbd|tba|unknown|nil)$/i;

/** Whether a column holds numbers, weights or days, and no words of its own. */
function holdsValue(column: Column): boolean {
  if (column.type === 'shot') return column.part !== 'conditions' && column.part !== 'source';
  return column.type === 'quantity' && column.quantity.type !== 'text' && column.quantity.type !== 'choice';
}

function readRow(
  line: readonly string[],
  row: number,
  columns: readonly (RecognisedColumn | undefined)[],
  heads: readonly string[],
  { distanceUnit, takenOn }: TableOptions,
): ClubRow {
  const club: { clubId?: string; name?: string; kind?: ClubKind } = {};
  const readings: Reading[] = [];
  const rejected: RejectedCell[] = [];
  const shots = new Map<ShotKind, { column: number; parts: Partial<Record<ShotPart, CellValue>> }>();
  line.forEach((text, index) => {
    const found = columns[index];
    if (!found || text.trim() === '') return;
    const { column, units } = found;
    if (SAYS_NOTHING.test(text.trim()) && holdsValue(column)) return;
    if (column.type === 'shot') {
      const parts = readShotCell(column, text, distanceUnit, units);
      if (parts.ok) {
        const shot = shots.get(column.shotKind) ?? { column: index, parts: {} };
        Object.assign(shot.parts, parts.value);
        shots.set(column.shotKind, shot);
      } else reject(parts.reason);
      return;
    }
    const read = readCell(column, text, distanceUnit, units);
    if (!read.ok) reject(read.reason);
    else if (column.type === 'club') Object.assign(club, { [column.id]: read.value });
    else readings.push({ key: column.id, value: read.value, takenOn });

    function reject(reason: string): void {
      rejected.push({
        row,
        column: index,
        head: heads[index] ?? column.label,
        columnId: column.id,
        text,
        reason,
      });
    }
  });
  for (const shotKind of SHOT_KINDS) {
    const shot = shots.get(shotKind);
    if (!shot || Object.keys(shot.parts).every((part) => part === 'source' || part === 'takenOn')) continue;
    const reading = shotReading(shotKind, shot.parts, takenOn);
    const reason = 'reason' in reading ? reading.reason : complaint(reading);
    if (reason !== undefined) {
      const rejectedAlready = rejected.some((cell) => cell.columnId === `shot.${shotKind}.carryM`);
      if (!rejectedAlready) {
        rejected.push({
          row,
          column: shot.column,
          head: heads[shot.column] ?? shotKind,
          columnId: `shot.${shotKind}.carryM`,
          text: line[shot.column] ?? '',
          reason,
        });
      }
    } else readings.push(reading as Reading);
  }
  const kind = club.kind ?? (club.name === undefined ? undefined : kindFromName(club.name));
  const loft = loftByName(club.name, kind, readings, takenOn);
  return {
    row,
    takenOn,
    ...club,
    ...(kind && { kind }),
    readings,
    ...(loft && { loftByName: loft }),
    rejected,
  };
}

/** The loft a new club is called by, as a reading; undefined where it has another or its name says none. */
export function loftByName(
  name: string | undefined,
  kind: ClubKind | undefined,
  readings: readonly Reading[],
  takenOn: string,
): Reading | undefined {
  const deg = name === undefined || kind === undefined ? undefined : loftFromName(name, kind);
  return deg === undefined || readings.some(({ key }) => LOFT_KEYS.some((loft) => loft === key))
    ? undefined
    : { key: 'loftStampedDeg', value: deg, takenOn };
}

function shotReading(
  shotKind: ShotKind,
  parts: Partial<Record<ShotPart, CellValue>>,
  today: string,
): Reading | { reason: string } {
  const { takenOn, ...shotParts } = parts;
  if (shotParts.carryM === undefined) return { reason: `a ${shotKind} shot needs its carry` };
  const source = shotParts.source ?? (shotParts.sampleSize === undefined ? 'stated' : 'measured');
  return {
    key: `shot.${shotKind}`,
    value: { ...shotParts, source } as unknown as Shot,
    takenOn: (takenOn as string | undefined) ?? today,
  };
}

function complaint(reading: Reading): string | undefined {
  try {
    readingSchema.validateSync(reading, { strict: true });
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
}

/** What a table would do to a locker: nothing is done yet. */
export interface ImportPlan {
  adds: readonly { row: number; name: string; kind: ClubKind; readings: readonly Reading[] }[];
  edits: readonly { row: number; club: ClubView; readings: readonly ReadingChange[] }[];
  /** Rows that say what the locker says. */
  same: readonly { row: number; club: ClubView }[];
  rejected: readonly RejectedCell[];
  unknownColumns: readonly string[];
  /** The line of the file the first row stands in, from 1. */
  firstLine: number;
  /** That of each row, where some stand in one. */
  lines?: readonly number[];
}

export interface ReadingChange extends Reading {
  before: Reading['value'];
}

/**
 * Sets a table beside a locker: which rows are new clubs, which change one, which say nothing new, which
 * cannot be taken.
 * @param looseLofts the table's lofts do not say which: of a club that has one they are what a typed one
 * would be
 */
export function planImport(
  table: ClubTable,
  clubs: readonly ClubView[],
  { looseLofts = false }: { looseLofts?: boolean } = {},
): ImportPlan {
  const adds: ImportPlan['adds'][number][] = [];
  const edits: ImportPlan['edits'][number][] = [];
  const same: ImportPlan['same'][number][] = [];
  const rejected: RejectedCell[] = [];
  const sets: ClubRow[] = [];
  const seen = new Set<string>();
  for (const row of table.rows) {
    rejected.push(...row.rejected);
    const refuse = (reason: string, asks?: 'kind') =>
      rejected.push({
        row: row.row,
        column: 0,
        head: 'club',
        text: row.name ?? '',
        reason,
        ...(asks && { asks }),
      });
    const match = matchClub(row, clubs);
    if ('reason' in match) {
      refuse(match.reason);
    } else if (match.club) {
      if (seen.has(match.club.id)) {
        refuse(`a second row for ${match.club.name}`);
        continue;
      }
      seen.add(match.club.id);
      const { spec } = match.club;
      const readings = looseLofts ? row.readings.flatMap((one) => loftAsShown(spec, one)) : row.readings;
      const changes = changesTo(spec, readings);
      if (changes.length > 0) edits.push({ row: row.row, club: match.club, readings: changes });
      else same.push({ row: row.row, club: match.club });
    } else if (row.name === undefined) {
      if (row.rejected.length === 0) refuse('the row names no club');
    } else if (row.clubId === undefined && clubsOfSet(row.name)) {
      // A file of ours names one club by its id, whatever it is called.
      sets.push(row);
      const lost = lostOfSet(row, clubs);
      if (lost) refuse(lost);
    } else if (!row.kind) {
      refuse(`what kind of club is "${row.name}"?`, 'kind');
    } else {
      const { name, kind, readings } = row;
      adds.push({
        row: row.row,
        name,
        kind,
        readings: row.loftByName ? [...readings, row.loftByName] : readings,
      });
    }
  }
  return {
    adds: withSets(adds, sets, clubs),
    edits,
    same,
    rejected,
    unknownColumns: table.unknownColumns,
    firstLine: table.firstLine ?? 2,
    ...(table.lines && { lines: table.lines }),
  };
}

/** A loft that is the one shown says nothing; another is what it would be if it were typed. */
function loftAsShown(spec: Spec, reading: Reading): Reading[] {
  const shown = playingLoft(spec);
  if (reading.key !== 'loftStampedDeg' || typeof reading.value !== 'number' || !shown) return [reading];
  return reading.value === shown.deg ? [] : [{ ...reading, key: usualLoftKey(spec, reading.value) }];
}

/** The readings that say something the spec does not. */
function changesTo(spec: Spec, readings: readonly Reading[]): ReadingChange[] {
  return readings
    .filter((reading) => !sameValue(reading.value, spec[reading.key]?.value))
    .map((reading) => ({ ...reading, before: spec[reading.key]?.value ?? null }));
}
