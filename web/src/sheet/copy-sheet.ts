import { guarded, type ClubView } from '@tasche/contract';
import { changeSince, distanceNumber, playingLoft, shotIn, type DistanceUnit } from '@tasche/core';
import { editText, showCell, type SheetColumn } from './sheet-columns';

/** What would part cells or rows of a spreadsheet is a blank, and what begins like a formula is text, as in our CSV. */
const inOneCell = (text: string) => guarded(text.replace(/\s+/g, ' ').trim());

/** The clubs and columns of a sheet as rows for a spreadsheet, under their heads; numbers in the reader's unit. */
export function sheetTable(
  clubs: readonly ClubView[],
  columns: readonly SheetColumn[],
  unit: DistanceUnit,
): string {
  const textOf = (club: ClubView, column: SheetColumn) =>
    column.id === 'shot.full.source' ? showCell(club, column, unit).text : editText(club, column, unit);
  return [
    columns.map(({ head }) => head),
    ...clubs.map((club) => columns.map((column) => textOf(club, column))),
  ]
    .map((row) => row.map(inOneCell).join('\t'))
    .join('\n');
}

/**
 * A bag as people write it in a message, a club a line: "7 iron 32° 165 yd". A carry that was worked out, or is from
 * before the club was bent or rebuilt, has "~" before it, about. Pasted into a sheet, every club has its loft and
 * carry again; the carry counts as stated there, whatever it rested on.
 */
export function bagMessage(clubs: readonly ClubView[], unit: DistanceUnit): string {
  const lineOf = ({ name, spec }: ClubView) => {
    const loft = playingLoft(spec);
    const shot = shotIn(spec, 'shot.full');
    const about = shot?.source === 'modelled' || changeSince(spec, 'shot.full') ? '~' : '';
    return [name, loft && `${loft.deg}°`, shot && `${about}${distanceNumber(shot.carryM, unit)} ${unit}`]
      .filter(Boolean)
      .join(' ');
  };
  return clubs.map(lineOf).join('\n');
}
