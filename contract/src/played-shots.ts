import {
  DEMAND_BOUNDS,
  LIE_NAMES,
  distanceNumber,
  quantileOf,
  type DistanceUnit,
  type Lie,
  type ShotDemand,
} from '@tasche/core';
import Papa from 'papaparse';
import * as yup from 'yup';
import { guessClub, labelKey, type LabelledClub } from './club-labels.js';
import { lieInText, withoutLie } from './lie-words.js';
import { readDistance, storedMetres } from './numbers-in-text.js';
import { finite, idSchema, inputShown, required, shape } from './schemas.js';

/** A shot of a round as somebody wrote it down: as much of it as they know. */
export interface PlayedShot {
  clubId: string;
  /** To the hole, metres. */
  distanceM: number | null;
  lie: Lie | null;
  hole: number | null;
}

/** Of one round; nobody hits more. */
export const MAX_PLAYED_SHOTS = 150;

export const playedShotsSchema = yup
  .array(
    required(
      shape({
        clubId: required(idSchema),
        distanceM: finite(...DEMAND_BOUNDS.distanceM, 'm')
          .nullable()
          .defined('${path} is missing'),
        lie: yup.string().strict().oneOf(LIE_NAMES).nullable().defined('${path} is missing'),
        hole: finite(...DEMAND_BOUNDS.hole)
          .integer('${path} must be a whole number')
          .nullable()
          .defined('${path} is missing'),
      }),
    ),
  )
  .max(MAX_PLAYED_SHOTS, `\${path} holds more than ${MAX_PLAYED_SHOTS} shots`);

/** A line that could not be read: which, what stands there, and why. */
interface ShotRefusal {
  line: number;
  text: string;
  reason: string;
}
interface ReadShots {
  shots: PlayedShot[];
  refused: ShotRefusal[];
}

const HEADS: readonly [RegExp, keyof PlayedShot][] = [
  [/^(club|hit with|schl[aä]ger)$/, 'clubId'],
  [/^(distance|from|to the hole|yards?|yds?|metres?|meters?|m)\b/, 'distanceM'],
  [/^(lie|off|surface)$/, 'lie'],
  [/^(hole|no\.?|#)$/, 'hole'],
];
type Columns = Partial<Record<keyof PlayedShot, number>>;

/**
 * What was hit from where: a line a shot, "4, 7 iron, 165, rough" or "7i 165 rough", the club before the
 * distance; or a CSV whose first row names club, distance, lie and hole. A distance without a unit is in
 * `unit`.
 * @param clubs those a label may mean
 */
export function readPlayedShots(text: string, clubs: readonly LabelledClub[], unit: DistanceUnit): ReadShots {
  const rows = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t', '|'],
  }).data;
  const read: ReadShots = { shots: [], refused: [] };
  const heads = columnsOf(rows[0] ?? []);
  for (const [i, cells] of rows.entries()) {
    if ((heads && i === 0) || cells.every((cell) => cell.trim() === '')) continue;
    const refuse = (reason: string) =>
      read.refused.push({ line: i + 1, text: inputShown(cells.join(', ')), reason });
    if (read.shots.length >= MAX_PLAYED_SHOTS) {
      refuse(`a round has at most ${MAX_PLAYED_SHOTS} shots`);
      break;
    }
    const shot = heads ? shotInColumns(cells, heads, clubs, unit) : shotInWords(cells, clubs, unit);
    if (typeof shot === 'string') refuse(shot);
    else read.shots.push(shot);
  }
  return read;
}

function columnsOf(cells: readonly string[]): Columns | undefined {
  const columns: Columns = {};
  for (const [i, cell] of cells.entries()) {
    const field = HEADS.find(([pattern]) => pattern.test(cell.trim().toLowerCase()))?.[1];
    if (field && columns[field] === undefined) columns[field] = i;
  }
  return columns.clubId === undefined ? undefined : columns;
}

function shotInColumns(
  cells: readonly string[],
  columns: Columns,
  clubs: readonly LabelledClub[],
  unit: DistanceUnit,
): PlayedShot | string {
  const cell = (field: keyof PlayedShot) => (cells[columns[field] ?? -1] ?? '').trim();
  const match = guessClub(cell('clubId'), clubs);
  if (!match)
    return cell('clubId') === '' ? 'names no club' : `"${inputShown(cell('clubId'))}" is none of the clubs`;
  const distance = cell('distanceM') === '' ? null : distanceIn(cell('distanceM'), unit);
  if (typeof distance === 'string') return distance;
  const lie = cell('lie') === '' ? null : lieInText(cell('lie').toLowerCase());
  if (lie === undefined) return `"${inputShown(cell('lie'))}" is no lie`;
  const hole = cell('hole') === '' ? null : holeIn(cell('hole'));
  if (typeof hole === 'string') return hole;
  return { clubId: match.clubId, distanceM: distance, lie, hole };
}

/** What belongs to a club's name, whatever it is called in the locker. */
const NAME_WORD =
  /^(irons?|woods?|hybrid|driving|wedge|pitching|gap|sand|lob|approach|degrees?|deg|full|stock|hard|soft|choked)$/;
const HOLE = /\b(?:h|hole|#)\s?(\d{1,2})\b/;

function shotInWords(
  cells: readonly string[],
  clubs: readonly LabelledClub[],
  unit: DistanceUnit,
): PlayedShot | string {
  const told = cells.map((cell) => cell.trim().toLowerCase()).filter((cell) => cell !== '');
  // "4, 7 iron, 165": where more cells follow, a small number that stands first is the hole.
  const isHole = told.length > 2 && /^\d+$/.test(told[0]!) && typeof holeIn(told[0]!) === 'number';
  const first = isHole ? Number(told.shift()) : null;
  // The club, not what the ball lay in.
  const line = told.join(' ').replace(/\bsand (wedge|iron)\b/, 'sw');
  const hole = HOLE.exec(line);
  const number = hole ? holeIn(hole[1]!) : first;
  if (typeof number === 'string') return number;
  const lie = lieInText(line.replace(HOLE, ' ')) ?? null;
  const words = withoutLie(line.replace(HOLE, ' ')).split(/\s+/).filter(Boolean);
  const made = (clubId: string, distanceM: number | null): PlayedShot => ({
    clubId,
    distanceM,
    lie,
    hole: number,
  });
  const exact = clubs.find((club) => labelKey(club.name) === labelKey(words.join(' ')));
  if (exact) return made(exact.id, null);
  // A beginning that is a club, and a distance after it.
  for (let n = words.length - 1; n > 0; n--) {
    const match = guessClub(words.slice(0, n).join(' '), clubs);
    const distance = distanceIn(words.slice(n).join(' '), unit);
    if (match && typeof distance === 'number') return made(match.clubId, distance);
  }
  const match = guessClub(words.join(' '), clubs);
  if (match) {
    const own = labelKey(clubs.find(({ id }) => id === match.clubId)!.name).split(' ');
    const rest = words.slice(1).filter((word) => !NAME_WORD.test(word) && !own.includes(word));
    if (rest.length === 0) return made(match.clubId, null);
    const distance = distanceIn(rest.join(' '), unit);
    return typeof distance === 'string' ? distance : `"${inputShown(rest.join(' '))}" is not understood`;
  }
  // "4 7 iron 165": a number that is no club stands for the hole; the 9 of a 9 iron nobody carries does not.
  const isOfName = NAME_WORD.test(words[1] ?? '') || /^[iwh]$/.test(words[1] ?? '');
  if (number === null && words.length > 1 && !isOfName && typeof holeIn(words[0]!) === 'number') {
    const rest = shotInWords([words.slice(1).join(' ')], clubs, unit);
    if (typeof rest !== 'string') return { ...rest, lie, hole: Number(words[0]) };
  }
  return 'names none of the clubs';
}

function distanceIn(text: string, unit: DistanceUnit): number | string {
  const read = readDistance(text, unit);
  if (!read.ok) return read.reason;
  const [min, max] = DEMAND_BOUNDS.distanceM;
  return read.value < min || read.value > max ? `${inputShown(text)} is no distance of a shot` : read.value;
}

function holeIn(text: string): number | string {
  const hole = Number(text.replace(/^(h|hole|#)\s?/i, ''));
  const [min, max] = DEMAND_BOUNDS.hole;
  return Number.isInteger(hole) && hole >= min && hole <= max ? hole : `"${inputShown(text)}" is no hole`;
}

/** How often each club was hit. */
export function hitsOfShots(shots: readonly PlayedShot[]): Record<string, number> {
  const hits: Record<string, number> = {};
  for (const { clubId } of shots) hits[clubId] = (hits[clubId] ?? 0) + 1;
  return hits;
}

/**
 * From where a club was hit, over the shots whose distance is known: the nearer and the farther end of eight
 * in ten.
 */
export function hitFrom(
  shots: readonly PlayedShot[],
  clubId: string,
): { shots: number; fromM: number; toM: number } | null {
  const distances = shots.flatMap((shot) =>
    shot.clubId === clubId && shot.distanceM !== null ? [shot.distanceM] : [],
  );
  return distances.length === 0
    ? null
    : { shots: distances.length, fromM: quantileOf(distances, 0.1), toM: quantileOf(distances, 0.9) };
}

/** Distances as near as this, from one lie, are one shot a course asks for; in the reader's unit. */
const BIN = 10;
/** What came up less often than this in a round says nothing of the course. */
const LEAST_A_ROUND = 0.4;

/**
 * The shots to a green that rounds on one course asked for, as needs beside what is derived of it: how often
 * a round from each distance and lie. Tee shots whose length is the player's choice are not among them.
 * @param rounds those of which shots were written down
 */
export function demandsPlayed(
  rounds: readonly { shots: readonly PlayedShot[] }[],
  unit: DistanceUnit,
): ShotDemand[] {
  const bins = new Map<string, { distanceM: number; lie: Lie; times: number }>();
  for (const { shots } of rounds)
    for (const { distanceM, lie } of shots) {
      if (distanceM === null || lie === null || lie === 'tee') continue;
      const shown = Math.round(Number(distanceNumber(distanceM, unit)) / BIN) * BIN;
      if (shown === 0) continue;
      const key = `${shown} ${lie}`;
      const bin = bins.get(key) ?? { distanceM: storedMetres(shown, unit), lie, times: 0 };
      bins.set(key, { ...bin, times: bin.times + 1 });
    }
  return [...bins.values()]
    .map(({ distanceM, lie, times }) => ({
      distanceM,
      lie,
      weight: Math.round((times / rounds.length) * 10) / 10,
    }))
    .filter(({ weight, distanceM }) => weight >= LEAST_A_ROUND && distanceM >= DEMAND_BOUNDS.distanceM[0])
    .sort((a, b) => b.distanceM - a.distanceM || a.lie.localeCompare(b.lie))
    .map(({ distanceM, lie, weight }) => ({
      name: `played: ${distanceNumber(distanceM, unit)} ${unit}${lie === 'fairway' ? '' : ` from ${lie}`}`,
      to: 'green' as const,
      distanceM,
      lie,
      mustHold: false,
      weight,
    }));
}
