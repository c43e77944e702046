import { choose, type Choice } from './choose.js';
import type { ChoosingModel } from './choosing-model.js';

/**
 * The choices after the best, cheapest first. What is left after a choice is cut into parts that hold every
 * other choice once, and the cheapest of each part is found: E. L. Lawler, Management Science 18 (1972)
 * 401-405.
 */
export function nextBest(
  model: ChoosingModel,
  first: Choice,
  count: number,
  options: { stop?: () => boolean; prices?: Float64Array } = {},
): Choice[] {
  const found: Choice[] = [];
  const parts: { settled: Int8Array; choice: Choice }[] = [];
  const cut = (settled: Int8Array, { chosen }: Choice): void => {
    const inside = new Set(chosen);
    const sofar = Int8Array.from(settled);
    for (let c = 0; c < model.clubs.length; c++) {
      if (sofar[c] !== 0) continue;
      const other = Int8Array.from(sofar);
      other[c] = inside.has(c) ? -1 : 1;
      const choice = choose(model, { ...options, settled: other });
      if (choice) parts.push({ settled: other, choice });
      sofar[c] = inside.has(c) ? 1 : -1;
    }
  };
  let last: { settled: Int8Array; choice: Choice } = {
    settled: new Int8Array(model.clubs.length),
    choice: first,
  };
  while (found.length < count) {
    cut(last.settled, last.choice);
    if (parts.length === 0) break;
    parts.sort((a, b) => a.choice.cost - b.choice.cost);
    last = parts.shift()!;
    found.push(last.choice);
  }
  return found;
}
