/**
 * Moves labels apart along one axis so that none overlaps, each as near to its wish as the others allow.
 * @param wishes where each label would like to be, in pixels, in any order
 * @param gap least distance between neighbours
 * @param low,high the ends of the room; where there is too little of it, labels share it evenly
 * @returns positions in the order of `wishes`
 */
export function spreadLabels(wishes: readonly number[], gap: number, low: number, high: number): number[] {
  const order = wishes.map((_wish, i) => i).sort((a, b) => wishes[a]! - wishes[b]! || a - b);
  const room = Math.max(0, high - low);
  const step = wishes.length > 1 ? Math.min(gap, room / (wishes.length - 1)) : gap;
  // Clusters of touching labels, each centred on the mean of its wishes less their places within it.
  const clusters: { start: number; sum: number; size: number }[] = [];
  for (const index of order) {
    let cluster = { start: wishes[index]!, sum: wishes[index]!, size: 1 };
    for (
      let before = clusters.at(-1);
      before && before.start + before.size * step > cluster.start;
      before = clusters.at(-1)
    ) {
      clusters.pop();
      const sum = before.sum + cluster.sum - cluster.size * before.size * step;
      cluster = { start: sum / (before.size + cluster.size), sum, size: before.size + cluster.size };
    }
    const furthest = high - (cluster.size - 1) * step;
    cluster.start = Math.max(low, Math.min(cluster.start, furthest));
    clusters.push(cluster);
  }
  const sorted = clusters.flatMap((cluster) =>
    Array.from({ length: cluster.size }, (_one, i) => cluster.start + i * step),
  );
  // Clamping to the ends may have pushed clusters into each other again.
  for (let i = 1; i < sorted.length; i++) sorted[i] = Math.max(sorted[i]!, sorted[i - 1]! + step);
  for (let i = sorted.length - 1, max = high; i >= 0; i--, max -= step) sorted[i] = Math.min(sorted[i]!, max);
  const placed = new Array<number>(wishes.length);
  order.forEach((index, i) => {
    placed[index] = sorted[i]!;
  });
  return placed;
}

/**
 * Puts spans side by side into as few lanes as they need.
 * @returns the lane of each span, 0 nearest the rail
 */
export function spanLanes(spans: readonly { from: number; to: number }[], clearance: number): number[] {
  const order = spans.map((_span, i) => i).sort((a, b) => spans[a]!.from - spans[b]!.from);
  const ends: number[] = [];
  const lanes = new Array<number>(spans.length).fill(0);
  for (const index of order) {
    const { from, to } = spans[index]!;
    const free = ends.findIndex((end) => end + clearance <= from);
    const lane = free >= 0 ? free : ends.length;
    ends[lane] = to;
    lanes[index] = lane;
  }
  return lanes;
}
