import { beginning, clubName, theClub } from './club-name.js';
import {
  CHECK_EVERY_DAYS,
  clashSentence,
  clashesOf,
  daysBetween,
  grooveWear,
  nextCheckDue,
  windowsBefore,
  type Clash,
  type ComingChange,
  type SeasonEvent,
  type WindowKind,
} from '@tasche/core';
import type { TeeTime } from './round-times.js';
import { USUAL_SEASON, type SeasonItemKind } from './player-season.js';
import { freezesOf, occurrences } from './season-occurrences.js';
import type { EventView, Page, SheetView } from './views.js';

export type SeasonEntryKind =
  'event' | 'round' | WindowKind | SeasonItemKind | 'ticket' | 'trial' | 'check' | 'grooves';

/** Something with a place in a player's season. Days are YYYY-MM-DD, the last one included. */
export interface SeasonEntry {
  /** The same whenever the season is read, so that a calendar changes its entry and makes no second one. */
  uid: string;
  kind: SeasonEntryKind;
  name: string;
  from: string;
  to: string;
  /** Counts up whenever the entry is changed. */
  revision: number;
  /** Of an event: the player's plan for it; null where there is none. */
  planId?: string | null;
  /** Of an event of the workspace. */
  eventId?: string;
  /** A club it is about. */
  clubId?: string;
  /** Of a round: when it begins. */
  tee?: TeeTime;
}

export interface PlayerSeasonView {
  /** By their first day. */
  entries: readonly SeasonEntry[];
  clashes: readonly (Clash & { text: string })[];
}

/** A player's part of the workspace's calendar. */
export interface CalendarEntry extends PlayerSeasonView {
  player: { id: string; name: string };
}
export type CalendarPage = Page<CalendarEntry>;

type SeasonSheet = Pick<SheetView, 'player' | 'plans' | 'tickets' | 'clubs' | 'bags'>;

/** Jobs that change how a club plays. */
const NEW_TO_PLAY = new Set(['bend', 'sleeve', 'weight', 'length', 'shaft', 'grooves', 'build']);
/** A higher handicap is not a professional's. Our choice, as on the page of wear. */
const TOUR_HANDICAP = 0;

/** Everything in a player's season from one day to another, and what conflicts. */
export function seasonOf(
  sheet: SeasonSheet,
  events: readonly EventView[],
  from: string,
  to: string,
  today: string,
): PlayerSeasonView {
  const season = sheet.player.season ?? USUAL_SEASON;
  const played = eventsOf(sheet, events);
  const own = played.filter(({ planId }) => planId !== null);
  const windows = windowsBefore(own.map(asSeasonEvent), season.rules);
  const tickets = sheet.tickets.filter(
    ({ dueOn, state }) => dueOn !== null && (state === 'asked' || state === 'on the bench'),
  );
  const trials = season.trials.filter(({ outcome }) => outcome === 'open');
  /** In a sentence. */
  const nameOf = (id: string) => theClub(clubName(sheet.clubs, id));
  const items = occurrences(season.items, from, to);
  const { version } = sheet.player;
  const entries: SeasonEntry[] = [
    ...played,
    ...teeTimes(sheet, events),
    ...windows.map(({ kind, eventId, eventName, ...days }): SeasonEntry => ({
      uid: `${kind}-${eventId}`,
      kind,
      name: `${WINDOW_WORDS[kind]} ${eventName}`,
      // It moves with its event, and with the player's days.
      revision: version + played.find(({ uid }) => uid === eventId)!.revision,
      ...days,
    })),
    ...items.map(({ id, kind, name, from: begins, to: ends }): SeasonEntry => ({
      uid: `item-${id}-${begins}`,
      kind,
      name,
      from: begins,
      to: ends,
      revision: version,
    })),
    ...tickets.map(({ id, name, dueOn, version: revision, clubId }): SeasonEntry => ({
      uid: `ticket-${id}`,
      kind: 'ticket',
      name,
      from: dueOn!,
      to: dueOn!,
      revision,
      clubId,
    })),
    ...trials.map(({ id, clubId, by }): SeasonEntry => ({
      uid: `trial-${id}`,
      kind: 'trial',
      name: `Trial of ${nameOf(clubId)} ends`,
      from: by,
      to: by,
      revision: version,
      clubId,
    })),
    ...dueEntries(sheet, today),
  ];
  const changes: ComingChange[] = [
    ...tickets
      .filter(({ job }) => NEW_TO_PLAY.has(job))
      .map(({ id, name, dueOn }) => ({ id, name, on: dueOn! })),
    ...trials.map(({ id, clubId, by }) => ({
      id,
      name: `${beginning(nameOf(clubId))}, on trial until then`,
      on: by,
    })),
  ];
  const freezes = freezesOf(season, from, to);
  const named = [...own.map(({ uid, name }) => ({ id: uid, name })), ...freezes, ...changes];
  const calledOf = (id: string) => named.find((one) => one.id === id)?.name ?? '';
  return {
    entries: entries
      .filter((entry) => entry.to >= from && entry.from <= to)
      .sort((a, b) => a.from.localeCompare(b.from) || a.uid.localeCompare(b.uid)),
    clashes: clashesOf({
      events: own.map(asSeasonEvent),
      windows,
      freezes,
      changes: changes.filter(({ on }) => on >= from && on <= to),
    }).map((clash) => ({ ...clash, text: clashSentence(clash, calledOf) })),
  };
}

const WINDOW_WORDS: Record<WindowKind, string> = {
  test: 'Test for',
  play: 'Play in for',
  untouched: 'Leave alone before',
};

type EventEntry = SeasonEntry & { planId: string | null };

/** The workspace's events, each with the player's plan for it, and the weeks planned without one. */
function eventsOf({ plans }: SeasonSheet, events: readonly EventView[]): EventEntry[] {
  const ofEvents = events.map((event): EventEntry => {
    const days = event.rounds.map(({ day }) => day).sort();
    return {
      uid: `event-${event.id}`,
      kind: 'event',
      name: event.name,
      from: days[0]!,
      to: days.at(-1)!,
      revision: event.version,
      eventId: event.id,
      planId: plans.find(({ eventId }) => eventId === event.id)?.id ?? null,
    };
  });
  const weeks = plans
    .filter(({ eventId }) => eventId === null)
    .map(({ id, name, startsOn, endsOn, version }): EventEntry => ({
      uid: `plan-${id}`,
      kind: 'event',
      name,
      from: startsOn,
      to: endsOn,
      revision: version,
      planId: id,
    }));
  return [...ofEvents, ...weeks];
}

/** The rounds of events a player is planned for, as far as it is known when they begin. */
function teeTimes({ plans }: SeasonSheet, events: readonly EventView[]): SeasonEntry[] {
  return events.flatMap((event) => {
    const plan = plans.find(({ eventId }) => eventId === event.id);
    if (!plan) return [];
    return event.rounds.flatMap(({ id, name, day, teeTime }): SeasonEntry[] =>
      teeTime
        ? [
            {
              uid: `round-${plan.id}-${id}`,
              kind: 'round',
              name: `${event.name}, ${name}`,
              from: day,
              to: day,
              revision: event.version,
              planId: plan.id,
              tee: { time: teeTime, zone: event.zone },
            },
          ]
        : [],
    );
  });
}

function asSeasonEvent({ uid, name, from, to }: EventEntry): SeasonEvent {
  return { id: uid, name, from, to };
}

/** The handicap is not known of every player. */
interface WithHandicap {
  handicap?: number | null | undefined;
}

/** Whether the player is a professional: checks are due sooner. */
const isOnTour = ({ handicap }: WithHandicap) => handicap != null && handicap <= TOUR_HANDICAP;

/** Days after which lofts and lies are to be checked again. */
export function checkEveryDays(player: WithHandicap): number {
  return isOnTour(player) ? CHECK_EVERY_DAYS.tour : CHECK_EVERY_DAYS.home;
}

/** Rounds a player is taken to play a week. */
export function roundsAWeek(player: WithHandicap): number {
  return isOnTour(player) ? 5 : 1;
}

/** The next check of the gamer, and grooves that are due. What was due before today is due today. */
function dueEntries({ player, clubs, bags }: SeasonSheet, today: string): SeasonEntry[] {
  const gamer = bags.find((bag) => bag.gamer);
  const inBag = clubs.filter(({ id }) => gamer?.clubIds.includes(id));
  if (inBag.length === 0) return [];
  const check = nextCheckDue(inBag, checkEveryDays(player));
  const from = (day: string) => (day < today ? today : day);
  const checkDay = from(check ?? today);
  return [
    {
      uid: `check-${player.id}`,
      kind: 'check',
      name: 'Check lofts and lies',
      from: checkDay,
      to: checkDay,
      revision: dayNumber(checkDay),
    },
    ...inBag.flatMap((club): SeasonEntry[] => {
      const wear = grooveWear(club, today, roundsAWeek(player));
      if (!wear) return [];
      const day = from(wear.dueOn);
      return [
        {
          uid: `grooves-${club.id}`,
          kind: 'grooves',
          name: `New grooves for the ${club.name}`,
          from: day,
          to: day,
          revision: dayNumber(day),
          clubId: club.id,
        },
      ];
    }),
  ];
}

/** What is due later is due later on: its day itself counts up. */
function dayNumber(day: string): number {
  return daysBetween('2020-01-01', day);
}
