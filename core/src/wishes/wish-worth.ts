import {
  TIE_STROKES,
  chooseWithin,
  withModelledCarries,
  type ChoosingModel,
  type ChoosingRule,
} from '../choosing/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { choosingOfRound, usualRules, usualRoundChoosing } from '../rounds/index.js';
import type { BagQuestion, UsualRoundRequest } from '../rounds/index.js';
import { skillOf } from '../skill/index.js';
import type { LadderClub } from '../spec/index.js';
import { withExpectedShot, type ExpectedShot } from './expected-shot.js';

/**
 * Something to have: a club that is not owned yet, or is broken; or what a fitting or practice would make of
 * an owned one.
 */
export type WishedItem = {
  id: string;
  /** What it costs; null where not known, and then no money buys it. */
  price: number | null;
} & (
  | {
      /** The club as the ladder knows it; its carry is modelled where it has none. */
      club: LadderClub;
    }
  | { clubId: string; expected: ExpectedShot }
);

/** A wish as one more club to choose from, under the club's id or the wish's. */
interface WishedState {
  id: string;
  price: number | null;
  club: LadderClub;
  /** The owned club it is another state of: one of the two is carried, never both. */
  replaces?: string;
}

/** What one wish gains by itself, and the bag it would be in. */
export interface WishWorth {
  id: string;
  /** Strokes a round of a usual round, never below zero: what is of no use stays in the locker. */
  gain: number;
  /** The best bag with it, ids; and of the best bag of what is owned those that would stay at home. */
  bag: readonly string[];
  out: readonly string[];
}

/** The best use of a sum of money. */
export interface BestUse {
  money: number;
  /** Wishes to buy, ids. */
  buys: readonly string[];
  spent: number;
  gain: number;
  bag: readonly string[];
}

export interface WishAnswer {
  worth: readonly WishWorth[];
  /** The best use of the sum that was asked about; proved. */
  best: BestUse;
  /** The one to follow: the least money that gains as much as can be told from the best. */
  advised: BestUse;
  /** Sums worth having, from nothing up to all of the list, each the least that buys its gain. */
  ladder: readonly BestUse[];
}

interface WishRequest {
  /** The locker's, without what is wished for. */
  request: UsualRoundRequest;
  question: BagQuestion;
  wishes: readonly WishedItem[];
  money: number;
}

/** The choice takes no more clubs. */
const MAX_CLUBS = 60;
/** Gains less apart are the same. Strokes. */
const SAME = 1e-6;

/**
 * What each wish is worth by a usual round, and the best use of a sum over all of them together: two wedges
 * that do one job are not worth twice. The bag is chosen again for every case, so a gain is against the best
 * bag of what is owned. Exact (see `chooseWithin`). A change from the bag of today is not charged: money is
 * spent to change it.
 * @returns undefined where no carry and no loft tells how far the player hits it
 * @throws InvalidInputError for more than 60 clubs together
 */
export function wishWorths({ request, question, wishes: items, money }: WishRequest): WishAnswer | undefined {
  const count = request.clubs.length + items.length;
  if (count > MAX_CLUBS)
    throw new InvalidInputError('clubs', `must be at most ${MAX_CLUBS} with the wishes, not ${count}`);
  // Modelled before the changed ones join them: a club is lent no shot by what practice would make of it.
  const known = withModelledCarries(
    [
      ...request.clubs,
      ...items.flatMap((item) => ('club' in item ? [likeOwned(item.club, request.clubs)] : [])),
    ],
    request.from.conditions,
  );
  const { handicap = skillOf(known).handicap } = request;
  const wishes = items.flatMap((item) => stateOf(item, known, handicap) ?? []);
  const clubs = [...known, ...wishes.flatMap(({ replaces, club }) => (replaces ? [club] : []))];
  const round = usualRoundChoosing({ ...request, clubs, handicap, complete: true });
  if (!round) return undefined;
  const usual = usualRules(question);
  const { model, clubs: order } = choosingOfRound(round, {
    ...usual,
    preferences: { ...usual.preferences, changeStrokes: 0, mostChanges: null },
  });
  const wishAt = (c: number) => wishes.find(({ club }) => club.id === order[c]!.id);
  const asked = { ...model, rules: rulesWithVersions(model.rules, wishes, order) };
  const solve = (moneyOf: readonly number[], sum: number) => solveFor(asked, moneyOf, sum);
  const priceAt = order.map((_club, c) => {
    const wish = wishAt(c);
    return wish ? (wish.price ?? Infinity) : 0;
  });
  const idsOf = (chosen: readonly number[]) => chosen.map((c) => order[c]!.id);
  const owned = solve(
    order.map((_club, c) => (wishAt(c) ? Infinity : 0)),
    0,
  );
  if (!owned) return undefined;
  const ownedIds = idsOf(owned.chosen);

  const worth = wishes.map(({ id, club, replaces }): WishWorth => {
    // As if this one were free, and the others not to be bought.
    const found =
      solve(
        order.map((one, c) => (one.id === club.id ? 0 : priceAt[c]! > 0 || wishAt(c) ? Infinity : 0)),
        0,
      ) ?? owned;
    const bag = idsOf(found.chosen);
    return {
      id,
      gain: Math.max(0, owned.cost - found.cost),
      bag,
      out: ownedIds.filter((one) => !bag.includes(one) && one !== replaces),
    };
  });
  const useOfChoice = (
    sum: number,
    found: { chosen: readonly number[]; money: number; cost: number },
  ): BestUse => ({
    money: sum,
    buys: found.chosen.flatMap((c) => wishAt(c)?.id ?? []),
    spent: found.money,
    gain: Math.max(0, owned.cost - found.cost),
    bag: idsOf(found.chosen),
  });
  const useOf = (sum: number) => useOfChoice(sum, solve(priceAt, sum) ?? { ...owned, money: 0 });
  const best = useOf(money);
  const ladder = ladderOf();
  const enough = best.gain - TIE_STROKES;
  const advised = withoutTrifles(
    enough <= 0 ? useOf(0) : (ladder.find(({ spent, gain }) => spent <= money && gain >= enough) ?? best),
  );
  return { worth, best, advised, ladder };

  /** What costs no money costs practice: it is left out where the difference could not be told. */
  function withoutTrifles(use: BestUse): BestUse {
    const found = solve(
      priceAt.map((price, c) => (wishAt(c) && price === 0 ? Infinity : price)),
      use.spent,
    );
    return found && owned!.cost - found.cost >= use.gain - TIE_STROKES ? useOfChoice(use.spent, found) : use;
  }

  /**
   * From all the money there could be down to none: each best use is bought for less by nothing, so the next
   * lies below what it spent.
   */
  function ladderOf(): BestUse[] {
    const whole = wishes.reduce((sum, { price }) => sum + (price ?? 0), 0);
    const uses: BestUse[] = [];
    let use = useOf(whole);
    while (use.gain > SAME && uses.length < wishes.length * 2 + 2) {
      uses.push({ ...use, money: use.spent });
      use = useOf(use.spent - 0.01);
    }
    return uses.reverse();
  }
}

/**
 * A carry that was told or seen is compared with that of the club it is most like: a mean with its
 * mis-hits where that one was measured, else a good strike's.
 */
function likeOwned(club: LadderClub, owned: readonly LadderClub[]): LadderClub {
  const { full } = club.shots;
  if (full?.source !== 'stated') return club;
  const farFrom = ({ shots }: LadderClub) => Math.abs(shots.full!.carryM - full.carryM);
  const [nearest] = owned
    .filter(({ kind, shots }) => kind === club.kind && shots.full)
    .sort((a, b) => farFrom(a) - farFrom(b));
  return nearest?.shots.full?.source === 'measured'
    ? { ...club, shots: { ...club.shots, full: { ...full, source: 'measured' } } }
    : club;
}

function stateOf(item: WishedItem, known: readonly LadderClub[], handicap: number): WishedState | undefined {
  const { id, price } = item;
  if ('club' in item) return { id, price, club: item.club };
  const today = known.find((club) => club.id === item.clubId);
  const club = today && withExpectedShot(today, item.expected, handicap);
  return club && { id, price, club: { ...club, id }, replaces: today.id };
}

/**
 * Rules about a club hold for what a fitting or practice would make of it too; and of them all one at most is
 * carried.
 */
function rulesWithVersions(
  rules: readonly ChoosingRule[],
  wishes: readonly WishedState[],
  order: readonly { id: string }[],
): readonly ChoosingRule[] {
  const placesOf = (id: string) => order.flatMap((club, c) => (club.id === id ? [c] : []));
  const versions = [...new Set(wishes.flatMap(({ replaces }) => replaces ?? []))].map((id) => ({
    today: placesOf(id),
    changed: wishes.flatMap(({ replaces, club }) => (replaces === id ? placesOf(club.id) : [])),
  }));
  return [
    ...rules.map((rule) => ({
      ...rule,
      members: [
        ...new Set([
          ...rule.members,
          ...versions.flatMap(({ today, changed }) =>
            today.some((c) => rule.members.includes(c)) ? changed : [],
          ),
        ]),
      ],
    })),
    ...versions.map(({ today, changed }) => ({
      name: 'one state of a club',
      members: [...today, ...changed],
      least: 0,
      most: 1,
    })),
  ];
}

function solveFor(model: ChoosingModel, moneyOf: readonly number[], money: number) {
  const out = moneyOf.flatMap((price, c) => (price === Infinity ? [c] : []));
  const rules =
    out.length === 0
      ? model.rules
      : [...model.rules, { name: 'cannot be bought', members: out, least: 0, most: 0 }];
  return chooseWithin(
    { ...model, rules },
    moneyOf.map((price) => (price === Infinity ? 0 : price)),
    money,
  );
}
