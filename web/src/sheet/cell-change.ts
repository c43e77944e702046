import { shotIn, type DistanceUnit, type Reading, type Shot } from '@tasche/core';
import {
  readCell,
  readShotCell,
  readingSchema,
  type CellValue,
  type ClubView,
  type Column,
  type Command,
  type ShotPart,
} from '@tasche/contract';

/** What typing a text into a cell comes to. */
type CellChange = { ok: true; commands: Command[] } | { ok: false; reason: string };

/** The change that a text in a cell stands for; an empty text takes the quantity back to "not known". */
export function cellChange(
  club: ClubView,
  column: Column,
  text: string,
  unit: DistanceUnit,
  takenOn: string,
): CellChange {
  const trimmed = text.trim();
  if (column.type === 'club') {
    if (trimmed === '') return { ok: false, reason: 'a club needs a name; delete it to be rid of it' };
    const read = readCell(column, trimmed, unit);
    if (!read.ok) return read;
    return {
      ok: true,
      commands:
        read.value === club[column.id as 'name'] ? [] : [edit(club, { set: { [column.id]: read.value } })],
    };
  }
  if (trimmed === '') return cleared(club, column, takenOn);
  if (column.type === 'quantity') {
    const read = readCell(column, trimmed, unit);
    if (!read.ok) return read;
    return {
      ok: true,
      commands:
        read.value === club.spec[column.id]?.value
          ? []
          : [edit(club, { readings: [{ key: column.id, value: read.value, takenOn }] })],
    };
  }
  const read = readShotCell(column, trimmed, unit);
  if (!read.ok) return read;
  const key = `shot.${column.shotKind}` as const;
  const standing = shotIn(club.spec, key);
  if (column.part === 'teeGainM' && club.kind === 'driver')
    return { ok: false, reason: 'a driver’s carry is one from a tee already' };
  const value = shotWith(standing, column.part, read.value);
  if (typeof value === 'string') return { ok: false, reason: value };
  const reading: Reading = {
    key,
    value,
    takenOn: column.part === 'takenOn' ? String(read.value.takenOn) : takenOn,
  };
  try {
    readingSchema.validateSync(reading, { strict: true });
  } catch (error) {
    return { ok: false, reason: (error as Error).message };
  }
  return { ok: true, commands: [edit(club, { readings: [reading] })] };
}

/**
 * A shot with one part typed in. A new carry is a new statement: the sample and the total of the old one do
 * not speak for it.
 * @returns the reason, where the part says nothing without a carry
 */
function shotWith(
  standing: Shot | undefined,
  part: ShotPart,
  typed: Partial<Record<ShotPart, CellValue>>,
): Shot | string {
  if (part === 'carryM') {
    const { apexM, descentDeg, teeGainM } = standing ?? {};
    return {
      ...(typed as Pick<Shot, 'carryM' | 'plusMinusM'>),
      ...(apexM !== undefined && { apexM }),
      ...(descentDeg !== undefined && { descentDeg }),
      ...(teeGainM !== undefined && { teeGainM }),
      source: 'stated',
    };
  }
  if (!standing) return 'give the carry first';
  if (part === 'takenOn') return standing;
  const measured = part === 'sampleSize' || part === 'spreadM' ? { source: 'measured' as const } : {};
  return { ...standing, ...measured, ...(typed as Partial<Shot>) };
}

function cleared(
  club: ClubView,
  column: Extract<Column, { type: 'quantity' | 'shot' }>,
  takenOn: string,
): CellChange {
  if (column.type === 'quantity') {
    return {
      ok: true,
      commands: club.spec[column.id]
        ? [edit(club, { readings: [{ key: column.id, value: null, takenOn }] })]
        : [],
    };
  }
  const key = `shot.${column.shotKind}` as const;
  const standing = shotIn(club.spec, key);
  if (!standing) return { ok: true, commands: [] };
  if (column.part === 'carryM')
    return { ok: true, commands: [edit(club, { readings: [{ key, value: null, takenOn }] })] };
  if (column.part === 'source' || column.part === 'takenOn')
    return { ok: false, reason: 'clear the carry to clear this' };
  const { [column.part]: _gone, ...rest } = standing;
  const source =
    column.part === 'sampleSize' && standing.source === 'measured' ? { source: 'stated' as const } : {};
  return {
    ok: true,
    commands: [edit(club, { readings: [{ key, value: { ...rest, ...source } as Shot, takenOn }] })],
  };
}

function edit(club: ClubView, what: Pick<Extract<Command, { do: 'editClub' }>, 'set' | 'readings'>): Command {
  return { do: 'editClub', clubId: club.id, version: club.version, ...what };
}
