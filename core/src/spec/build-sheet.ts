import { playingLoft } from './playing-loft.js';
import type { QuantityKey } from './quantities.js';
import { numberIn, type Reading, type Spec } from './readings.js';

/** What a club is built of, in the order a builder works. A loft and a lie are those it is really at. */
export const BUILD_SHEET: readonly { title: string; keys: readonly QuantityKey[] }[] = [
  {
    title: 'Head',
    keys: [
      'head',
      'headMaterial',
      'serial',
      'loftStampedDeg',
      'loftSetDeg',
      'lieSetDeg',
      'bounceDeg',
      'grind',
      'sleevePositions',
      'setting',
      'headWeightG',
      'toeHangDeg',
    ],
  },
  {
    title: 'Shaft',
    keys: ['shaft', 'shaftWeightG', 'flex', 'torqueDeg', 'tipTrimIn', 'stepping', 'ferrule', 'lengthIn'],
  },
  { title: 'Grip', keys: ['grip', 'gripWraps', 'gripWeightG', 'counterweightG'] },
  { title: 'Weight', keys: ['weights', 'leadG', 'leadPlace', 'swingWeight', 'totalWeightG'] },
];

/** A part of a build and the day it was recorded; the day is left out where it is not of one reading. */
interface BuildPart {
  key: QuantityKey;
  value: number | string;
  takenOn?: string;
}

/** One head has one of them. */
const OWN: readonly QuantityKey[] = ['serial'];

/**
 * A club's build as it stands: every part that is known, the loft and the lie as they are now, whatever they
 * were set to.
 */
export function buildOf(spec: Spec): BuildPart[] {
  const loft = playingLoft(spec);
  return BUILD_SHEET.flatMap(({ keys }) => keys).flatMap((key): BuildPart[] => {
    if (key === 'loftSetDeg') return loft ? [{ key, value: loft.deg, takenOn: loft.takenOn }] : [];
    if (key === 'lieSetDeg') {
      const lie = numberIn(spec, 'lieDeg') ?? numberIn(spec, 'lieSetDeg');
      return lie === undefined ? [] : [{ key, value: lie }];
    }
    const fact = spec[key];
    return fact && typeof fact.value !== 'object' ? [{ key, value: fact.value, takenOn: fact.takenOn }] : [];
  });
}

/** What makes a club of the same build: the readings of a new one. Its serial number is its own. */
export function copyOfBuild(spec: Spec, takenOn: string): Reading[] {
  return buildOf(spec)
    .filter(({ key }) => !OWN.includes(key))
    .map(({ key, value }) => ({ key, value, takenOn }));
}

/** Where two builds differ, serial numbers left out. */
export function buildDifferences(a: Spec, b: Spec): QuantityKey[] {
  const parts = (spec: Spec) => new Map(buildOf(spec).map(({ key, value }) => [key, value]));
  const [one, other] = [parts(a), parts(b)];
  return [...new Set([...one.keys(), ...other.keys()])].filter(
    (key) => !OWN.includes(key) && one.get(key) !== other.get(key),
  );
}
