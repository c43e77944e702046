// @ts-expect-error -- the package ships no types
import jstat from 'jstat';
import * as simple from 'simple-statistics';
import {
  deviationOf,
  ellipseOf,
  equivalence,
  expectedStrokes,
  holdingScale,
  meanHalfWidth,
  meanOf,
  normalCdf,
  normalFrom,
  quantileOf,
  randomFrom,
  robustMeanOf,
  shotsToTell,
  studentTQuantile,
  welchInterval,
  type MeanWithError,
} from '../../src/index.js';
import { medianDeviationOf } from '../../src/statistics/robust.js';
import { atMost, between, nearBy, type Row, type Section } from './row.js';

const { jStat } = jstat as unknown as {
  jStat: {
    normal: { cdf(x: number, mean: number, sd: number): number };
    studentt: { inv(p: number, df: number): number; cdf(t: number, df: number): number };
    centralF: { inv(p: number, df1: number, df2: number): number };
    quantiles(values: readonly number[], ps: readonly number[], alphap: number, betap: number): number[];
  };
};

/**
 * W. N. Venables and B. D. Ripley, Modern Applied Statistics with S (2002), section 5.5: copper in wholemeal
 * flour. Data and answers from memory.
 */
const COPPER = [
  2.9, 3.1, 3.4, 3.4, 3.7, 3.7, 2.8, 2.5, 2.4, 2.4, 2.7, 2.2, 5.28, 3.37, 3.03, 3.03, 28.95, 3.77, 3.4, 2.2,
  3.5, 3.6, 3.7, 3.7,
];
/**
 * Student's own example of two soporifics, Biometrika 6 (1908), as R's `sleep` has it; Welch's interval of
 * the difference, from memory: -3.3655 to 0.2055.
 */
const SLEEP = [
  [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2],
  [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4],
] as const;

const errorOf = (values: readonly number[]): MeanWithError => ({
  mean: meanOf(values),
  standardError: deviationOf(values) / Math.sqrt(values.length),
  n: values.length,
});

/** Against textbooks and general libraries. */
export function referenceSection(): Section {
  const normal = normalFrom(randomFrom(9));
  const sample = Array.from({ length: 31 }, () => 150 + 4 * normal());
  const worst = (pairs: readonly (readonly [number, number])[]) =>
    Math.max(...pairs.map(([a, b]) => Math.abs(a - b)));
  const sleep = welchInterval(errorOf(SLEEP[0]), errorOf(SLEEP[1]), 0.95);
  const xs = Array.from({ length: 161 }, (_one, i) => -8 + i / 10);
  const dfs = [1, 2, 5, 9.7, 30, 200];
  const test = equivalence(
    { mean: 0.7, standardError: 0.9, n: 12 },
    { mean: 0, standardError: 1.1, n: 15 },
    3,
  );
  const error = Math.hypot(0.9, 1.1);
  return {
    title: 'Statistics against textbooks and libraries',
    words: 'Textbook answers are from memory; libraries are simple-statistics 7 and jStat 1.9.',
    rows: [
      nearBy('copper in flour: mean', meanOf(COPPER), 4.2804, 0.01, '', 4),
      nearBy(
        'copper in flour: scaled median absolute deviation',
        medianDeviationOf(COPPER),
        0.52632,
        0.01,
        '',
        5,
      ),
      nearBy(
        'copper in flour: Huber’s mean, k = 1.5 (Venables and Ripley, section 5.5)',
        robustMeanOf(COPPER),
        3.2067,
        0.01,
        '',
        4,
      ),
      nearBy('Student’s sleep data: Welch, low end', sleep.low, -3.3655, 0.01, '', 4),
      nearBy('Student’s sleep data: Welch, high end', sleep.high, 0.2055, 0.05, '', 4),
      nearBy('Student’s sleep data: degrees of freedom', sleep.df, 17.776, 0.01, '', 3),
      atMost(
        'standard deviation against simple-statistics',
        Math.abs(deviationOf(sample) - simple.sampleStandardDeviation(sample)),
        1e-9,
        '',
      ),
      atMost(
        'quantiles (definition 7) against jStat, worst of 19',
        worst(
          Array.from(
            { length: 19 },
            (_one, i) =>
              [quantileOf(sample, (i + 1) / 20), jStat.quantiles(sample, [(i + 1) / 20], 1, 1)[0]!] as const,
          ),
        ),
        1e-9,
        '',
      ),
      atMost(
        'normal distribution against jStat, worst of 161 places',
        worst(xs.map((x) => [normalCdf(x), jStat.normal.cdf(x, 0, 1)] as const)),
        1e-9,
        '',
      ),
      atMost(
        'Student’s quantile at 97.5 % against jStat, worst of 6',
        worst(dfs.map((df) => [studentTQuantile(0.975, df), jStat.studentt.inv(0.975, df)] as const)),
        1e-5,
        '',
      ),
      atMost(
        'p of two one-sided tests against jStat’s t',
        Math.abs(
          test.p -
            Math.max(
              jStat.studentt.cdf((0.7 - 3) / error, test.df),
              1 - jStat.studentt.cdf((0.7 + 3) / error, test.df),
            ),
        ),
        1e-8,
        '',
      ),
      nearBy(
        'prediction ellipse of 12 points at 90 % against jStat’s F',
        holdingScale(12, 0.9),
        Math.sqrt(((2 * 11 * 13) / (12 * 10)) * jStat.centralF.inv(0.9, 2, 10)),
        0.001,
        'deviations',
        5,
      ),
    ],
  };
}

const SESSIONS = 10_000;

/**
 * How often an interval that claims to holds the truth, over 10,000 simulated sessions; the seed is always
 * the same.
 */
export function coverageSection(): Section {
  const normal = normalFrom(randomFrom(4));
  const session = (n: number, mean: number, spread: number) =>
    Array.from({ length: n }, () => mean + spread * normal());
  const share = (held: () => boolean) => {
    let count = 0;
    for (let i = 0; i < SESSIONS; i++) if (held()) count += 1;
    return (100 * count) / SESSIONS;
  };
  const rows: Row[] = [
    ...[4, 10, 30].map((n) =>
      between(
        `95 % interval of the mean of ${n} shots`,
        share(() => {
          const shots = session(n, 150, 4);
          return Math.abs(meanOf(shots) - 150) <= meanHalfWidth(deviationOf(shots), n)!;
        }),
        93,
        97,
        '%',
        1,
      ),
    ),
    ...(
      [
        [8, 8, 4, 4],
        [6, 14, 3, 7],
      ] as const
    ).map(([nA, nB, sA, sB]) =>
      between(
        `95 % interval of the difference of clubs hit ${nA} and ${nB} times, spreads ${sA} and ${sB}`,
        share(() => {
          const { low, high } = welchInterval(
            errorOf(session(nA, 160, sA)),
            errorOf(session(nB, 150, sB)),
            0.95,
          );
          return low <= 10 && high >= 10;
        }),
        93,
        97,
        '%',
        1,
      ),
    ),
    ...[5, 12, 60].map((n) =>
      between(
        `80 % ellipse of ${n} shots holds the next`,
        share(() => {
          const [x, z] = [session(n + 1, 150, 5), session(n + 1, 0, 3)];
          const { x: cx, y: cy, major, minor, turn } = ellipseOf(x.slice(1), z.slice(1))!;
          const [dx, dz] = [x[0]! - cx, z[0]! - cy];
          return (
            Math.hypot(
              (dx * Math.cos(turn) + dz * Math.sin(turn)) / major,
              (-dx * Math.sin(turn) + dz * Math.cos(turn)) / minor,
            ) <= holdingScale(n, 0.8)
          );
        }),
        78,
        82,
        '%',
        1,
      ),
    ),
    between(
      'two clubs a margin apart, 12 shots each, called a match at 5 %',
      share(() => equivalence(errorOf(session(12, 153, 4)), errorOf(session(12, 150, 4)), 3).p < 0.05),
      0,
      6,
      '%',
      1,
    ),
    between(
      `the shots asked for (${shotsToTell(4, 4, 4, 0.025)} each) tell 4 m at a spread of 4 m`,
      share(() => {
        const n = shotsToTell(4, 4, 4, 0.025);
        return welchInterval(errorOf(session(n, 154, 4)), errorOf(session(n, 150, 4)), 0.95).low > 0;
      }),
      77,
      85,
      '%',
      1,
    ),
  ];
  return {
    title: 'Intervals over 10,000 simulated sessions',
    words:
      'Normal shots from a seeded generator. An interval that claims 95 % must hold the truth 93 to 97 times in a hundred; an ellipse that claims 80 %, 78 to 82; two clubs that are not a match may be called one 5 times.',
    rows,
  };
}

/** Rows of Broadie's table by lie: yards (feet on the green) and strokes. From memory. */
const BROADIE = [
  ['tee', 400, 3.99],
  ['fairway', 100, 2.8],
  ['fairway', 160, 2.98],
  ['rough', 100, 3.02],
  ['rough', 200, 3.42],
  ['sand', 20, 2.53],
  ['sand', 100, 3.23],
  ['green', 8, 1.5],
  ['green', 33, 2.004],
] as const;

export function strokesSection(): Section {
  return {
    title: 'Strokes to hole out',
    words:
      'M. Broadie, Interfaces 42(2), 2012, 146-165; values from memory, so this shows that the table is read and drawn straight between its rows, not that it was remembered right.',
    rows: BROADIE.map(([lie, distance, strokes]) =>
      nearBy(
        `${lie}, ${distance} ${lie === 'green' ? 'ft' : 'yd'}`,
        expectedStrokes(lie, distance * (lie === 'green' ? 0.3048 : 0.9144)),
        strokes,
        0.01,
        'strokes',
        3,
      ),
    ),
  };
}
