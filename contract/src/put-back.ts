import { clubPutBack, type ClubPutBack } from '@tasche/core';
import type { Command } from './commands/commands.js';
import type { TicketDetails } from './ticket-schemas.js';
import { ballOn } from './ball-schemas.js';
import type { ClubView, DayView, SheetView } from './views.js';

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
  const cannot: string[] = [];
  const standing = sheet.bags.find(({ gamer }) => gamer);
  const old = then.gamer && sheet.bags.find(({ id }) => id === then.gamer!.bagId);
  // A bag that is gone lives on in the clubs of the one that is here.
  const bag = old ?? standing;
  const commands: Command[] = [];
  const [out, into]: [string[], string[]] = [[], []];
  let gamerName: string | null = null;
  if (!then.gamer) cannot.push('There was no gamer on that day.');
  else if (bag) {
    const owned = new Set(sheet.clubs.map(({ id }) => id));
    for (const id of then.gamer.clubIds.filter((one) => !owned.has(one))) {
      const name = then.clubs.find((club) => club.id === id)?.name ?? 'A club';
      cannot.push(`${name} was deleted since; its deletion can be undone in the history.`);
    }
    const wanted = then.gamer.clubIds.filter((id) => owned.has(id));
    out.push(...bag.clubIds.filter((id) => !wanted.includes(id)));
    into.push(...wanted.filter((id) => !bag.clubIds.includes(id)));
    if (bag.planId !== null && out.length + into.length > 0) {
      cannot.push(`${bag.name} belongs to a plan; its clubs change by the plan’s swaps alone.`);
      out.length = 0;
      into.length = 0;
    }
    for (const clubId of out) commands.push({ do: 'takeOut', bagId: bag.id, clubId });
    for (const clubId of into) commands.push({ do: 'putIn', bagId: bag.id, clubId });
    if (!bag.gamer) {
      commands.push({ do: 'makeGamer', bagId: bag.id });
      gamerName = bag.name;
    }
  }
  const ball = ballPutBack(sheet, then, today);
  if (ball) {
    const { id, version, balls } = sheet.player;
    const kept = balls.filter(({ from }) => from !== today);
    commands.push({
      do: 'editPlayer',
      playerId: id,
      version,
      set: { balls: [...kept, { name: ball, from: today }] },
    });
  }
  const looked = new Set([...(then.gamer?.clubIds ?? []), ...(standing?.clubIds ?? [])]);
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
    for (const { job, wanted } of jobs)
      commands.push({
        do: 'addTicket',
        ticket: {
          id: newId(),
          playerId: sheet.player.id,
          clubId: club.id,
          job,
          wanted: [...wanted],
          name: `${JOB_NAMES[job] ?? 'Build'} the ${club.name} as it was`,
          why: `as it was on ${then.day}`,
          eventId: null,
          dueOn: null,
        },
      });
  }
  return { commands, out, in: into, gamerName, ball, byHand, atBench, cannot };
}

const JOB_NAMES: Partial<Record<TicketDetails['job'], string>> = {
  bend: 'Bend',
  sleeve: 'Turn the sleeve of',
  length: 'Cut or extend',
  shaft: 'Shaft',
  grip: 'Grip',
  weight: 'Weight',
};

/** The ball that was in play then, where another is now. */
function ballPutBack({ player }: SheetView, { ball }: DayView, today: string): string | null {
  return ball !== null && ball !== ballOn(player.balls, today) ? ball : null;
}
