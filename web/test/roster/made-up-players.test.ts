import { planImport, parseChangeRequest, readClubText } from '@tasche/contract';
import { describe, expect, it } from 'vitest';
import { MADE_UP_PLAYERS, madeUpPlayer } from '../../src/roster/made-up-players';

const ID = '11111111-1111-4111-8111-111111111111';

describe.each(MADE_UP_PLAYERS.map((one) => [one.name, one] as const))(
  '%s, made up to look at',
  (name, one) => {
    it('is one change the server takes: the player, every club, a gamer of at most fourteen', async () => {
      const { default: sheet } = await one.sheet();
      const table = readClubText(sheet, { distanceUnit: one.distanceUnit, takenOn: '2026-09-26' });
      expect(planImport(table, []).rejected).toEqual([]);
      const commands = madeUpPlayer(one, sheet, ID);
      expect(() => parseChangeRequest({ id: ID, commands })).not.toThrow();
      expect(commands[0]).toMatchObject({ do: 'addPlayer', player: { id: ID, name, hand: one.hand } });
      const bag = commands.at(-1)!;
      const clubs = commands.flatMap((command) => (command.do === 'addClub' ? [command.club.id] : []));
      if (bag.do !== 'addBag') throw new Error('the bag comes last');
      expect(bag.clubIds.length).toBeGreaterThanOrEqual(12);
      expect(bag.clubIds.length).toBeLessThanOrEqual(14);
      expect(clubs).toEqual(expect.arrayContaining([...bag.clubIds]));
    });
  },
);
