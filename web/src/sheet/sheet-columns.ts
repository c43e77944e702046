import {
  playingLoft,
  shownLoftKey,
  usualLoftKey,
  quantityOf,
  shotIn,
  changeSince,
  factSourceWords,
  distanceNumber,
  type DistanceUnit,
  type QuantityKey,
  type ShotKind,
} from '@tasche/core';
import {
  columnOf,
  isDistancePart,
  readCell,
  showQuantity,
  unitLabel,
  usualUnits,
  type ClubView,
  type Column,
  type ShotPart,
} from '@tasche/contract';
import { shortDay } from '../app/day';

/** A column as the screen shows it. The loft it is really at is shown with the stamp struck through. */
export interface SheetColumn {
  id: string;
  /** The column that typing a text here writes to. */
  writes: (club: ClubView, text: string) => Column;
  head: string;
  align: 'left' | 'right';
  px: number;
  /** A number is typed here: a phone shows its digits. */
  isNumber?: boolean;
}

const fixed = (id: string): Column => columnOf(id)!;

const nameColumn: SheetColumn = {
  id: 'name',
  writes: () => fixed('name'),
  head: 'club',
  align: 'left',
  px: 116,
};

/**
 * Which of a club's three lofts a text in this cell is about: see `usualLoftKey`; an empty one takes away
 * what is shown.
 */
const loftColumn: SheetColumn = {
  id: 'loft',
  head: 'loft',
  align: 'right',
  px: 84,
  isNumber: true,
  writes: ({ spec }, text) => {
    const stamp = fixed('loftStampedDeg');
    if (text.trim() === '') return fixed(shownLoftKey(spec) ?? 'loftStampedDeg');
    const read = readCell(stamp, text, 'm');
    return read.ok ? fixed(usualLoftKey(spec, Number(read.value))) : stamp;
  },
};

function quantityColumn(key: QuantityKey, px: number): SheetColumn {
  const quantity = quantityOf(key)!;
  const isNumber = quantity.type === 'number';
  return {
    id: key,
    writes: () => fixed(key),
    head: quantity.short,
    align: isNumber ? 'right' : 'left',
    px,
    isNumber,
  };
}

function shotColumn(shotKind: ShotKind, part: ShotPart, head: string, px: number): SheetColumn {
  const id = `shot.${shotKind}.${part}`;
  const isNumber = part !== 'source';
  return { id, writes: () => fixed(id), head, align: isNumber ? 'right' : 'left', px, isNumber };
}

const sourceColumn: SheetColumn = {
  id: 'shot.full.source',
  writes: () => fixed('shot.full.sampleSize'),
  head: 'source',
  align: 'left',
  px: 76,
};
const carryColumn = shotColumn('full', 'carryM', 'carry', 50);

export interface ColumnSet {
  id: string;
  name: string;
  columns: readonly SheetColumn[];
  /** Those that stand beside the ladder on a phone; without them the sheet has the phone to itself. */
  narrow?: readonly SheetColumn[];
}

/** Ways to look at the sheet, each narrow enough to stand beside the ladder. */
export const COLUMN_SETS: readonly ColumnSet[] = [
  {
    id: 'gaps',
    name: 'Gaps',
    columns: [
      nameColumn,
      loftColumn,
      quantityColumn('lengthIn', 56),
      quantityColumn('shaft', 66),
      quantityColumn('swingWeight', 36),
      carryColumn,
      sourceColumn,
    ],
    narrow: [nameColumn, loftColumn, carryColumn],
  },
  {
    id: 'lofts',
    name: 'Lofts and soles',
    columns: [
      nameColumn,
      quantityColumn('loftStampedDeg', 60),
      quantityColumn('loftSetDeg', 54),
      quantityColumn('loftMeasuredDeg', 62),
      quantityColumn('lieDeg', 54),
      quantityColumn('setting', 96),
      quantityColumn('bounceDeg', 62),
      quantityColumn('grind', 100),
    ],
  },
  {
    id: 'build',
    name: 'Build',
    columns: [
      nameColumn,
      quantityColumn('head', 96),
      quantityColumn('lengthIn', 62),
      quantityColumn('shaft', 84),
      quantityColumn('shaftWeightG', 62),
      quantityColumn('flex', 42),
      quantityColumn('swingWeight', 42),
      quantityColumn('grip', 92),
    ],
  },
  {
    id: 'shots',
    name: 'Shots',
    columns: [
      nameColumn,
      carryColumn,
      shotColumn('full', 'totalM', 'total', 56),
      shotColumn('full', 'apexM', 'apex', 54),
      shotColumn('full', 'descentDeg', 'land', 50),
      shotColumn('full', 'spreadM', '±', 46),
      shotColumn('full', 'teeGainM', '+ off a tee', 76),
      shotColumn('soft', 'carryM', 'soft', 50),
      shotColumn('three-quarter', 'carryM', '¾', 46),
    ],
  },
  {
    id: 'record',
    name: 'Record',
    columns: [
      nameColumn,
      quantityColumn('state', 78),
      quantityColumn('totalWeightG', 68),
      quantityColumn('serial', 96),
      quantityColumn('grooveDate', 90),
      quantityColumn('price', 60),
      quantityColumn('hitsPerRound', 50),
      carryColumn,
      quantityColumn('notes', 260),
    ],
  },
];

/** What a locker is looked through by. */
export const LOCKER_COLUMNS: ColumnSet = {
  id: 'overview',
  name: 'Overview',
  columns: [
    { ...nameColumn, px: 200 },
    quantityColumn('state', 70),
    loftColumn,
    quantityColumn('lieDeg', 56),
    quantityColumn('lengthIn', 56),
    quantityColumn('head', 100),
    quantityColumn('shaft', 76),
    quantityColumn('flex', 40),
    quantityColumn('swingWeight', 40),
    quantityColumn('bounceDeg', 58),
    quantityColumn('grind', 128),
    carryColumn,
    sourceColumn,
  ],
};

/** Every column there is, for the locker's wide sheet. */
export const ALL_COLUMNS: readonly SheetColumn[] = [
  ...new Map(COLUMN_SETS.flatMap((set) => set.columns).map((column) => [column.id, column])).values(),
];

interface CellShown {
  text: string;
  /** Struck through before the text: the stamp a club is not at. */
  struck?: string;
  /** Where the number comes from, said on hover and focus. */
  origin: string;
  source?: 'measured' | 'stated' | 'modelled';
}

/** What a cell shows. */
export function showCell(club: ClubView, column: SheetColumn, unit: DistanceUnit): CellShown {
  if (column.id === 'name') return { text: club.name, origin: `${club.name}, ${club.kind}` };
  if (column.id === 'loft') return showLoft(club);
  const written = column.writes(club, '');
  if (column.id === 'shot.full.source') return showSource(club, unit);
  if (written.type === 'shot') return showShot(club, written.shotKind, written.part, unit, written);
  if (written.type === 'quantity') {
    const fact = club.spec[written.id];
    return fact === undefined
      ? { text: '', origin: `${written.quantity.label}: not known` }
      : {
          text: showQuantity(
            written.quantity,
            fact.value,
            written.quantity.type === 'number' && written.quantity.unit === 'deg',
          ),
          origin: `${written.quantity.label}, as of ${shortDay(fact.takenOn)}`,
        };
  }
  return { text: '', origin: '' };
}

function showLoft(club: ClubView): CellShown {
  const loft = playingLoft(club.spec);
  if (!loft) return { text: '', origin: 'Loft: not known' };
  const text = showQuantity(
    quantityOf(loft.from === 'measured' ? 'loftMeasuredDeg' : 'loftSetDeg')!,
    loft.deg,
  ).replace(/(\.\d)0°$/, '$1°');
  const moved = loft.stampedDeg !== undefined && Math.abs(loft.stampedDeg - loft.deg) > 0.01;
  const how = { measured: 'measured on a gauge', set: 'bent or set', stamped: 'as stamped' }[loft.from];
  return {
    text,
    origin: `Loft ${how}, ${shortDay(loft.takenOn)}${moved ? `; stamped ${loft.stampedDeg}°` : ''}`,
    ...(moved && { struck: loft.stampedDeg!.toFixed(1) }),
  };
}

function showShot(
  club: ClubView,
  shotKind: ShotKind,
  part: ShotPart,
  unit: DistanceUnit,
  column: Column,
): CellShown {
  const shot = shotIn(club.spec, `shot.${shotKind}`);
  const value = part === 'takenOn' ? club.spec[`shot.${shotKind}`]?.takenOn : shot?.[part];
  if (shot === undefined || value === undefined) return { text: '', origin: `${column.label}: not known` };
  const day = shortDay(club.spec[`shot.${shotKind}`]!.takenOn);
  const origin = [
    `${column.label} [${unitLabel(column, unit) || 'as said'}]`,
    factSourceWords(club.spec, `shot.${shotKind}`, unit),
    day,
    ...(shot.conditions ? [shot.conditions] : []),
  ].join(', ');
  const text = isDistancePart(part)
    ? distanceNumber(value as number, usualUnits(column, unit).distance)
    : `${value}${part === 'descentDeg' ? '°' : ''}`;
  // What it goes farther off a tee is said, whatever its carry rests on.
  if (part === 'teeGainM') return { text: (value as number) > 0 ? `+${text}` : text, origin };
  return { text, origin, source: shot.source };
}

function showSource(club: ClubView, unit: DistanceUnit): CellShown {
  const shot = shotIn(club.spec, 'shot.full');
  if (!shot) return { text: '', origin: 'No carry yet' };
  const words = factSourceWords(club.spec, 'shot.full', unit);
  const changed = changeSince(club.spec, 'shot.full');
  // As short as the column is narrow.
  const text =
    shot.source === 'modelled' && shot.plusMinusM !== undefined && !changed
      ? `model ±${distanceNumber(shot.plusMinusM, unit)}`
      : words;
  const day = shortDay(club.spec['shot.full']!.takenOn);
  return {
    text,
    origin: `Carry ${words}, ${day}${shot.conditions ? `, ${shot.conditions}` : ''}`,
    // One from before a bend is no measurement of the club there is now.
    source: changed ? 'modelled' : shot.source,
  };
}

/** What an editor opens with: the exact value in the reader's unit. */
export function editText(club: ClubView, column: SheetColumn, unit: DistanceUnit): string {
  if (column.id === 'shot.full.source') return String(shotIn(club.spec, 'shot.full')?.sampleSize ?? '');
  return showCell(club, column, unit).text.replace(/°$/, '');
}
