import type { RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { counted } from '@tasche/core';

/** How far a player is with the next event, the least first. */
export const EVENT_STATES = [
  'nothing planned',
  'no bag settled',
  'partly settled',
  'planned',
  'built',
  'checked',
  'travelled',
] as const;
export type EventState = (typeof EVENT_STATES)[number];

/**
 * A check this long before the first day still counts for the event; one on tour is weekly. Common
 * practice, no source.
 */
const CHECKED_WITHIN_DAYS = 7;

type Known = Pick<RosterEntry, 'player' | 'bench' | 'nextPlan'>;

/**
 * Planned when every round has its bag, built when no ticket is open, checked when every club of the gamer
 * was on the gauge since the last of them was done and
 * in the week before, travelled when the trip there or the event has begun.
 * @param today YYYY-MM-DD
 */
export function eventState({ player, bench, nextPlan }: Known, today: string): EventState {
  if (!nextPlan) return 'nothing planned';
  const { rounds, swaps, startsOn } = nextPlan;
  if (rounds && rounds.settled < rounds.of) return rounds.settled === 0 ? 'no bag settled' : 'partly settled';
  if (!rounds && swaps === 0) return 'no bag settled';
  if (startsOn <= today || isOnTheWay(player.season, startsOn, today)) return 'travelled';
  if (bench.tickets > 0) return 'planned';
  const { checkedOn, builtOn } = bench;
  const isChecked =
    checkedOn !== null &&
    (builtOn === null || checkedOn >= builtOn) &&
    differenceInCalendarDays(parseISO(startsOn), parseISO(checkedOn)) <= CHECKED_WITHIN_DAYS;
  return isChecked ? 'checked' : 'built';
}

function isOnTheWay(season: Known['player']['season'], startsOn: string, today: string): boolean {
  return (season?.items ?? []).some(
    ({ kind, from, to }) => kind === 'trip' && from <= today && today <= to && startsOn <= to,
  );
}

/** What the roster says of it: what is missing rather than what is done. */
export function eventStateWords(
  entry: Known,
  today: string,
): { words: string; severity: 'fine' | 'warning' } {
  const { nextPlan, bench } = entry;
  switch (eventState(entry, today)) {
    case 'nothing planned':
      return { words: 'nothing planned', severity: 'warning' };
    case 'no bag settled':
      return { words: nextPlan?.rounds ? 'no bag settled yet' : 'no swaps', severity: 'warning' };
    case 'partly settled':
      return {
        words: `${nextPlan!.rounds!.settled} of ${nextPlan!.rounds!.of} bags settled`,
        severity: 'warning',
      };
    case 'planned':
      return { words: `planned, ${counted(bench.tickets, 'ticket')} open`, severity: 'warning' };
    case 'built':
      return { words: 'built, not checked yet', severity: 'warning' };
    case 'checked':
      return { words: 'built and checked', severity: 'fine' };
    case 'travelled':
      return { words: 'travelled', severity: 'fine' };
  }
}
