import { checkEveryDays, type CommandName, type RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { RouteLocationRaw } from 'vue-router';
import { counted } from '@tasche/core';

/** Something a rep should do for a player. */
export interface ThingToDo {
  /** Lower is more pressing. */
  rank: number;
  words: string;
  to: RouteLocationRaw;
  severity: 'error' | 'warning' | 'unknown';
}

/** An event is looked at from so many days before on. Common practice, no source. */
const EVENT_DAYS = 14;

/**
 * What there is to do for a player, the most urgent first: a late ticket, then a round without a bag, a
 * fault, carries that are old, open tickets, carries that are not known, a check, grooves. Nothing where all is
 * well.
 * @param today YYYY-MM-DD
 * @param may whether the reader may do such a thing; what they may not do is left out
 */
export function thingsToDo(
  { player, gamer, bench, nextPlan }: RosterEntry,
  today: string,
  may: (name: CommandName) => boolean,
): ThingToDo[] {
  const params = { playerId: player.id };
  const daysTo = (day: string) => differenceInCalendarDays(parseISO(day), parseISO(today));
  const isLate = bench.tickets > 0 && bench.dueOn !== null && bench.dueOn < today;
  const things: ThingToDo[] = [];
  const add = (
    rank: number,
    by: CommandName,
    severity: ThingToDo['severity'],
    words: string,
    name: string,
    more: Record<string, string> = {},
  ) => {
    if (may(by)) things.push({ rank, severity, words, to: { name, params: { ...params, ...more } } });
  };

  if (isLate) add(0, 'finishTicket', 'error', 'a ticket is late', 'bench');
  if (!gamer || gamer.clubs === 0) add(1, 'addClub', 'warning', 'enter the bag', 'bag');
  const { rounds } = nextPlan ?? {};
  if (nextPlan && rounds && rounds.settled < rounds.of && daysTo(nextPlan.startsOn) <= EVENT_DAYS)
    add(
      2,
      'setRoundBag',
      'warning',
      `settle ${counted(rounds.of - rounds.settled, 'round')} of ${nextPlan.name}`,
      'plan',
      {
        planId: nextPlan.id,
      },
    );
  if (gamer && gamer.faults > 0)
    add(3, 'putIn', 'error', `fix ${counted(gamer.faults, 'fault')} of the gamer`, 'bag');
  if (bench.stale > 0)
    add(4, 'addSession', 'warning', `measure ${counted(bench.stale, 'club')} again, changed since`, 'basket');
  if (bench.tickets > 0 && !isLate)
    add(5, 'finishTicket', 'warning', `${counted(bench.tickets, 'ticket')} open`, 'bench');
  if (bench.unknown > 0)
    add(6, 'addSession', 'unknown', `${counted(bench.unknown, 'carry', 'carries')} not known`, 'basket');
  const hasClubs = gamer !== null && gamer.clubs > 0;
  if (hasClubs && (bench.checkedOn === null || -daysTo(bench.checkedOn) > checkEveryDays(player)))
    add(7, 'editClub', 'warning', 'check lofts and lies', 'check');
  const grooves = bench.groovesDueOn.filter((day) => day <= today).length;
  if (grooves > 0) add(8, 'addTicket', 'warning', `new grooves for ${counted(grooves, 'wedge')}`, 'wear');
  return things;
}
