import type { ChoosingModel } from './choosing-model.js';

/** What is settled about each club: 1 in, -1 out, 0 open. */
export type Settled = Int8Array;

/**
 * The cheapest choice of at most `limit` clubs where each club has a cost of its own and neighbours on the
 * ladder have one together: a shortest path of so many clubs down the ladder, and beside it the cheapest
 * clubs that are on none. Clubs settled as in are on every path, those settled as out on none. Made once for
 * a model, and used over and over: nothing is allocated while it works.
 */
export function ladderPath({ clubs, ladderClubs, steps, begins, ends, limit }: ChoosingModel) {
  const n = ladderClubs;
  const width = n + 1;
  /** cost[j * width + c]: the cheapest path of j clubs that ends with club c. */
  const cost = new Float64Array((limit + 1) * width);
  const from = new Int16Array((limit + 1) * width);
  const stepOf = Float64Array.from(steps.flat());
  const others = Array.from({ length: clubs.length - n }, (_one, i) => n + i);
  const endCost = new Float64Array(limit + 1);
  const endClub = new Int16Array(limit + 1);
  const chosen = new Int16Array(limit);

  /**
   * @param own the cost of each club by itself
   * @returns its cost and how many clubs there are, the first so many of `chosen`; the cost is Infinity where
   * nothing fits
   */
  function cheapest(own: Float64Array, settled: Settled): { cost: number; count: number } {
    const lastIn = n > 0 ? settled.lastIndexOf(1, n - 1) : -1;
    const firstIn = lastIn === -1 ? n : settled.indexOf(1);
    beginPaths(own, settled, firstIn);
    for (let j = 1; j <= limit; j++) {
      if (j > 1) lengthenPaths(j, own, settled);
      endPaths(j, lastIn);
    }
    // Clubs on no ladder: those that must be in, then the cheapest while they lower the cost.
    const must = others.filter((c) => settled[c] === 1);
    const may = others.filter((c) => settled[c] === 0).sort((a, b) => own[a]! - own[b]!);
    let besideCost = must.reduce((sum, c) => sum + own[c]!, 0);
    let best = Infinity,
      bestLadder = -1,
      bestBeside = -1;
    for (let beside = 0; beside <= may.length; beside++) {
      if (beside > 0) besideCost += own[may[beside - 1]!]!;
      const room = limit - must.length - beside;
      if (room < 0) break;
      for (let j = 0; j <= room; j++) {
        const total = endCost[j]! + besideCost;
        if (total < best && j + must.length + beside > 0) {
          best = total;
          bestLadder = j;
          bestBeside = beside;
        }
      }
    }
    if (best === Infinity) return { cost: Infinity, count: 0 };
    let count = traceBack(bestLadder);
    for (const c of [...must, ...may.slice(0, bestBeside)].sort((a, b) => a - b)) chosen[count++] = c;
    return { cost: best, count };
  }

  /** Paths of one club; and none, where none must be on it. */
  function beginPaths(own: Float64Array, settled: Settled, firstIn: number): void {
    endCost.fill(Infinity);
    if (firstIn === n) endCost[0] = 0;
    cost.fill(Infinity);
    for (let c = 0; c < n; c++) if (settled[c] !== -1 && c <= firstIn) cost[width + c] = begins[c]! + own[c]!;
  }

  /** Paths of j clubs from those of one less. */
  function lengthenPaths(j: number, own: Float64Array, settled: Settled): void {
    const row = j * width,
      above = row - width;
    for (let c = j - 1; c < n; c++) {
      if (settled[c] === -1) continue;
      let best = Infinity,
        came = -1;
      // Back to the last club that must be on the path, and no farther.
      for (let p = c - 1; p >= j - 2; p--) {
        const through = cost[above + p]! + stepOf[p * n + c]!;
        if (through < best) {
          best = through;
          came = p;
        }
        if (settled[p] === 1) break;
      }
      cost[row + c] = best + own[c]!;
      from[row + c] = came;
    }
  }

  /** The cheapest end of the paths of j clubs: with the last club that must be on it, or one below. */
  function endPaths(j: number, lastIn: number): void {
    for (let c = Math.max(lastIn, 0); c < n; c++) {
      const ended = cost[j * width + c]! + ends[c]!;
      if (ended < endCost[j]!) {
        endCost[j] = ended;
        endClub[j] = c;
      }
    }
  }

  /** Writes the clubs of the cheapest path of j clubs to `chosen`, from the top. */
  function traceBack(clubs: number): number {
    for (let j = clubs, c = j > 0 ? endClub[j]! : -1; j > 0; c = from[j * width + c]!, j--) chosen[j - 1] = c;
    return clubs;
  }
  return { cheapest, chosen };
}
