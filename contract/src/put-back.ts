import { clubPutBack, type ClubPutBack } from '@tasche/core';
import type { Command } from './commands/commands.js';
import type { TicketDetails } from './ticket-schemas.js';
import { ballOn } from './ball-schemas.js';
import type { DayView } from './history-views.js';
import type { ClubView, SheetView } from './views.js';

/** What it takes to have everything as it was on a day. */
export interface PutBack {
  /** What is done at once, as one change. */
  commands: readonly Command[];
  out: readonly string[];
  in: readonly string[];
  /** The bag that becomes the gamer again. */
  gamerName: string | null;
  ball: string | null;
  /** Clubs whose build is changed by hand, and by the bench. */
  byHand: readonly { club: ClubView; readings: ClubPutBack['readings'] }[];
  atBench: readonly { club: ClubView; jobs: ClubPutBack['jobs'] }[];
  /** What cannot be had: sentences. */
  cannot: readonly string[];
}

/** Every club that was in the gamer then or is in a bag now is looked at; others lie where they lie. */
export function putBack(sheet: SheetView, then: DayView, today: string, newId: () => string): PutBack {
  const gamer = gamerPutBack(sheet, then);
  const ball = ballPutBack(sheet, then, today);
  const clubs = clubsPutBack(sheet, then, today, newId);
  return {
    ...gamer,
    ball: ball?.name ?? null,
    byHand: clubs.byHand,
    atBench: clubs.atBench,
    commands: [...gamer.commands, ...(ball ? [ball.command] : []), ...clubs.commands],
  };
}

/** What brings the clubs that were in the gamer then back into it, and takes out the others. */
function gamerPutBack(
  sheet: SheetView,
  then: DayView,
): Pick<PutBack, 'commands' | 'out' | 'in' | 'gamerName' | 'cannot'> {
  const nothing = { commands: [], out: [], in: [], gamerName: null };
  if (!then.gamer) return { ...nothing, cannot: ['There was no gamer on that day.'] };
  const { bagId, clubIds } = then.gamer;
  // A bag that is gone lives on in the clubs of the one that is here.
  const bag = sheet.bags.find(({ id }) => id === bagId) ?? gamerOf(sheet);
  if (!bag) return { ...nothing, cannot: [] };
  const owned = new Set(sheet.clubs.map(({ id }) => id));
  const cannot = clubIds
    .filter((id) => !owned.has(id))
    .map((id) => {
      const name = then.clubs.find((club) => club.id === id)?.name ?? 'A club';
      return `${name} was deleted since; its deletion can be undone in the history.`;
    });
  const wanted = clubIds.filter((id) => owned.has(id));
  let out = bag.clubIds.filter((id) => !wanted.includes(id));
  let into = wanted.filter((id) => !bag.clubIds.includes(id));
  if (bag.planId !== null && out.length + into.length > 0) {
    cannot.push(`${bag.name} belongs to a plan; its clubs change by the plan’s swaps alone.`);
    [out, into] = [[], []];
  }
  const commands: Command[] = [
    ...out.map((clubId): Command => ({ do: 'takeOut', bagId: bag.id, clubId })),
    ...into.map((clubId): Command => ({ do: 'putIn', bagId: bag.id, clubId })),
  ];
  if (!bag.gamer) commands.push({ do: 'makeGamer', bagId: bag.id });
  return { commands, out, in: into, gamerName: bag.gamer ? null : bag.name, cannot };
}

function gamerOf({ bags }: SheetView): SheetView['bags'][number] | undefined {
  return bags.find(({ gamer }) => gamer);
}

/** What each club is changed by to be as it was: by hand at once, or by a ticket for the bench. */
function clubsPutBack(
  sheet: SheetView,
  then: DayView,
  today: string,
  newId: () => string,
): Pick<PutBack, 'commands' | 'byHand' | 'atBench'> {
  const looked = new Set([...(then.gamer?.clubIds ?? []), ...(gamerOf(sheet)?.clubIds ?? [])]);
  const commands: Command[] = [];
  const byHand: PutBack['byHand'][number][] = [];
  const atBench: PutBack['atBench'][number][] = [];
  for (const club of sheet.clubs.filter(({ id }) => looked.has(id))) {
    const before = then.clubs.find(({ id }) => id === club.id);
    if (!before || Object.keys(before.spec).length === 0) continue;
    const { readings, jobs } = clubPutBack(club.kind, club.spec, before.spec, today);
    if (readings.length > 0) {
      byHand.push({ club, readings });
      commands.push({ do: 'editClub', clubId: club.id, version: club.version, readings: [...readings] });
    }
    if (jobs.length > 0) atBench.push({ club, jobs });
    for (const { job, wanted } of jobs) {
      const ticket: Extract<Command, { do: 'addTicket' }>['ticket'] = {
        id: newId(),
        playerId: sheet.player.id,
        clubId: club.id,
        job,
        wanted: [...wanted],
        name: `${JOB_NAMES[job] ?? 'Build'} the ${club.name} as it was`,
        why: `as it was on ${then.day}`,
        eventId: null,
        dueOn: null,
      };
      commands.push({ do: 'addTicket', ticket });
    }
  }
  return { commands, byHand, atBench };
}

const JOB_NAMES: Partial<Record<TicketDetails['job'], string>> = {
  bend: 'Bend',
  sleeve: 'Turn the sleeve of',
  length: 'Cut or extend',
  shaft: 'Shaft',
  grip: 'Grip',
  weight: 'Weight',
};

/** The ball that was in play then, where another is now, and what puts it in play today. */
function ballPutBack(
  { player }: SheetView,
  { ball: name }: DayView,
  today: string,
): { name: string; command: Command } | null {
  const { id, version, balls } = player;
  if (name === null || name === ballOn(balls, today)) return null;
  const kept = balls.filter(({ from }) => from !== today);
  const set = { balls: [...kept, { name, from: today }] };
  return { name, command: { do: 'editPlayer', playerId: id, version, set } };
}
