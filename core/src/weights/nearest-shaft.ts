import { numberIn, textIn, type Spec } from '../spec/index.js';

/** What two shafts differ in: the other less the wanted one, or both as they are written. */
export type ShaftDifference =
  | { part: 'weight' | 'torque' | 'tip' | 'stepping'; by: number }
  | { part: 'flex'; by: number; wanted: string; other: string }
  | { part: 'shaft'; wanted: string; other: string };
type ComparedPart = Exclude<ShaftDifference['part'], 'shaft'>;

/**
 * A shaft of the locker beside the one that is wanted: how far away it is, and in what
 * (`shaftDifferenceWords`).
 */
interface NearShaft {
  clubId: string;
  /** 0 is the same in all that is known; 1 is what most players notice at once. */
  distance: number;
  differences: readonly ShaftDifference[];
  /** Parts of it that are not recorded. */
  unknown: readonly ComparedPart[];
}

/* What makes a player notice another shaft, one by itself. Our choice. */
const NOTICED = { shaftWeightG: 10, torqueDeg: 1, tipTrimIn: 0.5, flexes: 1, steps: 2 } as const;
const UNKNOWN_DISTANCE = 0.5;
const FLEXES = ['L', 'A', 'R', 'S', 'X', 'TX'] as const;
const STEPS: Readonly<Record<string, number>> = {
  'soft-stepped twice': -2,
  'soft-stepped': -1,
  standard: 0,
  'hard-stepped': 1,
  'hard-stepped twice': 2,
};

/**
 * A flex as a number: R is 2, S is 3, 6.0 as stiff as S is written by some; undefined for a word without a
 * rank.
 */
function flexRank(flex: string): number | undefined {
  const plain = flex.trim().toUpperCase().replace(/[+-]$/, '');
  const rank = FLEXES.indexOf(plain as (typeof FLEXES)[number]);
  if (rank < 0) return undefined;
  return rank + (/\+$/.test(flex.trim()) ? 0.5 : /-$/.test(flex.trim()) ? -0.5 : 0);
}

/**
 * The shafts of a locker by how near they come to a club's: weight, flex, torque, tip and stepping, the
 * differences with it. What is not recorded counts as a middling difference.
 * @param wanted the spec of the club whose shaft broke
 * @param clubs the others, of any kind; those without a shaft are left out
 */
export function nearestShafts(wanted: Spec, clubs: readonly { id: string; spec: Spec }[]): NearShaft[] {
  return clubs
    .filter(({ spec }) => spec.shaft !== undefined || spec.shaftWeightG !== undefined)
    .map(({ id, spec }): NearShaft => {
      const differences: ShaftDifference[] = [];
      const unknown: ComparedPart[] = [];
      let squares = 0;
      const compare = (
        part: ComparedPart,
        was: number | undefined,
        is: number | undefined,
        noticed: number,
        difference: (by: number) => ShaftDifference,
      ) => {
        if (was === undefined && is === undefined) return;
        if (was === undefined || is === undefined) {
          unknown.push(part);
          squares += UNKNOWN_DISTANCE ** 2;
          return;
        }
        squares += ((is - was) / noticed) ** 2;
        if (Math.abs(is - was) > 1e-9) differences.push(difference(is - was));
      };
      const number = (part: 'weight' | 'torque' | 'tip', key: 'shaftWeightG' | 'torqueDeg' | 'tipTrimIn') => {
        compare(part, numberIn(wanted, key), numberIn(spec, key), NOTICED[key], (by) => ({ part, by }));
      };
      const both = (key: 'flex' | 'shaft') => ({
        wanted: textIn(wanted, key) ?? '',
        other: textIn(spec, key) ?? '',
      });
      number('weight', 'shaftWeightG');
      const flexes = both('flex');
      compare('flex', flexRank(flexes.wanted), flexRank(flexes.other), NOTICED.flexes, (by) => ({
        part: 'flex',
        by,
        ...flexes,
      }));
      number('torque', 'torqueDeg');
      number('tip', 'tipTrimIn');
      const [was, is] = [wanted, spec].map((one) => STEPS[textIn(one, 'stepping') ?? 'standard']);
      compare('stepping', was, is, NOTICED.steps, (by) => ({ part: 'stepping', by }));
      const shafts = both('shaft');
      if (shafts.wanted && shafts.other && shafts.wanted !== shafts.other)
        differences.unshift({ part: 'shaft', ...shafts });
      return { clubId: id, distance: Math.sqrt(squares), differences, unknown };
    })
    .sort((a, b) => a.distance - b.distance || a.differences.length - b.differences.length);
}

/**
 * A shaft that is heavier or lighter beside its neighbour's than tradition has it; `shaftTraditionSentence`
 * says it.
 */
export interface ShaftOutOfLine {
  name: string;
  besideName: string;
  /** Of its shaft against the neighbour's, grams; less than zero is lighter. */
  heavierG: number;
  beside: keyof typeof SHAFT_STEPS_G;
}

/**
 * From which kind to which, and by how much the shafts of the second are heavier, grams. Common practice, no
 * source.
 */
export const SHAFT_STEPS_G = {
  driver: { next: 'fairway', min: 5, max: 15 },
  fairway: { next: 'hybrid', min: 10, max: 20 },
} as const;

/**
 * The woods and hybrids whose shaft is out of tradition beside the longer club's; nothing of a weight not
 * known.
 */
export function shaftTradition(
  clubs: readonly { name: string; kind: string; spec: Spec }[],
): ShaftOutOfLine[] {
  const known = (kind: string) =>
    clubs.flatMap(({ name, kind: own, spec }) => {
      const weightG = numberIn(spec, 'shaftWeightG');
      return own === kind && weightG !== undefined ? [{ name, weightG }] : [];
    });
  return (['driver', 'fairway'] as const).flatMap((beside) => {
    const { next, min, max } = SHAFT_STEPS_G[beside];
    const [above] = known(beside);
    if (!above) return [];
    return known(next)
      .map(({ name, weightG }) => ({
        name,
        besideName: above.name,
        heavierG: weightG - above.weightG,
        beside,
      }))
      .filter(({ heavierG }) => heavierG < min || heavierG > max);
  });
}
