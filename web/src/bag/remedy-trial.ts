import type { ClubView, Command, WishDetails } from '@tasche/contract';
import {
  BENDING_CAUTION,
  bentClub,
  clubOfLoftWords,
  formatDegrees,
  type LadderClub,
  type Remedy,
} from '@tasche/core';
import { v4 as newId } from 'uuid';
import { addTickets, bendTicket } from '../bench/new-tickets';
import type { Trial } from './trial';

const AFTER_A_BEND = `${BENDING_CAUTION} Carries after it are modelled; enter the new loft when it is done.`;

/** Tickets for bends and turns: what is tried on the ladder is done at the bench. */
function bendTickets(
  playerId: string,
  bends: NonNullable<Remedy['bends']>,
  why: string,
  clubs: ReadonlyMap<string, ClubView>,
): Command[] {
  const tickets = bends.flatMap(({ clubId, fromDeg, toDeg }) => {
    const club = clubs.get(clubId);
    const bend = { byDeg: toDeg - fromDeg, fromDeg, toDeg };
    return club ? [bendTicket(club, bend, { why, eventId: null, dueOn: null })] : [];
  });
  return addTickets(playerId, tickets);
}

/**
 * A remedy looked at on the ladder; keeping it changes the bag, makes the tickets for the bench, or puts a
 * shot to learn on the wish list.
 * @param words what is tried, see `remedyWords`
 * @param inAir the ladder is read in other air than carries are kept in: then no carry of it is
 */
export function remedyTrial(
  { bag: clubs, inId, outId, bends, learns }: Remedy,
  words: string,
  bagId: string,
  playerId: string,
  views: ReadonlyMap<string, ClubView>,
  { inAir = false }: { inAir?: boolean } = {},
): Trial {
  if (learns) {
    const { clubId, shotKind: shot, carryM } = learns;
    const expected = { shot, ...(!inAir && { carryM }) };
    return {
      words,
      clubs,
      commands: [wishFor(playerId, { name: words, purpose: 'learn', clubId, expected })],
      keepWords: 'Put it on the wish list',
    };
  }
  const commands: Command[] = bends
    ? bendTickets(playerId, bends, words, views)
    : [
        ...(outId === undefined ? [] : [{ do: 'takeOut', bagId, clubId: outId } as const]),
        ...(inId === undefined ? [] : [{ do: 'putIn', bagId, clubId: inId } as const]),
      ];
  return {
    words,
    clubs,
    ...(commands.length > 0 && { commands }),
    ...(bends && {
      keepWords: bends.length === 1 ? 'Make the ticket' : 'Make the tickets',
      caution: AFTER_A_BEND,
    }),
  };
}

/** A loft of one's own, looked at before anything is bent or turned; undefined for a club without a loft. */
export function loftTrial(
  club: LadderClub,
  loftDeg: number,
  inBag: readonly LadderClub[],
  playerId: string,
  views: ReadonlyMap<string, ClubView>,
): Trial | undefined {
  if (club.loftDeg === undefined) return undefined;
  const bent = bentClub(club, loftDeg - club.loftDeg);
  const bends = [{ clubId: club.id, fromDeg: club.loftDeg, toDeg: loftDeg }];
  return {
    words: `${club.name} at ${formatDegrees(loftDeg)}, ${formatDegrees(club.loftDeg)} now`,
    clubs: inBag.map((one) => (one === club ? bent : one)),
    commands: bendTickets(playerId, bends, '', views),
    keepWords: 'Make the ticket',
    caution: AFTER_A_BEND,
  };
}

/** The club a remedy would buy, for the wish list; nothing where it buys none. */
export function wishOfRemedy({ buys }: Remedy, notes: string, playerId: string): Command[] {
  if (buys?.loftDeg === undefined) return [];
  const { kind, loftDeg } = buys;
  const name = clubOfLoftWords(kind, formatDegrees(loftDeg));
  return [wishFor(playerId, { name, purpose: 'buy', club: { kind, loftDeg }, notes })];
}

function wishFor(
  playerId: string,
  details: Pick<WishDetails, 'name' | 'purpose'> & Partial<WishDetails>,
): Command {
  const NAME_LENGTH = 80;
  return {
    do: 'addWish',
    wish: {
      id: newId(),
      playerId,
      state: 'wished',
      price: null,
      club: null,
      clubId: null,
      expected: null,
      boughtOn: null,
      notes: '',
      ...details,
      name: details.name.slice(0, NAME_LENGTH),
    },
  };
}
