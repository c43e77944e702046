import { GAP_SETTING_BOUNDS, fromMetres, type DistanceUnit, type GapSettings } from '@tasche/core';
import {
  readDistance,
  readInches,
  readPlainNumber,
  type DistanceTextUnit,
  type Read,
} from './numbers-in-text.js';

/**
 * How a threshold is written: a distance in the player's unit, a height in feet or metres, degrees, a share
 * of something, or a plain number.
 */
export type GapSettingMeasure = 'distance' | 'height' | 'deg' | 'percent' | 'times' | 'count' | 'in';

/** One threshold of a player as people read and type it. */
export interface GapSettingField {
  key: keyof GapSettings;
  label: string;
  measure: GapSettingMeasure;
  /** What happens at it, in one sentence. */
  says: string;
}

export const GAP_SETTING_FIELDS: readonly GapSettingField[] = [
  {
    key: 'wedgeLoftStepMaxDeg',
    label: 'Wedge loft step, at most',
    measure: 'deg',
    says: 'A wider loft step between wedges is a fault.',
  },
  {
    key: 'wedgeLoftStepMinDeg',
    label: 'Wedge loft step, at least',
    measure: 'deg',
    says: 'A smaller loft step between wedges is worth a look.',
  },
  {
    key: 'scoringFromLoftDeg',
    label: 'Scoring end from',
    measure: 'deg',
    says: 'Clubs at this loft or weaker are the scoring end.',
  },
  {
    key: 'scoringStepMaxM',
    label: 'Carry step there, at most',
    measure: 'distance',
    says: 'A wider step at the scoring end is a fault.',
  },
  {
    key: 'topStepMaxM',
    label: 'Carry step above, at most',
    measure: 'distance',
    says: 'A wider step above the scoring end is a fault.',
  },
  {
    key: 'driverStepMaxM',
    label: 'Driver to the next club, at most',
    measure: 'distance',
    says: 'A wider step is worth a look; drivers leave a larger step than other clubs.',
  },
  {
    key: 'overlapBelowM',
    label: 'Overlap below',
    measure: 'distance',
    says: 'A smaller step is an overlap, unless the flights differ.',
  },
  {
    key: 'eitherOrApexM',
    label: 'Flights differ by apex',
    measure: 'height',
    says: 'From this difference in apex on, two clubs of one carry are an either-or pair.',
  },
  {
    key: 'eitherOrDescentDeg',
    label: 'or by landing angle',
    measure: 'deg',
    says: 'The same, for the landing angle.',
  },
  {
    key: 'targetStepM',
    label: 'Wanted step',
    measure: 'distance',
    says: 'The step you want between clubs; 0 works it out from the bag’s reach.',
  },
  {
    key: 'wideOfTarget',
    label: 'Wide from',
    measure: 'times',
    says: 'A step this many times its target is worth a look.',
  },
  {
    key: 'faultOfTarget',
    label: 'At fault from',
    measure: 'times',
    says: 'A step this many times its target is a fault, unless the limits above allow it.',
  },
  {
    key: 'narrowOfTarget',
    label: 'Narrow below',
    measure: 'percent',
    says: 'A step below this share of its target is worth a look.',
  },
  {
    key: 'confidence',
    label: 'How sure a verdict must be',
    measure: 'percent',
    says: 'A step less sure than this is “not known yet”.',
  },
  {
    key: 'indifferenceM',
    label: 'Close to a limit within',
    measure: 'distance',
    says: 'A step this close to a limit that shots cannot settle is “at the limit”: no fault.',
  },
  {
    key: 'reliableShots',
    label: 'A partial shot counts from',
    measure: 'count',
    says: 'This many measured shots let a partial cover a gap, however they spread; fewer do if they lie close together.',
  },
  {
    key: 'clubLimit',
    label: 'Clubs at most',
    measure: 'count',
    says: 'Rule 4.1b allows fourteen; a winter bag may hold fewer.',
  },
  {
    key: 'lengthMaxIn',
    label: 'Longest club',
    measure: 'in',
    says: '48 in; a committee may limit it to 46 in.',
  },
];

const SUFFIX: Record<'deg' | 'times' | 'percent' | 'count', RegExp> = {
  deg: /^(°|deg|degrees?)$/i,
  times: /^(x|×|times)$/i,
  percent: /^%$/,
  count: /^(clubs?|shots?)$/i,
};

function distanceUnitOf(measure: 'distance' | 'height', unit: DistanceUnit): DistanceTextUnit {
  return measure === 'height' && unit === 'yd' ? 'ft' : unit;
}

/** The unit beside a field. */
export function gapSettingUnit({ measure, key }: GapSettingField, unit: DistanceUnit): string {
  switch (measure) {
    case 'distance':
    case 'height':
      return distanceUnitOf(measure, unit);
    case 'deg':
      return '°';
    case 'percent':
      return '%';
    case 'times':
      return 'times';
    case 'count':
      return key === 'clubLimit' ? 'clubs' : 'shots';
    case 'in':
      return 'in';
  }
}

/** A threshold as it is typed, without its unit: "15", "6.5". */
export function showGapSetting({ measure }: GapSettingField, value: number, unit: DistanceUnit): string {
  const shown =
    measure === 'distance' || measure === 'height'
      ? fromMetres(value, distanceUnitOf(measure, unit))
      : measure === 'percent'
        ? value * 100
        : value;
  return String(Number(shown.toFixed(measure === 'percent' ? 1 : 2)));
}

/** Reads a typed threshold: "15", "15 yd", "80 %", within the bounds the server keeps. */
export function readGapSetting(field: GapSettingField, text: string, unit: DistanceUnit): Read<number> {
  const { measure, key, label } = field;
  const read =
    measure === 'distance' || measure === 'height'
      ? readDistance(text.trim(), distanceUnitOf(measure, unit))
      : measure === 'in'
        ? readInches(text)
        : readPlainNumber(text.trim(), SUFFIX[measure]);
  if (!read.ok) return read;
  const value = measure === 'percent' ? read.value / 100 : read.value;
  const [min, max] = GAP_SETTING_BOUNDS[key];
  if (value < min || value > max) {
    const bound = (edge: number) => showGapSetting(field, edge, unit);
    return {
      ok: false,
      reason: `${label} must be between ${bound(min)} and ${bound(max)} ${gapSettingUnit(field, unit)}`,
    };
  }
  if (measure === 'count' && !Number.isInteger(value))
    return { ok: false, reason: `${label} must be a whole number` };
  return { ok: true, value };
}
