import type { ClubKind } from '../clubs/index.js';
import { JUDGED_FROM_CLUBS, type GapReport } from '../gaps/index.js';
import type { NoRemedies, Remedy } from '../rounds/index.js';
import { distanceNumber, formatDegrees, type DistanceUnit } from '../units/index.js';
import { listed } from './listed.js';
import { shotName } from './shot-words.js';

const A: Record<ClubKind, string> = {
  driver: 'a driver',
  fairway: 'a fairway wood',
  hybrid: 'a hybrid',
  'driving iron': 'a driving iron',
  iron: 'an iron',
  wedge: 'a wedge',
  chipper: 'a chipper',
  putter: 'a putter',
};

/** More clubs than these are counted, not named. */
const MAX_NAMED = 3;
/** "the 9 iron has", "the 8 iron and the PW have", "7 more clubs have". */
function clubsWords(names: readonly string[]): string {
  if (names.length > MAX_NAMED) return `${names.length} more clubs have`;
  return `${listed(names.map((name) => `the ${name}`))} ${names.length === 1 ? 'has' : 'have'}`;
}

/** "a wedge of 48.0°": a club the player does not own yet. @param loft as it is to stand there */
export function clubOfLoftWords(kind: ClubKind, loft: string): string {
  return `${A[kind]} of ${loft}`;
}

/** "Put the 48 in for the 5 hybrid": what is to be done. @param nameOf a club's, by its id */
export function remedyWords(
  { kind, outId, inId, learns, bends = [], buys, insteadOfId }: Remedy,
  nameOf: (clubId: string) => string,
  unit: DistanceUnit,
): string {
  const the = (id: string) => `the ${nameOf(id)}`;
  const said = (m: number) => `${distanceNumber(m, unit)} ${unit}`;
  const [first, second] = bends;
  switch (kind) {
    case 'learn a shot':
      return `Learn a ${shotName(learns!.shotKind, nameOf(learns!.clubId))} at ${said(learns!.carryM)}`;
    case 'turn a sleeve': {
      const { clubId, fromDeg, toDeg } = first!;
      const way = `${formatDegrees(Math.abs(toDeg - fromDeg))} ${toDeg > fromDeg ? 'weaker' : 'stronger'}`;
      return `Turn ${the(clubId)}’s sleeve ${way}, from ${formatDegrees(fromDeg)} to ${formatDegrees(toDeg)}, if it has one`;
    }
    case 'bend':
      return second
        ? `Bend ${the(first!.clubId)} to ${formatDegrees(first!.toDeg)} and ${the(second.clubId)} to ${formatDegrees(second.toDeg)}`
        : `Bend ${the(first!.clubId)} from ${formatDegrees(first!.fromDeg)} to ${formatDegrees(first!.toDeg)}`;
    case 'take out':
      return `Take ${the(outId!)} out`;
    case 'swap':
      return `Put ${the(inId!)} in${outId === undefined ? '' : ` for ${the(outId)}`}`;
    case 'buy': {
      const { loftDeg, shots, kind: bought } = buys!;
      const place = insteadOfId === undefined ? '' : `, for ${the(insteadOfId)}`;
      return `Buy ${clubOfLoftWords(bought, formatDegrees(loftDeg!))} (about ${said(shots.full!.carryM)})${place}`;
    }
  }
}

/** Why nothing is advised of a bag, and what to do about it. */
export function noRemediesWords(why: NoRemedies, { unplaced }: Pick<GapReport, 'unplaced'>): string {
  switch (why) {
    case 'mixed up':
      return 'Correct it in the sheet; advice is worked out then.';
    case 'few clubs':
      return `What would help is worked out once ${JUDGED_FROM_CLUBS} clubs have a carry or a loft.`;
    case 'a carry missing':
      return `What would help is worked out once ${clubsWords(unplaced.map(({ name }) => name))} a carry.`;
  }
}
