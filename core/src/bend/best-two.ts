/** One way through a chain: the choice at each place, what it costs and the effort it takes. */
export interface ChainWay {
  picks: readonly number[];
  cost: number;
  effort: number;
}

interface Chain {
  /** The effort of every choice at every place, whole numbers from 0. */
  efforts: readonly (readonly number[])[];
  /**
   * What the choices of two neighbours cost together; place i and i + 1. Infinity where they may not stand
   * together.
   */
  costOf: (place: number, choice: number, next: number) => number;
  /** No way takes more. */
  maxEffort: number;
}

interface Partial {
  cost: number;
  picks: readonly number[];
}

/**
 * The two cheapest ways through a chain for every effort, exactly that much: dynamic programming over place,
 * choice and effort, so proved. Takes places * choices^2 * effort steps. Entry `e` of the answer holds none,
 * one or two ways of effort `e`, the cheapest first.
 */
export function bestTwoByEffort({ efforts, costOf, maxEffort }: Chain): ChainWay[][] {
  const none = () => Array.from({ length: maxEffort + 1 }, (): Partial[] => []);
  let standing = efforts[0]?.map((effort, choice) => {
    const table = none();
    if (effort <= maxEffort) table[effort]!.push({ cost: 0, picks: [choice] });
    return table;
  });
  if (!standing) return [[{ picks: [], cost: 0, effort: 0 }]];
  for (let place = 1; place < efforts.length; place++) {
    const before: Partial[][][] = standing;
    standing = efforts[place]!.map((effort, choice) => {
      const table = none();
      before.forEach((from, earlier) => {
        const cost = costOf(place - 1, earlier, choice);
        if (cost === Infinity) return;
        for (let spent = 0; spent + effort <= maxEffort; spent++)
          for (const way of from[spent]!) keepTwo(table[spent + effort]!, way.cost + cost, way.picks, choice);
      });
      return table;
    });
  }
  const last = standing;
  return Array.from({ length: maxEffort + 1 }, (_one, effort) =>
    last
      .flatMap((table) => table[effort]!)
      .sort((a, b) => a.cost - b.cost)
      .slice(0, 2)
      .map(({ cost, picks }) => ({ cost, picks, effort })),
  );
}

function keepTwo(two: Partial[], cost: number, picks: readonly number[], choice: number): void {
  if (two.length === 2 && cost >= two[1]!.cost) return;
  const way = { cost, picks: [...picks, choice] };
  if (two.length > 0 && cost < two[0]!.cost) two.unshift(way);
  else two.splice(1, 0, way);
  two.length = Math.min(two.length, 2);
}
