import type { RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { RouteLocationRaw } from 'vue-router';
import { counted } from '../app/counted';

/** What a rep should do next for a player, the most pressing thing alone. */
interface NextThing {
  /** Lower is more pressing. */
  rank: number;
  words: string;
  to: RouteLocationRaw;
  severity: 'fault' | 'look' | 'unknown';
}

/** An event is looked at from so many days before on; a check on tour is weekly. Common practice, no source. */
const EVENT_DAYS = 14;
const CHECK_DAYS = 7;

/** A late ticket, then a round without a bag, a fault, a check, carries that are old or not known; null where all is well. */
export function nextThing({ player, gamer, bench, nextPlan }: RosterEntry, today: string): NextThing | null {
  const params = { playerId: player.id };
  const daysTo = (day: string) => differenceInCalendarDays(parseISO(day), parseISO(today));
  if (bench.tickets > 0 && bench.dueOn !== null && bench.dueOn < today)
    return { rank: 0, severity: 'fault', words: 'a ticket is late', to: { name: 'bench', params } };
  if (!gamer || gamer.clubs === 0)
    return { rank: 1, severity: 'look', words: 'write the bag down', to: { name: 'bag', params } };
  const { rounds } = nextPlan ?? {};
  if (nextPlan && rounds && rounds.settled < rounds.of && daysTo(nextPlan.startsOn) <= EVENT_DAYS)
    return {
      rank: 2,
      severity: 'look',
      words: `settle ${counted(rounds.of - rounds.settled, 'round')} of ${nextPlan.name}`,
      to: { name: 'plan', params: { ...params, planId: nextPlan.id } },
    };
  if (gamer.faults > 0)
    return {
      rank: 3,
      severity: 'fault',
      words: `mend ${counted(gamer.faults, 'fault')} of the gamer`,
      to: { name: 'bag', params },
    };
  if (bench.stale > 0)
    return {
      rank: 4,
      severity: 'look',
      words: `measure ${counted(bench.stale, 'club')} again, changed since`,
      to: { name: 'basket', params },
    };
  if (bench.tickets > 0)
    return {
      rank: 5,
      severity: 'look',
      words: counted(bench.tickets, 'ticket') + ' open',
      to: { name: 'bench', params },
    };
  if (bench.unknown > 0)
    return {
      rank: 6,
      severity: 'unknown',
      words: `${counted(bench.unknown, 'carry', 'carries')} not known`,
      to: { name: 'basket', params },
    };
  if (bench.checkedOn === null || -daysTo(bench.checkedOn) > CHECK_DAYS)
    return { rank: 7, severity: 'look', words: 'check lofts and lies', to: { name: 'check', params } };
  return null;
}
