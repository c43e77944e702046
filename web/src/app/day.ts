import { format } from 'date-fns';

/** Today where the reader is, as YYYY-MM-DD. */
export function today(): string {
  return format(new Date(), 'yyyy-MM-dd');
}

/** "24 Nov", with the year when it is another. */
export function shortDay(day: string): string {
  const date = new Date(`${day}T12:00:00`);
  return format(date, date.getFullYear() === new Date().getFullYear() ? 'd MMM' : 'd MMM yyyy');
}

/** "24 Nov", or "24 Nov to 26 Nov". */
export function spanOfDays(from: string, to: string): string {
  return from === to ? shortDay(from) : `${shortDay(from)} to ${shortDay(to)}`;
}

/** "24 Nov 14:03", in the reader's time zone. */
export function shortMoment(iso: string): string {
  return format(new Date(iso), 'd MMM HH:mm');
}

/** A sentence of the record with its days as people say them: "session of 22 Nov opened". */
export function withDaysFormatted(text: string): string {
  return text.replace(/\b\d{4}-\d{2}-\d{2}\b/g, (day) => {
    const said = new Date(`${day}T12:00:00`);
    return Number.isNaN(said.valueOf()) ? day : shortDay(day);
  });
}
