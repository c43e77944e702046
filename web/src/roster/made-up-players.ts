import { planImport, readClubText, type Command, type Hand } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { newPlayerCommands } from './new-player';

/** A player of the demo, for an empty roster to look at. */
export interface MadeUpPlayer {
  name: string;
  says: string;
  hand: Hand;
  distanceUnit: DistanceUnit;
  handicap: number;
  /** The sheet, CSV. */
  sheet: () => Promise<{ default: string }>;
}

export const MADE_UP_PLAYERS: readonly MadeUpPlayer[] = [
  {
    name: 'Davor Kolar',
    says: 'long, on tour, every carry measured, in yards',
    hand: 'right',
    distanceUnit: 'yd',
    handicap: -5,
    sheet: () => import('@tasche/contract/demo/davor-kolar.csv?raw'),
  },
  {
    name: 'Maren Tveit',
    says: 'a tour professional, in metres',
    hand: 'right',
    distanceUnit: 'm',
    handicap: -4,
    sheet: () => import('@tasche/contract/demo/maren-tveit.csv?raw'),
  },
  {
    name: 'Oluchi Nwosu',
    says: 'an amateur off 13, most carries not known yet',
    hand: 'left',
    distanceUnit: 'yd',
    handicap: 13,
    sheet: () => import('@tasche/contract/demo/oluchi-nwosu.csv?raw'),
  },
];

/** The day the sheets were recorded, for cells without one. */
const WRITTEN_ON = '2026-09-26';

/**
 * The commands that add a made-up player: the player, every club of the sheet, and a gamer of those that are in
 * it.
 * @param playerId of the new player
 */
export function madeUpPlayer(
  { name, hand, distanceUnit, handicap }: Omit<MadeUpPlayer, 'sheet'>,
  sheet: string,
  playerId: string,
): Command[] {
  const { adds } = planImport(readClubText(sheet, { distanceUnit, takenOn: WRITTEN_ON }), []);
  const notes = 'Made up, to look at.';
  const [player, ...rest] = newPlayerCommands({ name, hand, distanceUnit, notes }, playerId, adds);
  return [player!, { do: 'editPlayer', playerId, version: 1, set: { handicap } }, ...rest];
}
