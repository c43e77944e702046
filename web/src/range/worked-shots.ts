import type { CompleteStrike, Outlier } from '@tasche/core';

/** What a page shows of a ball that was filled in. */
const PARTS = [
  'carryM',
  'totalM',
  'offlineM',
  'ballSpeedMps',
  'launchDeg',
  'spinRpm',
  'apexM',
  'descentDeg',
] as const;
type Part = (typeof PARTS)[number];

export type WorkedShot = Pick<CompleteStrike, Part | 'isSideKnown'> & {
  atBaseline: Pick<CompleteStrike['atBaseline'], 'carryM'>;
};

/** A ball as it was worked out, or why it could not be. */
interface WorkedRow {
  whole: WorkedShot | null;
  /** Empty where it could be. */
  refused: string;
  outlier: Outlier | undefined;
}

/**
 * The balls of a session on their way from the worker: columns, as thousands of objects would block the page.
 */
export interface PackedShots {
  ids: readonly string[];
  /** Of each ball in turn its parts, its carry at the baseline, and 1 where its side is known. */
  numbers: Float64Array;
  refused: ReadonlyMap<string, string>;
  outliers: ReadonlyMap<string, Outlier>;
}
const WIDTH = PARTS.length + 2;

/** @param wholes by the balls' ids, each filled in, or why it could not be */
export function packShots(
  wholes: ReadonlyMap<string, CompleteStrike | string>,
  outliers: ReadonlyMap<string, Outlier>,
): PackedShots {
  const ids = [...wholes.keys()];
  const numbers = new Float64Array(ids.length * WIDTH);
  const refused = new Map<string, string>();
  ids.forEach((id, i) => {
    const whole = wholes.get(id)!;
    if (typeof whole === 'string') refused.set(id, whole);
    else
      numbers.set(
        [...PARTS.map((part) => whole[part]), whole.atBaseline.carryM, Number(whole.isSideKnown)],
        i * WIDTH,
      );
  });
  return { ids, numbers, refused, outliers };
}

/** The balls of a session by their ids, each put together when it is asked for. */
export class WorkedShots {
  readonly #packed: PackedShots;
  readonly #places: ReadonlyMap<string, number>;

  constructor(packed: PackedShots) {
    this.#packed = packed;
    this.#places = new Map(packed.ids.map((id, i) => [id, i]));
  }

  static readonly none = new WorkedShots({
    ids: [],
    numbers: new Float64Array(),
    refused: new Map(),
    outliers: new Map(),
  });

  get size(): number {
    return this.#places.size;
  }

  get(id: string): WorkedRow | undefined {
    const place = this.#places.get(id);
    if (place === undefined) return undefined;
    const { numbers, refused, outliers } = this.#packed;
    const why = refused.get(id);
    if (why !== undefined) return { whole: null, refused: why, outlier: undefined };
    const at = (i: number) => numbers[place * WIDTH + i]!;
    const parts = Object.fromEntries(PARTS.map((part, i) => [part, at(i)])) as Record<Part, number>;
    return {
      whole: {
        ...parts,
        atBaseline: { carryM: at(PARTS.length) },
        isSideKnown: at(PARTS.length + 1) === 1,
      },
      refused: '',
      outlier: outliers.get(id),
    };
  }
}
