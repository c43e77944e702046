import { InvalidInputError } from '../invalid-input-error.js';

/**
 * So many of some clubs must be chosen: always in is at least one of one, never in at most none, one of a
 * pair one to one.
 */
export interface ChoosingRule {
  /** What it is called: "always the Driver", "at most four wedges". */
  name: string;
  /** Places in `clubs`. */
  members: readonly number[];
  least: number;
  most: number;
}

/**
 * Which clubs to carry, as a problem with numbers in it. Its cost is in strokes a round: what every need
 * costs with the best chosen club for it, what uneven steps between neighbours of the chosen ladder cost, and
 * what it costs to have each club at all.
 */
export interface ChoosingModel {
  /** The clubs of the ladder first, longest first; then those that are on none (putters, chippers). */
  clubs: readonly { id: string; price: number }[];
  ladderClubs: number;
  /** Strokes of each need with each club, its weight in it; a need goes to the cheapest chosen club. */
  needs: readonly (readonly number[])[];
  /** What it costs that two clubs of the ladder become neighbours, the longer one first. */
  steps: readonly (readonly number[])[];
  /** What it costs that the ladder begins, or ends, with a club. */
  begins: readonly number[];
  ends: readonly number[];
  /** At most so many clubs. */
  limit: number;
  rules: readonly ChoosingRule[];
}

/** The most of each that is taken on. */
export const CHOOSING_BOUNDS = { clubs: [1, 60], needs: [0, 3000], limit: [1, 60] } as const;

/** @throws InvalidInputError naming what does not fit together */
export function requireModel({
  clubs,
  ladderClubs,
  needs,
  steps,
  begins,
  ends,
  limit,
  rules,
}: ChoosingModel): void {
  const finite = (values: readonly number[]) => values.every(Number.isFinite);
  if (clubs.length < 1 || clubs.length > CHOOSING_BOUNDS.clubs[1])
    throw new InvalidInputError('clubs', `must be 1 to ${CHOOSING_BOUNDS.clubs[1]}, not ${clubs.length}`);
  if (needs.length > CHOOSING_BOUNDS.needs[1])
    throw new InvalidInputError('needs', `must be at most ${CHOOSING_BOUNDS.needs[1]}, not ${needs.length}`);
  if (!Number.isInteger(limit) || limit < 1)
    throw new InvalidInputError('limit', `must be a whole number of at least 1, not ${limit}`);
  if (!(ladderClubs >= 0 && ladderClubs <= clubs.length))
    throw new InvalidInputError('ladderClubs', 'must be some of the clubs');
  if (needs.some((demand) => demand.length !== clubs.length || !finite(demand)))
    throw new InvalidInputError('needs', 'must hold a number for each club');
  if (steps.length !== ladderClubs || steps.some((row) => row.length !== ladderClubs || !finite(row)))
    throw new InvalidInputError('steps', 'must hold a number for each pair of the ladder');
  if (begins.length !== ladderClubs || ends.length !== ladderClubs || !finite(begins) || !finite(ends))
    throw new InvalidInputError('begins', 'and ends must hold a number for each club of the ladder');
  if (!finite(clubs.map(({ price }) => price))) throw new InvalidInputError('price', 'must be a number');
  if (rules.some(({ members }) => members.some((member) => !(member >= 0 && member < clubs.length))))
    throw new InvalidInputError('rules', 'name a club that is not there');
}

/** What a choice costs. @param chosen places in `clubs`, rising; at least one */
export function costOf(
  { clubs, ladderClubs, needs, steps, begins, ends }: ChoosingModel,
  chosen: readonly number[],
): { total: number; needs: number; steps: number; price: number } {
  let forNeeds = 0,
    forSteps = 0,
    price = 0;
  for (const demand of needs) {
    let best = Infinity;
    for (const club of chosen) if (demand[club]! < best) best = demand[club]!;
    forNeeds += best;
  }
  let last = -1;
  for (const club of chosen) {
    price += clubs[club]!.price;
    if (club >= ladderClubs) continue;
    forSteps += last === -1 ? begins[club]! : steps[last]![club]!;
    last = club;
  }
  if (last !== -1) forSteps += ends[last]!;
  return { total: forNeeds + forSteps + price, needs: forNeeds, steps: forSteps, price };
}

/** The rules a choice breaks. */
export function rulesBroken(
  { rules, limit }: Pick<ChoosingModel, 'rules' | 'limit'>,
  chosen: readonly number[],
): ChoosingRule[] {
  const inside = new Set(chosen);
  const broken = rules.filter(({ members, least: min, most: max }) => {
    const count = members.filter((member) => inside.has(member)).length;
    return count < min || count > max;
  });
  return chosen.length > limit
    ? [...broken, { name: `at most ${limit} clubs`, members: [], least: 0, most: limit }]
    : broken;
}

/**
 * Two rules (or a rule and the limit) that no choice can keep together, the first found; undefined when every
 * pair can be kept.
 */
export function contradiction({
  clubs,
  limit,
  rules,
}: Pick<ChoosingModel, 'clubs' | 'limit' | 'rules'>): readonly [string, string] | undefined {
  const whole: ChoosingRule = {
    name: `at most ${limit} clubs`,
    members: clubs.map((_club, i) => i),
    least: 1,
    most: limit,
  };
  const all = [whole, ...rules];
  for (const [i, a] of all.entries()) {
    for (const b of all.slice(i + 1)) if (!canBothHold(a, b, limit, clubs.length)) return [a.name, b.name];
  }
  return undefined;
}

/**
 * Counts of clubs in both, in one alone, in the other alone: a choice is possible when some counts keep both
 * rules and the limit.
 */
function canBothHold(a: ChoosingRule, b: ChoosingRule, limit: number, clubs: number): boolean {
  const [inA, inB] = [new Set(a.members), new Set(b.members)];
  const shared = [...inA].filter((member) => inB.has(member)).length;
  const [onlyA, onlyB] = [inA.size - shared, inB.size - shared];
  for (let both = 0; both <= shared; both++) {
    for (let first = 0; first <= onlyA; first++) {
      if (both + first < a.least || both + first > a.most) continue;
      for (let second = 0; second <= onlyB; second++) {
        const count = both + first + second;
        if (
          both + second >= b.least &&
          both + second <= b.most &&
          count <= limit &&
          (count > 0 || clubs > shared + onlyA + onlyB)
        )
          return true;
      }
    }
  }
  return false;
}
