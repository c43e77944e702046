import { clockIn, dayIn, teeMoment, type EventRound } from '@tasche/contract';
import { ownZone } from '../fields/time-zones';

/**
 * When a round begins: "08:40", with the reader's own clock where it shows another time, "08:40 (01:40
 * here)". Empty while not known.
 * @param zone of the event; null where not given
 */
export function teeWords(
  { day, teeTime }: Pick<EventRound, 'day' | 'teeTime'>,
  zone: string | null,
  own = ownZone(),
): string {
  if (!teeTime) return '';
  if (zone === null) return teeTime;
  const moment = teeMoment(day, teeTime, zone);
  const here = clockIn(own, moment);
  if (here === teeTime && dayIn(own, moment) === day) return teeTime;
  const onDay =
    dayIn(own, moment) === day ? '' : dayIn(own, moment) < day ? ' the day before' : ' the day after';
  return `${teeTime} (${here}${onDay} here)`;
}
