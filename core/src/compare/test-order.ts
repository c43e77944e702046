import { randomFrom, shuffled } from '../statistics/index.js';
import { InvalidInputError } from '../invalid-input-error.js';

/** One turn of a test day: so many shots with one build. */
export interface Turn {
  block: number;
  id: string;
  shots: number;
}

export const TEST_ORDER_BOUNDS = { shotsEach: [1, 200], shotsATurn: [1, 20] } as const;

/**
 * A random order for a test day in complete blocks: every block holds each build once, in a new random order,
 * so that tiredness, wind and warming up fall on all builds alike. R. A. Fisher, The Design of Experiments
 * (1935), chapter 4. The same seed gives the same order.
 * @param shotsATurn shots before the club is changed; the last block is shorter where they do not come out
 * even
 * @throws InvalidInputError naming the field
 */
export function testOrder(
  ids: readonly string[],
  shotsEach: number,
  shotsATurn: number,
  seed: number,
): Turn[] {
  for (const [field, value] of Object.entries({ shotsEach, shotsATurn })) {
    const [min, max] = TEST_ORDER_BOUNDS[field as keyof typeof TEST_ORDER_BOUNDS];
    if (!Number.isInteger(value) || value < min || value > max)
      throw new InvalidInputError(field, `must be a whole number between ${min} and ${max}, not ${value}`);
  }
  const uniform = randomFrom(seed);
  const turns: Turn[] = [];
  for (let block = 0, left = shotsEach; left > 0; block++, left -= shotsATurn) {
    for (const id of shuffled(ids, uniform))
      turns.push({ block: block + 1, id, shots: Math.min(left, shotsATurn) });
  }
  return turns;
}
