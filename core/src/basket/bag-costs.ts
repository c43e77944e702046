import { placeAt, placeShares, placeShift, type ShotCosts } from './shot-costs.js';

/**
 * How well the carries are known: what is left unknown of each shot, as a standard deviation of the logarithm
 * of carry.
 */
interface Knowledge {
  left: readonly number[];
  /** Whether the player has that shot: a partial that was never hit does not count. */
  isUsable: (shot: number) => boolean;
}

/** Bags made ready to be costed many times over. */
interface BagCosts {
  /** How well the shots are known from here on. */
  know(knowledge: Knowledge): void;
  /** How far each is from what was known at first, as a logarithm of carry; the functions below read it. */
  shift(shifts: readonly number[]): void;
  /** Strokes a round a bag's shots cost, each row played with the best of them. */
  costOf(bag: number): number;
  /** The same, row by row. */
  costsByRow(bag: number): Float64Array;
  /** The best shot of a bag for each row. */
  playedWith(bag: number): Int32Array;
  /** What each row costs when it is played with these shots. */
  costsOfShots(shots: Int32Array): Float64Array;
  /** Strokes a round when the rows are played with these shots: a function to be asked after every shift. */
  costOfShots(shots: Int32Array): () => number;
}

/**
 * A shot that costs more for a row at every carry than another of the bag does at any is never hit for it;
 * such pairs are left out, which changes no answer and removes most pairs.
 * @param costs of every shot; a club whose shots are not open has one place
 * @param bags shots of each
 * @param isOwned false for a shot that may turn out not to be there
 */
export function bagCosts(
  costs: readonly ShotCosts[],
  bags: readonly (readonly number[])[],
  isOwned: (shot: number) => boolean,
): BagCosts {
  const rows = costs[0]?.places[0]?.length ?? 0;
  const least = costs.map(({ places }) => extreme(places, Math.min, Infinity));
  const most = costs.map(({ places }, shot) =>
    isOwned(shot) ? extreme(places, Math.max, -Infinity) : new Float64Array(rows).fill(Infinity),
  );
  const rivals = bags.map((shots) =>
    Array.from({ length: rows }, (_one, row) => {
      const bound = shots.reduce((min, shot) => Math.min(min, most[shot]![row]!), Infinity);
      return shots.filter((shot) => least[shot]![row]! <= bound);
    }),
  );
  const own = costs.map((_shot, shot) =>
    Array.from({ length: rows }, (_one, row) => row).filter((row) =>
      rivals.some((rowsOfBag) => rowsOfBag[row]!.includes(shot)),
    ),
  );
  /** Where the values of a shot begin, and of each of its rows. */
  const begins = own.map((_rows, shot) => own.slice(0, shot).reduce((sum, { length }) => sum + length, 0));
  const at = own.map((list, shot) => new Map(list.map((row, i) => [row, begins[shot]! + i])));
  const shotAt = own.flatMap((list, shot) => list.map(() => shot));
  const pairs = rivals.map((rowsOfBag) => ({
    starts: Int32Array.from([0, ...runningSum(rowsOfBag.map(({ length }) => length))]),
    list: Int32Array.from(rowsOfBag.flatMap((shots, row) => shots.map((shot) => at[shot]!.get(row)!))),
  }));
  const tables = costs.map(({ places }, shot) =>
    places.map((place) => Float64Array.from(own[shot]!, (row) => place[row]!)),
  );
  const values = new Float64Array(shotAt.length);
  const slices = own.map((list, shot) => values.subarray(begins[shot]!, begins[shot]! + list.length));
  const shares = costs.map(({ places }) => new Float64Array(places.length));
  const usable = costs.map(() => true);
  /** Expected costs at each place, with what is left unknown about it. */
  const expected = tables.map((places) => places.map((table) => table.slice()));

  /** Where the value of the best shot of a bag for a row stands. */
  function cheapestAt(bag: number, row: number): number {
    const { starts, list } = pairs[bag]!;
    let best = list[starts[row]!]!;
    for (let k = starts[row]! + 1; k < starts[row + 1]!; k++)
      if (values[list[k]!]! < values[best]!) best = list[k]!;
    return best;
  }

  return {
    know({ left, isUsable }) {
      costs.forEach(({ places, reach }, shot) => {
        usable[shot] = isUsable(shot);
        places.forEach((_place, at) => {
          placeShares(placeShift(at, places.length, reach), left[shot] ?? 0, reach, shares[shot]!);
          const into = expected[shot]![at]!.fill(0);
          shares[shot]!.forEach((share, place) => {
            if (share === 0) return;
            const table = tables[shot]![place]!;
            for (let i = 0; i < into.length; i++) into[i]! += share * table[i]!;
          });
        });
      });
    },
    shift(shifts) {
      for (let shot = 0; shot < costs.length; shot++) {
        const own = slices[shot]!;
        const table = expected[shot]!;
        if (!usable[shot]) own.fill(Infinity);
        else if (table.length === 1) own.set(table[0]!);
        else {
          const at = placeAt(shifts[shot]!, table.length, costs[shot]!.reach);
          const below = Math.min(table.length - 2, Math.floor(at));
          const share = at - below;
          const [low, high] = [table[below]!, table[below + 1]!];
          for (let i = 0; i < own.length; i++) own[i] = low[i]! + share * (high[i]! - low[i]!);
        }
      }
    },
    costOf(bag) {
      const { starts, list } = pairs[bag]!;
      let sum = 0;
      for (let row = 0; row < rows; row++) {
        let min = Infinity;
        for (let k = starts[row]!; k < starts[row + 1]!; k++) {
          const value = values[list[k]!]!;
          if (value < min) min = value;
        }
        sum += min;
      }
      return sum;
    },
    costsByRow: (bag) => Float64Array.from({ length: rows }, (_one, row) => values[cheapestAt(bag, row)]!),
    playedWith: (bag) => Int32Array.from({ length: rows }, (_one, row) => shotAt[cheapestAt(bag, row)]!),
    costsOfShots: (shots) => Float64Array.from(shots, (shot, row) => values[at[shot]!.get(row)!]!),
    costOfShots(shots) {
      const places = Int32Array.from(shots, (shot, row) => at[shot]!.get(row)!);
      return () => {
        let sum = 0;
        for (let row = 0; row < rows; row++) sum += values[places[row]!]!;
        return sum;
      };
    },
  };
}

function runningSum(numbers: readonly number[]): number[] {
  let sum = 0;
  return numbers.map((one) => (sum += one));
}

function extreme(
  places: readonly Float64Array[],
  pick: (a: number, b: number) => number,
  from: number,
): Float64Array {
  return places[0]!.map((_value, row) => places.reduce((sofar, place) => pick(sofar, place[row]!), from));
}
