import type { ShotKind } from '../clubs/index.js';
import type { BagChoosing } from './bag-choosing.js';
import type { Choice } from './choose.js';
import { costOf, rulesBroken } from './choosing-model.js';
import { MIN_TOLD_STROKES, placeOf, type LossPlace } from './loss-place.js';
import { oneChange } from './one-change.js';
import { demandKey } from './shot-demand.js';
import { TIE_STROKES } from './tie.js';

/**
 * Why a club is in it: what the bag would cost without it, the need that asks for it most, and with which shot.
 */
export interface ClubReason {
  id: string;
  worth: number;
  need: string | undefined;
  /** Of that need, where its name does not say it. */
  distanceM: number | undefined;
  shot: ShotKind | undefined;
  needsMet: number;
  /**
   * The left-out club that would cost least in its place, and how much more that is; none where the rules
   * allow none.
   */
  runnerUp:
    | {
        id: string;
        costs: number;
        /** The same as it is played: without what having either club costs (a change, comfort, money). */
        onTheCourse: number;
        /** Where most of it is lost. */
        mostly?: LossPlace;
      }
    | undefined;
}

/**
 * What it would cost to have a left-out club in, and the club it would best take the place of; no club where
 * there is room.
 */
export interface LeftOut {
  id: string;
  costs: number;
  /** The same as it is played: without what having the clubs costs (a change, comfort, money). */
  onTheCourse: number;
  outId: string | undefined;
  /**
   * A rule that keeps it out of a place where it would be better than the best bag, and by how many strokes.
   */
  keptOutBy?: { rule: string; gains: number; outId: string };
}

/** One club in, one out: what the bag costs more then, over the best. */
interface OneChange {
  in: number;
  out: number | undefined;
  costs: number;
}

/** Why each club of the best bag is in it, and what each left-out club would cost, the cheapest first. */
export function whyChosen(
  { model, clubs, needs, shots }: BagChoosing,
  best: Choice,
): { reasons: ClubReason[]; leftOut: LeftOut[] } {
  const allowed = (chosen: readonly number[]) => chosen.length > 0 && rulesBroken(model, chosen).length === 0;
  const changed = oneChange(model, best.chosen);
  const inside = new Set(best.chosen);
  const sorted = (chosen: readonly number[]) => [...chosen].sort((a, b) => a - b);
  const changes: OneChange[] = clubs.flatMap((_club, c) =>
    inside.has(c)
      ? []
      : [undefined, ...best.chosen].flatMap((out): OneChange[] => {
          const chosen = sorted([...best.chosen.filter((one) => one !== out), c]);
          return allowed(chosen) ? [{ in: c, out, costs: changed(c, out) - best.cost }] : [];
        }),
  );
  const cheapest = (which: (one: OneChange) => boolean) =>
    changes
      .filter(which)
      .reduce<OneChange | undefined>((min, one) => (min && min.costs <= one.costs ? min : one), undefined);
  const priceOf = (c: number | undefined) => (c === undefined ? 0 : model.clubs[c]!.price);
  const onTheCourse = (one: OneChange) => one.costs - priceOf(one.in) + priceOf(one.out);
  /** Who meets each need, and what the next best of the bag would cost more for it. */
  const met = model.needs.map((row) => {
    let [by, cost, next] = [-1, Infinity, Infinity];
    for (const c of best.chosen) {
      const value = row[c]!;
      if (value < cost) {
        next = cost;
        cost = value;
        by = c;
      } else if (value < next) next = value;
    }
    return { by, cost, next };
  });
  const stepsOf = (chosen: readonly number[]) => costOf({ ...model, needs: [] }, chosen).steps;
  const bestSteps = stepsOf(best.chosen);
  const reasons = best.chosen.map((c): ClubReason => {
    const rest = best.chosen.filter((one) => one !== c);
    const metByClub = met.flatMap(({ by }, i) => (by === c ? [i] : []));
    const max =
      metByClub.length === 0
        ? undefined
        : metByClub.reduce((a, b) => (gainOf(met[b]!) > gainOf(met[a]!) ? b : a));
    const second = cheapest(({ out }) => out === c);
    return {
      id: clubs[c]!.id,
      runnerUp: second && {
        id: clubs[second.in]!.id,
        costs: second.costs,
        onTheCourse: onTheCourse(second),
        ...mostlyLost(c, second.in, second.costs),
      },
      worth: rest.length > 0 ? changed(undefined, c) - best.cost : Infinity,
      need: max === undefined ? undefined : needs[max]!.name,
      distanceM: max === undefined || needs[max]!.stroke === undefined ? undefined : needs[max]!.distanceM,
      shot: max === undefined ? undefined : shots[max]![c],
      needsMet: new Set(metByClub.map((i) => demandKey(needs[i]!))).size,
    };
  });
  /** Where a bag with that club in the place of another loses most, if that is half of it or more. */
  function mostlyLost(out: number, into: number, costs: number): { mostly?: LossPlace } {
    const lost = new Map<LossPlace, number>();
    model.needs.forEach((row, i) => {
      const { by, cost, next } = met[i]!;
      const apart = Math.min(by === out ? next : cost, row[into]!) - cost;
      const place = placeOf(needs[i]!);
      lost.set(place, (lost.get(place) ?? 0) + apart);
    });
    const bag = sorted([...best.chosen.filter((one) => one !== out), into]);
    lost.set('in even steps', stepsOf(bag) - bestSteps);
    const [place, most] = [...lost].reduce((a, b) => (b[1] > a[1] ? b : a));
    return most >= costs / 2 && most >= MIN_TOLD_STROKES ? { mostly: place } : {};
  }

  /**
   * Where a club would be better than the best bag, and the one rule that forbids it; locks on the club
   * itself were set by a person.
   */
  function keptOut(into: number): LeftOut['keptOutBy'] {
    const outs = [...best.chosen].map((out) => ({ out, gains: best.cost - changed(into, out) }));
    for (const { out, gains } of outs.sort((a, b) => b.gains - a.gains)) {
      if (gains < TIE_STROKES) return undefined;
      const broken = rulesBroken(model, sorted([...best.chosen.filter((one) => one !== out), into]));
      if (broken.length === 1 && broken[0]!.members.length > 1)
        return { rule: broken[0]!.name, gains, outId: clubs[out]!.id };
    }
    return undefined;
  }

  const leftOut = clubs
    .flatMap(({ id }, c): LeftOut[] => {
      const way = inside.has(c) ? undefined : cheapest((one) => one.in === c);
      const kept = inside.has(c) ? undefined : keptOut(c);
      return way
        ? [
            {
              id,
              costs: way.costs,
              onTheCourse: onTheCourse(way),
              outId: way.out === undefined ? undefined : clubs[way.out]!.id,
              ...(kept && { keptOutBy: kept }),
            },
          ]
        : [];
    })
    .sort((a, b) => a.costs - b.costs);
  return { reasons, leftOut };
}

/** What the club that meets a need saves there over the next best of the bag. */
function gainOf({ cost, next }: { cost: number; next: number }): number {
  return next - cost;
}
