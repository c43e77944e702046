import {
  QUANTITIES,
  SHOT_KINDS,
  fromMetres,
  type DistanceUnit,
  type Quantity,
  type QuantityKey,
  type Shot,
  type ShotKind,
} from '@tasche/core';
import { HEADS_IN_OTHER_LANGUAGES } from './heads-in-other-languages.js';
import { MAX_HEAD_CHARACTERS, splitBracket } from './head-words.js';
import { distanceUnitOf, type DistanceTextUnit } from './numbers-in-text.js';

/** A column of the sheet, on screen, on the clipboard and in a file. */
export type Column =
  | { id: 'clubId' | 'name' | 'kind'; type: 'club'; label: string }
  | { id: QuantityKey; type: 'quantity'; label: string; quantity: Quantity }
  | { id: ShotColumnId; type: 'shot'; label: string; shotKind: ShotKind; part: ShotPart };

/** Where a shot starts and how it curves belongs to the club's own page. */
export type ShotPart = Exclude<keyof Shot, 'startDeg' | 'curveM'> | 'takenOn';
export type ShotColumnId = `shot.${ShotKind}.${ShotPart}`;

export const SHOT_PARTS: readonly ShotPart[] = [
  'carryM',
  'totalM',
  'apexM',
  'descentDeg',
  'spreadM',
  'sideSpreadM',
  'teeGainM',
  'source',
  'sampleSize',
  'plusMinusM',
  'conditions',
  'takenOn',
];

const PART_LABELS: Record<ShotPart, string> = {
  carryM: 'carry',
  totalM: 'total',
  apexM: 'apex',
  descentDeg: 'landing angle',
  spreadM: 'spread',
  sideSpreadM: 'side spread',
  teeGainM: 'farther off a tee',
  source: 'source',
  sampleSize: 'shots',
  plusMinusM: 'plus-minus',
  conditions: 'conditions',
  takenOn: 'date',
};

const PART_ALIASES: Record<ShotPart, readonly string[]> = {
  carryM: ['carry distance', 'avg carry', 'average carry', 'carries', 'distance', 'stock carry'],
  totalM: ['total distance', 'avg total'],
  apexM: ['height', 'max height', 'peak height', 'apex height'],
  descentDeg: ['land', 'landing', 'land angle', 'descent angle', 'descent'],
  spreadM: ['sd', 'std dev', 'standard deviation', 'dispersion', 'carry sd'],
  sideSpreadM: ['side sd', 'lateral sd', 'offline sd', 'side dispersion', 'lateral dispersion'],
  teeGainM: ['tee gain', 'gain off a tee', '+ off a tee'],
  source: ['from'],
  sampleSize: ['n', 'count', 'number of shots', 'shot count'],
  plusMinusM: ['±', '+-', 'interval'],
  conditions: ['air'],
  takenOn: ['measured on', 'taken on'],
};

const SHOT_KIND_ALIASES: Partial<Record<ShotKind, readonly string[]>> = {
  full: ['stock', 'full swing', 'normal'],
  'three-quarter': ['3/4', '¾', 'three quarter', '75%'],
  half: ['1/2', '½', '50%'],
  choked: ['choke', 'choked down', 'gripped down'],
};

const CLUB_COLUMNS: readonly Column[] = [
  { id: 'name', type: 'club', label: 'club' },
  { id: 'kind', type: 'club', label: 'kind' },
  { id: 'clubId', type: 'club', label: 'club id' },
];

export const COLUMNS: readonly Column[] = [
  ...CLUB_COLUMNS,
  ...QUANTITIES.map((quantity): Column => ({
    id: quantity.key,
    type: 'quantity',
    label: quantity.label.toLowerCase(),
    quantity,
  })),
  ...SHOT_KINDS.flatMap((shotKind) =>
    SHOT_PARTS.map((part): Column => ({
      id: `shot.${shotKind}.${part}`,
      type: 'shot',
      label: `${shotKind} ${PART_LABELS[part]}`,
      shotKind,
      part,
    })),
  ),
];

const BY_ID = new Map(COLUMNS.map((column) => [column.id as string, column]));

/** The column of that id, or undefined. */
export function columnOf(id: string): Column | undefined {
  return BY_ID.get(id);
}

/** Units a column's numbers may be written in. */
export interface ColumnUnits {
  distance: DistanceTextUnit;
  length: 'in' | 'cm';
}

/** The unit people expect in a column when nothing is said: apexes of yard players are in feet. */
export function usualUnits(column: Column, distanceUnit: DistanceUnit): ColumnUnits {
  const feet = column.type === 'shot' && column.part === 'apexM' && distanceUnit === 'yd';
  return { distance: feet ? 'ft' : distanceUnit, length: 'in' };
}

/** The unit written into a column's head: "full carry [yd]". */
export function unitLabel(column: Column, distanceUnit: DistanceUnit): string {
  if (column.type === 'shot') {
    if (isDistancePart(column.part)) return usualUnits(column, distanceUnit).distance;
    return column.part === 'descentDeg' ? 'deg' : '';
  }
  if (column.type !== 'quantity' || column.quantity.type !== 'number') return '';
  return ['deg', 'in', 'g'].includes(column.quantity.unit) ? column.quantity.unit : '';
}

export function isDistancePart(part: ShotPart): boolean {
  return (
    part === 'carryM' ||
    part === 'totalM' ||
    part === 'apexM' ||
    part === 'spreadM' ||
    part === 'sideSpreadM' ||
    part === 'teeGainM' ||
    part === 'plusMinusM'
  );
}

/** The head of a column in a file. */
export function columnHead(column: Column, distanceUnit: DistanceUnit): string {
  const unit = unitLabel(column, distanceUnit);
  return unit ? `${column.label} [${unit}]` : column.label;
}

export interface RecognisedColumn {
  column: Column;
  /** Units the head names, where it names any. */
  units: Partial<ColumnUnits>;
}

const NAMES = namesOfColumns();

function namesOfColumns(): Map<string, Column> {
  const names = new Map<string, Column>();
  const add = (name: string, column: Column) => {
    const plain = plainName(name);
    if (!names.has(plain)) names.set(plain, column);
  };
  for (const column of COLUMNS) {
    add(column.label, column);
    add(column.id, column);
    if (column.type === 'quantity') {
      add(column.quantity.short, column);
      column.quantity.aliases?.forEach((alias) => add(alias, column));
    }
  }
  for (const column of COLUMNS) {
    if (column.type !== 'shot') continue;
    const parts = [PART_LABELS[column.part], ...PART_ALIASES[column.part]];
    const kinds = [column.shotKind, ...(SHOT_KIND_ALIASES[column.shotKind] ?? [])];
    for (const part of parts) {
      if (column.shotKind === 'full') add(part, column);
      for (const kind of kinds) add(`${kind} ${part}`, column);
    }
    if (column.part === 'carryM') kinds.forEach((kind) => add(kind, column));
  }
  ['club name', 'name', 'stick'].forEach((name) => add(name, CLUB_COLUMNS[0]!));
  ['type', 'category', 'club type'].forEach((name) => add(name, CLUB_COLUMNS[1]!));
  for (const [name, id] of Object.entries(HEADS_IN_OTHER_LANGUAGES)) add(name, columnOf(id)!);
  return names;
}

function plainName(text: string): string {
  return text
    .toLowerCase()
    .replace(/[_\s.:]+/g, ' ')
    .trim();
}

/**
 * The column a head names, in any wording known here, with its unit: "Carry (yds)", "full carry [m]", "Length
 * cm". Undefined when it names none.
 */
export function recogniseHead(head: string): RecognisedColumn | undefined {
  if (head.length > MAX_HEAD_CHARACTERS) return undefined;
  const { words: name, bracketed } = splitBracket(head);
  const exact = NAMES.get(plainName(name));
  if (exact) return { column: exact, units: unitsOf(bracketed) };
  const words = plainName(name).split(' ');
  const last = words.pop() ?? '';
  const units = unitsOf(last);
  const named = NAMES.get(words.join(' '));
  return named && Object.keys(units).length > 0 ? { column: named, units } : undefined;
}

/** The units a head names, whatever else it says: "Longueur (in)". */
export function headUnits(head: string): Partial<ColumnUnits> {
  return unitsOf(splitBracket(head.slice(0, MAX_HEAD_CHARACTERS)).bracketed);
}

function unitsOf(word: string): Partial<ColumnUnits> {
  const distance = distanceUnitOf(word);
  if (/^cm$/i.test(word)) return { length: 'cm' };
  if (/^("|in|inch|inches)$/i.test(word)) return { length: 'in' };
  return distance ? { distance } : {};
}

/** A stored distance written so that reading it again gives the same metres. */
export function exactDistance(metres: number, unit: DistanceTextUnit): string {
  return String(Number(fromMetres(metres, unit).toFixed(6)));
}
