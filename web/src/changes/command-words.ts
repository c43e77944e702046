import {
  quantityOf,
  shotKindOf,
  type DistanceUnit,
  formatDistance,
  type Reading,
  type Shot,
} from '@tasche/core';
import { showQuantity, type Command } from '@tasche/contract';

/** What somebody wanted to write, in words: "7 iron: lie 62°". For what the server would not take, so that it can be typed again. */
export function commandWords(
  command: Command,
  nameOf: (id: string) => string | undefined,
  unit: DistanceUnit,
): string {
  switch (command.do) {
    case 'addPlayer':
      return `new player ${command.player.name}`;
    case 'addClub':
      return listed(`new club ${command.club.name}`, readingsWords(command.readings, unit));
    case 'editClub':
      return listed(nameOf(command.clubId) ?? 'a club', [
        ...setWords(command.set),
        ...readingsWords(command.readings ?? [], unit),
      ]);
    case 'removeClub':
      return `delete ${nameOf(command.clubId) ?? 'a club'}`;
    case 'addBag':
      return `new bag ${command.bag.name}`;
    case 'editBag':
      return listed(nameOf(command.bagId) ?? 'a bag', setWords(command.set));
    case 'removeBag':
      return `delete ${nameOf(command.bagId) ?? 'a bag'}`;
    case 'putIn':
      return `${nameOf(command.clubId) ?? 'a club'} into ${nameOf(command.bagId) ?? 'a bag'}`;
    case 'takeOut':
      return `${nameOf(command.clubId) ?? 'a club'} out of ${nameOf(command.bagId) ?? 'a bag'}`;
    case 'makeGamer':
      return `${nameOf(command.bagId) ?? 'a bag'} as the gamer`;
    case 'addPlan':
      return `new plan ${command.plan.name}`;
    case 'addSession':
      return `new session ${command.session.name}`;
    case 'addStrikes':
      return `${command.strikes.length} ${command.strikes.length === 1 ? 'shot' : 'shots'}`;
    case 'addCourse':
      return `new course ${command.course.name}`;
    case 'addSeason':
      return `new season ${command.season.name}`;
    case 'addEvent':
      return `new event ${command.event.name}`;
    default:
      return 'set' in command
        ? listed(KINDS[command.do] ?? 'a change', setWords(command.set))
        : (KINDS[command.do] ?? 'a change');
  }
}

const KINDS: Partial<Record<Command['do'], string>> = {
  editPlayer: 'the player',
  editPlan: 'the plan',
  setSwaps: 'swaps',
  removePlan: 'delete the plan',
  editRound: 'a round',
  setRoundBag: 'the bag of a round',
  editCourse: 'the course',
  removeCourse: 'delete the course',
  editSeason: 'the season',
  removeSeason: 'delete the season',
  editEvent: 'the event',
  editEventRound: 'a round of the event',
  removeEvent: 'delete the event',
  editSession: 'the session',
  removeSession: 'delete the session',
  editStrikes: 'shots',
};

function listed(what: string, parts: readonly string[]): string {
  return parts.length === 0 ? what : `${what}: ${parts.join(', ')}`;
}

function setWords(set: object | undefined): string[] {
  return Object.entries(set ?? {}).map(([field, value]) =>
    typeof value === 'string' || typeof value === 'number' ? `${field} ${value}` : field,
  );
}

function readingsWords(readings: readonly Reading[], unit: DistanceUnit): string[] {
  return readings.map(({ key, value }) => {
    const quantity = quantityOf(key);
    if (quantity)
      return `${quantity.label.toLowerCase()} ${value === null ? 'cleared' : showQuantity(quantity, value)}`;
    return `${shotKindOf(key)} carry ${value === null ? 'cleared' : formatDistance((value as Shot).carryM, unit, 1)}`;
  });
}
