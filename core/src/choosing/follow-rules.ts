import type { ChoosingModel } from './choosing-model.js';
import type { Settled } from './ladder-path.js';

/**
 * Settles what the rules leave no choice about, once some clubs are settled: the last place of a rule's least,
 * and everything beyond its most.
 * @param settled changed in place
 * @returns false when the rules cannot be kept
 */
export function followRules({ rules, limit }: ChoosingModel, settled: Settled): boolean {
  for (let again = true; again;) {
    again = false;
    for (const { members, least: min, most: max } of rules) {
      let inside = 0,
        open = 0;
      for (const c of members) {
        if (settled[c] === 1) inside += 1;
        else if (settled[c] === 0) open += 1;
      }
      if (inside > max || inside + open < min) return false;
      if (open === 0) continue;
      if (inside === max) {
        for (const c of members) if (settled[c] === 0) settled[c] = -1;
        again = true;
      } else if (inside + open === min) {
        for (const c of members) if (settled[c] === 0) settled[c] = 1;
        again = true;
      }
    }
    let inside = 0;
    for (const one of settled) if (one === 1) inside += 1;
    if (inside > limit) return false;
  }
  return true;
}
