import {
  FRONTS,
  HOLE_BOUNDS,
  SLOPES,
  HAZARD_BOUNDS,
  distanceNumber,
  fromMetres,
  toMetres,
  type DistanceUnit,
  type Front,
  type Hole,
  type Slope,
  type Hazard,
  type HazardKind,
} from '@tasche/core';
import { oneBlank } from '@tasche/contract';

/** A column of a course's holes: how a hole shows in it, and what a text typed there makes of the hole. */
interface HoleColumn {
  id: string;
  label: string;
  title: string;
  px: number;
  show: (hole: Hole) => string;
  read: (hole: Hole, text: string) => Hole | { problem: string };
}

const SHORT: readonly (readonly [RegExp, HazardKind])[] = [
  [/^(b|bunkers?|sand)$/, 'bunker'],
  [/^(w|water|pond|burn)$/, 'water'],
  [/^(ob|o\.b\.|out|out of bounds)$/, 'out of bounds'],
  [/^(t|trees?|wood)$/, 'trees'],
];
const SIDES: readonly (readonly [RegExp, Hazard['side']])[] = [
  [/^(l|left)$/, 'left'],
  [/^(r|right)$/, 'right'],
  [/^(a|x|across)$/, 'across'],
];
const numberIn = (text: string) => Number(text.replace(',', '.'));
const tenth = (value: number) => Math.round(value * 10) / 10;

const RANGE_AT_END = / (\d+(?:[.,]\d+)?) ?[-–] ?(\d+(?:[.,]\d+)?)$/;

/** "bunker left 225-260; water across 300-320": kind, side, from and to, from the tee. */
export function readHazards(text: string, unit: DistanceUnit): readonly Hazard[] | { problem: string } {
  const found: Hazard[] = [];
  for (const part of text
    .toLowerCase()
    .split(/[;\n]+/)
    .map(oneBlank)
    .filter(Boolean)) {
    const range = RANGE_AT_END.exec(part);
    const words = part.slice(0, range?.index ?? 0).split(' ');
    const kind = SHORT.find(([pattern]) => pattern.test(words.slice(0, -1).join(' ')))?.[1];
    const side = SIDES.find(([pattern]) => pattern.test(words.at(-1)!))?.[1];
    if (!range || !kind || !side)
      return { problem: `“${part}” is not understood; write it like “bunker left 225-260”` };
    const [fromM, toM] = [toMetres(numberIn(range[1]!), unit), toMetres(numberIn(range[2]!), unit)];
    if (!(toM > fromM)) return { problem: `“${part}” ends before it begins` };
    if (fromM < HAZARD_BOUNDS.fromM[0] || toM > HAZARD_BOUNDS.toM[1])
      return {
        problem: `“${part}” lies beyond ${Math.round(fromMetres(HAZARD_BOUNDS.toM[1], unit))} ${unit}`,
      };
    found.push({ kind, side, fromM: tenth(fromM), toM: tenth(toM) });
  }
  return found.length > 12 ? { problem: 'a hole has at most 12 hazards' } : found;
}

export function hazardWords(hazards: readonly Hazard[], unit: DistanceUnit): string {
  return hazards
    .map(
      ({ kind, side, fromM, toM }) =>
        `${kind} ${side} ${distanceNumber(fromM, unit)}-${distanceNumber(toM, unit)}`,
    )
    .join('; ');
}

/** The columns of a course with these tees. */
export function holeColumns(tees: readonly string[], unit: DistanceUnit): HoleColumn[] {
  const within = (
    text: string,
    field: keyof typeof HOLE_BOUNDS,
    label: string,
    metres: boolean,
  ): number | { problem: string } => {
    const [min, max] = HOLE_BOUNDS[field];
    const value = metres ? tenth(toMetres(numberIn(text), unit)) : numberIn(text);
    const shown = (m: number) => (metres ? Math.round(fromMetres(m, unit)) : m);
    return text.trim() !== '' && value >= min - 1e-9 && value <= max + 1e-9
      ? value
      : {
          problem: `${label} must be between ${shown(min)} and ${shown(max)}${metres ? ` ${unit}` : ''}, not “${text}”`,
        };
  };
  const metres = (
    id: 'elevationChangeM' | 'corridorM' | 'greenM',
    label: string,
    title: string,
  ): HoleColumn => ({
    id,
    label,
    title,
    px: 62,
    show: (hole) => distanceNumber(hole[id], unit),
    read: (hole, text) => {
      const value = within(text, id, label, true);
      return typeof value === 'number' ? { ...hole, [id]: value } : value;
    },
  });
  const words = <T extends Front | Slope>(
    id: 'front' | 'slope',
    label: string,
    title: string,
    of: readonly T[],
  ): HoleColumn => ({
    id,
    label,
    title,
    px: 72,
    show: (hole) => hole[id],
    read: (hole, text) => {
      const value = of.find((one) => one === text.trim().toLowerCase());
      return value
        ? { ...hole, [id]: value }
        : { problem: `${label} must be one of ${of.join(', ')}, not “${text}”` };
    },
  });
  return [
    {
      id: 'par',
      label: 'Par',
      title: 'Par',
      px: 44,
      show: ({ par }) => String(par),
      read: (hole, text) => {
        const value = within(text, 'par', 'Par', false);
        return typeof value !== 'number'
          ? value
          : Number.isInteger(value)
            ? { ...hole, par: value }
            : { problem: `Par must be a whole number, not “${text}”` };
      },
    },
    ...tees.map((tee, i): HoleColumn => ({
      id: `length ${i}`,
      label: tee,
      title: `Length from the ${tee} tee, ${unit}`,
      px: 64,
      show: ({ lengthsM }) => distanceNumber(lengthsM[i] ?? 0, unit),
      // A typed length is no longer the line's of the map.
      read: ({ line: _line, ...hole }, text) => {
        const value = within(text, 'lengthM', `Length from ${tee}`, true);
        return typeof value === 'number' ? { ...hole, lengthsM: hole.lengthsM.with(i, value) } : value;
      },
    })),
    {
      id: 'bearing',
      label: 'Bearing',
      title: 'From tee to green, degrees clockwise from north',
      px: 62,
      show: ({ bearingDeg }) => (bearingDeg === null ? '' : String(Math.round(bearingDeg))),
      read: ({ line: _line, ...hole }, text) => {
        if (text.trim() === '') return { ...hole, bearingDeg: null };
        const value = within(text, 'bearingDeg', 'Bearing', false);
        return typeof value === 'number' ? { ...hole, bearingDeg: value } : value;
      },
    },
    metres('elevationChangeM', 'Rise', `The green above the first tee, ${unit}`),
    metres('corridorM', 'Corridor', `Width of the area a tee shot may land in, ${unit}`),
    metres('greenM', 'Green', `Depth of the green, ${unit}`),
    words('front', 'Front', `What lies before the green: ${FRONTS.join(', ')}`, FRONTS),
    words('slope', 'Slope', `The green's tilt as the player sees it: ${SLOPES.join(', ')}`, SLOPES),
    {
      id: 'hazards',
      label: 'Hazards',
      title: `From the first tee, ${unit}: bunker left 225-260; water across 300-320`,
      px: 290,
      show: ({ hazards }) => hazardWords(hazards, unit),
      read: (hole, text) => {
        const hazards = readHazards(text, unit);
        return 'problem' in hazards ? hazards : { ...hole, hazards };
      },
    },
  ];
}
