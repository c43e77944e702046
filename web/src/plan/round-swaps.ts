import {
  lossOf,
  lossWords,
  type BagAnswer,
  type ChosenBag,
  type DayTrigger,
  type DistanceUnit,
  type LadderClub,
  type Swap,
} from '@tasche/core';
import { theClub, type Trigger } from '@tasche/contract';
import { format } from 'date-fns';
import { airWords } from '../conditions/air-units';

/**
 * What goes out and in against the gamer, longest first, each with its reason, and what keeping the old one
 * would cost. Clubs the player no longer owns are left out silently.
 * @param why sentences of clubs, by their ids
 */
export function swapsAgainst(
  gamerIds: readonly string[],
  { best, reasons }: Pick<BagAnswer, 'best' | 'reasons'>,
  clubs: readonly LadderClub[],
  why: Readonly<Record<string, string>>,
): Swap[] {
  const owned = new Map(clubs.map((club) => [club.id, club.shots.full?.carryM ?? 0]));
  const byCarry = (a: string, b: string) => (owned.get(b) ?? 0) - (owned.get(a) ?? 0);
  const outs = gamerIds.filter((id) => owned.has(id) && !best.ids.includes(id)).sort(byCarry);
  const ins = best.ids.filter((id) => !gamerIds.includes(id)).sort(byCarry);
  const runnersUp = new Map(reasons.map(({ id, runnerUp }) => [id, runnerUp?.id]));
  return Array.from({ length: Math.max(outs.length, ins.length) }, (_one, i): Swap => {
    const [outId, inId] = [outs[i], ins[i]];
    // Where the runner-up is the club that goes out, the price of keeping it is shown already.
    const isTold = inId !== undefined && outId !== undefined && runnersUp.get(inId) === outId;
    return {
      ...(outId && { outId }),
      ...(inId && { inId }),
      why: [inId, isTold ? undefined : outId]
        .flatMap((id) => (id && why[id] ? [why[id]] : []))
        .join(' ')
        .slice(0, 500),
    };
  });
}

/** "the Driving iron and the 48 for the Hybrid 3 and the 60". */
export function insteadWords(
  ins: readonly string[],
  outs: readonly string[],
  nameOf: (id: string) => string,
): string {
  const list = (ids: readonly string[]) => ids.map((id) => theClub(nameOf(id))).join(' and ');
  if (ins.length === 0) return `leave ${list(outs)} out`;
  return outs.length === 0 ? `${list(ins)} as well` : `${list(ins)} for ${list(outs)}`;
}

/** What a bag has changed from the one before it; "" where it is the same, null where there is none. */
export function sinceWords(
  before: readonly string[] | undefined,
  now: readonly string[] | undefined,
  nameOf: (id: string) => string,
): string | null {
  if (!before || !now) return null;
  const [ins, outs] = [now.filter((id) => !before.includes(id)), before.filter((id) => !now.includes(id))];
  return ins.length + outs.length === 0 ? '' : insteadWords(ins, outs, nameOf);
}

/**
 * Settled rounds, each answer said once: "Round 1 and Round 3 play one bag. Round 2: the Driving iron for the
 * 4 iron." Against the bag that is played most often; "" where fewer than two are settled.
 */
export function settledWords(
  settled: readonly { name: string; clubIds: readonly string[] }[],
  nameOf: (id: string) => string,
): string {
  if (settled.length < 2) return '';
  const groups = new Map<string, { names: string[]; clubIds: readonly string[] }>();
  for (const { name, clubIds } of settled) {
    const key = clubIds.toSorted().join(' ');
    const group = groups.get(key) ?? { names: [], clubIds };
    group.names.push(name);
    groups.set(key, group);
  }
  const [first, ...others] = [...groups.values()].sort((a, b) => b.names.length - a.names.length);
  const list = (names: readonly string[]) =>
    names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;
  const own =
    first!.names.length > 1
      ? `${list(first!.names)} play one bag.`
      : `Against the bag of ${first!.names[0]!},`;
  return [
    own,
    ...others.map(({ names, clubIds }) => `${list(names)}: ${sinceWords(first!.clubIds, clubIds, nameOf)!}.`),
  ].join(' ');
}

/** "If the wind on Friday is over 8 m/s: the Driving iron for the Hybrid 3, worth 0.12." */
export function triggerOf(
  { when, ids, gain }: DayTrigger,
  best: readonly string[],
  day: string,
  unit: DistanceUnit,
  nameOf: (id: string) => string,
): Trigger {
  const outIds = best.filter((id) => !ids.includes(id));
  const inIds = ids.filter((id) => !best.includes(id));
  const weekday = format(new Date(`${day}T12:00:00`), 'EEEE');
  const condition =
    'wind' in when
      ? `the wind on ${weekday} is ${when.wind} ${airWords('wind', when.mps, unit)}`
      : 'ground' in when
        ? `the ground on ${weekday} is a step ${when.ground}`
        : `it rains on ${weekday}`;
  return {
    text: `If ${condition}: ${insteadWords(inIds, outIds, nameOf)}, worth ${gain.toFixed(2)}.`.slice(0, 300),
    outIds,
    inIds,
  };
}

/** What another bag has and has not, and what it costs more as it is played. */
export function differsWords(
  bag: ChosenBag,
  best: BagAnswer['best'],
  nameOf: (id: string) => string,
): string {
  const words = insteadWords(
    bag.ids.filter((id) => !best.ids.includes(id)),
    best.ids.filter((id) => !bag.ids.includes(id)),
    nameOf,
  );
  return bag.ids.length === best.ids.length && bag.ids.every((id) => best.ids.includes(id))
    ? 'the same bag'
    : `${words}, ${lossWords(lossOf(bag, best).onTheCourse)}`;
}
