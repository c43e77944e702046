import {
  BUILD_KEYS,
  freezeOn,
  sameValue,
  type Freeze,
  type ReadingKey,
  type Reading,
  type Spec,
} from '@tasche/core';
import { withCommands, type Command } from './commands/commands.js';
import { freezesOf } from './season-occurrences.js';
import type { SheetView } from './views.js';

/** The freeze a player is in on a day, if any. */
export function freezeOf({ player }: Pick<SheetView, 'player'>, day: string): Freeze | undefined {
  return freezeOn(freezesOf(player.season, day, day), day);
}

/** A gauge only reads, and a stamp is only read; what was set, cut or put in is new. */
const REBUILT_KEYS: readonly ReadingKey[] = BUILD_KEYS.filter(
  (key) => key !== 'loftMeasuredDeg' && key !== 'loftStampedDeg',
);

/**
 * Whether a reading says that a club was built otherwise. What is recorded for the first time, or late,
 * is no change of the club.
 */
export function isRebuilt(spec: Spec, { key, value, takenOn }: Reading): boolean {
  const standing = spec[key];
  return (
    REBUILT_KEYS.includes(key) &&
    standing !== undefined &&
    value !== null &&
    takenOn >= standing.takenOn &&
    !sameValue(standing.value, value)
  );
}

/**
 * Whether commands bring something new into the gamer: a club, another bag, another build of one of its clubs.
 */
export function bringsNew(sheet: SheetView, commands: readonly Command[]): boolean {
  const after = withCommands('sheet', sheet, commands);
  const [old, gamer] = [sheet, after].map(({ bags }) => bags.find((bag) => bag.gamer));
  if (!gamer) return false;
  // A bag that is made just now is a beginning, no change of what is played.
  if (gamer.id !== old?.id) return sheet.bags.some(({ id }) => id === gamer.id);
  if (gamer.clubIds.some((id) => !old.clubIds.includes(id))) return true;
  return gamer.clubIds.some((id) => {
    const before = sheet.clubs.find((club) => club.id === id)?.spec ?? {};
    const now = after.clubs.find((club) => club.id === id)?.spec ?? {};
    return REBUILT_KEYS.some((key) => {
      const fact = now[key];
      return fact !== undefined && isRebuilt(before, { key, ...fact });
    });
  });
}

/** "Nothing new: the season, until 2027-02-10.": what is said when a reason is asked for. */
export function freezeWords({ name, to }: Freeze): string {
  return `Nothing new: ${name}, until ${to}.`;
}
