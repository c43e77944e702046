import type { Command, CommandName } from './commands/commands.js';
import { viewOf } from './commands/commands.js';

/** What somebody is in a workspace. */
export const ROLES = ['owner', 'rep', 'assistant', 'player', 'caddie'] as const;
export type Role = (typeof ROLES)[number];

export const ROLE_WORDS: Readonly<Record<Role, { name: string; may: string }>> = {
  owner: { name: 'Owner', may: 'everything, including who has access' },
  rep: { name: 'Rep', may: 'everything about players, courses and events; shares papers' },
  assistant: { name: 'Assistant', may: 'reads all; bench jobs, checks, club data and range sessions' },
  player: { name: 'Player', may: 'their own locker, bags, plans and sessions' },
  caddie: { name: 'Caddie or coach', may: 'reads; writes notes' },
};

/** Says to somebody of that role what they are here, and what they may. */
export function roleReminder(role: Role): string {
  const { name, may } = ROLE_WORDS[role];
  return `You are here as ${name.toLowerCase()}: ${may}.`;
}

/** Roles that may be kept to some players; a player always is. */
export const isKeptToPlayers = (role: Role): boolean => role === 'player' || role === 'caddie';

/** What a route requires of its caller. */
export const RIGHTS = ['read', 'write', 'import', 'undo', 'share', 'bench', 'people'] as const;
export type Right = (typeof RIGHTS)[number];

const RIGHTS_OF: Readonly<Record<Role, readonly Right[]>> = {
  owner: ['read', 'write', 'import', 'undo', 'share', 'bench', 'people'],
  rep: ['read', 'write', 'import', 'undo', 'share', 'bench'],
  assistant: ['read', 'write', 'import', 'undo', 'bench'],
  player: ['read', 'write', 'import', 'undo', 'share', 'bench'],
  caddie: ['read', 'write', 'undo'],
};

export function hasRight(role: Role, right: Right): boolean {
  return RIGHTS_OF[role].includes(right);
}

/** Whether a person may undo what another did; everyone may undo their own. */
export function mayUndoOthers(role: Role): boolean {
  return role === 'owner' || role === 'rep' || role === 'player';
}

/** What an assistant does: at the bench, with a gauge, on the range. */
const OF_ASSISTANTS: ReadonlySet<Command['do']> = new Set([
  'editClub',
  'addTicket',
  'editTicket',
  'finishTicket',
  'removeTicket',
  'addSession',
  'editSession',
  'addStrikes',
  'editStrikes',
]);
/** The one field a caddie or coach writes, by command. */
const NOTES: Partial<Record<Command['do'], string>> = {
  editPlayer: 'notes',
  editBag: 'note',
  editSession: 'notes',
};

/** Whether somebody of that role may do such things to rows they can see, whatever they say of them. */
export function mayUse(role: Role, name: CommandName): boolean {
  switch (role) {
    case 'owner':
    case 'rep':
      return true;
    case 'assistant':
      return OF_ASSISTANTS.has(name);
    case 'player':
      // Courses, seasons and events are the workspace's.
      return name !== 'addPlayer' && viewOf(name) !== 'schedule';
    case 'caddie':
      return false;
  }
}

/** Whether somebody of that role may write the notes such a command sets. */
export function mayNote(role: Role, name: CommandName): boolean {
  return mayUse(role, name) || (role === 'caddie' && NOTES[name] !== undefined);
}

/** Whether somebody of that role may do this to rows they can see: what they may do at all, and notes. */
export function mayDo(role: Role, command: Command): boolean {
  return mayUse(role, command.do) || (role === 'caddie' && writesNotesOnly(command));
}

function writesNotesOnly(command: Command): boolean {
  const field = NOTES[command.do];
  if (field === undefined) return false;
  const { do: _do, set, ...others } = command as Command & { set?: object };
  const about = ['version', 'playerId', 'bagId', 'sessionId'];
  return Object.keys(set ?? {}).join() === field && Object.keys(others).every((name) => about.includes(name));
}

/** Whether somebody of that role changes anything but notes. */
export function mayWrite(role: Role): boolean {
  return role !== 'caddie';
}
