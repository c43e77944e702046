import {
  planRoundOf,
  type BagView,
  type CourseView,
  type EventRound,
  type EventView,
  type PlanRound,
  type PlanView,
} from '@tasche/contract';
import { bagFindingSentence, bagFindings, type GapSettings, type LadderClub } from '@tasche/core';
import { sinceWords } from './round-swaps';

/** A round as the swap sheet says it. */
export interface SheetRound {
  round: EventRound;
  own: PlanRound;
  /** The bag it was settled with. */
  bag: BagView | undefined;
  /** Those of the bag, longest first. */
  clubs: readonly LadderClub[];
  course: CourseView | undefined;
  /** What the Rules or the event do not allow of the bag. */
  findings: readonly string[];
  /** The round before; none before the first. */
  before: EventRound | undefined;
  /** What changes in the bag from the round before: "" for nothing, null where one of the two has no bag. */
  since: string | null;
}

interface Known {
  bags: readonly BagView[];
  clubs: ReadonlyMap<string, LadderClub>;
  courses: readonly CourseView[];
  gapSettings: Partial<GapSettings>;
  nameOf: (id: string) => string;
}

/** The rounds of an event as its plan has them, in their order. */
export function sheetRounds(
  plan: PlanView,
  { rounds, limits }: Pick<EventView, 'rounds' | 'limits'>,
  { bags, clubs, courses, gapSettings, nameOf }: Known,
): SheetRound[] {
  const allowed = { ...gapSettings, clubLimit: limits.clubs, lengthMaxIn: limits.lengthIn };
  const carryOf = ({ shots }: LadderClub) => shots.full?.carryM ?? 0;
  const bagOf = (round: EventRound) => {
    const { bagId } = planRoundOf(plan, round.id);
    return bags.find(({ id }) => id === bagId);
  };
  return rounds.map((round, i) => {
    const bag = bagOf(round);
    const inBag = (bag?.clubIds ?? []).flatMap((id) => clubs.get(id) ?? []);
    const before = rounds[i - 1];
    return {
      round,
      own: planRoundOf(plan, round.id),
      bag,
      clubs: inBag.sort((a, b) => carryOf(b) - carryOf(a)),
      course: courses.find(({ id }) => id === round.courseId),
      findings: bagFindings(inBag, allowed)
        .filter(({ severity }) => severity === 'rule')
        .map((finding) => bagFindingSentence(finding, nameOf)),
      before,
      since: sinceWords(before && bagOf(before)?.clubIds, bag?.clubIds, nameOf),
    };
  });
}
