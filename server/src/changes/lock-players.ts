import type { Command } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { RowDiff } from './change-recorder.js';

/** Rows a change is about, before anything of it is done. */
export interface AboutRows {
  players: string[];
  clubs: string[];
  bags: string[];
  plans: string[];
  sessions: string[];
  events: string[];
  circuit: boolean;
}

/** The rows some commands name. */
export function rowsOfCommands(commands: readonly Command[]): AboutRows {
  const about = noRows();
  for (const command of commands) {
    switch (command.do) {
      case 'addPlayer':
        break;
      case 'editPlayer':
        about.players.push(command.playerId);
        break;
      case 'addClub':
        about.players.push(command.club.playerId);
        break;
      case 'editClub':
      case 'removeClub':
        about.clubs.push(command.clubId);
        break;
      case 'addBag':
        about.players.push(command.bag.playerId);
        break;
      case 'editBag':
      case 'removeBag':
      case 'putIn':
      case 'takeOut':
      case 'makeGamer':
        about.bags.push(command.bagId);
        break;
      case 'addPlan':
        about.players.push(command.plan.playerId);
        break;
      case 'editPlan':
      case 'setSwaps':
      case 'removePlan':
      case 'editRound':
      case 'setRoundBag':
        about.plans.push(command.planId);
        break;
      case 'addSession':
        about.players.push(command.session.playerId);
        break;
      case 'editSession':
      case 'removeSession':
      case 'addStrikes':
      case 'editStrikes':
        about.sessions.push(command.sessionId);
        break;
      case 'editEvent':
        about.events.push(command.eventId);
        about.circuit = true;
        break;
      default:
        about.circuit = true;
    }
  }
  return about;
}

/** The rows a change that is taken back touched. */
export function rowsOfImages(rowDiffs: readonly RowDiff[]): AboutRows {
  const about = noRows();
  for (const image of rowDiffs) {
    switch (image.of) {
      case 'player':
        about.players.push(image.id);
        break;
      case 'club':
        about.clubs.push(image.id);
        break;
      case 'readings':
        about.clubs.push(...(image.clubIds ?? []));
        break;
      case 'bag':
      case 'bagClubs':
        about.bags.push(image.id);
        break;
      case 'plan':
        about.plans.push(image.id);
        break;
      case 'session':
      case 'strikes':
      case 'strikeMarks':
        about.sessions.push(image.id);
        break;
      case 'event':
        about.events.push(image.id);
        about.circuit = true;
        break;
      default:
        about.circuit = true;
    }
  }
  return about;
}

function noRows(): AboutRows {
  return { players: [], clubs: [], bags: [], plans: [], sessions: [], events: [], circuit: false };
}

/**
 * Takes the locks of a change in the one order everybody keeps: what the workspace plays, then players by id. Whatever else
 * a change writes hangs on one of them, so that two changes wait for each other and never both at once.
 */
export async function lockFirst(em: EntityManager, workspaceId: string, about: AboutRows): Promise<void> {
  if (about.circuit) await em.execute('select id from workspace where id = ? for update', [workspaceId]);
  const lists = [about.players, about.clubs, about.bags, about.plans, about.events, about.sessions];
  if (lists.every((ids) => ids.length === 0)) return;
  await em.execute(
    `select id from player where id = any(
       ?::uuid[]
       || array(select player_id from club where id = any(?::uuid[]))
       || array(select player_id from bag where id = any(?::uuid[]))
       || array(select player_id from plan where id = any(?::uuid[]) or event_id = any(?::uuid[]))
       || array(select player_id from session where id = any(?::uuid[])))
     order by id for update`,
    lists.map(uuidList),
  );
}

/** Ids as PostgreSQL writes a list of them. */
export function uuidList(ids: readonly string[]): string {
  return `{${[...new Set(ids)].join(',')}}`;
}
