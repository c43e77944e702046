import type { ClubMatch, ClubView, StrikeImportReport } from '@tasche/contract';
import { shotIn } from '@tasche/core';

type Label = StrikeImportReport['labels'][number];

/**
 * A club of a file beside the sheet: what its shots carry on average, and what is recorded of the same
 * shot. Metres.
 */
interface CarriesBeside {
  fileM: number | null;
  sheetM: number | null;
  /** The file's over the sheet's. */
  share: number | null;
}

export function carriesBeside(
  { carryM }: Pick<Label, 'carryM'>,
  match: ClubMatch,
  clubsById: ReadonlyMap<string, ClubView>,
): CarriesBeside {
  const spec = match ? clubsById.get(match.clubId)?.spec : undefined;
  const sheetM = (match && spec && shotIn(spec, `shot.${match.shot}`)?.carryM) ?? null;
  // A report that was kept by an earlier version knows no carries.
  const fileM = carryM ?? null;
  return { fileM, sheetM, share: fileM !== null && sheetM !== null ? fileM / sheetM : null };
}

/**
 * Farther from the sheet than this over the middle of all clubs is looked at: a metre is 9 % more than a
 * yard. Our choice.
 */
const DOUBT_SHARE = 0.06;
const YARD_M = 0.9144;
const NEAR = 0.03;

/**
 * What the carries of a file as a whole say of their unit; undefined where they are much like the sheet's, or
 * nothing is known.
 */
export function unitDoubt(beside: readonly CarriesBeside[]): string | undefined {
  const shares = beside.flatMap(({ share }) => share ?? []).sort((a, b) => a - b);
  if (shares.length === 0) return undefined;
  const middle = shares[Math.floor((shares.length - 1) / 2)]!;
  if (Math.abs(middle - 1) < DOUBT_SHARE) return undefined;
  const percent = Math.round(Math.abs(middle - 1) * 100);
  const of = `The carries are ${percent} % ${middle > 1 ? 'over' : 'under'} the sheet’s`;
  if (Math.abs(middle * YARD_M - 1) < NEAR) return `${of}, as yards are that are read as metres.`;
  if (Math.abs(middle / YARD_M - 1) < NEAR) return `${of}, as metres are that are read as yards.`;
  return `${of}. Is their unit right?`;
}
