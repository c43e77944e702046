import { BUILD_KEYS, freezeOn, type BuildKey, type Freeze } from '@tasche/core';
import type { Command } from './commands/commands.js';
import { freezesOf } from './player-season.js';
import type { SheetView } from './views.js';

/** The freeze a player is in on a day, if any. */
export function freezeOf({ player }: Pick<SheetView, 'player'>, day: string): Freeze | undefined {
  return freezeOn(freezesOf(player.season, day, day), day);
}

/** Whether commands bring something new into the gamer: a club, another bag, another build of one of its clubs. */
export function bringsNew(sheet: SheetView, commands: readonly Command[]): boolean {
  const gamer = sheet.bags.find((bag) => bag.gamer);
  return commands.some((command) => {
    switch (command.do) {
      case 'makeGamer':
        return command.bagId !== gamer?.id;
      case 'putIn':
        return command.bagId === gamer?.id;
      case 'editClub':
        return (
          (gamer?.clubIds.includes(command.clubId) ?? false) &&
          (command.readings ?? []).some(({ key }) => isRebuilt(key))
        );
      default:
        return false;
    }
  });
}

/** A gauge only reads; what was set, cut or put in is new. */
export function isRebuilt(key: string): boolean {
  return key !== 'loftMeasuredDeg' && BUILD_KEYS.includes(key as BuildKey);
}

/** "Nothing new in the season (until 10 Feb)": what is said when a reason is asked for. */
export function freezeWords({ name, to }: Freeze): string {
  return `Nothing new: ${name}, until ${to}.`;
}
