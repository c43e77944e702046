import { chooseBag, costOf } from '../choosing/index.js';
import { gaps } from '../gaps/index.js';
import { clubsOfIds } from './alternatives.js';
import { choosingOfRound, type CostedRound, type RoundRules } from './round-choosing.js';

/** The best bag whose every step is sound, and what it costs. */
export interface FaultlessBag {
  ids: readonly string[];
  /** Strokes a round more than the best bag, by the preferences as they are. */
  price: number;
  /** The price of an uneven step, in strokes a round, at which this bag is the best. */
  unevenStrokes: number;
}

/** The price of uneven steps is doubled until no fault is left, this often at most. */
const DOUBLINGS = 7;
const LEAST_UNEVEN_STROKES = 0.02;

/**
 * What it costs to have no step at fault: the price of uneven steps is raised until the best bag has none.
 * @param maxUnevenStrokes no price above this is tried; strokes a round
 * @param stop asked now and then; when it says yes, nothing is found out
 * @returns null where no price does it, or the best bag has no fault already; undefined where it was stopped
 */
export function withoutFaults(
  round: CostedRound,
  rules: RoundRules,
  maxUnevenStrokes: number,
  stop: () => boolean = () => false,
): FaultlessBag | null | undefined {
  const { preferences, school, settings } = rules;
  const faultsOf = (ids: readonly string[]) =>
    gaps(clubsOfIds(round.clubs, ids), { school, ...(settings && { settings }) }).faults;
  const asWished = choosingOfRound(round, rules);
  const best = chooseBag(asWished, 0, stop)?.best;
  if (stop()) return undefined;
  if (!best || faultsOf(best.ids) === 0) return null;
  let unevenStrokes = Math.max(LEAST_UNEVEN_STROKES, preferences.unevenStrokes);
  for (let i = 0; i < DOUBLINGS && unevenStrokes < maxUnevenStrokes; i++) {
    unevenStrokes = Math.min(maxUnevenStrokes, unevenStrokes * 2);
    const dearer = choosingOfRound(round, { ...rules, preferences: { ...preferences, unevenStrokes } });
    const ids = chooseBag(dearer, 0, stop)?.best.ids;
    if (stop()) return undefined;
    if (!ids || faultsOf(ids) > 0) continue;
    const places = asWished.clubs.flatMap(({ id }, c) => (ids.includes(id) ? [c] : []));
    return {
      ids,
      price: costOf(asWished.model, places).total - best.strokes,
      unevenStrokes: Math.round(unevenStrokes * 100) / 100,
    };
  }
  return null;
}
