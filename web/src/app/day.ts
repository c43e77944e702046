import { useDocumentVisibility, useIntervalFn } from '@vueuse/core';
import { format } from 'date-fns';
import { ref, shallowRef, watch, type Ref } from 'vue';

/** How often a page that stays open looks whether it is tomorrow. */
const LOOK_MS = 30_000;
/** Days that began while the page was open. */
const daysBegun = shallowRef(0);
const now = () => format(new Date(), 'yyyy-MM-dd');

/** Today where the reader is, as YYYY-MM-DD; what is worked out from it is worked out again when a day begins. */
export function today(): string {
  void daysBegun.value;
  return now();
}

/** While it runs, a page that stays open over midnight goes on with the new day. */
export function useMidnight(): void {
  let last = now();
  const look = () => {
    if (now() === last) return;
    last = now();
    daysBegun.value += 1;
  };
  useIntervalFn(look, LOOK_MS);
  // Timers of a tab in the background may stand still.
  watch(useDocumentVisibility(), look);
}

/** A day that is today until another is chosen: of a form that may stay open overnight. */
export function useTodayUnlessChosen(): Ref<string> {
  const day = ref(today());
  watch(today, (next, before) => {
    if (day.value === before) day.value = next;
  });
  return day;
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
