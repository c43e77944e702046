import { welchInterval } from '../statistics/index.js';
import type { Build, BuildParts } from './build.js';
import { errorOf, measuredOf, type Measure, type Measured } from './measures.js';

/** Parts of a build that may be crossed: every head with every shaft, or with every ball. */
export type CrossedPart = 'head' | 'shaft' | 'ball';
const CROSSINGS: readonly (readonly [CrossedPart, CrossedPart])[] = [
  ['head', 'shaft'],
  ['head', 'ball'],
  ['shaft', 'ball'],
];

/** One level of a part against the first, over all levels of the other part. */
export interface MainEffect {
  part: CrossedPart;
  level: string;
  against: string;
  by: number;
  low: number;
  high: number;
}

/** Two parts of the builds crossed with each other. */
export interface Crossing {
  rows: { part: CrossedPart; levels: readonly string[] };
  columns: { part: CrossedPart; levels: readonly string[] };
  /** Row by row; null where it was not hit, or not often enough. */
  cells: readonly (readonly (Measured | null)[])[];
  /**
   * Of each part; empty unless every cell was hit, for then a part's levels would be held against each other
   * in different company.
   */
  effects: readonly MainEffect[];
}

const CONFIDENCE = 0.95;

/**
 * The builds as a grid of two of their parts, the first pair of parts that both come in two levels or more;
 * undefined where there is none. A main effect is the difference of the unweighted means of the cells (F.
 * Yates, Journal of the American Statistical Association 29 (1934) 51-66).
 */
export function crossingOf(builds: readonly Build[], measure: Measure): Crossing | undefined {
  for (const [rowPart, columnPart] of CROSSINGS) {
    const [rows, columns] = [levelsOf(builds, rowPart), levelsOf(builds, columnPart)];
    if (rows.length < 2 || columns.length < 2) continue;
    const cells = rows.map((row) =>
      columns.map((column) => {
        const strikes = builds
          .filter(({ parts }) => parts[rowPart] === row && parts[columnPart] === column)
          .flatMap((build) => build.strikes);
        return measuredOf(strikes, measure) ?? null;
      }),
    );
    // What shares no head and no shaft is told by the pairs, not by a grid.
    if (!cells.some(isShared) || !columns.some((_column, c) => isShared(cells.map((row) => row[c]!))))
      continue;
    return {
      rows: { part: rowPart, levels: rows },
      columns: { part: columnPart, levels: columns },
      cells,
      effects: cells.flat().every((cell) => cell !== null)
        ? [
            ...effectsOf(rowPart, rows, cells as Measured[][]),
            ...effectsOf(
              columnPart,
              columns,
              columns.map((_column, c) => (cells as Measured[][]).map((row) => row[c]!)),
            ),
          ]
        : [],
    };
  }
  return undefined;
}

function isShared(cells: readonly (Measured | null)[]): boolean {
  return cells.filter((cell) => cell !== null).length > 1;
}

function levelsOf(builds: readonly Build[], part: keyof BuildParts): string[] {
  return [...new Set(builds.flatMap(({ parts }) => (typeof parts[part] === 'string' ? [parts[part]] : [])))];
}

/** @param lines the cells of each level */
function effectsOf(
  part: CrossedPart,
  levels: readonly string[],
  lines: readonly (readonly Measured[])[],
): MainEffect[] {
  const means = lines.map((line) => {
    const errors = line.map(errorOf);
    const variance =
      errors.reduce((sum, { standardError }) => sum + standardError ** 2, 0) / line.length ** 2;
    return {
      mean: line.reduce((sum, { mean }) => sum + mean, 0) / line.length,
      standardError: Math.sqrt(variance),
      n: Math.min(...line.map(({ n }) => n)),
    };
  });
  return levels.slice(1).map((level, i) => {
    const { low, high } = welchInterval(means[i + 1]!, means[0]!, CONFIDENCE);
    return { part, level, against: levels[0]!, by: means[i + 1]!.mean - means[0]!.mean, low, high };
  });
}
