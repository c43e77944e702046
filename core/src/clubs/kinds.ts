import { clubWordsInEnglish } from './club-words.js';

/** What a club is. A driving iron is kept apart from an iron because it competes with hybrids for a slot. */
export type ClubKind =
  'driver' | 'fairway' | 'hybrid' | 'driving iron' | 'iron' | 'wedge' | 'chipper' | 'putter';

export const CLUB_KINDS: readonly ClubKind[] = [
  'driver',
  'fairway',
  'hybrid',
  'driving iron',
  'iron',
  'wedge',
  'chipper',
  'putter',
];

/**
 * Set wedges are often sold as irons; from this loft on an iron does a wedge's work. Common practice, no
 * source.
 */
const SET_WEDGE_FROM_DEG = 42;

/** A wedge, or the set wedge of an iron set. */
export function isWedge(club: { kind: ClubKind; loftDeg?: number | undefined }): boolean {
  return club.kind === 'wedge' || (club.kind === 'iron' && (club.loftDeg ?? 0) >= SET_WEDGE_FROM_DEG);
}

/** Clubs that make a full swing and so hang on the ladder. */
export function isFullSwing(kind: ClubKind): boolean {
  return kind !== 'putter' && kind !== 'chipper';
}

const KIND_PATTERNS: readonly [RegExp, ClubKind][] = [
  [/putt|^pt$/i, 'putter'],
  [/chip/i, 'chipper'],
  [/^(driver|drv?r?|d|1 ?-?w(ood)?)$/i, 'driver'],
  [/driv(ing|e)?\.?[ -]?iron|drv[ -]?iron|^di ?\d*$|^\d ?di$|^ut(ility)?[ -]?iron/i, 'driving iron'],
  [/hy|rescue|^\d ?-?h$|^h ?\d+$/i, 'hybrid'],
  [/wood|holz|fairway|\bfwy\b|^\d+ ?-?wd?$|^w ?[3-9]$|^(fw|fwy) ?\d*$|^\d+ ?fw$/i, 'fairway'],
  // "PW", "P/W", "SW 56", "LW60"; alone on the sole of a set wedge stands its first letter.
  [/wedge|^[pgauls]\/?w( ?(4[0-9]|5[0-9]|6[0-9]) ?°?)?$|^[pgsl]$/i, 'wedge'],
  [/iron|eisen|^[1-9]er$|^[4-9]:an$|^[1-9] ?-?i$|^i ?[1-9]$/i, 'iron'],
  // "56", "60°", "W50", "60V", "54/10", "50.08 F": a loft, perhaps with bounce and grind.
  [
    /^w?(4[0-9]|5[0-9]|6[0-9])([.,]\d+)? ?(°|\*|deg|degrees?)?([ /-]?\d\d?| \(\d\d?\))? ?[a-z]{0,3}$/i,
    'wedge',
  ],
  [/^deg(ree)?s? ?(4[0-9]|5[0-9]|6[0-9])$/i, 'wedge'],
  [/^(lob|sand|gap|approach|pitch(ing)?)( ?(4[0-9]|5[0-9]|6[0-9]) ?°?)?$/i, 'wedge'],
  [/driver|^mini$/i, 'driver'],
  [/^ut ?[1-9]?$|^utility ?[1-9]?$/i, 'driving iron'],
  [/^# ?[1-9]$|^[1-9]$/, 'iron'],
  [/^(blade|mallet)$/i, 'putter'],
  // "3w old", "backup 4h", "strong 3w": the short name among other words.
  [/\b\d+w\b/i, 'fairway'],
  [/\b\d+h\b/i, 'hybrid'],
  [/\b[1-9]i\b/i, 'iron'],
  [/\b[pgaus]w\b/i, 'wedge'],
];

/**
 * The text with the one sign for degrees: many keyboards have "º" or "˚" in its place.
 * @example withDegreeSign('56º') // "56°"
 */
export function withDegreeSign(text: string): string {
  return text.replace(/[º˚]/g, '°');
}

/**
 * The kind a club's name suggests ("7 iron", "3w", "56", "PW", "Fer 7"), or undefined when it suggests none.
 * Used to spare typing; the person can always say otherwise.
 */
export function kindFromName(name: string): ClubKind | undefined {
  const trimmed = clubWordsInEnglish(withDegreeSign(name.trim()));
  return KIND_PATTERNS.find(([pattern]) => pattern.test(trimmed))?.[1];
}

/**
 * A wedge's loft among the rest of its name, perhaps with its bounce: "56", "SW 56", "60V", "50.08 F", "52 (08)".
 */
const LOFT_IN_NAME = /(?:^|[^\d.])(4[4-9]|5\d|6[0-4])(?:[.,]([05]))?(?!\d)/;

/**
 * The loft a wedge is called by, in degrees, or undefined where its name says none. "50.08" is 50 degrees with 8 of
 * bounce, "54.5" half a degree. Common practice, no source.
 */
export function loftFromName(name: string, kind: ClubKind): number | undefined {
  if (kind !== 'wedge') return undefined;
  const found = LOFT_IN_NAME.exec(name.replace(/[.,]\d\d/, ' '));
  return found ? Number(`${found[1]!}.${found[2] ?? '0'}`) : undefined;
}
