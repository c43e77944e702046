import { subjectOf, type Command } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { EntityKind, RowDiff } from './change-recorder.js';

/** Rows a change is about, before anything of it is done. */
interface AboutRows {
  players: string[];
  clubs: string[];
  bags: string[];
  plans: string[];
  sessions: string[];
  events: string[];
  tickets: string[];
  wishes: string[];
  roundsPlayed: string[];
  schedule: boolean;
}

/** The rows some commands name: whose something new becomes, or what stands already. */
export function rowsOfCommands(commands: readonly Command[]): AboutRows {
  const about = noRows();
  for (const { kind, id, playerId } of commands.map(subjectOf)) {
    if (playerId !== undefined) about.players.push(playerId);
    else addRow(about, kind, id);
  }
  return about;
}

function addRow(about: AboutRows, kind: EntityKind, id: string): void {
  switch (kind) {
    case 'player':
      about.players.push(id);
      break;
    case 'club':
      about.clubs.push(id);
      break;
    case 'bag':
      about.bags.push(id);
      break;
    case 'plan':
      about.plans.push(id);
      break;
    case 'session':
      about.sessions.push(id);
      break;
    case 'ticket':
      about.tickets.push(id);
      break;
    case 'wish':
      about.wishes.push(id);
      break;
    case 'roundPlayed':
      about.roundsPlayed.push(id);
      break;
    case 'event':
      about.events.push(id);
      about.schedule = true;
      break;
    case 'course':
    case 'season':
      about.schedule = true;
  }
}

/** The rows a change that is taken back touched. */
export function rowsOfDiffs(rowDiffs: readonly RowDiff[]): AboutRows {
  const about = noRows();
  for (const diff of rowDiffs) {
    if (diff.of === 'readings') about.clubs.push(...(diff.clubIds ?? []));
    else if (diff.of === 'bagClubs') about.bags.push(diff.id);
    else if (diff.of === 'strikes' || diff.of === 'strikeMarks') about.sessions.push(diff.id);
    else addRow(about, diff.of, diff.id);
  }
  return about;
}

function noRows(): AboutRows {
  return {
    players: [],
    clubs: [],
    bags: [],
    plans: [],
    sessions: [],
    events: [],
    tickets: [],
    wishes: [],
    roundsPlayed: [],
    schedule: false,
  };
}

/**
 * Takes the locks of a change in the one order everybody keeps: what the workspace plays, then players by id.
 * Whatever else a change writes hangs on one of them, so that two changes wait for each other and never both
 * at once.
 */
export async function lockFirst(em: EntityManager, workspaceId: string, about: AboutRows): Promise<void> {
  if (about.schedule) await em.execute('select id from workspace where id = ? for update', [workspaceId]);
  const lists = [
    about.players,
    about.clubs,
    about.bags,
    about.plans,
    about.events,
    about.sessions,
    about.tickets,
    about.wishes,
    about.roundsPlayed,
  ];
  if (lists.every((ids) => ids.length === 0)) return;
  await em.execute(
    `select id from player where id = any(
       ?::uuid[]
       || array(select player_id from club where id = any(?::uuid[]))
       || array(select player_id from bag where id = any(?::uuid[]))
       || array(select player_id from plan where id = any(?::uuid[]) or event_id = any(?::uuid[]))
       || array(select player_id from session where id = any(?::uuid[]))
       || array(select player_id from ticket where id = any(?::uuid[]))
       || array(select player_id from wish where id = any(?::uuid[]))
       || array(select player_id from round_played where id = any(?::uuid[])))
     order by id for update`,
    lists.map(uuidList),
  );
}

/** Ids as PostgreSQL writes a list of them. */
export function uuidList(ids: readonly string[]): string {
  return `{${[...new Set(ids)].join(',')}}`;
}
