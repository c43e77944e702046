import { SHUT_DEG_PER_SLEEVE_DEG } from '../carry/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { textIn, type Spec } from '../spec/index.js';

/**
 * One position of an adjustable sleeve, against the one called standard: degrees, loft and lie up positive,
 * face shut positive.
 */
export interface SleevePosition {
  name: string;
  loftDeg: number;
  lieDeg: number;
  faceShutDeg: number;
}

const MAX_POSITIONS = 16;
const MAX_DEG = 4;

/** Of a head whose sleeve is not recorded. Our choice; the maker's table goes before it. */
export const GENERIC_SLEEVE: readonly SleevePosition[] = [
  position('-1', -1),
  position('standard', 0),
  position('+1', 1),
];

function position(
  name: string,
  loftDeg: number,
  lieDeg = 0,
  faceShutDeg = loftDeg * SHUT_DEG_PER_SLEEVE_DEG,
) {
  return { name, loftDeg, lieDeg, faceShutDeg };
}

const SHAPE = '"A1 0, B1 +1, C2 -0.75 lie +0.5 face -1"';

/**
 * Reads a head's sleeve as people write it: positions between commas or semicolons, each with what it does to
 * the loft, and where it is known to the lie (up positive) and the face (shut positive). `A1 0, B1 +1, C2
 * -0.75 lie +0.5`.
 * @throws InvalidInputError naming the position that cannot be read
 */
export function readSleeve(text: string): SleevePosition[] {
  const parts = text
    .split(/[;,](?!\d)|\n/)
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length > MAX_POSITIONS)
    throw new InvalidInputError('sleevePositions', `holds more than ${MAX_POSITIONS} positions`);
  return parts.map((part) => {
    const number = '([+-]?\\d+(?:[.,]\\d+)?)°?';
    const match = new RegExp(
      `^(.{1,20}?)[ :=]+${number}(?: *lie *${number})?(?: *face *${number})?$`,
      'i',
    ).exec(part.replace(/\u2212/g, '-'));
    const [loftDeg, lieDeg, faceDeg] = (match?.slice(2) ?? []).map((one) =>
      one === undefined ? undefined : Number(one.replace(',', '.')),
    );
    if (loftDeg === undefined)
      throw new InvalidInputError(
        'sleevePositions',
        `cannot read "${part.slice(0, 40)}"; write it like ${SHAPE}`,
      );
    if ([loftDeg, lieDeg ?? 0, faceDeg ?? 0].some((deg) => Math.abs(deg) > MAX_DEG))
      throw new InvalidInputError('sleevePositions', `"${part.slice(0, 40)}" is more than ${MAX_DEG}°`);
    return position(match![1]!.trim(), loftDeg, lieDeg, faceDeg);
  });
}

/** A sleeve and where it stands. */
interface Sleeve {
  positions: readonly SleevePosition[];
  /** The position it is in; undefined where the written setting is none of them. */
  now?: SleevePosition;
  /** This head's own positions are not recorded. */
  generic: boolean;
}

/**
 * A club's sleeve: its own where it is recorded and can be read, the generic one where only a setting is,
 * none where neither is.
 */
export function sleeveOf(spec: Spec): Sleeve | undefined {
  const setting = textIn(spec, 'setting')?.trim();
  const written = textIn(spec, 'sleevePositions');
  if (written === undefined && setting === undefined) return undefined;
  let positions: readonly SleevePosition[] = GENERIC_SLEEVE;
  let generic = true;
  if (written !== undefined) {
    try {
      positions = readSleeve(written);
      generic = false;
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
    }
  }
  const now = positions.find(({ name }) => name.toLowerCase() === setting?.toLowerCase());
  const standing = now ?? (generic ? positions.find(({ loftDeg }) => loftDeg === 0) : undefined);
  return { positions, generic, ...(standing && { now: standing }) };
}
