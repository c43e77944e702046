/**
 * The nearest falling sequence, in weighted least squares: pool adjacent violators.
 * Source: Barlow, Bartholomew, Bremner, Brunk, Statistical Inference under Order Restrictions, Wiley 1972; from
 * memory.
 * @param values in order; @param weights positive, one each
 */
export function falling(values: readonly number[], weights: readonly number[]): number[] {
  const blocks: { mean: number; weight: number; size: number }[] = [];
  values.forEach((value, i) => {
    let block = { mean: value, weight: weights[i]!, size: 1 };
    for (let before = blocks.at(-1); before && before.mean < block.mean; before = blocks.at(-1)) {
      blocks.pop();
      const weight = before.weight + block.weight;
      block = {
        mean: (before.mean * before.weight + block.mean * block.weight) / weight,
        weight,
        size: before.size + block.size,
      };
    }
    blocks.push(block);
  });
  return blocks.flatMap(({ mean, size }) => new Array<number>(size).fill(mean));
}
