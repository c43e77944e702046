import { costOf, type ChoosingModel } from './choosing-model.js';

/**
 * What a choice costs with one club in, one out, or both: every need's cheapest and second cheapest chosen
 * club are looked up once, so that a change is one look at each need, whatever the number of clubs. Rules are
 * not asked.
 * @param chosen places in `clubs`, rising; at least one
 */
export function oneChange(
  model: ChoosingModel,
  chosen: readonly number[],
): (into: number | undefined, out: number | undefined) => number {
  const bare: ChoosingModel = { ...model, needs: [] };
  const m = model.needs.length;
  const first = new Float64Array(m).fill(Infinity);
  const second = new Float64Array(m).fill(Infinity);
  const holder = new Int16Array(m).fill(-1);
  model.needs.forEach((row, i) => {
    for (const c of chosen) {
      const cost = row[c]!;
      if (cost < first[i]!) {
        second[i] = first[i]!;
        first[i] = cost;
        holder[i] = c;
      } else if (cost < second[i]!) second[i] = cost;
    }
  });
  return (into, out) => {
    const next = chosen.filter((c) => c !== out);
    if (into !== undefined) {
      next.push(into);
      next.sort((a, b) => a - b);
    }
    let needs = 0;
    for (let i = 0; i < m; i++) {
      const kept = holder[i] === out ? second[i]! : first[i]!;
      const cost = into === undefined ? kept : Math.min(kept, model.needs[i]![into]!);
      needs += cost;
    }
    return next.length === 0 ? Infinity : needs + costOf(bare, next).total;
  };
}
