import { dayPlus, daysBetween } from './days.js';

/** How long something new is tested, then played, then left alone before an event. Days. */
export interface SeasonRules {
  testDays: number;
  playDays: number;
  untouchedDays: number;
}

/** A week of testing, a week of playing, two weeks untouched. Common practice, no source. */
export const DEFAULT_SEASON_RULES: SeasonRules = { testDays: 7, playDays: 7, untouchedDays: 14 };

/** A stretch of days, the last one included. YYYY-MM-DD. */
interface DaySpan {
  from: string;
  to: string;
}

/** An event as the season sees it. */
export interface SeasonEvent extends DaySpan {
  id: string;
  name: string;
}

export type WindowKind = 'test' | 'play' | 'untouched';

/** What the days before an event are for. */
interface SeasonWindow extends DaySpan {
  kind: WindowKind;
  eventId: string;
  eventName: string;
}

/**
 * The windows before each event, by its first day: untouched right before it, played before that, tested
 * before that. Where another event is played meanwhile there is no window until it is over, so in the weeks
 * of a season only what is left of the untouched days stands.
 */
export function windowsBefore(events: readonly SeasonEvent[], rules: SeasonRules): SeasonWindow[] {
  const inOrder = events.toSorted((a, b) => a.from.localeCompare(b.from) || a.id.localeCompare(b.id));
  return inOrder.flatMap((event, i) => {
    const lastEnd = inOrder
      .slice(0, i)
      .map(({ to }) => to)
      .reduce((latest, to) => (to > latest ? to : latest), '');
    const windows: SeasonWindow[] = [];
    let end = dayPlus(event.from, -1);
    for (const [kind, days] of [
      ['untouched', rules.untouchedDays],
      ['play', rules.playDays],
      ['test', rules.testDays],
    ] as const) {
      const begin = dayPlus(end, 1 - days);
      const from = begin > lastEnd ? begin : dayPlus(lastEnd, 1);
      if (days > 0 && from <= end)
        windows.unshift({ kind, eventId: event.id, eventName: event.name, from, to: end });
      end = dayPlus(begin, -1);
    }
    return windows;
  });
}

/** A time in which nothing new is wanted. */
export interface Freeze extends DaySpan {
  id: string;
  name: string;
}

/** Something that will be new in a bag from a day on. */
export interface ComingChange {
  id: string;
  name: string;
  on: string;
}

export interface Clash {
  code: 'in untouched' | 'in event' | 'in freeze' | 'events overlap';
  /** What is in the way of what, by their ids. */
  ids: readonly [string, string];
  day: string;
  /** Of something new in days to be left alone: so many before the event. */
  days?: number;
}

/** Conflicts, soonest first: new things in days that are to be left alone, events at one time. */
export function clashesOf({
  events,
  windows,
  freezes,
  changes,
}: {
  events: readonly SeasonEvent[];
  windows: readonly SeasonWindow[];
  freezes: readonly Freeze[];
  changes: readonly ComingChange[];
}): Clash[] {
  const inOrder = events.toSorted((a, b) => a.from.localeCompare(b.from) || a.id.localeCompare(b.id));
  const overlapping = inOrder.flatMap((event, i) =>
    inOrder
      .slice(i + 1)
      .filter(({ from }) => from <= event.to)
      .map((other): Clash => ({
        code: 'events overlap',
        ids: [event.id, other.id],
        day: other.from,
      })),
  );
  const early = changes.flatMap(({ id, on }): Clash[] => {
    const played = inOrder.find((event) => isIn(on, event));
    const untouched = windows.find((window) => window.kind === 'untouched' && isIn(on, window));
    const frozen = freezes.find((freeze) => isIn(on, freeze));
    const clash = (code: Clash['code'], otherId: string): Clash => ({ code, ids: [id, otherId], day: on });
    const event = untouched && inOrder.find((one) => one.id === untouched.eventId);
    return [
      ...(played ? [clash('in event', played.id)] : []),
      ...(event ? [{ ...clash('in untouched', event.id), days: daysBetween(on, event.from) }] : []),
      ...(frozen ? [clash('in freeze', frozen.id)] : []),
    ];
  });
  return [...overlapping, ...early].sort(
    (a, b) => a.day.localeCompare(b.day) || a.ids.join(' ').localeCompare(b.ids.join(' ')),
  );
}

/** The freeze a day is in. */
export function freezeOn(freezes: readonly Freeze[], day: string): Freeze | undefined {
  return freezes.find((freeze) => isIn(day, freeze));
}

function isIn(day: string, { from, to }: DaySpan): boolean {
  return from <= day && day <= to;
}
