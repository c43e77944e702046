import { beginsWith, type CourseView, type EventView, type FoundPlayer } from '@tasche/contract';
import type { RouteLocationRaw } from 'vue-router';
import { spanOfDays } from '../app/day';
import { BENCH_VIEWS, PLAYER_VIEWS, VIEWS, viewOf } from '../app/views';
import { firstDayOf, lastDayOf } from '../plan/event-draft';
import { entryLink } from '../season/entry-link';

/** Somewhere in the app that can be gone to. */
interface Place {
  key: string;
  label: string;
  /** What it is, where its name does not say. */
  says: string;
  to: RouteLocationRaw;
}

/** What there is to go to, and where one is. */
export interface PlacesFrom {
  /** As the server found them, by the words that are typed. */
  players: readonly FoundPlayer[];
  /** Whose page is open. */
  here: { id: string; name: string; clubs: readonly { id: string; name: string }[] } | null;
  /** The name of the route that is open: another player is shown in the same view. */
  view: string;
  courses: readonly Pick<CourseView, 'id' | 'name'>[];
  events: readonly Pick<EventView, 'id' | 'name' | 'rounds'>[];
  /** Plans of the player whose page is open, by their events. */
  planOf: (eventId: string) => string | null;
}

const MAX_PLACES = 12;
/** Views of a player, and what is under them and asks for no more than a player. */
const PAGES: readonly { name: string; label: string }[] = [
  ...PLAYER_VIEWS,
  ...BENCH_VIEWS.filter(({ name }) => name !== 'bench'),
  { name: 'basket', label: 'Next basket' },
];

/**
 * Where the words that are typed lead: each of them begins a word of the place. Without words, the players, in the
 * view that is open.
 */
export function placesFor(text: string, from: PlacesFrom): Place[] {
  const words = wordsOf(text).map(beginsWith);
  const view =
    PAGES.find(({ name }) => name === from.view) ??
    PAGES.find(({ name }) => name === viewOf(from.view)) ??
    PLAYER_VIEWS[0];
  const inThisView = from.players.map((player) => playerPlace(player, view));
  if (words.length === 0) return inThisView.slice(0, MAX_PLACES);
  const here = from.here;
  const all: readonly (readonly [Place, searched: string])[] = [
    ...inThisView.map((place, i) => [place, from.players[i]!.name] as const),
    ...VIEWS.map((one) => [workspacePlace(one), one.label] as const),
    ...(here ? PAGES.map((one) => [playerPlace(here, one), one.label] as const) : []),
    ...(here?.clubs ?? []).map((club) => [clubPlace(here!, club), `${club.name} club`] as const),
    ...from.courses.map((course) => [coursePlace(course), `${course.name} course`] as const),
    ...from.events.map((event) => [eventPlace(event, from), `${event.name} event`] as const),
    ...from.players.flatMap((player) =>
      PAGES.map((one) => [playerPlace(player, one), `${player.name} ${one.label}`] as const),
    ),
  ];
  const found = new Map<string, Place>();
  for (const [place, searched] of all)
    if (found.size < MAX_PLACES && !found.has(place.key) && isMeant(words, wordsOf(searched)))
      found.set(place.key, place);
  return [...found.values()];
}

const wordsOf = (text: string) => text.split(/[\s·,-]+/).filter((word) => word !== '');

/** Each word begins one of the place, no two of them the same one. */
function isMeant(words: readonly ((word: string) => boolean)[], ofPlace: readonly string[]): boolean {
  const free = [...ofPlace];
  return words.every((isBegun) => {
    const at = free.findIndex(isBegun);
    if (at !== -1) free.splice(at, 1);
    return at !== -1;
  });
}

function playerPlace(
  player: { id: string; name: string; archived?: boolean },
  { name: view, label }: { name: string; label: string },
): Place {
  return {
    key: `${view} ${player.id}`,
    label: `${player.name} · ${label}`,
    says: player.archived ? 'off the roster' : '',
    to: { name: view, params: { playerId: player.id } },
  };
}

function workspacePlace({ name, label }: { name: string; label: string }): Place {
  return { key: name, label, says: '', to: { name } };
}

function clubPlace(player: { id: string; name: string }, club: { id: string; name: string }): Place {
  return {
    key: `club ${club.id}`,
    label: club.name,
    says: `club of ${player.name}`,
    to: { name: 'club-life', params: { playerId: player.id, clubId: club.id } },
  };
}

function coursePlace({ id, name }: { id: string; name: string }): Place {
  return {
    key: `course ${id}`,
    label: name,
    says: 'course',
    to: { name: 'courses', params: { courseId: id } },
  };
}

/** Of a player whose page is open, their plan for it; else the weeks it is in. */
function eventPlace(event: Pick<EventView, 'id' | 'name' | 'rounds'>, { here, planOf }: PlacesFrom): Place {
  const [from, to] = [firstDayOf(event), lastDayOf(event)];
  const entry = { uid: event.id, kind: 'event', name: event.name, from, to, revision: 0 } as const;
  const plan = here && entryLink(here.id, { ...entry, eventId: event.id, planId: planOf(event.id) });
  return {
    key: `event ${event.id}`,
    label: event.name,
    says: spanOfDays(from, to),
    to: plan ?? { name: 'calendar', query: { from } },
  };
}
