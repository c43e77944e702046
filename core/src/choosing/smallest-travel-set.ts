import { InvalidInputError } from '../invalid-input-error.js';
import { searchTravelSets, type Scenario, type TravelSet } from './travel-set.js';

/**
 * A size that was looked at: what its best known set loses against the whole locker, and what no set of that
 * size can lose less than.
 */
export interface TravelSize {
  size: number;
  /** Strokes a round. */
  loses: number;
  losesAtLeast: number;
}

export interface SmallestTravelSet {
  set: TravelSet;
  /**
   * Nothing smaller that fills a bag loses as little: proved of the next smaller size. Fewer clubs than a full
   * bag are not looked at.
   */
  smallest: boolean;
  /** Every size looked at, smallest first; the last is the set's. */
  sizes: readonly TravelSize[];
}

/**
 * The fewest clubs to travel with that lose no more than so much against the whole locker: sizes are tried
 * one by one from the largest bag on, so that what each further club is worth is told as well.
 * @param loss strokes a round, mean over the scenarios
 * @param shouldContinue asked before each part of a size's search; false ends with the refusal
 * @throws InvalidInputError as `travelSet` does, for a loss below zero, and where it was told to end
 */
export async function smallestTravelSet(
  scenarios: readonly Scenario[],
  loss: number,
  shouldContinue: (size: number) => boolean | Promise<boolean> = () => true,
): Promise<SmallestTravelSet> {
  if (!(loss >= 0)) throw new InvalidInputError('loss', `must be zero or more, not ${loss}`);
  const count = scenarios[0]?.choosing.clubs.length ?? 0;
  const sizes: TravelSize[] = [];
  let unfound = false;
  for (
    let size = Math.max(1, Math.min(count, ...scenarios.map(({ choosing: { model } }) => model.limit)));
    ;
    size++
  ) {
    const search = searchTravelSets(scenarios, size);
    do {
      if (!(await shouldContinue(size)))
        throw new InvalidInputError('search', 'was ended before a set was found');
    } while (search.advance());
    const set = search.found();
    if (!set) {
      if (size >= count)
        throw new InvalidInputError(
          'size',
          'of any number leaves some scenario without a bag that keeps its rules',
        );
      // That no set of a size was found is no proof that there is none.
      if (!search.isComplete()) unfound = true;
    } else {
      const [loses, losesAtLeast] = [set.strokes - set.wholeLocker, Math.max(0, set.bound - set.wholeLocker)];
      const before = sizes.at(-1);
      sizes.push({ size, loses, losesAtLeast });
      if (loses <= loss + 1e-9 || size >= count)
        return { set, smallest: before ? before.losesAtLeast > loss + 1e-9 : !unfound, sizes };
    }
  }
}
