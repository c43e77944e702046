import { numberIn, textIn, type Spec } from '../spec/index.js';

/** A shaft of the locker beside the one that is wanted; how far away it is, and every difference in words. */
interface NearShaft {
  clubId: string;
  /** 0 is the same in all that is known; 1 is what most players notice at once. */
  distance: number;
  differences: readonly string[];
  /** Parts of it nobody has written down. */
  unknown: readonly string[];
}

/* What makes a player notice another shaft, one by itself. Ours. */
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

/** A flex as a number: R is 2, S is 3, 6.0 as stiff as S is written by some; undefined for a word nobody ranks. */
function flexRank(flex: string | undefined): number | undefined {
  if (flex === undefined) return undefined;
  const plain = flex.trim().toUpperCase().replace(/[+-]$/, '');
  const rank = FLEXES.indexOf(plain as (typeof FLEXES)[number]);
  if (rank < 0) return undefined;
  return rank + (/\+$/.test(flex.trim()) ? 0.5 : /-$/.test(flex.trim()) ? -0.5 : 0);
}

/**
 * The shafts of a locker by how near they come to a club's: weight, flex, torque, tip and stepping, the
 * differences said. What is not written down counts as a middling difference.
 * @param wanted the spec of the club whose shaft broke
 * @param clubs the others, of any kind; those without a shaft are left out
 */
export function nearestShafts(wanted: Spec, clubs: readonly { id: string; spec: Spec }[]): NearShaft[] {
  return clubs
    .filter(({ spec }) => spec.shaft !== undefined || spec.shaftWeightG !== undefined)
    .map(({ id, spec }): NearShaft => {
      const differences: string[] = [];
      const unknown: string[] = [];
      let squares = 0;
      const compare = (
        label: string,
        was: number | undefined,
        is: number | undefined,
        noticed: number,
        words: (difference: number) => string,
      ) => {
        if (was === undefined && is === undefined) return;
        if (was === undefined || is === undefined) {
          unknown.push(label);
          squares += UNKNOWN_DISTANCE ** 2;
          return;
        }
        squares += ((is - was) / noticed) ** 2;
        if (Math.abs(is - was) > 1e-9) differences.push(words(is - was));
      };
      const size = (difference: number, digits: number) => Number(Math.abs(difference).toFixed(digits));
      const numbers = (key: 'shaftWeightG' | 'torqueDeg' | 'tipTrimIn') =>
        [numberIn(wanted, key), numberIn(spec, key)] as const;
      compare(
        'weight',
        ...numbers('shaftWeightG'),
        NOTICED.shaftWeightG,
        (g) => `${size(g, 0)} g ${g > 0 ? 'heavier' : 'lighter'}`,
      );
      const flexes = [textIn(wanted, 'flex'), textIn(spec, 'flex')] as const;
      compare(
        'flex',
        flexRank(flexes[0]),
        flexRank(flexes[1]),
        NOTICED.flexes,
        (f) => `${f > 0 ? 'stiffer' : 'softer'} (${flexes[1]} for ${flexes[0]})`,
      );
      compare(
        'torque',
        ...numbers('torqueDeg'),
        NOTICED.torqueDeg,
        (t) => `torque ${size(t, 1)}° ${t > 0 ? 'more' : 'less'}`,
      );
      compare(
        'tip',
        ...numbers('tipTrimIn'),
        NOTICED.tipTrimIn,
        (t) => `tipped ${size(t, 2)} in ${t > 0 ? 'more' : 'less'}`,
      );
      const steps = [wanted, spec].map((one) => STEPS[textIn(one, 'stepping') ?? 'standard']);
      compare('stepping', steps[0], steps[1], NOTICED.steps, (s) => `stepped ${s > 0 ? 'harder' : 'softer'}`);
      const [name, other] = [textIn(wanted, 'shaft'), textIn(spec, 'shaft')];
      if (name !== undefined && other !== undefined && name !== other)
        differences.unshift(`${other} for ${name}`);
      return { clubId: id, distance: Math.sqrt(squares), differences, unknown };
    })
    .sort((a, b) => a.distance - b.distance || a.differences.length - b.differences.length);
}

/**
 * What tradition says of a shaft's weight beside its neighbour's; undefined where it is as usual, or a weight
 * is not known. Common practice, no source.
 */
export function shaftTradition(clubs: readonly { name: string; kind: string; spec: Spec }[]): string[] {
  const of = (kind: string) =>
    clubs.filter((club) => club.kind === kind && numberIn(club.spec, 'shaftWeightG') !== undefined);
  const weight = (club: { spec: Spec }) => numberIn(club.spec, 'shaftWeightG')!;
  const said: string[] = [];
  const judge = (upper: string, lower: string, min: number, max: number, text: string) => {
    const [above] = of(upper);
    if (!above) return;
    for (const club of of(lower)) {
      const heavier = weight(club) - weight(above);
      if (heavier < min || heavier > max)
        said.push(
          `${club.name}: its shaft is ${Math.abs(heavier)} g ${heavier < 0 ? 'lighter' : 'heavier'} than the ${above.name}’s; ${text}.`,
        );
    }
  };
  judge('driver', 'fairway', 5, 15, 'tradition is 5 to 15 g heavier than the driver’s');
  judge('fairway', 'hybrid', 10, 20, 'tradition is 10 to 20 g heavier than the fairway wood’s');
  return said;
}
