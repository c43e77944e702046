import { DEMAND_BOUNDS, type DistanceUnit } from '@tasche/core';
import Papa from 'papaparse';
import { MAX_NAME_WORDS, MAX_NUMBER_IN_NAME, guessClub, labelKey, type LabelledClub } from './club-labels.js';
import { lieInText, withoutLie } from './lie-words.js';
import { readDistance, withoutAbout } from './numbers-in-text.js';
import { MAX_PLAYED_SHOTS, type PlayedShot } from './played-shots.js';
import { HOLE_WORDS } from './heads-in-other-languages.js';
import { inputShown } from './schemas.js';
import { guessDelimiter } from './split-table.js';
import { strikeFieldOf } from './strike-heads.js';

/** A line that could not be read: which, what stands there, and why. */
interface ShotRefusal {
  line: number;
  text: string;
  reason: string;
}
interface ReadShots {
  shots: PlayedShot[];
  refused: ShotRefusal[];
  /** Lines of a putter: what is counted are the shots to the green. */
  putts: number;
}

const HEADS: readonly [RegExp, keyof PlayedShot][] = [
  [/^hit with$/, 'clubId'],
  [/^(distance|from|to the hole|yards?|yds?|metres?|meters?|m)\b/, 'distanceM'],
  [/^(entfernung|distancia|distanza|distância|afstand|avstand)\b/, 'distanceM'],
  [/^(lie|off|surface|lage|ligging|läge|leje|leie)$/, 'lie'],
  [new RegExp(`^(${HOLE_WORDS}|no\\.?|#)$`), 'hole'],
];
/** No hole takes more to write down. */
const MAX_LINE_CHARACTERS = 400;
type Columns = Partial<Record<keyof PlayedShot, number>>;

/**
 * What was hit from where: a line a shot, "4, 7 iron, 165, rough" or "7i 165 rough", the club before the
 * distance; a line a hole, "4: driver, 7i 165 rough, PW 40"; shots under a line that names their hole, "Hole 4";
 * or a CSV whose first row names club, distance, lie and hole. A distance without a unit is in `unit`. Putts are
 * left out.
 * @param clubs those a label may mean
 */
export function readPlayedShots(text: string, clubs: readonly LabelledClub[], unit: DistanceUnit): ReadShots {
  const clean = text.replace(/^\uFEFF/, '');
  const rows = Papa.parse<string[]>(clean, { delimiter: guessDelimiter(clean) }).data;
  const read: ReadShots = { shots: [], refused: [], putts: 0 };
  const heads = columnsOf(rows[0] ?? []);
  /** The hole whose shots the lines beneath its name are. */
  let under: number | null = null;
  for (const [i, cells] of rows.entries()) {
    if ((heads && i === 0) || cells.every((cell) => cell.trim() === '')) continue;
    const refuse = (reason: string, part = cells.join(', ')) =>
      read.refused.push({ line: i + 1, text: inputShown(part), reason });
    const named = heads
      ? undefined
      : HOLE_LINES.map((line) => line.exec(cells.join(',').trim())?.[1]).find((hole) => hole !== undefined);
    if (named !== undefined && typeof holeIn(named) === 'number') {
      under = Number(named);
      continue;
    }
    if (cells.join(',').length > MAX_LINE_CHARACTERS) {
      refuse(`is longer than ${MAX_LINE_CHARACTERS} characters`);
      continue;
    }
    if (read.shots.length >= MAX_PLAYED_SHOTS) {
      refuse(`a round has at most ${MAX_PLAYED_SHOTS} shots`);
      break;
    }
    const ofHole = heads ? undefined : shotsInLine(cells, clubs, unit);
    const putt = heads ? PUTT.test(cells[heads.clubId!] ?? '') : PUTT.test(cells.join(' '));
    read.putts += ofHole?.putts ?? (putt ? 1 : 0);
    if (putt && !ofHole) continue;
    const shots = ofHole?.shots ?? [
      heads ? shotInColumns(cells, heads, clubs, unit) : shotInWords(cells, clubs, unit),
    ];
    for (const shot of shots) {
      if (typeof shot === 'string') refuse(shot);
      else {
        // A shot that says its hole ends the one above it.
        if (under !== null) under = shot.hole ?? under;
        read.shots.push({ ...shot, hole: shot.hole ?? under });
      }
    }
    for (const { part, reason } of ofHole?.refused ?? []) refuse(reason, part);
  }
  return read;
}

const PUTT = new RegExp(`^\\W*(?:(?:${HOLE_WORDS}|h|#)?\\s?\\d{1,2}\\W+)?putt|^\\s*\\d ?p\\s*$`, 'i');
/** " (par 4, 412 yd)", behind a hole. */
const ITS_PAR = [
  '[ ,(–-]{0,4}par ?\\d',
  '(?:[ ,;/(–-]{1,3}(?:\\d{2,3} ?(?:m|y|yds?|yards?|met(?:re|er)s?)?|(?:hcp|si|index|stroke index) ?\\d{1,2})){0,3}',
  '\\)?',
].join('');
/** "Hole 4", "Hole 4 (par 4, 412 yd)", "4:", "H4: par 4": shots of it follow. "H4" alone may be a hybrid. */
const HOLE_LINES = [
  new RegExp(`^(?:(?:${HOLE_WORDS})\\b|#) ?(\\d{1,2}) ?[:.]?(?:${ITS_PAR})?$`, 'i'),
  new RegExp(`^h? ?(\\d{1,2}) ?(?::|:?${ITS_PAR})$`, 'i'),
];
const HOLE_FIRST = new RegExp(
  `^\\s*(?:(?:${HOLE_WORDS})\\b|h|#)?\\s?(\\d{1,2})(?:${ITS_PAR})?(?: ?:|[.)] )\\s*`,
  'i',
);
/** "4, driver, 7i 165": where other parts follow. */
const HOLE_APART = /^\s*(\d{1,2})\s*[,;]\s*(?=\D)/;
/** Between the shots of a hole in one line. */
const BETWEEN_SHOTS = /[,;]\s*|\s(?:[/–-]|->|→)\s/;

/** Several shots of one line, and what of it is none. */
interface ShotsInLine {
  shots: PlayedShot[];
  putts: number;
  refused: { part: string; reason: string }[];
}

/**
 * The shots of a hole in one line, "4: driver, 7i 165 rough, PW 40, 2 putts"; without its hole, or "4 driver 7i
 * 165 pw 40".
 * @returns undefined where the line is none, or half of its parts are no shots by themselves
 */
function shotsInLine(
  cells: readonly string[],
  clubs: readonly LabelledClub[],
  unit: DistanceUnit,
): ShotsInLine | undefined {
  const text = cells.join(',');
  const first = HOLE_FIRST.exec(text) ?? HOLE_APART.exec(text);
  if (first && typeof holeIn(first[1]!) !== 'number') return undefined;
  const hole = first ? Number(first[1]) : null;
  const rest = text.slice(first?.[0].length ?? 0);
  const parts = rest.split(BETWEEN_SHOTS).filter((part) => part.trim() !== '');
  if (parts.length === 1) return shotsByClub(rest, hole, clubs, unit);
  const strokes = parts.filter((part) => !PUTT.test(part));
  const refused: { part: string; reason: string }[] = [];
  const shots = strokes.flatMap((part) => {
    // "PW, 56" without a hole is one shot from 56.
    const isNumber = hole === null && /^\s*\d+\s*$/.test(part);
    const shot = isNumber ? 'names a club that is not there' : shotInWords([part], clubs, unit);
    if (typeof shot !== 'string') return [shot];
    refused.push({ part, reason: shot });
    return [];
  });
  // "4: 7i, 165, rough" is one shot in parts; of a hole, most parts are shots.
  // "4 driver, 7i 165": the first says the hole of all.
  const ofLine = hole ?? shots[0]?.hole ?? null;
  if (shots.length > refused.length)
    return {
      shots: shots.map((shot) => ({ ...shot, hole: shot.hole ?? ofLine })),
      putts: parts.length - strokes.length,
      refused,
    };
  // "7 iron, 165, 8 iron, 155".
  return shotsByClub(rest.replace(/[,;]/g, ' '), hole, clubs, unit);
}

/** "driver 7i 165 rough pw 40 2 putts": a shot from each club to the next; undefined where not all are shots. */
function shotsByClub(
  text: string,
  hole: number | null,
  clubs: readonly LabelledClub[],
  unit: DistanceUnit,
): ShotsInLine | undefined {
  const putted = text.replace(PUTTS_BEHIND, '');
  const words = inShortWords(putted.toLowerCase()).split(/\s+/).filter(Boolean);
  const starts = clubStarts(words, clubs);
  const [begin = 0] = starts;
  const leading = words.slice(0, begin).join(' ');
  const said = leading === '' ? hole : hole === null ? holeIn(leading) : 'two';
  if (starts.length < 2 || typeof said === 'string') return undefined;
  const last = words.at(-1)!;
  if (/^[1-5]$/.test(last) && words.length - 1 > starts.at(-1)!)
    return {
      shots: [],
      putts: 0,
      refused: [{ part: text, reason: `"${last}" may be putts: write "${last} putts"` }],
    };
  const shots = starts.map((start, i) =>
    shotInWords([words.slice(start, starts[i + 1]).join(' ')], clubs, unit),
  );
  return shots.every((shot) => typeof shot !== 'string')
    ? { shots: shots.map((shot) => ({ ...shot, hole: said })), putts: putted === text ? 0 : 1, refused: [] }
    : undefined;
}
const PUTTS_BEHIND = /[ ,]{1,3}\d ?(?:p|putts?|putt?ar|putts)\s*$/i;

/** Where among some words clubs are named: "driver 7 iron 165" has them at 0 and 1. */
function clubStarts(words: readonly string[], clubs: readonly LabelledClub[]): number[] {
  const starts: number[] = [];
  for (let at = 0; at < words.length;) {
    const length = nameLength(words, at, clubs);
    if (length > 0) starts.push(at);
    at += Math.max(1, length);
  }
  return starts;
}

/** How many words from there on are the name of a club, 0 where none is: a word, or a number and its word. */
function nameLength(words: readonly string[], at: number, clubs: readonly LabelledClub[]): number {
  const [word = '', next = ''] = words.slice(at);
  if (lieInText(word) !== undefined) return 0;
  const isTwo = next !== '' && mayBeName([next]) && guessClub(`${word} ${next}`, clubs) !== null;
  if (/^\d+$/.test(word)) return isTwo && NAME_WORD.test(next) ? 2 : 0;
  if (guessClub(word, clubs) === null) return isTwo ? 2 : 0;
  // "hybrid 4", "wedge 56"; a number before its word is the next club's.
  const isNextOfAnother = /^\d+$/.test(next) && NAME_WORD.test(words[at + 2] ?? '');
  return isTwo && (NAME_WORD.test(next) || /^\d+$/.test(next)) && !isNextOfAnother ? 2 : 1;
}

/** A larger number is a distance. */
const mayBeName = (words: readonly string[]) =>
  words.every((word) => !/^\d/.test(word) || Number.parseFloat(word) <= MAX_NUMBER_IN_NAME);
/** The one club some words name. */
const clubNamed = (words: readonly string[], clubs: readonly LabelledClub[]) =>
  words.length <= MAX_NAME_WORDS && mayBeName(words) && clubStarts(words, clubs).length < 2
    ? guessClub(words.join(' '), clubs)
    : null;

function columnsOf(cells: readonly string[]): Columns | undefined {
  const columns: Columns = {};
  for (const [i, cell] of cells.entries()) {
    const field =
      strikeFieldOf(cell) === 'club'
        ? 'clubId'
        : HEADS.find(([pattern]) => pattern.test(cell.trim().toLowerCase()))?.[1];
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
    return cell('clubId') === ''
      ? 'names no club'
      : `"${inputShown(cell('clubId'))}" is not one of the clubs`;
  const distance = cell('distanceM') === '' ? null : distanceIn(cell('distanceM'), unit);
  if (typeof distance === 'string') return distance;
  const lie = cell('lie') === '' ? null : lieInText(cell('lie').toLowerCase());
  if (lie === undefined) return `"${inputShown(cell('lie'))}" is not a lie`;
  const hole = cell('hole') === '' ? null : holeIn(cell('hole'));
  if (typeof hole === 'string') return hole;
  return { clubId: match.clubId, distanceM: distance, lie, hole };
}

/** What belongs to a club's name, whatever it is called in the locker. */
const NAME_WORD =
  /^(irons?|woods?|hybrid|driving|wedge|pitching|gap|sand|lob|approach|degrees?|deg|full|stock|hard|soft|choked)$/;
const HOLE = new RegExp(`(?:\\b(?:h|${HOLE_WORDS})|#)\\s?(\\d{1,2})\\b|^(\\d{1,2})\\s*:`);

/** "sand wedge" is the club, not what the ball lay in; "drive" is what it is hit with. */
const inShortWords = (line: string) =>
  line.replace(/\bsand (wedge|iron)\b/g, 'sw').replace(/\bdrives?\b/g, 'driver');
/** Said around a shot, and changing nothing about it. */
const BESIDE =
  /(?<![\p{L}\d])(?:hit|from|out of|in|off|of|the|a|an|to (?:the )?green|left|right|aus|vom|von|dem|im)(?![\p{L}\d])/gu;

function shotInWords(
  cells: readonly string[],
  clubs: readonly LabelledClub[],
  unit: DistanceUnit,
): PlayedShot | string {
  const filled = cells.map((cell) => cell.trim().toLowerCase()).filter((cell) => cell !== '');
  // "4, 7 iron, 165": where more cells follow, a small number that stands first is the hole.
  const isHole = filled.length > 2 && /^\d+$/.test(filled[0]!) && typeof holeIn(filled[0]!) === 'number';
  const leading = isHole ? Number(filled.shift()) : null;
  const line = inShortWords(filled.join(' ')).replace(/\s[–-]\s|[()]/g, ' ');
  const hole = HOLE.exec(line);
  const number = hole ? holeIn((hole[1] ?? hole[2])!) : leading;
  if (typeof number === 'string') return number;
  const lie = lieInText(line.replace(HOLE, ' ')) ?? null;
  const said = withoutLie(line.replace(HOLE, ' ')).replace(/:(?=\s|$)/g, ' ');
  const isNamed = clubs.some((club) => labelKey(club.name) === labelKey(said));
  // "left 150" is what was left.
  const words = (isNamed || /\b(?:left|right) ?\d/.test(said) ? said : said.replace(BESIDE, ' '))
    .split(/\s+/)
    .filter(Boolean);
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
    const match = clubNamed(words.slice(0, n), clubs);
    const distance = distanceIn(words.slice(n).join(' '), unit);
    if (match && typeof distance === 'number') return made(match.clubId, distance);
  }
  // "165 7 iron": a number too large for a hole may stand before the club.
  for (let n = 1; n < words.length; n++) {
    const first = words.slice(0, n).join(' ');
    const distance = typeof holeIn(first) === 'number' ? '' : distanceIn(first, unit);
    const match = clubNamed(words.slice(n), clubs);
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
  // "4 7 iron 165": a number that is no club stands for the hole; the 9 of a 9 iron that is not owned does not.
  const isOfName = NAME_WORD.test(words[1] ?? '') || /^[iwh]$/.test(words[1] ?? '');
  const played = holeIn(words[0] ?? '');
  if (number === null && words.length > 1 && !isOfName && typeof played === 'number') {
    const rest = shotInWords([words.slice(1).join(' ')], clubs, unit);
    if (typeof rest !== 'string') return { ...rest, lie, hole: played };
  }
  return 'names a club that is not there';
}

function distanceIn(text: string, unit: DistanceUnit): number | string {
  const read = readDistance(withoutAbout(text), unit);
  if (!read.ok) return read.reason;
  const [min, max] = DEMAND_BOUNDS.distanceM;
  return read.value < min || read.value > max
    ? `${inputShown(text)} is not the distance of a shot`
    : read.value;
}

function holeIn(text: string): number | string {
  const hole = Number(text.replace(/^(h|hole|#)\s?/i, ''));
  const [min, max] = DEMAND_BOUNDS.hole;
  return Number.isInteger(hole) && hole >= min && hole <= max ? hole : `"${inputShown(text)}" is not a hole`;
}
